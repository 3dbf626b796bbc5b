'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import useMediaQuery from '@mui/material/useMediaQuery'
import { dropOldTicks, tick } from '@/core/record/edits/listEdits'
import { isByPosition, leaveKey, taskKey } from '@/core/record/records/tick'
import type { Plan, PlanTask } from '@/core/repair/plan/plan'
import { IS_WIDE } from '@/ui/theme/theme'
import type { StageProps } from '../shared/stageProps'
import { duration } from '../shared/planText'
import { Checklist } from './Checklist'
import { JobPolicy } from './JobPolicy'
import { More } from './More'

type Props = Pick<StageProps, 'job' | 'change'> & { plan: Plan }

function TaskNote({ task }: { task: PlanTask }) {
  return (
    <>
      <Typography sx={{ fontSize: '0.95rem', color: 'text.secondary' }}>
        {task.handsOn[1]} min
        {task.unattended && ` + ${duration(task.unattended[1])} by itself`}
        {task.opens && ', open'}
        {task.hazards.length > 0 && (
          <Box component="span" sx={{ color: 'error.main' }}>
            {' '}
            ⬣ {task.hazards.join(' · ')}
          </Box>
        )}
      </Typography>
      {task.refused && (
        <Typography role="note" sx={{ color: 'error.main', fontSize: '0.95rem', fontWeight: 650 }}>
          ⬣ {task.refused}
        </Typography>
      )}
    </>
  )
}

function TaskDetail({ task }: { task: PlanTask }) {
  const [low, likely, high] = task.handsOn
  return (
    <>
      <Typography sx={{ color: 'text.secondary', fontSize: '0.95rem' }}>
        {low} / {likely} / {high} min hands-on
      </Typography>
      {task.cautions.map((caution) => (
        <Typography key={caution} sx={{ color: 'error.main', fontSize: '0.95rem' }}>
          ⬣ {caution}
        </Typography>
      ))}
    </>
  )
}

/** Ticks of lists that were numbered: told once, then set again by what they mean. */
function OldTicks({ ticks, change }: { ticks: StageProps['job']['ticks'] } & Pick<StageProps, 'change'>) {
  const old = ticks.filter(isByPosition)
  if (old.length === 0) return null
  return (
    <Alert severity="info" onClose={() => void change(dropOldTicks)}>
      {old.length === 1 ? '1 part was' : `${old.length} parts were`} ticked off by its place in an older list,
      and the list may have changed since: look at the parts and tick them again.
    </Alert>
  )
}

/** Parts, what to measure before leaving, and the tasks in order. */
export function WorkView({ job, change, plan }: Props) {
  // on a phone the tasks would lie two screens below the parts
  const isWide = useMediaQuery(IS_WIDE, { noSsr: true })
  const ticked = job.ticks.map(({ key }) => key)
  const onTick = (id: string, on: boolean) => void change(tick(id, on))
  const leaving = plan.beforeLeaving.map((label) => ({ id: leaveKey(label), label }))
  const tasks = plan.tasks.map((task) => ({
    id: taskKey(task.id),
    label: task.label,
    note: <TaskNote task={task} />,
    detail: <TaskDetail task={task} />,
  }))
  const done = (lines: readonly { id: string }[]) => lines.filter(({ id }) => ticked.includes(id)).length
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2 }}>
      <OldTicks ticks={job.ticks} change={change} />
      <Box
        sx={{
          display: 'grid',
          gap: 3,
          alignItems: 'start',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) minmax(0, 1.1fr)' },
        }}
      >
        <Box>
          {plan.parts.length > 0 && (
            <More label={`Parts and consumables, ${done(plan.parts)} of ${plan.parts.length}`} open={isWide}>
              <Checklist label="Parts" lines={plan.parts} ticked={ticked} onTick={onTick} />
            </More>
          )}
          {leaving.length > 0 && (
            <More
              label={`Before you leave: measure, count, photograph, ${done(leaving)} of ${leaving.length}`}
            >
              <Checklist label="Before you leave" lines={leaving} ticked={ticked} onTick={onTick} />
            </More>
          )}
          <JobPolicy job={job} change={change} />
        </Box>
        <section aria-labelledby="tasks-title">
          <Typography id="tasks-title" variant="h2">
            Tasks in order, {done(tasks)} of {tasks.length}
          </Typography>
          <Checklist label="Tasks" ordered ticked={ticked} onTick={onTick} lines={tasks} />
        </section>
      </Box>
    </Box>
  )
}
