'use client'
import Box from '@mui/material/Box'
import { attempt } from '@/core/base/errors/orzoError'
import { numberTyped } from '@/core/base/units/numberTyped'
import { setRepair } from '@/core/record/edits/repairEdits'
import { type Repair, repairSchema } from '@/core/record/records/repair'
import { AutosaveField } from '@/ui/AutosaveField'
import type { StageProps } from '../shared/stageProps'
import { More } from './More'

type NumberKey = 'acidNumber' | 'oilWater' | 'oilCanOpen'
type Props = Pick<StageProps, 'job' | 'change'>

/** A plain number of the repair; empty takes it away, a wrong one is told and not stored. */
export function RepairNumber({ job, change, field, label }: Props & { field: NumberKey; label: string }) {
  const save = (text: string): string | undefined => {
    const read = text.trim() === '' ? undefined : attempt(() => numberTyped(text))
    if (read && !read.ok) return read.error.message
    const tried = repairSchema.safeParse({ [field]: read?.value } satisfies Partial<Repair>)
    if (!tried.success) return tried.error.issues[0]?.message ?? 'cannot be stored'
    void change(setRepair({ [field]: read?.value }))
    return undefined
  }
  return (
    <AutosaveField
      label={label}
      value={String(job.repair?.[field] ?? '')}
      onSave={save}
      slotProps={{ htmlInput: { inputMode: 'decimal' } }}
    />
  )
}

/** What a laboratory found in the oil. */
export function LabFields(props: Props) {
  const { repair } = props.job
  return (
    <More
      label="Oil from a laboratory"
      open={repair?.acidNumber !== undefined || repair?.oilWater !== undefined}
    >
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5, pt: 1 }}>
        <RepairNumber {...props} field="acidNumber" label="Acid number, mg KOH/g" />
        <RepairNumber {...props} field="oilWater" label="Water, ppm" />
      </Box>
    </More>
  )
}
