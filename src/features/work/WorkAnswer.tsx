'use client'
import { useSiteClock } from '@/ui/siteClock'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { format } from 'date-fns'
import { useMemo, useState } from 'react'
import { isDecided } from '@/core/record/job/decisions'
import { unknownOf } from '@/core/record/equipment/asked'
import { DISCLAIMER } from '@/core/safety/cautions'
import { restOfDay } from '@/core/repair/work/restOfDay'
import type { RunSheet, SheetStep } from '@/core/repair/work/runSheet'
import { wallIn } from '@/core/base/units/siteTime'
import { clockOf, wallMinutes, wallText } from '@/core/base/units/wall'
import { useQuestion } from '../shared/answer/useDay'
import type { StageProps } from '../shared/stageProps'
import { askForNotes, noteState } from './bell'
import { DemoClockPart } from './DemoClockPart'
import { PlantPart } from './PlantPart'
import { leftText } from './stateWords'
import { useBell } from './useBell'
import { useSheet } from './useSheet'

function Running({ running }: { running: readonly SheetStep[] }) {
  const { time } = useSiteClock()
  const [notes, setNotes] = useState(noteState)
  if (running.length === 0) return null
  return (
    <section aria-labelledby="running-title">
      <Typography id="running-title" variant="h2">
        Runs unattended
      </Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {running.map(({ task, minutesLeft, endsAt }) => (
          <Box component="li" key={task.id} data-running={task.id} sx={{ py: 0.5 }}>
            <Typography sx={{ fontSize: '1.5rem', fontWeight: 700, lineHeight: 1.2 }}>
              {minutesLeft === undefined ? '' : leftText(minutesLeft)}
            </Typography>
            <Typography sx={{ fontSize: '0.95rem' }}>
              {task.label}
              {endsAt !== undefined && `, until about ${time(endsAt)}`}
            </Typography>
          </Box>
        ))}
      </Box>
      {notes === 'ask' && (
        <Button variant="outlined" onClick={() => void askForNotes().then(() => setNotes(noteState()))}>
          Notify me when it ends
        </Button>
      )}
    </section>
  )
}

/** When the rest is done, planned anew from where the work stands. */
/** "16:05", with its weekday where it is another day than today. Minutes of the wall. */
function wallClock(today: number, minutes: number): string {
  const [before, then] = [today, minutes].map((each) => wallText(each))
  const day = before!.slice(0, 10) === then!.slice(0, 10) ? '' : `${format(new Date(then!), 'EEE')} `
  return `${day}${clockOf(then!)}`
}

function Rest({ sheet, now, ...props }: StageProps & { sheet: RunSheet; now: number }) {
  const { plan } = props.answer
  const minute = Math.floor(now / 300_000) * 300_000
  const zone = props.job.unit.site?.zone
  const question = useMemo(() => restOfDay(plan, sheet, wallIn(minute, zone)), [plan, sheet, minute, zone])
  const text = useMemo(() => JSON.stringify(question), [question])
  const { day, problem } = useQuestion(`${props.job.id} rest`, text)
  if (sheet.isOver) return null
  const origin = wallMinutes(question.day.start)
  const at = (minutes: number | undefined) =>
    minutes === undefined || origin === undefined ? undefined : wallClock(origin, origin + minutes)
  const [likely, safe] = [at(day?.p50 ?? day?.finish), at(day?.p90)]
  return (
    <section aria-labelledby="rest-title">
      <Typography id="rest-title" variant="h2">
        The rest
      </Typography>
      {(problem ?? day?.problem) && <Typography>⬣ {problem ?? day?.problem}</Typography>}
      {likely && (
        <>
          <Typography sx={{ fontSize: '1.9rem', fontWeight: 700, lineHeight: 1.2 }} data-rest>
            {likely}
          </Typography>
          <Typography sx={{ color: 'text.secondary' }}>
            likely{safe ? `, 90 % likely by ${safe}` : ''}; {sheet.done} of {sheet.steps.length} steps over
          </Typography>
        </>
      )}
    </section>
  )
}

function Ahead({ sheet }: { sheet: RunSheet }) {
  const lines = sheet.running.length > 0 ? sheet.meanwhile : sheet.next ? [sheet.next] : []
  if (lines.length === 0) return null
  return (
    <section aria-labelledby="ahead-title">
      <Typography id="ahead-title" variant="h2">
        {sheet.running.length > 0 ? 'Meanwhile' : 'Next'}
      </Typography>
      {lines.slice(0, 4).map(({ task }) => (
        <Typography key={task.id}>{task.label}</Typography>
      ))}
    </section>
  )
}

/** Gates that are shut on the way, and those that were passed with a reason. */
function Gates({ sheet }: { sheet: RunSheet }) {
  const all = sheet.steps.flatMap(({ gates }) => gates)
  const ids = [...new Set(all.map(({ id }) => id))]
  if (ids.length === 0) return null
  return (
    <section aria-labelledby="gates-title">
      <Typography id="gates-title" variant="h2">
        Gates
      </Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', fontSize: '0.95rem' }}>
        {ids.map((id) => {
          const own = all.filter((gate) => gate.id === id)
          const isOpen = own.every((gate) => gate.isOpen)
          const passed = own.some((gate) => gate.override !== undefined)
          return (
            <li key={id} data-work-gate={id} data-open={isOpen}>
              {isOpen ? '●' : passed ? '△' : '○'} {own[0]?.name}
              {!isOpen && passed ? ', passed with a reason' : ''}
            </li>
          )
        })}
      </Box>
    </section>
  )
}
/** Beside the run sheet: clocks, what comes next, gates, when the rest is done. */
export function WorkAnswer(props: StageProps) {
  const { sheet, now } = useSheet(props)
  useBell(sheet.running)
  const isReady = isDecided(props.job) && unknownOf(props.job.unit).length === 0
  return (
    <Box sx={{ p: 2, display: 'grid', gap: 2 }}>
      {isReady && (
        <>
          <Running running={sheet.running} />
          <Rest {...props} sheet={sheet} now={now} />
          <Ahead sheet={sheet} />
          <Gates sheet={sheet} />
          {props.job.demo === true && (
            <>
              <DemoClockPart
                job={props.job}
                unit={props.unit}
                change={props.change}
                plan={props.answer.plan}
                now={now}
              />
              <PlantPart job={props.job} unit={props.unit} plan={props.answer.plan} />
            </>
          )}
        </>
      )}
      <Typography sx={{ fontSize: '0.85rem', color: 'text.secondary' }}>{DISCLAIMER}</Typography>
    </Box>
  )
}
