import type { LogHead, TypedLook } from '../records/log'
import { noSamples, type Samples } from './samples'

const known = new WeakMap<readonly TypedLook[], Samples>()

/** Typed looks in order of time; of the same moment in the order in which they were typed. */
export const inOrder = (looks: readonly TypedLook[]): TypedLook[] =>
  [...looks].sort((a, b) => a.seconds - b.seconds)

/**
 * The samples of a log that was typed; the same object while its looks are.
 * @returns undefined for a log whose samples stand in chunks
 */
export function samplesOfLooks({
  looks,
  channels,
}: Pick<LogHead, 'looks' | 'channels'>): Samples | undefined {
  if (!looks) return undefined
  if (looks.length === 0) return noSamples(channels.length)
  const before = known.get(looks)
  if (before) return before
  const sorted = inOrder(looks)
  const samples: Samples = {
    time: Float64Array.from(sorted, ({ seconds }) => seconds),
    values: channels.map((_channel, i) => Float64Array.from(sorted, ({ values }) => values[i] ?? NaN)),
  }
  known.set(looks, samples)
  return samples
}
