import { UNITS } from '../../base/units/units'
import { looksOf, type WorkLog } from './series'

/** [practice] handbook 08: a pull that is broken with nitrogen goes to 1,500 to 2,000 microns first. Pa */
const BROKEN_AT = 2000 * UNITS.micron.si

/** Pulls and breaks in their order, each once: a further look at the depth is no further pull. */
const onceEach = (word: string): string => word.replace(/p+/g, 'p').replace(/b+/g, 'b')

/**
 * Pulls of a log that came to the depth at which one breaks, and breaks with nitrogen, in their order.
 * @param atmosphere Pa
 * @returns p for a pull, b for a break
 */
export function pullsOfLog(log: WorkLog, atmosphere: number): string {
  const looks = looksOf(log, 'systemVacuum', atmosphere)
    .filter(({ value }) => value <= BROKEN_AT)
    .map(({ seconds }) => ({ seconds, what: 'p' }))
  const breaks = (log.head.marks ?? [])
    .filter(({ what }) => what === 'sweep')
    .map(({ seconds }) => ({ seconds, what: 'b' }))
  const all = [...looks, ...breaks].sort((a, b) => a.seconds - b.seconds)
  return onceEach(all.map(({ what }) => what).join(''))
}

/** Pulls and breaks of several logs of one evacuation. */
export type Pulled = { readonly pulls: number; readonly breaks: number }

/**
 * Counts the pulls of an evacuation over its logs: one that goes on in the next log without a break is one, and a break before
 * which nothing was pulled is none.
 * @param words of its logs, the first one first
 */
export function countPulls(words: readonly string[]): Pulled {
  const all = onceEach(words.join('')).replace(/^b/, '')
  return { pulls: all.split('p').length - 1, breaks: all.split('b').length - 1 }
}
