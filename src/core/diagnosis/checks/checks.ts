import { ELECTRICAL_CAUTIONS } from '../../safety/electricalCautions'
import type { ObservationKey } from '../../record/readings/observations'
import type { ElectricalTestKey } from '../electrical/electricalTests'
import type { Act } from '../../safety/vetoes'
import type { FeatureKey } from '../evidence/features'

/** State in which a check is made; what does not hold now is said before the check. */
export type CheckState = 'running' | 'power-off' | 'standing' | 'recovered' | 'pressure-off'

/** Something that can be looked at or measured next. */
export type CheckRow = {
  readonly label: string
  /** typical effort at the unit, minutes [practice]; carrying and setting up come on top (nextCheck.ts) */
  readonly minutes: number
  /** how many readings that time covers; one where not given */
  readonly covers?: 2 | 3
  readonly caution?: string
  readonly state?: CheckState
  /** what it does that can hurt or mean nothing in some states: the table of vetoes decides when */
  readonly acts?: readonly Act[]
  readonly feature?: FeatureKey
  readonly observation?: ObservationKey
  readonly test?: ElectricalTestKey
  /** what the circuit tells at rest */
  readonly standing?: true
  /** tells nothing on its own: it is proposed where it makes another check possible */
  readonly onlyLifts?: true
}

const { live: LIVE, dead: DEAD, jump: JUMP, ownTerminals: OWN_TERMINALS } = ELECTRICAL_CAUTIONS
/** What is read of a running machine. */
const RUNNING: readonly Act[] = ['run']
/** Live checks at the unit. */
const ENERGISED: readonly Act[] = ['energise']
const STARTS: readonly Act[] = ['start', 'energise']
const OF_VALVE: readonly Act[] = ['run', 'valve-check']
const HOT_PIPE = 'The discharge line burns: gloves.'

const reading = (
  label: string,
  minutes: number,
  feature: FeatureKey,
  more: Partial<CheckRow> = {},
): CheckRow => ({ label, minutes, feature, state: 'running', acts: RUNNING, ...more })
const look = (
  label: string,
  minutes: number,
  observation: ObservationKey,
  more: Partial<CheckRow> = {},
): CheckRow => ({ label, minutes, observation, ...more })
const electrical = (
  label: string,
  minutes: number,
  test: ElectricalTestKey,
  more: Partial<CheckRow> = {},
): CheckRow => ({ label, minutes, test, ...more })

export const CHECKS = {
  suctionPressure: reading('Read suction pressure', 3, 'evaporatingMean'),
  liquidPressure: reading('Read liquid pressure', 3, 'condensingMean'),
  superheat: reading('Clamp the suction line at the compressor', 2, 'superheat', { acts: OF_VALVE }),
  evaporatorSuperheat: reading('Clamp the evaporator outlet at the bulb', 6, 'evaporatorSuperheat', {
    acts: OF_VALVE,
  }),
  subcooling: reading('Clamp the liquid line at the condenser', 2, 'subcooling'),
  temperatureSplit: reading('Take return and supply air', 5, 'temperatureSplit', { covers: 2 }),
  temperatureRise: reading('Take return and supply air', 5, 'temperatureRise', { covers: 2 }),
  compressorAmps: reading('Clamp the compressor lead', 4, 'ampsShare', {
    acts: ['run', 'energise'],
    caution: LIVE,
  }),
  dischargeLineTemp: reading('Clamp the discharge line', 2, 'dischargeLineTemp', { caution: HOT_PIPE }),
  liquidLineDrop: reading('Walk the liquid line: clamp at the metering device', 6, 'liquidLineDrop'),
  dryerDrop: reading('Clamp both sides of the dryer', 3, 'dryerDrop', { covers: 2 }),
  reversingValveRise: reading('Clamp both suction ports of the reversing valve', 4, 'reversingValveRise', {
    covers: 2,
  }),
  standingOverAmbient: reading(
    'Stop, let it equalise, compare standing pressure with outdoor air',
    25,
    'standingOverAmbient',
    { covers: 2, state: 'standing', acts: [] },
  ),
  suctionDryerDrop: reading('Read the pressure on both sides of the suction dryer', 6, 'suctionDryerDrop', {
    covers: 2,
  }),
  waterRise: reading('Take water in and out', 4, 'waterRise', { covers: 2 }),
  frostPattern: look('See where frost or sweat begins', 3, 'frostPattern'),
  sightGlass: look('Look into the sight glass', 1, 'sightGlass', { acts: RUNNING, state: 'running' }),
  moistureIndicator: look('Read the moisture indicator', 1, 'moistureIndicator'),
  oilStain: look('Look for oil stains at joints, stems and coils', 8, 'oilStain'),
  indoorFan: look('See that the indoor fan runs and air moves', 2, 'indoorFan', { acts: ENERGISED }),
  outdoorFan: look('See that the outdoor fan runs', 1, 'outdoorFan', { acts: ENERGISED }),
  condenserCoil: look('Look through the condenser coil', 3, 'condenserCoil'),
  evaporatorCoil: look('Look at filter and evaporator coil', 6, 'evaporatorCoil'),
  waterStrainer: look('Open the water strainer, see that the valves are open', 15, 'waterStrainer'),
  bulbState: look('Feel the bulb: tight, insulated, in place', 8, 'bulbState'),
  bulbWarmResponse: look('Warm the bulb in the hand and watch suction', 10, 'bulbWarmResponse', {
    acts: OF_VALVE,
    state: 'running',
  }),
  stemResponse: look('Turn the stem a counted turn and watch superheat', 15, 'stemResponse', {
    acts: OF_VALVE,
    state: 'running',
    caution: 'Count the turns and write them down, so that they can be undone.',
  }),
  equalizerState: look('Follow the equaliser line to both ends', 5, 'equalizerState'),
  warmValveResponse: look('Pour hot water over the valve and watch suction', 10, 'warmValveResponse', {
    acts: OF_VALVE,
    state: 'running',
    caution: 'Keep water off electrical parts; no flame.',
  }),
  solenoidPull: look('Listen and feel for the liquid solenoid with a call', 3, 'solenoidPull', {
    acts: ENERGISED,
  }),
  reliefPlug: look('Look at the fusible plug', 3, 'reliefPlug'),
  overheatedValve: look(
    'Look at the valves near brazed joints: discoloured, paint burnt',
    4,
    'overheatedValve',
  ),
  inletScreen: look('Recover, open and look at the valve inlet screen', 60, 'inletScreen', {
    acts: ['recover', 'open'],
    state: 'recovered',
    caution: 'Opens the circuit: recover first, nothing under pressure.',
  }),
  orificeSize: look('Recover, open and compare the orifice with the plate', 75, 'orificeSize', {
    acts: ['recover', 'open'],
    state: 'recovered',
    caution: 'Opens the circuit: recover first, nothing under pressure.',
  }),
  weighedCharge: look('Recover and weigh the charge against the plate', 60, 'weighedCharge', {
    acts: ['recover'],
    state: 'recovered',
    caution: 'Only with a recovery machine and a cylinder that has room; gloves and glasses.',
  }),
  compressorNoise: look('Listen to the compressor', 1, 'compressorNoise', {
    acts: RUNNING,
    state: 'running',
  }),
  reliefNoise: look('Listen for a hiss inside the compressor', 1, 'reliefNoise', {
    acts: RUNNING,
    state: 'running',
  }),
  reversingValveNoise: look('Listen at the reversing valve', 2, 'reversingValveNoise', {
    acts: RUNNING,
    state: 'running',
  }),
  phaseSequence: look('Check phase sequence at the contactor', 4, 'phaseSequence', {
    acts: ENERGISED,
    caution: LIVE,
  }),
  pumpDownTest: look('Pump-down test with the liquid valve shut', 10, 'pumpDownTest', {
    acts: ['run', 'pump-down', 'judge-worn'],
    state: 'running',
    caution:
      "Within the maker's minimum suction: a scroll must not be pulled deep; never with a suspected low-side leak.",
  }),
  comesAndGoes: look('Ask whether the complaint comes and goes', 1, 'comesAndGoes'),
  callForOperation: look('See whether there is a call: setpoint, thermostat, control', 2, 'callForOperation'),
  compressorState: look('See what the compressor does with a call', 2, 'compressorState', { acts: STARTS }),
  compressorShell: look('Feel whether the shell is hot', 1, 'compressorShell', {
    caution: 'A shell with an open overload burns: back of the hand first.',
  }),
  breaker: look('See whether the breaker holds', 3, 'breaker', {
    acts: ['reset-breaker', 'energise'],
    caution: 'A tripped breaker: ohms to ground before it is reset.',
  }),
  contactorPoints: look('Look at the contactor: pulled in, points', 4, 'contactorPoints', {
    caution: DEAD,
    state: 'power-off',
  }),
  loadVolts: look('Volts on the load side of the contactor', 4, 'loadVolts', {
    acts: ENERGISED,
    caution: LIVE,
  }),
  controlVolts: look('Volts at the contactor coil', 4, 'controlVolts', { acts: ENERGISED, caution: LIVE }),
  lowPressureSwitch: look('Volts across the low-pressure switch', 5, 'lowPressureSwitch', {
    acts: ENERGISED,
    caution: LIVE,
  }),
  leadState: look('Follow the compressor leads by eye and hand', 8, 'leadState', {
    caution: DEAD,
    state: 'power-off',
  }),
  startGear: look('Prove capacitors and relay', 10, 'startGear', { caution: DEAD, state: 'power-off' }),
  hardStart: look('One attempt with a hard-start kit', 15, 'hardStart', { acts: STARTS, caution: LIVE }),
  magnetPull: look('Feel the magnet pull at the reversing valve coil', 2, 'magnetPull', { acts: ENERGISED }),
  jumpAtUnit: look('Join supply and call at the unit: does the coil hold?', 6, 'jumpAtUnit', {
    acts: ENERGISED,
    caution: JUMP,
  }),
  supply: electrical('Measure the supply volts', 4, 'supply', { acts: ENERGISED, covers: 3, caution: LIVE }),
  groundPath: look(
    'At the contactor: disconnect fan motor and crankcase heater, take the compressor leads off, measure each to ground alone',
    12,
    'groundPath',
    { caution: DEAD, state: 'power-off' },
  ),
  terminalLook: look('Look at plug, terminals and leads at the compressor', 12, 'terminalLook', {
    caution: OWN_TERMINALS,
    state: 'pressure-off',
    acts: ['own-terminals'],
  }),
  reliefAfterRestart: look(
    'Equalise, restart, and see after 10 minutes whether the relief stays open',
    25,
    'reliefAfterRestart',
    { state: 'running', acts: ['run', 'start'] },
  ),
  bulbIceResponse: look('Hold the bulb in ice water and watch suction', 12, 'bulbIceResponse', {
    state: 'running',
    acts: OF_VALVE,
  }),
  handValveTest: look('Pump down against a shut hand valve', 10, 'handValveTest', {
    state: 'running',
    acts: ['run', 'pump-down', 'judge-worn'],
    caution: "Within the maker's minimum suction: a scroll must not be pulled deep.",
  }),
  pressureOff: look(
    'Recover or take the pressure off the compressor, vent it to 0 psig with nitrogen',
    40,
    'pressureOff',
    { acts: ['recover'], caution: OWN_TERMINALS, onlyLifts: true },
  ),
  terminalCover: look('Put the terminal cover back on', 3, 'terminalCover', {
    caution: DEAD,
    state: 'power-off',
    onlyLifts: true,
  }),
  windings: electrical('Ohms of the three winding pairs, from the contactor end', 8, 'windings', {
    covers: 3,
    caution: DEAD,
    state: 'power-off',
  }),
  windingsAtTerminals: electrical(
    "Ohms of the three winding pairs at the compressor's own terminals, leads off",
    20,
    'windingsAtTerminals',
    { covers: 3, caution: OWN_TERMINALS, state: 'pressure-off', acts: ['own-terminals'] },
  ),
  ground: electrical('Ohms to bare copper on the shell, from the contactor end', 5, 'ground', {
    caution: DEAD,
    state: 'power-off',
  }),
  groundAtTerminals: electrical(
    "Ohms to ground at the compressor's own terminals, leads off",
    20,
    'groundAtTerminals',
    { caution: OWN_TERMINALS, state: 'pressure-off', acts: ['own-terminals'] },
  ),
  standing: {
    label: 'Read the standing pressure on both sides, and the temperature of the coldest place',
    minutes: 5,
    covers: 3,
    state: 'standing',
    standing: true,
  },
  legAmps: electrical('Amps on every leg with a call', 5, 'legAmps', {
    acts: ENERGISED,
    covers: 3,
    caution: LIVE,
  }),
  startAttempt: electrical('Inrush amps and volts during one start', 6, 'startAttempt', {
    acts: STARTS,
    covers: 2,
    caution: LIVE,
  }),
  runCapacitor: electrical('Measure the run capacitor', 6, 'runCapacitor', {
    caution: DEAD,
    state: 'power-off',
  }),
  contactor: electrical('Volts across the closed contacts under load', 4, 'contactor', {
    acts: ['run', 'energise'],
    caution: LIVE,
    state: 'running',
  }),
  heater: electrical('Amps of the crankcase heater with the contactor out', 4, 'heater', {
    acts: ENERGISED,
    caution: LIVE,
  }),
  valveCoil: electrical('Ohms of the reversing valve coil', 5, 'valveCoil', {
    caution: DEAD,
    state: 'power-off',
  }),
  coilVolts: electrical('Volts at the reversing valve coil, connected, with a call', 4, 'coilVolts', {
    acts: ENERGISED,
    caution: LIVE,
  }),
} as const satisfies Record<string, CheckRow>

export type CheckId = keyof typeof CHECKS
export const CHECK_IDS = Object.keys(CHECKS) as CheckId[]

/** The row seen without its literal types. */
export const checkRow = (id: CheckId): CheckRow => CHECKS[id]
