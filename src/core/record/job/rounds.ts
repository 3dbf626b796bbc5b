import { BY_ROUND, LISTS, ONLY_ID, roundOf, SINGLES, type SingleKind } from '../records/kinds'
import type { Round } from '../records/round'
import { LAST_TASK } from './lastTask'
import { latestPass } from './passes'
import type { Job, JobDocument, OtherRounds, StoredDocument, StoredJob } from './job'

type RoundList = (typeof BY_ROUND)[number]
type Tagged = { readonly round?: string | undefined }

/** The first round has a record only where something is to be said of it. */
const firstRound = ({ createdAt }: Pick<JobDocument, 'createdAt'>): Round => ({
  id: ONLY_ID,
  why: 'first',
  ...(createdAt ? { at: createdAt } : {}),
})

/** All rounds of a job, the first one first; each later one in the order in which it began. */
export function roundsOf(job: Pick<JobDocument, 'rounds' | 'createdAt'>): Round[] {
  const first = job.rounds.find(({ id }) => id === ONLY_ID)
  const later = job.rounds
    .filter(({ id }) => id !== ONLY_ID)
    .sort((a, b) => Date.parse(a.at ?? '') - Date.parse(b.at ?? '') || (a.id < b.id ? -1 : 1))
  return [{ ...firstRound(job), ...first }, ...later]
}

/** The round that is worked on: the last that began. */
const currentRound = (job: Pick<JobDocument, 'rounds' | 'createdAt'>): string => roundsOf(job).at(-1)!.id

/** A list parted by round; the same list where all of it belongs to one. */
function parted<T extends Tagged>(list: T[], round: string): readonly [own: T[], others: T[]] {
  const own = list.filter((each) => roundOf(each) === round)
  if (own.length === list.length) return [list, []]
  return [own, list.filter((each) => roundOf(each) !== round)]
}

/** A job as one round sees it. @param round the last that began where not given, or where it is not there any more */
export function viewOf(document: StoredDocument, round?: string): StoredJob
export function viewOf(document: JobDocument, round?: string): Job
export function viewOf(document: JobDocument, wanted?: string): Job {
  const round =
    wanted !== undefined && roundsOf(document).some(({ id }) => id === wanted)
      ? wanted
      : currentRound(document)
  const lists = { ...document } as Record<string, unknown>
  const others: Record<string, unknown> = {}
  for (const list of BY_ROUND) [lists[list], others[list]] = parted(document[list] as Tagged[], round)
  for (const kind of SINGLES) {
    const { list } = LISTS[kind]
    const [own, rest] = parted(document[list] as Tagged[], round)
    delete lists[list]
    if (own[0]) lists[kind] = own[0]
    others[list] = rest
  }
  const isAlone = Object.values(others).every((each) => (each as unknown[]).length === 0)
  return { ...lists, round, ...(isAlone ? {} : { others }) } as Job
}

const holdsSomething = (data: object) =>
  Object.entries(data).some(([key, value]) => key !== 'round' && value !== undefined)

/** What was made in a round says so; that of the first carries no word. */
const tagged = <T extends Tagged>(data: T, round: string): T =>
  round === ONLY_ID || data.round !== undefined ? data : { ...data, round }

/** The records of a list, of this round and of the others. */
const joined = <T extends Tagged>(own: T[], others: T[] | undefined, round: string): T[] => {
  const all = own.some((each) => tagged(each, round) !== each) ? own.map((each) => tagged(each, round)) : own
  return others && others.length > 0 ? [...others, ...all] : all
}

/** The whole document of which a job is a view; a record in which nothing is left goes. */
export function documentOf(job: StoredJob): StoredDocument
export function documentOf(job: Job): JobDocument
export function documentOf(job: Job): JobDocument {
  const { round, others, ...rest } = job
  const lists = { ...rest } as Record<string, unknown>
  const other = (list: keyof OtherRounds) => others?.[list] as Tagged[] | undefined
  for (const list of BY_ROUND) lists[list] = joined(job[list as RoundList] as Tagged[], other(list), round)
  for (const kind of SINGLES) {
    const { list } = LISTS[kind as SingleKind]
    const own = job[kind]
    delete lists[kind]
    lists[list] = joined(own && holdsSomething(own) ? [own as Tagged] : [], other(list), round)
  }
  return lists as JobDocument
}

/** The round that is looked at. */
export const roundLookedAt = (job: Pick<Job, 'rounds' | 'createdAt' | 'round'>): Round =>
  roundsOf(job).find(({ id }) => id === job.round) ?? firstRound(job)

/** Whether nothing stands in the round yet, so that it can go: the first one never does. */
export const isUntouched = (job: Job): boolean =>
  job.round !== ONLY_ID &&
  BY_ROUND.every((list) => job[list].length === 0) &&
  SINGLES.every((kind) => job[kind] === undefined) &&
  job.readingSets.every((set) => roundOf(set) !== job.round)

/** Whether a repair is over: its last step is done, or it was closed in another way. What is decided later is another one. */
export const isRoundOver = (job: Job): boolean =>
  roundLookedAt(job).closedAt !== undefined ||
  job.closing?.proven !== undefined ||
  latestPass(job.steps, LAST_TASK)?.doneAt !== undefined
