import { dateIn } from '../base/units/siteTime'
import { isSuspect, suspectLabel } from '../diagnosis/faults/faults'
import { decided } from '../record/job/decisions'
import type { Job } from '../record/job/job'
import { roundsOf } from '../record/job/rounds'
import { roundOf } from '../record/records/kinds'
import type { Round, RoundReason } from '../record/records/round'

export const REASON_NAMES: Readonly<Record<RoundReason, string>> = {
  first: 'First repair',
  found: 'Found during the work or later',
  return: 'Return visit',
}

/** What was decided in a round, in a few words. */
function roundFaults(job: Job, round: string): string {
  const all = [...job.decisions, ...(job.others?.decisions ?? [])]
  const own = decided({ decisions: all.filter((each) => roundOf(each) === round) })
  return own.map(({ fault }) => (isSuspect(fault) ? suspectLabel(fault) : fault)).join('; ')
}

/** "4 May, expansion valve underfeeding", "4 May, nothing decided yet". */
export function roundName(job: Job, { id, at }: Round): string {
  const day = at ? `${dateIn(at, job.unit.site?.zone)}, ` : ''
  const faults = roundFaults(job, id)
  return `${day}${faults ? faults.charAt(0).toLowerCase() + faults.slice(1) : 'nothing decided yet'}`
}

/** The rounds of a job, the first one first. */
export const jobRounds = (job: Job): Round[] => roundsOf(job)
