import { REPAIRED, BY_TELL } from './gateIds'
import type { FaultRow, ObservationTable } from './fault'

/** The motor carries nothing a moment later, whatever stopped it. */
const NO_AMPS: ObservationTable = { legAmps: { none: 8, good: 0.05 } }
/** Volts reach the load side; what is behind it does not turn. */
const FED: ObservationTable = { loadVolts: { live: 1.2, dead: 0.1 }, controlVolts: { live: 1.1, dead: 0.15 } }
/** Nothing turns: no running readings. A call is there, the compressor is not. */
const STANDS: ObservationTable = {
  ...NO_AMPS,
  compressorState: { off: 12, running: 0.01, 'hums-and-trips': 0.3, 'trips-breaker': 0.3 },
  callForOperation: { yes: 1.1 },
  startAttempt: { 'no-current': 15, starts: 0.1 },
  hardStart: { none: 5, starts: 0.2 },
}
const TRIPS_BREAKER: ObservationTable = {
  ...NO_AMPS,
  compressorState: { 'trips-breaker': 40, off: 4, running: 0.02, 'hums-and-trips': 1 },
  breaker: { trips: 25, holds: 0.15 },
  startAttempt: { 'no-current': 10, 'stays-locked': 3, starts: 0.1 },
  hardStart: { none: 5, starts: 0.2 },
}
/** Runs, with a fault that can be measured while it does; seldom what was called for. */
const RUNS_ON: ObservationTable = { compressorState: { running: 0.6, off: 1, 'hums-and-trips': 0.2 } }
const MOTOR_DEAD: ObservationTable = { ...FED, supply: { good: 1.2 } }

/** The contactor's coil is called for and gets its volts. */
const COIL_CALLED: ObservationTable = { controlVolts: { live: 1.4, dead: 0.04 } }
/** Fed and called for, and the rotor does not turn. */
const CANNOT_START: ObservationTable = {
  ...NO_AMPS,
  compressorState: { 'hums-and-trips': 40, 'trips-breaker': 8, off: 2, running: 0.01 },
  startAttempt: { 'locked-volts-sag': 15, 'stays-locked': 20, starts: 0.1 },
  hardStart: { none: 4, starts: 0.3 },
}

const SINGLE = { singlePhase: true } as const

/** The electrical faults of handbook 05; their evidence is words: what was seen, and what each test says of its readings. */
export const ELECTRICAL_FAULT_ROWS = {
  'compressor-grounded': {
    label: 'Compressor winding grounded',
    part: 'compressor',
    family: 'path-to-ground',
    gate: 'compressor-grounded',
    remedy: 'swap-compressor',
    state: 'ground-path',
    inside: 'burnt',
    comesInDegrees: false,
    prior: 3,
    observations: {
      ...TRIPS_BREAKER,
      ground: { 'at-contactor': 25, weak: 3, none: 0.01 },
      groundAtTerminals: { grounded: 200, weak: 3, none: 0.01 },
      groundPath: { 'compressor-side': 6, 'fan-motor': 0.02, 'crankcase-heater': 0.02 },
      terminalLook: { burnt: 4 },
    },
    distinguishingSign: 'a path to ground at the compressor’s own terminals with the leads off',
  },
  'compressor-open-winding': {
    label: 'Compressor winding open',
    part: 'compressor',
    family: 'motor-failed',
    gate: 'compressor-open-winding',
    remedy: 'swap-compressor',
    state: null,
    inside: 'burnt',
    comesInDegrees: false,
    prior: 2,
    observations: {
      ...STANDS,
      ...MOTOR_DEAD,
      compressorState: { off: 10, 'hums-and-trips': 4, running: 0.01 },
      windings: { 'common-leg-open': 45, 'one-leg-open': 90, 'all-open': 15, good: 0.01 },
      compressorShell: { cold: 1.5, hot: 0.6 },
      terminalLook: { burnt: 1.5 },
    },
    distinguishingSign: 'still open when cold, measured at its own terminals',
  },
  'compressor-shorted-turns': {
    label: 'Compressor winding shorted between turns',
    part: 'compressor',
    family: 'motor-failed',
    gate: 'compressor-shorted-turns',
    remedy: 'swap-compressor',
    state: null,
    inside: 'burnt',
    comesInDegrees: false,
    prior: 2,
    observations: {
      ...NO_AMPS,
      compressorState: { running: 0.03, 'trips-breaker': 15, 'hums-and-trips': 6, off: 3 },
      windings: { unbalanced: 80, good: 0.4 },
      legAmps: { unbalanced: 10, none: 5, good: 0.2 },
      breaker: { trips: 12, holds: 0.4 },
      // high amps for a moment, then the breaker or the overload opens
      startAttempt: { 'no-current': 6, 'stays-locked': 8, starts: 0.1 },
      hardStart: { none: 5, starts: 0.2 },
    },
    distinguishingSign: 'ohms that do not add up or do not agree, and high amps',
  },
  'compressor-locked-rotor': {
    label: 'Compressor locked',
    part: 'compressor',
    family: 'motor-failed',
    gate: 'compressor-locked',
    remedy: 'swap-compressor',
    state: null,
    inside: 'broken',
    comesInDegrees: false,
    prior: 3,
    observations: {
      ...NO_AMPS,
      ...FED,
      compressorState: { 'hums-and-trips': 40, 'trips-breaker': 8, off: 2, running: 0.01 },
      startAttempt: { 'stays-locked': 60, 'locked-volts-sag': 4, starts: 0.02 },
      hardStart: { none: 15, starts: 0.1 },
      startGear: { proven: 2, failed: 0.4 },
    },
    distinguishingSign: 'inrush stays at locked-rotor amps and trips while volts hold and gear is good',
  },
  'compressor-overload-open': {
    label: 'Internal overload open: hot, not failed',
    part: 'nothing',
    family: null,
    gate: REPAIRED,
    remedy: 'cool-down',
    state: null,
    inside: null,
    comesInDegrees: false,
    prior: 4,
    observations: {
      ...STANDS,
      ...MOTOR_DEAD,
      windings: { 'common-leg-open': 90, 'all-open': 25, good: 0.15, 'one-leg-open': 0.3 },
      compressorShell: { hot: 12, cold: 0.03 },
    },
    distinguishingSign:
      'hot shell; run to start still reads (single-phase); closes after 20 minutes to some hours',
  },
  'start-gear-failed': {
    label: 'Run or start capacitor, or relay, failed',
    part: 'start-gear',
    family: null,
    gate: BY_TELL,
    remedy: 'swap-start-gear',
    state: null,
    inside: null,
    comesInDegrees: false,
    prior: 10,
    applies: SINGLE,
    observations: {
      ...NO_AMPS,
      ...FED,
      compressorState: { 'hums-and-trips': 30, off: 2.5, running: 0.03 },
      runCapacitor: { 'off-label': 60, good: 0.1 },
      startAttempt: { 'stays-locked': 25, starts: 0.1 },
      hardStart: { starts: 10, none: 0.4 },
      startGear: { failed: 30, proven: 0.03 },
    },
    distinguishingSign: 'capacitance beyond 6 % of the label; it starts with other gear',
  },
  'contactor-failed': {
    label: 'Contactor failed: coil, pitted or burnt contacts',
    part: 'contactor',
    family: null,
    gate: BY_TELL,
    remedy: 'swap-contactor',
    state: null,
    inside: null,
    comesInDegrees: false,
    prior: 5,
    ways: [
      // its coil or its mechanism: it does not pull in
      {
        share: 0.4,
        observations: {
          ...STANDS,
          ...COIL_CALLED,
          contactorPoints: { 'not-pulled-in': 40, pitted: 0.5, clean: 0.05 },
          loadVolts: { dead: 25, live: 0.05 },
        },
      },
      // contacts burnt open, or one pole of them
      {
        share: 0.35,
        observations: {
          ...STANDS,
          ...COIL_CALLED,
          compressorState: { off: 12, running: 0.01, 'hums-and-trips': 1.5, 'trips-breaker': 0.3 },
          contactorPoints: { pitted: 40, 'not-pulled-in': 1, clean: 0.05 },
          loadVolts: { dead: 25, live: 0.1 },
          legAmps: { none: 8, 'leg-missing': 4, good: 0.05 },
        },
      },
      // worn, and it still closes
      {
        share: 0.25,
        observations: {
          ...RUNS_ON,
          contactor: { burnt: 120, worn: 40, good: 0.03 },
          contactorPoints: { pitted: 25, 'not-pulled-in': 0.3, clean: 0.15 },
        },
      },
    ],
    distinguishingSign: 'volts on the line side, none or less on the load side; volts across closed contacts',
  },
  'supply-fault': {
    label: 'Supply fault: lost phase, low volts, unbalance, breaker, broken wire',
    part: 'supply',
    family: null,
    gate: REPAIRED,
    remedy: 'restore-supply',
    state: null,
    inside: null,
    comesInDegrees: false,
    prior: 6,
    ways: [
      // nothing arrives
      {
        share: 0.35,
        observations: {
          ...STANDS,
          supply: { 'no-volts': 500, good: 0.01, unbalanced: 0.1, 'off-plate': 0.5 },
          loadVolts: { dead: 25, live: 0.05 },
          controlVolts: { dead: 30, live: 0.05 },
          heater: { open: 8, good: 0.3 },
        },
      },
      // a phase is lost, or the volts sag: it is fed, and cannot start
      {
        share: 0.25,
        observations: {
          ...CANNOT_START,
          supply: { 'phase-lost': 500, good: 0.02, 'off-plate': 3 },
          legAmps: { 'leg-missing': 12, none: 8, good: 0.05 },
        },
      },
      {
        share: 0.25,
        observations: {
          ...CANNOT_START,
          supply: { 'off-plate': 400, good: 0.02 },
          heater: { 'off-rating': 30, good: 0.1 },
          startAttempt: { 'locked-volts-sag': 40, 'stays-locked': 10, starts: 0.1 },
        },
      },
      // unbalanced or off, and it runs on
      {
        share: 0.15,
        observations: {
          ...RUNS_ON,
          supply: { unbalanced: 300, 'near-limit': 12, 'off-plate': 100, good: 0.05 },
          legAmps: { unbalanced: 8 },
        },
      },
    ],
    distinguishingSign: 'volts missing, low or unbalanced at the unit itself',
  },
  'control-open': {
    label: 'Control circuit open: pressure switch, thermostat, no call',
    part: 'controls',
    family: null,
    gate: BY_TELL,
    remedy: 'repair-control',
    state: null,
    inside: null,
    comesInDegrees: false,
    prior: 6,
    observations: {
      ...STANDS,
      contactorPoints: { 'not-pulled-in': 40, clean: 0.6, pitted: 0.1 },
      controlVolts: { dead: 40, live: 0.05 },
      loadVolts: { dead: 25, live: 0.05 },
      // no volts at the coil of a contactor that is fed
      supply: { good: 1.2 },
    },
    ways: [
      { share: 0.3, observations: { callForOperation: { no: 60, yes: 0.05 } } },
      { share: 0.4, observations: { lowPressureSwitch: { open: 60, closed: 0.1 } } },
      // a broken wire, a board, another switch of the string
      { share: 0.3, observations: {} },
    ],
    distinguishingSign:
      'no volts at the contactor coil; follow the string of switches from the coil backwards',
  },
  'wire-rubbed-to-ground': {
    label: 'Lead rubbed through to ground',
    part: 'wiring',
    family: 'path-to-ground',
    gate: REPAIRED,
    remedy: 'repair-lead',
    state: 'ground-path',
    inside: null,
    comesInDegrees: false,
    // [practice] one ground in five to ten that is read at the contactor is a lead
    prior: 0.6,
    observations: {
      ...TRIPS_BREAKER,
      ground: { 'at-contactor': 25, none: 0.02 },
      groundAtTerminals: { grounded: 0.05 },
      groundPath: { 'compressor-side': 6, 'fan-motor': 0.02, 'crankcase-heater': 0.02 },
      leadState: { rubbed: 60, sound: 0.15 },
    },
    distinguishingSign: 'a ground seen from the contactor that is gone at the compressor’s own terminals',
  },
  'fan-motor-grounded': {
    label: 'Fan motor on the contactor grounded, not the compressor',
    part: 'fan-motor',
    family: 'path-to-ground',
    gate: BY_TELL,
    remedy: 'swap-fan-motor',
    state: 'ground-path',
    inside: null,
    comesInDegrees: false,
    prior: 0.7,
    observations: {
      ...TRIPS_BREAKER,
      ground: { 'at-contactor': 25, none: 0.02 },
      groundAtTerminals: { grounded: 0.05 },
      groundPath: { 'fan-motor': 120, 'compressor-side': 0.05 },
      outdoorFan: { off: 3 },
    },
    distinguishingSign: 'the ground leaves with the fan motor when it is taken off the contactor',
  },
  'crankcase-heater-grounded': {
    label: 'Crankcase heater grounded, not the compressor',
    part: 'crankcase-heater',
    family: 'path-to-ground',
    gate: BY_TELL,
    remedy: 'swap-grounded-heater',
    state: 'ground-path',
    inside: null,
    comesInDegrees: false,
    prior: 0.3,
    observations: {
      ...TRIPS_BREAKER,
      ground: { 'at-contactor': 25, none: 0.02 },
      groundAtTerminals: { grounded: 0.05 },
      groundPath: { 'crankcase-heater': 120, 'compressor-side': 0.05 },
    },
    distinguishingSign: 'the ground leaves with the crankcase heater when it is taken off the contactor',
  },
  'terminal-plug-burnt': {
    label: 'Plug, terminal lead or connector at the compressor burnt',
    part: 'terminal-plug',
    family: null,
    gate: 'terminal-plug',
    remedy: 'repair-terminals',
    state: 'terminals-burnt',
    inside: null,
    comesInDegrees: false,
    prior: 1,
    observations: {
      ...STANDS,
      ...MOTOR_DEAD,
      compressorState: { off: 8, 'hums-and-trips': 5, running: 0.03 },
      // a burnt connection reads open from the contactor
      windings: { 'one-leg-open': 60, 'common-leg-open': 40, 'all-open': 3, good: 0.3 },
      legAmps: { none: 6, 'leg-missing': 6, good: 0.05 },
      terminalLook: { burnt: 60, sound: 0.1 },
      ground: { none: 1.1 },
    },
    distinguishingSign:
      'an open or burnt connection with sound windings at the terminals: the plug is condemned, not the compressor',
  },
  'crankcase-heater-open': {
    label: 'Crankcase heater open',
    part: 'crankcase-heater',
    family: null,
    gate: BY_TELL,
    remedy: 'swap-heater',
    state: null,
    inside: null,
    comesInDegrees: false,
    prior: 0.7,
    observations: { ...RUNS_ON, heater: { open: 150, good: 0.02 } },
    distinguishingSign: 'no current in the heater with the contactor out',
  },
  'rv-coil-failed': {
    label: 'Reversing valve coil failed',
    part: 'reversing-valve-coil',
    family: null,
    gate: 'reversing-valve-coil',
    remedy: 'swap-valve-coil',
    state: null,
    inside: null,
    comesInDegrees: false,
    prior: 2,
    applies: { reversingValve: true },
    observations: {
      valveCoil: { open: 150, shorted: 80, good: 0.1 },
      coilVolts: { healthy: 1.3, none: 0.3, low: 0.6 },
      jumpAtUnit: { 'does-not-hold': 30, holds: 0.03 },
      reversingValveNoise: { chatter: 2 },
      magnetPull: { none: 15, pulls: 0.05 },
    },
    distinguishingSign: 'right volts at the connected coil and no magnet pull; coil ohms open or shorted',
  },
  'rv-control-voltage-fault': {
    label: 'Reversing valve gets no proper control voltage',
    part: 'controls',
    family: null,
    gate: BY_TELL,
    remedy: 'repair-valve-control',
    state: null,
    inside: null,
    comesInDegrees: false,
    prior: 3,
    applies: { reversingValve: true },
    observations: {
      valveCoil: { good: 1.3 },
      coilVolts: { none: 40, low: 60, healthy: 0.02 },
      jumpAtUnit: { holds: 12, 'does-not-hold': 0.1 },
      reversingValveNoise: { chatter: 10, none: 0.8 },
      magnetPull: { none: 6, pulls: 0.2 },
    },
    distinguishingSign: 'volts at the coil that collapse under load; the coil holds when jumped at the unit',
  },
  'intermittent-start': {
    label: 'Starts only now and then',
    part: 'start-gear',
    family: null,
    gate: BY_TELL,
    remedy: 'watch-starts',
    state: null,
    inside: null,
    comesInDegrees: false,
    prior: 2,
    observations: {
      compressorState: { running: 1, 'hums-and-trips': 6, off: 2 },
      comesAndGoes: { yes: 40, no: 0.05 },
      startAttempt: { starts: 1, 'stays-locked': 2 },
      contactorPoints: { pitted: 2 },
    },
    distinguishingSign: 'comes and goes: log volts and amps over several starts',
  },
} as const satisfies Record<string, FaultRow>
