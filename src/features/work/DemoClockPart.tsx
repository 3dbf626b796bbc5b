'use client'
import Typography from '@mui/material/Typography'
import { format } from 'date-fns'
import { setClock } from '@/core/record/edits/headEdits'
import { clockAt, clockOf, speedOf } from '@/core/record/job/jobTime'
import type { Plan } from '@/core/repair/plan/plan'
import { systemClock } from '@/data/clock'
import { ChoiceChips } from '@/ui/ChoiceChips'
import type { StageProps } from '../shared/stageProps'
import { useWork } from './logs/useWork'

const SPEEDS = ['1', '10', '60', '300'] as const

type Props = Pick<StageProps, 'job' | 'unit' | 'change'> & { plan: Plan; now: number }

/** How fast the time of a demo job goes; everything that counts time follows it. */
export function DemoClockPart({ job, unit, change, plan, now }: Props) {
  const { recorder, source } = useWork({ job, unit, plan })
  const clock = clockOf(job)
  const set = async (speed: number) => {
    const next = clockAt(clock, systemClock.now(), speed)
    if (await change(setClock(next))) await recorder.told(async () => source?.setClock(next))
  }
  return (
    <section aria-labelledby="clock-title">
      <Typography id="clock-title" variant="h2">
        Time of this demo job
      </Typography>
      <Typography sx={{ fontVariantNumeric: 'tabular-nums' }}>
        {format(new Date(now), 'EEE HH:mm:ss')}
      </Typography>
      <ChoiceChips
        label="How fast it goes, for half an hour at most"
        values={SPEEDS}
        value={String(speedOf(clock, systemClock.now()))}
        // tapping the speed that is on leaves it on
        onChange={(value) => value !== undefined && void set(Number(value))}
        plain={(word) => `${word} ×`}
      />
    </section>
  )
}
