import { COMFORT_KEYS, type DemoJob, ELEVATION, fahrenheit, QUOTE_GIVEN } from './demoJob'

const MILD = {
  outdoorAirTemp: fahrenheit(74),
  returnAirTemp: fahrenheit(75),
  returnAirWetBulb: fahrenheit(61),
} as const
const DESIGN = { low: { value: 236, unit: 'psig' }, high: { value: 446, unit: 'psig' } } as const
const LINES = {
  liquid: { value: 0.375, unit: 'in' },
  vapour: { value: 0.75, unit: 'in' },
  length: { value: 25, unit: 'ft' },
  included: { value: 15, unit: 'ft' },
} as const

/** A burnout, in the middle of its work. */
const DOME: DemoJob = {
  id: 'demo-dome',
  title: 'Dome annex cooling',
  hoursAgo: 28,
  unit: {
    name: 'Dome annex cooling, 4 ton',
    kind: 'split-ac',
    refrigerant: 'R-410A',
    metering: 'txv',
    power: { phase: 3, volts: 208, hertz: 60, rla: 13.2, lra: 88 },
    compressor: { type: 'scroll', oil: 'POE' },
    nominalTons: 4,
    seer: 13,
    factoryCharge: { value: 9.4, unit: 'lb' },
    oilCharge: { value: 52, unit: 'floz' },
    oldDryer: { cubicInches: 16, flow: 'one-way', joint: 'sweat' },
    designPressures: DESIGN,
    lineSet: LINES,
    site: { name: 'Observatory, dome annex', elevation: ELEVATION },
  },
  arrival: { complaint: 'Breaker trips at once, smell of burning at the unit', access: 'on the annex roof' },
  sets: [
    {
      label: 'as found',
      hoursAgo: 28,
      electrical: 'compressor-grounded',
      seed: 411,
      conditions: MILD,
      keys: ['standingPressure', 'outdoorAirTemp', 'ohmsToGround', 'ohmsT1T2', 'ohmsT2T3', 'ohmsT3T1'],
      look: ['compressorState', 'breaker', 'groundPath'],
      observations: {
        groundMeasuredAt: 'terminals',
        acidTest: 'strong',
        acidTestKind: 'oil-kit',
        oilAppearance: 'burnt-smell',
        refrigerantSmell: 'yes',
      },
    },
  ],
  rest: {
    decisions: [
      {
        id: 'compressor-grounded',
        fault: 'compressor-grounded',
        state: 'decided',
        override: 'shown to the owner at the unit',
        causes: ['unknown'],
      },
    ],
    day: QUOTE_GIVEN,
  },
  work: { hoursAgo: 3, until: 'swapCompressor', seed: 3 },
}

/** An expansion valve that was replaced: closed, with every log. */
const SPECTROGRAPH: DemoJob = {
  id: 'demo-spectrograph',
  title: 'Spectrograph room split',
  hoursAgo: 200,
  unit: {
    name: 'Spectrograph room split, 3 ton',
    kind: 'split-ac',
    refrigerant: 'R-410A',
    metering: 'txv',
    power: { phase: 1, volts: 230, hertz: 60, rla: 16.7, lra: 82 },
    compressor: { type: 'scroll', oil: 'POE' },
    nominalTons: 3,
    seer: 14,
    factoryCharge: { value: 7.5, unit: 'lb' },
    designPressures: DESIGN,
    lineSet: LINES,
    oldDryer: { cubicInches: 8, flow: 'one-way', joint: 'sweat' },
    site: { name: 'Observatory, spectrograph room', elevation: ELEVATION },
  },
  arrival: { complaint: 'Room drifts by two degrees in the night', since: 'since the first frost' },
  sets: [
    {
      label: 'as found',
      hoursAgo: 200,
      faults: [{ fault: 'txv-underfeeding', severity: 0.7 }],
      seed: 3410,
      conditions: MILD,
      keys: [
        ...COMFORT_KEYS,
        'dryerInTemp',
        'dryerOutTemp',
        'meteringInletTemp',
        'dryerOutPressure',
        'dischargeLineTemp',
      ],
      look: ['frostPattern', 'indoorFan', 'outdoorFan'],
      observations: {
        acidTest: 'negative',
        acidTestKind: 'oil-kit',
        oilAppearance: 'clear',
        bulbState: 'tight-insulated',
        bulbWarmResponse: 'none',
        inletScreen: 'clean',
      },
    },
  ],
  rest: {
    decisions: [
      {
        id: 'txv-underfeeding',
        fault: 'txv-underfeeding',
        state: 'decided',
      },
    ],
    day: QUOTE_GIVEN,
  },
  work: {
    hoursAgo: 173,
    seed: 9,
    replaced: 'Expansion valve with strap and insulation of the bulb, liquid dryer',
    after: {
      label: 'after repair',
      seed: 3411,
      conditions: MILD,
      keys: [...COMFORT_KEYS, 'dryerInTemp', 'dryerOutTemp', 'dischargeLineTemp'],
      look: ['frostPattern', 'sightGlass', 'indoorFan', 'outdoorFan'],
    },
  },
}

/** Two faults at once: too much in it, behind a dirty coil. */
const LIBRARY: DemoJob = {
  id: 'demo-library',
  title: 'Library heat pump',
  hoursAgo: 30,
  unit: {
    name: 'Library heat pump, 2 ton',
    kind: 'split-heat-pump',
    refrigerant: 'R-410A',
    metering: 'fixed-orifice',
    power: { phase: 1, volts: 230, hertz: 60, rla: 9.8, lra: 52 },
    compressor: { type: 'scroll', oil: 'POE' },
    nominalTons: 2,
    seer: 13,
    factoryCharge: { value: 5.6, unit: 'lb' },
    site: { name: 'Observatory, library', elevation: ELEVATION },
  },
  arrival: { complaint: 'Trips on warm afternoons', doneBefore: 'topped up twice last summer' },
  sets: [
    {
      label: 'as found',
      hoursAgo: 30,
      faults: [
        { fault: 'overcharge', severity: 0.6 },
        { fault: 'condenser-fouled', severity: 0.5 },
      ],
      seed: 2410,
      conditions: MILD,
      keys: [...COMFORT_KEYS, 'compressorAmps', 'dischargeLineTemp'],
      look: ['frostPattern', 'condenserCoil', 'evaporatorCoil'],
    },
  ],
}

/** The circuit was never opened: a capacitor. */
const GATEHOUSE: DemoJob = {
  id: 'demo-gatehouse',
  title: 'Gatehouse split',
  hoursAgo: 99,
  unit: {
    name: 'Gatehouse split, 1.5 ton',
    kind: 'split-ac',
    refrigerant: 'R-22',
    metering: 'fixed-orifice',
    power: {
      phase: 1,
      volts: 230,
      hertz: 60,
      rla: 8.2,
      lra: 45,
      runCapacitor: { value: 30, unit: 'uF' },
    },
    compressor: { type: 'reciprocating', oil: 'mineral' },
    nominalTons: 1.5,
    factoryCharge: { value: 3.9, unit: 'lb' },
    site: { name: 'Observatory, gatehouse', elevation: ELEVATION },
  },
  arrival: { complaint: 'Hums and trips; the fan runs' },
  sets: [
    {
      label: 'as found, at rest',
      hoursAgo: 99,
      electrical: 'start-gear-failed',
      seed: 15,
      conditions: MILD,
      keys: [
        'voltageL1L2',
        'inrushAmps',
        'runCapacitance',
        'ohmsCR',
        'ohmsCS',
        'ohmsRS',
        'ohmsToGround',
        'outdoorAirTemp',
      ],
      look: ['compressorState', 'hardStart', 'startGear', 'callForOperation'],
    },
  ],
  rest: {
    decisions: [{ id: 'start-gear-failed', fault: 'start-gear-failed', state: 'decided' }],
    day: QUOTE_GIVEN,
  },
  work: {
    hoursAgo: 98.5,
    seed: 17,
    replaced: 'Run capacitor',
    after: {
      label: 'after repair',
      seed: 17,
      conditions: MILD,
      keys: [...COMFORT_KEYS, 'compressorAmps'],
      look: ['compressorState', 'frostPattern'],
    },
  },
}

/** Nobody has told yet what it does. */
const MIRROR_SHOP: DemoJob = {
  id: 'demo-mirror-shop',
  title: 'Mirror shop heat pump',
  hoursAgo: 0.5,
  unit: {
    name: 'Mirror shop heat pump, 3 ton',
    kind: 'split-heat-pump',
    refrigerant: 'R-410A',
    metering: 'txv',
    power: { phase: 1, volts: 230, hertz: 60, rla: 15.9, lra: 77 },
    compressor: { type: 'scroll', oil: 'POE' },
    nominalTons: 3,
    factoryCharge: { value: 8.3, unit: 'lb' },
    lineSet: LINES,
    accumulator: true,
    site: { name: 'Observatory, mirror shop', elevation: ELEVATION },
  },
  arrival: { access: 'key at the gatehouse, no grinding before ten' },
  sets: [],
  live: { conditions: MILD, seed: 30 },
}

export const COMFORT_JOBS: readonly DemoJob[] = [DOME, SPECTROGRAPH, LIBRARY, GATEHOUSE, MIRROR_SHOP]
