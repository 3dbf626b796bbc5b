import { causeRow, isCause } from '@/core/diagnosis/proof/causes'
import { standingOf } from '@/core/diagnosis/proof/decision'
import { suspectLabel } from '@/core/diagnosis/faults/faults'
import type { Job } from '@/core/record/job/job'

/** What was decided, and on what: a part is called condemned only behind its open gate or a written reason. */
export function decidedText(job: Job): string | undefined {
  const standing = standingOf(job)
  if (!standing) return undefined
  const label = suspectLabel(standing.fault)
  const part = (standing.gate?.part ?? '').replace(/-/g, ' ')
  switch (standing.state) {
    case 'no-gate':
      return label
    case 'proven':
      return `${label}. The ${part} is condemned: every point of its proof is on record.`
    case 'overridden':
      return `${label}. The ${part} is condemned without full proof; not on record: ${missing(standing.gate)}.`
    case 'not-proven':
      return `${label}: suspected, not proven. Not on record: ${missing(standing.gate)}.`
  }
}

const missing = (gate: { readonly missing: readonly { readonly label: string }[] } | undefined) =>
  (gate?.missing ?? []).map(({ label }) => label.charAt(0).toLowerCase() + label.slice(1)).join('; ')

/** Why the compressor died, as chosen, or that it is unknown with the checks that were made. */
export function causesText({ decision }: Job): string | undefined {
  const causes = decision?.causes ?? []
  if (causes.includes('unknown')) {
    return `Unknown. Checks made: ${decision?.causesChecked ?? 'none listed'}`
  }
  const labels = causes.filter(isCause).map((id) => causeRow(id).label)
  return labels.length > 0 ? labels.join('; ') : undefined
}
