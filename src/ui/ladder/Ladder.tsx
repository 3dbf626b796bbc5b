'use client'
import Box from '@mui/material/Box'
import { useState } from 'react'
import { fromKelvin } from '@/core/units/convert'
import { type Display, showTemperature } from '@/core/units/show'
import { SUNLIGHT } from '../theme'
import { useElementSize } from '../useElementSize'
import { assignLanes, type Scale, scaleFor, spreadLabels, tickStep } from './layout'
import type { LadderModel, LadderSpan, Rung } from './model'
import { spanTexts } from './spanText'
import { SpanMark } from './SpanMark'
import { temperatureColour } from './temperatureColour'

type Props = { model: LadderModel; display: Display; title: string }

const AXIS = 46
const LABELS = 150
const LABELS_NARROW = 112
const LABEL_GAP = 31
const MARGIN = 14
const SPAN_TEXT_HEIGHT = 62
const NARROW = 480

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
        <polyline
          points={breakLine(AXIS - 3, scale.top)}
          fill="none"
          stroke={SUNLIGHT.ink}
          strokeWidth={1.5}
        />
      )}
      {ticks.map((tick) => (
        <g key={tick}>
          <line x1={AXIS} x2={AXIS + 6} y1={y(tick)} y2={y(tick)} stroke={SUNLIGHT.quiet} />
          <text x={AXIS - 11} y={y(tick)} dy="0.35em" textAnchor="end" fontSize={14} fill={SUNLIGHT.quiet}>
            {tick}
          </text>
        </g>
      ))}
      <text x={AXIS - 11} y={-2} textAnchor="end" fontSize={12} fill={SUNLIGHT.quiet}>
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
          stopColor={temperatureColour(scale.hottest - stop * (scale.hottest - scale.coldest))}
        />
      ))}
    </linearGradient>
  )
}

type RungProps = { rung: Rung; scale: Scale; labelY: number; labelX: number; width: number; display: Display }

function RungMark({ rung, scale, labelY, labelX, width, display }: RungProps) {
  const y = scale.y(rung.kelvin)
  const colour = temperatureColour(rung.kelvin)
  const other = rung.glideTo === undefined ? y : scale.y(rung.glideTo)
  return (
    <g className="rung" data-rung={rung.id} data-y={y.toFixed(2)}>
      <title>{`${rung.label} ${showTemperature(rung.kelvin, display, 1)}`}</title>
      {rung.glideTo !== undefined && (
        <rect
          x={AXIS}
          y={Math.min(y, other)}
          width={labelX - 24 - AXIS}
          height={Math.abs(other - y)}
          fill={colour}
          opacity={0.18}
        />
      )}
      <line
        x1={AXIS}
        x2={labelX - 24}
        y1={y}
        y2={y}
        stroke={colour}
        strokeWidth={rung.derived ? 2.5 : 1.5}
        strokeDasharray={rung.derived ? undefined : '1 3'}
        strokeLinecap="round"
      />
      <polyline
        points={`${labelX - 24},${y} ${labelX - 6},${labelY}`}
        fill="none"
        stroke={SUNLIGHT.hairline}
      />
      <text x={labelX} y={labelY} dy="0.35em" fontSize={13.5} fill={SUNLIGHT.quiet}>
        {rung.label}
      </text>
      <text
        x={width - 2}
        y={labelY}
        dy="0.36em"
        textAnchor="end"
        fontSize={19}
        fontWeight={650}
        fill={colour}
      >
        {fromKelvin(rung.kelvin, display.temperature).toFixed(1)}
      </text>
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

/** One vertical temperature scale; every temperature a rung, every gap a span with its target band. */
export function Ladder({ model, display, title }: Props) {
  const [box, size] = useElementSize<HTMLDivElement>()
  const [active, setActive] = useState<string>()
  const { rungs, spans } = model
  const height = Math.max(size.height - 2 * MARGIN - 8, 200)
  const { width } = size
  const scale = scaleFor(
    [...rungs.flatMap((r) => [r.kelvin, r.glideTo ?? r.kelvin]), ...spans.map((s) => s.to)],
    height,
  )
  const labelWidth = width < NARROW ? LABELS_NARROW : LABELS
  const labelX = width - labelWidth
  const labels = spreadLabels(
    rungs.map((rung) => scale.y(rung.kelvin)),
    LABEL_GAP,
    height,
  )
  const placed = placeSpans(spans, scale)
  const lanes = Math.max(...placed.map(({ lane }) => lane + 1), 1)
  const laneWidth = (labelX - 34 - AXIS - 14) / lanes
  return (
    <Box ref={box} sx={{ width: '100%', height: '100%', minHeight: 320, position: 'relative' }}>
      {rungs.length === 0 && <Empty />}
      {rungs.length > 0 && width > 0 && (
        <svg width={width} height={size.height} role="group" aria-label={title} style={{ display: 'block' }}>
          <defs>
            <Ramp scale={scale} />
          </defs>
          <g transform={`translate(0 ${MARGIN + 6})`}>
            <Axis scale={scale} display={display} />
            {rungs.map((rung, i) => (
              <RungMark
                key={rung.id}
                rung={rung}
                scale={scale}
                labelY={labels[i] ?? 0}
                labelX={labelX}
                width={width}
                display={display}
              />
            ))}
            {placed.map(({ span, middle, lane }) => (
              <SpanMark
                key={span.id}
                span={span}
                scale={scale}
                x={AXIS + 20 + lane * laneWidth}
                middle={middle}
                texts={spanTexts(span, display)}
                active={active === span.id}
                onActive={(on) => setActive(on ? span.id : undefined)}
                narrow={laneWidth < 96}
              />
            ))}
          </g>
        </svg>
      )}
    </Box>
  )
}
