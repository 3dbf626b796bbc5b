import { MINUTES_A_DAY, wallMinutes } from '../../base/units/wall'
import type { Day } from '../../record/records/day'

/** How the quote stands, and whether the unit must be looked at again before anything is opened. */
export type Approval = {
  readonly state: 'not-asked' | 'asked' | 'given' | 'refused'
  /** days from the question or the answer to the planned start, whole */
  readonly age: number | undefined
  readonly sentence: string
  /** why it goes on without an answer */
  readonly without?: string
  /** so old that charge, readings and gate are looked at again on return */
  readonly isStale: boolean
}

/** [practice] a unit left for longer than this may have leaked flat; a quote of this age is asked again. */
const STALE = 14

const days = (from: string | undefined, to: string | undefined): number | undefined => {
  const [a, b] = [wallMinutes(from), wallMinutes(to)]
  return a === undefined || b === undefined ? undefined : Math.floor((b - a) / MINUTES_A_DAY)
}

const ago = (age: number | undefined) =>
  age === undefined || age < 0
    ? ''
    : age === 0
      ? ', on the day'
      : `, ${age} day${age === 1 ? '' : 's'} before the work`

const SENTENCES: Readonly<Record<Approval['state'], string>> = {
  'not-asked': 'No quote is asked for: nothing is bought or opened before the owner agrees',
  asked: 'The quote is asked for and not answered: nothing is bought or opened before it is',
  given: 'The owner agreed',
  refused: 'The owner refused: nothing is bought or opened',
}

/** The same where a reason is written for going on. */
const ALL_THE_SAME: Readonly<Record<Approval['state'], string>> = {
  'not-asked': 'No quote is asked for',
  asked: 'The quote is not answered',
  given: 'The owner agreed',
  refused: 'The owner refused',
}

/** How the quote stands. */
export const approvalState = ({ quote }: Pick<Day, 'quote'>): Approval['state'] =>
  quote?.answer ?? (quote?.askedAt ? 'asked' : 'not-asked')

/**
 * How the owner's approval stands on the planned day.
 * @param decidedAt when the oldest of the faults was decided, an instant or a wall clock
 */
export function approvalOf(
  { quote, start }: Pick<Day, 'quote' | 'start'>,
  decidedAt: string | undefined,
): Approval {
  const state = approvalState({ quote })
  const age = days(quote?.answeredAt ?? quote?.askedAt, start)
  const sinceDecided = days(decidedAt?.slice(0, 16), start)
  const by = quote?.answer && quote.by ? ` (${quote.by})` : ''
  const isStale = Math.max(age ?? 0, sinceDecided ?? 0) > STALE
  const without = state === 'given' ? undefined : quote?.without
  return {
    state,
    age,
    ...(without ? { without } : {}),
    sentence: `${(without ? ALL_THE_SAME : SENTENCES)[state]}${by}${ago(age)}${without ? `; it goes on all the same: “${without}”` : ''}.${isStale ? ` More than ${STALE} days: charge, readings and proof are looked at again on return.` : ''}`,
    isStale,
  }
}
