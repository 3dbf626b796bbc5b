import { runs } from '../../../../tools/run/propertyRuns'
import { vetoChange } from '../../diagnosis/vetoes/effects'
import { seededRandom } from '../../base/numeric/random'
import { FAULT_IDS, type SuspectId } from '../../diagnosis/faults/faults'
import { hasOilPorts } from '../cleanup/oils'
import { hasWaterCoil } from '../../record/equipment/kinds'
import { COMPRESSOR_TYPES, METERINGS, UNIT_KINDS, type UnitPlate } from '../../record/equipment/unit'
import { emptyJob, type KnownJob } from '../../record/job/job'
import type { Observations } from '../../record/readings/schema'
import {
  ACCESS_WAYS,
  COMPRESSOR_WAYS,
  LEAK_PLACES,
  ORIFICE_WAYS,
  type Repair,
  VALVE_JOINTS,
  WATER_WORKS,
} from '../../record/records/repair'
import { refusals, type VetoId } from '../../safety/vetoes'
import { ancestorsOf, graphOf } from './graph'
import { orderByVetoes } from './orderByVetoes'
import type { Plan } from './plan'
import { planOf } from './basis'
import { rulesOf } from './rules'
import { actsOf, type TaskId, taskEffects, taskRow, usesFlame } from './tasks/tasks'

/** What makes each class of contamination. */
const INSIDES: Readonly<Record<string, Observations>> = {
  clean: { acidTest: 'negative', acidTestKind: 'oil-kit' },
  unknown: {},
  acid: { acidTest: 'weak', acidTestKind: 'oil-kit' },
  burnout: { acidTest: 'strong', acidTestKind: 'oil-kit', oilAppearance: 'burnt-smell' },
  wet: { moistureIndicator: 'wet', acidTest: 'negative', acidTestKind: 'oil-kit' },
  debris: { oilAppearance: 'metal-flakes', acidTest: 'negative', acidTestKind: 'oil-kit' },
}
const STATES: readonly (readonly VetoId[])[] = [
  [],
  ['no-liquid'],
  ['no-liquid', 'standing-vacuum'],
  ['ground-path'],
  ['flammable'],
  ['low-side-leak'],
  ['gas-inside'],
  ['cover-off', 'terminals-under-pressure'],
  ['isolated'],
]

type Drawn = {
  readonly job: KnownJob
  readonly faults: readonly SuspectId[]
  readonly holding: readonly VetoId[]
}

/** A job with a fault or two, a class, a kind and a way, drawn from a seed. */
function draw(seed: number, fault: SuspectId): Drawn {
  const random = seededRandom(seed)
  const pick = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)] as T
  const kind = pick(UNIT_KINDS)
  const isFlammable = random() < 0.2
  const unit: UnitPlate = {
    kind,
    refrigerant: isFlammable ? 'R-454B' : pick(['R-410A', 'R-22', 'R-404A', 'R-134a'] as const),
    metering: pick(METERINGS),
    nominalTons: pick([0.1, 1, 3, 10]),
    power: { phase: pick([1, 3] as const) },
    receiver: random() < 0.5,
    compressor: { type: pick(COMPRESSOR_TYPES), oilPorts: pick([true, false, undefined]) },
    ...(random() < 0.3 ? { oldDryer: { behind: true, cubicInches: 8 } } : {}),
    ...(random() < 0.3 ? { moistureIndicator: true } : {}),
    ...(random() < 0.5
      ? { designPressures: { low: { value: 236, unit: 'psig' }, high: { value: 446, unit: 'psig' } } }
      : {}),
  }
  const repair: Repair = {
    way: pick(ACCESS_WAYS),
    valvesTight: random() < 0.7,
    compressorWay: pick(COMPRESSOR_WAYS),
    valveJoints: pick(VALVE_JOINTS),
    orificeWay: pick(ORIFICE_WAYS),
    ...(random() < 0.5 ? { leakPlace: pick(LEAK_PLACES) } : {}),
    flueMoved: random() < 0.1,
    ...(random() < 0.2 ? { refrigerantTo: pick(['R-407C', 'R-427A', 'R-448A'] as const) } : {}),
    ...(random() < 0.3 ? { waterWork: pick(WATER_WORKS) } : {}),
  }
  const base = emptyJob(unit)
  const observations = pick(Object.values(INSIDES))
  const water: readonly VetoId[] = hasWaterCoil(unit)
    ? pick([['water-standing', 'water-not-flowing'], []] as const)
    : []
  const state = pick(STATES)
  return {
    job: {
      ...base,
      repair,
      policy: {
        testPressure: pick(['near-plate', 'moderate'] as const),
        valveChange: pick(['when-cheap', 'always', 'clean'] as const),
      },
      readingSets: [
        {
          id: 'a',
          mode: 'off',
          readings:
            random() < 0.5 ? { standingPressure: { value: pick([-3, 0, 0.5, 2, 60]), unit: 'psig' } } : {},
          observations,
        },
      ],
      ...(random() < 0.15
        ? { day: { start: '2026-11-27T08:00', quote: { askedAt: '2026-10-01T08:00' } } }
        : {}),
    },
    faults: random() < 0.35 ? [fault, pick(FAULT_IDS)] : [fault],
    holding: [...new Set([...state, ...water, ...(isFlammable ? (['flammable'] as const) : [])])],
  }
}

const drawnPlan = ({ job, faults, holding }: Drawn): Plan => planOf(job, faults, { holding })
const DRAWS = runs(10, 80)

/** A random order in which every task stands after what it waits for. */
function anyOrder(plan: Plan, random: () => number): TaskId[] {
  const left = [...plan.tasks]
  const done = new Set<TaskId>()
  const begun = new Set<TaskId>()
  const order: TaskId[] = []
  while (left.length > 0) {
    const open = left.filter(
      ({ after, alongside }) => after.every((id) => done.has(id)) && alongside.every((id) => begun.has(id)),
    )
    const next = open[Math.floor(random() * open.length)]!
    left.splice(left.indexOf(next), 1)
    done.add(next.id)
    begun.add(next.id)
    order.push(next.id)
  }
  return order
}

/** What a state machine of its own says of an order: acts done in a state that forbids them. */
function offences(plan: Plan, holding: readonly VetoId[], order: readonly TaskId[]): string[] {
  let now = [...holding]
  const wrong: string[] = []
  for (const id of order) {
    const { lifts, brings } = vetoChange(taskEffects(id))
    const refused = plan.tasks.find((task) => task.id === id)!.refused
    now = now.filter((state) => !lifts.includes(state) || refused !== undefined)
    if (!refused) for (const { id: state } of refusals(actsOf(id), now)) wrong.push(`${id} while ${state}`)
    if (!refused) now.push(...brings)
  }
  return wrong
}

/** Read from the plan itself, beside its rules: what a plan must not say together. */
function said(plan: Plan, unit: UnitPlate, at: (id: TaskId) => number) {
  const { oil, contamination, refrigerantPath: path, access, recovery, isPart, charge } = plan
  const isSwapped = at('swapCompressor') >= 0 || at('swapCondensingUnit') >= 0
  // a new compressor: nothing drained from it, its oil the first change
  if (isSwapped) expect([at('changeOil'), at('tipCompressor'), oil.changes]).toEqual([-1, -1, 0])
  if (at('changeOil') >= 0 || at('tipCompressor') >= 0) expect(oil.changes).toBeGreaterThan(0)
  // no test of oil where none comes out
  if (at('testOil') >= 0) expect(isSwapped || oil.changes > 0 || hasOilPorts(unit)).toBe(true)
  // what waits until it has run has its visit and its oil
  const later = plan.returns.flatMap(({ tasks }) =>
    tasks.filter(({ id }) => id === 'changeOil' || id === 'tipCompressor'),
  )
  expect(later.length > 0).toBe(oil.laterChanges > 0)
  expect(plan.parts.some(({ id }) => id === 'part:oil-return')).toBe(oil.laterChanges > 0)
  // another refrigerant: what came out never goes in again, and is not finished by weight only
  if (path.goesIn !== path.holds) {
    expect(path.recovered).not.toBe('reuse-in-same-equipment')
    if (path.path === 'convert') expect(charge?.finish.join(' ') ?? '').not.toMatch(/weight only/i)
    expect(at('checkMetering')).toBeLessThan(at('pressureTest'))
    expect(at('setSuperheat') < 0 || at('setSuperheat') > at('settle')).toBe(true)
  }
  // a refrigerant that is not used again does not stay in, unless that was chosen with its valves tried, and its cost is said
  if (isPart && contamination.contents.wet) expect(access.costs.join()).toMatch(/not used again/)
  // effort by the ledger: no warm vacuum for water that nobody saw and that is not worked against
  if (contamination.effort.by === 'ledger' && contamination.water.work.hours < 4)
    expect(at('evacuateWet')).toBe(-1)
  if (contamination.effort.isFree)
    expect([plan.contamination.class === 'clean', at('evacuateWet') >= 0]).toEqual([false, true])
  // what is left is weighed, and judges nothing
  if (at('recoverVapour') >= 0) {
    expect(recovery.sentences.join()).toMatch(/not empty/)
    expect(recovery.weight).toBeUndefined()
  }
}

describe('rules hold in every plan: faults x classes x kinds x ways', () => {
  test.each(FAULT_IDS)(
    '%s',
    (fault) => {
      for (let i = 0; i < DRAWS; i += 1) {
        const drawn = draw(i * 977 + FAULT_IDS.indexOf(fault), fault)
        const plan = drawnPlan(drawn)
        const random = seededRandom(i)
        expect([i, plan.rules.filter(({ holds }) => !holds).map(({ id }) => id)]).toEqual([i, []])
        expect([i, offences(plan, drawn.holding, anyOrder(plan, random))]).toEqual([i, []])
        expect([
          i,
          offences(
            plan,
            drawn.holding,
            plan.tasks.map(({ id }) => id),
          ),
        ]).toEqual([i, []])
        const { testPressure, tasks, opens } = plan
        if (testPressure) expect(testPressure.gauge).toBeLessThanOrEqual(testPressure.limit)
        // its own reading of the order, beside the rules
        const at = (id: TaskId) => tasks.findIndex((task) => task.id === id)
        const flames = tasks.filter(({ id }) => usesFlame(id))
        if (opens) {
          const emptied = (['recover', 'recoverRest', 'recoverVapour', 'proveEmpty'] as const).map(at)
          // one of them, and one only: vapour that is left is recovered, nothing is proven in its place
          expect(emptied.filter((each) => each >= 0)).toHaveLength(1)
          expect(at('sweep') >= 0 ? at('sweep') : at('sweepFlammable')).toBeGreaterThan(Math.max(...emptied))
          said(plan, drawn.job.unit, at)
          for (const flame of flames)
            expect(tasks.indexOf(flame)).toBeGreaterThan(Math.max(at('sweep'), at('sweepFlammable')))
          expect(at('partsIn')).toBeGreaterThan(Math.max(at('swapLiquidDryer'), at('dryerFirst')))
          for (const visit of plan.returns)
            expect(visit.tasks.map(({ id }) => id)).toEqual(
              expect.arrayContaining([
                'confirm',
                'recover',
                'swapLiquidDryer',
                'pressureTest',
                'evacuate',
                'weighIn',
              ]),
            )
        }
      }
    },
    60_000,
  )
})

describe('a rule that is broken is seen', () => {
  const plan = planOf(
    {
      ...emptyJob({
        kind: 'water-source-heat-pump',
        refrigerant: 'R-410A',
        metering: 'capillary',
        nominalTons: 3,
      }),
    },
    ['compressor-open-winding', 'undercharge'],
    { holding: ['ground-path'] },
  )
  const base = {
    tasks: plan.tasks,
    holding: ['ground-path'] as const,
    hasWaterCoil: true,
    isCapillary: true,
    bothSides: true,
    test: { gauge: 1, limit: 2 },
  }
  const without = (id: TaskId) => ({ ...base, tasks: plan.tasks.filter((task) => task.id !== id) })
  const withTask = (id: TaskId) => ({
    ...base,
    tasks: [
      ...plan.tasks,
      { ...plan.tasks[0]!, id, stage: taskRow(id).stage, after: ['sweep' as const], alongside: [] },
    ],
  })
  /** The task waits for nothing any more, nor does anything wait for it. */
  const loose = (...ids: TaskId[]) => ({
    ...base,
    tasks: plan.tasks.map((task) => ({
      ...task,
      after: ids.includes(task.id) ? [] : task.after.filter((id) => !ids.includes(id)),
    })),
  })
  test.each([
    ['new-compressor-is-full', withTask('tipCompressor')],
    ['one-dryer', withTask('dryerFirst')],
    ['one-dryer', without('swapLiquidDryer')],
    ['proof-on-the-day', without('confirmDead')],
    ['sweep-before-flame', without('sweep')],
    ['sweep-before-flame', loose('sweep')],
    ['recovered-once', without('recover')],
    ['leak-before-compressor', loose('leakSearch')],
    ['dryer-last', loose('swapLiquidDryer')],
    ['parts-in-before-test', loose('partsIn')],
    ['test-vacuum-charge', loose('decayTest')],
    ['test-pressure', { ...base, test: { gauge: 3, limit: 2 } }],
    ['water', without('drainWater')],
    ['both-sides', { ...base, bothSides: false }],
    ['lock-out', loose('lockOut')],
    ['locked-when-open', without('lockOut')],
    ['fire-watch', without('fireWatch')],
    ['vetoes', loose('settle')],
    ['vetoes', { ...base, holding: ['terminals-burnt', 'rotation-unknown', 'isolated'] as const }],
  ] as const)('%s', (id, broken) => {
    expect(rulesOf(base).find((rule) => rule.id === id)?.holds).toBe(true)
    expect(rulesOf(broken as typeof base).find((rule) => rule.id === id)?.holds).toBe(false)
  })
})

describe('the graph', () => {
  const graph = (ids: readonly TaskId[]) => graphOf(orderByVetoes(ids, []))
  test('wiring floats in the vacuum, panels in holds, the fire watch to the end', () => {
    const tasks = planOf(emptyJob({ kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }), [
      'compressor-open-winding',
    ]).tasks
    const meanwhile = tasks.find(({ id }) => id === 'evacuate')!.meanwhile
    expect(meanwhile).toEqual(expect.arrayContaining(['rewire', 'refit', 'fireWatch']))
    expect(tasks.find(({ id }) => id === 'recover')!.meanwhile).toContain('gainAccess')
  })
  test('bubbles are made while it holds, and the vacuum waits for both', () => {
    const tasks = graph(['pressureTest', 'bubbleJoints', 'evacuate'])
    expect(tasks.find(({ id }) => id === 'bubbleJoints')).toMatchObject({
      after: [],
      alongside: ['pressureTest'],
    })
    expect(tasks.find(({ id }) => id === 'evacuate')!.after).toEqual(['pressureTest', 'bubbleJoints'])
  })
  test('two parts are replaced side by side, each before the dryer', () => {
    const tasks = graph(['sweep', 'swapValve', 'swapReversingValve', 'swapLiquidDryer'])
    const ancestors = ancestorsOf(tasks)
    expect(ancestors.get('swapValve')!.has('swapReversingValve')).toBe(false)
    expect([...ancestors.get('swapLiquidDryer')!]).toEqual(
      expect.arrayContaining(['swapValve', 'swapReversingValve', 'sweep']),
    )
  })
})

describe('rules of one kind of job, broken and seen', () => {
  const CLEAN = { acidTest: 'negative', acidTestKind: 'oil-kit', oilAppearance: 'clear' } as const
  type Given = { unit?: Partial<UnitPlate>; repair?: Repair; pressure?: number; holding?: readonly VetoId[] }
  const plan = (fault: SuspectId, { unit, repair = {}, pressure, holding }: Given) =>
    planOf(
      {
        ...emptyJob({ kind: 'split-ac', refrigerant: 'R-22', metering: 'txv', nominalTons: 3, ...unit }),
        repair,
        readingSets: [
          {
            id: 'a',
            mode: 'off',
            readings: pressure === undefined ? {} : { standingPressure: { value: pressure, unit: 'psig' } },
            observations: CLEAN,
          },
        ],
      },
      [fault],
      holding ? { holding } : {},
    )
  const holds = (id: string, { tasks, holding, testPressure: test }: Plan) =>
    rulesOf({ tasks, holding, hasWaterCoil: false, isCapillary: false, bothSides: true, test }).find(
      (rule) => rule.id === id,
    )?.holds
  const first = (made: Plan, id: TaskId): Plan => ({
    ...made,
    tasks: made.tasks.map((task) => (task.id === id ? { ...task, after: [], alongside: [] } : task)),
  })
  test.each<readonly [string, TaskId, Plan]>([
    ['vapour-is-recovered', 'traceNitrogen', plan('charge-lost', { pressure: 60, holding: ['no-liquid'] })],
    ['dryer-behind-first', 'swapValve', plan('txv-underfeeding', { unit: { oldDryer: { behind: true } } })],
    [
      'metering-checked-open',
      'checkMetering',
      plan('txv-underfeeding', { repair: { refrigerantTo: 'R-407C' } }),
    ],
    ['terminals-without-pressure', 'proveAtTerminals', plan('compressor-open-winding', {})],
  ])('%s', (id, task, made) => {
    expect(made.tasks.map((each) => each.id)).toContain(task)
    expect([holds(id, made), holds(id, first(made, task))]).toEqual([true, false])
  })
})
