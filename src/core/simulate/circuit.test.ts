import { airEnthalpy } from '../physics/air/moistAir'
import { attempt } from '../base/errors/orzoError'
import type { UnitPlate } from '../record/equipment/unit'
import { seededRandom } from '../base/numeric/random'
import { derive } from '../record/readings/derive'
import { takeSnapshot } from '../record/readings/snapshot'
import type { Readings } from '../record/readings/schema'
import { READING_KEYS, type ReadingKey, readingRow } from '../record/readings/vocabulary'
import { findTargets } from '../diagnosis/targets/findTargets'
import { differenceFromKelvin, fromKelvin, toKelvin } from '../base/units/convert'
import { condensateEnthalpy } from '../physics/air/wetCoil'
import { airLeaving, leavingEvaporator } from './airSide'
import { CHANGES, refrigerantInside, SIMULATED_FAULTS, type SimulatedFault } from './circuitFaults'
import type { Conditions, RunningMode } from './conditions'
import { ratingPoint } from './ratingPoint'
import { sizeUnit } from './sizing'
import { solveCircuit } from './solve'
import { type Simulator, simulateSteady, simulatorOf, type Steady } from './steady'
import { asMoistAir } from './stream'
import { trueReadings } from './trueReadings'

const f = (value: number) => toKelvin({ value, unit: 'F' })
const inF = (kelvin: number) => differenceFromKelvin(kelvin, 'F')

const UNITS: readonly (readonly [string, UnitPlate])[] = [
  ['R-410A split, expansion valve', { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }],
  ['R-22 split, fixed orifice', { kind: 'split-ac', refrigerant: 'R-22', metering: 'fixed-orifice' }],
  ['R-454B package, electronic valve', { kind: 'package-ac', refrigerant: 'R-454B', metering: 'eev' }],
  ['R-32 heat pump', { kind: 'split-heat-pump', refrigerant: 'R-32', metering: 'txv' }],
  ['water-source unit', { kind: 'water-source-heat-pump', refrigerant: 'R-410A', metering: 'txv' }],
  [
    'R-448A walk-in cooler with receiver',
    {
      kind: 'walk-in-cooler',
      refrigerant: 'R-448A',
      metering: 'txv',
      receiver: true,
      headPressureControl: true,
    },
  ],
  [
    'R-404A walk-in freezer',
    { kind: 'walk-in-freezer', refrigerant: 'R-404A', metering: 'txv', receiver: true },
  ],
  ['R-134a reach-in, capillary', { kind: 'reach-in', refrigerant: 'R-134a', metering: 'capillary' }],
  ['R-290 reach-in, capillary', { kind: 'reach-in', refrigerant: 'R-290', metering: 'capillary' }],
]
const HEAT_PUMP: UnitPlate = { kind: 'split-heat-pump', refrigerant: 'R-410A', metering: 'txv' }
const POOL: UnitPlate = { kind: 'pool-heat-pump', refrigerant: 'R-410A', metering: 'txv' }

const simulators = new Map<UnitPlate, Simulator>()
function run(
  unit: UnitPlate,
  conditions: Conditions = {},
  faults: { fault: SimulatedFault; severity: number }[] = [],
  mode: RunningMode = 'cooling',
): Steady {
  const simulator = simulators.get(unit) ?? simulatorOf(unit)
  simulators.set(unit, simulator)
  return simulateSteady(simulator, { unit, mode, conditions, faults })
}

/** What goes in less what goes out, as a share of the power that passes. */
function energyImbalance({ state, circuit }: Steady): number {
  const { massFlow, enthalpy } = state.unknowns
  const cooling = massFlow * (enthalpy - state.liquid.atDevice.enthalpy)
  const gained = massFlow * (state.beforeValve.enthalpy - enthalpy)
  const lost = massFlow * (state.liquid.leaving.enthalpy - state.liquid.atDevice.enthalpy)
  const { power, shellHeat } = state.compressor
  const rejected = state.condenser.heat
  return (cooling + gained + power - shellHeat - rejected - lost) / circuit.nominalCapacity
}

/** Heat that the air or water of the evaporator lost, from its leaving state and its condensate, W. */
function outerHeat({ state }: Steady): number {
  const { entering, massFlow, capacityRate } = state.streams.evaporator
  const leaving = leavingEvaporator(state)
  if (entering.kind === 'water') return capacityRate * (entering.temperature - leaving.temperature)
  const out = airLeaving(state.streams.evaporator, leaving)!
  const dried = entering.humidityRatio - out.humidityRatio
  const condensate = dried * condensateEnthalpy(state.evaporator.surface)
  return massFlow * (airEnthalpy(asMoistAir(entering)) - airEnthalpy(out) - condensate)
}

describe.each(UNITS)('%s', (_name, unit) => {
  const sized = sizeUnit(unit)
  const rating = ratingPoint(unit, sized.row)
  const rated = solveCircuit(sized.cooling, rating.around, {
    circuit: sized.cooling,
    around: rating.around,
    unknowns: sized.rated,
  })

  test('runs at its rating point within 10 % of its nominal tons, with the superheat it was set to', () => {
    expect(Math.abs(rated.evaporator.heat / rating.capacity - 1)).toBeLessThan(0.1)
    const superheat = rated.afterCoil.temperature - rated.evaporatorCorners.dew
    const reachable = 0.8 * (rating.around.evaporator.temperature - sized.rated.evaporating)
    expect(Math.abs(superheat - Math.min(rating.superheat, reachable))).toBeLessThan(0.6)
    expect(Math.abs(rated.unknowns.evaporating - sized.rated.evaporating)).toBeLessThan(1)
    expect(Math.abs(rated.unknowns.condensing - sized.rated.condensing)).toBeLessThan(1.5)
  })

  test.each([
    ['healthy', undefined],
    ['undercharge', 0.7],
    ['non-condensables', 0.6],
    ['compressor-not-pumping', 0.5],
    ['low-evaporator-airflow', 0.6],
    ['plugged-liquid-dryer', 0.7],
  ] as const)('%s: mass exact, energy within 0.2 %%, air side agrees', (fault, severity) => {
    for (const outdoor of [60, 95]) {
      const steady = run(unit, { outdoorAirTemp: f(outdoor) }, severity ? [{ fault, severity }] : [])
      const { state, circuit } = steady
      expect(Math.abs(state.mass / circuit.charge - 1)).toBeLessThan(1e-6)
      expect(Math.abs(state.flowThroughDevice - state.unknowns.massFlow)).toBeLessThan(
        1e-5 * circuit.nominalFlow,
      )
      expect(Math.abs(energyImbalance(steady))).toBeLessThan(0.002)
      expect(Math.abs(outerHeat(steady) - state.evaporator.heat)).toBeLessThan(
        0.002 * circuit.nominalCapacity,
      )
    }
  })

  test('heat flows downhill and pressures fall along the way', () => {
    for (const outdoor of [55, 75, 105]) {
      const { state } = run(unit, { outdoorAirTemp: f(outdoor), waterInTemp: f(outdoor - 10) })
      const { liquid } = state
      expect(state.condenser.temperatureOut).toBeGreaterThanOrEqual(
        state.streams.condenser.temperature - 1e-6,
      )
      expect(state.evaporator.temperatureOut).toBeLessThanOrEqual(state.streams.evaporator.temperature + 1e-6)
      expect(liquid.leaving.pressure).toBeGreaterThan(liquid.beforeDryer.pressure)
      expect(liquid.beforeDryer.pressure).toBeGreaterThan(liquid.afterDryer.pressure)
      expect(state.evaporatorCorners.pressure).toBeGreaterThan(state.beforeCompressor.pressure)
    }
  })

  test('80 random conditions all have a steady state', () => {
    const random = seededRandom(31)
    const between = (low: number, high: number) => f(low + (high - low) * random())
    const [coldest, warmest] = unit.kind === 'walk-in-freezer' ? [-15, 10] : [33, 50]
    for (let i = 0; i < 80; i++) {
      const conditions = {
        outdoorAirTemp: between(40, 112),
        returnAirTemp: between(66, 85),
        boxTemp: between(coldest!, warmest!),
        waterInTemp: between(50, 95),
      }
      expect(run(unit, conditions).state.unknowns.massFlow).toBeGreaterThan(0)
    }
  })
})

describe('ratings sense of a comfort unit [memory]', () => {
  test.each(UNITS.slice(0, 4))(
    '%s gains 4-10 %% capacity and 12-30 %% efficiency from 95 F to 82 F',
    (_name, unit) => {
      const room = { returnAirTemp: f(80), returnAirWetBulb: f(67) }
      const [hot, mild] = [95, 82].map((outdoor) => run(unit, { ...room, outdoorAirTemp: f(outdoor) }))
      const tons = hot!.circuit.nominalCapacity / 3516.853
      const fans = tons * (hot!.sized.row.evaporatorFan + hot!.sized.row.condenserFan)
      const efficiency = ({ state }: Steady) => state.evaporator.heat / (state.compressor.power + fans)
      const capacity = mild!.state.evaporator.heat / hot!.state.evaporator.heat - 1
      const gain = efficiency(mild!) / efficiency(hot!) - 1
      expect(capacity).toBeGreaterThan(0.04)
      expect(capacity).toBeLessThan(0.1)
      expect(gain).toBeGreaterThan(0.12)
      expect(gain).toBeLessThan(0.3)
    },
  )
  test('a fixed orifice follows the superheat formula of handbook 03 within 6 F', () => {
    const unit = UNITS[1]![1]
    for (const [outdoor, wet, dry] of [
      [75, 63, 76],
      [85, 64, 76],
      [95, 67, 80],
      [85, 67, 80],
    ] as const) {
      const formula = (3 * wet - 80 - outdoor) / 2
      const steady = run(unit, {
        outdoorAirTemp: f(outdoor),
        returnAirTemp: f(dry),
        returnAirWetBulb: f(wet),
      })
      const { beforeCompressor } = steady.state
      const superheat = inF(beforeCompressor.temperature - beforeCompressor.isobar.dewTemperature)
      expect(Math.abs(superheat - formula)).toBeLessThan(6)
    }
  })
})

describe('a sound unit lies inside the handbook bands that judge it', () => {
  const readingsOf = (steady: Steady): Readings => {
    const truth = trueReadings(steady)
    const entries = READING_KEYS.filter(
      (key) => truth[key] !== undefined && ['pressure', 'temperature'].includes(readingRow(key).kind),
    ).map((key) => {
      const value = truth[key] as number
      return readingRow(key).kind === 'pressure'
        ? [key, { value: value / 1000, unit: 'kPa' }]
        : [key, { value: fromKelvin(value, 'F'), unit: 'F' }]
    })
    return Object.fromEntries(entries)
  }
  test.each(UNITS.filter(([, unit]) => unit.metering === 'txv' || unit.metering === 'eev'))(
    '%s',
    (_name, unit) => {
      for (const outdoor of [75, 88, 98]) {
        const steady = run(unit, { outdoorAirTemp: f(outdoor) })
        const at = takeSnapshot(
          { mode: 'cooling', readings: readingsOf(steady) },
          unit.refrigerant,
          steady.atmosphere,
        )
        const derived = derive(at)
        const targets = findTargets(unit, at, derived)
        for (const key of [
          'evaporatingMean',
          'condensingMean',
          'superheat',
          'evaporatorSuperheat',
          'subcooling',
          'dryerDrop',
          'temperatureSplit',
        ] as const) {
          const [target, measured] = [targets[key], derived[key]]
          if (target && measured)
            if (Math.abs(measured.value - target.value) / target.tolerance > 1.6)
              throw new Error(
                `${key} ${inF(measured.value)} against ${inF(target.value)} +-${inF(target.tolerance)}`,
              )
        }
      }
    },
  )
})

describe('heating', () => {
  test('47 F outdoors: evaporating 8-22 F below the air, condensing 25-45 F over the room, supply rise 20-40 F', () => {
    const { state, conditions } = run(HEAT_PUMP, {}, [], 'heating')
    const truth = trueReadings(run(HEAT_PUMP, {}, [], 'heating'))
    expect(inF(conditions.outdoorAirTemp - state.unknowns.evaporating)).toBeGreaterThan(8)
    expect(inF(conditions.outdoorAirTemp - state.unknowns.evaporating)).toBeLessThan(22)
    expect(inF(state.unknowns.condensing - conditions.returnAirTemp)).toBeGreaterThan(25)
    expect(inF(state.unknowns.condensing - conditions.returnAirTemp)).toBeLessThan(45)
    const rise = inF(truth.supplyAirTemp! - truth.returnAirTemp!)
    expect(rise).toBeGreaterThan(20)
    expect(rise).toBeLessThan(40)
  })
  test('capacity falls with the outdoor air', () => {
    const heat = [60, 47, 30, 10].map(
      (outdoor) => run(HEAT_PUMP, { outdoorAirTemp: f(outdoor) }, [], 'heating').state.condenser.heat,
    )
    expect(heat).toEqual([...heat].sort((a, b) => b - a))
  })
  test('a pool heater condenses 4-20 F over leaving water that rises 3-6 F', () => {
    const steady = run(POOL, {}, [], 'heating')
    const { waterInTemp, waterOutTemp } = trueReadings(steady)
    expect(inF(waterOutTemp! - waterInTemp!)).toBeGreaterThan(2.5)
    expect(inF(waterOutTemp! - waterInTemp!)).toBeLessThan(6)
    expect(inF(steady.state.unknowns.condensing - waterOutTemp!)).toBeGreaterThan(4)
    expect(inF(steady.state.unknowns.condensing - waterOutTemp!)).toBeLessThan(20)
  })
  test('a plain air conditioner does not heat, and says so', () => {
    expect(() => run(UNITS[0]![1], {}, [], 'heating')).toThrow(/does not run in heating/)
  })
})

describe('plate values', () => {
  test('the plate charge is what the circuit holds, and the plate subcooling what it shows', () => {
    const unit: UnitPlate = {
      ...HEAT_PUMP,
      nominalTons: 2.5,
      factoryCharge: { value: 7.2, unit: 'lb' },
      targetSubcooling: { value: 12, unit: 'F' },
    }
    const steady = run(unit, { outdoorAirTemp: f(95), returnAirTemp: f(80), returnAirWetBulb: f(67) })
    expect(steady.circuit.charge).toBeCloseTo(7.2 * 0.45359237, 6)
    expect(inF(steady.state.condenserCorners.bubble - steady.state.condenser.temperatureOut)).toBeCloseTo(
      12,
      0,
    )
  })
  test('a kind without a model is refused with what to do', () => {
    expect(() => sizeUnit({ ...HEAT_PUMP, kind: 'other' })).toThrow(/choose the kind/)
  })
})

describe('faults', () => {
  test('at severity nought nothing changes', () => {
    const { circuit, around } = run(HEAT_PUMP)
    const scale = {
      highPressure: 25e5,
      lowPressure: 9e5,
      suctionDensity: 33,
      dischargeDensity: 90,
      liquidDensity: 1000,
      massFlow: 0.06,
      gasVolume: 0.003,
      gasTemperature: 318,
    }
    const still: readonly SimulatedFault[] = [
      'undercharge',
      'overcharge',
      'non-condensables',
      'plugged-liquid-dryer',
      'txv-bulb-loose',
      'high-load',
      'condenser-fouled',
      'compressor-not-pumping',
      'reversing-valve-leaking-through',
      'suction-line-restriction',
    ]
    for (const fault of still) {
      const changed = CHANGES[fault]({ circuit, around }, 0, scale)
      expect(changed.circuit.charge).toBeCloseTo(circuit.charge, 12)
      expect(changed.circuit.condenser).toEqual(circuit.condenser)
      expect(changed.circuit.dryer.resistance).toBeCloseTo(circuit.dryer.resistance, 6)
      expect(changed.circuit.compressor.leakArea).toBeCloseTo(circuit.compressor.leakArea, 15)
    }
  })
  test.each(SIMULATED_FAULTS)(
    '%s at 0.3, 0.6 and with a second fault: an answer or a typed reason',
    (fault) => {
      for (const unit of [HEAT_PUMP, UNITS[1]![1], UNITS[5]![1]]) {
        for (const faults of [
          [{ fault, severity: 0.3 }],
          [{ fault, severity: 0.6 }],
          [
            { fault, severity: 0.5 },
            { fault: 'condenser-fouled' as const, severity: 0.4 },
          ],
          [
            { fault, severity: 0.4 },
            { fault: 'undercharge' as const, severity: 0.5 },
          ],
        ]) {
          const { state, circuit } = run(unit, { outdoorAirTemp: f(80) }, faults)
          expect(Math.abs(state.mass / circuit.charge - 1)).toBeLessThan(1e-5)
        }
      }
    },
  )
  test('a nearly shut valve: suction in vacuum or close, liquid and condensing near ambient, low amps, cool discharge', () => {
    const sound = trueReadings(run(HEAT_PUMP, { outdoorAirTemp: f(80) }))
    const shut = run(HEAT_PUMP, { outdoorAirTemp: f(80) }, [{ fault: 'txv-lost-bulb-charge', severity: 1 }])
    const truth = trueReadings(shut)
    expect(truth.suctionPressure!).toBeLessThan(130_000)
    expect(inF(shut.state.unknowns.condensing - f(80))).toBeLessThan(3)
    expect(truth.compressorAmps!).toBeLessThan(0.75 * sound.compressorAmps!)
    expect(truth.dischargeLineTemp!).toBeLessThan(sound.dischargeLineTemp!)
  })
  test('air in the circuit stands above saturation; a lost charge stands below', () => {
    const standing = (fault: SimulatedFault, severity: number) =>
      trueReadings(run(HEAT_PUMP, { outdoorAirTemp: f(80) }, [{ fault, severity }])).standingPressure!
    const sound = trueReadings(run(HEAT_PUMP, { outdoorAirTemp: f(80) })).standingPressure!
    expect(standing('non-condensables', 0.6)).toBeGreaterThan(sound * 1.02)
    expect(standing('undercharge', 0.6)).toBeCloseTo(sound, 0)
    expect(standing('relief-plug-melted', 0.95)).toBeLessThan(sound)
  })
  test('the wrong refrigerant is another one, further off with severity', () => {
    expect(refrigerantInside('R-410A', 0)).toBe('R-410A')
    expect(refrigerantInside('R-410A', 0.2)).toBe('R-32')
    expect(refrigerantInside('R-410A', 1)).toBe('R-22')
  })
})

describe('envelope', () => {
  const random = seededRandom(77)
  const between = (low: number, high: number) => low + (high - low) * random()
  const high = { site: { elevation: { value: 1750, unit: 'm' } } } as const

  test('heating from 0 to 65 F and a pool at 45 to 95 F, at sea level and at 1,750 m', () => {
    for (let i = 0; i < 40; i++) {
      const site = i % 2 === 0 ? {} : high
      const outdoorAirTemp = f(between(0, 65))
      const heat = simulateSteady(simulatorOf({ ...HEAT_PUMP, ...site }), {
        unit: { ...HEAT_PUMP, ...site },
        mode: 'heating',
        conditions: { outdoorAirTemp, returnAirTemp: f(between(60, 75)) },
      })
      expect(heat.state.condenser.heat).toBeGreaterThan(0.2 * heat.circuit.nominalCapacity)
      const pool = run(
        POOL,
        { outdoorAirTemp: f(between(45, 95)), waterInTemp: f(between(60, 88)) },
        [],
        'heating',
      )
      expect(pool.state.condenser.heat).toBeGreaterThan(0.2 * pool.circuit.nominalCapacity)
    }
  })
  test('thin air: the split widens and condensing rises at 1,750 m', () => {
    const unit = UNITS[0]![1]
    const low = run(unit, { outdoorAirTemp: f(85) })
    const up = run({ ...unit, ...high }, { outdoorAirTemp: f(85) })
    const split = (steady: Steady) => {
      const { returnAirTemp, supplyAirTemp } = trueReadings(steady)
      return returnAirTemp! - supplyAirTemp!
    }
    expect(split(up)).toBeGreaterThan(1.08 * split(low))
    expect(up.state.unknowns.condensing).toBeGreaterThan(low.state.unknowns.condensing)
  })
  test('random faults of any severity: a state in order, or the typed reason; at most one in thirty has none', () => {
    let missing = 0
    for (let i = 0; i < 240; i++) {
      const unit = UNITS[i % UNITS.length]![1]
      const fault = SIMULATED_FAULTS[Math.floor(random() * SIMULATED_FAULTS.length)]!
      const result = attempt(() =>
        run(unit, { outdoorAirTemp: f(between(50, 105)) }, [{ fault, severity: random() }]),
      )
      if (!result.ok) {
        expect(result.error.code).toBe('not-simulated')
        missing += 1
        continue
      }
      const { state } = result.value
      expect(state.highPressure).toBeGreaterThan(state.beforeCompressor.pressure)
      expect(state.compressor.dischargeTemperature).toBeGreaterThan(state.beforeCompressor.temperature)
      // A gliding blend is driven by its mean: when hardly anything is pumped its warm end may pass the air a little.
      expect(state.evaporator.temperatureOut).toBeLessThan(state.streams.evaporator.temperature + 1)
    }
    expect(missing).toBeLessThanOrEqual(8)
  })
})

test('every reading of the handbook that a unit has comes with a value', () => {
  const keys = new Set<ReadingKey>()
  const units = [...UNITS.map(([, unit]) => unit), { ...HEAT_PUMP, power: { phase: 3 as const, volts: 208 } }]
  for (const unit of [
    ...units,
    {
      kind: 'reach-in',
      refrigerant: 'R-134a',
      metering: 'capillary',
      compressor: { type: 'reciprocating' },
    } as UnitPlate,
  ]) {
    for (const [key, value] of Object.entries(trueReadings(run(unit)))) {
      expect(Number.isFinite(value)).toBe(true)
      keys.add(key as ReadingKey)
    }
  }
  // what an instrument computes is no reading of the circuit
  const taken = READING_KEYS.filter((key) => readingRow(key).place !== 'shown')
  expect([...keys].sort()).toEqual([...taken].sort())
})
