import type { UnitPlate } from '../../record/equipment/unit'
import type { Mode } from '../../record/readings/schema'
import { bookOf, type CaseBook, type Cases } from './cases/caseBook'
import type { WordKey } from '../evidence/wordKey'
import type { Signature } from '../faults/fault'
import { FEATURE_KEYS, type FeatureKey } from '../evidence/features'
import { expectation, signatureOf } from './handbookSigns'
import { PAIR_SHARE, pairId, type PairId, PAIRS } from '../faults/pairs'
import { circuitFaultsOf, electricalFaultsOf } from '../faults/applies'
import {
  type CircuitFaultId,
  type ElectricalFaultId,
  type FaultId,
  faultRow,
  hasDegree,
  HEALTHY_PRIOR,
  isElectrical,
  type SuspectId,
  UNLISTED_PRIOR,
} from '../faults/faults'
import { SEVERITIES, severityIndex } from './wordChances'

/** What a suspect is made of: one fault, two at once, a sound circuit, or something not in the list. */
export type Hypothesis = {
  readonly id: SuspectId | PairId
  readonly suspect: SuspectId
  /** the second fault of a pair */
  readonly also?: CircuitFaultId
  /** relative frequency before any evidence */
  readonly weight: number
}

/**
 * Ways in which a suspect may show itself: the handbook's signs at ten severities, and simulated cases. Each expects a
 * centre and a spread of every feature, in half widths of its band where all conditions are known.
 */
export type Components = {
  readonly count: number
  /** shares that sum to one */
  readonly shares: Float64Array
  readonly severities: Float64Array
  /** index of each severity among those of the word tables */
  readonly severityAt: Uint8Array
  /** [component x features] */
  readonly centres: Float64Array
  readonly spreads: Float64Array
  /** word each case saw in the circuit, by index; -1 where the component has none */
  readonly frostPattern: Int16Array
  readonly sightGlass: Int16Array
}

/** [practice] how far the handbook's signs alone are trusted where simulated cases exist. */
const HANDBOOK_SHARE = 0.12
/** A real unit differs from the simulated circuit, in half widths, and as a share of the shift. */
const MODEL_SPREAD = 0.4
const SHIFT_SPREAD = 0.15
/** Of sound units there are four times as many cases: each stands for what is nearer to it. */
const SOUND_NEARNESS = 0.75
/** [practice] a sound unit of a make that no model knows still lies within its bands, each quantity for itself. */
const SOUND_SIGNS_SHARE = 0.3
/** A case without the feature says nothing about it. */
const BLANK_SPREAD = 2.5
/** How warm a space is follows from the fault in one case alone; elsewhere it is chance, the same under every suspect. */
const OF_HIGH_LOAD: FeatureKey = 'spaceTemp'
const SPACE_SPREAD = 0.8
/** Features that a model knows better: saturation at rest is exact [physics]. */
const OWN_SPREADS: { readonly [K in FeatureKey]?: number } = { standingOverAmbient: 0.2 }
const MODEL_SPREADS = FEATURE_KEYS.map((key) => OWN_SPREADS[key] ?? MODEL_SPREAD)
const isChance = (suspect: SuspectId, key: FeatureKey) => key === OF_HIGH_LOAD && suspect !== 'high-load'

export const FEATURE_COUNT = FEATURE_KEYS.length
const ONLY_FULL: readonly number[] = [1]
const NO_DEGREE: readonly number[] = [0]

function severitiesOf(suspect: SuspectId): readonly number[] {
  if (suspect === 'healthy' || suspect === 'unlisted') return NO_DEGREE
  return hasDegree(suspect) ? SEVERITIES : ONLY_FULL
}

type Draft = {
  shares: number[]
  severities: number[]
  centres: number[]
  spreads: number[]
  frostPattern: number[]
  sightGlass: number[]
}

/** The handbook's signs, one component a severity. */
function addSigns(draft: Draft, suspect: SuspectId, signature: Signature | undefined, share: number): void {
  const severities = severitiesOf(suspect)
  for (const severity of severities) {
    draft.shares.push(share / severities.length)
    draft.severities.push(severity)
    draft.frostPattern.push(-1)
    draft.sightGlass.push(-1)
    for (const key of FEATURE_KEYS) {
      const { centre, spread } = isChance(suspect, key)
        ? { centre: 0, spread: SPACE_SPREAD }
        : expectation(suspect, signature, key, severity)
      draft.centres.push(centre)
      draft.spreads.push(spread)
    }
  }
}

/** Simulated cases, one component each. */
function addCases(draft: Draft, suspect: SuspectId, book: CaseBook, cases: Cases, share: number): void {
  const columns = FEATURE_KEYS.map((key) => book.features.indexOf(key))
  const chance = FEATURE_KEYS.map((key) => isChance(suspect, key))
  const nearness = shownBy(suspect) === 'healthy' ? SOUND_NEARNESS : 1
  for (let i = 0; i < cases.count; i++) {
    draft.shares.push(share / cases.count)
    draft.severities.push(cases.severities[i] as number)
    draft.frostPattern.push(cases.frostPattern[i] as number)
    draft.sightGlass.push(cases.sightGlass[i] as number)
    for (const [k, column] of columns.entries()) {
      if (chance[k]) {
        draft.centres.push(0)
        draft.spreads.push(SPACE_SPREAD)
        continue
      }
      const centre = column === -1 ? NaN : (cases.deviations[i * book.features.length + column] as number)
      const known = !Number.isNaN(centre)
      draft.centres.push(known ? centre : 0)
      const own = nearness * (MODEL_SPREADS[k] as number)
      draft.spreads.push(known ? Math.hypot(own, SHIFT_SPREAD * centre) : BLANK_SPREAD)
    }
  }
}

const finished = (draft: Draft): Components => ({
  count: draft.shares.length,
  shares: Float64Array.from(draft.shares),
  severities: Float64Array.from(draft.severities),
  severityAt: Uint8Array.from(draft.severities, severityIndex),
  centres: Float64Array.from(draft.centres),
  spreads: Float64Array.from(draft.spreads),
  frostPattern: Int16Array.from(draft.frostPattern),
  sightGlass: Int16Array.from(draft.sightGlass),
})

/** Electrical faults leave the circuit sound, but for those that leave the reversing valve in the other mode. */
const OTHER_MODE: readonly SuspectId[] = ['rv-coil-failed', 'rv-control-voltage-fault']

/** Whose readings a single suspect shows: its own, or those of the fault that it cannot be told from by readings. */
function shownBy(suspect: SuspectId): SuspectId {
  if (suspect === 'healthy' || suspect === 'unlisted' || OTHER_MODE.includes(suspect)) return suspect
  if (isElectrical(suspect)) return 'healthy'
  return (faultRow(suspect).showsAs as SuspectId | undefined) ?? suspect
}

/** Whether a hypothesis leaves the circuit as a sound one shows it. */
export const leavesCircuitSound = ({ suspect, also }: Hypothesis) => !also && shownBy(suspect) === 'healthy'

/** [practice] of leaks, how many have emptied the circuit so far as a melted plug does: its cases show them as well. */
const DEEP_LEAK_SHARE = 0.25
const DEEP_LEAK: SuspectId = 'relief-plug-melted'

/** Cases that a hypothesis shares with another, deeper one. */
function deeperCasesOf(book: CaseBook | undefined, { suspect, also }: Hypothesis): Cases | undefined {
  return !also && shownBy(suspect) === 'undercharge' ? book?.suspects.get(DEEP_LEAK) : undefined
}

/** Which cases of a book show a hypothesis. */
function casesOf(book: CaseBook | undefined, { id, suspect, also }: Hypothesis): Cases | undefined {
  if (!book) return undefined
  if (also) return book.suspects.get(id)
  if (OTHER_MODE.includes(suspect)) return book.suspects.get('wrong-mode')
  return book.suspects.get(shownBy(suspect)) ?? book.suspects.get(suspect)
}

function build(unit: UnitPlate, book: CaseBook | undefined, hypothesis: Hypothesis): Components {
  const draft: Draft = {
    shares: [],
    severities: [],
    centres: [],
    spreads: [],
    frostPattern: [],
    sightGlass: [],
  }
  const { suspect, also } = hypothesis
  const cases = casesOf(book, hypothesis)
  const shown = leavesCircuitSound(hypothesis) ? 'healthy' : suspect
  const hasSigns =
    !also && (shown === 'healthy' || shown === 'unlisted' || signatureOf(shown, unit) !== undefined)
  const signs = shown === 'healthy' ? SOUND_SIGNS_SHARE : HANDBOOK_SHARE
  const signsShare = cases ? (hasSigns ? signs : 0) : 1
  if (signsShare > 0) addSigns(draft, shown, signatureOf(shown, unit), signsShare)
  const deeper = deeperCasesOf(book, hypothesis)
  const deepShare = cases && deeper ? DEEP_LEAK_SHARE * (1 - signsShare) : 0
  if (cases) addCases(draft, suspect, book as CaseBook, cases, 1 - signsShare - deepShare)
  if (deeper && deepShare > 0) addCases(draft, suspect, book as CaseBook, deeper, deepShare)
  return finished(draft)
}

/** A suspect ready to be weighed against evidence. */
export type Prepared = {
  readonly hypothesis: Hypothesis
  readonly prior: number
  readonly components: Components
}

const weightOf = (suspect: SuspectId): number =>
  suspect === 'healthy' ? HEALTHY_PRIOR : suspect === 'unlisted' ? UNLISTED_PRIOR : faultRow(suspect).prior

/** Every hypothesis that this unit can have in this mode. */
export function hypothesesOf(unit: UnitPlate, mode: Mode): Hypothesis[] {
  const circuit = circuitFaultsOf(unit, mode)
  const electrical: ElectricalFaultId[] = electricalFaultsOf(unit, mode)
  const single: SuspectId[] = ['healthy', ...circuit, ...electrical, 'unlisted']
  const pairs = PAIRS.filter((pair) => pair.every((fault) => circuit.includes(fault))).map(
    ([first, second]): Hypothesis => ({
      id: pairId(first, second),
      suspect: first,
      also: second,
      weight: PAIR_SHARE * Math.min(weightOf(first), weightOf(second)),
    }),
  )
  return [...single.map((suspect) => ({ id: suspect, suspect, weight: weightOf(suspect) })), ...pairs]
}

/** What the plate says that changes the components: a key for what was prepared before. */
const nameOf = (unit: UnitPlate, mode: Mode, book: CaseBook | undefined): string =>
  [
    mode,
    unit.kind,
    unit.metering,
    unit.heatRejection,
    unit.receiver,
    unit.headPressureControl,
    unit.power?.phase,
    book?.unitClass,
  ].join('/')

const prepared = new Map<string, { book: CaseBook | undefined; rows: readonly Prepared[] }>()

/**
 * The hypotheses of a unit with their components and priors; prepared once for each kind of unit.
 * @throws OrzoError not-loaded when loadCaseBooks was not awaited before
 */
export function prepare(unit: UnitPlate, mode: Mode): readonly Prepared[] {
  const book = bookOf(unit, mode)
  const name = nameOf(unit, mode, book)
  const known = prepared.get(name)
  if (known && known.book === book) return known.rows
  const hypotheses = hypothesesOf(unit, mode)
  const total = hypotheses.reduce((sum, { weight }) => sum + weight, 0)
  const sound = build(unit, book, hypotheses[0] as Hypothesis)
  const rows = hypotheses.map((hypothesis) => ({
    hypothesis,
    prior: hypothesis.weight / total,
    components: leavesCircuitSound(hypothesis) ? sound : build(unit, book, hypothesis),
  }))
  prepared.set(name, { book, rows })
  return rows
}

/** Half width of a feature's band where all conditions are known, SI; undefined where the book has none. */
export function knownTolerance(unit: UnitPlate, mode: Mode, key: FeatureKey): number | undefined {
  const book = bookOf(unit, mode)
  const at = book?.features.indexOf(key) ?? -1
  return at === -1 ? undefined : book?.tolerances[at]
}

export const featureIndex = new Map(FEATURE_KEYS.map((key, i) => [key, i] as const))

/** Index of the word that each case saw itself; undefined for words that come from the fault table alone. */
export const caseWords = (components: Components, key: WordKey): Int16Array | undefined =>
  key === 'frostPattern' || key === 'sightGlass' ? components[key] : undefined

export const faultsIn = ({ suspect, also }: Hypothesis): readonly FaultId[] =>
  suspect === 'healthy' || suspect === 'unlisted' ? [] : also ? [suspect, also] : [suspect]

const joined = <T extends Float64Array | Uint8Array | Int16Array>(first: T, second: T): T => {
  const both = new (first.constructor as new (length: number) => T)(first.length + second.length)
  both.set(first)
  both.set(second, first.length)
  return both
}

/** Two sets of components as one. @param share of the first */
export const mixComponents = (first: Components, second: Components, share: number): Components => ({
  count: first.count + second.count,
  shares: joined(
    first.shares.map((each) => each * share),
    second.shares.map((each) => each * (1 - share)),
  ),
  severities: joined(first.severities, second.severities),
  severityAt: joined(first.severityAt, second.severityAt),
  centres: joined(first.centres, second.centres),
  spreads: joined(first.spreads, second.spreads),
  frostPattern: joined(first.frostPattern, second.frostPattern),
  sightGlass: joined(first.sightGlass, second.sightGlass),
})
