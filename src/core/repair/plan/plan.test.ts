import { FAULT_IDS, type SuspectId } from '../../diagnosis/faults/faults'
import { emptyJob, type KnownJob } from '../../record/job/job'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Observations } from '../../record/readings/schema'
import { CAUTIONS } from '../../safety/cautions'
import { planOf } from './basis'
import { cautionsOf, opensCircuit, TASK_IDS, type TaskId, taskRow, usesFlame } from './tasks/tasks'

const job = (observations: Observations = {}, unit: Partial<UnitPlate> = {}): KnownJob => ({
  ...emptyJob({ kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv', nominalTons: 3, ...unit }),
  readingSets: [{ id: 'a', mode: 'cooling', readings: {}, observations }],
})
const ids = (fault: SuspectId, observations?: Observations, unit?: Partial<UnitPlate>) =>
  planOf(job(observations, unit), [fault]).tasks.map(({ id }) => id)
const before = (list: readonly TaskId[], first: TaskId, second: TaskId) => {
  expect(list).toEqual(expect.arrayContaining([first, second]))
  expect(list.indexOf(first)).toBeLessThan(list.indexOf(second))
}

describe('order of work, handbook 01', () => {
  test.each(FAULT_IDS)(
    '%s: recover before opening, test before vacuum, vacuum before charge',
    (fault) => {
      const list = ids(fault)
      expect(list[0]).toBe('setUp')
      // what is grounded or burnt is looked at again with the power off
      expect(list[1]).toMatch(/^confirm(Dead)?$/)
      expect(list.at(-1)).toBe('closeUp')
      expect(new Set(list).size).toBe(list.length)
      const opening = list.filter(opensCircuit)
      if (!list.includes('recover')) {
        expect(opening).toEqual([])
        return
      }
      for (const id of opening) {
        before(list, 'recover', id)
        before(list, id, 'pressureTest')
      }
      before(list, 'swapLiquidDryer', 'pressureTest')
      const vacuum = list.includes('evacuateWet') ? 'evacuateWet' : 'evacuate'
      before(list, 'pressureTest', vacuum)
      before(list, vacuum, 'decayTest')
      before(list, 'decayTest', 'weighIn')
      before(list, 'weighIn', 'settle')
    },
    20_000,
  )
})

describe('order of work of a wet circuit', () => {
  test('three pulls with warmth instead of one, oil changed by tipping, sections blown out', () => {
    const list = ids('txv-underfeeding', { moistureIndicator: 'wet' })
    expect(list).toEqual(expect.arrayContaining(['evacuateWet', 'tipCompressor', 'blowOut']))
    expect(list).not.toContain('evacuate')
    expect(list).not.toContain('changeOil')
  })
})

describe('every opening gets a new liquid dryer, a closed repair none', () => {
  test.each(FAULT_IDS)('%s', (fault) => {
    const plan = planOf(job({ acidTest: 'negative' }), [fault])
    const opens = plan.tasks.some(({ id }) => id === 'recover')
    expect(plan.dryers.some(({ place }) => place === 'liquid')).toBe(opens)
    expect(plan.parts.some(({ label }) => label.startsWith('liquid dryer'))).toBe(opens)
    expect(plan.tasks.some(({ id }) => id === 'swapLiquidDryer')).toBe(opens)
  })
  test.each(['healthy', 'condenser-fouled', 'low-evaporator-airflow', 'txv-bulb-loose'] as const)(
    '%s opens nothing',
    (fault) => {
      expect(planOf(job(), [fault]).dryers).toEqual([])
    },
  )
})

describe('class work', () => {
  test('burnout: blow out, suction dryer, the swap is the first change, the second after it has run; no reuse', () => {
    const plan = planOf(job({ acidTest: 'strong' }), ['compressor-not-pumping'])
    const list = plan.tasks.map(({ id }) => id)
    expect(list).toEqual(expect.arrayContaining(['blowOut', 'fitSuctionDryer', 'swapCompressor']))
    expect(list).not.toContain('changeOil')
    expect(list).not.toContain('tipCompressor')
    expect(plan.oil).toMatchObject({ changes: 0, laterChanges: 1, bring: 0 })
    expect(plan.contamination.acid.changes).toBe(2)
    expect(plan.refrigerantPath.recovered).toBe('reclaim')
    expect(plan.contamination.acid.after[1]!.tan).toBeLessThan(0.05)
  })
  test.each([
    [{ acidTest: 'negative' }, 'reuse-in-same-equipment'],
    [{}, 'reclaim'],
    [{ acidTest: 'weak' }, 'reclaim'],
    [{ moistureIndicator: 'wet', acidTest: 'negative' }, 'reclaim'],
  ] as const)('recovered charge with %o: %s', (observations, recovered) => {
    expect(planOf(job(observations), ['txv-underfeeding']).refrigerantPath.recovered).toBe(recovered)
  })
  test('water seen opens it too, acid tested or not; a burnout long ago alone does not', () => {
    expect(ids('condenser-fouled', { moistureIndicator: 'wet' })).toContain('swapLiquidDryer')
    const old = planOf({ ...job(), arrival: { previousBurnout: true } }, ['condenser-fouled'])
    expect(old.opens).toBe(false)
    expect(old.contamination).toMatchObject({ class: 'mild-acid', known: false })
  })
  test('acid found behind a closed repair opens the circuit after all', () => {
    expect(ids('condenser-fouled', { acidTest: 'strong' })).toEqual(
      expect.arrayContaining(['recover', 'swapLiquidDryer', 'tipCompressor']),
    )
  })
})

describe('cautions stand at their step (handbook 12)', () => {
  const cautionsAt = (id: TaskId, fault: SuspectId, unit?: Partial<UnitPlate>) =>
    planOf(job({}, unit), [fault]).tasks.find((task) => task.id === id)!.cautions
  test.each([
    ['recover', 'txv-underfeeding', CAUTIONS.recovery],
    ['pressureTest', 'txv-underfeeding', CAUTIONS.pressure],
    ['pressureTest', 'txv-underfeeding', CAUTIONS.asphyxiation],
    ['evacuate', 'txv-underfeeding', CAUTIONS.vacuum],
    ['swapValve', 'txv-underfeeding', CAUTIONS.brazing],
    ['swapCompressor', 'compressor-not-pumping', CAUTIONS.shock],
    ['swapCompressor', 'compressor-not-pumping', CAUTIONS.oilFire],
    ['weighIn', 'txv-underfeeding', CAUTIONS.charging],
  ] as const)('%s of %s', (id, fault, caution) => expect(cautionsAt(id, fault)).toContain(caution))
  test('a flammable refrigerant adds its own, first', () => {
    expect(cautionsAt('swapValve', 'txv-underfeeding', { refrigerant: 'R-454B' })[0]).toBe(CAUTIONS.flammable)
    expect(cautionsAt('recover', 'txv-underfeeding', { refrigerant: 'R-290' })[0]).toBe(CAUTIONS.flammable)
    expect(cautionsAt('swapValve', 'txv-underfeeding')).not.toContain(CAUTIONS.flammable)
  })
  test('a water coil is warned of before recovery and charge', () => {
    const unit = { kind: 'water-source-heat-pump' as const }
    expect(cautionsAt('recover', 'txv-underfeeding', unit)).toContain(CAUTIONS.waterCoil)
    expect(cautionsAt('weighIn', 'txv-underfeeding', unit)).toContain(CAUTIONS.waterCoil)
  })
})

test('a task with a flame makes a joint, one without makes none', () => {
  for (const id of TASK_IDS) {
    const { joints } = taskRow(id)
    const made = typeof joints === 'string' || joints[0] + joints[1] > 0
    expect([id, made]).toEqual([id, usesFlame(id)])
  }
})

test('a task that keeps a log has an instrument for it, and what opens the circuit is locked out', () => {
  for (const id of TASK_IDS) {
    const { log, instruments, effects } = taskRow(id)
    if (log) expect([id, instruments.length > 0]).toEqual([id, true])
    if (effects.flame) expect([id, effects.opens]).toEqual([id, true])
    if (effects.flame)
      expect(cautionsOf(id)).toEqual(expect.arrayContaining(['brazing', 'oilFire', 'hotWork']))
  }
})

describe('times', () => {
  test('every task runs low <= likely <= high, from the table of handbook 01', () => {
    for (const id of TASK_IDS) {
      const { handsOn, unattended } = taskRow(id)
      for (const minutes of [handsOn, unattended])
        if (minutes) expect([...minutes]).toEqual([...minutes].sort((a, b) => a - b))
    }
  })
  // [practice] rows of handbook 01: hands-on, then unattended
  test.each([
    ['setUp', [10, 20, 90], undefined],
    ['confirm', [5, 10, 30], undefined],
    ['recover', [10, 10, 15], [15, 30, 75]],
    ['pumpDown', [10, 15, 25], undefined],
    ['swapCompressor', [45, 90, 180], undefined],
    ['swapValve', [30, 50, 120], undefined],
    ['swapReversingValve', [60, 90, 150], undefined],
    ['swapLiquidDryer', [10, 20, 45], undefined],
    ['fitSuctionDryer', [20, 35, 60], undefined],
    ['pressureTest', [5, 8, 15], [15, 20, 60]],
    ['evacuate', [5, 8, 15], [15, 30, 90]],
    ['evacuateWet', [10, 20, 40], [90, 240, 1440]],
    ['decayTest', [1, 2, 5], [10, 12, 20]],
    ['rewire', [20, 35, 60], undefined],
    ['weighIn', [8, 12, 30], undefined],
    ['settle', [5, 10, 25], [10, 15, 40]],
    ['cleanCoil', [20, 35, 60], undefined],
    ['gainAccess', [5, 20, 120], undefined],
    ['leakSearch', [15, 40, 120], [0, 15, 60]],
    ['repairCoil', [45, 90, 180], undefined],
    ['repairStem', [10, 25, 60], undefined],
  ] as const)('%s', (id, handsOn, unattended) => {
    expect(taskRow(id).handsOn).toEqual(handsOn)
    expect(taskRow(id).unattended).toEqual(unattended ?? null)
  })
  test('close up is cut in three: what is refitted while something runs, written while it settles, and what comes last', () => {
    const all = (['refit', 'writeUp', 'closeUp'] as const).map((id) => taskRow(id).handsOn)
    expect([0, 1, 2].map((i) => all.reduce((sum, each) => sum + each[i]!, 0))).toEqual([15, 25, 75])
  })
  test('the ways to the part take what their tasks take', () => {
    const sumOf = (...ids: readonly TaskId[]) =>
      [0, 1, 2].map((i) =>
        ids.reduce((sum, id) => sum + taskRow(id).handsOn[i]! + (taskRow(id).unattended?.[i] ?? 0), 0),
      )
    const { ways } = planOf(job(), ['txv-underfeeding']).access
    expect(ways.map(({ way, minutes }) => [way, minutes])).toEqual([
      ['recover-all', sumOf('recover')],
      ['pump-down', sumOf('pumpDown', 'recoverRest')],
      ['isolate', sumOf('isolateCompressor', 'recoverRest')],
    ])
  })
  test('a hard place, earlier jobs and typed minutes move a task', () => {
    const minutes = (day: KnownJob['day']) =>
      planOf({ ...job(), day }, ['txv-underfeeding']).tasks.find(({ id }) => id === 'swapValve')!
    // half of the days are quicker than the table's likely figure, half slower
    expect(minutes({}).handsOn).toEqual([30, 50, 70])
    expect(minutes({ access: 'easy' }).handsOn[2]).toBeLessThan(120)
    expect(minutes({ access: 'hard' }).handsOn[1]).toBe(50)
    expect(minutes({ earlier: { swapValve: { factor: 1.5, jobs: 4 } } })).toMatchObject({
      handsOn: [45, 75, 105],
      from: 'earlier',
    })
    expect(minutes({ minutes: { swapValve: [20, 40, 60] } })).toMatchObject({
      handsOn: [20, 40, 60],
      from: 'typed',
    })
  })
})

test('a part keeps its key whatever else comes into the list', () => {
  const { parts } = planOf(job({ acidTest: 'negative' }), ['txv-underfeeding'])
  const dirty = planOf(job({ acidTest: 'strong' }), ['txv-underfeeding'])
  expect(new Set(parts.map(({ id }) => id)).size).toBe(parts.length)
  const keyOf = (list: typeof parts, label: RegExp) => list.find((part) => label.test(part.label))?.id
  // an acid circuit brings a suction dryer and oil into the list before these
  expect(dirty.parts.length).toBeGreaterThan(parts.length)
  for (const label of [/^expansion valve/, /^liquid dryer/, /^dry nitrogen/, /and a little more/])
    expect(keyOf(dirty.parts, label)).toBe(keyOf(parts, label))
})

describe('several decided faults', () => {
  test('the plan is their union, each task and part once; circuit and electrical together', () => {
    const plan = planOf(job(), ['txv-underfeeding', 'contactor-failed', 'fixed-orifice-plugged'])
    const tasks = plan.tasks.map(({ id }) => id)
    expect(tasks).toEqual(expect.arrayContaining(['swapValve', 'swapContactor', 'swapOrifice', 'recover']))
    expect(new Set(tasks).size).toBe(tasks.length)
    expect(plan.parts.filter(({ id }) => id === 'part:nitrogen')).toHaveLength(1)
    expect(plan.faults).toEqual(['txv-underfeeding', 'contactor-failed', 'fixed-orifice-plugged'])
  })
  test('an electrical fault alone leaves the circuit closed; beside a valve it is opened', () => {
    expect(planOf(job(), ['contactor-failed']).dryers).toEqual([])
    expect(planOf(job(), ['contactor-failed', 'txv-underfeeding']).dryers).not.toEqual([])
  })
  test('nothing wrong beside a fault adds nothing', () => {
    expect(planOf(job(), ['healthy', 'txv-underfeeding'])).toEqual(planOf(job(), ['txv-underfeeding']))
    expect(planOf(job(), [])).toEqual(planOf(job(), ['healthy']))
  })
})

const OIL_NEGATIVE: Observations = { acidTest: 'negative', acidTestKind: 'oil-kit' }

describe('the company policy is read (handbook 11)', () => {
  const withPolicy = (policy: KnownJob['policy'], observations: Observations = OIL_NEGATIVE) =>
    planOf({ ...job(observations), policy, arrival: { previousBurnout: true } }, ['txv-underfeeding'])
  test('evacuation, recovered charge, suction dryer, size of the liquid dryer', () => {
    const own = withPolicy({})
    expect(own.tasks.map(({ id }) => id)).toContain('evacuate')
    expect(withPolicy({ evacuation: 'always-triple' }).tasks.map(({ id }) => id)).toContain('evacuateTriple')
    expect(own.refrigerantPath.recovered).toBe('reuse-in-same-equipment')
    expect(withPolicy({ recoveredRefrigerant: 'always-reclaimed' }).refrigerantPath.recovered).toBe('reclaim')
    expect(own.dryers.map(({ place }) => place)).toEqual(['liquid'])
    expect(withPolicy({ suctionDryer: 'always-after-burnout' }).dryers.map(({ place }) => place)).toEqual([
      'liquid',
      'suction',
    ])
    const bigger = withPolicy({ liquidDryer: 'one-size-up' }).dryers[0]!
    expect(bigger.chosen!.dryer.block).toBeGreaterThan(own.dryers[0]!.chosen!.dryer.block)
    expect(bigger.steps).toBe(1)
  })
})
