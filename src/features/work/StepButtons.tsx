'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { isReason } from '@/core/record/job/decisions'
import {
  dropPass,
  finishStep,
  leaveStep,
  pauseStep,
  removeOwnStep,
  reopenStep,
  repeatStep,
  skipStep,
} from '@/core/record/edits/workEdits'
import { beginTask, recordTask } from '@/core/repair/work/beginning'
import { isHeldBack, type SheetStep, type StepState } from '@/core/repair/work/runSheet'
import type { Edit } from '@/core/record/edits/edit'
import type { StageProps } from '../shared/stageProps'
import { unlockBell } from './bell'

type Act = 'start' | 'pause' | 'leave' | 'done' | 'already' | 'back' | 'repeat' | 'drop' | 'remove'

/** What can be done with a step in each state, the first one large. */
const ACTS: Readonly<Record<StepState, readonly Act[]>> = {
  ready: ['start', 'already'],
  paused: ['start', 'done'],
  blocked: ['start'],
  waits: ['start', 'already'],
  hands: ['done', 'leave', 'pause'],
  running: ['done', 'start'],
  done: ['repeat', 'back'],
  skipped: ['back', 'repeat'],
}
const LABELS: Readonly<Record<Act, string>> = {
  start: 'Start',
  pause: 'Pause',
  leave: 'Leave it running',
  done: 'Done',
  already: 'Done already',
  back: 'Take back',
  repeat: 'Do it again',
  drop: 'Not again after all',
  remove: 'Remove this step',
}
const STATE_LABELS: { readonly [S in StepState]?: { readonly [A in Act]?: string } } = {
  paused: { start: 'Go on' },
  running: { start: 'Hands on it again' },
}

type Props = Pick<StageProps, 'change' | 'answer'> & { step: SheetStep; onOver: () => void }

function Skip({ change, step, onOver, onKeep }: Omit<Props, 'answer'> & { onKeep: () => void }) {
  const [reason, setReason] = useState('')
  const skip = () => {
    void change(skipStep(step.task.id, reason.trim()))
    onOver()
  }
  return (
    <Box
      component="form"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, width: '100%' }}
      onSubmit={(event) => {
        event.preventDefault()
        if (isReason(reason)) skip()
      }}
    >
      <TextField
        autoFocus
        label="Why it is left out; printed in the report"
        value={reason}
        onChange={({ target }) => setReason(target.value)}
        slotProps={{ htmlInput: { maxLength: 2000 } }}
        sx={{ flex: 1, minWidth: 220 }}
      />
      <Button type="submit" variant="contained" disabled={!isReason(reason)}>
        Leave out
      </Button>
      <Button color="inherit" onClick={onKeep}>
        Keep it
      </Button>
    </Box>
  )
}

/** Start, pause, leave running, done; leaving out with a reason. Large enough for gloves. */
export function StepButtons({ change, answer, step, onOver }: Props) {
  const [skipping, setSkipping] = useState(false)
  const { task, state, record } = step
  const { goesIn } = answer.plan.refrigerantPath
  const edits: Readonly<Record<Act, Edit>> = {
    start: beginTask(task, goesIn),
    pause: pauseStep(task.id),
    leave: leaveStep(task.id),
    done: finishStep(task.id),
    already: recordTask(task, goesIn),
    back: reopenStep(task.id),
    repeat: repeatStep(task.id),
    drop: dropPass(task.id),
    remove: removeOwnStep(task.id),
  }
  const isUntouched =
    record?.own !== undefined && record.pass === undefined && record.spans.length === 0 && !record.doneAt
  const isFreshPass = (record?.pass ?? 1) > 1 && record?.spans.length === 0
  const acts: readonly Act[] = [
    ...ACTS[state].filter((act) => act !== 'leave' || task.unattended !== undefined),
    ...(isFreshPass && state !== 'skipped' ? (['drop'] as const) : []),
    ...(isUntouched ? (['remove'] as const) : []),
  ]
  // what was done in another order is written down; a gate or a veto is passed by no order
  const isHeld = isHeldBack(step)
  const isShut = state === 'blocked' || state === 'waits'
  if (skipping)
    return (
      <Skip
        change={change}
        step={step}
        onKeep={() => setSkipping(false)}
        onOver={() => {
          setSkipping(false)
          onOver()
        }}
      />
    )
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
      {acts.map((act, i) => (
        <Button
          key={act}
          variant={i === 0 ? 'contained' : 'outlined'}
          disabled={(isShut && act === 'start') || (isHeld && act === 'already')}
          onClick={() => {
            unlockBell()
            void change(edits[act])
            if (act === 'done' || act === 'already' || act === 'remove') onOver()
          }}
          sx={{ minHeight: 56, fontSize: '1.1rem', flex: i === 0 ? 2 : 1, minWidth: 120 }}
        >
          {STATE_LABELS[state]?.[act] ?? LABELS[act]}
        </Button>
      ))}
      {state !== 'done' && state !== 'skipped' && (
        <Button color="inherit" onClick={() => setSkipping(true)} sx={{ minHeight: 56 }}>
          Leave out
        </Button>
      )}
    </Box>
  )
}
