import { fromKelvin } from '@/core/base/units/convert'
import { type Display, showTemperature } from '@/core/base/units/show'
import { INK } from '../theme/tokens'
import { AXIS } from './Axis'
import type { Scale } from '@/core/drawing/ladderLayout'
import type { Rung } from '@/core/drawing/ladderModel'
import { temperatureInk } from './temperatureInk'

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
const gliding = (y: number) => ({
  transform: `translateY(${y}px)`,
  transition: 'transform 150ms ease-out',
  // a layer of its own: nothing is painted again in each frame of the way
  willChange: 'transform',
})

/** Width of a letter against its size, of the app's face. */
const LETTER = 0.53

/** A name that is too long for its room is drawn closer: it never runs into its value. */
const fitted = (label: string, size: number, room: number) =>
  label.length * size * LETTER > room ? ({ textLength: room, lengthAdjust: 'spacingAndGlyphs' } as const) : {}

/** One temperature: its line, its name, its value. */
export function RungMark({ rung, scale, labelY, labelX, width, display, narrow }: RungProps) {
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
        <text
          x={labelX}
          dy="0.35em"
          fontSize={narrow ? 12 : 13.5}
          fill={INK.quiet}
          {...fitted(rung.label, narrow ? 12 : 13.5, width - labelX - (narrow ? 48 : 58))}
        >
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
