import type { Draft } from 'immer'
import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import type { Job } from '../job/job'
import { isUntouched, roundLookedAt } from '../job/rounds'
import type { Round, RoundReason } from '../records/round'
import { type Edit, edit, put } from './edit'

/** Changes the record of the round that is looked at; the first one is written down with its first word. */
function changeRound(job: Draft<Job>, change: (round: Draft<Round>) => void): void {
  const known = job.rounds.find(({ id }) => id === job.round)
  const round = known ?? { ...roundLookedAt(job as Job) }
  change(round)
  if (!known) job.rounds.push(round)
}

/** Closes the round, or opens it again. @param at undefined while it is not over */
export const closeRound = (job: Draft<Job>, at: string | undefined): void =>
  changeRound(job, (round) => put(round, 'closedAt', at))

/** What goes into the circuit in this round. */
export const putRefrigerant = (job: Draft<Job>, refrigerant: RefrigerantName): void =>
  changeRound(job, (round) => {
    round.refrigerant = refrigerant
  })

/** Begins another repair of the same circuit. @param id that no round has; one that is there already stays as it is */
export const beginRound = (id: string, why: Exclude<RoundReason, 'first'>): Edit =>
  edit((job, { now }) => {
    if (job.rounds.every((each) => each.id !== id)) job.rounds.push({ id, at: now, why })
  })

/** Why this round began. */
export const setRoundReason = (why: RoundReason): Edit =>
  edit((job) => changeRound(job, (round) => void (round.why = why)))

/** Takes the round that is looked at away while nothing stands in it. */
export const dropRound: Edit = edit((job) => {
  if (isUntouched(job as Job)) job.rounds = job.rounds.filter(({ id }) => id !== job.round)
})
