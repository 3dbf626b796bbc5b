'use client'
import { INK } from '../theme/tokens'
import { VerdictMark } from '../VerdictMark'
import type { Scale } from '@/core/drawing/ladderLayout'
import type { LadderSpan } from '@/core/drawing/ladderModel'
import type { SpanTexts } from '@/core/drawing/spanText'

type Props = {
  span: LadderSpan
  scale: Scale
  x: number
  middle: number
  texts: SpanTexts
  active: boolean
  onActive: (on: boolean) => void
  narrow: boolean
}

const BAND_WIDTH = 12

/** Where the far end of the span should lie: the target band, counted from the same rung. */
function Band({ span, scale, x }: Pick<Props, 'span' | 'scale' | 'x'>) {
  const { target, from, to, measured } = span
  if (!target) return null
  const direction = measured.value === 0 ? 1 : Math.sign((to - from) * Math.sign(measured.value)) || 1
  const ends = [target.value - target.tolerance, target.value + target.tolerance].map((gap) =>
    scale.y(from + direction * gap),
  )
  const clipped = ends.map((y) => Math.min(Math.max(y, 0), scale.height))
  const [top, bottom] = [Math.min(...clipped), Math.max(...clipped)]
  return (
    <rect
      x={x - BAND_WIDTH / 2}
      y={top}
      width={BAND_WIDTH}
      height={Math.max(bottom - top, 1)}
      fill={INK.copper}
      fillOpacity={0.16}
      stroke={INK.copper}
      strokeOpacity={0.55}
    />
  )
}

/** A bracket between two rungs, its target band behind it, its value beside it. */
export function SpanMark({ span, scale, x, middle, texts, active, onActive, narrow }: Props) {
  const [start, end] = [scale.y(span.from), scale.y(span.to)]
  const ink = active ? INK.copper : INK.ink
  return (
    <g
      role="img"
      tabIndex={0}
      aria-label={texts.whole}
      data-span={span.id}
      // a finger leaves as it lifts: what it touched stays until something else has the focus
      onPointerEnter={({ pointerType }) => pointerType === 'mouse' && onActive(true)}
      onPointerLeave={({ pointerType }) => pointerType === 'mouse' && onActive(false)}
      onClick={() => onActive(true)}
      onFocus={() => onActive(true)}
      onBlur={() => onActive(false)}
      style={{ outlineOffset: 2 }}
    >
      <title>{texts.whole}</title>
      <Band span={span} scale={scale} x={x} />
      <line x1={x} x2={x} y1={start} y2={end} stroke={ink} strokeWidth={active ? 4 : 3} />
      <line x1={x - 8} x2={x + 8} y1={start} y2={start} stroke={ink} strokeWidth={1.5} />
      <line x1={x - 8} x2={x + 8} y1={end} y2={end} stroke={ink} strokeWidth={3} />
      <rect
        x={x + 10}
        y={middle - 28}
        width={narrow ? 64 : 84}
        height={56}
        fill={INK.paper}
        fillOpacity={0.9}
      />
      <text x={x + 14} y={middle - 14} fontSize={narrow ? 11.5 : 12.5} fill={INK.quiet}>
        {span.label}
      </text>
      <text x={x + 14} y={middle + 7} fontSize={narrow ? 16 : 19} fontWeight={700} fill={ink}>
        {texts.value}
        <tspan fontSize={narrow ? 11 : 13} fontWeight={400} dx={4} fill={INK.quiet}>
          {texts.error}
        </tspan>
      </text>
      {span.verdict && (
        <>
          <VerdictMark verdict={span.verdict} x={x + 20} y={middle + 20} />
          <text x={x + 30} y={middle + 20} dy="0.35em" fontSize={13} fill={INK.ink}>
            {texts.verdict}
          </text>
        </>
      )}
    </g>
  )
}
