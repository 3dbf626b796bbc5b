'use client'
import { Assumed } from '@/ui/Assumed'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useEffect, useRef } from 'react'
import { durationText } from '@/core/base/units/wall'
import type { GatePlace } from '@/core/repair/work/gatePlaces'
import { taskRow } from '@/core/repair/plan/tasks/tasks'
import type { RunSheet, SheetStep } from '@/core/repair/work/runSheet'
import { stepFacts } from '@/core/repair/work/stepFacts'
import type { StageProps } from '../shared/stageProps'
import { type ClockText, useSiteClock } from '@/ui/siteClock'
import { useUnits } from '@/ui/units'
import { DecideButton } from '../shared/decide/DecideButton'
import { StepInstruments } from './instruments/StepInstruments'
import { leftText, STATE_MARKS, STATE_WORDS } from './stateWords'
import { EarlierPasses } from './EarlierPasses'
import { ShutBehind } from './ShutBehind'
import { StepCautions } from './StepCautions'
import { StepBar } from './StepBar'
import { StepFacts } from './StepFacts'
import { StepGates } from './StepGates'
import { StepNotes } from './StepNotes'
import { useStepKeys } from './useStepKeys'

type Props = StageProps & {
  step: SheetStep
  sheet: RunSheet
  now: number
  /** one was led to it: it is told, and keys go on from it */
  takesFocus: boolean
  /** it was ended: the sheet leads to the next one */
  onOver: () => void
  /** to another step of the list */
  onMove: (by: 1 | -1) => void
  /** leads to where what is missing is done */
  onOpen: (place: GatePlace) => void
}

/** How long it takes, or how it stands. */
function timeLine({ task, state, hands, endsAt, minutesLeft, record }: SheetStep, time: ClockText): string {
  if (state === 'running' && endsAt !== undefined && minutesLeft !== undefined)
    return `runs unattended until about ${time(endsAt)}, ${leftText(minutesLeft)}`
  if (state === 'done' && record?.doneAt) return `${time(record.doneAt)}, ${durationText(hands)} hands-on`
  if (state === 'skipped') return record?.skipped?.reason ?? ''
  const alone = task.unattended ? `, then ${durationText(task.unattended[1])} unattended` : ''
  const so = hands >= 1 ? `, ${durationText(hands)} so far` : ''
  return `${durationText(task.handsOn[1])} hands-on${alone}${so}`
}

/** Points of a proof stand in their own pane, with the words that answer them. */
const notesOf = ({ id, notes }: SheetStep['task']) => (taskRow(id).instruments.includes('proof') ? [] : notes)

/** What is done in it, in its order. */
function StepPoints({ points }: { points: readonly string[] }) {
  if (points.length === 0) return null
  return (
    <Box component="ol" aria-label="How" sx={{ m: 0, pl: 3, fontSize: '0.98rem', display: 'grid', gap: 0.5 }}>
      {points.map((point) => (
        <li key={point}>{point}</li>
      ))}
    </Box>
  )
}

/** The step that is on, large: caution before it, instruments in it, gate after it. */
export function StepView({ step, sheet, now, takesFocus, onOver, onMove, onOpen, ...props }: Props) {
  const { task, state, waitsFor } = step
  const { said } = useUnits()
  const { time } = useSiteClock()
  const article = useRef<HTMLElement>(null)
  const title = useRef<HTMLHeadingElement>(null)
  useStepKeys(article, onMove)
  useEffect(() => {
    if (takesFocus) title.current?.focus({ preventScroll: true })
  }, [takesFocus])
  const left = sheet.steps.filter((each) => each.state !== 'done' && each.state !== 'skipped')
  const isPlanned = sheet.steps.some((each) => each.task.id === task.id)
  const labelOf = (id: string) => sheet.steps.find((each) => each.task.id === id)?.task.label ?? id
  return (
    <Box
      component="article"
      ref={article}
      aria-labelledby="step-title"
      data-step={task.id}
      data-state={state}
      sx={{ display: 'grid', gap: 1.25, maxWidth: 900 }}
    >
      <ShutBehind sheet={sheet} onOpen={onOpen} />
      <header>
        <Typography sx={{ color: 'text.secondary' }}>
          {STATE_MARKS[state]} {STATE_WORDS[state]} · {timeLine(step, time)}
          {isPlanned ? '' : ' · no longer planned'}
        </Typography>
        <Typography
          id="step-title"
          ref={title}
          tabIndex={-1}
          variant="h2"
          sx={{ fontSize: { xs: '1.4rem', md: '1.6rem' }, lineHeight: 1.25 }}
        >
          {task.label}
        </Typography>
      </header>
      <StepCautions step={step} />
      {waitsFor.length > 0 && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 1 }}>
          <span>Waits for:</span>
          {waitsFor.map((id) => (
            <Button key={id} variant="outlined" onClick={() => onOpen({ at: 'step', task: id })}>
              {labelOf(id)}
            </Button>
          ))}
        </Box>
      )}
      <StepGates change={props.change} step={step} onOpen={onOpen} />
      <StepFacts facts={said(stepFacts(task.id, props.answer.plan))} notes={notesOf(task)} />
      <Assumed basis={task.basis} of={task.label} />
      <StepInstruments {...props} step={step} now={now} onLead={onOver} />
      <StepPoints points={task.points} />
      {task.overWhen && (
        <Typography sx={{ fontSize: '1.05rem' }}>
          <strong>Over when</strong> {task.overWhen}.
        </Typography>
      )}
      {task.fails && state !== 'done' && (
        <Typography sx={{ fontSize: '0.95rem', color: 'text.secondary' }}>
          If not: {task.fails.sentence}
        </Typography>
      )}
      <EarlierPasses step={step} logs={props.job.logs} verdicts={props.answer.verdicts} />
      <DecideButton {...props} label="Found another fault: decide it" />
      <StepNotes job={props.job} change={props.change} step={step} />
      <StepBar
        job={props.job}
        change={props.change}
        answer={props.answer}
        step={step}
        isLast={left.length === 1 && left[0] === step}
        onOver={onOver}
      />
    </Box>
  )
}
