import type { StepRecord } from '../../record/records/step'
import type { PlanTask } from '../plan/planTasks'
import type { TaskId } from '../plan/tasks/tasks'
import { retestRows } from './retests'
import { runSheet, type SheetScene } from './runSheet'
import { isSettled, trimLines, turnsText } from './startUp'

const START = Date.parse('2026-11-27T08:00:00Z')
const at = (minutes: number) => new Date(START + minutes * 60_000).toISOString()

test.each([
  [4.9, 0.5, undefined],
  [5, 0.5, true],
  [10, 1.9 / 1.8, true],
  [10, 2.1 / 1.8, false],
] as const)('%f min apart and %f K different: settled %s', (minutes, apart, settled) =>
  expect(isSettled(5, 5 + apart, minutes)).toBe(settled),
)

test.each([
  [0.25, '1/4 turn in'],
  [1, '1 turn in'],
  [1.25, '1 1/4 turns in'],
  [-0.5, '1/2 turn out'],
])('%f turns are %s', (turns, words) => expect(turnsText(turns)).toBe(words))

test('what a step of the trim did is the difference to the next look, and how long it was waited', () => {
  const trims = [
    { at: at(0), kilograms: 0.1, superheat: 10, subcooling: 4 },
    { at: at(12), kilograms: 0.1, superheat: 8, subcooling: 5 },
  ] as never
  const [first, second] = trimLines(trims, { at: START + 30 * 60_000, superheat: 7 })
  expect(first).toMatchObject({ superheatBy: -2, subcoolingBy: 1, waited: 12 })
  expect(second).toMatchObject({ superheatBy: -1, subcoolingBy: undefined, waited: 18 })
})

describe('tests after the start', () => {
  const wet = {
    contamination: { acid: { retestHours: [] }, contents: { wet: true } },
  } as never
  const acid = { contamination: { acid: { retestHours: [24] }, contents: { wet: false } } } as never
  const row = (plan: never, minute: number, begun?: number) =>
    retestRows(
      plan,
      { startedAt: at(0) },
      begun === undefined
        ? undefined
        : { retests: [{ id: plan === wet ? 'moisture-12' : 'acid-24', startedAt: at(begun) }] as never },
      START + minute * 60_000,
    )[0]!
  test.each([
    [12 * 60 - 1, 'ahead'],
    [12 * 60, 'due'],
  ] as const)('the indicator %d min after the start: %s', (minute, state) =>
    expect(row(wet, minute).state).toBe(state),
  )
  test('an acid kit takes five minutes, an indicator an hour', () => {
    expect(row(acid, 1502, 1500).kitLeft).toBe(3)
    expect(row(wet, 740, 720).kitLeft).toBe(40)
  })
})

describe('what can be done while something runs', () => {
  const task = (id: TaskId, more: Partial<PlanTask> = {}): PlanTask => ({
    id,
    stage: 'fit',
    label: id,
    handsOn: [1, 2, 3],
    opens: false,
    flame: false,
    after: [],
    alongside: [],
    cautions: [],
    hazards: [],
    points: [],
    notes: [],
    meanwhile: [],
    from: 'table',
    ...more,
  })
  const running: StepRecord = {
    id: 'only.evacuate.1',
    task: 'evacuate',
    spans: [{ from: at(0), to: at(5) }],
    leftAt: at(5),
  } as StepRecord
  const scene = (tasks: readonly PlanTask[]): SheetScene =>
    ({
      job: { logs: [], steps: [running], readingSets: [], takenOff: [], unit: { kind: 'split-ac' } },
      tasks,
      state: {} as never,
      holding: [],
      verdicts: {},
    }) as never
  test('a machine that runs is not free for another task; hands and other machines are', () => {
    const sheet = runSheet(
      scene([
        task('evacuate', { machine: 'vacuum pump', unattended: [10, 20, 30] }),
        task('sweepFlammable', { machine: 'vacuum pump' }),
        task('traceNitrogen', { machine: 'nitrogen' }),
        task('refit'),
      ]),
      START + 10 * 60_000,
    )
    expect(sheet.running.map(({ task: { id } }) => id)).toEqual(['evacuate'])
    expect(sheet.meanwhile.map(({ task: { id } }) => id)).toEqual(['traceNitrogen', 'refit'])
  })
  test('what runs is over when its likely minutes are', () => {
    const [step] = runSheet(
      scene([task('evacuate', { machine: 'vacuum pump', unattended: [10, 20, 30] })]),
      START + 10 * 60_000,
    ).running
    expect(step).toMatchObject({ minutesLeft: 15, endsAt: START + 25 * 60_000, hands: 5 })
  })
})
