'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { setCapillary, setRepair } from '@/core/record/edits/repairEdits'
import {
  COMPRESSOR_WAYS,
  LEAK_PLACES,
  ORIFICE_WAYS,
  type Repair,
  VALVE_JOINTS,
} from '@/core/record/records/repair'
import type { Plan } from '@/core/repair/plan/plan'
import { playing, type TaskId } from '@/core/repair/plan/tasks/tasks'
import { AutosaveField } from '@/ui/AutosaveField'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { QuantityField } from '@/ui/QuantityField'
import type { StageProps } from '../shared/stageProps'

type Props = Pick<StageProps, 'job' | 'change'> & { plan: Plan }

type WayRow = {
  readonly key: 'compressorWay' | 'valveJoints' | 'orificeWay' | 'leakPlace'
  readonly label: string
  readonly values: readonly string[]
  readonly labels?: Readonly<Record<string, string>>
  /** shown while one of these is planned */
  readonly of: readonly TaskId[]
  /** what is planned where nothing is chosen */
  readonly usual?: string
}

const WAYS: readonly WayRow[] = [
  {
    key: 'compressorWay',
    label: 'The compressor',
    values: COMPRESSOR_WAYS,
    labels: { 'condensing-unit': 'whole condensing unit' },
    of: ['swapCompressor', 'swapSemiHermetic', 'swapCondensingUnit'],
    usual: 'like-for-like',
  },
  {
    key: 'valveJoints',
    label: 'Connections of the valve',
    values: VALVE_JOINTS,
    of: ['swapValve', 'swapValveFlare'],
    usual: 'sweat',
  },
  {
    key: 'orificeWay',
    label: 'In place of the orifices',
    values: ORIFICE_WAYS,
    labels: { orifices: 'new orifices', distributor: 'distributor and valve' },
    of: ['swapOrifice', 'swapHeader'],
    usual: 'orifices',
  },
  { key: 'leakPlace', label: 'The leak is at', values: LEAK_PLACES, of: playing('leak-repair') },
]

/** How the part is replaced, where there is a choice; each answer changes tasks, parts and times. */
export function RepairWays({ job, change, plan }: Props) {
  const ids = plan.tasks.map(({ id }) => id)
  const due = WAYS.filter(({ of }) => of.some((id) => ids.includes(id)))
  if (!plan.opens) return null
  const set = (values: Partial<Repair> | Record<string, undefined>) =>
    change(setRepair(values as Partial<Repair>))
  return (
    <section aria-labelledby="ways-title">
      <Typography id="ways-title" variant="h2">
        How it is done
      </Typography>
      {due.map(({ key, label, values, labels, usual }) => (
        <ChoiceChips
          key={key}
          label={label}
          values={values}
          {...(labels ? { labels } : {})}
          value={job.repair?.[key] ?? usual}
          onChange={(word) => void set({ [key]: word === usual ? undefined : word })}
        />
      ))}
      {ids.includes('swapHeader') && (
        <AutosaveField
          label="Feeder tubes, counted"
          size="small"
          fullWidth={false}
          value={job.repair?.feederTubes === undefined ? '' : String(job.repair.feederTubes)}
          slotProps={{ htmlInput: { inputMode: 'numeric', 'aria-label': 'Feeder tubes, counted' } }}
          onSave={(text) => {
            const tubes = text.trim() === '' ? undefined : Number(text)
            if (tubes !== undefined && !(Number.isInteger(tubes) && tubes >= 1 && tubes <= 60))
              return 'A whole number from 1 to 60.'
            return set({ feederTubes: tubes as number })
          }}
        />
      )}
      {ids.includes('swapCapillary') && (
        <Box sx={{ display: 'grid', gap: 1.25, py: 1.25 }}>
          {(['bore', 'length'] as const).map((key) => (
            <QuantityField
              key={key}
              label={`Capillary, ${key}`}
              kind="length"
              defaultUnit="in"
              value={job.repair?.capillary?.[key]}
              onChange={(value) => void change(setCapillary({ [key]: value }))}
            />
          ))}
        </Box>
      )}
      <ChoiceChips
        label="A flue or gas line is moved for access"
        values={['yes', 'no']}
        value={job.repair?.flueMoved ? 'yes' : 'no'}
        onChange={(word) => void set({ flueMoved: (word === 'yes' || undefined) as true })}
      />
    </section>
  )
}
