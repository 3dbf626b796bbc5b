import type { ReadingSet } from '@/core/record/readings/schema'

type PointState = 'live' | 'dead'
const AFTER: Readonly<Record<string, PointState | undefined>> = {
  untested: 'live',
  live: 'dead',
  dead: undefined,
}
/** Points that are at the same time words of the diagnosis. */
const WORD_OF = { 'contactor-load': 'loadVolts', 'contactor-coil': 'controlVolts' } as const

/** Steps one point on: untested, live, dead, untested; the word of the diagnosis goes along. */
export function withPoint(set: ReadingSet, id: string): ReadingSet {
  const { [id]: state, ...others } = set.points ?? {}
  const next = AFTER[state ?? 'untested']
  const points = next === undefined ? others : { ...others, [id]: next }
  const word = WORD_OF[id as keyof typeof WORD_OF]
  return {
    ...set,
    points,
    ...(word ? { observations: { ...set.observations, [word]: next } } : {}),
  }
}
