'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { addHours, format } from 'date-fns'
import { useState } from 'react'
import { setStarted } from '@/core/record/edits/repairEdits'
import { drawnUnit } from '@/core/record/equipment/asked'
import { unitState } from '@/core/record/state/unitState'
import { effectsOf } from '@/core/repair/plan/tasks/tasks'
import type { Plan } from '@/core/repair/plan/plan'
import { ConfirmDialog } from '@/ui/ConfirmDialog'
import { NumberTable } from '@/ui/NumberTable'
import type { StageProps } from '../shared/stageProps'

type Props = Pick<StageProps, 'job' | 'change'> & { plan: Plan }

const WHEN = 'EEE d MMM, HH:mm'
const PLACE = { liquid: 'liquid dryer', suction: 'suction dryer' } as const

/** What is done after the first start, in order: the oil tested again, cores looked at. */
function later({ contamination, dryers }: Plan) {
  return [
    ...contamination.acid.retestHours.map((hours) => ({ hours, what: 'test the oil for acid again' })),
    ...dryers.flatMap(({ place, changes }) =>
      changes.map(({ hours, sentence }) => ({ hours, what: `${PLACE[place]}: ${sentence}` })),
    ),
  ].sort((a, b) => a.hours - b.hours)
}

/** Whether the steps on record leave a section without a charge: air, nitrogen or vacuum stands in it. */
function isOpenNow({ unit, ...job }: Props['job']): boolean {
  const { sections } = unitState({ ...job, unit: drawnUnit(unit) }, effectsOf)
  return Object.values(sections).some(({ contents }) => ['air', 'nitrogen', 'vacuum'].includes(contents))
}

/** Dates after the first start: counted in hours until it runs, told as days and times from then on. */
export function Retests({ job, change, plan }: Props) {
  const [isAsking, setAsking] = useState(false)
  const all = later(plan)
  if (all.length === 0) return null
  const started = job.repair?.startedAt
  const toggle = () => void change(setStarted(started === undefined))
  const asks = started === undefined && isOpenNow(job)
  const when = (hours: number) =>
    started === undefined ? `${hours} h after` : format(addHours(new Date(started), hours), WHEN)
  return (
    <section aria-labelledby="retests-title">
      <Typography id="retests-title" variant="h2">
        After the first start
      </Typography>
      <NumberTable
        caption="What is done after the first start"
        head={['When', 'What']}
        words={[1]}
        rows={all.map(({ hours, what }) => ({ key: `${hours} ${what}`, cells: [when(hours), what] }))}
      />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1, mt: 0.5 }}>
        <Typography sx={{ flex: 1, minWidth: 160, fontSize: '0.95rem' }}>
          {started === undefined
            ? 'Counted from the moment at which it runs again.'
            : `Runs since ${format(new Date(started), WHEN)}.`}
        </Typography>
        <Button variant="outlined" onClick={() => (asks ? setAsking(true) : toggle())}>
          {started === undefined ? 'Unit restarted' : 'Take back'}
        </Button>
      </Box>
      {isAsking && (
        <ConfirmDialog
          title="The circuit is open"
          doLabel="Restarted all the same"
          onClose={() => setAsking(false)}
          onDo={toggle}
        >
          By the steps on record it was opened and not closed, evacuated and charged since. Nothing runs on an
          open circuit: finish the steps on Work, or say that it was restarted all the same.
        </ConfirmDialog>
      )}
    </section>
  )
}
