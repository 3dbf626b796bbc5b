import { OBSERVATION_KEYS, type ObservationKey, observationRow } from '../../record/readings/observations'
import {
  ELECTRICAL_TEST_KEYS,
  type ElectricalTestKey,
  electricalTestRow,
  isElectricalTest,
} from '../electrical/electricalTests'
import { STANDING_STATES } from '../standing/standingCircuit'
import { BRANCH_WORDS } from './branchWords'
import type { WordKey } from './wordKey'

/** [practice] how often each word is seen on a circuit whatever its fault; the rest of a row is shared evenly. */
export const COMMON_WORDS: { readonly [K in WordKey]?: Readonly<Record<string, number>> } = {
  frostPattern: { none: 0.5 },
  sightGlass: { clear: 0.7 },
  moistureIndicator: { dry: 0.8 },
  oilStain: { none: 0.7 },
  compressorNoise: { normal: 0.8 },
  reliefNoise: { no: 0.95 },
  reversingValveNoise: { none: 0.85 },
  oilAppearance: { clear: 0.6 },
  bulbState: { 'tight-insulated': 0.75 },
  equalizerState: { ok: 0.95 },
  inletScreen: { clean: 0.7 },
  indoorFan: { running: 0.95 },
  outdoorFan: { running: 0.95 },
  warmValveResponse: { none: 0.9 },
  bulbWarmResponse: { opens: 0.75 },
  stemResponse: { answers: 0.8 },
  condenserCoil: { clean: 0.8 },
  evaporatorCoil: { clean: 0.8 },
  waterStrainer: { 'clean-open': 0.9 },
  weighedCharge: { 'at-plate': 0.7 },
  solenoidPull: { pulls: 0.93 },
  reliefPlug: { sound: 0.98 },
  orificeSize: { 'right-seated': 0.95 },
  pumpDownTest: { 'pulls-down': 0.92 },
  phaseSequence: { correct: 0.98 },
  comesAndGoes: { no: 0.97 },
  callForOperation: { yes: 0.95 },
  compressorState: { running: 0.9 },
  compressorShell: { cold: 0.6 },
  breaker: { holds: 0.95 },
  leadState: { sound: 0.97 },
  contactorPoints: { clean: 0.85 },
  loadVolts: { live: 0.9 },
  controlVolts: { live: 0.92 },
  lowPressureSwitch: { closed: 0.92 },
  hardStart: { starts: 0.6 },
  startGear: { proven: 0.85 },
  jumpAtUnit: { holds: 0.9 },
  magnetPull: { pulls: 0.92 },
  terminalLook: { sound: 0.97 },
  groundPath: { 'compressor-side': 0.8 },
  reliefAfterRestart: { reseated: 0.6 },
  bulbIceResponse: { closes: 0.85 },
  handValveTest: { 'pulls-down': 0.9 },
  servicePortState: { open: 0.9, 'back-seated': 0.05, cracked: 0.04 },
  overheatedValve: { none: 0.98 },
  compressorInside: { sound: 0.9 },
  shaftTurns: { turns: 0.95 },
  branches: { 'all-sound': 0.6 },
  // computed from a pressure and a temperature: without a lost charge it seldom says that no liquid is left
  standing: { liquid: 0.965, over: 0.03 },
  // a sound three-phase set reads just over 2 % apart now and then, by the meter's own error
  supply: { good: 0.955, 'near-limit': 0.03 },
  windings: { good: 0.985 },
  windingsAtTerminals: { sound: 0.96 },
  ground: { none: 0.97 },
  groundAtTerminals: { none: 0.97 },
  legAmps: { good: 0.95 },
  startAttempt: { starts: 0.9 },
  runCapacitor: { good: 0.96 },
  contactor: { good: 0.97 },
  heater: { good: 0.97 },
  valveCoil: { good: 0.98 },
  coilVolts: { healthy: 0.97 },
}
/** Words that bear on the suspects: what is seen or tried, then what the electrical tests say. */
export const EVIDENT_OBSERVATIONS: readonly ObservationKey[] = OBSERVATION_KEYS.filter(
  (key) => COMMON_WORDS[key] !== undefined,
)
export const WORD_KEYS: readonly WordKey[] = [
  ...EVIDENT_OBSERVATIONS,
  ...ELECTRICAL_TEST_KEYS,
  'branches',
  'standing',
]

/** The words that an observation or an electrical test can say. */
export const wordsOf = (key: WordKey): readonly string[] =>
  key === 'branches'
    ? BRANCH_WORDS
    : key === 'standing'
      ? STANDING_STATES
      : isElectricalTest(key)
        ? electricalTestRow(key as ElectricalTestKey).words
        : observationRow(key).values
