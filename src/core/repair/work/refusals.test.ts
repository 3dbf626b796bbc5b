import { applied } from '../../../../tools/run/applied'
import { workScene } from '../../../../tools/run/workScene'
import { loadRefrigerants } from '../../physics/refrigerants/tables'
import { decide } from '../../record/edits/decisionEdits'
import type { Edit } from '../../record/edits/edit'
import * as edits from '../../record/edits/workEdits'
import { emptyJob, type KnownJob } from '../../record/job/job'
import { refusals, VETO_IDS, type VetoId, vetoesOf, vetoSentence } from '../../safety/vetoes'
import { WORK_GATE_IDS, workGateRow } from '../../safety/workGates'
import { planOf } from '../plan/basis'
import { actsOf, TASK_IDS, type TaskId, taskRow } from '../plan/tasks/tasks'
import { vetoesOn } from './gates'
import { type GatePlace, placeOf } from './gatePlaces'
import { openLeakLoop } from './leakLoop'
import { vetoPlace } from './vetoPlaces'
import { isHeldBack, runSheet, type RunSheet } from './runSheet'

beforeAll(() => loadRefrigerants(['R-410A']))

const START = Date.parse('2026-11-27T08:00:00Z')
const apply = (job: KnownJob, minute: number, ...all: readonly Edit[]) =>
  applied(job, START + minute * 60_000, all)
const UNIT = {
  kind: 'split-heat-pump',
  refrigerant: 'R-410A',
  metering: 'txv',
  nominalTons: 3,
  factoryCharge: { value: 7.5, unit: 'lb' },
  power: { phase: 1, volts: 230 },
} as const
const begun = () => apply(emptyJob(UNIT), 0, decide('txv-underfeeding', undefined))
const sceneOf = (job: KnownJob) => workScene(job, planOf(job, ['txv-underfeeding']), {})
const sheetOf = (job: KnownJob, holding?: readonly VetoId[]): RunSheet => {
  const scene = sceneOf(job)
  return runSheet(holding ? { ...scene, holding } : scene, START + 60 * 60_000)
}
/** Whether a place is one that the sheet, or the app, has. */
const isThere = (place: GatePlace | undefined, sheet: RunSheet) =>
  place !== undefined && (place.at !== 'step' || sheet.steps.some(({ task }) => task.id === place.task))

describe('every refusal of the run sheet says what is missing and where it is done', () => {
  const sheet = () => sheetOf(begun())

  test.each(WORK_GATE_IDS)('the gate %s has a name, a reason, what opens it, and a place', (id) => {
    const { name, state, reason, until, never } = workGateRow(id)
    expect([name, state, reason, until].every((words) => words.length > 2)).toBe(true)
    expect(never.length).toBeGreaterThan(0)
    // three pulls have their step in a wet plan
    const tasks = [...sheet().steps.map(({ task }) => task), { id: 'evacuateTriple' as const }]
    const place = placeOf(id, tasks)
    expect(place).toBeDefined()
    if (place?.at === 'step') expect(tasks.map((each) => each.id)).toContain(place.task)
  })

  const REFUSED = VETO_IDS.flatMap((veto) =>
    TASK_IDS.filter((task) => refusals(actsOf(task), [veto]).length > 0).map((task) => [veto, task] as const),
  )
  test('each state of the vetoes but those of readings alone refuses a task of some plan', () => {
    const without = VETO_IDS.filter((id) => !REFUSED.some(([veto]) => veto === id))
    // these refuse what a check or a person at the bench does
    expect(without).toEqual(['below-atmosphere', 'rotation-unknown'])
  })
  test.each(REFUSED)(
    'while %s holds, “%s” is refused: the state, why, what lifts it, where',
    (veto, task) => {
      const [row] = vetoesOf([veto])
      const now = sheet()
      const tasks = now.steps.map((each) => each.task)
      const told = vetoesOn(task, [veto], tasks)
      expect(told.map(({ id }) => id)).toEqual([veto])
      expect(told[0]!.sentence).toBe(vetoSentence(row!))
      for (const words of [row!.state.slice(1), row!.reason, row!.until])
        expect(told[0]!.sentence).toContain(words)
      expect(isThere(told[0]!.place, now)).toBe(true)
      // and no order passes it
      expect(isHeldBack({ vetoes: told, gates: [] })).toBe(true)
    },
  )
  const step = (task: TaskId): GatePlace => ({ at: 'step', task })
  const words: GatePlace = { at: 'stage', stage: 'diagnose' }
  test.each<readonly [VetoId, readonly TaskId[], GatePlace]>([
    ['ground-path', ['recover', 'weighIn'], words],
    ['cover-off', ['recover', 'weighIn'], { at: 'off' }],
    ['terminals-under-pressure', ['recover', 'sweep'], step('recover')],
    ['terminals-under-pressure', ['sweep'], words],
    ['standing-vacuum', ['evacuate', 'weighIn'], step('weighIn')],
    ['evacuated', ['evacuate', 'letIn'], step('letIn')],
    ['below-atmosphere', ['weighIn'], { at: 'stage', stage: 'measure' }],
    ['gas-inside', ['sweep', 'recoverRest'], step('recoverRest')],
    ['under-nitrogen', ['pressureTest', 'bubbleJoints'], step('pressureTest')],
    ['under-nitrogen', ['own-bleed-a', 'own-flame-a', 'own-bleed-b', 'pressureTest'], step('own-bleed-b')],
    ['no-liquid', ['recover', 'weighIn'], step('weighIn')],
    ['low-side-leak', ['weighIn'], words],
    ['isolated', ['isolateCompressor', 'unlock', 'weighIn'], words],
    ['flammable', ['sweep', 'sweepFlammable'], step('sweepFlammable')],
    ['flammable', ['sweep'], words],
    ['rotation-unknown', ['swapPhases'], words],
  ])('%s with %j is lifted there', (veto, tasks, place) => {
    expect(
      vetoPlace(
        veto,
        tasks.map((id) => ({ id })),
      ),
    ).toEqual(place)
  })
  test('valves are opened, water flows or is drained at the steps whose effects say so', () => {
    const doing = (is: (id: TaskId) => boolean) => TASK_IDS.filter(is).map((id) => ({ id }))
    for (const [veto, tasks] of [
      ['isolated', doing((id) => taskRow(id).effects.joins === true)],
      ['water-not-flowing', doing((id) => taskRow(id).effects.water === 'flowing')],
      ['water-standing', doing((id) => taskRow(id).effects.water === 'drained')],
    ] as const) {
      expect(tasks.length).toBeGreaterThan(0)
      expect(vetoPlace(veto, [{ id: 'sweep' }, ...tasks])).toEqual(step(tasks.at(-1)!.id))
      expect(vetoPlace(veto, [{ id: 'sweep' }])).toEqual(words)
    }
  })
  test('a step that waits names steps of the sheet that are not over', () => {
    const now = sheet()
    const waiting = now.steps.filter(({ state }) => state === 'waits')
    expect(waiting.length).toBeGreaterThan(5)
    for (const { waitsFor } of waiting) {
      expect(waitsFor.length).toBeGreaterThan(0)
      for (const id of waitsFor) {
        const step_ = now.steps.find(({ task }) => task.id === id)
        expect([id, step_ !== undefined]).toEqual([id, true])
        expect(['done', 'skipped']).not.toContain(step_!.state)
      }
    }
  })
})

describe('a failed hold is a loop (handbook 07)', () => {
  const LEAK = {
    id: 'one',
    place: 'liquid line at the valve',
    repair: 'replaced',
    joints: 2,
    part: 'elbow 3/8 in',
  } as const
  const tested = () =>
    apply(
      apply(begun(), 10, edits.beginStep('bubbleJoints', 5), edits.finishStep('bubbleJoints')),
      20,
      edits.beginStep('pressureTest', 8),
      edits.leaveStep('pressureTest'),
    )
  const looped = () => apply(tested(), 40, openLeakLoop(LEAK))
  const idsOf = (now: RunSheet) => now.steps.map(({ task }) => task.id as string)

  test('bleed, repair and sweep stand right before the test, which waits for them, in their order', () => {
    const now = sheetOf(looped())
    const at = idsOf(now).indexOf('pressureTest')
    expect(idsOf(now).slice(at - 3, at)).toEqual(['own-bleed-one', 'own-flame-one', 'own-sweep-one'])
    const test_ = now.steps[at]!
    expect(test_.waitsFor).toEqual(
      expect.arrayContaining(['own-bleed-one', 'own-flame-one', 'own-sweep-one']),
    )
    expect(test_.record?.pass).toBe(2)
    expect(test_.earlier.map(({ id }) => id)).toEqual(['pressureTest'])
    expect(now.steps.find(({ task }) => task.id === 'bubbleJoints')?.record?.pass).toBe(2)
  })
  test('nothing is opened or heated before the nitrogen is bled off; then it is', () => {
    const repairOf = (job: KnownJob) => sheetOf(job).steps.find(({ task }) => task.id === 'own-flame-one')!
    expect(repairOf(looped()).vetoes.map(({ id }) => id)).toEqual(['under-nitrogen'])
    expect(repairOf(looped()).vetoes[0]!.place).toEqual({ at: 'step', task: 'own-bleed-one' })
    expect(repairOf(apply(looped(), 45, edits.setBled(true))).vetoes).toEqual([])
  })
  test('part and joints join the plan, once for each leak; the loop comes back by one undo of its edit', () => {
    const before = planOf(tested(), ['txv-underfeeding'])
    const after = planOf(looped(), ['txv-underfeeding'])
    const own = after.parts.find(({ label }) => label === 'elbow 3/8 in')
    expect(own?.why).toContain('liquid line at the valve')
    const rods = (plan: typeof after) =>
      plan.parts.filter(({ label }) => /rod/.test(label)).map(({ quantity, why }) => `${quantity} ${why}`)
    expect(rods(after)).not.toEqual(rods(before))
    expect(before.parts.some(({ label }) => label === 'elbow 3/8 in')).toBe(false)
  })
  test('a second leak opens a second loop behind the first', () => {
    const again = apply(looped(), 60, openLeakLoop({ id: 'two', place: 'a flare', repair: 'tightened' }))
    const now = idsOf(sheetOf(again))
    const at = now.indexOf('pressureTest')
    expect(now.slice(at - 6, at)).toEqual([
      'own-bleed-one',
      'own-flame-one',
      'own-sweep-one',
      'own-bleed-two',
      'own-opens-two',
      'own-sweep-two',
    ])
    expect(again.repair?.leaks?.map(({ id }) => id)).toEqual(['one', 'two'])
  })
})
