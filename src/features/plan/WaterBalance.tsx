'use client'
import Box from '@mui/material/Box'
import { useId } from 'react'
import type { WaterLedger, WaterLine } from '@/core/repair/cleanup/water'
import { INK } from '@/ui/theme/tokens'
import { grams } from '../shared/planText'

const WIDTH = 640
const BAR = 26
const TOP = 34
const TALL = 200
/** Centre lines of the two bars. */
const LEFT = 196
const RIGHT = 418
const LEAST = 3
const LINE = 17

type Part = { readonly label: string; readonly kg: number; readonly tone: 'in' | 'out' | 'left' }

type Placed = Part & { readonly y: number; readonly height: number; readonly textY: number }

/** Parts below each other in proportion; their names are moved apart where they would touch. */
function placed(parts: readonly Part[], perKg: number): Placed[] {
  let [y, text] = [TOP, Number.NEGATIVE_INFINITY]
  return parts.map((part) => {
    const height = Math.max(part.kg * perKg, LEAST)
    const textY = Math.max(y + height / 2 + 5, text + 2 * LINE)
    const here = { ...part, y, height, textY }
    y += height
    text = textY
    return here
  })
}

const FILL = { in: INK.quiet, out: INK.hairline, left: INK.copper } as const

const partOf =
  (tone: Part['tone']) =>
  ({ label, kg }: WaterLine): Part => ({ label, kg: kg.likely, tone })

/** A long name in two lines. */
function inTwo(label: string): readonly string[] {
  if (label.length <= 26) return [label]
  const at = label.lastIndexOf(' ', 26)
  const rest = label.slice(at + 1)
  return [label.slice(0, at), rest.length > 28 ? `${rest.slice(0, 27)}…` : rest]
}

function Column({ parts, x, side }: { parts: readonly Placed[]; x: number; side: 'left' | 'right' }) {
  const textX = side === 'left' ? x - BAR / 2 - 12 : x + BAR / 2 + 12
  const anchor = side === 'left' ? 'end' : 'start'
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
        d={`M ${side === 'left' ? x - BAR / 2 : x + BAR / 2} ${y + height / 2} L ${side === 'left' ? textX + 3 : textX - 3} ${textY - 5}`}
        style={{ stroke: INK.quiet, fill: 'none' }}
      />
      <text
        x={textX}
        y={textY}
        textAnchor={anchor}
        style={{ fill: INK.ink, fontSize: 14, fontWeight: tone === 'left' ? 700 : 400 }}
      >
        <tspan style={{ fontWeight: 700 }}>{grams(kg)}</tspan>
        {inTwo(label).map((line, i) => (
          <tspan
            key={line}
            x={i === 0 ? undefined : textX}
            dy={i === 0 ? undefined : LINE - 2}
            dx={i === 0 ? 6 : undefined}
          >
            {line}
          </tspan>
        ))}
      </text>
    </g>
  ))
}

/** Water as a balance: what came in stands left, what takes it out right, and what is left for the dryer below. */
export function WaterBalance({ water, roomGrams }: { water: WaterLedger; roomGrams: string }) {
  const title = useId()
  const total = Math.max(water.total.likely, 1e-9)
  const perKg = TALL / total
  const sources = placed(water.sources.map(partOf('in')), perKg)
  const left: Part = { label: `left for the dryer, ${roomGrams}`, kg: water.remainder.likely, tone: 'left' }
  const sinks = placed([...water.sinks.map(partOf('out')), left], perKg)
  const lowest = Math.max(
    ...[...sources, ...sinks].map(({ y, height, textY }) => Math.max(y + height, textY + LINE)),
  )
  const words = `${grams(total)} of water in; ${grams(water.removed.likely)} out; ${grams(water.remainder.likely)} left`
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <svg
        viewBox={`0 0 ${WIDTH} ${Math.ceil(lowest + 10)}`}
        role="img"
        aria-labelledby={title}
        style={{ width: '100%', minWidth: 330, maxWidth: 760, display: 'block' }}
      >
        <title id={title}>{words}</title>
        <text x={LEFT} y={20} textAnchor="middle" style={{ fill: INK.ink, fontSize: 15, fontWeight: 700 }}>
          In {grams(total)}
        </text>
        <text x={RIGHT} y={20} textAnchor="middle" style={{ fill: INK.ink, fontSize: 15, fontWeight: 700 }}>
          Out {grams(water.removed.likely)}
        </text>
        <path
          d={`M ${LEFT + BAR / 2} ${TOP} L ${RIGHT - BAR / 2} ${TOP} L ${RIGHT - BAR / 2} ${TOP + TALL} L ${LEFT + BAR / 2} ${TOP + TALL} Z`}
          style={{ fill: INK.copperWash, stroke: 'none' }}
        />
        <Column parts={sources} x={LEFT} side="left" />
        <Column parts={sinks} x={RIGHT} side="right" />
      </svg>
    </Box>
  )
}
