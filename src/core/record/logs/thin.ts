import type { Samples } from './samples'

export type ThinPoint = { readonly x: number; readonly y: number }

/**
 * A channel thinned for drawing: least and most of each of `slices` equal counts of samples, in order of time, so that no
 * peak is lost. Silent samples are left out; a short channel stays whole.
 * @param channel place among the channels
 * @param scale what a second is multiplied by for x
 */
export function thinChannel(
  { time, values }: Samples,
  channel: number,
  slices: number,
  scale = 1,
): ThinPoint[] {
  const column = values[channel] ?? new Float64Array(0)
  const width = Math.max(Math.ceil(column.length / slices), 1)
  const point = (i: number): ThinPoint => ({ x: (time[i] as number) * scale, y: column[i] as number })
  const out: ThinPoint[] = []
  for (let from = 0; from < column.length; from += width) {
    let [least, most] = [-1, -1]
    for (let i = from; i < Math.min(from + width, column.length); i += 1) {
      const value = column[i] as number
      if (Number.isNaN(value)) continue
      if (least === -1 || value < (column[least] as number)) least = i
      if (most === -1 || value > (column[most] as number)) most = i
    }
    if (least === -1) continue
    out.push(...[...new Set([Math.min(least, most), Math.max(least, most)])].map(point))
  }
  return out
}
