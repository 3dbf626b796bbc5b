import type { UnitPlate } from '../job/unit'
import { hasReversingValve } from '../job/reversing'
import { observationRow, type ObservationKey } from '../readings/observations'
import { type ReadingKey, readingRow } from '../readings/vocabulary'
import type { Targets } from '../targets/target'
import { CHECK_IDS, type CheckId, checkRow } from './checks'
import { type FeatureKey, featureRow } from './features'
import type { SuspectId } from './faults'
import { expectation, type Item, logFeature, observationChances, SEVERITIES, signatureOf } from './likelihood'
import type { Ranked } from './rank'

/** What a check may show, and who would then lead the list. */
export type Split = {
  readonly outcome: string
  readonly chance: number
  readonly leads: SuspectId
  readonly probability: number
}

export type NextCheck = {
  readonly check: CheckId
  readonly label: string
  readonly minutes: number
  /** expected information about which suspect it is, bits */
  readonly gain: number
  readonly caution?: string
  /** readings still to be taken for it */
  readonly taps: readonly ReadingKey[]
  readonly splits: readonly Split[]
}

const MOST_CHECKS = 4
/** Suspects below this share do not sway the choice and are left out of the sum. */
const LEAST_PROBABILITY = 0.004
/** Information below this is not worth a walk, bits. */
const LEAST_GAIN = 0.01
/** Deviations at which a feature's answer is tried, tolerances. */
const TRIALS: readonly number[] = Array.from({ length: 31 }, (_v, i) => i - 15)
/** [memory] a typical instrument error as a share of the tolerance. */
const TYPICAL_ERROR = 0.4
const OUTCOME_EDGE = 1.5

type Outcome = { readonly name: string; readonly shares: readonly number[] }

/** Chance of each trial deviation at each severity, [severity][trial]; depends on the fault table alone, so kept. */
const trialChances = new Map<string, readonly (readonly number[])[]>()

function chancesOf(suspect: SuspectId, key: FeatureKey, unit: UnitPlate): readonly (readonly number[])[] {
  const name = `${suspect}/${key}/${unit.metering}`
  const known = trialChances.get(name)
  if (known) return known
  const signature = signatureOf(suspect, unit)
  const rows = SEVERITIES.map((severity) => {
    const expected = expectation(suspect, signature, key, severity)
    const raw = TRIALS.map((deviation) => Math.exp(logFeature({ deviation, error: TYPICAL_ERROR }, expected)))
    const total = raw.reduce((a, b) => a + b, 0)
    return raw.map((value) => value / total)
  })
  trialChances.set(name, rows)
  return rows
}

const nameOf = (deviation: number) =>
  deviation > OUTCOME_EDGE ? 'above' : deviation < -OUTCOME_EDGE ? 'below' : 'in band'

/** Chance of each trial deviation under each suspect, over its severities as believed now. */
function featureOutcomes(key: FeatureKey, ranked: readonly Ranked[], unit: UnitPlate): Outcome[] {
  const rows = ranked.map(({ suspect, severityShares }) => ({
    chances: chancesOf(suspect, key, unit),
    severityShares,
  }))
  return TRIALS.map((deviation, trial) => ({
    name: nameOf(deviation),
    shares: rows.map(({ chances, severityShares }) =>
      severityShares.reduce((sum, share, i) => sum + share * (chances[i]?.[trial] as number), 0),
    ),
  }))
}

function observationOutcomes(key: ObservationKey, ranked: readonly Ranked[]): Outcome[] {
  const rows = ranked.map(({ suspect, severityShares }) => ({
    chances: observationChances(suspect, key),
    severityShares,
  }))
  return observationRow(key).values.map((word) => ({
    name: word,
    shares: rows.map(({ chances, severityShares }) =>
      severityShares.reduce((sum, share, i) => sum + share * (chances[i]?.[word] as number), 0),
    ),
  }))
}

/** Mutual information between the answer and the suspect, bits. */
function information(outcomes: readonly Outcome[], weights: readonly number[]): number {
  let bits = 0
  for (const { shares } of outcomes) {
    const chance = shares.reduce((sum, share, i) => sum + share * (weights[i] as number), 0)
    shares.forEach((share, i) => {
      if (share > 0 && chance > 0) bits += (weights[i] as number) * share * Math.log2(share / chance)
    })
  }
  return bits
}

/** Outcomes of one name put together, with the suspect that would lead. */
function splitsOf(
  outcomes: readonly Outcome[],
  ranked: readonly Ranked[],
  weights: readonly number[],
): Split[] {
  const names = [...new Set(outcomes.map((outcome) => outcome.name))]
  return names
    .map((name) => {
      const joint = weights.map((weight, i) =>
        outcomes.filter((o) => o.name === name).reduce((sum, o) => sum + weight * (o.shares[i] as number), 0),
      )
      const chance = joint.reduce((a, b) => a + b, 0)
      const best = joint.indexOf(Math.max(...joint))
      return {
        outcome: name,
        chance,
        leads: ranked[best]?.suspect ?? 'unlisted',
        probability: (joint[best] ?? 0) / chance,
      }
    })
    .sort((a, b) => b.chance - a.chance)
}

const VALVE_CHECKS: readonly CheckId[] = ['bulbState', 'bulbWarmResponse', 'warmValveResponse']

function possible(id: CheckId, unit: UnitPlate, targets: Targets, taken: ReadonlySet<string>): boolean {
  const { feature, observation } = checkRow(id)
  if (feature) return !taken.has(feature) && targets[feature] !== undefined
  if (observation === undefined || taken.has(observation)) return false
  if (id === 'reversingValveNoise') return hasReversingValve(unit)
  return unit.metering === 'txv' || !VALVE_CHECKS.includes(id)
}

/** [practice] one more tap beside the check's own, minutes. */
const MORE_TAP_MINUTES = 3

/** Time and words of a check, with the readings that are missing beside its own. */
function effortOf(id: CheckId, taps: readonly ReadingKey[]): { label: string; minutes: number } {
  const { label, minutes, covers = 1 } = checkRow(id)
  const more = taps.slice(0, Math.max(taps.length - covers, 0))
  const names = more.map((key) => readingRow(key).label.toLowerCase())
  return {
    label: more.length > 0 ? `${label}, and read ${names.join(' and ')}` : label,
    minutes: minutes + MORE_TAP_MINUTES * more.length,
  }
}

/**
 * The few checks that would tell most about the suspect per minute.
 * @param ranked the present ranking
 * @param items evidence already taken
 * @param haveReadings keys already read, so that only the missing taps are named
 */
export function nextChecks(
  unit: UnitPlate,
  ranked: readonly Ranked[],
  items: readonly Item[],
  targets: Targets,
  haveReadings: ReadonlySet<ReadingKey>,
): NextCheck[] {
  const alive = ranked.filter((row) => row.probability >= LEAST_PROBABILITY)
  const total = alive.reduce((sum, row) => sum + row.probability, 0)
  const weights = alive.map((row) => row.probability / total)
  const taken = new Set<string>(items.map((item) => item.key))
  return CHECK_IDS.filter((id) => possible(id, unit, targets, taken))
    .map((id) => {
      const { caution, feature, observation } = checkRow(id)
      const outcomes = feature
        ? featureOutcomes(feature, alive, unit)
        : observationOutcomes(observation as ObservationKey, alive)
      const taps = feature ? featureRow(feature).needs.filter((key) => !haveReadings.has(key)) : []
      return {
        check: id,
        ...effortOf(id, taps),
        gain: information(outcomes, weights),
        ...(caution === undefined ? {} : { caution }),
        taps,
        splits: splitsOf(outcomes, alive, weights),
      }
    })
    .filter((check) => check.gain >= LEAST_GAIN)
    .sort((a, b) => b.gain / b.minutes - a.gain / a.minutes)
    .slice(0, MOST_CHECKS)
}
