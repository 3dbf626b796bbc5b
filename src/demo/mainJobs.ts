import type { Conditions } from '@/core/simulate/conditions'
import { COMFORT_KEYS, type DemoJob, ELEVATION, fahrenheit, QUOTE_GIVEN } from './demoJob'

export const CONTROL_ROOM: DemoJob = {
  id: 'demo-control-room',
  title: 'Control room split',
  hoursAgo: 3,
  unit: {
    name: 'Control room split, 3 ton',
    kind: 'split-ac',
    refrigerant: 'R-454B',
    metering: 'txv',
    power: { phase: 1, volts: 230, hertz: 60, rla: 15.4, lra: 83 },
    compressor: { type: 'scroll', oil: 'POE' },
    listedFor: ['R-454B'],
    nominalTons: 3,
    seer: 15,
    factoryCharge: { value: 6.4, unit: 'lb' },
    targetSubcooling: { value: 10, unit: 'F' },
    site: { name: 'Observatory, control room', elevation: ELEVATION },
  },
  arrival: {
    complaint: 'Racks warm since Tuesday, unit runs without stopping',
    since: 'three days',
    seen: 'frost on the distributor',
  },
  sets: [
    {
      label: 'as found',
      hoursAgo: 3,
      faults: [{ fault: 'txv-underfeeding', severity: 0.6 }],
      seed: 454,
      conditions: {
        outdoorAirTemp: fahrenheit(71),
        returnAirTemp: fahrenheit(76),
        returnAirWetBulb: fahrenheit(60),
      },
      keys: [...COMFORT_KEYS, 'dryerInTemp', 'dryerOutTemp', 'dischargeLineTemp'],
      observations: { frostPattern: 'distributor-tubes', indoorFan: 'running', outdoorFan: 'running' },
    },
  ],
}

export const LODGE: DemoJob = {
  id: 'demo-lodge',
  title: 'Staff lodge heat pump',
  hoursAgo: 26,
  unit: {
    name: 'Staff lodge heat pump, 2.5 ton',
    kind: 'split-heat-pump',
    refrigerant: 'R-410A',
    metering: 'txv',
    power: { phase: 1, volts: 230, hertz: 60, rla: 12.8, lra: 64 },
    compressor: { type: 'scroll', oil: 'POE' },
    nominalTons: 2.5,
    seer: 14,
    factoryCharge: { value: 7.2, unit: 'lb' },
    site: { name: 'Observatory, staff lodge', elevation: ELEVATION },
  },
  arrival: { complaint: 'Neither cools nor heats well', doneBefore: 'valve coil replaced last winter' },
  sets: [
    {
      label: 'as found',
      hoursAgo: 26,
      faults: [{ fault: 'reversing-valve-leaking-through', severity: 0.7 }],
      seed: 410,
      conditions: {
        outdoorAirTemp: fahrenheit(78),
        returnAirTemp: fahrenheit(77),
        returnAirWetBulb: fahrenheit(62),
      },
      keys: [...COMFORT_KEYS, 'rvSuctionInTemp', 'rvSuctionOutTemp'],
      observations: { compressorNoise: 'normal' },
    },
  ],
}

const EXHIBIT_CONDITIONS: Conditions = {
  outdoorAirTemp: fahrenheit(82),
  returnAirTemp: fahrenheit(75),
  returnAirWetBulb: fahrenheit(62),
}

export const EXHIBIT_HALL: DemoJob = {
  id: 'demo-exhibit-hall',
  title: 'Exhibit hall package unit',
  hoursAgo: 50,
  unit: {
    name: 'Exhibit hall package unit, 5 ton',
    kind: 'package-ac',
    refrigerant: 'R-22',
    metering: 'txv',
    power: { phase: 3, volts: 208, hertz: 60, rla: 17.6, lra: 123 },
    compressor: { type: 'reciprocating', oil: 'mineral' },
    nominalTons: 5,
    seer: 10,
    factoryCharge: { value: 8.5, unit: 'lb' },
    oldDryer: { cubicInches: 16, flow: 'one-way', joint: 'sweat' },
    site: { name: 'Observatory, exhibit hall', elevation: ELEVATION },
  },
  arrival: {
    complaint: 'Hall 80 F by noon',
    doneBefore: 'compressor changed two years ago after a burnout',
    previousBurnout: true,
    previousCompressor: true,
  },
  sets: [
    {
      label: 'as found',
      hoursAgo: 50,
      faults: [{ fault: 'plugged-liquid-dryer', severity: 0.7 }],
      seed: 22,
      conditions: EXHIBIT_CONDITIONS,
      keys: [...COMFORT_KEYS, 'dryerInTemp', 'dryerOutTemp', 'compressorAmps'],
      observations: {
        frostPattern: 'after-dryer',
        acidTest: 'weak',
        acidTestKind: 'oil-kit',
        oilAppearance: 'amber',
      },
    },
  ],
  rest: {
    decisions: [{ id: 'plugged-liquid-dryer', fault: 'plugged-liquid-dryer', state: 'decided' }],
    day: QUOTE_GIVEN,
    repair: { oilOut: { value: 46, unit: 'floz' } },
    closing: { notDone: 'Outdoor coil is to be cleaned before the summer' },
  },
  work: {
    hoursAgo: 49,
    seed: 22,
    replaced: 'Liquid dryer one size up, suction clean-up dryer with ports, oil',
    after: {
      label: 'after repair',
      seed: 23,
      conditions: EXHIBIT_CONDITIONS,
      keys: [...COMFORT_KEYS, 'dryerInTemp', 'dryerOutTemp', 'compressorAmps'],
      observations: { frostPattern: 'none', sightGlass: 'clear' },
    },
  },
}

export const WORKSHOP: DemoJob = {
  id: 'demo-water-source',
  title: 'Workshop water-source unit',
  hoursAgo: 1,
  unit: {
    name: 'Workshop water-source unit, 2 ton',
    kind: 'water-source-heat-pump',
    refrigerant: 'R-410A',
    metering: 'txv',
    heatRejection: 'water',
    power: { phase: 1, volts: 208, hertz: 60, rla: 10.2, lra: 54 },
    nominalTons: 2,
    factoryCharge: { value: 52, unit: 'oz' },
    site: { name: 'Observatory, instrument workshop', elevation: ELEVATION },
  },
  arrival: {
    complaint: 'Trips on high pressure each afternoon',
    access: 'above the workshop ceiling, ladder',
  },
  sets: [],
  live: {
    faults: [{ fault: 'condenser-water-low-flow', severity: 0.6 }],
    conditions: {
      outdoorAirTemp: fahrenheit(80),
      returnAirTemp: fahrenheit(77),
      returnAirWetBulb: fahrenheit(63),
      waterInTemp: fahrenheit(88),
    },
    seed: 208,
  },
}
