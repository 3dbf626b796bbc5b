import { siteAtmosphere } from '../job/circumstances'
import type { UnitPlate } from '../job/unit'
import { derive, type Derived } from '../readings/derive'
import { findFlags, type Flag } from '../readings/flags'
import type { ReadingSet } from '../readings/schema'
import { type Measured, type Snapshot, takeSnapshot } from '../readings/snapshot'
import type { ReadingKey } from '../readings/vocabulary'
import { findTargets } from '../targets/findTargets'
import { coverage } from '../targets/profiles'
import type { Target, Targets } from '../targets/target'
import { DEFAULT_DISPLAY, type Display } from '../units/show'
import { contributions, type ItemLogs, itemLogs } from './evidence'
import { FEATURE_KEYS, type FeatureKey, featureRow } from './features'
import { faultRow, type SuspectId, suspectLabel } from './faults'
import { type Gate, judgeGate } from './gates'
import { type FeatureValue, type Item, itemsOf } from './likelihood'
import { type NextCheck, nextChecks } from './nextCheck'
import { rank, type Ranked } from './rank'
import { featureSentence, observationSentence } from './sentence'

export type Evidence = {
  readonly key: string
  readonly direction: 'for' | 'against'
  /** natural log of the likelihood ratio against the other suspects */
  readonly weight: number
  readonly sentence: string
}

export type Suspect = {
  readonly fault: SuspectId
  readonly label: string
  readonly probability: number
  readonly severity: number
  readonly evidence: readonly Evidence[]
  /** what tells it apart, in the trade's words */
  readonly tell?: string
}

/** A feature that was taken, beside what it should be. */
export type Judged = { readonly measured: Measured; readonly target: Target }

export type Diagnosis = {
  readonly snapshot: Snapshot
  readonly derived: Derived
  readonly targets: Targets
  readonly judged: { readonly [K in FeatureKey]?: Judged }
  readonly flags: readonly Flag[]
  readonly suspects: readonly Suspect[]
  readonly nextChecks: readonly NextCheck[]
  readonly gates: readonly Gate[]
}

/** Evidence weaker than this changes nothing and is not told. */
const LEAST_WEIGHT = 0.05
/** Gates are shown for the parts of suspects at least this probable. */
const GATE_PROBABILITY = 0.1

const isRunning = (snapshot: Snapshot) => (snapshot.observations.compressorState ?? 'running') === 'running'

function judge(
  unit: UnitPlate,
  snapshot: Snapshot,
  derived: Derived,
  targets: Targets,
): { [K in FeatureKey]?: Judged } {
  const out: { [K in FeatureKey]?: Judged } = {}
  for (const key of FEATURE_KEYS) {
    const target = targets[key]
    const measured = featureRow(key).measure(unit, snapshot, derived)
    const usable = isRunning(snapshot) || key === 'standingOverAmbient'
    if (target && measured && usable) out[key] = { measured, target }
  }
  return out
}

function toFeature({ measured, target }: Judged): FeatureValue {
  return {
    deviation: (measured.value - target.value) / target.tolerance,
    error: measured.error / target.tolerance,
  }
}

function sentenceOf(item: Item, judged: Diagnosis['judged'], display: Display): string {
  if (item.type === 'observation') return observationSentence(item.key, item.word)
  const found = judged[item.key]
  if (!found) throw new Error(`${item.key} was ranked but not judged`)
  return featureSentence(item.key, found.measured, found.target, display)
}

function evidenceOf(
  logs: ItemLogs,
  self: Ranked,
  items: readonly Item[],
  judged: Diagnosis['judged'],
  display: Display,
): Evidence[] {
  return contributions(logs, self, items)
    .filter(({ weight }) => Math.abs(weight) >= LEAST_WEIGHT)
    .map(({ item, weight }) => {
      const sentence = sentenceOf(item, judged, display)
      return { key: item.key, direction: weight > 0 ? 'for' : 'against', weight, sentence }
    })
}

const tellOf = (suspect: SuspectId) =>
  suspect === 'healthy' || suspect === 'unlisted' ? {} : { tell: faultRow(suspect).tell }

function circumstanceFlags(unit: UnitPlate, snapshot: Snapshot): Flag[] {
  const covered = coverage(unit, snapshot.mode)
  const flags: Flag[] = covered.covered ? [] : [{ id: 'not-covered', keys: [], sentence: covered.reason }]
  if (!isRunning(snapshot)) {
    flags.push({
      id: 'compressor-not-running',
      keys: [],
      sentence:
        'The compressor does not run: running readings are left out. Lock out, prove dead, and check supply, contactor and windings first.',
    })
  }
  return flags
}

/** Parts that the leading suspects would have condemned. */
function gatesOf(suspects: readonly Suspect[], record: Parameters<typeof judgeGate>[1]): Gate[] {
  const parts = suspects
    .filter(
      ({ fault, probability }) =>
        probability >= GATE_PROBABILITY && fault !== 'healthy' && fault !== 'unlisted',
    )
    .map(({ fault }) => faultRow(fault as Exclude<SuspectId, 'healthy' | 'unlisted'>).part)
  return [...new Set(parts)].flatMap((part) => judgeGate(part, record) ?? [])
}

/**
 * Ranks what may be wrong with a circuit from one reading set.
 * Missing readings do not count; the suspects' probabilities sum to one.
 * @param display units of the sentences; Fahrenheit unless said otherwise
 */
export function diagnose(unit: UnitPlate, set: ReadingSet, display: Display = DEFAULT_DISPLAY): Diagnosis {
  const snapshot = takeSnapshot(set, unit.refrigerant, siteAtmosphere(unit))
  const derived = derive(snapshot)
  const targets = findTargets(unit, snapshot, derived)
  const judged = judge(unit, snapshot, derived, targets)
  const features = Object.fromEntries(
    FEATURE_KEYS.flatMap((key) => (judged[key] ? [[key, toFeature(judged[key])]] : [])),
  ) as { [K in FeatureKey]?: FeatureValue }
  const items = itemsOf(features, snapshot.observations)
  const ranked = rank(unit, items)
  const logs = itemLogs(ranked, items)
  const suspects = ranked.map((row) => ({
    fault: row.suspect,
    label: suspectLabel(row.suspect),
    probability: row.probability,
    severity: row.severity,
    evidence: evidenceOf(logs, row, items, judged, display),
    ...tellOf(row.suspect),
  }))
  const have = new Set(Object.keys(snapshot.values) as ReadingKey[])
  return {
    snapshot,
    derived,
    targets,
    judged,
    flags: [...circumstanceFlags(unit, snapshot), ...findFlags(snapshot, derived)],
    suspects,
    nextChecks: nextChecks(unit, ranked, items, targets, have),
    gates: gatesOf(suspects, { unit, at: snapshot, derived, targets, observations: snapshot.observations }),
  }
}
