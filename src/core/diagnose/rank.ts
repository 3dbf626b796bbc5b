import { logSumExp, normaliseLogs } from '../numeric/logSum'
import type { UnitPlate } from '../job/unit'
import { faultsOf } from './applies'
import { faultRow, HEALTHY_PRIOR, type SuspectId, UNLISTED_PRIOR } from './faults'
import { type Item, logItem, SEVERITIES, signatureOf } from './likelihood'

/** A suspect with everything the ranking knows of it. */
export type Ranked = {
  readonly suspect: SuspectId
  /** share before any evidence */
  readonly prior: number
  readonly probability: number
  /** share of the belief in this suspect at each of SEVERITIES */
  readonly severityShares: readonly number[]
  /** mean severity, 0 to 1; 0 for the suspects that have none */
  readonly severity: number
  /** log likelihood of each item at each severity: [item][severity] */
  readonly table: readonly (readonly number[])[]
}

const prior = (suspect: SuspectId) =>
  suspect === 'healthy' ? HEALTHY_PRIOR : suspect === 'unlisted' ? UNLISTED_PRIOR : faultRow(suspect).prior

/** The suspects of a unit, each with its prior as a share of one. */
export function priors(unit: UnitPlate): { suspect: SuspectId; share: number }[] {
  const suspects: SuspectId[] = ['healthy', ...faultsOf(unit), 'unlisted']
  const total = suspects.reduce((sum, suspect) => sum + prior(suspect), 0)
  return suspects.map((suspect) => ({ suspect, share: prior(suspect) / total }))
}

/**
 * Ranks the suspects by Bayes' rule; each fault's likelihood is integrated over severity.
 * Missing evidence does not count. The probabilities sum to one.
 */
export function rank(unit: UnitPlate, items: readonly Item[]): Ranked[] {
  const rows = priors(unit).map(({ suspect, share }) => {
    const signature = signatureOf(suspect, unit)
    const severities = signature ? SEVERITIES : [0]
    const table = items.map((item) => logItem(item, suspect, signature))
    const bySeverity = severities.map((_s, i) => table.reduce((sum, row) => sum + (row[i] as number), 0))
    const severityShares = normaliseLogs(bySeverity)
    const severity = severityShares.reduce((sum, weight, i) => sum + weight * (severities[i] as number), 0)
    const log = Math.log(share) + logSumExp(bySeverity) - Math.log(severities.length)
    return { suspect, prior: share, table, severityShares, severity, log }
  })
  const probabilities = normaliseLogs(rows.map((row) => row.log))
  return rows
    .map(({ suspect, prior: share, table, severityShares, severity }, i) => ({
      suspect,
      prior: share,
      table,
      severityShares,
      severity,
      probability: probabilities[i] as number,
    }))
    .sort((a, b) => b.probability - a.probability)
}
