import type { Observations, ReadingSet } from '@/core/record/readings/schema'
import type { UnitState } from '@/core/record/state/unit'

/** The words of a set, but for the terminal cover: where it is now is told by the work and the taken-off list too. */
export const wordsNow = ({ observations }: ReadingSet, { cover }: UnitState): Observations => ({
  ...observations,
  ...(cover ? { terminalCover: cover } : {}),
})
