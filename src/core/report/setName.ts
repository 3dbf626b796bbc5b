import type { ReadingSet } from '../record/readings/schema'

/** "as found", "set 2, branch east": what a set is called. @param index its place in the list */
export const setName = (set: Pick<ReadingSet, 'label' | 'branch'>, index: number): string =>
  `${set.label ?? `set ${index + 1}`}${set.branch === undefined ? '' : `, branch ${set.branch}`}`
