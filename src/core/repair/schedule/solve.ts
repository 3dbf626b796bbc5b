import { seededRandom } from '../../base/numeric/random'
import { lowerBound } from './bounds'
import { NEVER } from './calendar'
import { searchExact } from './exact'
import { improve } from './improve'
import type { Placed, Problem } from './model'
import { type Network, networkOf } from './network'
import type { Layout } from './place'

/** States that the exact search looks at, and moves tried before it: under a second on a slow machine (docs/schedule.md). */
export const USUAL_EFFORT = { moves: 1500, states: 40_000 } as const
export type Effort = { readonly moves: number; readonly states: number }

export type Solution = {
  /** by the number of the activity; undefined where there is no room for all of them inside the horizon */
  readonly placed: readonly Placed[] | undefined
  readonly finish: number
  /** no plan ends before this */
  readonly bound: number
  /** the finish is the least there is */
  readonly isProven: boolean
}

/** Gives each stretch of work a person, and one who helps: those who have been free the shortest. */
function withPeople({ fits }: Layout, people: number): Placed[] {
  const free = new Array<number>(people).fill(0)
  const take = (start: number, until: number): number => {
    let person = -1
    for (let k = 0; k < people; k += 1)
      if (free[k]! <= start && (person < 0 || free[k]! > free[person]!)) person = k
    free[person] = until
    return person
  }
  const placed: Placed[] = []
  const order = fits.map((_fit, i) => i).sort((a, b) => fits[a]!.start - fits[b]!.start)
  for (const i of order) {
    const { start, handsOff, end, helpOff } = fits[i]!
    const person = take(start, handsOff)
    const helper = helpOff > start ? { helper: { person: take(start, helpOff), until: helpOff } } : undefined
    placed[i] = { start, handsOff, end, person, ...helper }
  }
  return placed
}

/** States that are looked at where the first search does not end, as a multiple of its own: seconds, of few large problems. */
const LONGER = 4
const isOver = ({ best, isDone }: ReturnType<typeof searchExact>, bound: number): boolean =>
  isDone || best.finish <= bound
const lesser = (a: Layout, b: Layout): Layout => (b.finish < a.finish ? b : a)

/** Where the search is not ended the bound of all plans is the first one. */
function solved(network: Network, { moves, states }: Effort): Solution {
  const bound = lowerBound(network)
  if (bound === NEVER) return { placed: undefined, finish: NEVER, bound, isProven: true }
  const good = improve(network, moves, bound, seededRandom(network.size))
  const first = searchExact(network, good, bound, states)
  // where the search was not ended, moves from another chance, and more of the search from what they find
  const { best, isDone } = isOver(first, bound)
    ? first
    : searchExact(
        network,
        lesser(first.best, improve(network, moves, bound, seededRandom(network.size + 1))),
        bound,
        states * LONGER,
      )
  const isProven = isDone || best.finish <= bound
  if (best.finish === NEVER) return { placed: undefined, finish: NEVER, bound, isProven }
  return {
    placed: withPeople(best, network.people),
    finish: best.finish,
    bound: isProven ? best.finish : bound,
    isProven,
  }
}

/**
 * The plan with the least finishing time, or the best that was found with its bound; the same problem gives the same plan.
 * @throws RangeError where an activity waits for one that does not stand before it
 */
export const solve = (problem: Problem, effort: Effort = USUAL_EFFORT): Solution =>
  solved(networkOf(problem), effort)
