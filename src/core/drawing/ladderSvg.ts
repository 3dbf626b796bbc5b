import { fromKelvin } from '../base/units/convert'
import type { Display } from '../base/units/show'
import type { Verdict } from '../diagnosis/evidence/sentence'
import { type Scale, scaleFor, spreadLabels, tickStep } from './ladderLayout'
import type { LadderModel, LadderSpan, Rung } from './ladderModel'
import { kelvinsOf, placeSpans } from './ladderPlaces'
import { spanTexts } from './spanText'
import { drawing, element, PAPER, stroke, words } from './svg'
import { temperatureColour } from './temperatureColour'

export type LadderPaper = {
  readonly width: number
  readonly height: number
  readonly display: Display
  /** temperatures of another ladder on the same scale, K */
  readonly alongside?: readonly number[]
  /** spans of the ladder that has most of them: room is kept for those without a lane */
  readonly spansBeside?: number
}

const AXIS = 40
const LABELS = 120
const MARGIN = 16
const LABEL_GAP = 21
const BAND = 10
const LETTER = 0.6

/** "rgb(1 2 3)" in the way in which every reader of drawings knows it. */
const colourOf = (kelvin: number): string => temperatureColour(kelvin).replaceAll(' ', ',')

function axis(scale: Scale, { display }: LadderPaper): string[] {
  const shown = (kelvin: number) => fromKelvin(kelvin, display.temperature)
  const [low, high] = [shown(scale.coldest), shown(scale.hottest)]
  const step = tickStep(high - low, scale.height - scale.top, 36)
  const first = Math.ceil(low / step) * step
  const count = Math.max(Math.floor((high - first) / step) + 1, 0)
  const y = (value: number) => scale.top + ((high - value) / (high - low)) * (scale.height - scale.top)
  const ticks = Array.from({ length: count }, (_tick, i) => first + i * step)
  const cut =
    scale.top > 0
      ? [
          element('polyline', {
            points: [0, 1, 2, 3, 4]
              .map((i) => `${AXIS - 3 + (i % 2 === 0 ? -5 : 5)},${scale.top - 4 - i * 5}`)
              .join(' '),
            fill: 'none',
            stroke: PAPER.ink,
            'stroke-width': 1.2,
          }),
        ]
      : []
  return [
    stroke(AXIS - 3, scale.top, AXIS - 3, scale.height, { stroke: PAPER.hairline, 'stroke-width': 4 }),
    ...cut,
    ...ticks.flatMap((tick) => [
      stroke(AXIS, y(tick), AXIS + 5, y(tick), { stroke: PAPER.quiet }),
      words(String(tick), AXIS - 9, y(tick) + 3.5, 10, { 'text-anchor': 'end', fill: PAPER.quiet }),
    ]),
    words(`°${display.temperature}`, AXIS - 9, -4, 9, { 'text-anchor': 'end', fill: PAPER.quiet }),
  ]
}

type RungPlace = {
  readonly scale: Scale
  readonly labelY: number
  readonly labelX: number
  readonly paper: LadderPaper
}

function rungMarks(rung: Rung, { scale, labelY, labelX, paper }: RungPlace): string[] {
  const y = scale.y(rung.kelvin)
  const colour = colourOf(rung.kelvin)
  const glide = rung.glideTo === undefined ? 0 : scale.y(rung.glideTo) - y
  const value = fromKelvin(rung.kelvin, paper.display.temperature).toFixed(1)
  const room = paper.width - 2 - labelX - value.length * 12 * LETTER - 4
  const size = Math.min(9.5, room / (rung.label.length * LETTER))
  return [
    ...(glide === 0
      ? []
      : [
          element('rect', {
            x: AXIS,
            y: y + Math.min(glide, 0),
            width: labelX - 20 - AXIS,
            height: Math.abs(glide),
            fill: colour,
            'fill-opacity': 0.18,
          }),
        ]),
    stroke(AXIS, y, labelX - 20, y, {
      stroke: colour,
      'stroke-width': rung.derived ? 2 : 1.2,
      'stroke-dasharray': rung.derived ? undefined : '1.5 3',
    }),
    stroke(labelX - 20, y, labelX - 4, labelY, { stroke: PAPER.hairline }),
    words(rung.label, labelX, labelY + 3.5, size, { fill: PAPER.quiet }),
    words(value, paper.width - 2, labelY + 4, 12, {
      'text-anchor': 'end',
      'font-weight': 'bold',
      fill: PAPER.ink,
    }),
  ]
}

/** A dot in band, a triangle that points where the value lies. */
function verdictMark(verdict: Verdict, x: number, y: number): string {
  if (verdict === 'in band') return element('circle', { cx: x, cy: y, r: 3.2, fill: PAPER.ink })
  const points = verdict === 'above' ? [0, -4, 4, 3, -4, 3] : [0, 4, 4, -3, -4, -3]
  return element('polygon', {
    points: points.map((value, i) => value + (i % 2 === 0 ? x : y)).join(' '),
    fill: 'none',
    stroke: PAPER.copper,
    'stroke-width': 1.6,
  })
}

/** The target band, counted from the same rung as the span. */
function band({ target, from, to, measured }: LadderSpan, scale: Scale, x: number): string[] {
  if (!target) return []
  const direction = measured.value === 0 ? 1 : Math.sign((to - from) * Math.sign(measured.value)) || 1
  const ends = [target.value - target.tolerance, target.value + target.tolerance]
    .map((gap) => scale.y(from + direction * gap))
    .map((y) => Math.min(Math.max(y, 0), scale.height))
  const [top, bottom] = [Math.min(...ends), Math.max(...ends)]
  return [
    element('rect', {
      x: x - BAND / 2,
      y: top,
      width: BAND,
      height: Math.max(bottom - top, 1),
      fill: PAPER.copper,
      'fill-opacity': 0.16,
      stroke: PAPER.copper,
      'stroke-opacity': 0.5,
    }),
  ]
}

function spanMarks(span: LadderSpan, scale: Scale, x: number, middle: number, display: Display): string[] {
  const [start, end] = [scale.y(span.from), scale.y(span.to)]
  const { value, error, verdict } = spanTexts(span, display)
  return [
    ...band(span, scale, x),
    stroke(x, start, x, end, { 'stroke-width': 2.2 }),
    stroke(x - 6, start, x + 6, start, { 'stroke-width': 1.2 }),
    stroke(x - 6, end, x + 6, end, { 'stroke-width': 2.2 }),
    element('rect', {
      x: x + 7,
      y: middle - 20,
      width: 62,
      height: 40,
      fill: '#ffffff',
      'fill-opacity': 0.9,
    }),
    words(span.label, x + 10, middle - 10, 8.5, { fill: PAPER.quiet }),
    words(value, x + 10, middle + 4, 12, { 'font-weight': 'bold', fill: PAPER.ink }),
    words(error, x + 10 + value.length * 12 * 0.68, middle + 4, 8, { fill: PAPER.quiet }),
    ...(span.verdict
      ? [
          verdictMark(span.verdict, x + 14, middle + 14),
          words(verdict, x + 21, middle + 17, 8.5, { fill: PAPER.ink }),
        ]
      : []),
  ]
}

const CAPTION_LINE = 12
/** Least width in which a span and its text are legible. */
const LEAST_LANE = 64

/** What of a ladder has no room beside it, in words. */
const spilledText = (span: LadderSpan, display: Display): string => {
  const { value, error, verdict } = spanTexts(span, display)
  return [span.label, value, error, verdict].filter(Boolean).join(' ')
}

/** A ladder for paper, from the same model as that of the screen: rungs, spans, target bands. Pixels. */
export function ladderSvg(model: LadderModel, paper: LadderPaper): string {
  const { width, height, display, alongside = [], spansBeside = model.spans.length } = paper
  const labelX = width - LABELS
  const room = labelX - 24 - AXIS - 12
  const most = Math.max(Math.floor(room / LEAST_LANE), 1)
  // as many as could be without a lane, so that ladders beside each other are equally high
  const inner = height - 2 * MARGIN - CAPTION_LINE * Math.max(spansBeside - most, 0)
  const scale = scaleFor([...kelvinsOf(model), ...alongside], inner)
  const placed = placeSpans(model.spans, scale)
  const drawn = placed.filter(({ lane }) => lane < most)
  const laneWidth = room / Math.max(...drawn.map(({ lane }) => lane + 1), 1)
  const labels = spreadLabels(
    model.rungs.map(({ kelvin }) => scale.y(kelvin)),
    LABEL_GAP,
    inner,
  )
  const spilled = placed.filter(({ lane }) => lane >= most).map(({ span }) => spilledText(span, display))
  const marks = [
    ...axis(scale, paper),
    ...model.rungs.flatMap((rung, i) => rungMarks(rung, { scale, labelX, paper, labelY: labels[i] ?? 0 })),
    ...drawn.flatMap(({ span, middle, lane }) =>
      spanMarks(span, scale, AXIS + 16 + lane * laneWidth, middle, display),
    ),
  ]
  return drawing(width, height, [
    element('g', { transform: `translate(0 ${MARGIN})` }, marks.join('')),
    ...spilled.map((text, i) =>
      words(text, 2, inner + 2 * MARGIN + CAPTION_LINE * i + 6, 8.5, { fill: PAPER.ink }),
    ),
  ])
}
