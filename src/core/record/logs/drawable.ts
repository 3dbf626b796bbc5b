import { SEA_LEVEL_PASCALS } from '../../base/units/atmosphere'
import { rangeIn, siLimits } from '../readings/figureLimits'
import type { LogHead } from '../records/log'
import type { Samples } from './samples'

type Channel = Pick<LogHead['channels'][number], 'key' | 'unit'>
type Drawn = { readonly channels: readonly Channel[]; readonly purpose?: LogHead['purpose'] }

const known = new WeakMap<Samples, Samples>()

/** The samples of a log as a curve shows them: what no instrument can have read is silent. The same object for the same samples. */
export function drawable({ channels, purpose }: Drawn, samples: Samples): Samples {
  const before = known.get(samples)
  if (before) return before
  let isWhole = true
  const values = samples.values.map((column, i) => {
    const channel = channels[i]
    if (!channel) return column
    // gauges are taken at sea level, where they go lowest
    const { from, to } = rangeIn(siLimits(channel.key, purpose).possible, channel.unit, SEA_LEVEL_PASCALS)
    const cannotBe = (value: number) => value < from || value > to
    if (!column.some(cannotBe)) return column
    isWhole = false
    return column.map((value) => (cannotBe(value) ? NaN : value))
  })
  const shown = isWhole ? samples : { ...samples, values }
  known.set(samples, shown)
  return shown
}
