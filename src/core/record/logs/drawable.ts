import { SEA_LEVEL_PASCALS } from '../../base/units/atmosphere'
import { unitRow } from '../../base/units/units'
import { siLimits } from '../readings/figureLimits'
import type { LogHead } from '../records/log'
import type { Samples } from './samples'

type Channel = Pick<LogHead['channels'][number], 'key' | 'unit'>
type Drawn = { readonly channels: readonly Channel[]; readonly purpose?: LogHead['purpose'] }

const known = new WeakMap<Samples, Samples>()

/** Range of a channel's numbers as they are shown; gauges are taken at sea level, where they go lowest. */
function shownRange({ key, unit }: Channel, purpose: LogHead['purpose']) {
  const { si, zero = 0, reference } = unitRow(unit)
  const { possible } = siLimits(key, purpose)
  const shift = reference === 'gauge' || reference === 'vacuum' ? SEA_LEVEL_PASCALS : zero
  const ends = [possible.from, possible.to].map((end) => (end - shift) / si)
  return reference === 'vacuum'
    ? { from: -(ends[1] as number), to: -(ends[0] as number) }
    : { from: ends[0] as number, to: ends[1] as number }
}

/** The samples of a log as a curve shows them: what no instrument can have read is silent. The same object for the same samples. */
export function drawable({ channels, purpose }: Drawn, samples: Samples): Samples {
  const before = known.get(samples)
  if (before) return before
  let isWhole = true
  const values = samples.values.map((column, i) => {
    const channel = channels[i]
    if (!channel) return column
    const { from, to } = shownRange(channel, purpose)
    if (column.every((value) => !(value < from || value > to))) return column
    isWhole = false
    return column.map((value) => (value < from || value > to ? NaN : value))
  })
  const shown = isWhole ? samples : { ...samples, values }
  known.set(samples, shown)
  return shown
}
