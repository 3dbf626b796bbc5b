import { FAULT_IDS, type SuspectId } from '../../diagnosis/faults/faults'
import { emptyJob, type KnownJob } from '../../record/job/job'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Observations } from '../../record/readings/schema'
import { CAUTIONS } from '../../safety/cautions'
import { planRepair } from './plan'
import { REMEDIES } from './remedies'
import { scheduleOf } from '../schedule/schedule'
import { type TaskId, TASKS, taskRow } from './tasks'

const job = (observations: Observations = {}, unit: Partial<UnitPlate> = {}): KnownJob => ({
  ...emptyJob({ kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv', nominalTons: 3, ...unit }),
  readingSets: [{ id: 'a', mode: 'cooling', readings: {}, observations }],
})
const ids = (fault: SuspectId, observations?: Observations, unit?: Partial<UnitPlate>) =>
  planRepair(job(observations, unit), [fault]).tasks.map(({ id }) => id)
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
      expect(list[1]).toBe('confirm')
      expect(list.at(-1)).toBe('closeUp')
      expect(new Set(list).size).toBe(list.length)
      const opening = list.filter((id) => taskRow(id).opens)
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
  test('three pulls instead of one, oil changed, sections blown out', () => {
    const list = ids('txv-underfeeding', { moistureIndicator: 'wet' })
    expect(list).toEqual(expect.arrayContaining(['evacuateWet', 'changeOil', 'blowOut']))
    expect(list).not.toContain('evacuate')
  })
})

describe('every opening gets a new liquid dryer, a closed repair none', () => {
  test.each(FAULT_IDS)('%s', (fault) => {
    const plan = planRepair(job({ acidTest: 'negative' }), [fault])
    const opens = plan.tasks.some(({ id }) => id === 'recover')
    expect(plan.dryers.some(({ place }) => place === 'liquid')).toBe(opens)
    expect(plan.parts.some(({ label }) => label.startsWith('liquid dryer'))).toBe(opens)
    expect(plan.tasks.some(({ id }) => id === 'swapLiquidDryer')).toBe(opens)
  })
  test.each(['healthy', 'condenser-fouled', 'low-evaporator-airflow', 'txv-bulb-loose'] as const)(
    '%s opens nothing',
    (fault) => {
      expect(planRepair(job(), [fault]).dryers).toEqual([])
    },
  )
})

describe('class work', () => {
  test('burnout: blow out, suction dryer, two oil changes, no reuse', () => {
    const plan = planRepair(job({ acidTest: 'strong' }), ['compressor-not-pumping'])
    expect(plan.tasks.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['blowOut', 'fitSuctionDryer', 'changeOil', 'swapCompressor']),
    )
    expect(plan.oil.changes).toBe(2)
    expect(plan.refrigerantPath.recovered).toBe('reclaim')
    expect(plan.contamination.acid.after[1]!.tan).toBeLessThan(0.05)
  })
  test.each([
    [{ acidTest: 'negative' }, 'reuse-in-same-equipment'],
    [{}, 'reclaim'],
    [{ acidTest: 'weak' }, 'reclaim'],
    [{ moistureIndicator: 'wet', acidTest: 'negative' }, 'reclaim'],
  ] as const)('recovered charge with %o: %s', (observations, recovered) => {
    expect(planRepair(job(observations), ['txv-underfeeding']).refrigerantPath.recovered).toBe(recovered)
  })
  test('water seen opens it too, acid tested or not; a burnout long ago alone does not', () => {
    expect(ids('condenser-fouled', { moistureIndicator: 'wet' })).toContain('swapLiquidDryer')
    const old = planRepair({ ...job(), arrival: { previousBurnout: true } }, ['condenser-fouled'])
    expect(old.opens).toBe(false)
    expect(old.contamination).toMatchObject({ class: 'mild-acid', known: false })
  })
  test('acid found behind a closed repair opens the circuit after all', () => {
    expect(ids('condenser-fouled', { acidTest: 'strong' })).toEqual(
      expect.arrayContaining(['recover', 'swapLiquidDryer', 'changeOil']),
    )
  })
})

describe('cautions stand at their step (handbook 12)', () => {
  const cautionsAt = (id: TaskId, fault: SuspectId, unit?: Partial<UnitPlate>) =>
    planRepair(job({}, unit), [fault]).tasks.find((task) => task.id === id)!.cautions
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

describe('times', () => {
  test('every task runs low <= likely <= high, from the table of handbook 01', () => {
    for (const task of Object.values(TASKS)) {
      for (const minutes of [task.handsOn, 'unattended' in task ? task.unattended : undefined]) {
        if (minutes) expect([...minutes]).toEqual([...minutes].sort((a, b) => a - b))
      }
    }
    // [practice] rows of handbook 01
    expect(TASKS.swapCompressor.handsOn).toEqual([45, 90, 180])
    expect(TASKS.swapValve.handsOn).toEqual([30, 60, 120])
    expect(TASKS.evacuateWet.unattended).toEqual([90, 240, 1440])
  })
  test('a schedule adds up, and the safe time lies between likely and worst', () => {
    const schedule = scheduleOf([TASKS.recover, TASKS.swapValve, TASKS.closeUp])
    expect(schedule.handsOn).toEqual({ low: 60, likely: 105, high: 210 })
    expect(schedule.unattended).toEqual({ low: 15, likely: 30, high: 75 })
    expect(schedule.total).toEqual({ low: 75, likely: 135, high: 285 })
    expect(schedule.safe).toBeGreaterThan(schedule.total.likely)
    expect(schedule.safe).toBeLessThan(schedule.total.high)
  })
  test('three-point estimate of one step [std: PERT]: mean 65, deviation 15', () => {
    expect(scheduleOf([{ handsOn: [30, 60, 120] }]).safe).toBe(Math.round(65 + 1.645 * 15))
  })
  test('an expansion valve job likely takes 3 to 8 hours all told', () => {
    const { total } = planRepair(job({ acidTest: 'negative' }), ['txv-underfeeding']).schedule
    expect(total.likely / 60).toBeGreaterThan(3)
    expect(total.likely / 60).toBeLessThan(8)
  })
})

test('every suspect has a remedy; a part keeps its key whatever else comes into the list', () => {
  expect(Object.keys(REMEDIES).sort()).toEqual([...FAULT_IDS, 'healthy', 'unlisted'].sort())
  const { parts } = planRepair(job({ acidTest: 'negative' }), ['txv-underfeeding'])
  const dirty = planRepair(job({ acidTest: 'strong' }), ['txv-underfeeding'])
  expect(new Set(parts.map(({ id }) => id)).size).toBe(parts.length)
  const keyOf = (list: typeof parts, label: RegExp) => list.find((part) => label.test(part.label))?.id
  // an acid circuit brings a suction dryer and oil into the list before these
  expect(dirty.parts.length).toBeGreaterThan(parts.length)
  for (const label of [/^expansion valve/, /^liquid dryer/, /^dry nitrogen/, /charge and a little more/])
    expect(keyOf(dirty.parts, label)).toBe(keyOf(parts, label))
})

describe('several decided faults', () => {
  test('the plan is their union, each task and part once; circuit and electrical together', () => {
    const plan = planRepair(job(), ['txv-underfeeding', 'contactor-failed', 'fixed-orifice-plugged'])
    const tasks = plan.tasks.map(({ id }) => id)
    expect(tasks).toEqual(expect.arrayContaining(['swapValve', 'swapContactor', 'swapOrifice', 'recover']))
    expect(new Set(tasks).size).toBe(tasks.length)
    expect(plan.parts.filter(({ id }) => id === 'part:nitrogen')).toHaveLength(1)
    expect(plan.faults).toEqual(['txv-underfeeding', 'contactor-failed', 'fixed-orifice-plugged'])
  })
  test('an electrical fault alone leaves the circuit closed; beside a valve it is opened', () => {
    expect(planRepair(job(), ['contactor-failed']).dryers).toEqual([])
    expect(planRepair(job(), ['contactor-failed', 'txv-underfeeding']).dryers).not.toEqual([])
  })
  test('nothing wrong beside a fault adds nothing', () => {
    expect(planRepair(job(), ['healthy', 'txv-underfeeding'])).toEqual(
      planRepair(job(), ['txv-underfeeding']),
    )
    expect(planRepair(job(), [])).toEqual(planRepair(job(), ['healthy']))
  })
})

const OIL_NEGATIVE: Observations = { acidTest: 'negative', acidTestKind: 'oil-kit' }

describe('the company policy is read (handbook 11)', () => {
  const withPolicy = (policy: KnownJob['policy'], observations: Observations = OIL_NEGATIVE) =>
    planRepair({ ...job(observations), policy, arrival: { previousBurnout: true } }, ['txv-underfeeding'])
  test('evacuation, recovered charge, suction dryer, size of the liquid dryer', () => {
    const own = withPolicy({})
    expect(own.tasks.map(({ id }) => id)).toContain('evacuate')
    expect(withPolicy({ evacuation: 'always-triple' }).tasks.map(({ id }) => id)).toContain('evacuateWet')
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
