import { toKelvin } from '../../base/units/convert'
import type { SuspectId } from '../../diagnosis/faults/faults'
import { CONTROL_PATH } from '../../diagnosis/electrical/supplyPath'
import type { UnitPlate } from '../../record/equipment/unit'
import { toggleAlso } from '../../record/edits/decisionEdits'
import { emptyJob, type KnownJob } from '../../record/job/job'
import type { Observations } from '../../record/readings/schema'
import type { Arrival } from '../../record/records/head'
import type { JobSet } from '../../record/records/set'
import { startLines } from '../work/firstStart'
import { planOf } from './basis'
import { climateHazard, heatWords } from './climate'
import { kitOf, MACHINES, type Machine, machineOf } from './machine'
import { namedControl } from './namedControl'
import type { Plan } from './plan'
import { plannedDay } from './plannedDay'
import type { TaskId } from './tasks/tasks'

const f = (value: number) => toKelvin({ value, unit: 'F' })
const CLEAN: Observations = { acidTest: 'negative', acidTestKind: 'oil-kit' }
const SPLIT: UnitPlate = {
  kind: 'split-ac',
  refrigerant: 'R-410A',
  metering: 'txv',
  nominalTons: 3,
  factoryCharge: { value: 7, unit: 'lb' },
  power: { phase: 1, volts: 230 },
}

type Given = {
  readonly faults?: readonly SuspectId[]
  readonly unit?: Partial<UnitPlate>
  readonly words?: Observations
  readonly set?: Partial<JobSet>
  readonly job?: Partial<KnownJob>
}
function planned({
  faults = ['txv-underfeeding'],
  unit = {},
  words = CLEAN,
  set = {},
  job = {},
}: Given = {}): Plan {
  return planOf(
    {
      ...emptyJob({ ...SPLIT, ...unit }),
      readingSets: [{ id: 'a', mode: 'cooling', readings: {}, observations: words, ...set }],
      ...job,
    },
    faults,
  )
}
const partIds = ({ parts }: Plan) => parts.map(({ id }) => id.replace('part:', ''))
const ids = ({ tasks }: Plan) => tasks.map(({ id }) => id)
const pointsOf = ({ tasks }: Plan, id: TaskId) => tasks.find((task) => task.id === id)?.points ?? []

describe('kits by machine (handbook 13)', () => {
  const PLATES: Readonly<Record<Machine, Partial<UnitPlate>>> = {
    'small-hermetic': {
      kind: 'reach-in',
      refrigerant: 'R-134a',
      metering: 'capillary',
      nominalTons: 0.2,
      factoryCharge: { value: 12, unit: 'oz' },
    },
    'single-phase': { compressor: { type: 'scroll' } },
    'three-phase': { power: { phase: 3, volts: 208 } },
    'semi-hermetic': { kind: 'walk-in-cooler', refrigerant: 'R-448A', compressor: { type: 'semi-hermetic' } },
  }
  const NEVER: Readonly<Record<Machine, readonly string[]>> = {
    'small-hermetic': ['contactor', 'run-capacitor', 'body-gaskets'],
    'single-phase': ['start-relay', 'process-stub', 'body-gaskets'],
    'three-phase': ['run-capacitor', 'hard-start-kit', 'start-relay', 'process-stub'],
    'semi-hermetic': ['process-stub', 'start-relay', 'run-capacitor'],
  }
  test.each(MACHINES)('%s: its own kit and nothing of the others', (machine) => {
    const plan = planned({ faults: ['compressor-open-winding'], unit: PLATES[machine] })
    expect(machineOf({ ...SPLIT, ...PLATES[machine] })).toBe(machine)
    expect(partIds(plan)).toEqual(expect.arrayContaining(['compressor', ...kitOf(machine)]))
    for (const part of NEVER[machine]) expect(partIds(plan)).not.toContain(part)
  })
  test('a semi-hermetic is unbolted: no flame, no joint, gaskets and torque', () => {
    const plan = planned({ faults: ['compressor-open-winding'], unit: PLATES['semi-hermetic'] })
    const swap = plan.tasks.find(({ id }) => id === 'swapSemiHermetic')!
    expect(swap.flame).toBe(false)
    expect(ids(plan)).not.toContain('swapCompressor')
    expect(swap.points.join(' ')).toMatch(/No brazing at the body.*gaskets.*torque/s)
  })
  test.each([
    [31, 'small-hermetic'],
    [32, 'single-phase'],
    [33, 'single-phase'],
  ] as const)('a plate of %d oz on one phase: %s', (ounces, machine) =>
    expect(machineOf({ ...SPLIT, factoryCharge: { value: ounces, unit: 'oz' } })).toBe(machine),
  )
  test('a crankcase heater without watts exists all the same: off with the compressor, before the start, on the list', () => {
    const plan = planned({ faults: ['crankcase-heater-open'], unit: { crankcaseHeater: {} } })
    expect(partIds(plan)).toContain('crankcase-heater')
    const lines = (of: Plan, unit: Partial<UnitPlate>) =>
      startLines({ unit: { ...SPLIT, ...unit }, tasks: of.tasks, state: { off: {} } as never }).map(
        ({ id }) => id,
      )
    const valve = planned({ unit: { crankcaseHeater: { fitted: true } } })
    expect(lines(valve, { crankcaseHeater: { fitted: true } })).toContain('heater')
    expect(lines(valve, {})).not.toContain('heater')
    // one that is replaced is there, whatever the plate says
    expect(lines(planned({ faults: ['crankcase-heater-open'] }), {})).toContain('warm')
    expect(pointsOf(plan, 'swapHeater').join(' ')).toMatch(/watts are not on record/)
    expect(
      plan.parts.find(({ id }) => id === 'part:crankcase-heater')!.match.find(({ id }) => id === 'watts')!
        .wanted,
    ).toBeUndefined()
  })
})

describe('steps with content', () => {
  /** A job in which each is planned, and words that it must hold. */
  const STEPS: readonly (readonly [TaskId, Given, readonly RegExp[]])[] = [
    [
      'swapHeader',
      {
        faults: ['fixed-orifice-plugged'],
        unit: { metering: 'fixed-orifice' },
        job: { repair: { orificeWay: 'distributor' } },
      },
      [/[Cc]ount the tubes/, /sleeved/, /alloy/, /[Ee]qualiser/, /Bulb/, /Order of joints/, /Nitrogen way/],
    ],
    [
      'pistonToScroll',
      { faults: ['compressor-not-pumping'], job: { repair: { compressorWay: 'piston-to-scroll' } } },
      [/Kit/, /Feet/, /Pipes/, /Starting gear/, /Metering/],
    ],
    [
      'swapCapillary',
      { faults: ['capillary-plugged'], unit: { kind: 'reach-in', metering: 'capillary' } },
      [/bore and length/, /cutter/, /2-3 in/],
    ],
    [
      'repairStem',
      { faults: ['undercharge'], job: { repair: { leakPlace: 'stem' } } },
      [/Core/, /Stem/, /Cap/],
    ],
    ['swapServiceValve', { faults: ['service-valve-damaged'] }, [/seats/, /packing/, /left cracked/]],
    ['changePlug', { faults: ['relief-plug-melted'] }, [/thread/, /two wrenches/]],
    [
      'repairPort',
      { faults: ['undercharge'], job: { repair: { leakPlace: 'compressor' } } },
      [/tee/, /left cracked/, /torque/],
    ],
    [
      'restoreWater',
      {
        faults: ['condenser-water-low-flow'],
        unit: { kind: 'water-source-heat-pump', heatRejection: 'water' },
      },
      [/strainer/, /flow/],
    ],
    ['cleanCoil', { faults: ['condenser-fouled'] }, [/rinsed/, /[Cc]ondensate.*trap/]],
    ['swapStartGear', { faults: ['start-gear-failed'] }, [/Wiring map/, /by ohms/]],
    [
      'swapSolenoid',
      { faults: ['liquid-solenoid-leaking'], unit: { kind: 'walk-in-cooler', refrigerant: 'R-448A' } },
      [/stem/],
    ],
  ]
  test.each(STEPS)('%s', (id, given, words) => {
    const said = pointsOf(planned(given), id)
    expect(said.length).toBeGreaterThanOrEqual(3)
    expect(new Set(said).size).toBe(said.length)
    for (const word of words) expect(said.join(' ')).toMatch(word)
  })
  test('the capillary as it was measured', () => {
    const repair = {
      capillary: { bore: { value: 0.031, unit: 'in' }, length: { value: 8, unit: 'ft' } },
    } as const
    const given: Given = { faults: ['capillary-plugged'], unit: { kind: 'reach-in', metering: 'capillary' } }
    expect(pointsOf(planned({ ...given, job: { repair } }), 'swapCapillary').join(' ')).toMatch(
      /bore 0\.031 in, length 8 ft/,
    )
    const measured = planned({ ...given, job: { repair } }).parts.find(({ id }) => id === 'part:capillary')!
    expect(measured.match.map(({ wanted }) => wanted)).toEqual(['0.031 in', '8 ft'])
    const half = { capillary: { bore: repair.capillary.bore } }
    expect(pointsOf(planned({ ...given, job: { repair: half } }), 'swapCapillary').join(' ')).toMatch(
      /measure both.*bore 0\.031/,
    )
  })
  test('every flame tells when nitrogen flows, how it flows, and of burning oil', () => {
    const flames = new Set<TaskId>()
    for (const [, given] of STEPS)
      for (const task of planned(given).tasks)
        if (task.flame) {
          flames.add(task.id)
          expect(task.points.join(' ')).toMatch(/Nitrogen flows from/)
          expect(task.notes.join(' ')).toMatch(/Nitrogen: a trickle/)
          expect(task.hazards).toEqual(expect.arrayContaining(['flame, poison gas', 'oil fire', 'hot work']))
        }
    expect(flames.size).toBeGreaterThan(5)
  })
})

describe('boxes, leaks, controls', () => {
  test('boxes are opened before anything is cut, each held against its points', () => {
    const plan = planned()
    const list = ids(plan)
    expect(list.indexOf('checkBoxes')).toBeLessThan(list.indexOf('lockOut'))
    expect(pointsOf(plan, 'checkBoxes').join(' ')).toMatch(
      /expansion valve: R-410A, 3 tons, charge type of the bulb.*Each dryer: connections, length, arrow/,
    )
    expect(ids(planned({ faults: ['wrong-or-mixed-refrigerant'] }))).toContain('checkBoxes')
    // nothing is bought and nothing opened: no box
    expect(ids(planned({ faults: ['txv-set-too-closed'] }))).not.toContain('checkBoxes')
  })
  test('a known leak is confirmed, an unknown one searched', () => {
    const known = planned({ faults: ['undercharge'], job: { repair: { leakPlace: 'fitting' } } })
    expect(ids(known)).toContain('confirmLeak')
    expect(ids(known)).not.toContain('leakSearch')
    expect(ids(planned({ faults: ['undercharge'] }))).toContain('leakSearch')
  })
  const tested = (live: readonly string[], dead: readonly string[]) =>
    Object.fromEntries([...live.map((id) => [id, 'live']), ...dead.map((id) => [id, 'dead'])]) as Record<
      string,
      'live' | 'dead'
    >
  test.each<readonly [readonly string[], string, Observations, string | undefined]>([
    [['disconnect-load'], 'transformer', {}, 'transformer'],
    // nothing shows that it is fed
    [[], 'transformer', {}, undefined],
    [['transformer'], 'thermostat-call', { jumpAtThermostat: 'holds' }, 'thermostat'],
    [['transformer'], 'thermostat-call', { jumpAtThermostat: 'does-not-hold' }, 'control-wire'],
    // thermostat or wire
    [['transformer'], 'thermostat-call', {}, undefined],
    [['thermostat-call'], 'pressure-switches', { lowPressureSwitch: 'open' }, 'low-pressure-switch'],
    // which of the switches
    [['thermostat-call'], 'pressure-switches', {}, undefined],
    [['thermostat-call'], 'pressure-switches', { lowPressureSwitch: 'closed' }, undefined],
    [['pressure-switches'], 'time-delay', {}, 'time-delay'],
    [['time-delay'], 'contactor-coil', {}, 'control-wire'],
  ])('live at %j, dead at %s, %j: %s', (live, dead, words, part) => {
    const points = tested(live, [dead])
    expect(CONTROL_PATH.some(({ id }) => id === dead)).toBe(true)
    expect(namedControl(['control-open'], words, points)?.part).toBe(part)
    const plan = planned({ faults: ['control-open'], words: { ...CLEAN, ...words }, set: { points } })
    expect(partIds(plan)).toContain(part ?? 'control')
    expect(partIds(plan).includes('control')).toBe(part === undefined)
    expect(ids(plan).includes('checkControls')).toBe(part === undefined)
  })
  test('what the bench has not narrowed down is followed, 40 min', () => {
    expect(namedControl(['control-open'], {}, tested(['transformer'], ['contactor-coil']))).toBeUndefined()
    const plan = planned({ faults: ['control-open'] })
    expect(plan.tasks.find(({ id }) => id === 'checkControls')!.handsOn[1]).toBe(40)
    expect(partIds(plan)).toContain('control')
  })
  test.each([
    [{ jumpAtUnit: 'holds', jumpAtThermostat: 'holds' }, 'thermostat'],
    [{ jumpAtUnit: 'holds', jumpAtThermostat: 'does-not-hold' }, 'control-wire'],
    [{ jumpAtUnit: 'does-not-hold', jumpAtThermostat: 'holds' }, undefined],
    [{ jumpAtUnit: 'holds' }, undefined],
  ] as const)('%j: %s', (words, part) =>
    expect(namedControl(['rv-control-voltage-fault'], words, {})?.part).toBe(part),
  )
  test.each<readonly [string, Given, boolean]>([
    ['new compressor', { faults: ['compressor-not-pumping'] }, true],
    ['control', { faults: ['control-open'] }, true],
    ['conversion', { faults: ['txv-underfeeding'], job: { repair: { refrigerantTo: 'R-449A' } } }, true],
    ['a valve alone', { faults: ['txv-underfeeding'] }, false],
  ])('pressure control of a walk-in, %s: set anew %s', (_name, given, isSet) => {
    const plan = planned({
      ...given,
      unit: { kind: 'walk-in-cooler', refrigerant: 'R-404A', listedFor: ['R-404A', 'R-449A'] },
    })
    expect(ids(plan).includes('setPressureControl')).toBe(isSet)
    const said = isSet
      ? plan.tasks.find(({ id }) => id === 'setPressureControl')!.notes.join(' ')
      : pointsOf(plan, 'settle').join(' ')
    expect(said).toMatch(
      /Assumed, as no setpoint is on record.*cut-in to [\d.]+ psig or less, the cut-out to about [\d.]+ psig/,
    )
  })
})

describe('what is also replaced joins parts, tasks, class and joints', () => {
  const decided = { ...emptyJob(SPLIT), readingSets: [] }
  const also = toggleAlso('expansion-valve')(decided, { now: '2026-12-01T08:00:00Z', newId: () => 'x' })
  const rods = (plan: Plan) => plan.parts.find(({ id }) => id === 'part:rods-copper')?.why
  const before = planned({ faults: ['contactor-failed'] })
  const after = planned({ faults: ['contactor-failed'], job: { decisions: also.decisions } })
  test('a valve beside a contactor opens the circuit with all that goes with it', () => {
    expect([before.opens, after.opens]).toEqual([false, true])
    expect(partIds(after)).toEqual(expect.arrayContaining(['contactor', 'expansion-valve', 'liquid-dryer']))
    expect(ids(after)).toEqual(
      expect.arrayContaining(['swapContactor', 'swapValve', 'recover', 'pressureTest']),
    )
    expect(rods(after)).toBe('5 joints copper to copper')
    expect(after.contamination.class).toBe('clean')
    expect(before.dryers).toEqual([])
  })
})

describe('causes of death: cure and check', () => {
  const withCause = (cause: string, unit: Partial<UnitPlate> = {}) =>
    planned({
      faults: ['compressor-open-winding'],
      unit,
      job: {
        decisions: [
          {
            id: 'compressor-open-winding',
            fault: 'compressor-open-winding',
            state: 'decided',
            causes: [cause],
          },
        ],
      },
    })
  test.each([
    ['flooded-start', 'swapHeater', /heater amps/],
    ['ran-out-of-charge', 'fitLowPressureSwitch', /switch seen to cut out/],
    ['supply', 'repairSupply', /within a tenth/],
  ] as const)('%s', (cause, task, check) => {
    const plan = withCause(cause)
    expect(plan.causes.map(({ id }) => id)).toEqual([cause])
    expect(plan.causes[0]!.cure.length).toBeGreaterThan(10)
    expect(ids(plan)).toContain(task)
    expect(pointsOf(plan, 'settle').join(' ')).toMatch(check)
  })
  test('single phasing: a phase monitor, three volts and three amps', () => {
    const plan = withCause('supply', { power: { phase: 3, volts: 208 } })
    expect(partIds(plan)).toContain('phase-monitor')
    expect(pointsOf(plan, 'settle').join(' ')).toMatch(/Three pairs of volts within 2 % and three amps/)
    expect(partIds(withCause('supply'))).not.toContain('phase-monitor')
  })
  test('a hard-start kit where starting killed it, never on three phases', () => {
    expect(partIds(withCause('start-gear'))).toContain('hard-start-kit')
    expect(partIds(withCause('start-gear', { power: { phase: 3 } }))).not.toContain('hard-start-kit')
    expect(partIds(withCause('age'))).not.toContain('hard-start-kit')
  })
})

describe('heat and cold where one works (handbook 12)', () => {
  test.each([
    ['outdoors', 94.9, undefined],
    ['outdoors', 95, 'heat'],
    ['outdoors', 95.1, 'heat'],
    ['roof', 79.9, undefined],
    ['roof', 80.1, 'heat'],
    ['attic', 64.9, undefined],
    ['attic', 65.1, 'heat'],
    ['indoors', 110, undefined],
    ['outdoors', 32.1, undefined],
    ['outdoors', 32, 'cold'],
    ['roof', 31.9, 'cold'],
  ] as const)('%s at %d F: %s', (place, outdoor, hazard) =>
    expect(climateHazard({ place, outdoor: f(outdoor) })).toBe(hazard),
  )
  test('not read is not judged, and what is told says both figures', () => {
    expect(climateHazard({ place: 'roof', outdoor: undefined })).toBeUndefined()
    expect(heatWords({ place: 'roof', outdoor: f(97) })).toEqual([
      'Outdoor air 97 F, about 112 F on the roof.',
    ])
    expect(heatWords({ place: 'outdoors', outdoor: f(70) })).toEqual([])
  })
  test('set-up and long steps carry it, short ones do not', () => {
    const set = { readings: { outdoorAirTemp: { value: 97, unit: 'F' } } } as const
    const plan = planned({ set, job: { arrival: { place: 'roof' } } })
    const hot = plan.tasks.filter(({ hazards }) => hazards.includes('heat stress')).map(({ id }) => id)
    expect(hot).toEqual(expect.arrayContaining(['setUp', 'swapValve']))
    expect(hot).not.toContain('lockOut')
  })
})

describe('what was said on arrival', () => {
  const day = (arrival: Arrival, typed: object = {}, kind: UnitPlate['kind'] = 'split-ac') =>
    plannedDay(typed, arrival, { kind })
  test.each([
    ['dry', { until: '12:00' }],
    ['humid', { until: '12:00' }],
    ['rain-expected', { wetFrom: '12:00' }],
    ['storm-expected', { wetFrom: '12:00' }],
  ] as const)('%s until noon', (weather, wanted) =>
    expect(day({ weather, workUntil: '12:00' })).toEqual({ weather, ...wanted }),
  )
  test('goods of a box, people of a space; a typed deadline stands before both', () => {
    expect(day({ goodsUntil: '15:00' }, {}, 'walk-in-cooler')).toEqual({
      goodsUntil: '15:00',
      deadlineOf: 'goods',
    })
    expect(day({ goodsUntil: '15:00' })).toEqual({ goodsUntil: '15:00', deadlineOf: 'space' })
    expect(day({ goodsUntil: '15:00' }, { deadline: '2026-12-01T13:00' })).toEqual({
      deadline: '2026-12-01T13:00',
    })
  })
})

describe('a new unit beside the repair', () => {
  const swap = (given: Given) => planned(given).unitSwap
  test('only where a compressor is changed', () => {
    expect(swap({})).toBeUndefined()
    expect(swap({ faults: ['compressor-not-pumping'] })?.of).toBe('condensing unit')
    expect(swap({ faults: ['compressor-not-pumping'], unit: { kind: 'package-ac' } })).toMatchObject({
      of: 'whole unit',
      swap: { isEstimate: true, basis: { source: 'assumed' } },
    })
  })
  test('two reasons make it the better deal, one does not', () => {
    const once = swap({ faults: ['compressor-open-winding'] })!
    const twice = swap({
      faults: ['compressor-open-winding'],
      unit: { refrigerant: 'R-22' },
      job: { arrival: { previousCompressor: true } },
    })!
    expect(once.reasons.filter((reason) => reason !== 'less work')).toEqual([])
    expect(twice.reasons).toEqual(
      expect.arrayContaining(['its compressor failed before', 'R-22 gets expensive']),
    )
    expect(twice.isBetter).toBe(true)
    expect(once.isBetter).toBe(once.reasons.includes('less work'))
  })
  test('both ways are the same whichever is planned', () => {
    const given = (compressorWay: 'condensing-unit' | 'like-for-like'): Given => ({
      faults: ['compressor-not-pumping'],
      job: { repair: { compressorWay } },
    })
    const [repair, unit] = [swap(given('like-for-like'))!, swap(given('condensing-unit'))!]
    expect([unit.repair.handsOn, unit.swap.handsOn]).toEqual([repair.repair.handsOn, repair.swap.handsOn])
    expect(repair.repair.handsOn).not.toBe(repair.swap.handsOn)
  })
})
