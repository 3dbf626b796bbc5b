'use client'
import { basisOf } from '@/core/base/known/known'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import useMediaQuery from '@mui/material/useMediaQuery'
import { useState } from 'react'
import { wallMinutes, wallText } from '@/core/base/units/wall'
import { pinTask, setDay } from '@/core/record/edits/dayEdits'
import { tick } from '@/core/record/edits/listEdits'
import { summaryOf } from '@/core/record/job/summary'
import { taskKey } from '@/core/record/records/tick'
import type { DayPlan } from '@/core/repair/day/planDay'
import type { DayRow } from '@/core/repair/day/workDay'
import type { Plan, PlanTask } from '@/core/repair/plan/plan'
import { isTask, taskRow } from '@/core/repair/plan/tasks/tasks'
import { IS_WIDE } from '@/ui/theme/theme'
import { momentAt, numbersOf, timeAt } from '@/ui/timeplan/layout'
import { barText, TimePlan } from '@/ui/timeplan/TimePlan'
import { Freshness } from '../shared/answer/Freshness'
import { useDay } from '../shared/answer/useDay'
import { laterText } from '../shared/dayText'
import { titleOf } from '@/core/report/jobText'
import { durationText } from '@/core/base/units/wall'
import type { StageProps } from '../shared/stageProps'
import { proposedStart } from '../shared/wallClock'
import { ProveFirst } from './Approval'
import { Checklist } from './Checklist'
import { DayAnswer } from './DayAnswer'
import { DayBasics, DayLimits } from './DayForm'
import { EarlierTimes } from './EarlierTimes'
import { More, Sentences } from './More'
import { OfficeTime } from './OfficeTime'
import { TaskDetail } from './TaskDetail'

type Props = Pick<StageProps, 'job' | 'change'> & { plan: Plan }

const labelOf = (id: string) => (isTask(id) ? (taskRow(id).label.split(/[:;,]/)[0] as string) : id)
const labelsOf = (tasks: readonly PlanTask[]) => new Map(tasks.map(({ id, label }) => [id, label]))

function TaskNote({ task, row, day }: { task: PlanTask; row: DayRow | undefined; day: DayPlan | undefined }) {
  return (
    <>
      <Typography sx={{ fontSize: '0.95rem', color: 'text.secondary' }}>
        {row && day && (
          <Box component="b" sx={{ color: 'text.primary' }}>
            {day.visits.length === 1 ? timeAt(day, row.start) : momentAt(day, row.start)}
            {day.people > 1 && ` · person ${row.person + 1}`}
            {row.helper &&
              `, helped by person ${row.helper.person + 1} until ${timeAt(day, row.helper.until)}`}
            {row.helpWanted && ` · second person wanted until ${timeAt(day, row.helpWanted.to)}`}
            {' · '}
          </Box>
        )}
        {task.handsOn[1]} min
        {task.unattended && ` + ${durationText(task.unattended[1])} unattended`}
        {task.opens && ' · open'}
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

type DrawnProps = Props & {
  day: DayPlan
  chosen: string | undefined
  lit: string | undefined
  onLight: (id: string | undefined) => void
  onChoose: (id: string) => void
}

/** The drawing; a bar that is moved is pinned to where it was put, and what follows is planned anew. */
function Drawn({ job, change, plan, day, chosen, lit, onLight, onChoose }: DrawnProps) {
  const [note, setNote] = useState('')
  const pins = job.day?.notBefore ?? {}
  const labels = labelsOf(plan.tasks)
  const pointed = day.rows.find(({ id }) => id === lit)
  const move = (id: string, minutes: number) => {
    const row = day.rows.find((each) => each.id === id)
    if (!row) return
    if (minutes < 0 && !pins[id]) {
      setNote(`${labelOf(id)}: it cannot begin earlier, it waits for what stands before it.`)
      return
    }
    const start = job.day?.start ?? proposedStart(job.unit.site?.zone)
    const from = Math.max(row.start, (wallMinutes(pins[id]) ?? -Infinity) - wallMinutes(start)!)
    const wall = wallText(wallMinutes(start)! + Math.max(0, from + minutes))
    setNote(`${labelOf(id)}: not before ${wall.slice(11)}.`)
    void change((before, stamp) =>
      pinTask(id, wall)(before.day?.start ? before : setDay({ start })(before, stamp), stamp),
    )
  }
  return (
    <>
      <TimePlan
        day={day}
        labels={labels}
        pinned={Object.keys(pins)}
        chosen={chosen}
        lit={lit}
        onLight={onLight}
        onChoose={onChoose}
        onMove={move}
        onFree={(id) => {
          setNote(`${labelOf(id)}: as early as it goes.`)
          void change(pinTask(id, undefined))
        }}
      />
      <Typography
        aria-hidden
        noWrap
        data-pointed={pointed ? true : undefined}
        sx={{ fontWeight: 650, minHeight: 24 }}
      >
        {pointed &&
          barText(day, labels, {
            id: pointed.id,
            number: numbersOf(day.rows).get(pointed.id) ?? 0,
            from: pointed.start,
            to: pointed.end,
          })}
      </Typography>
      <Typography role="status" sx={{ color: 'text.secondary', fontSize: '0.95rem', minHeight: 24 }}>
        {note ||
          'Drag a bar along the clock, or move it with the arrow keys; Delete lets it go as early as it can. Hatched: unattended.'}
      </Typography>
    </>
  )
}

/** When a later visit is, in the hours of the site. */
function LaterTime({ day, hours }: { day: DayPlan | undefined; hours: number }) {
  const visit = day?.later.find((each) => each.hours === hours)
  if (!day || !visit) return null
  return (
    <Typography sx={{ fontVariantNumeric: 'tabular-nums' }}>
      {laterText(day, visit)}; {durationText(visit.handsOn)} hands-on.
    </Typography>
  )
}

/** The later visits that open the circuit again. */
function Returns({ plan, day }: Pick<Props, 'plan'> & { day: DayPlan | undefined }) {
  if (plan.returns.length === 0) return null
  return (
    <More label={`Later visits that open it again: ${plan.returns.length}`}>
      {plan.returns.map(({ hours, sentence, tasks }) => (
        <Box key={hours} sx={{ mb: 1 }}>
          <Typography sx={{ fontWeight: 650 }}>
            {hours} h after the first start: {sentence}
          </Typography>
          <LaterTime day={day} hours={hours} />
          <Typography sx={{ fontSize: '0.95rem' }}>
            An opening of its own: {tasks.map(({ id }) => labelOf(id).toLowerCase()).join(', ')}.
          </Typography>
        </Box>
      ))}
    </More>
  )
}

function Rules({ plan: { rules } }: Pick<Props, 'plan'>) {
  const broken = rules.filter(({ holds }) => !holds)
  return (
    <>
      {broken.length > 0 && (
        <Alert severity="error">
          This order of work breaks a rule of its own, do not work by it:{' '}
          {broken.map(({ sentence }) => sentence).join(' ')}
        </Alert>
      )}
      <More label={`Rules that this order keeps: ${rules.length - broken.length}`}>
        <Sentences all={rules.map(({ sentence, holds }) => `${holds ? '●' : '⬣'} ${sentence}`)} />
      </More>
    </>
  )
}

/** The day: when it is done, drawn; its limits; the tasks in the order in which they begin. */
export function DayView({ job, change, plan }: Props) {
  const { day, isFresh, problem } = useDay(job, plan)
  const [chosen, setChosen] = useState<string>()
  const [lit, setLit] = useState<string>()
  const isWide = useMediaQuery(IS_WIDE, { noSsr: true })
  const ticked = job.ticks.map(({ key }) => key)
  const rows = day?.rows ?? []
  const numbers = numbersOf(rows)
  const rowOf = (id: string) => rows.find((row) => row.id === id)
  // what is refused has no time: it stands last
  const placeOf = ({ id }: PlanTask) => numbers.get(id) ?? plan.tasks.length + 1
  const sorted = [...plan.tasks].sort((a, b) => placeOf(a) - placeOf(b))
  const lines = sorted.map((task) => ({
    id: taskKey(task.id),
    label: isWide ? task.label : labelOf(task.id),
    note: <TaskNote task={task} row={rowOf(task.id)} day={day} />,
    detail: <TaskDetail job={job} change={change} task={task} labelOf={labelOf} />,
  }))
  const done = lines.filter(({ id }) => ticked.includes(id)).length
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1.5 }}>
      {problem && <Alert severity="error">{problem}</Alert>}
      <Freshness fresh={isFresh}>
        {day && <DayAnswer day={day} basis={basisOf(...plan.tasks.map(({ basis }) => basis))} />}
        {!day && <Typography>Planning the day</Typography>}
        {day && isWide && day.rows.length > 0 && (
          <Drawn {...{ job, change, plan, day, chosen, lit }} onLight={setLit} onChoose={setChosen} />
        )}
      </Freshness>
      {day && day.refused.length > 0 && (
        <Typography>
          △ Later than asked for, as they wait for others: {day.refused.map(labelOf).join('; ').toLowerCase()}
          .
        </Typography>
      )}
      <DayBasics job={job} change={change} />
      <DayLimits job={job} change={change} />
      {isWide && <ProveFirst job={job} plan={plan} />}
      <section aria-labelledby="tasks-title">
        <Typography id="tasks-title" variant="h2">
          Tasks in order, {done} of {lines.length}
        </Typography>
        <Checklist
          label="Tasks"
          ordered
          ticked={ticked}
          onTick={(id, on) => void change(tick(id, on))}
          lines={lines}
          opened={chosen && taskKey(chosen)}
          lit={lit && taskKey(lit)}
          onLight={(key) => setLit(plan.tasks.find(({ id }) => taskKey(id) === key)?.id)}
        />
      </section>
      <Returns plan={plan} day={day} />
      <EarlierTimes job={job} change={change} labelOf={labelOf} />
      <Rules plan={plan} />
      {day && (
        <Box>
          <OfficeTime title={titleOf(summaryOf(job))} place={job.unit.site?.name} day={day} />
        </Box>
      )}
    </Box>
  )
}
