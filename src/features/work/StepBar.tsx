'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useEffect, useRef, useState } from 'react'
import type { RefrigerantName } from '@/core/physics/refrigerants/catalogue'
import type { Edit } from '@/core/record/edits/edit'
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
import { isHeldBack, type SheetStep } from '@/core/repair/work/runSheet'
import type { StageProps } from '../shared/stageProps'
import { unlockBell } from './bell'
import { endLogsAt } from './logs/endings'
import { SkipForm } from './SkipForm'
import { type Act, actLabel, actsOf, buttonOf, isOverAfter } from './stepActs'

type Props = Pick<StageProps, 'job' | 'change' | 'answer'> & {
  step: SheetStep
  /** nothing comes after it */
  isLast: boolean
  onOver: () => void
}

/** What each act writes. */
const editsOf = (
  task: SheetStep['task'],
  goesIn: RefrigerantName | undefined,
): Readonly<Record<Act, Edit>> => ({
  next: recordTask(task, goesIn),
  start: beginTask(task, goesIn),
  pause: pauseStep(task.id),
  leave: leaveStep(task.id),
  done: finishStep(task.id),
  already: recordTask(task, goesIn),
  back: reopenStep(task.id),
  repeat: repeatStep(task.id),
  drop: dropPass(task.id),
  remove: removeOwnStep(task.id),
})

type ActProps = {
  which: Act
  isFirst: boolean
  isOff: boolean
  onAct: (which: Act) => Promise<void>
  children: string
}

/** One thing that can be done with a step; the first is the one that is meant. */
const ActButton = ({ which, isFirst, isOff, onAct, children }: ActProps) => (
  <Button
    variant={isFirst ? 'contained' : 'outlined'}
    disabled={isOff}
    data-act={which}
    onClick={() => void onAct(which)}
    sx={{
      minHeight: 56,
      fontSize: { xs: '1rem', md: '1.1rem' },
      lineHeight: 1.2,
      flex: isFirst ? 2 : 1,
      minWidth: { xs: 0, md: 104 },
      px: { xs: 0.5, md: 1 },
    }}
  >
    {children}
  </Button>
)

/** Start, pause, leave running, done; leaving out with a reason. Always in reach: it stays above the bars of a phone. */
export function StepBar({ job, change, answer, step, isLast, onOver }: Props) {
  const [skipping, setSkipping] = useState(false)
  const bar = useRef<HTMLDivElement>(null)
  const acted = useRef(false)
  const { task, state } = step
  // the button that was tapped may be gone: what comes next has the focus
  useEffect(() => {
    if (!acted.current) return
    acted.current = false
    bar.current?.querySelector<HTMLButtonElement>('button:not(:disabled)')?.focus()
  }, [state])
  const { goesIn } = answer.plan.refrigerantPath
  const edits = editsOf(task, goesIn)
  // what was done in another order is written down; a gate or a veto is passed by no order
  const isHeld = isHeldBack(step)
  const isShut = state === 'blocked' || state === 'waits'
  const isOff = (act: Act) => (isShut && act === 'start') || (isHeld && act === 'already')
  const act = async (which: Act) => {
    unlockBell()
    acted.current = true
    if (isOverAfter(which) && which !== 'leave') await endLogsAt(job.id, task.id)
    void change(edits[which])
    if (isOverAfter(which)) onOver()
  }
  return (
    <Box
      ref={bar}
      data-step-bar
      sx={{
        position: 'sticky',
        bottom: 'var(--orzo-bars, 0px)',
        zIndex: 1,
        display: 'flex',
        // one row on a phone too: whatever it takes is taken from the step
        flexWrap: skipping ? 'wrap' : { xs: 'nowrap', md: 'wrap' },
        gap: { xs: 0.5, md: 1 },
        py: 1,
        bgcolor: 'background.default',
        borderTop: 1,
        borderColor: 'divider',
      }}
    >
      {skipping ? (
        <SkipForm
          onKeep={() => setSkipping(false)}
          onSkip={(reason) => {
            setSkipping(false)
            void change(skipStep(task.id, reason))
            onOver()
          }}
        />
      ) : (
        <>
          {actsOf(step).map((which, i) => (
            <ActButton key={buttonOf(which)} isFirst={i === 0} isOff={isOff(which)} which={which} onAct={act}>
              {actLabel(which, state, isLast)}
            </ActButton>
          ))}
          {state !== 'done' && state !== 'skipped' && (
            <Button
              color="inherit"
              onClick={() => setSkipping(true)}
              sx={{ minHeight: 56, minWidth: 0, lineHeight: 1.2 }}
            >
              Leave out
            </Button>
          )}
        </>
      )}
    </Box>
  )
}
