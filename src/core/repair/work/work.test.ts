import { applied } from '../../../../tools/run/applied'
import { workScene } from '../../../../tools/run/workScene'
import { logsOfPass } from '../logs/taskPurposes'
import { unitState } from '../../record/state/unitState'
import type { SuspectId } from '../../diagnosis/faults/faults'
import { planOf } from '../plan/basis'
import { effectsOf } from '../plan/tasks/tasks'
import { seededRandom } from '../../base/numeric/random'
import { loadRefrigerants } from '../../physics/refrigerants/tables'
import type { Samples } from '../../record/logs/samples'
import { decide } from '../../record/edits/decisionEdits'
import type { Edit } from '../../record/edits/edit'
import { setQuote } from '../../record/edits/dayEdits'
import { setClosing } from '../../record/edits/listEdits'
import { addSet, setMode } from '../../record/edits/setEdits'
import * as edits from '../../record/edits/workEdits'
import { emptyJob, type KnownJob } from '../../record/job/job'
import type { LogHead, LogMark, LogVerdict } from '../../record/records/log'
import type { LogPurpose } from '../../record/readings/logPurposes'
import { gatesOver, WORK_GATE_IDS, type WorkGateId, workGateRow } from '../../safety/workGates'
import type { Plan } from '../plan/plan'
import type { TaskId } from '../plan/tasks/tasks'
import { clockAt, jobTime, speedOf } from '../../record/job/jobTime'
import { startLines } from './firstStart'
import { gatesOf, vetoesOn } from './gates'
import { bubblesThatCount } from './momentsThatCount'
import { LOG_KINDS } from '../logs/kinds'
import { pullGuess, quickerWays } from '../logs/pumpSetup'
import { restOfDay } from './restOfDay'
import { retestRows } from './retests'
import { runSheet, type SheetScene } from './runSheet'
import { totalTurns, trimLines, turnsText } from './startUp'
import { stillOff, takenOffList } from './takenOff'

beforeAll(() => loadRefrigerants(['R-410A']))

const START = Date.parse('2026-11-27T08:00:00Z')
const at = (minutes: number) => new Date(START + minutes * 60_000).toISOString()

type Columns = readonly (readonly number[])[]
const NONE: readonly number[] = []

const apply = (job: KnownJob, ...all: readonly Edit[]): KnownJob => applied(job, START, all)

/** An edit at a minute of the work. */
const when =
  (minute: number, ...all: readonly Edit[]): Edit =>
  (job, stamp) =>
    edits.together(...all)(job, { ...stamp, now: at(minute) })

const UNIT = {
  kind: 'split-ac',
  refrigerant: 'R-410A',
  metering: 'txv',
  nominalTons: 3,
  factoryCharge: { value: 7.5, unit: 'lb' },
  power: { phase: 1, volts: 230 },
} as const
const decidedJob = () => apply(emptyJob(UNIT), decide('txv-underfeeding', undefined))

const sceneFor = (job: KnownJob) => {
  const plan = planOf(job, ['txv-underfeeding'])
  return { plan, scene: sceneOf(job, plan) }
}
/** What the sheet and the gates are made from, as the screen makes it. */
const sceneOf = (job: KnownJob, plan: Plan): SheetScene => workScene(job, plan, samples)
const gate = (job: KnownJob, task: TaskId, id: WorkGateId) => {
  const { scene } = sceneFor(job)
  const own = scene.tasks.find((each) => each.id === task)!
  return gatesOf(scene, own).find((each) => each.id === id)
}

/** Logs that their judges pass, and such that they do not: samples in the order of the channels, s and marks. */
const LOOKS: Readonly<
  Record<LogPurpose, { time: readonly number[]; good: Columns; bad: Columns; marks: readonly LogMark[] }>
> = {
  recovery: {
    time: [0, 300, 640],
    good: [
      [120, 0, 0],
      [20, 27.5, 27.5],
    ],
    bad: [
      [120, 0, 12],
      [20, 27.5, 27.5],
    ],
    marks: [{ seconds: 300, what: 'stop' }],
  },
  'pressure-test': {
    time: [0, 480, 960],
    good: [
      [236, 236, 236],
      [75, 75, 75],
    ],
    bad: [
      [236, 233, 230],
      [75, 75, 75],
    ],
    marks: [{ seconds: 0, what: 'hold' }],
  },
  evacuation: { time: [0, 900], good: [[20_000, 300], NONE], bad: [[20_000, 900], NONE], marks: [] },
  decay: {
    time: [0, 660],
    good: [[300, 340], NONE],
    bad: [[300, 1900], NONE],
    marks: [{ seconds: 0, what: 'valve-shut' }],
  },
  'weigh-in': { time: [0, 600], good: [[30, 22.5]], bad: [[30, 29]], marks: [] },
  'pull-down': { time: [0, 2400], good: [[75, 35]], bad: [[75, 75]], marks: [] },
}

/** The samples of every log that a test made, by its id. */
const samples: Record<string, Samples> = {}
const logWith = (purpose: LogPurpose, time: readonly number[], columns: Columns, minute: number): LogHead => {
  const log: LogHead = {
    id: `${purpose}-${minute}-${Object.keys(samples).length}`,
    name: purpose,
    startedAt: at(minute),
    source: 'hand',
    purpose,
    channels: LOG_KINDS[purpose].channels.map(([key, unit]) => ({ key, unit })),
    marks: [...LOOKS[purpose].marks],
    samples: time.length,
  }
  const values = columns.map((column) => Float64Array.from(column.length > 0 ? column : time.map(() => NaN)))
  samples[log.id] = { time: Float64Array.from(time), values }
  return log
}
const logOf = (purpose: LogPurpose, isGood: boolean, minute = 1): LogHead => {
  const { time, good, bad } = LOOKS[purpose]
  return logWith(purpose, time, isGood ? good : bad, minute)
}
const withLog =
  (log: LogHead): Edit =>
  (job) => ({ ...job, logs: [...job.logs, log] })
const done = (...tasks: TaskId[]): Edit =>
  edits.together(
    ...tasks.flatMap((id, i) => [when(i, edits.beginStep(id, 10)), when(i + 1, edits.finishStep(id))]),
  )

/** No guess is left in the charge of the plan: 7.5 lb and the new dryer's share. */
const KNOWN_CHARGE: Edit = (job) => ({
  ...job,
  unit: { ...job.unit, kind: 'package-ac', oldDryer: { cubicInches: 16, joint: 'sweat' } },
})
/** A weigh-in of as many pounds. */
const heavy = (pounds: number, minute: number) => logWith('weigh-in', [0, 600], [[30, 30 - pounds]], minute)
/** It is wet by its indicator: three pulls are planned. */
const WET: Edit = (job) => ({
  ...job,
  readingSets: [
    {
      id: 'wet',
      at: at(-60),
      label: 'as found',
      mode: 'cooling',
      readings: {},
      observations: { moistureIndicator: 'wet' },
    },
  ],
})
/** An evacuation of so many pulls to 1,800 microns, broken so many times between them, or from the start. */
const pulls = (minute: number, count: number, breaks: number): LogHead => {
  const down = Array.from({ length: Math.max(count, 1) }, () => [20_000, count > 0 ? 1800 : 9000]).flat()
  const log = logWith(
    'evacuation',
    down.map((_value, i) => i * 600),
    [down, NONE],
    minute,
  )
  const marks = Array.from({ length: breaks }, (_mark, i) => ({
    seconds: 900 + i * 1200,
    what: 'sweep' as const,
  }))
  return { ...log, marks }
}
const HEAT_PUMP: Edit = (job) => ({ ...job, unit: { ...job.unit, kind: 'split-heat-pump' } })
const STARTED = when(5, edits.beginStep('settle', 10, { starts: true }))
/** A set with a reading in a mode. */
const setIn =
  (mode: 'cooling' | 'heating', minute: number): Edit =>
  (job) => ({
    ...job,
    readingSets: [
      ...job.readingSets,
      {
        id: `set-${mode}`,
        at: at(minute),
        label: mode,
        mode,
        readings: { suctionPressure: { value: 120, unit: 'psig' } },
      },
    ],
  })

/** Points of the first start that this job has. */
const startPoints = () => startLines(sceneWithUnit(decidedJob())).map(({ id }) => id)
const sceneWithUnit = (job: KnownJob) => ({ ...sceneFor(job).scene, unit: job.unit })

/** For each gate: a task that it holds up, what opens it, and what looks like that and does not. */
const GATES: Readonly<
  Record<WorkGateId, { task: TaskId; opens: Edit; wrong: readonly (readonly [string, Edit])[] }>
> = {
  'not-approved': {
    task: 'swapValve',
    opens: setQuote({ askedAt: '2026-11-26T09:00', answer: 'given', answeredAt: '2026-11-26T10:00' }),
    wrong: [
      ['asked for', setQuote({ askedAt: '2026-11-26T09:00' })],
      ['refused', setQuote({ askedAt: '2026-11-26T09:00', answer: 'refused' })],
    ],
  },
  'over-weight': {
    task: 'settle',
    opens: edits.together(KNOWN_CHARGE, withLog(heavy(7.9, 1)), withLog(heavy(7.5, 20))),
    wrong: [
      ['0.4 lb over', edits.together(KNOWN_CHARGE, withLog(heavy(7.9, 1)))],
      [
        'as calculated once, over after that',
        edits.together(KNOWN_CHARGE, withLog(heavy(7.5, 1)), withLog(heavy(7.9, 20))),
      ],
    ],
  },
  'not-recovered': {
    task: 'swapValve',
    opens: edits.together(withLog(logOf('recovery', true)), done('recover')),
    wrong: [
      ['ticked without a log', done('recover')],
      ['a log that did not pass', edits.together(withLog(logOf('recovery', false)), done('recover'))],
      [
        'a later log that did not pass',
        edits.together(
          withLog(logOf('recovery', true, 1)),
          withLog(logOf('recovery', false, 9)),
          done('recover'),
        ),
      ],
    ],
  },
  'not-swept': {
    task: 'swapValve',
    opens: done('sweep'),
    wrong: [['left out', when(1, edits.skipStep('sweep', 'no nitrogen left on the van'))]],
  },
  'not-tested': {
    task: 'evacuate',
    opens: edits.together(withLog(logOf('pressure-test', true)), when(3, edits.setBubbled(true))),
    wrong: [
      ['a hold alone', withLog(logOf('pressure-test', true))],
      ['bubbles alone', when(3, edits.setBubbled(true))],
    ],
  },
  'not-dry': {
    task: 'weighIn',
    opens: withLog(logOf('decay', true)),
    wrong: [
      ['a pull that reached its target', withLog(logOf('evacuation', true))],
      ['a rise over the limit', withLog(logOf('decay', false))],
    ],
  },
  'not-charged': {
    task: 'settle',
    opens: done('weighIn'),
    wrong: [['a log of the scale', withLog(logOf('weigh-in', true))]],
  },
  'not-listed': {
    task: 'settle',
    opens: edits.together(...startPoints().map((id) => edits.checkStart(id, true))),
    wrong: [
      [
        'all but one',
        edits.together(
          ...startPoints()
            .filter((id) => id !== 'valves')
            .map((id) => edits.checkStart(id, true)),
        ),
      ],
      [
        'all ticked while the cores are out',
        edits.together(
          when(0, edits.beginStep('recover', 9)),
          ...startPoints().map((id) => edits.checkStart(id, true)),
        ),
      ],
    ],
  },
  'not-proven': {
    task: 'closeUp',
    opens: setClosing({ proven: 'not-proven-today' }),
    wrong: [
      [
        'a set from before the start',
        edits.together(when(1, addSet('a')), when(5, edits.beginStep('settle', 10, { starts: true }))),
      ],
      [
        'an empty set after it',
        edits.together(when(5, edits.beginStep('settle', 10, { starts: true })), when(6, addSet('a'))),
      ],
      ['said to be proven', setClosing({ proven: 'proven' })],
    ],
  },
  'too-few-pulls': {
    task: 'weighIn',
    opens: edits.together(WET, withLog(pulls(1, 3, 2))),
    wrong: [
      ['one long pull', edits.together(WET, withLog(pulls(1, 1, 0)))],
      ['two pulls and a break', edits.together(WET, withLog(pulls(1, 2, 1)))],
      [
        'three pulls on three logs, no break marked',
        edits.together(WET, ...[1, 9, 18].map((at) => withLog(pulls(at, 1, 0)))),
      ],
      ['broken twice, never pulled', edits.together(WET, withLog(pulls(1, 0, 2)))],
    ],
  },
  'one-mode': {
    task: 'closeUp',
    opens: edits.together(HEAT_PUMP, STARTED, edits.setRun({ otherModeOn: '2026-12-14' })),
    wrong: [
      ['not started yet', HEAT_PUMP],
      ['no set yet', edits.together(HEAT_PUMP, STARTED)],
      ['cooling alone', edits.together(HEAT_PUMP, STARTED, setIn('cooling', 10))],
      [
        'heating from before the start',
        edits.together(HEAT_PUMP, setIn('heating', 1), STARTED, setIn('cooling', 10)),
      ],
    ],
  },
  'not-put-back': {
    task: 'closeUp',
    opens: (job) => job,
    wrong: [['panels off since access was gained', when(1, edits.beginStep('gainAccess', 20))]],
  },
}

/** Open until something was done that shuts them. */
const SHUT_LATER: readonly WorkGateId[] = ['not-put-back', 'over-weight', 'too-few-pulls', 'one-mode']

describe('gates of the work (handbook 07, 08, 09, 13)', () => {
  test.each(WORK_GATE_IDS)('%s is shut before, opens by what it asks for, and by nothing else', (id) => {
    const { task, opens, wrong } = GATES[id]
    if (!SHUT_LATER.includes(id)) expect(gate(decidedJob(), task, id)).toMatchObject({ isOpen: false })
    expect(gate(apply(decidedJob(), opens), task, id)).toMatchObject({ isOpen: true, missing: [] })
    for (const [name, edit] of wrong) {
      const shut = gate(apply(decidedJob(), edit), task, id)
      expect([name, shut?.isOpen]).toEqual([name, false])
      expect(shut!.missing.length).toBeGreaterThan(0)
      // and where it is done, which the plan has
      const { place } = shut!
      expect(place).toBeDefined()
      if (place!.at === 'step')
        expect(sceneFor(apply(decidedJob(), edit)).plan.tasks.map((each) => each.id)).toContain(place!.task)
    }
  })
  test.each([
    [
      1,
      0,
      [
        '2 more breaks with nitrogen after a pull, marked in the log',
        '2 more pulls to 2,000 microns or below',
      ],
    ],
    [
      2,
      1,
      ['1 more break with nitrogen after a pull, marked in the log', '1 more pull to 2,000 microns or below'],
    ],
  ])('%i pulls and %i breaks lack', (count, breaks, missing) => {
    const { task } = GATES['too-few-pulls']
    const job = apply(decidedJob(), edits.together(WET, withLog(pulls(1, count, breaks))))
    expect(gate(job, task, 'too-few-pulls')!.missing).toEqual(missing)
  })
  test('done while its gate stays shut is told at once, and no longer once it opens or a reason passes it', () => {
    const behind = (job: KnownJob) =>
      runSheet(sceneFor(job).scene, START + 60 * 60_000).shutBehind.map(({ step, gate: { id } }) => [
        step.task.id,
        id,
      ])
    const ticked = apply(decidedJob(), done('recover'))
    expect(behind(decidedJob())).toEqual([])
    expect(behind(ticked)).toEqual([['recover', 'not-recovered']])
    expect(behind(apply(ticked, withLog(logOf('recovery', true))))).toEqual([])
    const opening = sceneFor(ticked).plan.tasks.filter(({ id }) => gate(ticked, id, 'not-recovered'))
    const reasons = opening.map(({ id }) => edits.overrideGate(id, 'not-recovered', 'the scale broke'))
    expect(behind(apply(ticked, ...reasons))).toEqual([])
    expect(behind(apply(decidedJob(), done('pressureTest')))).toEqual([['pressureTest', 'not-tested']])
  })
  test('a sweep with an end open waits for the recovery; a core that is out holds up the start', () => {
    expect(gate(decidedJob(), 'sweep', 'not-recovered')).toMatchObject({ isOpen: false })
    const out = apply(decidedJob(), when(0, edits.beginStep('recover', 9)))
    expect(gate(out, 'settle', 'not-listed')!.missing).toContain('Valve cores back in')
    const back = apply(out, when(5, edits.markTaken({ what: 'valve-cores', label: 'Valve cores' }, 'back')))
    expect(gate(back, 'settle', 'not-listed')!.missing).not.toContain('Valve cores back in')
  })
  test('the list of the first start holds what this unit and this job have', () => {
    const points = (unit: object, faults: SuspectId[] = ['txv-underfeeding']) => {
      const job: KnownJob = { ...decidedJob(), unit: { ...decidedJob().unit, ...unit } }
      const { tasks } = planOf(job, faults)
      return startLines({ unit: job.unit, tasks, state: unitState(job, effectsOf) }).map(({ id }) => id)
    }
    expect(points({})).toEqual(['valves', 'gauges', 'disconnect', 'limits'])
    // after an evacuation there is nothing to boil out; a charged circuit that stood cold has its hours
    const crankcaseHeater = { watts: 40 }
    expect(points({ crankcaseHeater })).toContain('heater')
    expect(points({ crankcaseHeater })).not.toContain('warm')
    expect(points({ crankcaseHeater }, ['start-gear-failed'])).toEqual([
      'warm',
      'gauges',
      'disconnect',
      'limits',
    ])
    expect(points({}, ['compressor-open-winding'])).toContain('oil')
    expect(points({ power: { phase: 3, volts: 230 } })).toContain('rotation')
    const limits = startLines({
      unit: {
        ...decidedJob().unit,
        power: { phase: 1, volts: 230, rla: 16.7 },
        designPressures: { high: { value: 450, unit: 'psig' } },
      },
      tasks: [],
      state: { off: {} },
    }).find(({ id }) => id === 'limits')!
    expect(limits.label).toContain('amps over 16.7 A, head over 450 psig')
  })
  test('readings of a running unit after the start open the last one', () => {
    const job = apply(
      decidedJob(),
      when(5, edits.beginStep('settle', 10, { starts: true })),
      when(20, addSet('a')),
      (each) => ({
        ...each,
        readingSets: each.readingSets.map((set) =>
          set.id === 'a'
            ? { ...set, readings: { suctionPressure: { value: 120, unit: 'psig' as const } } }
            : set,
        ),
      }),
    )
    expect(gate(job, 'closeUp', 'not-proven')).toMatchObject({ isOpen: true })
  })
  test.each(WORK_GATE_IDS)('%s: a reason passes it only where that is allowed', (id) => {
    const { task } = GATES[id]
    const shut = SHUT_LATER.includes(id) ? apply(decidedJob(), GATES[id].wrong[0]![1]) : decidedJob()
    const { canOverride, reasonFor } = workGateRow(id)
    const write = (reason: string) =>
      reasonFor === 'repair'
        ? setQuote({ without: reason || undefined })
        : edits.overrideGate(task, id, reason)
    const job = apply(shut, write('the owner takes it on himself'))
    expect(gate(job, task, id)!.override).toBe(canOverride ? 'the owner takes it on himself' : undefined)
    expect(gate(apply(job, write('')), task, id)!.override).toBeUndefined()
  })
  test('flame, a start in vacuum and a start without its charge are passed by no reason', () => {
    expect(gatesOver(['flame', 'first-start']).filter((id) => !workGateRow(id).canOverride)).toEqual([
      'not-swept',
      'not-charged',
    ])
  })
  test('states of the vetoes follow what was done: no start between vacuum and charge', () => {
    const pulled = sceneFor(apply(decidedJob(), done('sweep', 'pressureTest', 'evacuate'))).scene
    expect(pulled.holding).toContain('evacuated')
    expect(vetoesOn('settle', pulled.holding, [])[0]?.sentence).toMatch(/evacuated and not charged/)
    const filled = sceneFor(apply(decidedJob(), done('sweep', 'pressureTest', 'evacuate', 'weighIn'))).scene
    expect(vetoesOn('settle', filled.holding, [])).toEqual([])
  })
  test('a repair that opens nothing asks for no recovery', () => {
    const job = apply(emptyJob(UNIT), decide('condenser-fouled', undefined))
    const plan = planOf(job, ['condenser-fouled'])
    const scene = sceneOf(job, plan)
    const all = plan.tasks.flatMap((task) => gatesOf(scene, task)).map(({ id }) => id)
    expect(all).not.toContain('not-recovered')
    expect(all).toContain('not-proven')
  })
})

describe('a verdict comes from samples and marks, and from nothing else', () => {
  const opened = (job: KnownJob, task: TaskId, id: WorkGateId) => gate(job, task, id)!.isOpen
  const straight = (from: number, to: number, looks: number): Columns => [
    Array.from({ length: looks }, (_look, i) => from + ((to - from) * i) / (looks - 1)),
    NONE,
  ]
  const every = (seconds: number, looks: number) => Array.from({ length: looks }, (_look, i) => i * seconds)

  test('a log without samples opens nothing, whatever was said of it', () => {
    const said = { at: at(2), sentence: 'No leak seen.' }
    const empty = (purpose: LogPurpose): Edit => withLog({ ...logOf(purpose, true), samples: 0, said })
    for (const log of Object.keys(samples)) delete samples[log]
    const job = apply(decidedJob(), empty('pressure-test'), empty('decay'), when(3, edits.setBubbled(true)))
    for (const { id } of job.logs) samples[id] = { time: new Float64Array(0), values: [] }
    expect(gate(job, 'evacuate', 'not-tested')!.missing.join()).toMatch(/said before has no samples/)
    expect(opened(job, 'evacuate', 'not-tested')).toBe(false)
    expect(opened(job, 'weighIn', 'not-dry')).toBe(false)
  })
  test('a verdict that a file or another build wrote opens nothing', () => {
    const forged = {
      digest: '1',
      by: '1',
      at: at(2),
      limit: 'passed' as const,
      missing: [],
      sentence: 'Passes.',
    }
    const job = apply(decidedJob(), withLog({ ...logOf('decay', false), verdict: forged }))
    expect(opened(job, 'weighIn', 'not-dry')).toBe(false)
    // nor while its samples are still being read
    const unread = apply(decidedJob(), withLog({ ...logOf('decay', true), id: 'unread', verdict: forged }))
    expect(gate(unread, 'weighIn', 'not-dry')!.missing).toEqual([
      'a decay test that passed: the log is being judged',
    ])
  })
  test('300 to 900 microns, straight, is a leak whether the screen has its fit or not', () => {
    const log = logWith('decay', every(30, 21), straight(300, 900, 21), 1)
    const job = apply(decidedJob(), withLog(log))
    expect(gate(job, 'weighIn', 'not-dry')).toMatchObject({ isOpen: false })
    expect(gate(job, 'weighIn', 'not-dry')!.missing.join()).toMatch(/the curve shows one/)
    const { plan } = sceneFor(job)
    const pending = LOG_KINDS.decay.judge(
      { head: log, samples: samples[log.id]! },
      { plan },
      { fit: 'pending' },
    )
    expect(pending).toMatchObject({ limit: 'passed', cause: 'pending' })
    expect(pending.missing).toHaveLength(1)
  })
  test('a joint that is brazed after test and decay shuts both; opening a valve or charging does not', () => {
    const shown = apply(
      decidedJob(),
      done('swapValve', 'swapLiquidDryer', 'pressureTest', 'decayTest'),
      withLog({ ...logOf('pressure-test', true, 10), step: 'pressureTest' }),
      when(26, edits.setBubbled(true)),
      withLog({ ...logOf('decay', true, 40), step: 'decayTest' }),
    )
    expect([opened(shown, 'evacuate', 'not-tested'), opened(shown, 'weighIn', 'not-dry')]).toEqual([
      true,
      true,
    ])
    const charged = apply(
      shown,
      when(60, edits.beginStep('openValves', 5)),
      when(61, edits.beginStep('weighIn', 10)),
    )
    expect([opened(charged, 'evacuate', 'not-tested'), opened(charged, 'weighIn', 'not-dry')]).toEqual([
      true,
      true,
    ])
    const brazed = apply(
      shown,
      when(60, edits.repeatStep('swapLiquidDryer')),
      when(60, edits.beginStep('swapLiquidDryer', 20)),
    )
    for (const [task, id] of [
      ['evacuate', 'not-tested'],
      ['weighIn', 'not-dry'],
    ] as const) {
      const shut = gate(brazed, task, id)!
      expect(shut.isOpen).toBe(false)
      expect(shut.missing.join()).toMatch(/once more: “Fit the liquid dryer.*” opened the circuit after it/)
    }
    // the bubbles were of the old joints
    expect(gate(brazed, 'evacuate', 'not-tested')!.missing).toContain('every joint bubbled')
    expect([bubblesThatCount({ job: shown }), bubblesThatCount({ job: brazed })]).toEqual([at(26), undefined])
  })
  test('a stricter policy judges again; a closed round stays as it was', () => {
    const log = logWith('decay', [0, 660], [[400, 620], NONE], 1)
    const passed = apply(decidedJob(), withLog(log))
    expect(opened(passed, 'weighIn', 'not-dry')).toBe(true)
    const kept = sceneFor(passed).scene.verdicts[log.id] as LogVerdict
    const withVerdict = { ...passed, logs: [{ ...log, verdict: kept }] }
    const strict: KnownJob = { ...withVerdict, policy: { decayLimit: 'strict-500' } }
    expect(opened(strict, 'weighIn', 'not-dry')).toBe(false)
    const closed = { ...strict, rounds: [{ id: 'only', why: 'first' as const, closedAt: at(90) }] }
    expect(opened(closed, 'weighIn', 'not-dry')).toBe(true)
    // what is closed stays as long as its samples do
    const other = {
      ...closed,
      logs: [{ ...closed.logs[0]!, marks: [{ seconds: 1, what: 'valve-shut' as const }] }],
    }
    expect(opened(other, 'weighIn', 'not-dry')).toBe(false)
  })
  test('a borderline is shut until it is repeated, or a reason is written', () => {
    const near = () => logWith('decay', [0, 660], [[600, 1030], NONE], Object.keys(samples).length)
    const once = apply(decidedJob(), withLog(near()))
    expect(gate(once, 'weighIn', 'not-dry')!.missing.join()).toMatch(/borderline/)
    expect(opened(apply(once, withLog(near())), 'weighIn', 'not-dry')).toBe(true)
    const reason = apply(once, edits.overrideGate('weighIn', 'not-dry', 'the owner takes it'))
    expect(gate(reason, 'weighIn', 'not-dry')).toMatchObject({
      isOpen: false,
      override: 'the owner takes it',
    })
  })
  test.each([
    [2199, undefined],
    [
      2200,
      'Dry not proven: air is out, refrigerant seeps past the valves, it stood at 2,200 microns, stopped.',
    ],
    [
      4200,
      'Dry not proven: air is out, refrigerant seeps past the valves, it stood at 4,200 microns, stopped.',
    ],
    [4201, undefined],
  ])('an isolated part that stands at %s microns: the reason that is offered', (microns, offer) => {
    const job = apply(
      decidedJob(),
      (all) => ({ ...all, repair: { way: 'pump-down', valvesTight: true } }),
      withLog(logWith('evacuation', [0, 300, 600, 900], [[microns, microns, microns, microns], NONE], 1)),
    )
    const { plan, scene } = sceneFor(job)
    expect(plan.isPart).toBe(true)
    const own = gatesOf(scene, { id: 'letIn', opens: false }).find(({ id }) => id === 'not-dry')!
    expect([own.isOpen, own.override, own.offer]).toEqual([false, undefined, offer])
    // by one tap it is written, and told as what it is
    const written = apply(job, edits.overrideGate('letIn', 'not-dry', offer ?? 'seen to'))
    const after = gatesOf(sceneFor(written).scene, { id: 'letIn', opens: false })
    expect(after.find(({ id }) => id === 'not-dry')!.override).toBe(offer ?? 'seen to')
    // where all is evacuated nothing of the kind is offered
    expect(
      gate(
        apply(job, (all) => ({ ...all, repair: {} })),
        'weighIn',
        'not-dry',
      )!.offer,
    ).toBeUndefined()
  })
  test('a borderline is not confirmed by a log without samples, nor by one of an earlier pass', () => {
    const near = (minute: number) => logWith('decay', [0, 660], [[600, 1030], NONE], minute)
    const empty = near(1)
    samples[empty.id] = { time: new Float64Array(), values: [new Float64Array(), new Float64Array()] }
    expect(opened(apply(decidedJob(), withLog(empty), withLog(near(30))), 'weighIn', 'not-dry')).toBe(false)
    const again = apply(
      decidedJob(),
      when(0, edits.beginStep('decayTest', 2)),
      withLog({ ...near(1), step: 'decayTest' }),
      when(20, edits.repeatStep('decayTest')),
    )
    const second = again.steps.find(({ pass }) => pass === 2)!
    expect(opened(apply(again, withLog({ ...near(30), step: second.id })), 'weighIn', 'not-dry')).toBe(false)
  })
  test('a log that is still written asks for its end; one of no fit in time asks for more minutes', () => {
    const { samples: _count, ...open } = logOf('decay', true)
    expect(gate(apply(decidedJob(), withLog(open)), 'weighIn', 'not-dry')!.missing.join()).toMatch(
      /end the log/,
    )
    const short = logWith('decay', [0, 180], [[300, 310], NONE], 1)
    expect(gate(apply(decidedJob(), withLog(short)), 'weighIn', 'not-dry')!.missing.join()).toMatch(
      /watch 7 min more/,
    )
  })
})

describe('the run sheet', () => {
  const sheetOf = (job: KnownJob, minute: number) => runSheet(sceneFor(job).scene, START + minute * 60_000)

  test('begins with the first task; the others wait', () => {
    const sheet = sheetOf(decidedJob(), 0)
    expect(sheet.current?.task.id).toBe('setUp')
    expect(sheet.steps.filter(({ state }) => state === 'ready')).toHaveLength(1)
  })
  test('hands are at one task at a time, and what they took is counted from moments', () => {
    const job = apply(
      decidedJob(),
      when(0, edits.beginStep('setUp', 20)),
      when(10, edits.pauseStep('setUp')),
      when(15, edits.beginStep('setUp', 20)),
      when(21, edits.finishStep('setUp')),
    )
    expect(job.day?.took?.setUp).toEqual({ planned: 20, actual: 16 })
    expect(job.ticks.map(({ key }) => key)).toContain('task:setUp')
    const two = apply(job, when(22, edits.beginStep('confirm', 10)), when(25, edits.beginStep('setUp', 20)))
    expect(two.steps.find(({ id }) => id === 'confirm')!.spans).toEqual([{ from: at(22), to: at(25) }])
    expect(sheetOf(two, 26).current?.task.id).toBe('setUp')
  })
  test('what runs unattended has a clock that is computed: hours later it is over, not paused', () => {
    const job = apply(
      decidedJob(),
      done('setUp', 'confirm', 'lockOut', 'gainAccess'),
      when(10, edits.beginStep('recover', 10)),
      when(20, edits.leaveStep('recover')),
    )
    const running = sheetOf(job, 30).running[0]!
    expect(running.minutesLeft).toBeCloseTo(20, 6)
    expect(sheetOf(job, 200).running[0]!.minutesLeft).toBeCloseTo(-150, 6)
  })
  test('taking back makes it open again; leaving out keeps the reason', () => {
    const back = apply(decidedJob(), done('setUp'), edits.reopenStep('setUp'))
    expect(sheetOf(back, 5).steps[0]!.state).toBe('paused')
    expect(back.ticks).toEqual([])
    const out = apply(decidedJob(), when(1, edits.skipStep('setUp', 'gear stands there since yesterday')))
    expect(sheetOf(out, 5).steps[0]!.state).toBe('skipped')
    expect(sheetOf(out, 5).current?.task.id).toBe('confirm')
  })
  test('the rest of the day begins now, without what is over and with the rest of what runs', () => {
    const job = apply(
      decidedJob(),
      done('setUp', 'confirm', 'lockOut', 'gainAccess'),
      when(10, edits.beginStep('recover', 10)),
      when(20, edits.leaveStep('recover')),
    )
    const { plan, scene } = sceneFor(job)
    const { tasks, day } = restOfDay(plan, runSheet(scene, START + 30 * 60_000), '2026-11-27T08:30')
    expect(day.start).toBe('2026-11-27T08:30')
    expect(tasks.map(({ id }) => id)).not.toContain('setUp')
    expect(tasks.find(({ id }) => id === 'recover')).toMatchObject({
      handsOn: [1, 1, 1],
      unattended: [20, 20, 20],
      after: [],
    })
  })
})

describe('taken off', () => {
  const linesOf = (job: KnownJob) => {
    const { plan, scene } = sceneFor(job)
    return takenOffList({ ...scene, tasks: plan.tasks.map(({ id }) => id) })
  }
  test('the plan fills it; what a begun task takes off counts as off until it is said otherwise', () => {
    const job = apply(decidedJob(), when(1, edits.beginStep('swapValve', 50)))
    const lines = linesOf(job)
    const bulb = lines.find(({ label }) => label.startsWith('Bulb'))!
    expect(bulb.state).toBe('off')
    const back = apply(job, when(40, edits.markTaken(bulb, 'back')))
    expect(linesOf(back).find(({ what }) => what === bulb.what)!.state).toBe('back')
    const stays = apply(job, edits.markTaken(bulb, 'stays'))
    expect(stillOff(linesOf(stays)).map(({ what }) => what)).not.toContain(bulb.what)
  })
  test('by hand: there until it is back, and removable', () => {
    const job = apply(decidedJob(), when(3, edits.addTaken('Fan guard')))
    const own = linesOf(job).find(({ isOwn }) => isOwn)!
    expect(own).toMatchObject({ label: 'Fan guard', state: 'off' })
    expect(linesOf(apply(job, edits.removeTaken(own.what))).some(({ isOwn }) => isOwn)).toBe(false)
  })
})

describe('what a pull is calculated from', () => {
  const plan = () => planOf(decidedJob(), ['txv-underfeeding'])
  test('as written; a core that stays in is a hose of its own', () => {
    const guess = pullGuess(plan(), {
      hose: '1/4',
      hoses: 2,
      coresOut: false,
      pumpFlow: { value: 8, unit: 'cfm' },
    })
    expect(guess.ways).toHaveLength(2)
    expect(guess.ways[0]).toHaveLength(2)
    expect(guess.pump.speed).toBeCloseTo(8 * 0.000471947, 6)
  })
  test('what would be quicker: the next hose, cores out, both sides; nothing for the best', () => {
    expect(quickerWays(plan(), { hose: '1/4', coresOut: false }).map(({ label }) => label)).toEqual([
      'cores out',
      '3/8 in hose',
      'both sides',
    ])
    expect(quickerWays(plan(), { hose: '3/4', hoses: 2, coresOut: true })).toEqual([])
  })
})

describe('time of a demo job', () => {
  const real = Date.parse('2026-11-27T08:00:00Z')
  test('is the clock where nothing is set, and a function of what is stored', () => {
    expect(jobTime(undefined, real)).toBe(real)
    const fast = clockAt(undefined, real, 60)
    expect(jobTime(fast, real + 10_000)).toBe(real + 600_000)
    expect(speedOf(fast, real + 1000)).toBe(60)
  })
  test('runs fast for half an hour at most and never backwards', () => {
    const fast = clockAt(undefined, real, 300)
    const random = seededRandom(9)
    let before = -Infinity
    for (let i = 0, now = real; i < 200; i += 1, now += random() * 60_000) {
      const shown = jobTime(fast, now)
      expect(shown).toBeGreaterThanOrEqual(before)
      before = shown
    }
    const day = 86_400_000
    expect(jobTime(fast, real + day)).toBe(real + 1_800_000 * 300 + day - 1_800_000)
    expect(speedOf(fast, real + day)).toBe(1)
    const slowed = clockAt(fast, real + 10_000, 1)
    expect(jobTime(slowed, real + 10_000)).toBe(jobTime(fast, real + 10_000))
  })
})

test('every edit of a demo job is in its own time: a set from the usual bar counts as after the start', () => {
  const job = apply(
    decidedJob(),
    edits.setRun({ clock: { real: at(0), shown: at(0), speed: 60 } }),
    when(5, edits.beginStep('settle', 10, { starts: true })),
    when(6, addSet('a')),
  )
  expect(job.repair!.startedAt).toBe(at(300))
  expect(job.readingSets.find(({ id }) => id === 'a')!.at).toBe(at(360))
})

describe('start-up and after', () => {
  test('turns are added up and told so that they can be counted back', () => {
    const job = apply(
      decidedJob(),
      when(1, edits.addTurn(0.5)),
      when(20, edits.addTurn(0.25)),
      when(40, edits.addTurn(-1.5)),
    )
    expect(totalTurns(job.run!.turns!)).toBe(-0.75)
    expect([0, 0.25, -0.75, 1.75].map(turnsText)).toEqual([
      'where it was',
      '1/4 turn in',
      '3/4 turn out',
      '1 3/4 turns in',
    ])
    expect(apply(job, edits.removeTurn(job.run!.turns![2]!.id)).run!.turns).toHaveLength(2)
  })
  test('each step of the trim tells what it did', () => {
    const trims = [
      { id: 'a', at: at(0), what: '2 oz more', superheat: 10, subcooling: 3 },
      { id: 'b', at: at(12), what: 'half a turn in', superheat: 8, subcooling: 5 },
    ]
    const [first, second] = trimLines(trims, { at: START + 30 * 60_000, superheat: 11, subcooling: 5 })
    expect(first).toMatchObject({ superheatBy: -2, subcoolingBy: 2, waited: 12 })
    expect(second).toMatchObject({ superheatBy: 3, subcoolingBy: 0, waited: 18 })
  })
  test('tests after the start have their own clocks, days later', () => {
    const job = apply(decidedJob(), when(0, edits.beginStep('settle', 10, { starts: true })))
    const plan = planOf(job, ['txv-underfeeding'])
    const wet = {
      contamination: {
        ...plan.contamination,
        contents: { ...plan.contamination.contents, wet: true },
        acid: { ...plan.contamination.acid, retestHours: [24] },
      },
    }
    const rows = (minute: number, now: KnownJob = job) =>
      retestRows(wet, now.repair, now.run, START + minute * 60_000)
    expect(rows(60).map(({ id, state }) => [id, state])).toEqual([
      ['moisture-12', 'ahead'],
      ['acid-24', 'ahead'],
    ])
    expect(rows(25 * 60)[1]!.state).toBe('due')
    const begun = apply(job, when(1500, edits.markRetest(rows(0)[1]!, 'startedAt')))
    expect(rows(1502, begun)[1]).toMatchObject({ state: 'running', kitLeft: 3 })
    const read = apply(
      begun,
      when(1505, edits.markRetest(rows(0)[1]!, 'doneAt'), edits.setRetestResult(rows(0)[1]!, 'clear')),
    )
    expect(rows(1510, read)[1]).toMatchObject({ state: 'done', known: { result: 'clear' } })
    expect(retestRows(wet, undefined, undefined, START)).toEqual([])
  })
})

describe('passes', () => {
  const logOfStep = (purpose: LogPurpose, step: string, minute: number): Edit =>
    withLog({ ...logOf(purpose, true, minute), step })
  const dryOf = (job: KnownJob) => gate(job, 'weighIn', 'not-dry')?.isOpen
  const tested = () =>
    apply(
      decidedJob(),
      done('decayTest'),
      logOfStep('decay', 'decayTest', 3),
      done('pressureTest'),
      logOfStep('pressure-test', 'pressureTest', 4),
      edits.setBubbled(true),
    )
  test('a step that is done again shuts its gate; what the earlier pass showed stays with it', () => {
    expect(dryOf(tested())).toBe(true)
    const again = apply(tested(), when(30, edits.repeatStep('decayTest')))
    expect(dryOf(again)).toBe(false)
    const step = runSheet(sceneFor(again).scene, START + 31 * 60_000).steps.find(
      ({ task }) => task.id === 'decayTest',
    )!
    expect(step.record).toMatchObject({ id: 'only.decayTest.2', task: 'decayTest', pass: 2 })
    expect(step.earlier).toMatchObject([{ id: 'decayTest', doneAt: expect.any(String) as string }])
    const logged = apply(
      again,
      when(31, edits.beginStep('decayTest', 2)),
      logOfStep('decay', 'only.decayTest.2', 32),
    )
    expect(dryOf(logged)).toBe(true)
    // a log of the first pass that was begun late opens nothing
    expect(dryOf(apply(again, logOfStep('decay', 'decayTest', 40)))).toBe(false)
  })
  test('bubbles count for the pass in which they were looked for: just before, at and after it was called for', () => {
    const open = (minute: number) => {
      const job = apply(
        tested(),
        when(30, edits.repeatStep('pressureTest')),
        logOfStep('pressure-test', 'only.pressureTest.2', 31),
        when(minute, edits.setBubbled(true)),
      )
      return gate(job, 'evacuate', 'not-tested')?.isOpen
    }
    expect([29, 30, 31].map(open)).toEqual([false, true, true])
  })
  test('a pass that was called for by mistake goes again, one in which something was done does not', () => {
    const again = apply(tested(), when(30, edits.repeatStep('decayTest')))
    expect(dryOf(apply(again, edits.dropPass('decayTest')))).toBe(true)
    const begun = apply(again, when(31, edits.beginStep('decayTest', 2)), edits.dropPass('decayTest'))
    expect(begun.steps.filter(({ task }) => task === 'decayTest')).toHaveLength(2)
    expect(apply(tested(), edits.dropPass('decayTest')).steps).toEqual(tested().steps)
  })
  test('logs of a pass: by its step; one that names none belongs to the first', () => {
    const job = apply(
      decidedJob(),
      done('recover'),
      withLog(logOf('recovery', true)),
      edits.repeatStep('recover'),
    )
    const [one, two] = job.steps.filter(({ task }) => task === 'recover')
    expect(logsOfPass(job.logs, one!)).toHaveLength(1)
    expect(logsOfPass(job.logs, two!)).toEqual([])
  })
})

describe('what is planned no longer', () => {
  test('stays in the sheet with what it showed, out of the count, and still counts for the gates', () => {
    const job = apply(decidedJob(), done('recover', 'changeOil'))
    const { scene } = sceneFor(job)
    expect(scene.tasks.map(({ id }) => id)).not.toContain('changeOil')
    const sheet = runSheet(scene, START + 20 * 60_000)
    expect(sheet.unplanned.map(({ task, state }) => [task.id, state])).toEqual([['changeOil', 'done']])
    expect(sheet.done).toBe(1)
    const nothing = runSheet({ ...scene, tasks: [] }, START + 20 * 60_000)
    expect(nothing.steps).toEqual([])
    expect(nothing.unplanned.map(({ task }) => task.id).sort()).toEqual(['changeOil', 'recover'])
  })
  test('somebody who is at it can still end it', () => {
    const job = apply(decidedJob(), when(1, edits.beginStep('changeOil', 25)))
    expect(runSheet(sceneFor(job).scene, START + 5 * 60_000).current).toMatchObject({
      state: 'hands',
      task: { id: 'changeOil' },
    })
  })
})

test('readings after the start open in the mode that runs, whatever stood before', () => {
  const modeOf = (job: KnownJob) => apply(job, addSet('new')).readingSets.at(-1)!.mode
  const stood = apply(decidedJob(), addSet('found'), setMode('found', 'off'))
  expect(modeOf(stood)).toBe('off')
  expect(modeOf(apply(stood, edits.beginStep('settle', 10, { starts: true })))).toBe('cooling')
  const heated = apply(
    stood,
    addSet('ran'),
    setMode('ran', 'heating'),
    addSet('at rest'),
    setMode('at rest', 'off'),
  )
  expect(modeOf(apply(heated, edits.beginStep('settle', 10, { starts: true })))).toBe('heating')
})

test('a plan that is being worked through is not made anew by what is read later', () => {
  const begun = apply(decidedJob(), addSet('found'), when(5, edits.beginStep('lockOut', 4)))
  const ids = (job: KnownJob) => planOf(job, ['txv-underfeeding']).tasks.map(({ id }) => id)
  const low = {
    standingPressure: { value: 0, unit: 'psig' },
    outdoorAirTemp: { value: 80, unit: 'F' },
  } as const
  const read = (job: KnownJob, minute: number): KnownJob => ({
    ...job,
    readingSets: [...job.readingSets, { id: 'x', at: at(minute), mode: 'off', readings: { ...low } }],
  })
  expect(ids(read(begun, 4))).toContain('proveEmpty')
  expect(ids(read(begun, 6))).toEqual(ids(begun))
})
