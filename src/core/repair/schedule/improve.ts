import type { RandomSource } from '../../base/numeric/random'
import { NEVER } from './calendar'
import type { Network } from './network'
import { type Layout, orderOf, place } from './place'

/** Longest chain of minutes from the start of each to the end of all. */
function chainsOf({ size, activities, after, alongside }: Network): Int32Array {
  const chain = new Int32Array(size)
  for (let i = size - 1; i >= 0; i -= 1) {
    const { handsOn, unattended } = activities[i]!
    chain[i] = Math.max(chain[i]!, handsOn + unattended)
    for (const earlier of after[i]!) {
      const { handsOn: own, unattended: rest } = activities[earlier]!
      chain[earlier] = Math.max(chain[earlier]!, own + rest + chain[i]!)
    }
    for (const earlier of alongside[i]!)
      chain[earlier] = Math.max(chain[earlier]!, activities[earlier]!.handsOn + chain[i]!)
  }
  return chain
}

/** An order in which, of what may begin, the one with the highest rank comes first. */
function orderBy({ size, after, alongside, followers }: Network, rank: (i: number) => number): number[] {
  const waits = Array.from({ length: size }, (_x, i) => after[i]!.length + alongside[i]!.length)
  const open = [...Array(size).keys()].filter((i) => waits[i] === 0)
  const order: number[] = []
  while (open.length > 0) {
    let best = 0
    for (let k = 1; k < open.length; k += 1) if (rank(open[k]!) > rank(open[best]!)) best = k
    const [i] = open.splice(best, 1) as [number]
    order.push(i)
    for (const next of followers[i]!) if ((waits[next]! -= 1) === 0) open.push(next)
  }
  return order
}

/** Ranks that are known to do well; the first finds most plans of a single person. */
const ranksOf = (network: Network) => {
  const chain = chainsOf(network)
  const { activities, followers } = network
  return [
    (i: number) => chain[i]!,
    (i: number) => activities[i]!.unattended * 1000 + chain[i]!,
    (i: number) => chain[i]! + activities[i]!.unattended,
    (i: number) => followers[i]!.length * 1000 + chain[i]!,
    (i: number) => -i,
  ]
}

/** Minutes by which a plan may be worse and still be gone on from, at the start of the search; less and less. */
const WORSE = 12

/** Moves one activity to another place in an order, as far as what it waits for and what waits for it let. */
function moved(
  { after, alongside, followers }: Network,
  order: readonly number[],
  random: RandomSource,
): number[] {
  const from = Math.floor(random() * order.length)
  const i = order[from]!
  const at = new Map(order.map((each, k) => [each, k]))
  const first = Math.max(-1, ...[...after[i]!, ...alongside[i]!].map((each) => at.get(each)!)) + 1
  const last = Math.min(order.length, ...followers[i]!.map((each) => at.get(each)!)) - 1
  const to = first + Math.floor(random() * (last - first + 1))
  const next = order.filter((each) => each !== i)
  next.splice(to, 0, i)
  return next
}

/**
 * A good plan: the best of some ranks, then one activity moved at a time, worse ones now and then accepted less and less.
 * @param tries how many moves
 * @param enough a finish that cannot be beaten
 */
export function improve(network: Network, tries: number, enough: number, random: RandomSource): Layout {
  let best = ranksOf(network)
    .map((rank) => place(network, orderBy(network, rank)))
    .reduce((a, b) => (b.finish < a.finish ? b : a))
  let now = best
  let order = orderOf(now)
  for (let k = 0; k < tries && best.finish > enough; k += 1) {
    const next = moved(network, order, random)
    const layout = place(network, next)
    const allowed = now.finish === NEVER ? NEVER : now.finish + WORSE * (1 - k / tries) * random()
    if (layout.finish > allowed) continue
    now = layout
    order = next
    if (now.finish < best.finish) best = now
  }
  return best
}
