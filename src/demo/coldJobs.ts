import { BOX_KEYS, type DemoJob, ELEVATION, fahrenheit } from './demoJob'

const LEAK_LOOK = ['frostPattern', 'sightGlass', 'oilStain', 'condenserCoil', 'compressorState'] as const

/** Two faults at once: short of refrigerant behind a condenser that is dirty. */
const CAFE_COOLER: DemoJob = {
  id: 'demo-cafe-cooler',
  title: 'Café walk-in cooler',
  hoursAgo: 7,
  unit: {
    name: 'Café walk-in cooler, 1.5 hp',
    kind: 'walk-in-cooler',
    refrigerant: 'R-448A',
    metering: 'txv',
    power: { phase: 1, volts: 230, hertz: 60, rla: 9.6, lra: 56 },
    compressor: { type: 'scroll', oil: 'POE' },
    nominalTons: 1,
    receiver: true,
    factoryCharge: { value: 7.5, unit: 'lb' },
    control: { setpoint: { value: 36, unit: 'F' } },
    site: { name: 'Observatory, café', elevation: ELEVATION },
  },
  arrival: {
    complaint: 'Box at 45 F since the weekend, compressor runs all day',
    access: 'condensing unit on the kitchen roof, fixed ladder',
  },
  sets: [
    {
      label: 'as found',
      hoursAgo: 7,
      faults: [
        { fault: 'undercharge', severity: 0.9 },
        { fault: 'condenser-fouled', severity: 0.5 },
      ],
      seed: 448,
      conditions: { outdoorAirTemp: fahrenheit(79), boxTemp: fahrenheit(45) },
      keys: [...BOX_KEYS, 'dischargeLineTemp', 'compressorAmps'],
      look: LEAK_LOOK,
    },
  ],
  rest: {
    decisions: [
      {
        id: 'undercharge',
        fault: 'undercharge',
        state: 'decided',
        override: 'bubbles at a joint of the coil, shown to the cook',
      },
      { id: 'condenser-fouled', fault: 'condenser-fouled', state: 'decided' },
    ],
    repair: { leakPlace: 'fitting' },
  },
}

/** The empty circuit: it stands at the pressure of the air. */
const CAFE_FREEZER: DemoJob = {
  id: 'demo-cafe-freezer',
  title: 'Café walk-in freezer',
  hoursAgo: 5,
  unit: {
    name: 'Café walk-in freezer, 2 hp',
    kind: 'walk-in-freezer',
    refrigerant: 'R-404A',
    metering: 'txv',
    power: { phase: 3, volts: 208, hertz: 60, rla: 9.1, lra: 62 },
    compressor: { type: 'scroll', oil: 'POE' },
    nominalTons: 0.75,
    receiver: true,
    factoryCharge: { value: 9, unit: 'lb' },
    control: { setpoint: { value: -5, unit: 'F' } },
    site: { name: 'Observatory, café', elevation: ELEVATION },
  },
  arrival: {
    complaint: 'Dead since the storm; ice cream soft, stock moved to the lodge',
    doneBefore: 'liquid line moved for the new shelves',
    seen: 'oil under a joint of the liquid line',
  },
  sets: [
    {
      label: 'as found, at rest',
      hoursAgo: 5,
      standing: 0,
      seed: 4041,
      conditions: { outdoorAirTemp: fahrenheit(58), boxTemp: fahrenheit(41) },
      keys: ['standingPressure', 'outdoorAirTemp', 'boxTemp'],
      look: ['compressorState', 'lowPressureSwitch', 'controlVolts'],
      observations: { oilStain: 'joint' },
    },
  ],
}

/** A capillary that is plugged. */
const SAMPLE_FRIDGE: DemoJob = {
  id: 'demo-sample-fridge',
  title: 'Laboratory sample fridge',
  hoursAgo: 76,
  unit: {
    name: 'Laboratory sample fridge',
    kind: 'reach-in',
    refrigerant: 'R-134a',
    metering: 'capillary',
    power: { phase: 1, volts: 115, hertz: 60, rla: 4.8, lra: 28 },
    compressor: { type: 'reciprocating', oil: 'POE' },
    nominalTons: 0.2,
    factoryCharge: { value: 9.5, unit: 'oz' },
    control: { setpoint: { value: 38, unit: 'F' } },
    site: { name: 'Observatory, laboratory', elevation: ELEVATION },
  },
  arrival: { complaint: 'Samples at 52 F, runs without stopping', since: 'two weeks, slowly worse' },
  sets: [
    {
      label: 'as found',
      hoursAgo: 76,
      faults: [{ fault: 'capillary-plugged', severity: 0.7 }],
      seed: 134,
      conditions: { outdoorAirTemp: fahrenheit(72), boxTemp: fahrenheit(50) },
      keys: [...BOX_KEYS, 'compressorAmps'],
      look: ['frostPattern', 'condenserCoil', 'compressorNoise'],
    },
  ],
  rest: {
    decisions: [
      {
        id: 'capillary-plugged',
        fault: 'capillary-plugged',
        state: 'decided',
        override: 'nitrogen does not pass the capillary',
      },
    ],
  },
}

export const COLD_JOBS: readonly DemoJob[] = [CAFE_COOLER, CAFE_FREEZER, SAMPLE_FRIDGE]
