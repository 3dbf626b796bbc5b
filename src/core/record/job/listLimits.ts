import { type ListKind, LISTS, LIST_KINDS } from '../records/kinds'

const MOST_SETS = 200
const MOST_LINES = 400
const MOST_ROUNDS = 40

/** How many records of a kind a job holds, and what they are called. The reader and each edit obey the same rows. */
export const LIST_LIMITS: { readonly [K in ListKind]: { readonly most: number; readonly name: string } } = {
  set: { most: MOST_SETS, name: 'sets' },
  decision: { most: 60, name: 'decisions' },
  tick: { most: MOST_LINES, name: 'ticks' },
  log: { most: MOST_SETS, name: 'logs' },
  attachment: { most: MOST_SETS, name: 'photos' },
  dryer: { most: 200, name: 'dryers' },
  step: { most: MOST_LINES, name: 'steps' },
  takenOff: { most: MOST_LINES, name: 'parts that came off' },
  round: { most: MOST_ROUNDS, name: 'rounds' },
  closing: { most: MOST_ROUNDS, name: 'closing records' },
  repair: { most: MOST_ROUNDS, name: 'repairs' },
  day: { most: MOST_ROUNDS, name: 'days' },
  run: { most: MOST_ROUNDS, name: 'records of the work' },
}

/** What a file says of a list that is too long. */
export const tooMany = (kind: ListKind): string => {
  const { most, name } = LIST_LIMITS[kind]
  return `holds more than ${most} ${name}`
}

/** The lists of a job, whatever they hold. */
type Lists = { readonly [L in (typeof LISTS)[ListKind]['list']]: readonly unknown[] }

/** The list that a change made longer than a job takes; undefined where there is none. One that was too long may shrink. */
export const overfull = (before: Lists, after: Lists): ListKind | undefined =>
  LIST_KINDS.find((kind) => {
    const { list } = LISTS[kind]
    return after[list].length > LIST_LIMITS[kind].most && after[list].length > before[list].length
  })
