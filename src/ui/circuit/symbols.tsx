import { INK } from '../theme/tokens'
import { asPoints, middleOf, type Point, type Rect } from './geometry'
import { COMPRESSOR_RADIUS, VALVE_HALF } from './frame'
import type { Phase, Pipe } from './layoutTypes'
import type { CoilView } from './loop'

const PIPE = 7
const LOOK: Readonly<Record<Phase, { dash: string | undefined; hollow: boolean }>> = {
  liquid: { dash: undefined, hollow: false },
  mixed: { dash: '7 4', hollow: false },
  vapour: { dash: undefined, hollow: true },
}

/** A pipe: solid for liquid, dashed for a mixture, hollow for vapour; the arrow says where it flows. */
export function PipeMark({ pipe, colour, flows }: { pipe: Pipe; colour: string; flows: boolean }) {
  const { dash, hollow } = LOOK[pipe.phase]
  const { at, angle } = middleOf(pipe.points)
  const line = { points: asPoints(pipe.points), fill: 'none', strokeLinejoin: 'round' } as const
  return (
    <g data-pipe={pipe.id}>
      <polyline {...line} stroke={colour} strokeWidth={PIPE} strokeDasharray={dash} />
      {hollow && <polyline {...line} stroke={INK.paper} strokeWidth={PIPE - 3.5} />}
      {flows && (
        <polygon
          points="-7,-7 7,0 -7,7"
          transform={`translate(${at.x} ${at.y}) rotate(${angle})`}
          fill={colour}
          stroke={INK.paper}
          strokeWidth={1.5}
        />
      )}
    </g>
  )
}

/** The tube of a coil, to and fro. */
function serpentine({ x, y, width, height }: Rect): string {
  const [turns, inset] = [9, 10]
  const step = (width - 2 * inset) / turns
  const [high, low] = [y + 9, y + height - 9]
  return Array.from({ length: turns + 1 }, (_v, i) => {
    const px = x + inset + i * step
    return i % 2 === 0 ? `${px},${high} ${px},${low}` : `${px},${low} ${px},${high}`
  }).join(' ')
}

const WAVES = [0.18, 0.5, 0.82]

/** Air as straight strokes, water as waves, on the side where the stream enters. */
function StreamMarks({ rect, medium, y }: { rect: Rect; medium: CoilView['medium']; y: number }) {
  return (
    <g stroke={INK.quiet} strokeWidth={1.4} fill="none">
      {WAVES.map((share) => {
        const x = rect.x + share * rect.width
        return medium === 'water' ? (
          <path key={share} d={`M${x - 12} ${y} q4 -6 8 0 t8 0 t8 0`} />
        ) : (
          <path key={share} d={`M${x} ${y - 4} v8 m-3.5 -4 l3.5 4 l3.5 -4`} />
        )
      })}
    </g>
  )
}

function CoilWords({ rect, name, note }: { rect: Rect; name: string; note: string }) {
  const line = {
    x: rect.x + rect.width / 2,
    textAnchor: 'middle',
    stroke: INK.raised,
    strokeWidth: 4,
    paintOrder: 'stroke',
  } as const
  return (
    <>
      <text {...line} y={rect.y + 21} fontSize={13} fontWeight={650} fill={INK.ink}>
        {name}
      </text>
      <text {...line} y={rect.y + 38} fontSize={11.5} fill={INK.quiet}>
        {note}
      </text>
    </>
  )
}

type CoilProps = { rect: Rect; coil: CoilView; colour: string; note: string | undefined; streamY: number }

/** A coil with its name, and what the refrigerant does in it; without a note it is drawn bare. */
export function CoilMark({ rect, coil, colour, note, streamY }: CoilProps) {
  return (
    <g>
      <rect {...rect} rx={5} fill={INK.raised} stroke={INK.ink} strokeWidth={1.5} />
      <polyline points={serpentine(rect)} fill="none" stroke={colour} strokeWidth={2.5} opacity={0.55} />
      {note !== undefined && <CoilWords rect={rect} name={coil.name} note={note} />}
      {coil.medium === 'box' && (
        <rect
          x={rect.x - 6}
          y={rect.y - 6}
          width={rect.width + 12}
          height={rect.height + 12}
          rx={3}
          fill="none"
          stroke={INK.ink}
          strokeWidth={1.2}
          strokeDasharray="10 4 2 4"
        />
      )}
      <StreamMarks rect={rect} medium={coil.medium} y={streamY} />
    </g>
  )
}

export function CompressorMark({ at, flows }: { at: Point; flows: boolean }) {
  const r = COMPRESSOR_RADIUS
  return (
    <g data-part="compressor">
      <circle cx={at.x} cy={at.y} r={r} fill={INK.raised} stroke={INK.ink} strokeWidth={2} />
      <path
        d={`M${at.x - r * 0.6} ${at.y + r * 0.62} L${at.x - 6} ${at.y - r * 0.72} M${at.x + r * 0.6} ${at.y + r * 0.62} L${at.x + 6} ${at.y - r * 0.72}`}
        stroke={INK.ink}
        strokeWidth={1.6}
        strokeDasharray={flows ? undefined : '3 3'}
      />
      <title>Compressor</title>
    </g>
  )
}

/** Four ports and a slide: which coil gets the hot gas is written, and the slide stands on that side. */
export function ReversingValveMark({ at, heating }: { at: Point; heating: boolean }) {
  const h = VALVE_HALF
  const slide = heating ? at.y + 1 : at.y - h + 3
  return (
    <g data-part="reversing-valve" data-mode={heating ? 'heating' : 'cooling'}>
      <rect
        x={at.x - h}
        y={at.y - h}
        width={2 * h}
        height={2 * h}
        rx={6}
        fill={INK.raised}
        stroke={INK.ink}
        strokeWidth={1.8}
      />
      <rect x={at.x - h + 3} y={slide} width={9} height={h - 4} rx={3} fill={INK.ink} />
      <path
        d={`M${at.x + h} ${at.y - 9} Q${at.x} ${at.y - 9} ${at.x} ${at.y - h} M${at.x} ${at.y + h} Q${at.x} ${at.y + 9} ${at.x + h} ${at.y + 9}`}
        fill="none"
        stroke={INK.ink}
        strokeWidth={2}
      />
      <title>{`Reversing valve, ${heating ? 'hot gas to the indoor coil' : 'hot gas to the outdoor coil'}`}</title>
    </g>
  )
}
