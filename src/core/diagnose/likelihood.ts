import { logSumExp } from '../numeric/logSum'
import { logNormal, logStudentT } from '../numeric/densities'
import type { UnitPlate } from '../job/unit'
import { OBSERVATION_KEYS, type ObservationKey, observationRow } from '../readings/observations'
import type { Observations } from '../readings/schema'
import { type Cell, type Curve, SHIFT_OF_SIGN, type Signature } from './fault'
import { FEATURE_KEYS, type FeatureKey } from './features'
import { faultRow, type SuspectId } from './faults'

/** A feature as the engine sees it: (measured - expected) / tolerance, and the instrument's share of it. */
export type FeatureValue = { readonly deviation: number; readonly error: number }

/** Severities over which a fault's likelihood is integrated; uniform weight. */
export const SEVERITIES: readonly number[] = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1]

/** [practice] a band holds about 19 sound units in 20: its half width is two standard deviations. */
const SOUND_SPREAD = 0.5
/** How often a reading of a sound circuit is grossly wrong (clamp in the sun, hose on the wrong port). [practice] */
const BLUNDER_SHARE = 0.02
/** A faulty circuit strays more than a sound one, in every column. */
const FAULTY_SPREAD = 0.8
/** A fault's shift is known only roughly: spread as a share of the shift. */
const SHIFT_SPREAD = 0.4
/** Either way, or not in the list: anything within some tolerances. */
const EITHER_WAY_SPREAD = 3.5
/** A missing cell says nothing. */
const BLANK_SPREAD = 2.5

function onCurve(curve: Curve, severity: number): number {
  const above = Math.max(
    curve.findIndex(([s]) => s >= severity),
    1,
  )
  const [s0, y0] = curve[above - 1] ?? [0, 0]
  const [s1, y1] = curve[above] ?? [1, 0]
  return y0 + ((severity - s0) / (s1 - s0)) * (y1 - y0)
}

/** Expected deviation in tolerances at a severity; undefined where the cell gives none. */
export function expectedShift(cell: Cell | undefined, severity: number): number | undefined {
  if (cell === undefined || cell === '*') return undefined
  return typeof cell === 'string' ? SHIFT_OF_SIGN[cell] * severity : onCurve(cell, severity)
}

/** The signature of a suspect on this unit; none for the two that have no row. */
export function signatureOf(suspect: SuspectId, unit: UnitPlate): Signature | undefined {
  if (suspect === 'healthy' || suspect === 'unlisted') return undefined
  const row = faultRow(suspect)
  return row.variant?.metering.includes(unit.metering) ? row.variant.signature : row.signature
}

/** Centre and spread, in tolerances, of a feature under one hypothesis. */
export type Expected = {
  readonly centre: number
  readonly spread: number
  /** a sound circuit is inside its bands by definition: thin tails, but for a rare blunder */
  readonly sound?: true
}

/** What a suspect expects of a feature at a severity. */
export function expectation(
  suspect: SuspectId,
  signature: Signature | undefined,
  key: FeatureKey,
  severity: number,
): Expected {
  if (suspect === 'healthy') return { centre: 0, spread: SOUND_SPREAD, sound: true }
  if (suspect === 'unlisted') return { centre: 0, spread: EITHER_WAY_SPREAD }
  const cell = signature?.[key]
  if (cell === '*') return { centre: 0, spread: EITHER_WAY_SPREAD }
  const centre = expectedShift(cell, severity)
  if (centre === undefined) return { centre: 0, spread: BLANK_SPREAD }
  return { centre, spread: Math.hypot(FAULTY_SPREAD, SHIFT_SPREAD * centre) }
}

/** Log density of a normal reading, or of a blunder that may show anything. */
function logSound(offset: number, spread: number): number {
  const normal = logNormal(offset, spread) + Math.log(1 - BLUNDER_SHARE)
  const blunder = logStudentT(offset, EITHER_WAY_SPREAD) + Math.log(BLUNDER_SHARE)
  return logSumExp([normal, blunder])
}

/** Log density of a feature under an expectation, instrument error included; heavy-tailed for faults. */
export function logFeature(value: FeatureValue, { centre, spread, sound }: Expected): number {
  const offset = value.deviation - centre
  const total = Math.hypot(spread, value.error)
  return sound ? logSound(offset, total) : logStudentT(offset, total)
}

/** [practice] how often each word is seen on a circuit whatever its fault; the rest of a row is shared evenly. */
const COMMON_WORDS: { readonly [K in ObservationKey]?: Readonly<Record<string, number>> } = {
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
  indoorFan: { running: 0.95 },
  outdoorFan: { running: 0.95 },
  warmValveResponse: { none: 0.9 },
  bulbWarmResponse: { opens: 0.75 },
  pumpDownTest: { 'pulls-down': 0.85 },
  phaseSequence: { correct: 0.98 },
}
/** A sound circuit shows the plain word more often still. */
const SOUND_FACTOR = 3
/** How often an observation is simply mistaken. */
const LAPSE = 0.03

/** Observations that bear on the suspects. */
export const EVIDENT_OBSERVATIONS = OBSERVATION_KEYS.filter((key) => COMMON_WORDS[key] !== undefined)

function baseShare(key: ObservationKey, word: string): number {
  const { values } = observationRow(key)
  const common = COMMON_WORDS[key] ?? {}
  const named = Object.values(common).reduce((sum, share) => sum + share, 0)
  return common[word] ?? (1 - named) / (values.length - Object.keys(common).length)
}

/** How much likelier a word is under a suspect at a severity than on any circuit. */
function factor(suspect: SuspectId, key: ObservationKey, word: string, severity: number): number {
  if (suspect === 'unlisted') return 1
  if (suspect === 'healthy') return COMMON_WORDS[key]?.[word] === undefined ? 1 : SOUND_FACTOR
  return (faultRow(suspect).observations?.[key]?.[word] ?? 1) ** severity
}

type WordChances = Readonly<Record<string, number>>

/** Chances of the words at each of SEVERITIES; they depend on the fault table alone, so they are kept. */
const keptChances = new Map<string, readonly WordChances[]>()

function chancesAt(suspect: SuspectId, key: ObservationKey, severity: number): WordChances {
  const { values } = observationRow(key)
  const weights = values.map((word) => baseShare(key, word) * factor(suspect, key, word, severity))
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  return Object.fromEntries(
    values.map((word, i) => [word, (1 - LAPSE) * ((weights[i] as number) / total) + LAPSE / values.length]),
  )
}

/** Probability of each word of an observation under a suspect, at each of SEVERITIES; each sums to one. */
export function observationChances(suspect: SuspectId, key: ObservationKey): readonly WordChances[] {
  const name = `${suspect}/${key}`
  const known = keptChances.get(name)
  if (known) return known
  const chances = SEVERITIES.map((severity) => chancesAt(suspect, key, severity))
  keptChances.set(name, chances)
  return chances
}

/** One piece of evidence that was taken. */
export type Item =
  | { readonly type: 'feature'; readonly key: FeatureKey; readonly value: FeatureValue }
  | { readonly type: 'observation'; readonly key: ObservationKey; readonly word: string }

/** The evidence of a set, as items in a fixed order. */
export function itemsOf(
  features: { readonly [K in FeatureKey]?: FeatureValue },
  observations: Observations,
): Item[] {
  const measured = FEATURE_KEYS.flatMap((key): Item[] => {
    const value = features[key]
    return value ? [{ type: 'feature', key, value }] : []
  })
  const seen = EVIDENT_OBSERVATIONS.flatMap((key): Item[] => {
    const word = observations[key]
    return word ? [{ type: 'observation', key, word }] : []
  })
  return [...measured, ...seen]
}

/** Log likelihood of one item under a suspect at each of its severities (one value where it has none). */
export function logItem(item: Item, suspect: SuspectId, signature: Signature | undefined): number[] {
  const severities = signature ? SEVERITIES : [0]
  if (item.type === 'feature') {
    return severities.map((severity) =>
      logFeature(item.value, expectation(suspect, signature, item.key, severity)),
    )
  }
  const chances = observationChances(suspect, item.key)
  return severities.map((_severity, i) => Math.log(chances[i]?.[item.word] as number))
}
