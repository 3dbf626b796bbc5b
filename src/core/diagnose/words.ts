import { OBSERVATION_KEYS, type ObservationKey, observationRow } from '../readings/observations'
import {
  ELECTRICAL_TEST_KEYS,
  type ElectricalTestKey,
  electricalTestRow,
  isElectricalTest,
} from './electricalTests'
import { BRANCH_WORDS } from './branchWords'
import type { WordKey } from './fault'
import { faultRow, type SuspectId } from './faults'

/** [practice] how often each word is seen on a circuit whatever its fault; the rest of a row is shared evenly. */
const COMMON_WORDS: { readonly [K in WordKey]?: Readonly<Record<string, number>> } = {
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
  comesAndGoes: { no: 0.94 },
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
  branches: { 'all-sound': 0.6 },
  supply: { good: 0.985 },
  windings: { good: 0.985 },
  ground: { none: 0.97 },
  legAmps: { good: 0.95 },
  startAttempt: { starts: 0.9 },
  runCapacitor: { good: 0.96 },
  contactor: { good: 0.97 },
  heater: { good: 0.98 },
  valveCoil: { good: 0.98 },
  coilVolts: { healthy: 0.97 },
}
/** A sound circuit shows the plain word more often still. */
const SOUND_FACTOR = 3
/** [practice] how often an observation is simply mistaken, and a test made the wrong way. */
const LAPSE = 0.03
const TEST_LAPSE = 0.008

/** Words that bear on the suspects: what is seen or tried, then what the electrical tests say. */
export const EVIDENT_OBSERVATIONS: readonly ObservationKey[] = OBSERVATION_KEYS.filter(
  (key) => COMMON_WORDS[key] !== undefined,
)
export const WORD_KEYS: readonly WordKey[] = [...EVIDENT_OBSERVATIONS, ...ELECTRICAL_TEST_KEYS, 'branches']

/** The words that an observation or an electrical test can say. */
export const wordsOf = (key: WordKey): readonly string[] =>
  key === 'branches'
    ? BRANCH_WORDS
    : isElectricalTest(key)
      ? electricalTestRow(key as ElectricalTestKey).words
      : observationRow(key).values

/** Severities at which word tables are kept. */
export const SEVERITIES: readonly number[] = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1]
/** Index of the severity nearest to one between 0 and 1. */
export const severityIndex = (severity: number): number =>
  Math.min(Math.max(Math.round(severity * 10) - 1, 0), SEVERITIES.length - 1)

function baseShare(key: WordKey, word: string): number {
  const values = wordsOf(key)
  const common = COMMON_WORDS[key] ?? {}
  const named = Object.values(common).reduce((sum, share) => sum + share, 0)
  const rest = (1 - named) / (values.length - Object.keys(common).length)
  return common[word] ?? rest
}

/** A tell is seen early: at this severity less than full. */
const LEAST_TELL = 0.3

function factor(suspect: SuspectId, key: WordKey, word: string, severity: number): number {
  if (suspect === 'unlisted') return 1
  if (suspect === 'healthy') return COMMON_WORDS[key]?.[word] === undefined ? 1 : SOUND_FACTOR
  return (faultRow(suspect).observations?.[key]?.[word] ?? 1) ** Math.min(1, LEAST_TELL + severity)
}

export type WordChances = Readonly<Record<string, number>>

/** Chances of the words at each of SEVERITIES; they depend on the fault table alone, so they are kept. */
const keptChances = new Map<string, readonly WordChances[]>()

function chancesAt(suspects: readonly SuspectId[], key: WordKey, severity: number): WordChances {
  const values = wordsOf(key)
  const weights = values.map((word) =>
    suspects.reduce((share, suspect) => share * factor(suspect, key, word, severity), baseShare(key, word)),
  )
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  const lapse = isElectricalTest(key) ? TEST_LAPSE : LAPSE
  return Object.fromEntries(
    values.map((word, i) => [word, (1 - lapse) * ((weights[i] as number) / total) + lapse / values.length]),
  )
}

/** Probability of each word under a suspect, or under two faults at once, at each of SEVERITIES; each sums to one. */
export function wordChances(suspects: readonly SuspectId[], key: WordKey): readonly WordChances[] {
  const name = `${suspects.join('+')}/${key}`
  const known = keptChances.get(name)
  if (known) return known
  const chances = SEVERITIES.map((severity) => chancesAt(suspects, key, severity))
  keptChances.set(name, chances)
  return chances
}
