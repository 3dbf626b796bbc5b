import type { ThinPoint } from '../record/logs/segments'
import { drawing, element, PAPER, stroke, words } from './svg'

/** One curve over time: minutes and figures; a point without a figure is a gap. */
type PlotCurve = { readonly label: string; readonly points: readonly ThinPoint[] }
export type PlotModel = {
  readonly title: string
  readonly yTitle: string
  readonly isLogarithmic: boolean
  readonly curves: readonly PlotCurve[]
  readonly levels: readonly { readonly label: string; readonly value: number }[]
  readonly marks: readonly { readonly minute: number; readonly label: string }[]
}

const LEFT = 46
const RIGHT = 8
const TOP = 30
const BOTTOM = 26
const DASHES = [undefined, '5 3', '1.5 2.5', '7 2 2 2'] as const

/** Round steps: 1, 2, 5 times a power of ten. */
export function roundStep(range: number, most: number): number {
  const least = range / Math.max(most, 1)
  const power = 10 ** Math.floor(Math.log10(least))
  const factor = [1, 2, 5, 10].find((each) => each * power >= least * (1 - 1e-9)) ?? 10
  return factor * power
}

const within = (from: number, to: number, step: number): number[] => {
  const first = Math.ceil(from / step - 1e-9)
  const last = Math.floor(to / step + 1e-9)
  return Array.from({ length: Math.max(last - first + 1, 0) }, (_tick, i) => (first + i) * step)
}
const tenths = (value: number) => Number(value.toPrecision(6)).toLocaleString('en-US')

type Axis = { readonly at: (value: number) => number; readonly ticks: readonly number[] }

/** From figures to pixels, with its ticks. */
function axisOf(
  values: readonly number[],
  isLogarithmic: boolean,
  [from, to]: readonly [number, number],
): Axis {
  const told = values.filter((value) => Number.isFinite(value) && (!isLogarithmic || value > 0))
  const [least, most] = [
    told.reduce((a, b) => Math.min(a, b), Infinity),
    told.reduce((a, b) => Math.max(a, b), -Infinity),
  ]
  if (!Number.isFinite(least)) return { at: () => from, ticks: [] }
  if (isLogarithmic) {
    const [low, high] = [
      Math.floor(Math.log10(least)),
      Math.max(Math.ceil(Math.log10(most)), Math.floor(Math.log10(least)) + 1),
    ]
    return {
      at: (value) => from + ((Math.log10(value) - low) / (high - low)) * (to - from),
      ticks: Array.from({ length: high - low + 1 }, (_tick, i) => 10 ** (low + i)),
    }
  }
  const spread = most - least || Math.max(Math.abs(most) * 0.1, 1)
  const [low, high] = [least - spread * 0.06, most + spread * 0.06]
  return {
    at: (value) => from + ((value - low) / (high - low)) * (to - from),
    ticks: within(low, high, roundStep(high - low, 6)),
  }
}

/** One path for each curve, however many looks it has. */
function pathOf(points: readonly ThinPoint[], x: Axis, y: Axis): string {
  let isDown = false
  return points
    .map((point) => {
      const at = y.at(point.y)
      if (!Number.isFinite(point.y) || !Number.isFinite(at)) {
        isDown = false
        return ''
      }
      const command = isDown ? 'L' : 'M'
      isDown = true
      return `${command}${x.at(point.x).toFixed(1)} ${at.toFixed(1)}`
    })
    .join('')
}

/** Marks that stand closer than this share a line of words, pixels. */
const CLOSE = 14

/** Upright lines; words of neighbours stand in turn at two heights, those of too close ones are left to the list. */
function marksOf({ marks }: PlotModel, x: Axis, bottom: number): string[] {
  let last = -Infinity
  return marks.flatMap(({ minute, label }, i) => {
    const at = x.at(minute)
    const line = stroke(at, TOP, at, bottom, {
      stroke: PAPER.quiet,
      'stroke-dasharray': '2 2',
      'stroke-width': 0.7,
    })
    if (at - last < CLOSE) return [line]
    last = at
    return [line, words(label, at, TOP - 3 - (i % 2) * 8, 7, { 'text-anchor': 'middle', fill: PAPER.quiet })]
  })
}

/** A log over time for paper. Pixels. */
export function plotSvg(
  model: PlotModel,
  { width, height }: { readonly width: number; readonly height: number },
): string {
  const { curves, levels, marks, isLogarithmic, yTitle } = model
  const bottom = height - BOTTOM
  const all = curves.flatMap(({ points }) => points)
  const x = axisOf([0, ...all.map((point) => point.x), ...marks.map(({ minute }) => minute)], false, [
    LEFT,
    width - RIGHT,
  ])
  const y = axisOf([...all.map((point) => point.y), ...levels.map(({ value }) => value)], isLogarithmic, [
    bottom,
    TOP,
  ])
  return drawing(width, height, [
    element('rect', {
      x: LEFT,
      y: TOP,
      width: width - LEFT - RIGHT,
      height: bottom - TOP,
      fill: 'none',
      stroke: PAPER.hairline,
    }),
    ...y.ticks.flatMap((tick) => [
      stroke(LEFT, y.at(tick), width - RIGHT, y.at(tick), { stroke: PAPER.hairline, 'stroke-width': 0.4 }),
      words(tenths(tick), LEFT - 4, y.at(tick) + 2.8, 8, { 'text-anchor': 'end', fill: PAPER.quiet }),
    ]),
    ...x.ticks
      .filter((tick) => tick >= 0)
      .map((tick) =>
        words(tenths(tick), x.at(tick), bottom + 10, 8, { 'text-anchor': 'middle', fill: PAPER.quiet }),
      ),
    words('minutes', width - RIGHT, bottom + 20, 8, { 'text-anchor': 'end', fill: PAPER.quiet }),
    words(yTitle, 2, 9, 8, { fill: PAPER.quiet }),
    ...curves.map(({ label }, i) =>
      [
        stroke(LEFT + i * 110, bottom + 18, LEFT + 18 + i * 110, bottom + 18, {
          'stroke-dasharray': DASHES[i % 4],
        }),
        words(label, LEFT + 22 + i * 110, bottom + 21, 8, { fill: PAPER.ink }),
      ].join(''),
    ),
    ...levels.map(({ label, value }) =>
      [
        stroke(LEFT, y.at(value), width - RIGHT, y.at(value), {
          stroke: PAPER.copper,
          'stroke-dasharray': '6 3',
        }),
        element('rect', {
          x: width - RIGHT - 4 - label.length * 4.6,
          y: y.at(value) - 9,
          width: label.length * 4.6 + 3,
          height: 8,
          fill: '#ffffff',
        }),
        words(label, width - RIGHT - 2, y.at(value) - 2, 7.5, { 'text-anchor': 'end', fill: PAPER.copper }),
      ].join(''),
    ),
    ...marksOf(model, x, bottom),
    ...curves.map(({ points }, i) =>
      element('path', {
        d: pathOf(points, x, y),
        fill: 'none',
        stroke: PAPER.ink,
        'stroke-width': 1.1,
        'stroke-dasharray': DASHES[i % 4],
      }),
    ),
  ])
}
