import type { Samples } from './samples'

export type ThinPoint = { readonly x: number; readonly y: number }

/** A stretch of samples without a gap: from one index up to another, that one not included. */
export type Segment = { readonly from: number; readonly to: number }

/** [practice] a look that comes this many times later than usual, and later than this, s, leaves a gap. */
const GAP_FACTOR = 6
const LEAST_GAP = 8

/** The usual time between two samples: the middle one of some. */
function usualStep(time: Float64Array): number {
  const count = Math.min(time.length - 1, 200)
  if (count < 1) return LEAST_GAP
  const every = Math.max(1, Math.floor((time.length - 1) / count))
  const steps = Array.from({ length: count }, (_step, i) => {
    const at = 1 + i * every
    return (time[at] as number) - (time[at - 1] as number)
  }).sort((a, b) => a - b)
  return steps[Math.floor(steps.length / 2)] ?? LEAST_GAP
}

/** From what distance on two samples are not joined, s. */
export const gapOf = (time: Float64Array): number => Math.max(usualStep(time) * GAP_FACTOR, LEAST_GAP)

/**
 * The unbroken segments of a channel: a silent sample ends one, and so does a time in which nothing came.
 * @param gap s, from `gapOf`
 */
export function segmentsOf({ time, values }: Samples, channel: number, gap = gapOf(time)): Segment[] {
  const column = values[channel] ?? new Float64Array(0)
  const out: Segment[] = []
  let from = -1
  for (let i = 0; i < column.length; i += 1) {
    const isSilent = Number.isNaN(column[i] as number)
    const isLate = i > 0 && (time[i] as number) - (time[i - 1] as number) > gap
    if (from >= 0 && (isSilent || isLate)) {
      out.push({ from, to: i })
      from = -1
    }
    if (from < 0 && !isSilent) from = i
  }
  if (from >= 0) out.push({ from, to: column.length })
  return out
}

/** First index at or after a time. */
function indexOf(time: Float64Array, seconds: number): number {
  let [low, high] = [0, time.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if ((time[middle] as number) < seconds) low = middle + 1
    else high = middle
  }
  return low
}

/** What is looked at of a log, s. */
export type Window = { readonly from: number; readonly to: number }

/**
 * A channel for drawing: least and most of each slice of what is looked at, each unbroken segment on its own and a point
 * without a value between two of them, so that a gap stays a gap.
 * @param segments of `segmentsOf`, kept while no sample comes
 * @param slices how many there may be over the whole window
 * @param scale what a second is multiplied by for x
 */
export function thinWindow(
  { time, values }: Samples,
  channel: number,
  segments: readonly Segment[],
  { from, to }: Window,
  slices: number,
  scale = 1,
): ThinPoint[] {
  const column = values[channel] ?? new Float64Array(0)
  const [first, last] = [Math.max(indexOf(time, from) - 1, 0), Math.min(indexOf(time, to) + 1, time.length)]
  const width = Math.max(Math.ceil((last - first) / slices), 1)
  const point = (i: number): ThinPoint => ({ x: (time[i] as number) * scale, y: column[i] as number })
  const out: ThinPoint[] = []
  for (const segment of segments) {
    const [start, end] = [Math.max(segment.from, first), Math.min(segment.to, last)]
    if (end <= start) continue
    if (out.length > 0) out.push({ x: (time[start] as number) * scale, y: NaN })
    for (let at = start; at < end; at += width) {
      let [least, most] = [at, at]
      for (let i = at; i < Math.min(at + width, end); i += 1) {
        if ((column[i] as number) < (column[least] as number)) least = i
        if ((column[i] as number) > (column[most] as number)) most = i
      }
      out.push(point(Math.min(least, most)))
      if (least !== most) out.push(point(Math.max(least, most)))
    }
  }
  return out
}

/** A whole channel for drawing, as `thinWindow`. */
export const thinWhole = (samples: Samples, channel: number, slices: number, scale = 1): ThinPoint[] =>
  thinWindow(samples, channel, segmentsOf(samples, channel), { from: -Infinity, to: Infinity }, slices, scale)
