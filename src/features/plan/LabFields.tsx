'use client'
import Box from '@mui/material/Box'
import { attempt } from '@/core/base/errors/orzoError'
import { numberTyped } from '@/core/base/units/numberTyped'
import { setAcidNumber, setRepair, takeBackAcidTest } from '@/core/record/edits/repairEdits'
import { type Repair, repairSchema } from '@/core/record/records/repair'
import { AutosaveField } from '@/ui/AutosaveField'
import type { StageProps } from '../shared/stageProps'
import { More } from './More'

type NumberKey = 'oilWater' | 'oilCanOpen'
type Props = Pick<StageProps, 'job' | 'change'>

/** Reads a plain number that a field of the repair may hold; nothing where it is empty. */
function readNumber(field: NumberKey | 'acidNumber', text: string): { value?: number; problem?: string } {
  if (text.trim() === '') return {}
  const read = attempt(() => numberTyped(text))
  if (!read.ok) return { problem: read.error.message }
  const tried = repairSchema.safeParse({ [field]: read.value } satisfies Partial<Repair>)
  return tried.success
    ? { value: read.value }
    : { problem: tried.error.issues[0]?.message ?? 'cannot be stored' }
}

/** A plain number of the repair; empty takes it away, a wrong one is told and not stored. */
export function RepairNumber({ job, change, field, label }: Props & { field: NumberKey; label: string }) {
  const save = (text: string): string | undefined => {
    const { value, problem } = readNumber(field, text)
    if (problem) return problem
    void change(setRepair({ [field]: value }))
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

/** The acid number of a laboratory: a test with its moment; empty takes the last one back. */
function AcidNumber({ job, change }: Props) {
  const tests = job.repair?.acidTests ?? []
  const last = tests.findLast(({ kind, acidNumber }) => kind === 'lab' && acidNumber !== undefined)
  const value = last?.acidNumber ?? job.repair?.acidNumber
  const save = (text: string): string | undefined => {
    const { value: typed, problem } = readNumber('acidNumber', text)
    if (problem) return problem
    void change(typed === undefined ? takeBackAcidTest('lab') : setAcidNumber(typed))
    return undefined
  }
  return (
    <AutosaveField
      label="Acid number, mg KOH/g"
      value={String(value ?? '')}
      onSave={save}
      slotProps={{ htmlInput: { inputMode: 'decimal' } }}
    />
  )
}

/** What a laboratory found in the oil. */
export function LabFields(props: Props) {
  const { repair } = props.job
  const isTested = repair?.acidNumber !== undefined || repair?.acidTests?.some(({ kind }) => kind === 'lab')
  return (
    <More label="Oil from a laboratory" open={isTested === true || repair?.oilWater !== undefined}>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5, pt: 1 }}>
        <AcidNumber {...props} />
        <RepairNumber {...props} field="oilWater" label="Water, ppm" />
      </Box>
    </More>
  )
}
