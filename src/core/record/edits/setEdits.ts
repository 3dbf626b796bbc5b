import { OrzoError } from '../../base/errors/orzoError'
import { firstMode } from '../job/begin'
import { tagOf } from '../job/idInRound'
import type { Job } from '../job/job'
import { isDecided } from '../job/decisions'
import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import { mainMode } from '../equipment/kinds'
import type { Mode } from '../readings/schema'
import type { JobSet } from '../records/set'
import { carriedOver } from './carry'
import { type Edit, edit, put, type Stamp } from './edit'

/** Which set of a job is meant; undefined: the last one, or the first where there is none yet. */
export type SetRef = string | undefined

const firstSet = (job: Job, { now, newId }: Stamp): JobSet => ({
  id: newId(),
  ...tagOf(job.round),
  at: now,
  label: 'as found',
  mode: firstMode(job),
  readings: {},
})

/**
 * Changes one set of a job; the first change to a job without sets makes its first set.
 * @throws OrzoError no-reading-set for a set that is not there any more
 */
export const editSet = (setId: SetRef, change: (set: JobSet, stamp: Stamp) => void): Edit =>
  edit((job, stamp) => {
    if (job.readingSets.length === 0 && setId === undefined) job.readingSets.push(firstSet(job as Job, stamp))
    const set = setId === undefined ? job.readingSets.at(-1) : job.readingSets.find(({ id }) => id === setId)
    if (!set) {
      throw new OrzoError(
        'no-reading-set',
        'this reading set was removed in another window: choose another set and enter it there.',
      )
    }
    change(set as JobSet, stamp)
  })

/** Label of the next set: after a decided repair it is the proof. */
const nextLabel = (job: Job) => (isDecided(job) ? 'after repair' : `set ${job.readingSets.length + 1}`)

/** The mode of the next set: that of the last one; after the start that in which the unit ran last, or runs mainly. */
function nextMode({ readingSets, unit, arrival, repair }: Job): Mode {
  if (repair?.startedAt === undefined) return readingSets.at(-1)?.mode ?? firstMode({ unit, arrival })
  return readingSets.findLast(({ mode }) => mode !== 'off')?.mode ?? mainMode(unit)
}

/** Starts a new set; what does not change on its own goes along. */
export const addSet = (id: string): Edit =>
  edit((draft, stamp) => {
    const job = draft as Job
    const mode = nextMode(job)
    const next: JobSet = { id, ...tagOf(job.round), at: stamp.now, label: '', mode, ...carriedOver(job) }
    if (job.readingSets.length === 0) job.readingSets.push(firstSet(job, stamp))
    job.readingSets.push({ ...next, label: nextLabel(job) })
  })

/** Takes a set out; undo brings it back. */
export const removeSet = (setId: string): Edit =>
  edit((job) => {
    job.readingSets = job.readingSets.filter(({ id }) => id !== setId)
  })

/** The mode in which the unit stands or runs. */
export const setMode = (setId: SetRef, mode: Mode): Edit => editSet(setId, (set) => void (set.mode = mode))

/** Name of a set; an empty one takes it away. */
export const setLabel = (setId: SetRef, label: string): Edit =>
  editSet(setId, (set) => put(set, 'label', label || undefined))

/** What was different from the set before. */
export const setNote = (setId: SetRef, note: string): Edit =>
  editSet(setId, (set) => put(set, 'note', note || undefined))

/** What was inside when a set was taken, where the technician knows better; undefined: what was charged until then. */
export const setRefrigerant = (setId: SetRef, refrigerant: RefrigerantName | undefined): Edit =>
  editSet(setId, (set) => put(set, 'refrigerant', refrigerant))

/** Which evaporator of several on one circuit it belongs to; undefined for the whole circuit. */
export const setBranch = (setId: SetRef, branch: number | undefined): Edit =>
  editSet(setId, (set) => put(set, 'branch', branch))

/** The conditions changed under the set now: what was read before is stale. */
export const markConditionsChanged = (setId: SetRef): Edit =>
  editSet(setId, (set, { now }) => void (set.changedAt = now))
