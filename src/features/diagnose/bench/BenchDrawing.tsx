'use client'
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import { COMPRESSOR_PATH, nextPoint, type Tested } from '@/core/diagnosis/electrical/supplyPath'
import type { UnitPlate } from '@/core/record/equipment/unit'
import type { Readings } from '@/core/record/readings/schema'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { INK } from '@/ui/theme/tokens'
import { showReading } from './showReading'
import {
  type BenchPart,
  clampsOf,
  DRAWING,
  fedBy,
  MOTOR_SHELL,
  type Probe,
  partsOf,
  probesBetween,
  probesOf,
  wiresOf,
} from './probes'
import { PointButton } from './PointButton'

type Props = {
  unit: UnitPlate
  readings: Readings
  tested: Tested
  /** first of two probes that were put on */
  probe: string | undefined
  openKey: ReadingKey | undefined
  /** whether points may be tested live now */
  mayTest: boolean
  onProbe: (id: string) => void
  onKey: (key: ReadingKey) => void
  onPoint: (id: string) => void
}

const TARGET = 48
const OUTSIDE = 22
const ROWS = [38, 92, 146, 214, 268]
const ROW_X = 215
const percentOf = (value: number, whole: number) => `${(100 * value) / whole}%`

/** Wires, contacts, shell and windings behind the buttons. */
function Wiring({ unit }: { unit: UnitPlate }) {
  const wires = wiresOf(unit)
  const fed = fedBy(unit)
  const line = { stroke: INK.ink, strokeWidth: 1.5, fill: 'none' } as const
  const { x, y, radius } = MOTOR_SHELL
  const terminals = probesOf(unit).filter(({ id }) => /^(T|C$|R$|S$)/.test(id))
  return (
    <g aria-hidden>
      {wires.map((at, i) => (
        <g key={at}>
          <path d={`M${at} 12 V172`} {...line} />
          <path d={`M${at} 172 l14 22`} {...line} />
          <circle cx={at} cy={172} r={3} fill={INK.ink} />
          <circle cx={at} cy={198} r={3} fill={INK.ink} />
          <path
            d={`M${at} 198 V300 L${terminals[fed[i] ?? 0]?.x ?? at} ${(terminals[fed[i] ?? 0]?.y ?? y) - 24}`}
            {...line}
          />
        </g>
      ))}
      {ROWS.map((row) => (
        <path
          key={row}
          d={`M${wires[0]} ${row} H${ROW_X}`}
          stroke={INK.hairline}
          strokeWidth={1}
          strokeDasharray="2 4"
        />
      ))}
      <circle cx={x} cy={y} r={radius} {...line} />
      <path
        d={terminals.map(({ x: tx, y: ty }, i) => `${i === 0 ? 'M' : 'L'}${tx} ${ty}`).join(' ') + ' Z'}
        stroke={INK.hairline}
        strokeWidth={6}
        fill="none"
      />
      <path d={`M${x} ${y + radius} V${515 - 24}`} {...line} strokeDasharray="3 3" />
    </g>
  )
}

/** The number that was read between two probes, written at the middle. */
function Between({
  probes,
  keyRead,
  readings,
}: {
  probes: readonly Probe[]
  keyRead: ReadingKey
  readings: Readings
}) {
  const reading = readings[keyRead]
  const ends = probesBetween(keyRead)?.map((id) => probes.find((probe) => probe.id === id))
  if (!reading || !ends?.[0] || !ends[1]) return null
  const [a, b] = ends as [Probe, Probe]
  const isLine = a.id.startsWith('L')
  const y = (a.y + b.y) / 2 - (isLine ? 34 : 0)
  // Slanting edges carry their number outside the triangle.
  const slant = Math.sign((a.x - b.x) * (a.y - b.y))
  const x = (a.x + b.x) / 2 + slant * OUTSIDE * (isLine ? 0 : 1)
  return (
    <text
      x={x}
      y={y + 5}
      textAnchor="middle"
      fontSize={13}
      fontWeight={700}
      fill={INK.ink}
      stroke={INK.paper}
      strokeWidth={4}
      paintOrder="stroke"
    >
      {showReading(reading)}
    </text>
  )
}

const PAIR_KEYS: readonly ReadingKey[] = [
  'voltageL1L2',
  'voltageL2L3',
  'voltageL3L1',
  'ohmsT1T2',
  'ohmsT2T3',
  'ohmsT3T1',
  'ohmsCR',
  'ohmsCS',
  'ohmsRS',
]

function Spot({
  x,
  y,
  label,
  name,
  pressed,
  round,
  onClick,
}: {
  x: number
  y: number
  label: string
  name: string
  pressed: boolean
  round: boolean
  onClick: () => void
}) {
  return (
    <ButtonBase
      onClick={onClick}
      aria-label={name}
      aria-pressed={pressed}
      sx={{
        position: 'absolute',
        left: percentOf(x, DRAWING.width),
        top: percentOf(y, DRAWING.height),
        width: TARGET,
        height: TARGET,
        transform: 'translate(-50%, -50%)',
        borderRadius: round ? '50%' : 1,
        border: pressed ? 3 : 1.5,
        borderColor: pressed ? 'primary.main' : 'text.primary',
        bgcolor: pressed ? INK.copperWash : 'background.paper',
        font: 'inherit',
        fontWeight: 700,
        '&:focus-visible': { outline: `3px solid ${INK.copper}`, outlineOffset: 2 },
      }}
    >
      {label}
    </ButtonBase>
  )
}

type PartProps = { part: BenchPart; taken: number; pressed: boolean; onClick: () => void }

/** A part beside the motor, with how many of its readings are there. */
function PartButton({ part, taken, pressed, onClick }: PartProps) {
  return (
    <ButtonBase
      onClick={onClick}
      aria-pressed={pressed}
      sx={{
        position: 'absolute',
        left: percentOf(ROW_X, DRAWING.width),
        right: 0,
        top: percentOf(part.y, DRAWING.height),
        transform: 'translateY(-50%)',
        minHeight: TARGET,
        px: 1,
        border: pressed ? 3 : 1.5,
        borderColor: pressed ? 'primary.main' : 'text.primary',
        borderRadius: 1,
        bgcolor: 'background.paper',
        font: 'inherit',
        fontSize: '0.9rem',
        justifyContent: 'space-between',
        textAlign: 'left',
        '&:focus-visible': { outline: `3px solid ${INK.copper}`, outlineOffset: 2 },
      }}
    >
      <span>{part.label}</span>
      {taken > 0 && <strong>{taken} read</strong>}
    </ButtonBase>
  )
}

/** The way to the compressor and its terminals as a drawing: two probes make a reading, a point is live or dead. */
export function BenchDrawing(props: Props) {
  const { unit, readings, tested, probe, openKey, mayTest, onProbe, onKey, onPoint } = props
  const probes = probesOf(unit)
  const { next, proven } = nextPoint(COMPRESSOR_PATH, tested)
  const openEnds = openKey ? probesBetween(openKey) : undefined
  const isOn = (id: string) => probe === id || (probe === undefined && (openEnds?.includes(id) ?? false))
  return (
    <Box
      role="group"
      aria-label="Power circuit and compressor terminals"
      sx={{ position: 'relative', width: DRAWING.width, height: DRAWING.height, mx: 'auto', flex: 'none' }}
    >
      <svg viewBox={`0 0 ${DRAWING.width} ${DRAWING.height}`} width="100%" height="100%" role="presentation">
        <Wiring unit={unit} />
        {PAIR_KEYS.map((key) => (
          <Between key={key} keyRead={key} probes={probes} readings={readings} />
        ))}
      </svg>
      {probes.map(({ id, label, name, x, y }) => (
        <Spot
          key={id}
          x={x}
          y={y}
          label={label}
          name={name}
          round
          pressed={isOn(id)}
          onClick={() => onProbe(id)}
        />
      ))}
      {clampsOf(unit).map(({ key, label, x, y }) => (
        <Spot
          key={key}
          x={x}
          y={y}
          label={readings[key] ? showReading(readings[key]) : label}
          name={`Clamp: ${label}`}
          round={false}
          pressed={openKey === key}
          onClick={() => onKey(key)}
        />
      ))}
      {COMPRESSOR_PATH.map((point, i) => (
        <PointButton
          key={point.id}
          point={point}
          state={tested[point.id]}
          proven={proven.includes(point.id)}
          isNext={mayTest && next?.id === point.id}
          onClick={() => onPoint(point.id)}
          sx={{
            position: 'absolute',
            left: percentOf(ROW_X, DRAWING.width),
            right: 0,
            top: percentOf(ROWS[i] as number, DRAWING.height),
            transform: 'translateY(-50%)',
          }}
        />
      ))}
      {partsOf(unit).map((part) => (
        <PartButton
          key={part.id}
          part={part}
          taken={part.keys.filter((key) => readings[key]).length}
          pressed={openKey !== undefined && part.keys.includes(openKey)}
          onClick={() => onKey(part.keys[0] as ReadingKey)}
        />
      ))}
    </Box>
  )
}
