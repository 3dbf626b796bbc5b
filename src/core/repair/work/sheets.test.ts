import { recorded } from '../../../../tools/run/recorded'
import { workScene } from '../../../../tools/run/workScene'
import type { SuspectId } from '../../diagnosis/faults/faults'
import { loadRefrigerants } from '../../physics/refrigerants/tables'
import { decide } from '../../record/edits/decisionEdits'
import type { Edit } from '../../record/edits/edit'
import { setQuote } from '../../record/edits/dayEdits'
import { addLog } from '../../record/edits/listEdits'
import { beginStep, finishStep, setBubbled, skipStep } from '../../record/edits/workEdits'
import type { UnitPlate } from '../../record/equipment/unit'
import { emptyJob, type KnownJob } from '../../record/job/job'
import type { Samples } from '../../record/logs/samples'
import type { LogMark } from '../../record/records/log'
import type { LogPurpose } from '../../record/readings/logPurposes'
import { wallText } from '../../base/units/wall'
import { LOG_KINDS } from '../logs/kinds'
import { fromPascals } from '../../base/units/convert'
import { planOf } from '../plan/basis'
import type { Plan } from '../plan/plan'
import type { PlanTask } from '../plan/planTasks'
import { taskRow } from '../plan/tasks/tasks'
import { restOfDay } from './restOfDay'
import { runSheet } from './runSheet'
import { takenOffList } from './takenOff'

/** Whole jobs walked through their sheet, step by step, bad logs before good ones; what the sheet says after each, as on record. */
beforeAll(() => loadRefrigerants(['R-410A', 'R-22']))

const START = Date.parse('2026-11-27T08:00:00Z')
const at = (minutes: number) => new Date(START + minutes * 60_000).toISOString()

type Look = { readonly time: readonly number[]; readonly columns: readonly (readonly number[])[] }
const MARKS: Readonly<Record<LogPurpose, readonly LogMark[]>> = {
  recovery: [{ seconds: 300, what: 'stop' }],
  'pressure-test': [{ seconds: 0, what: 'hold' }],
  evacuation: [],
  decay: [{ seconds: 0, what: 'valve-shut' }],
  'weigh-in': [],
  'pull-down': [],
}
const LOOKS: Readonly<Record<LogPurpose, readonly [bad: Look, good: Look]>> = {
  recovery: [
    {
      time: [0, 300, 640],
      columns: [
        [120, 0, 12],
        [20, 27.5, 27.5],
      ],
    },
    {
      time: [0, 300, 640],
      columns: [
        [120, 0, 0],
        [20, 27.5, 27.5],
      ],
    },
  ],
  'pressure-test': [
    {
      time: [0, 960, 1900],
      columns: [
        [140, 134, 128],
        [75, 75, 75],
      ],
    },
    {
      time: [0, 960, 1900],
      columns: [
        [140, 140, 140],
        [75, 75, 75],
      ],
    },
  ],
  evacuation: [
    { time: [0, 900], columns: [[20_000, 3_000]] },
    { time: [0, 900], columns: [[20_000, 200]] },
  ],
  decay: [
    { time: [0, 960], columns: [[200, 1900]] },
    { time: [0, 960], columns: [[200, 240]] },
  ],
  'weigh-in': [
    { time: [0, 600], columns: [[30, 29]] },
    { time: [0, 600], columns: [[30, 22.5]] },
  ],
  'pull-down': [
    { time: [0, 2400], columns: [[75, 75]] },
    { time: [0, 2400], columns: [[75, 35]] },
  ],
}

type Walk = { job: KnownJob; samples: Record<string, Samples>; minute: number; ids: number }

const applied = (walk: Walk, made: Edit) => {
  walk.job = made(walk.job, { now: at(walk.minute), newId: () => `id-${++walk.ids}` }) as KnownJob
}

/** A hold at the pressure of the plan. */
const atTest = (plan: Plan, { time, columns: [pressure = [], clamp = []] }: Look): Look => {
  const gauge = plan.testPressure ? fromPascals(plan.testPressure.gauge, 'psia') : 0
  return { time, columns: [pressure.map((each) => gauge + each - 140), clamp] }
}

function withLog(walk: Walk, purpose: LogPurpose, { time, columns }: Look) {
  const id = `${purpose}-${++walk.ids}`
  walk.samples[id] = {
    time: Float64Array.from(time),
    values: LOG_KINDS[purpose].channels.map((_channel, i) =>
      Float64Array.from(time.map((_s, k) => columns[i]?.[k] ?? NaN)),
    ),
  }
  applied(
    walk,
    addLog({
      id,
      name: purpose,
      startedAt: at(walk.minute),
      source: 'hand',
      purpose,
      channels: LOG_KINDS[purpose].channels.map(([key, unit]) => ({ key, unit })),
      marks: [...MARKS[purpose]],
      samples: time.length,
    }),
  )
}

/** The sheet as text: what each open step is kept by, what holds, what is off, when it ends. */
function told({ job, samples, minute }: Walk, faults: readonly SuspectId[]): string {
  const plan = planOf(job, faults)
  const scene = workScene(job, plan, samples)
  const { state, holding } = scene
  const now = START + minute * 60_000
  const sheet = runSheet(scene, now)
  const steps = sheet.steps
    .filter(({ state: stands }) => stands !== 'waits')
    .map(({ task, state: stands, gates, vetoes, minutesLeft }) =>
      [
        task.id,
        stands,
        minutesLeft ?? '',
        gates
          .map(({ id, missing, isOpen }) => `${id}${isOpen ? ' open' : `: ${missing.join('; ')}`}`)
          .join(' + '),
        vetoes.length > 0 ? 'veto' : '',
      ]
        .join(' ')
        .trim(),
    )
  const rest = restOfDay(plan, sheet, wallText(Math.round(now / 60_000)))
  return [
    `holding ${holding.join(' ')}`,
    `current ${sheet.current?.task.id} next ${sheet.next?.task.id} done ${sheet.done}`,
    ...steps,
    `off ${takenOffList({ job, state, tasks: plan.tasks.map(({ id }) => id) })
      .map(({ what, state: is }) => `${what}=${is}`)
      .join(' ')}`,
    `rest ${rest.day.start} ${rest.tasks.map(({ id, handsOn, unattended }) => `${id} ${handsOn.join('/')}${unattended ? `+${unattended.join('/')}` : ''}`).join(', ')}`,
  ].join('\n')
}

/** What is done at a step: begun, its bad log, its good one, over; now and then left out. */
function work(walk: Walk, plan: Plan, task: PlanTask, tell: (what: string) => void) {
  const { log } = taskRow(task.id)
  applied(walk, beginStep(task.id, task.handsOn[1], { starts: taskRow(task.id).effects.starts === true }))
  tell(`${task.id} begun`)
  walk.minute += task.handsOn[1]
  if (log)
    for (const look of LOOKS[log]) {
      withLog(walk, log, log === 'pressure-test' ? atTest(plan, look) : look)
      walk.minute += 1
      tell(`${task.id} logged`)
    }
  if (task.id === 'bubbleJoints') applied(walk, setBubbled(true))
  walk.minute += task.unattended?.[1] ?? 0
  applied(walk, finishStep(task.id))
  tell(`${task.id} over`)
}

type Case = {
  readonly name: string
  readonly unit: UnitPlate
  readonly fault: SuspectId
  readonly skipped?: string
  /** the owner agreed before */
  readonly agreed?: true
}
const JOBS: readonly Case[] = [
  {
    name: 'valve',
    unit: {
      kind: 'split-ac',
      refrigerant: 'R-410A',
      metering: 'txv',
      nominalTons: 3,
      factoryCharge: { value: 7.5, unit: 'lb' },
    },
    fault: 'txv-underfeeding',
    agreed: true,
  },
  {
    name: 'compressor',
    unit: {
      kind: 'package-ac',
      refrigerant: 'R-22',
      metering: 'fixed-orifice',
      nominalTons: 3,
      factoryCharge: { value: 7.5, unit: 'lb' },
      power: { phase: 1, volts: 230 },
      crankcaseHeater: { watts: 40 },
    },
    fault: 'compressor-grounded',
    skipped: 'bubbleJoints',
  },
]

test.each(JOBS)('$name: the sheet after each step', ({ name, unit, fault, skipped, agreed }) => {
  const walk: Walk = {
    job: {
      ...emptyJob(unit),
      readingSets: [
        {
          id: 'a',
          mode: 'off',
          readings: {},
          observations: { acidTest: 'negative', acidTestKind: 'oil-kit', oilAppearance: 'clear' },
        },
      ],
    },
    samples: {},
    minute: 0,
    ids: 0,
  }
  applied(walk, decide(fault, undefined))
  if (agreed) applied(walk, setQuote({ askedAt: '2026-11-26T09:00', answer: 'given' }))
  const lines: string[] = []
  const tell = (what: string) => lines.push(`# ${what}\n${told(walk, [fault])}`)
  const plan = planOf(walk.job, [fault])
  for (const task of plan.tasks) {
    if (task.id === skipped) {
      applied(walk, skipStep(task.id, 'swept by the colleague before'))
      tell(`${task.id} left out`)
    } else work(walk, plan, task, tell)
  }
  const now = `${lines.join('\n')}\n`
  expect(now.split('\n')).toEqual(recorded(__dirname, `sheets/${name}.txt`, now).split('\n'))
})
