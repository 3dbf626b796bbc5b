import type { Observations } from '@/core/record/readings/schema'
import { putReading } from '@/core/record/edits/readingEdits'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { BOX_KEYS, COMFORT_KEYS, ELEVATION, fahrenheit } from '@/demo/demoJob'
import type { DemoSet } from '@/demo/demoJob'
import type { WholeJob } from './driveJob'

/** The twenty-one jobs of docs/whole-jobs.md as they are entered, by their number there. */

type Set = Omit<DemoSet, 'hoursAgo'>
type Faults = NonNullable<Set['faults']>

const SITE = { name: 'Observatory', elevation: ELEVATION } as const
const lb = (value: number) => ({ value, unit: 'lb' as const })
const inch = (value: number) => ({ value, unit: 'in' as const })
const CLEAN: Observations = { acidTest: 'negative', acidTestKind: 'oil-kit' }
const DRYER = { cubicInches: 8 } as const

const SPLIT: UnitPlate = {
  name: 'Control room split, 3 ton',
  kind: 'split-ac',
  refrigerant: 'R-410A',
  metering: 'txv',
  nominalTons: 3,
  factoryCharge: lb(7),
  oilCharge: { value: 40, unit: 'floz' },
  power: { phase: 1, volts: 230, hertz: 60, rla: 15.4, lra: 83 },
  compressor: { type: 'scroll', oil: 'POE' },
  designPressures: { low: { value: 236, unit: 'psig' }, high: { value: 446, unit: 'psig' } },
  lineSet: {
    liquid: inch(0.375),
    vapour: inch(0.75),
    length: { value: 25, unit: 'ft' },
    included: { value: 15, unit: 'ft' },
  },
  oldDryer: DRYER,
  site: SITE,
}
const OLD_SPLIT: UnitPlate = {
  ...SPLIT,
  name: 'Exhibit hall split, 3 ton',
  refrigerant: 'R-22',
  compressor: { type: 'reciprocating', oil: 'mineral' },
  designPressures: { low: { value: 150, unit: 'psig' }, high: { value: 400, unit: 'psig' } },
}
const HEAT_PUMP: UnitPlate = { ...SPLIT, name: 'Staff lodge heat pump, 3 ton', kind: 'split-heat-pump' }
const { lineSet: _lines, ...NO_LINES } = SPLIT
const WATER_SOURCE: UnitPlate = {
  ...NO_LINES,
  name: 'Workshop water-source unit, 3 ton',
  kind: 'water-source-heat-pump',
  heatRejection: 'water',
}
const POOL: UnitPlate = { ...NO_LINES, name: 'Lodge pool heater', kind: 'pool-heat-pump' }
const ROOFTOP: UnitPlate = {
  ...NO_LINES,
  name: 'Exhibit hall rooftop, 5 ton',
  kind: 'package-ac',
  nominalTons: 5,
  power: { phase: 3, volts: 208, hertz: 60, rla: 17, lra: 120 },
}
const HALL_PACKAGE: UnitPlate = {
  ...NO_LINES,
  name: 'Exhibit hall package unit, 5 ton',
  kind: 'package-ac',
  refrigerant: 'R-22',
  metering: 'fixed-orifice',
  nominalTons: 5,
  factoryCharge: lb(9),
  compressor: { type: 'reciprocating', oil: 'mineral' },
  designPressures: { low: { value: 150, unit: 'psig' }, high: { value: 300, unit: 'psig' } },
}
const COOLER: UnitPlate = {
  name: 'Café walk-in cooler, 1.5 hp',
  kind: 'walk-in-cooler',
  refrigerant: 'R-448A',
  metering: 'txv',
  nominalTons: 1,
  factoryCharge: lb(7.5),
  receiver: true,
  power: { phase: 1, volts: 230, hertz: 60, rla: 9.6, lra: 56 },
  compressor: { type: 'scroll', oil: 'POE' },
  designPressures: { low: { value: 150, unit: 'psig' }, high: { value: 400, unit: 'psig' } },
  control: { setpoint: { value: 36, unit: 'F' } },
  oldDryer: DRYER,
  site: { ...SITE, name: 'Observatory, café' },
}
const FREEZER: UnitPlate = {
  ...COOLER,
  name: 'Café walk-in freezer, 2 hp',
  kind: 'walk-in-freezer',
  refrigerant: 'R-404A',
  nominalTons: 0.75,
  factoryCharge: lb(9),
  power: { phase: 3, volts: 208, hertz: 60, rla: 9.1, lra: 62 },
  control: { setpoint: { value: -5, unit: 'F' }, coldestOutdoor: { value: 0, unit: 'F' } },
}
const FRIDGE: UnitPlate = {
  name: 'Laboratory sample fridge',
  kind: 'reach-in',
  refrigerant: 'R-134a',
  metering: 'capillary',
  nominalTons: 0.2,
  factoryCharge: { value: 12, unit: 'oz' },
  oilCharge: { value: 9, unit: 'floz' },
  power: { phase: 1, volts: 115, hertz: 60, rla: 4.8, lra: 28 },
  compressor: { type: 'reciprocating', oil: 'POE' },
  designPressures: { low: { value: 140, unit: 'psig' }, high: { value: 235, unit: 'psig' } },
  control: { setpoint: { value: 38, unit: 'F' } },
  oldDryer: { cubicInches: 3 },
  site: SITE,
}

const ROOM = {
  outdoorAirTemp: fahrenheit(82),
  returnAirTemp: fahrenheit(76),
  returnAirWetBulb: fahrenheit(61),
} as const
const COLD = { outdoorAirTemp: fahrenheit(79) } as const

const comfort = (seed: number, faults: Faults = [], more: Partial<Set> = {}): Set => ({
  label: 'set',
  seed,
  faults,
  conditions: ROOM,
  keys: COMFORT_KEYS,
  ...more,
})
const cold = (seed: number, faults: Faults = [], more: Partial<Set> = {}): Set => ({
  ...comfort(seed, faults),
  conditions: COLD,
  keys: BOX_KEYS,
  ...more,
})
/** At rest, with a share of its charge. */
const rest = (seed: number, share: number): Set => ({
  ...comfort(seed),
  standing: share,
  keys: ['standingPressure', 'outdoorAirTemp'],
})

const AT_REST: Set['keys'] = ['standingPressure', 'outdoorAirTemp', 'returnAirTemp']
const NOON = '12:00'

export const WHOLE_JOBS: Readonly<Record<number, WholeJob>> = {
  11: {
    plate: HALL_PACKAGE,
    sets: [comfort(11, [{ fault: 'fixed-orifice-plugged', severity: 0.6 }])],
    words: CLEAN,
    faults: ['fixed-orifice-plugged'],
    repair: { orificeWay: 'distributor', feederTubes: 8 },
    after: comfort(111),
  },
  12: {
    plate: COOLER,
    sets: [cold(12, [{ fault: 'undercharge', severity: 0.7 }])],
    words: { ...CLEAN, oilStain: 'joint' },
    faults: ['undercharge', 'evaporator-fan-failed'],
    repair: { leakPlace: 'fitting' },
    after: cold(112),
  },
  13: {
    plate: WATER_SOURCE,
    sets: [comfort(13, [{ fault: 'reversing-valve-leaking-through', severity: 0.7 }])],
    words: CLEAN,
    faults: ['reversing-valve-leaking-through'],
    after: comfort(113),
  },
  14: {
    plate: { ...COOLER, moistureIndicator: true },
    sets: [cold(14, [{ fault: 'moisture-freeze-at-valve', severity: 0.7 }])],
    words: { ...CLEAN, moistureIndicator: 'wet' },
    faults: ['moisture-freeze-at-valve'],
    after: cold(114),
  },
  15: {
    plate: FREEZER,
    sets: [rest(15, 0)],
    words: { ...CLEAN, reliefPlug: 'melted' },
    faults: ['relief-plug-melted'],
    repair: { leakPlace: 'compressor' },
    after: cold(115),
  },
  16: {
    plate: SPLIT,
    sets: [comfort(16, [{ fault: 'txv-bulb-loose', severity: 0.7 }])],
    words: { bulbState: 'loose' },
    faults: ['txv-bulb-loose'],
    after: comfort(116),
  },
  17: {
    plate: HEAT_PUMP,
    sets: [comfort(17, [{ fault: 'undercharge', severity: 0.6 }])],
    words: { ...CLEAN, oilStain: 'reversing-valve', jumpAtUnit: 'holds', jumpAtThermostat: 'holds' },
    faults: ['rv-pilot-tube-leak', 'rv-control-voltage-fault'],
    after: comfort(117),
  },
  18: {
    plate: POOL,
    sets: [comfort(18, [{ fault: 'undercharge', severity: 0.7 }], { mode: 'heating' })],
    words: CLEAN,
    faults: ['undercharge'],
    repair: { leakPlace: 'coil' },
    after: comfort(118, [], { mode: 'heating' }),
  },
  19: {
    plate: { ...FREEZER, crankcaseHeater: {} },
    sets: [cold(19, [], { electrical: 'compressor-open-winding', keys: [...AT_REST, 'boxTemp'] })],
    words: CLEAN,
    faults: ['compressor-open-winding', 'crankcase-heater-open'],
    causes: ['flooded-start'],
    after: cold(119),
  },
  20: {
    plate: ROOFTOP,
    arrival: { place: 'roof', complaint: 'trips the breaker at once' },
    sets: [
      comfort(20, [], {
        electrical: 'compressor-grounded',
        conditions: { ...ROOM, outdoorAirTemp: fahrenheit(97) },
        keys: AT_REST,
      }),
    ],
    words: { acidTest: 'strong', acidTestKind: 'oil-kit', oilAppearance: 'burnt-smell' },
    faults: ['compressor-grounded'],
    causes: ['supply'],
    after: comfort(120),
  },
  21: {
    plate: FRIDGE,
    sets: [cold(21, [{ fault: 'capillary-plugged', severity: 0.7 }])],
    words: { ...CLEAN, oilAppearance: 'metal-flakes' },
    faults: ['capillary-plugged'],
    repair: { capillary: { bore: inch(0.031), length: { value: 8, unit: 'ft' } } },
    after: cold(121),
  },
  22: {
    plate: SPLIT,
    sets: [
      comfort(22, [
        { fault: 'condenser-fouled', severity: 0.5 },
        { fault: 'txv-underfeeding', severity: 0.6 },
      ]),
    ],
    words: { ...CLEAN, condenserCoil: 'dirty' },
    faults: ['condenser-fouled', 'txv-underfeeding'],
    after: comfort(122),
  },
  23: {
    plate: { ...HEAT_PUMP, accumulator: true },
    sets: [comfort(23, [{ fault: 'txv-underfeeding', severity: 0.6 }])],
    words: { ...CLEAN, frostLeft: 'frosted' },
    faults: ['txv-underfeeding'],
    after: comfort(123),
  },
  24: {
    plate: { ...OLD_SPLIT, name: 'Control room split, R-22' },
    sets: [comfort(24, [{ fault: 'txv-overfeeding', severity: 0.6 }])],
    words: CLEAN,
    faults: ['txv-overfeeding'],
    repair: { refrigerantTo: 'R-407C' },
    after: comfort(124),
  },
  25: {
    plate: { ...SPLIT, name: 'Exhibit split, three years open' },
    sets: [rest(25, 0)],
    words: { ...CLEAN, hoursOpenToAir: 3 * 365 * 24, linesPlugged: 'unplugged', openConditions: 'humid' },
    faults: ['charge-lost'],
    repair: { leakPlace: 'fitting' },
    after: comfort(125),
  },
  26: {
    plate: COOLER,
    arrival: { weather: 'storm-expected', workUntil: NOON, goodsUntil: NOON },
    sets: [cold(26, [{ fault: 'txv-underfeeding', severity: 0.7 }])],
    words: CLEAN,
    faults: ['txv-underfeeding'],
    after: cold(126),
  },
  27: {
    plate: OLD_SPLIT,
    sets: [comfort(27, [{ fault: 'compressor-not-pumping', severity: 0.8 }])],
    words: CLEAN,
    faults: ['compressor-not-pumping'],
    causes: ['age'],
    repair: { compressorWay: 'piston-to-scroll' },
    after: comfort(127),
  },
  28: {
    plate: FREEZER,
    sets: [cold(28, [{ fault: 'undercharge', severity: 0.7 }])],
    words: { ...CLEAN, oilStain: 'distributor' },
    faults: ['undercharge'],
    repair: { leakPlace: 'feeder-tube' },
    after: cold(128),
  },
  29: {
    plate: { ...COOLER, compressor: { type: 'scroll', oil: 'POE' } },
    sets: [cold(29, [{ fault: 'compressor-not-pumping', severity: 0.8 }])],
    words: CLEAN,
    faults: ['compressor-not-pumping'],
    causes: ['age'],
    repair: { compressorWay: 'condensing-unit' },
    after: cold(129),
  },
  30: {
    plate: WATER_SOURCE,
    sets: [comfort(30, [], { electrical: 'start-gear-failed', keys: [...AT_REST, 'waterInTemp'] })],
    words: { startGear: 'failed' },
    faults: ['start-gear-failed'],
    after: comfort(130),
  },
  31: {
    plate: { ...SPLIT, name: 'Exhibit split, found in vacuum' },
    sets: [{ ...rest(31, 0), keys: ['outdoorAirTemp'] }],
    words: CLEAN,
    faults: ['charge-lost'],
    also: [putReading(undefined, 'standingPressure', { value: 12, unit: 'inHgVac' })],
    after: comfort(131),
  },
}
