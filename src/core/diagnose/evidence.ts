import { logSumExp } from '../numeric/logSum'
import type { Item } from './likelihood'
import type { Ranked } from './rank'

/** How one item speaks about one suspect. */
export type Contribution = {
  readonly item: Item
  /** natural log of the likelihood ratio: this suspect against the others, as often as each is found */
  readonly weight: number
}

/** Log likelihood of one item under a suspect, averaged over its severities as believed now. */
function averaged(ranked: Ranked, itemIndex: number): number {
  const row = ranked.table[itemIndex] ?? []
  return logSumExp(row.map((value, i) => value + Math.log(ranked.severityShares[i] as number)))
}

/** Likelihood of each item under each suspect: logs, [suspect][item]. */
export type ItemLogs = ReadonlyMap<Ranked, readonly number[]>

/** Averages every item over the severities once, for all suspects. */
export const itemLogs = (all: readonly Ranked[], items: readonly Item[]): ItemLogs =>
  new Map(all.map((ranked) => [ranked, items.map((_item, i) => averaged(ranked, i))]))

/** Log likelihood of one item under everyone else, weighted by how often each is found. */
function amongOthers(logs: ItemLogs, self: Ranked, itemIndex: number): number {
  const others = [...logs].filter(([other]) => other !== self)
  const total = others.reduce((sum, [other]) => sum + other.prior, 0)
  return logSumExp(others.map(([other, row]) => (row[itemIndex] as number) + Math.log(other.prior / total)))
}

/** Every item's contribution to a suspect, strongest first. */
export function contributions(logs: ItemLogs, self: Ranked, items: readonly Item[]): Contribution[] {
  const own = logs.get(self) ?? []
  return items
    .map((item, i) => ({ item, weight: (own[i] as number) - amongOthers(logs, self, i) }))
    .sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight))
}
