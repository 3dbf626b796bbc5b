import type { Item } from '../evidence/items'
import type { Ranked } from './weigh'

/** How one item speaks about one hypothesis. */
export type Contribution = {
  readonly item: Item
  /** natural log of the likelihood ratio, all other items known: this hypothesis against the others, as often as each is found */
  readonly weight: number
}

/** Likelihood of each item, weighted by how often each hypothesis is found; kept for all of them at once. */
export function itemTotals(all: readonly Ranked[], items: readonly Item[]): Float64Array {
  const totals = new Float64Array(items.length)
  for (const { prior, itemLogs } of all) {
    for (let k = 0; k < items.length; k++) {
      totals[k] = (totals[k] as number) + prior * Math.exp(itemLogs[k] as number)
    }
  }
  return totals
}

const LEAST = 1e-300

/** Every item's contribution to a hypothesis, strongest first. */
export function contributions(totals: Float64Array, self: Ranked, items: readonly Item[]): Contribution[] {
  const { prior, itemLogs } = self
  return items
    .map((item, k) => {
      const own = itemLogs[k] as number
      const others = ((totals[k] as number) - prior * Math.exp(own)) / (1 - prior)
      return { item, weight: own - Math.log(Math.max(others, LEAST)) }
    })
    .sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight))
}
