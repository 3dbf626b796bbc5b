import type { LogMark } from '../../record/records/log'
import { type Look, lookAt } from './series'

/** What went into or came out of cylinders by a scale. kg */
export type Weighed = {
  /** in plus; what came out of the circuit into the cylinder, or the other way round, by `way` */
  readonly moved: number
  /** kg a minute over the last two; undefined while too few looks are there */
  readonly rate: number | undefined
  /** what the scale shows now */
  readonly now: number
  readonly cylinders: number
}

const RATE_SECONDS = 120
const LEAST_SECONDS = 15

/** Stretches between changes of the cylinder: while one is changed the scale says nothing of the circuit. */
function stretches(looks: readonly Look[], marks: readonly LogMark[]): Look[][] {
  const changes = marks.filter(({ what }) => what === 'cylinder').map(({ seconds }) => seconds)
  const edges = [-Infinity, ...changes, Infinity]
  return edges
    .slice(1)
    .map((end, i) => looks.filter(({ seconds }) => seconds >= (edges[i] as number) && seconds < end))
    .filter((each) => each.length > 0)
}

/**
 * Weight that moved, summed over the cylinders of a log.
 * @param way into the cylinder while recovering, out of it while charging
 * @returns undefined for a log without a look at the scale
 */
export function weighed(
  looks: readonly Look[],
  marks: readonly LogMark[],
  way: 'into-cylinder' | 'out-of-cylinder',
): Weighed | undefined {
  const last = looks.at(-1)
  if (!last) return undefined
  const sign = way === 'into-cylinder' ? 1 : -1
  const parts = stretches(looks, marks)
  const moved = parts.reduce((sum, part) => sum + sign * (part.at(-1)!.value - part[0]!.value), 0)
  const own = parts.at(-1) as Look[]
  const before = lookAt(own, last.seconds - RATE_SECONDS)
  const seconds = before ? last.seconds - before.seconds : 0
  return {
    moved,
    rate:
      before && seconds >= LEAST_SECONDS ? (sign * (last.value - before.value) * 60) / seconds : undefined,
    now: last.value,
    cylinders: parts.length,
  }
}
