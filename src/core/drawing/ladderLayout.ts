/** Maps kelvin to pixels, hot at the top. */
export type Scale = {
  readonly coldest: number
  readonly hottest: number
  /** pixel positions of the hottest and the coldest end */
  readonly top: number
  readonly height: number
  /** temperatures from here up stand in the strip above the break, all at one place */
  readonly breakAbove: number
  readonly y: (kelvin: number) => number
}

const EDGE_KELVIN = 5
const LEAST_SPAN_KELVIN = 30

/** A lone hot rung (the discharge line) further than this above the rest goes above a break, K. */
const BREAK_GAP_KELVIN = 18
const BREAK_STRIP = 40

/** Lowest temperature that stands above the break; Infinity where the scale needs none. */
function breakPoint(sorted: readonly number[]): number {
  const [hottest, next] = [sorted.at(-1), sorted.at(-2)]
  return hottest !== undefined && next !== undefined && hottest - next > BREAK_GAP_KELVIN ? hottest : Infinity
}

/**
 * A linear scale over all values with room at both ends; without values, from 0 to 50 C.
 * One value far above the others is shown above a marked break, so that the rest keeps its resolution.
 */
export function scaleFor(kelvins: readonly number[], height: number): Scale {
  const sorted = [...new Set(kelvins)].sort((a, b) => a - b)
  const breakAbove = sorted.length > 2 ? breakPoint(sorted) : Infinity
  const linear = sorted.filter((kelvin) => kelvin < breakAbove)
  const low = linear[0] ?? 273.15
  const high = linear.at(-1) ?? 323.15
  const missing = Math.max(LEAST_SPAN_KELVIN - (high - low), 0) / 2
  const coldest = low - EDGE_KELVIN - missing
  const hottest = high + EDGE_KELVIN + missing
  const top = breakAbove === Infinity ? 0 : BREAK_STRIP
  const y = (kelvin: number) =>
    kelvin >= breakAbove ? BREAK_STRIP / 3 : top + ((hottest - kelvin) / (hottest - coldest)) * (height - top)
  return { coldest, hottest, top, height, breakAbove, y }
}

/**
 * Centres of labels as near as possible to the wanted places, in the same order, at least `gap` apart and
 * inside [0, height]: least squares under order constraints (pool adjacent violators), then pushed inside.
 * @param wanted increasing pixel positions
 */
export function spreadLabels(wanted: readonly number[], gap: number, height: number): number[] {
  const fitting = wanted.length > 1 ? Math.min(gap, height / wanted.length) : gap
  const blocks: { sum: number; count: number; first: number }[] = []
  wanted.forEach((y, i) => {
    blocks.push({ sum: y - i * fitting, count: 1, first: i })
    for (let last = blocks.at(-1), before = blocks.at(-2); last && before && mean(before) > mean(last);) {
      blocks.splice(-2, 2, {
        sum: before.sum + last.sum,
        count: before.count + last.count,
        first: before.first,
      })
      last = blocks.at(-1)
      before = blocks.at(-2)
    }
  })
  const lowest = fitting / 2
  const highest = height - fitting / 2 - (wanted.length - 1) * fitting
  return blocks.flatMap((block) => {
    const base = Math.min(Math.max(mean(block), lowest), Math.max(highest, lowest))
    return Array.from({ length: block.count }, (_v, k) => base + (block.first + k) * fitting)
  })
}

const mean = ({ sum, count }: { sum: number; count: number }) => sum / count

/** A vertical stretch that must not share a lane with an overlapping one. */
export type Stretch = { readonly top: number; readonly bottom: number }

/** Lane of each stretch: the first free one, in the given order; overlapping stretches never share a lane. */
export function assignLanes(stretches: readonly Stretch[]): number[] {
  const lanes: Stretch[][] = []
  return stretches.map((stretch) => {
    const free = lanes.findIndex((lane) =>
      lane.every((other) => stretch.bottom <= other.top || stretch.top >= other.bottom),
    )
    const lane = free === -1 ? lanes.length : free
    lanes[lane] = [...(lanes[lane] ?? []), stretch]
    return lane
  })
}

/** Round steps that leave at least `leastPixels` between ticks. */
export function tickStep(degreesOnScale: number, height: number, leastPixels = 44): number {
  const steps = [1, 2, 5, 10, 20, 50, 100]
  return steps.find((step) => (step / degreesOnScale) * height >= leastPixels) ?? 100
}
