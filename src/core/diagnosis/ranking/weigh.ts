import type { UnitPlate } from '../../record/equipment/unit'
import { STUDENT_T_CONSTANT } from '../../base/numeric/densities'
import { normaliseLogs } from '../../base/numeric/logSum'
import type { Mode } from '../../record/readings/schema'
import {
  type Components,
  caseWords,
  FEATURE_COUNT,
  featureIndex,
  faultsIn,
  type Hypothesis,
  knownTolerance,
  type Prepared,
  prepare,
} from './components'
import { hasDegree, type SuspectId } from '../faults/faults'
import type { FeatureItem, Item, WordItem } from '../evidence/items'
import { type History, priorFactor } from '../faults/priors'
import { wordsOf } from '../evidence/commonWords'
import { severityIndex, type WordChances, wordChances } from './wordChances'

/** A hypothesis with everything the ranking knows of it. */
export type Ranked = {
  readonly hypothesis: Hypothesis
  /** share before any evidence */
  readonly prior: number
  readonly probability: number
  readonly components: Components
  /** belief within the hypothesis in each of its components; sums to one */
  readonly weights: Float64Array
  /** mean severity, 0 to 1; 0 for a sound circuit */
  readonly severity: number
  /** natural log of the likelihood of each item, all other items known */
  readonly itemLogs: Float64Array
}

/** No single item may rule a component out for good. */
const LEAST_FACTOR = 1e-11
/** [practice] a stated error is a limit more than a deviation. */
const DEVIATION_OF_LIMIT = 0.5
/** How far the word that a simulated case saw itself is trusted; the rest is the fault table's. */
const CASE_WORD_SHARE = 0.5
const CASE_WORD_LAPSE = 0.1

/** An item in half widths of the band where all conditions are known. */
type Place = { readonly column: number; readonly value: number; readonly error: number }

function placeOf(item: FeatureItem, unit: UnitPlate, mode: Mode): Place {
  const known = knownTolerance(unit, mode, item.key) ?? item.tolerance
  const doubt = Math.sqrt(Math.max(item.tolerance ** 2 - known ** 2, 0)) / 2
  const scale = item.tolerance / known
  return {
    column: featureIndex.get(item.key) as number,
    value: item.deviation * scale,
    error: Math.hypot(DEVIATION_OF_LIMIT * item.error * scale, doubt / known),
  }
}

/** Chance of a feature under every component: studentT written out, since this is most of the work. */
function featureFactors({ column, value, error }: Place, components: Components, out: Float64Array): void {
  const { count, centres, spreads } = components
  const errorSquared = error * error
  for (let i = 0, at = column; i < count; i++, at += FEATURE_COUNT) {
    const spread = spreads[at] as number
    const offset = value - (centres[at] as number)
    const scaleSquared = spread * spread + errorSquared
    const q = 1 + (offset * offset) / (5 * scaleSquared)
    const density = STUDENT_T_CONSTANT / (Math.sqrt(scaleSquared) * q * q * q)
    out[i] = density > LEAST_FACTOR ? density : LEAST_FACTOR
  }
}

/** The degree at which a component's words are looked up; electrical faults and a lost charge have none. */
export const wordSeverity = (suspect: SuspectId, severity: number): number =>
  hasDegree(suspect) ? severity : 1

export const suspectsIn = (hypothesis: Hypothesis): readonly SuspectId[] => {
  const faults = faultsIn(hypothesis)
  return faults.length > 0 ? faults : [hypothesis.suspect]
}

/** Several places of one observation: each is a look of its own, so their mean counts and none is counted twice. */
const meanChance = (chances: WordChances, words: readonly string[]): number =>
  words.reduce((sum, word) => sum + (chances[word] ?? LEAST_FACTOR), 0) / words.length

/** Chance of one word under every component. */
function wordFactors(
  { key, word, further = [] }: WordItem,
  hypothesis: Hypothesis,
  components: Components,
  out: Float64Array,
): void {
  const bySeverity = wordChances(suspectsIn(hypothesis), key).map((chances) =>
    meanChance(chances, [word, ...further]),
  )
  const own = caseWords(components, key)
  const { count, severityAt } = components
  const fixed = hasDegree(hypothesis.suspect) ? undefined : severityIndex(1)
  for (let i = 0; i < count; i++) out[i] = bySeverity[fixed ?? (severityAt[i] as number)] as number
  if (own) mixOwnWords(own, wordsOf(key), [word, ...further], out)
}

/** What the simulated cases saw themselves counts beside the fault table. */
function mixOwnWords(
  own: Int16Array,
  words: readonly string[],
  told: readonly string[],
  out: Float64Array,
): void {
  const indices = told.map((word) => words.indexOf(word))
  const missed = CASE_WORD_LAPSE / words.length
  for (let i = 0; i < own.length; i++) {
    const seen = own[i] as number
    if (seen === -1) continue
    const hit = indices.includes(seen) ? (1 - CASE_WORD_LAPSE) / told.length + missed : missed
    out[i] = CASE_WORD_SHARE * hit + (1 - CASE_WORD_SHARE) * (out[i] as number)
  }
}

type Weighed = Omit<Ranked, 'probability'> & { readonly log: number }

/** Factors of each feature item, once for each set of components: electrical suspects share those of a sound circuit. */
type FactorCache = Map<Components, readonly Float64Array[]>

function factorsOf(
  { hypothesis, components }: Prepared,
  items: readonly Item[],
  places: readonly (Place | undefined)[],
  cache: FactorCache,
): readonly Float64Array[] {
  const known = cache.get(components)
  const factors = items.map((item, k) => {
    const place = places[k]
    if (place && known) return known[k] as Float64Array
    const out = new Float64Array(components.count)
    if (place) featureFactors(place, components, out)
    else wordFactors(item as WordItem, hypothesis, components, out)
    return out
  })
  if (!known) cache.set(components, factors)
  return factors
}

function weighOne(
  prepared: Prepared,
  items: readonly Item[],
  places: readonly (Place | undefined)[],
  cache: FactorCache,
): Weighed {
  const { hypothesis, prior, components } = prepared
  const { count, shares, severities } = components
  const factors = factorsOf(prepared, items, places, cache)
  const weights = Float64Array.from(shares)
  for (const column of factors) {
    for (let i = 0; i < count; i++) weights[i] = (weights[i] as number) * (column[i] as number)
  }
  let total = 0
  for (let i = 0; i < count; i++) total += weights[i] as number
  const itemLogs = new Float64Array(items.length)
  for (const [k, column] of factors.entries()) {
    let without = 0
    for (let i = 0; i < count; i++) without += (weights[i] as number) / (column[i] as number)
    itemLogs[k] = Math.log(total / without)
  }
  let severity = 0
  for (let i = 0; i < count; i++) {
    weights[i] = (weights[i] as number) / total
    severity += (weights[i] as number) * (severities[i] as number)
  }
  const degree = hypothesis.suspect === 'healthy' ? 0 : wordSeverity(hypothesis.suspect, severity)
  return {
    hypothesis,
    prior,
    components,
    weights,
    severity: degree,
    itemLogs,
    log: Math.log(prior) + Math.log(total),
  }
}

/** The priors moved by kind and history, and made to sum to one again. */
function withHistory(rows: readonly Prepared[], unit: UnitPlate, history: History): Prepared[] {
  const moved = rows.map((row) => ({
    ...row,
    prior: row.prior * priorFactor(row.hypothesis.suspect, unit, history).factor,
  }))
  const total = moved.reduce((sum, { prior }) => sum + prior, 0)
  return moved.map((row) => ({ ...row, prior: row.prior / total }))
}

/**
 * Ranks the hypotheses by Bayes' rule; each is integrated over its components (signs at ten severities, simulated cases).
 * Missing evidence does not count. The probabilities sum to one; the most probable comes first.
 * @throws OrzoError not-loaded when loadCaseBooks was not awaited before
 */
export function rank(unit: UnitPlate, mode: Mode, items: readonly Item[], history: History = {}): Ranked[] {
  const places = items.map((item) => (item.type === 'feature' ? placeOf(item, unit, mode) : undefined))
  const cache: FactorCache = new Map()
  const weighed = withHistory(prepare(unit, mode), unit, history).map((row) =>
    weighOne(row, items, places, cache),
  )
  const probabilities = normaliseLogs(weighed.map(({ log }) => log))
  return weighed
    .map((row, i) => ({ ...row, probability: probabilities[i] as number }))
    .sort((a, b) => b.probability - a.probability)
}
