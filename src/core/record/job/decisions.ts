import { type AlsoId, type Decision, UNNAMED } from '../records/decision'
import type { Job } from './job'

type Decided = Pick<Job, 'decisions'>

/** The decision on a fault in this round, or what was noted for it. */
export const decisionOn = (job: Decided, fault: string): Decision | undefined =>
  job.decisions.find((each) => each.fault === fault)

/** Notes that name no fault, from before several faults could be decided. */
export const unnamedNotes = (job: Decided): Decision | undefined =>
  job.decisions.find(({ id, fault }) => fault === undefined && (id === UNNAMED || id.endsWith(`.${UNNAMED}`)))

/** The faults decided in this round, in the order in which they were decided. */
export const decided = (job: Decided): (Decision & { readonly fault: string })[] =>
  job.decisions.filter(
    (each): each is Decision & { fault: string } => each.state === 'decided' && each.fault !== undefined,
  )

/** What is also replaced while the circuit is open, without a fault of its own. */
export const alsoReplaced = (job: Decided): AlsoId[] =>
  job.decisions.flatMap(({ also }) => (also === undefined ? [] : [also]))

/** A verdict of somebody else that is to be checked: named, not decided. */
export const toCheck = (job: Decided): (Decision & { readonly fault: string })[] =>
  job.decisions.filter(
    (each): each is Decision & { fault: string } =>
      each.state === 'draft' && each.shown !== undefined && each.fault !== undefined,
  )

export const isDecided = (job: Decided): boolean =>
  job.decisions.some(({ state, also }) => state === 'decided' && also === undefined)

/** [practice] fewer letters than this are no reason. */
const LEAST_REASON = 8

/** Whether a text says why: some letters, not a blank or a dot. */
export const isReason = (text: string | undefined): boolean =>
  (text?.match(/\p{L}/gu)?.length ?? 0) >= LEAST_REASON

/** The cause that stands for "not known". */
export const UNKNOWN_CAUSE = 'unknown'
