import { fromKelvin } from '@/core/base/units/convert'
import type { Display } from '@/core/base/units/show'
import { INK } from '../theme/tokens'
import { type Scale, tickStep } from '@/core/drawing/ladderLayout'
import { temperatureInk } from './temperatureInk'

/** Width of the scale, pixels. */
export const AXIS = 46

/** The zigzag that says: the scale is cut here. */
const breakLine = (x: number, bottom: number): string =>
  [0, 1, 2, 3, 4].map((i) => `${x + (i % 2 === 0 ? -6 : 6)},${bottom - 4 - i * 5}`).join(' ')

/** The temperature scale at the left, cut where one rung stands far above. */
export function Axis({ scale, display }: { scale: Scale; display: Display }) {
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

/** The colours of the scale, from cold to hot. */
export function Ramp({ scale }: { scale: Scale }) {
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
