'use client'
import Box from '@mui/material/Box'
import { memo, useState } from 'react'
import { fromKelvin } from '@/core/base/units/convert'
import { type Display, showTemperature } from '@/core/base/units/show'
import { INK } from '../theme/tokens'
import { useElementSize } from '../useElementSize'
import { assignLanes, type Scale, scaleFor, spreadLabels, tickStep } from './layout'
import type { LadderModel, LadderSpan, Rung } from './model'
import { spanTexts } from './spanText'
import { SpanMark } from './SpanMark'
import { temperatureInk } from './temperatureColour'

type Props = {
  model: LadderModel
  display: Display
  title: string
  /** temperatures of another ladder that stands beside this one on the same scale, K */
  alongside?: readonly number[] | undefined
  /** spans for which room is kept below, so that ladders beside each other are equally high */
  spansBeside?: number | undefined
  /** how much larger than usual everything is drawn */
  zoom?: number | undefined
}

/** All temperatures that a ladder shows, K. */
export const kelvinsOf = ({ rungs, spans }: LadderModel): number[] => [
  ...rungs.flatMap((rung) => [rung.kelvin, rung.glideTo ?? rung.kelvin]),
  ...spans.map(({ to }) => to),
]

const AXIS = 46
const LABELS = 150
const LABELS_NARROW = 128
const LABEL_GAP = 31
const MARGIN = 14
const SPAN_TEXT_HEIGHT = 62
const NARROW = 480
/** Least width in which a span and its text are legible. */
const LEAST_LANE = 70

/** The zigzag that says: the scale is cut here. */
const breakLine = (x: number, bottom: number): string =>
  [0, 1, 2, 3, 4].map((i) => `${x + (i % 2 === 0 ? -6 : 6)},${bottom - 4 - i * 5}`).join(' ')

function Axis({ scale, display }: { scale: Scale; display: Display }) {
  const shown = (kelvin: number) => fromKelvin(kelvin, display.temperature)
  const [low, high] = [shown(scale.coldest), shown(scale.hottest)]
  const step = tickStep(high - low, scale.height - scale.top)
  const first = Math.ceil(low / step) * step
  const ticks = Array.from(
    { length: Math.max(Math.floor((high - first) / step) + 1, 0) },
    (_v, i) => first + i * step,
  )
  const y = (value: number) => scale.top + ((high - value) / (high - low)) * (scale.height - scale.top)
  return (
    <g aria-hidden>
      <rect
        x={AXIS - 6}
        y={scale.top}
        width={6}
        height={scale.height - scale.top}
        fill="url(#ladder-ramp)"
        rx={2}
      />
      {scale.top > 0 && (
        <polyline points={breakLine(AXIS - 3, scale.top)} fill="none" stroke={INK.ink} strokeWidth={1.5} />
      )}
      {ticks.map((tick) => (
        <g key={tick}>
          <line x1={AXIS} x2={AXIS + 6} y1={y(tick)} y2={y(tick)} stroke={INK.quiet} />
          <text x={AXIS - 11} y={y(tick)} dy="0.35em" textAnchor="end" fontSize={14} fill={INK.quiet}>
            {tick}
          </text>
        </g>
      ))}
      <text x={AXIS - 11} y={-2} textAnchor="end" fontSize={12} fill={INK.quiet}>
        °{display.temperature}
      </text>
    </g>
  )
}

function Ramp({ scale }: { scale: Scale }) {
  const stops = [0, 0.2, 0.4, 0.6, 0.8, 1]
  return (
    <linearGradient id="ladder-ramp" x1="0" y1="0" x2="0" y2="1">
      {stops.map((stop) => (
        <stop
          key={stop}
          offset={stop}
          stopColor={temperatureInk(scale.hottest - stop * (scale.hottest - scale.coldest))}
        />
      ))}
    </linearGradient>
  )
}

type RungProps = {
  narrow: boolean
  rung: Rung
  scale: Scale
  labelY: number
  labelX: number
  width: number
  display: Display
}

/** Rungs glide to their new place; the theme turns this off where less motion is asked for. */
const gliding = (y: number) => ({ transform: `translateY(${y}px)`, transition: 'transform 180ms ease-out' })

function RungMark({ rung, scale, labelY, labelX, width, display, narrow }: RungProps) {
  const y = scale.y(rung.kelvin)
  const colour = temperatureInk(rung.kelvin)
  const glide = rung.glideTo === undefined ? 0 : scale.y(rung.glideTo) - y
  return (
    <g
      role="img"
      aria-label={`${rung.label} ${showTemperature(rung.kelvin, display, 1)}`}
      data-rung={rung.id}
      data-y={y.toFixed(2)}
    >
      <g style={gliding(y)}>
        {glide !== 0 && (
          <rect
            x={AXIS}
            y={Math.min(glide, 0)}
            width={labelX - 24 - AXIS}
            height={Math.abs(glide)}
            fill={colour}
            opacity={0.18}
          />
        )}
        <line
          x1={AXIS}
          x2={labelX - 24}
          stroke={colour}
          strokeWidth={rung.derived ? 2.5 : 1.5}
          strokeDasharray={rung.derived ? undefined : '1 3'}
          strokeLinecap="round"
        />
      </g>
      <line x1={labelX - 24} y1={y} x2={labelX - 6} y2={labelY} stroke={INK.hairline} />
      <g style={gliding(labelY)}>
        <text x={labelX} dy="0.35em" fontSize={narrow ? 12 : 13.5} fill={INK.quiet}>
          {rung.label}
        </text>
        <text
          x={width - 2}
          dy="0.36em"
          textAnchor="end"
          fontSize={narrow ? 16 : 19}
          fontWeight={650}
          fill={INK.ink}
        >
          {fromKelvin(rung.kelvin, display.temperature).toFixed(1)}
        </text>
      </g>
    </g>
  )
}

/** Where each span stands: its bracket by temperature, its lane so that no text meets another. */
function placeSpans(spans: readonly LadderSpan[], scale: Scale) {
  const stretches = spans.map((span) => {
    const [top, bottom] = [scale.y(Math.max(span.from, span.to)), scale.y(Math.min(span.from, span.to))]
    const middle = Math.min(
      Math.max((top + bottom) / 2, SPAN_TEXT_HEIGHT / 2),
      scale.height - SPAN_TEXT_HEIGHT / 2,
    )
    return {
      middle,
      top: Math.min(top, middle - SPAN_TEXT_HEIGHT / 2),
      bottom: Math.max(bottom, middle + SPAN_TEXT_HEIGHT / 2),
    }
  })
  const lanes = assignLanes(stretches)
  return spans.map((span, i) => ({ span, middle: stretches[i]?.middle ?? 0, lane: lanes[i] ?? 0 }))
}

function Empty() {
  return (
    <Box
      sx={{
        height: '100%',
        display: 'grid',
        placeItems: 'center',
        color: 'text.secondary',
        textAlign: 'center',
        px: 4,
      }}
    >
      <p>
        The ladder fills as you read: take suction pressure first.
        <br />
        The gaps between its rungs are the diagnosis.
      </p>
    </Box>
  )
}

type CaptionProps = {
  spans: readonly LadderSpan[]
  display: Display
  onActive: (id: string | undefined) => void
}

/** The spans for which no lane is left on a narrow screen, in words. */
function Caption({ spans, display, onActive }: CaptionProps) {
  if (spans.length === 0) return null
  return (
    <Box
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        columnGap: 2,
        fontSize: '0.9rem',
        lineHeight: `${CAPTION_LINE}px`,
      }}
    >
      {spans.map((span) => {
        const { value, error, verdict, whole } = spanTexts(span, display)
        return (
          <Box
            component="button"
            key={span.id}
            aria-label={whole}
            onFocus={() => onActive(span.id)}
            onClick={() => onActive(span.id)}
            onBlur={() => onActive(undefined)}
            sx={{
              all: 'unset',
              cursor: 'pointer',
              '&:focus-visible': { outline: `2px solid ${INK.copper}` },
            }}
          >
            {span.label} <strong>{value}</strong> {error} {verdict}
          </Box>
        )
      })}
    </Box>
  )
}

/** Formula, numbers and where the target comes from, of the span that is pointed at, touched or focused. */
function Explained({ span, display }: { span: LadderSpan | undefined; display: Display }) {
  if (!span) return null
  return (
    <Box
      data-explained={span.id}
      aria-hidden
      sx={{
        position: 'absolute',
        bottom: 4,
        left: 4,
        right: 4,
        px: 1,
        py: 0.5,
        bgcolor: 'background.paper',
        border: 1,
        borderColor: 'primary.main',
        borderRadius: 1,
        fontSize: '0.9rem',
        pointerEvents: 'none',
      }}
    >
      {spanTexts(span, display).whole}
    </Box>
  )
}

const CAPTION_LINE = 24
/** Width of one span in words, pixels. */
const CAPTION_SPAN = 165

/** Room for the spans in words, pixels. */
const captionHeight = (count: number, width: number) =>
  CAPTION_LINE * Math.ceil(Math.max(count, 0) / Math.max(Math.floor(width / CAPTION_SPAN), 1))

type DrawingProps = Props & { width: number; height: number }

function Drawing({ model, display, title, alongside = [], spansBeside = 0, zoom = 1, ...box }: DrawingProps) {
  const [width, outer] = [box.width / zoom, box.height / zoom]
  const [active, setActive] = useState<string>()
  const { rungs, spans } = model
  const narrow = width < NARROW
  const labelX = width - (narrow ? LABELS_NARROW : LABELS)
  const room = labelX - 34 - AXIS - 14
  const most = Math.max(Math.floor(room / LEAST_LANE), 0)
  const kelvins = [...kelvinsOf(model), ...alongside]
  const fits = (height: number) =>
    placeSpans(spans, scaleFor(kelvins, height)).every(({ lane }) => lane < most)
  const full = outer - 2 * MARGIN - 8
  const spilled = Math.max(spans.length, spansBeside) - most
  const withoutCaption = spansBeside === 0 && fits(full)
  const height = Math.max(withoutCaption ? full : full - captionHeight(spilled, width), 200)
  const scale = scaleFor(kelvins, height)
  const placed = placeSpans(spans, scale)
  const drawn = placed.filter(({ lane }) => lane < most)
  const laneWidth = room / Math.max(...drawn.map(({ lane }) => lane + 1), 1)
  const labels = spreadLabels(
    rungs.map((rung) => scale.y(rung.kelvin)),
    LABEL_GAP,
    height,
  )
  return (
    <>
      <svg
        width={width * zoom}
        height={(height + 2 * MARGIN + 8) * zoom}
        viewBox={`0 0 ${width} ${height + 2 * MARGIN + 8}`}
        role="group"
        aria-label={title}
        style={{ display: 'block' }}
      >
        <defs>
          <Ramp scale={scale} />
        </defs>
        <g transform={`translate(0 ${MARGIN + 6})`}>
          <Axis scale={scale} display={display} />
          {rungs.map((rung, i) => (
            <RungMark
              key={rung.id}
              {...{ rung, scale, labelX, width, display, narrow }}
              labelY={labels[i] ?? 0}
            />
          ))}
          {drawn.map(({ span, middle, lane }) => (
            <SpanMark
              key={span.id}
              {...{ span, scale, middle }}
              x={AXIS + 20 + lane * laneWidth}
              texts={spanTexts(span, display)}
              active={active === span.id}
              onActive={(on) => setActive(on ? span.id : undefined)}
              narrow={laneWidth < 96}
            />
          ))}
        </g>
      </svg>
      <Caption
        spans={placed.filter(({ lane }) => lane >= most).map(({ span }) => span)}
        display={display}
        onActive={setActive}
      />
      <Explained span={spans.find(({ id }) => id === active)} display={display} />
    </>
  )
}

/** One vertical temperature scale; every temperature a rung, every gap a span with its target band. */
export const Ladder = memo(function Ladder(props: Props) {
  const [box, { width, height }] = useElementSize<HTMLDivElement>()
  const empty = props.model.rungs.length === 0
  return (
    <Box ref={box} sx={{ width: '100%', height: '100%', minHeight: 320, position: 'relative' }}>
      {empty ? <Empty /> : width > 0 && <Drawing {...props} width={width} height={height} />}
    </Box>
  )
})
