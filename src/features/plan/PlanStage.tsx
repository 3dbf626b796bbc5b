'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { dropOldTicks, tick } from '@/core/record/edits/listEdits'
import { isByPosition, leaveKey, taskKey } from '@/core/record/records/tick'
import type { Plan, PlanTask } from '@/core/repair/plan/plan'
import type { StageProps } from '../shared/stageProps'
import { AskFirst } from '../shared/unit/AskUnit'
import { unknownOf } from '@/core/record/equipment/asked'
import { Checklist } from './Checklist'
import { Dryers } from './Dryers'
import { Ledgers } from './Ledgers'
import { duration, oilVolume } from '../shared/planText'

function TaskDetail({ task }: { task: PlanTask }) {
  const [low, likely, high] = task.handsOn
  return (
    <>
      <Typography sx={{ color: 'text.secondary', fontSize: '0.95rem' }}>
        {low} / {likely} / {high} min hands-on
        {task.unattended && `, then ${duration(task.unattended[1])} unattended`}
        {task.opens && ', circuit open'}
      </Typography>
      {task.refused && (
        <Typography role="note" sx={{ color: 'error.main', fontSize: '0.95rem', fontWeight: 650 }}>
          ⬣ {task.refused}
        </Typography>
      )}
      {task.cautions.map((caution) => (
        <Typography key={caution} sx={{ color: 'error.main', fontSize: '0.95rem' }}>
          ⬣ {caution}
        </Typography>
      ))}
    </>
  )
}

function Reasons({ reasons }: { reasons: readonly string[] }) {
  return (
    <Box component="ul" sx={{ m: 0, pl: 2.25 }}>
      {reasons.map((reason) => (
        <li key={reason}>{reason}</li>
      ))}
    </Box>
  )
}

function CleanUp({ plan }: { plan: Plan }) {
  const { oil, refrigerantPath: path } = plan
  return (
    <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
      <section aria-labelledby="dryers-title">
        <Typography id="dryers-title" variant="h2" gutterBottom>
          Dryers
        </Typography>
        <Dryers dryers={plan.dryers} />
      </section>
      <section aria-labelledby="ledger-title">
        <Typography id="ledger-title" variant="h2" gutterBottom>
          Water and acid
        </Typography>
        <Ledgers plan={plan} />
      </section>
      <section aria-labelledby="oil-title">
        <Typography id="oil-title" variant="h2">
          Oil: {oil.kind}, {oilVolume(oil.volume)}
        </Typography>
        <Reasons reasons={oil.reasons} />
      </section>
      <section aria-labelledby="path-title">
        <Typography id="path-title" variant="h2">
          Refrigerant: keep {path.keep}, recovered charge{' '}
          {path.recovered === 'reclaim' ? 'to reclaim' : 'may go back'}
        </Typography>
        <Reasons reasons={path.reasons} />
      </section>
    </Box>
  )
}

type WorkProps = { plan: Plan; ticked: readonly string[]; onTick: (id: string, on: boolean) => void }

function WorkLists({ plan, ticked, onTick }: WorkProps) {
  const leaving = plan.beforeLeaving.map((label) => ({ id: leaveKey(label), label }))
  const tasks = plan.tasks.map((task) => ({
    id: taskKey(task.id),
    label: task.label,
    detail: <TaskDetail task={task} />,
  }))
  return (
    <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
      {plan.parts.length > 0 && (
        <section aria-labelledby="parts-title">
          <Typography id="parts-title" variant="h2">
            Parts and consumables
          </Typography>
          <Checklist label="Parts" lines={plan.parts} ticked={ticked} onTick={onTick} />
        </section>
      )}
      {leaving.length > 0 && (
        <section aria-labelledby="leaving-title">
          <Typography id="leaving-title" variant="h2">
            Before you leave: measure, count, photograph
          </Typography>
          <Checklist label="Before you leave" lines={leaving} ticked={ticked} onTick={onTick} />
        </section>
      )}
      <section aria-labelledby="tasks-title">
        <Typography id="tasks-title" variant="h2">
          Tasks in order
        </Typography>
        <Checklist label="Tasks" ordered ticked={ticked} onTick={onTick} lines={tasks} />
      </section>
    </Box>
  )
}

/** Ticks of lists that were numbered: told once, then set again by what they mean. */
function OldTicks({ ticks, change }: { ticks: StageProps['job']['ticks'] } & Pick<StageProps, 'change'>) {
  const old = ticks.filter(isByPosition)
  if (old.length === 0) return null
  return (
    <Alert severity="info" onClose={() => void change(dropOldTicks)} sx={{ gridColumn: '1 / -1' }}>
      {old.length === 1 ? '1 part was' : `${old.length} parts were`} ticked off by its place in an older list,
      and the list may have changed since: look at the parts and tick them again.
    </Alert>
  )
}

/** Clean-up, dryers, oil and refrigerant on the left; parts and the ordered tasks on the right. */
export function PlanStage({ job, change, answer: { plan } }: StageProps) {
  const unknown = unknownOf(job.unit)
  if (unknown.length > 0)
    return (
      <Box sx={{ p: 2, maxWidth: 520 }}>
        <AskFirst plate={job.unit} asks={unknown} change={change} />
      </Box>
    )
  const ticked = job.ticks.map(({ key }) => key)
  return (
    <Box
      sx={{
        p: 2,
        display: 'grid',
        gap: 3,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
      }}
    >
      <OldTicks ticks={job.ticks} change={change} />
      <CleanUp plan={plan} />
      <WorkLists plan={plan} ticked={ticked} onTick={(id, on) => void change(tick(id, on))} />
    </Box>
  )
}
