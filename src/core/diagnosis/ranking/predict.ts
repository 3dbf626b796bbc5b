import { studentT } from '../../base/numeric/densities'
import { caseWords, type Components, FEATURE_COUNT, featureIndex } from './components'
import type { WordKey } from '../evidence/wordKey'
import type { FeatureKey } from '../evidence/features'
import { hasDegree } from '../faults/faults'
import { caseWordShare, type Ranked, suspectsIn } from './weigh'
import { wordsOf } from '../evidence/commonWords'
import { fullChances, severityIndex, SEVERITIES, wordChances } from './wordChances'

/** One possible answer of a check, and its chance under each hypothesis. */
export type Outcome = { readonly name: string; readonly shares: readonly number[] }

/** A hypothesis with its belief by severity, ready to foretell words. */
export type Predictor = {
  readonly ranked: Ranked
  readonly severityShares: readonly number[]
  /** its components that are still believed, by index: after many readings a few of them */
  readonly alive: Int32Array
}

/** Deviations at which a feature's answer is tried, half widths. */
const TRIALS: readonly number[] = Array.from({ length: 31 }, (_v, i) => i - 15)
/** Centres from which they are foretold: every half from -20 to 20. */
const CENTRE_STEP = 0.5
const MOST_CENTRE = 20
const CENTRES = (2 * MOST_CENTRE) / CENTRE_STEP + 1
/** [memory] a typical instrument error, and how far the circuit is from a real unit, as shares of the half width. */
const TYPICAL_ERROR = 0.4
const TYPICAL_SPREAD = 0.4
const SHIFT_SPREAD = 0.15
const OUTCOME_EDGE = 1
/** Belief in a component that cannot change a chance that is shown. */
const NEGLIGIBLE = 1e-8

const centreIndex = (centre: number): number =>
  Math.round((Math.max(-MOST_CENTRE, Math.min(MOST_CENTRE, centre)) + MOST_CENTRE) / CENTRE_STEP)

/** Of each component and feature the place of its centre; kept, since components are prepared once for a kind of unit. */
const placesOf = new WeakMap<Components, Uint8Array>()
function centrePlaces(components: Components): Uint8Array {
  const known = placesOf.get(components)
  if (known) return known
  const places = Uint8Array.from(components.centres, centreIndex)
  placesOf.set(components, places)
  return places
}

/** Chance of each trial from each centre: rows sum to one. */
const TRIAL_CHANCES: readonly (readonly number[])[] = Array.from({ length: CENTRES }, (_v, i) => {
  const centre = i * CENTRE_STEP - MOST_CENTRE
  const spread = Math.hypot(TYPICAL_ERROR, TYPICAL_SPREAD, SHIFT_SPREAD * centre)
  const raw = TRIALS.map((trial) => studentT(trial - centre, spread))
  const total = raw.reduce((a, b) => a + b, 0)
  return raw.map((value) => value / total)
})

const nameOf = (deviation: number) =>
  deviation > OUTCOME_EDGE ? 'above' : deviation < -OUTCOME_EDGE ? 'below' : 'in band'

export function predictorOf(ranked: Ranked): Predictor {
  const severityShares = SEVERITIES.map(() => 0)
  const { components, weights, hypothesis } = ranked
  const fixed = hasDegree(hypothesis.suspect) ? undefined : severityIndex(1)
  const alive: number[] = []
  for (let i = 0; i < components.count; i++) {
    if ((weights[i] as number) < NEGLIGIBLE) continue
    alive.push(i)
    const at = fixed ?? (components.severityAt[i] as number)
    severityShares[at] = (severityShares[at] as number) + (weights[i] as number)
  }
  return { ranked, severityShares, alive: Int32Array.from(alive) }
}

/** Chance of each trial deviation under one hypothesis. */
function trialShares({ ranked: { components, weights }, alive }: Predictor, column: number): Float64Array {
  const byCentre = new Float64Array(CENTRES)
  const places = centrePlaces(components)
  for (const i of alive) {
    const index = places[i * FEATURE_COUNT + column] as number
    byCentre[index] = (byCentre[index] as number) + (weights[i] as number)
  }
  const shares = new Float64Array(TRIALS.length)
  for (let c = 0; c < CENTRES; c++) {
    const weight = byCentre[c] as number
    if (weight === 0) continue
    const row = TRIAL_CHANCES[c] as readonly number[]
    for (let t = 0; t < shares.length; t++) shares[t] = (shares[t] as number) + weight * (row[t] as number)
  }
  return shares
}

/** What a feature would show, and how likely under each hypothesis. */
export function featureOutcomes(key: FeatureKey, predictors: readonly Predictor[]): Outcome[] {
  const column = featureIndex.get(key) as number
  const rows = predictors.map((predictor) => trialShares(predictor, column))
  return TRIALS.map((deviation, t) => ({
    name: nameOf(deviation),
    shares: rows.map((row) => row[t] as number),
  }))
}

/** Chance of each word under one hypothesis: the fault table's, mixed with what its cases saw themselves. */
function wordShares(
  { ranked, severityShares, alive }: Predictor,
  key: WordKey,
  words: readonly string[],
): number[] {
  const { hypothesis, components, weights, ways } = ranked
  const { suspect } = hypothesis
  const chances = wordChances(suspectsIn(hypothesis), key)
  const table =
    // pairs and circuit faults fail in one way, by degree
    ways.length > 1
      ? words.map((word) =>
          ways.reduce((sum, share, way) => sum + share * (fullChances(suspect, key, way)[word] ?? 0), 0),
        )
      : words.map((word) =>
          severityShares.reduce((sum, share, s) => sum + share * (chances[s]?.[word] ?? 0), 0),
        )
  const own = caseWords(components, key)
  if (!own) return table
  const seen = words.map(() => 0)
  let known = 0
  for (const i of alive) {
    const index = own[i] as number
    if (index === -1) continue
    seen[index] = (seen[index] as number) + (weights[i] as number)
    known += weights[i] as number
  }
  const trusted = caseWordShare(suspectsIn(hypothesis), key)
  return table.map((share, w) => share * (1 - known * trusted) + (seen[w] as number) * trusted)
}

/** The words of an observation or a test, and how likely each is under each hypothesis. */
export function wordOutcomes(key: WordKey, predictors: readonly Predictor[]): Outcome[] {
  const words = wordsOf(key)
  const rows = predictors.map((predictor) => wordShares(predictor, key, words))
  return words.map((name, w) => ({ name, shares: rows.map((row) => row[w] as number) }))
}
