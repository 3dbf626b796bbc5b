import { causeRow, isCause } from '../diagnosis/proof/causes'
import { format } from 'date-fns'
import type { Shown, ShownHow } from '../record/records/decision'
import type { DecisionState } from '../diagnosis/proof/decisionState'
import { suspectLabel } from '../diagnosis/faults/faults'
import { UNKNOWN_CAUSE, unnamedNotes } from '../record/job/decisions'
import type { Job } from '../record/job/job'

/** What was decided on one fault, and on what: a part is called condemned only behind its open gate or a written reason. */
export function decidedText({ fault, gate, state, decision }: DecisionState): string {
  const label = suspectLabel(fault)
  const part = (gate?.part ?? '').replace(/-/g, ' ')
  switch (state) {
    case 'no-gate':
      return decision.shown ? `${label}. ${shownText(decision.shown)}.` : label
    case 'proven':
      return `${label}. The ${part} is condemned: every point of its proof is on record.`
    case 'overridden':
      return `${label}. The ${part} is condemned without full proof; not on record: ${missing(gate)}.`
    case 'shown':
      return `${label}. ${shownText(decision.shown)}, not proven here. Not on record: ${missing(gate)}.`
    case 'not-proven':
      return `${label}: suspected, not proven. Not on record: ${missing(gate)}.`
  }
}

const HOW: Readonly<Record<ShownHow, string>> = {
  seen: 'Seen',
  'earlier-visit': 'Measured on an earlier visit',
  'another-firm': 'Condemned by another firm',
}

/** Who showed a fault, how and when: "Measured on an earlier visit (night shift, 12 Nov 2026)". */
export function shownText(shown: Shown | undefined): string {
  if (!shown) return ''
  const { how, who, on, what } = shown
  const when = on && format(new Date(`${on}T12:00:00`), 'd MMM yyyy')
  const by = [who, when].filter(Boolean).join(', ')
  return `${HOW[how]}${by ? ` (${by})` : ''}${what ? `: ${what}` : ''}`
}

const missing = (gate: DecisionState['gate']) =>
  (gate?.missing ?? []).map(({ label }) => label.charAt(0).toLowerCase() + label.slice(1)).join('; ')

/** Reasons for going on without full proof, each with its fault where several were decided. */
export function overrideTexts(decisionStates: readonly DecisionState[]): string[] {
  const given = decisionStates.filter(({ state }) => state === 'overridden')
  return given.map(({ fault, decision }) =>
    decisionStates.length > 1
      ? `${suspectLabel(fault)}: ${decision.override}`
      : (decision.override as string),
  )
}

/** Why the compressor died, as chosen, or that it is unknown with the checks that were made. */
export function causesText(job: Pick<Job, 'decisions'>): string | undefined {
  const noted = job.decisions.find(({ state, causes }) => state === 'decided' && causes) ?? unnamedNotes(job)
  const causes = noted?.causes ?? []
  if (causes.includes(UNKNOWN_CAUSE)) return `Unknown. Checks made: ${noted?.causesChecked ?? 'none listed'}`
  const labels = causes.filter(isCause).map((id) => causeRow(id).label)
  return labels.length > 0 ? labels.join('; ') : undefined
}
