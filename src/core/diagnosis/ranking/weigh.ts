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
import { type History, priorFactor, toldOf } from '../faults/priors'
import { wordsOf } from '../evidence/commonWords'
import type { WordKey } from '../evidence/wordKey'
import {
  fullChances,
  hasFlatWords,
  isNamed,
  severityIndex,
  SEVERITIES,
  waysOf,
  type WordChances,
  wordChances,
} from './wordChances'

/** A hypothesis with everything the ranking knows of it. */
export type Ranked = {
  readonly hypothesis: Hypothesis
  /** share before any evidence */
  readonly prior: number
  readonly probability: number
  readonly components: Components
  /** belief within the hypothesis in each of its components; sums to one */
  readonly weights: Float64Array
  /** belief in each of its ways of failing; sums to one */
  readonly ways: Float64Array
  /** mean severity, 0 to 1; 0 for a sound circuit */
  readonly severity: number
  /** natural log of the likelihood of each item, all other items known, calibrated */
  readonly itemLogs: Float64Array
  /** it was seen: it leads whatever the pattern says, and its probability does not share the sum of the others */
  readonly seen?: true
  /** the items that bear on it, where what was seen explains the others; all of them where not given */
  readonly weighedBy?: readonly Item[]
}

/**
 * Final calibration: beliefs of the broad kernels are a little too careful. Fitted on simulated units of the family that the
 * books know, judged on a physics that they do not (docs/diagnosis.md).
 */
const EVIDENCE_POWER = 1.2
/**
 * Suspects that are believed too little or too much on seeds of the family that nobody quotes, natural log: their cases lie among
 * those of others, and a broad kernel shares the belief.
 */
const CALIBRATED: { readonly [S in SuspectId]?: number } = {
  'high-load': 0.6,
  'capillary-plugged': -0.5,
  'low-evaporator-airflow': 0.25,
  'non-condensables': 0.25,
  overcharge: 0.2,
  'condenser-fouled': 0.2,
}
const calibratedLog = ({ suspect, also }: Hypothesis): number => (also ? 0 : (CALIBRATED[suspect] ?? 0))

/** No single item may rule a component out for good. */
const LEAST_FACTOR = 1e-11
/** [practice] a stated error is a limit more than a deviation. */
const DEVIATION_OF_LIMIT = 0.5
/** How far the word that a simulated case saw itself is trusted, beside a fault table that names it and one that is silent. */
export const caseWordShare = (suspects: readonly SuspectId[], key: WordKey): number =>
  isNamed(suspects, key) ? 0.5 : 0.8
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
    const q = 1 + (offset * offset) / (3 * scaleSquared)
    const density = STUDENT_T_CONSTANT / (Math.sqrt(scaleSquared) * q * q)
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

const wordsTold = ({ word, further = [] }: WordItem): readonly string[] => [word, ...further]

/** Chance of a word that the cases saw themselves, under every component. */
function ownWordFactors(
  item: WordItem,
  { hypothesis, components }: Prepared,
  own: Int16Array,
  out: Float64Array,
): void {
  const told = wordsTold(item)
  const suspects = suspectsIn(hypothesis)
  const byDegree = wordChances(suspects, item.key).map((chances) => meanChance(chances, told))
  const { count, severityAt } = components
  const fixed = hasDegree(hypothesis.suspect) ? undefined : severityIndex(1)
  for (let i = 0; i < count; i++) out[i] = byDegree[fixed ?? (severityAt[i] as number)] as number
  mixOwnWords(own, wordsOf(item.key), told, caseWordShare(suspects, item.key), out)
}

/** What the simulated cases saw themselves counts beside the fault table. */
function mixOwnWords(
  own: Int16Array,
  words: readonly string[],
  told: readonly string[],
  share: number,
  out: Float64Array,
): void {
  const indices = told.map((word) => words.indexOf(word))
  const missed = CASE_WORD_LAPSE / words.length
  for (let i = 0; i < own.length; i++) {
    const seen = own[i] as number
    if (seen === -1) continue
    const hit = indices.includes(seen) ? (1 - CASE_WORD_LAPSE) / told.length + missed : missed
    out[i] = share * hit + (1 - share) * (out[i] as number)
  }
}

/** Chances of what was told, by cell; kept for each hypothesis, since fault tables do not change. */
const keptTold = new WeakMap<Hypothesis, Map<string, Float64Array>>()
function kept(
  hypothesis: Hypothesis,
  item: WordItem,
  compute: (told: readonly string[]) => readonly number[],
): Float64Array {
  const told = wordsTold(item)
  const name = `${item.key}/${told.length === 1 ? item.word : told.join()}`
  let known = keptTold.get(hypothesis)
  if (!known) keptTold.set(hypothesis, (known = new Map<string, Float64Array>()))
  const found = known.get(name) ?? Float64Array.from(compute(told))
  known.set(name, found)
  return found
}

/** Whether an item is weighed component by component; other words depend on the degree alone, or on the way of failing. */
const isOfComponents = (item: Item, components: Components): boolean =>
  item.type === 'feature' || caseWords(components, item.key) !== undefined

/** Factors of each item under every component of one suspect at a time; kept, since this is most of the work. */
const scratch: Float64Array[] = []
function scratchOf(k: number, count: number): Float64Array {
  const known = scratch[k]
  if (known && known.length >= count) return known
  return (scratch[k] = new Float64Array(count))
}

/** Writes the factors of an item and multiplies them into the weights. */
function multiplyIn(
  prepared: Prepared,
  item: Item,
  place: Place | undefined,
  weights: Float64Array,
  out: Float64Array,
): void {
  if (place) featureFactors(place, prepared.components, out)
  else if (item.type === 'word')
    ownWordFactors(item, prepared, caseWords(prepared.components, item.key) as Int16Array, out)
  for (let i = 0; i < weights.length; i++) weights[i] = (weights[i] as number) * (out[i] as number)
}

/** Shares of the components times what features and circuit words say; the factors stay in `scratch`. */
function weighComponents(
  prepared: Prepared,
  items: readonly Item[],
  places: readonly (Place | undefined)[],
): Float64Array {
  const { components } = prepared
  const weights = Float64Array.from(components.shares)
  for (const [k, item] of items.entries())
    if (isOfComponents(item, components))
      multiplyIn(prepared, item, places[k], weights, scratchOf(k, components.count))
  return weights
}

/** Natural log of the likelihood of each item that is weighed component by component, all others known. */
function logsOfComponents(
  components: Components,
  items: readonly Item[],
  weights: Float64Array,
  total: number,
): Float64Array {
  const itemLogs = new Float64Array(items.length)
  for (const [k, item] of items.entries()) {
    if (!isOfComponents(item, components)) continue
    const column = scratch[k] as Float64Array
    let without = 0
    for (let i = 0; i < weights.length; i++) without += (weights[i] as number) / (column[i] as number)
    itemLogs[k] = Math.log(total / without)
  }
  return itemLogs
}

const sum = (values: Float64Array): number => {
  let total = 0
  for (let i = 0; i < values.length; i++) total += values[i] as number
  return total
}

/**
 * Words that depend on a cell alone (a degree, or a way of failing): multiplies them into the masses of the cells.
 * @returns natural log of the likelihood of each such word, all others known; 0 for the other items
 */
function overCells(
  items: readonly Item[],
  components: Components,
  masses: Float64Array,
  chances: (item: WordItem) => Float64Array,
): Float64Array {
  const columns = items.map((item) => {
    if (item.type === 'feature' || isOfComponents(item, components)) return undefined
    const column = chances(item)
    for (let cell = 0; cell < masses.length; cell++)
      masses[cell] = (masses[cell] as number) * (column[cell] as number)
    return column
  })
  const total = sum(masses)
  return Float64Array.from(columns, (column) => {
    if (!column) return 0
    let without = 0
    for (let cell = 0; cell < masses.length; cell++)
      without += (masses[cell] as number) / (column[cell] as number)
    return Math.log(total / without)
  })
}

type Scored = Omit<Ranked, 'probability'> & { readonly log: number }
const ONE_WAY = Float64Array.of(1)

/** A suspect whose words depend on its degree. */
function weighByDegree(
  prepared: Prepared,
  items: readonly Item[],
  places: readonly (Place | undefined)[],
): Scored {
  const { hypothesis, prior, components } = prepared
  const { severityAt, severities } = components
  const weights = weighComponents(prepared, items, places)
  const masses = new Float64Array(SEVERITIES.length)
  for (let i = 0; i < weights.length; i++) {
    const at = severityAt[i] as number
    masses[at] = (masses[at] as number) + (weights[i] as number)
  }
  const before = Float64Array.from(masses)
  const suspects = suspectsIn(hypothesis)
  const wordLogs = overCells(items, components, masses, (item) =>
    kept(hypothesis, item, (told) =>
      wordChances(suspects, item.key).map((chances) => meanChance(chances, told)),
    ),
  )
  let severity = 0
  const total = sum(masses)
  for (let i = 0; i < weights.length; i++) {
    const at = severityAt[i] as number
    const mass = before[at] as number
    weights[i] = mass === 0 ? 0 : ((weights[i] as number) * (masses[at] as number)) / mass
    severity += ((weights[i] as number) * (severities[i] as number)) / total
  }
  const itemLogs = logsOfComponents(components, items, weights, total)
  for (let k = 0; k < itemLogs.length; k++) itemLogs[k] = (itemLogs[k] as number) + (wordLogs[k] as number)
  for (let i = 0; i < weights.length; i++) weights[i] = (weights[i] as number) / total
  return {
    hypothesis,
    prior,
    components,
    weights,
    ways: ONE_WAY,
    severity: wordSeverity(hypothesis.suspect, severity),
    itemLogs: itemLogs.map((log) => EVIDENCE_POWER * log),
    log:
      Math.log(prior) + (items.length > 0 ? calibratedLog(hypothesis) : 0) + EVIDENCE_POWER * Math.log(total),
  }
}

/** What a set of components says on its own: electrical suspects that leave the circuit sound share it. */
type OverComponents = {
  readonly log: number
  readonly weights: Float64Array
  readonly itemLogs: Float64Array
}
type SharedWork = Map<Components, OverComponents>

function overComponents(
  prepared: Prepared,
  items: readonly Item[],
  places: readonly (Place | undefined)[],
): OverComponents {
  const weights = weighComponents(prepared, items, places)
  const total = sum(weights)
  const itemLogs = logsOfComponents(prepared.components, items, weights, total)
  return { log: Math.log(total), weights: weights.map((weight) => weight / total), itemLogs }
}

/** A suspect whose words are the same at every degree, over its ways of failing. */
function weighByWays(
  prepared: Prepared,
  items: readonly Item[],
  places: readonly (Place | undefined)[],
  shared: SharedWork,
): Scored {
  const { hypothesis, prior, components } = prepared
  const { suspect } = hypothesis
  const isShared = !items.some(
    (item) => item.type === 'word' && isOfComponents(item, components) && isNamed([suspect], item.key),
  )
  const over = (isShared && shared.get(components)) || overComponents(prepared, items, places)
  if (isShared) shared.set(components, over)
  const masses = Float64Array.from(waysOf(suspect))
  const wordLogs = overCells(items, components, masses, (item) =>
    kept(hypothesis, item, (told) =>
      waysOf(suspect).map((_share, way) => meanChance(fullChances(suspect, item.key, way), told)),
    ),
  )
  const total = sum(masses)
  return {
    hypothesis,
    prior,
    components,
    weights: over.weights,
    ways: masses.map((mass) => mass / total),
    severity: suspect === 'healthy' ? 0 : 1,
    itemLogs: over.itemLogs.map((log, k) => EVIDENCE_POWER * (log + (wordLogs[k] as number))),
    log: Math.log(prior) + EVIDENCE_POWER * (over.log + Math.log(total)),
  }
}

/** The priors moved by kind and history, and made to sum to one again. */
function withHistory(rows: readonly Prepared[], unit: UnitPlate, history: History): Prepared[] {
  const moved = rows.map((row) => ({
    ...row,
    prior: row.prior * priorFactor(row.hypothesis.suspect, unit, history).factor,
  }))
  const total = moved.reduce((sum, { prior }) => sum + prior, 0)
  return withTold(
    moved.map((row) => ({ ...row, prior: row.prior / total })),
    history,
  )
}

/** Never more than this is taken from the others by what was told. */
const MOST_TOLD = 0.9

/** What others found takes its share before any reading here; the rest keep theirs among each other. */
function withTold(rows: readonly Prepared[], history: History): Prepared[] {
  const shareOf = ({ hypothesis: { suspect, also } }: Prepared) =>
    also ? undefined : toldOf(suspect, history)?.share
  const told = rows.filter((row) => shareOf(row) !== undefined)
  if (told.length === 0) return [...rows]
  const asked = told.reduce((sum, row) => sum + (shareOf(row) as number), 0)
  const scale = Math.min(1, MOST_TOLD / asked)
  const before = rows.reduce((sum, row) => sum + (shareOf(row) === undefined ? row.prior : 0), 0)
  const left = 1 - scale * asked
  return rows.map((row) => {
    const share = shareOf(row)
    return { ...row, prior: share === undefined ? (row.prior * left) / before : scale * share }
  })
}

/** The hypotheses of a unit before any evidence, moved by its kind and history. */
export const hypothesesBefore = (unit: UnitPlate, mode: Mode, history: History): readonly Prepared[] =>
  withHistory(prepare(unit, mode), unit, history)

/**
 * Ranks hypotheses by Bayes' rule; each is integrated over its components (signs at ten severities, simulated cases)
 * and over its ways of failing. Missing evidence does not count. The probabilities sum to one; the most probable comes first.
 */
export function rankRows(
  rows: readonly Prepared[],
  unit: UnitPlate,
  mode: Mode,
  items: readonly Item[],
): Ranked[] {
  const places = items.map((item) => (item.type === 'feature' ? placeOf(item, unit, mode) : undefined))
  const shared: SharedWork = new Map()
  const weighed = rows.map((row) =>
    row.hypothesis.also === undefined && hasFlatWords(row.hypothesis.suspect)
      ? weighByWays(row, items, places, shared)
      : weighByDegree(row, items, places),
  )
  const probabilities = normaliseLogs(weighed.map(({ log }) => log))
  return weighed
    .map((row, i) => ({ ...row, probability: probabilities[i] as number }))
    .sort((a, b) => b.probability - a.probability)
}
