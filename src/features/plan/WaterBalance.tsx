'use client'
import Box from '@mui/material/Box'
import { useId } from 'react'
import type { WaterLedger, WaterLine } from '@/core/repair/cleanup/water'
import { INK } from '@/ui/theme/tokens'
import { useElementSize } from '@/ui/useElementSize'
import { grams } from '@/core/report/planText'

const BAR = 26
const TOP = 30
const TALL = 168
const LEAST = 3
const LINE = 17
/** Width before the place was measured, and the widest drawing, px. */
const FIRST = 420
const WIDEST = 560

type Part = { readonly label: string; readonly kg: number; readonly tone: 'in' | 'out' | 'left' }
type Placed = Part & { readonly y: number; readonly height: number; readonly textY: number }

/** Parts below each other in proportion; their names are moved apart where they would touch. */
function placed(parts: readonly Part[], perKg: number): Placed[] {
  let [y, text] = [TOP, Number.NEGATIVE_INFINITY]
  return parts.map((part) => {
    const height = Math.max(part.kg * perKg, LEAST)
    const textY = Math.max(y + height / 2 - 3, text + 2 * LINE + 4)
    const here = { ...part, y, height, textY }
    y += height
    text = textY
    return here
  })
}

const FILL = { in: INK.quiet, out: INK.hairline, left: INK.copper } as const

const partOf =
  (tone: Part['tone']) =>
  ({ short, kg }: WaterLine): Part => ({ label: short, kg: kg.likely, tone })

function Column({ parts, x, side }: { parts: readonly Placed[]; x: number; side: 'left' | 'right' }) {
  const edge = side === 'left' ? x - BAR / 2 : x + BAR / 2
  const textX = side === 'left' ? edge - 16 : edge + 16
  return parts.map(({ label, kg, tone, y, height, textY }) => (
    <g key={label}>
      <rect
        x={x - BAR / 2}
        y={y}
        width={BAR}
        height={height}
        style={{ fill: FILL[tone], stroke: INK.ink, strokeWidth: 1 }}
      />
      <path
        d={`M ${edge} ${y + height / 2} L ${side === 'left' ? textX + 3 : textX - 3} ${textY - 5}`}
        style={{ stroke: INK.quiet, fill: 'none' }}
      />
      <text
        x={textX}
        y={textY}
        textAnchor={side === 'left' ? 'end' : 'start'}
        style={{ fill: INK.ink, fontSize: 15 }}
      >
        <tspan style={{ fontWeight: 700 }}>{grams(kg)}</tspan>{' '}
        <tspan x={textX} dy={LINE} style={{ fontSize: 14, fontWeight: tone === 'left' ? 700 : 400 }}>
          {label}
        </tspan>
      </text>
    </g>
  ))
}

/** Water as a balance: what came in stands left, what takes it out right, and what is left for the dryer below. */
export function WaterBalance({ water, room }: { water: WaterLedger; room: string }) {
  const title = useId()
  const [ref, size] = useElementSize<HTMLDivElement>()
  const width = Math.min(size.width || FIRST, WIDEST)
  const [left, right] = [width * 0.35, width * 0.6]
  const total = Math.max(water.total.likely, 1e-9)
  const perKg = TALL / total
  const sources = placed(water.sources.map(partOf('in')), perKg)
  const rest: Part = { label: `left, ${room}`, kg: water.remainder.likely, tone: 'left' }
  const sinks = placed([...water.sinks.map(partOf('out')), rest], perKg)
  const lowest = Math.max(
    ...[...sources, ...sinks].map(({ y, height, textY }) => Math.max(y + height, textY + LINE)),
  )
  const tall = Math.ceil(lowest + 8)
  const words = `${grams(total)} of water in; ${grams(water.removed.likely)} out; ${grams(water.remainder.likely)} left`
  return (
    <Box ref={ref} sx={{ width: '100%', overflow: 'hidden' }}>
      <svg width={width} height={tall} role="img" aria-labelledby={title} style={{ display: 'block' }}>
        <title id={title}>{words}</title>
        {(
          [
            [left, `In ${grams(total)}`],
            [right, `Out ${grams(water.removed.likely)}`],
          ] as const
        ).map(([x, text]) => (
          <text
            key={text}
            x={x}
            y={18}
            textAnchor="middle"
            style={{ fill: INK.ink, fontSize: 15, fontWeight: 700 }}
          >
            {text}
          </text>
        ))}
        <rect
          x={left + BAR / 2}
          y={TOP}
          width={right - left - BAR}
          height={TALL}
          style={{ fill: INK.copperWash, stroke: 'none' }}
        />
        <Column parts={sources} x={left} side="left" />
        <Column parts={sinks} x={right} side="right" />
      </svg>
    </Box>
  )
}
