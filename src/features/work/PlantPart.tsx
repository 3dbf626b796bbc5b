'use client'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import Box from '@mui/material/Box'
import type { Plan } from '@/core/repair/plan/plan'
import { SEEN_LEAK } from '@/demo/workTroubles'
import { WORK_PROBES } from '@/core/simulate/workProbes'
import type { WorkSource } from '@/instruments/workSource'
import type { StageProps } from '../shared/stageProps'
import { useWork } from './logs/useWork'

type Props = Pick<StageProps, 'job' | 'unit'> & { plan: Plan }

/** g of water that are let in. */
const WATER = 8
const TROUBLES: readonly (readonly [label: string, make: (source: WorkSource) => Promise<void>])[] = [
  ['A joint leaks', (source) => source.trouble({ leak: SEEN_LEAK })],
  ['It is repaired', (source) => source.trouble({ leak: 0 })],
  [`${WATER} g of water`, (source) => source.trouble({ water: WATER / 1000 })],
  ['A hose left shut', (source) => source.hands({ hose: 'shut' })],
  ['Micron gauge out of reach', (source) => source.drop(MICRON_GAUGE)],
]
const MICRON_GAUGE = WORK_PROBES.find(({ channel }) => channel === 'systemVacuum')!.id

/** What a demo job can be made to have: a leak, water, a hose that was left shut, a gauge out of reach. */
export function PlantPart({ job, unit, plan }: Props) {
  const { recorder, source, watching } = useWork({ job, unit, plan })
  if (!source || watching.status !== 'connected') return null
  return (
    <section aria-labelledby="plant-title">
      <Typography id="plant-title" variant="h2">
        Simulated circuit
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, pt: 0.5 }}>
        {TROUBLES.map(([label, make]) => (
          <Button key={label} variant="outlined" onClick={() => void recorder.told(() => make(source))}>
            {label}
          </Button>
        ))}
      </Box>
    </section>
  )
}
