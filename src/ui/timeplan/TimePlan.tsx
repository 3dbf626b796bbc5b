'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useId } from 'react'
import type { DayPlan } from '@/core/repair/day/planDay'
import { INK } from '../theme/tokens'
import { useElementSize } from '../useElementSize'
import { type Bar, type Lane, type Strip, stripOf, timeAt } from './layout'
import { useDragTime } from './useDragTime'

const NAMES = 118
const RIGHT = 24
const LANE = 48
const BAR = 34
const TOP = 46
const FIRST_WIDTH = 720
/** A bar wide enough for its number, px. */
const NUMBER_WIDTH = 15
/** [practice] width of a letter of the name in a bar, px, and what stays free at its ends. */
const LETTER = 6.8
const MARGIN = 10

/** [practice] a name of which fewer letters are left tells nothing. */
const LEAST_LETTERS = 8

/** What of number and name fits into a bar: all of it, its beginning, or the number. */
function textIn(width: number, number: number, name: string): string {
  const whole = `${number} ${name}`
  const letters = Math.floor((width - MARGIN) / LETTER)
  if (letters >= whole.length) return whole
  if (letters >= LEAST_LETTERS) return `${whole.slice(0, letters - 1).trimEnd()}…`
  return width >= NUMBER_WIDTH ? String(number) : ''
}

type Props = {
  day: DayPlan
  labels: ReadonlyMap<string, string>
  /** tasks that were dragged or typed to a time */
  pinned: readonly string[]
  chosen: string | undefined
  /** the task that is pointed at, here or in the list */
  lit: string | undefined
  onLight: (id: string | undefined) => void
  onChoose: (id: string) => void
  onMove: (id: string, minutes: number) => void
  onFree: (id: string) => void
}

type StripProps = Props & { strip: Strip; width: number; hatch: string }

function Band({
  x,
  width,
  height,
  fill,
  text,
  y = TOP - 6,
}: {
  x: number
  width: number
  height: number
  fill: string
  text?: string
  y?: number
}) {
  return (
    <g>
      <rect x={x} y={y} width={width} height={height} style={{ fill }} />
      {text && width > 30 && (
        <text x={x + 4} y={y - 5} style={{ fill: INK.quiet, fontSize: 13 }}>
          {text}
        </text>
      )}
    </g>
  )
}

/** Weather, breaks and the open circuit lie behind the bars, each with its word above. */
function Behind({
  strip,
  x,
  height,
  hatch,
}: {
  strip: Strip
  x: (minute: number) => number
  height: number
  hatch: string
}) {
  const bands = [
    ...(strip.open ? [{ ...strip.open, fill: INK.copperWash, text: 'circuit open' }] : []),
    ...strip.nights.map((each) => ({ ...each, fill: `url(#${hatch}-night)`, text: 'closed' })),
    ...strip.breaks.map((each) => ({ ...each, fill: INK.hairline, text: 'break' })),
    ...strip.rain.map((each) => ({ ...each, fill: `url(#${hatch}-rain)`, text: 'rain' })),
  ]
  return bands.map(({ from, to, fill, text }) => (
    <Band
      key={`${text}${from}`}
      x={x(from)}
      width={x(to) - x(from)}
      height={height}
      fill={fill}
      text={text}
    />
  ))
}

function Patterns({ id }: { id: string }) {
  const lines = [
    ['alone', INK.quiet, 'M -2 2 l 4 -4 M 0 8 l 8 -8 M 6 10 l 4 -4', 8],
    ['rain', INK.quiet, 'M 3 0 L 1 6', 7],
    ['night', INK.hairline, 'M 0 4 L 8 4', 8],
  ] as const
  return (
    <defs>
      {lines.map(([name, ink, d, size]) => (
        <pattern key={name} id={`${id}-${name}`} width={size} height={size} patternUnits="userSpaceOnUse">
          <path d={d} style={{ stroke: ink, strokeWidth: 1.4, fill: 'none' }} />
        </pattern>
      ))}
    </defs>
  )
}

type BarProps = {
  bar: Bar
  lane: Lane
  y: number
  x: (minute: number) => number
  shift: number
  name: string
  isLit: boolean
  isChosen: boolean
  isPinned: boolean
  hatch: string
}

function BarMark({ bar, lane, y, x, shift, name, isLit, isChosen, isPinned, hatch }: BarProps) {
  const from = x(bar.from + shift)
  const width = Math.max(2, x(bar.to) - x(bar.from))
  const text = bar.isAlone ? '' : textIn(width, bar.number, name)
  const fill = bar.isAlone ? `url(#${hatch}-alone)` : lane.kind === 'person' ? INK.ink : INK.hairline
  return (
    <g>
      <rect
        x={from}
        y={y + (LANE - BAR) / 2}
        width={width}
        height={BAR}
        rx={2}
        style={{
          fill,
          stroke: isChosen || isLit ? INK.copper : INK.ink,
          strokeWidth: isLit ? 5 : isChosen ? 3 : 1,
        }}
      />
      {text && (
        <text
          x={from + width / 2}
          y={y + LANE / 2 + 5}
          textAnchor="middle"
          style={{
            fill: lane.kind === 'person' ? INK.paper : INK.ink,
            fontSize: 14,
            fontWeight: 700,
            pointerEvents: 'none',
          }}
        >
          {text}
        </text>
      )}
      {isPinned && lane.kind === 'person' && (
        <circle cx={from + 1} cy={y + 5} r={4} style={{ fill: INK.copper }} />
      )}
    </g>
  )
}

/** A task by its first words. */
const shortName = (label: string): string => label.split(/[:;,]/)[0] as string

/** "6. Recover and weigh the refrigerant, 09:10 to 09:40" */
export const barText = (
  day: DayPlan,
  labels: ReadonlyMap<string, string>,
  { id, number, from, to }: Pick<Bar, 'id' | 'number' | 'from' | 'to'>,
): string => `${number}. ${labels.get(id) ?? id}, ${timeAt(day, from)} to ${timeAt(day, to)}`

/** One visit: people and machines as lanes, the clock along the top. */
function StripView({
  strip,
  width,
  hatch,
  day,
  labels,
  pinned,
  chosen,
  lit,
  onLight,
  onChoose,
  onMove,
  onFree,
}: StripProps) {
  const scale = (width - NAMES - RIGHT) / Math.max(1, strip.to - strip.from)
  const x = (minute: number) => NAMES + (minute - strip.from) * scale
  const height = strip.lanes.length * LANE
  const { shiftOf, handlers } = useDragTime({ perPixel: 1 / scale, onMove, onChoose, onFree })
  return (
    <svg
      width={width}
      height={TOP + height + 8}
      role="group"
      aria-label={`Time plan, ${strip.title}`}
      style={{ display: 'block', touchAction: 'pan-y' }}
    >
      <Behind strip={strip} x={x} height={height + 6} hatch={hatch} />
      {strip.ticks.map((minute) => (
        <g key={minute}>
          <path d={`M ${x(minute)} ${TOP - 6} V ${TOP + height}`} style={{ stroke: INK.hairline }} />
          <text x={x(minute)} y={16} textAnchor="middle" style={{ fill: INK.ink, fontSize: 14 }}>
            {timeAt(day, minute)}
          </text>
        </g>
      ))}
      {strip.lanes.map((lane, i) => (
        <g key={lane.name}>
          <path d={`M 0 ${TOP + i * LANE} H ${width}`} style={{ stroke: INK.hairline }} />
          <text
            x={0}
            y={TOP + i * LANE + LANE / 2 + 5}
            style={{ fill: INK.ink, fontSize: 14, fontWeight: lane.kind === 'person' ? 700 : 400 }}
          >
            {lane.name}
          </text>
          {lane.bars.map((bar) => {
            const isHands = lane.kind === 'person' && !bar.isHelp
            const label = `${barText(day, labels, bar)}${pinned.includes(bar.id) ? ', moved by hand' : ''}`
            return (
              <g
                key={`${bar.id}${bar.isAlone}`}
                {...(isHands
                  ? { role: 'button', tabIndex: 0, 'aria-label': label, 'data-bar': bar.id }
                  : { 'aria-hidden': true })}
                {...handlers(bar.id, bar.from)}
                onPointerEnter={() => onLight(bar.id)}
                onPointerLeave={() => onLight(undefined)}
                onFocus={() => onLight(bar.id)}
                onBlur={() => onLight(undefined)}
                style={{ cursor: 'grab', outlineColor: INK.copper }}
              >
                <BarMark
                  {...{ bar, lane, x, hatch }}
                  y={TOP + i * LANE}
                  shift={shiftOf(bar.id)}
                  name={shortName(labels.get(bar.id) ?? bar.id)}
                  isLit={lit === bar.id}
                  isChosen={chosen === bar.id}
                  isPinned={pinned.includes(bar.id)}
                />
              </g>
            )
          })}
        </g>
      ))}
    </svg>
  )
}

/**
 * The day as a day: who does what when, which machine runs unattended, when the circuit is open, weather and closing. Bars
 * are dragged along the clock, or moved by the arrow keys; their numbers are those of the list.
 */
export function TimePlan(props: Props) {
  const [ref, size] = useElementSize<HTMLDivElement>()
  const hatch = useId().replace(/[^\w-]/g, '')
  const width = size.width || FIRST_WIDTH
  const { day } = props
  return (
    <Box ref={ref} sx={{ width: '100%', overflow: 'hidden' }}>
      <svg width={0} height={0} style={{ position: 'absolute' }} aria-hidden>
        <Patterns id={hatch} />
      </svg>
      {day.visits.map((visit) => {
        const strip = stripOf(day, visit)
        return (
          <Box key={visit.from} sx={{ mb: 1 }}>
            {(day.visits.length > 1 || day.calendar.isDated) && (
              <Typography sx={{ fontWeight: 650 }}>{strip.title}</Typography>
            )}
            <StripView {...props} strip={strip} width={width} hatch={hatch} />
          </Box>
        )
      })}
    </Box>
  )
}
