'use client'
import Box from '@mui/material/Box'
import { memo, useMemo } from 'react'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { temperatureInk } from '../ladder/temperatureInk'
import { INK } from '../theme/tokens'
import { ROOMY } from './frame'
import { layoutCircuit } from './layout'
import type { Chip, CircuitLayout, Pipe } from './layoutTypes'
import type { Loop } from './loop'
import { PlaceButtons, type Seen } from './PlaceButtons'
import { BulbMark, MeteringMark, meteringName, PartMark } from './partMarks'
import { CoilMark, CompressorMark, PipeMark, ReversingValveMark } from './symbols'
import { TapChip } from './TapChip'
import type { TapView } from './tapView'

/** Temperatures known on the loop, K; pipes and coils are tinted with them. */
export type Tints = {
  readonly [K in Pipe['id'] | 'condenser' | 'evaporator']?: number | undefined
}

type Props = {
  loop: Loop
  taps: readonly TapView[]
  selected: ReadingKey | undefined
  onSelect: (key: ReadingKey) => void
  tints: Tints
  /** "condensing 103 F", "evaporating 38 F" */
  notes: { readonly condenser?: string | undefined; readonly evaporator?: string | undefined }
  size: { readonly width: number; readonly height: number }
  title: string
  /** asks for a place instead of a tap */
  seen?: Seen | undefined
}

const ink = (kelvin: number | undefined) => (kelvin === undefined ? INK.quiet : temperatureInk(kelvin))

function Leader({ chip: { box, anchor } }: { chip: Chip }) {
  const from = {
    x: Math.min(Math.max(anchor.x, box.x), box.x + box.width),
    y: Math.min(Math.max(anchor.y, box.y), box.y + box.height),
  }
  return (
    <g>
      <line x1={from.x} y1={from.y} x2={anchor.x} y2={anchor.y} stroke={INK.quiet} strokeWidth={0.8} />
      <circle cx={anchor.x} cy={anchor.y} r={2.6} fill={INK.ink} />
    </g>
  )
}

/** How the state of the refrigerant is drawn; beside the drawing where that has no room for it. */
export const LEGEND = ['solid liquid, dashed mixed,', 'hollow vapour'] as const

function Legend({ layout }: { layout: CircuitLayout }) {
  const x = layout.condenser.x + layout.condenser.width - 42
  const y = layout.condenser.y + layout.condenser.height + 22
  return LEGEND.map((line, i) => (
    <text key={line} x={x} y={y + 15 * i} textAnchor="end" fontSize={11.5} fill={INK.quiet} aria-hidden>
      {line}
    </text>
  ))
}

type DrawingProps = Pick<Props, 'loop' | 'tints' | 'notes' | 'title'> & {
  layout: CircuitLayout
  bare: boolean
}

const Drawing = memo(function Drawing({ loop, layout, tints, notes, title, bare }: DrawingProps) {
  const { condenser, evaporator, pipes, parts, chips, places } = layout
  const metering = parts.find(({ part }) => part === 'metering')?.at
  // while places are asked for, their words stand where the names would
  const words = layout.named && !bare
  const rowY = { condenser: condenser.y - 4, evaporator: evaporator.y + evaporator.height + 5 }
  return (
    <svg
      width={layout.width}
      height={layout.height}
      role="img"
      aria-label={title}
      style={{ display: 'block', position: 'absolute', inset: 0 }}
    >
      {pipes.map((pipe) => (
        <PipeMark key={pipe.id} pipe={pipe} colour={ink(tints[pipe.id])} flows={loop.flows} />
      ))}
      <CoilMark
        rect={condenser}
        coil={loop.condenser}
        colour={ink(tints.condenser)}
        note={bare ? undefined : (notes.condenser ?? loop.condenser.role)}
        streamY={rowY.condenser}
      />
      <CoilMark
        rect={evaporator}
        coil={loop.evaporator}
        colour={ink(tints.evaporator)}
        note={bare ? undefined : (notes.evaporator ?? loop.evaporator.role)}
        streamY={rowY.evaporator}
      />
      {metering && loop.metering === 'txv' && <BulbMark bulb={places.bulb} valve={metering} />}
      {metering && <MeteringMark at={metering} metering={loop.metering} evaporatorTop={evaporator.y} />}
      {metering && words && (
        <text x={metering.x + 64} y={metering.y - 2} fontSize={11.5} fill={INK.quiet}>
          {meteringName(loop)}
        </text>
      )}
      {parts.map(({ part, at }) => {
        const left = at.x < layout.width / 2
        // beside a reversing valve the chips of its ports stand where the names would
        const named = words && (left || (!loop.reversingValve && layout.width >= ROOMY))
        return <PartMark key={part} part={part} at={at} side={left ? 1 : -1} named={named} />
      })}
      <CompressorMark at={layout.compressor} flows={loop.flows} />
      {layout.reversingValve && <ReversingValveMark at={layout.reversingValve} heating={loop.heating} />}
      {words && !loop.reversingValve && layout.width >= ROOMY && <Legend layout={layout} />}
      {!bare && chips.map((chip) => <Leader key={chip.key} chip={chip} />)}
    </svg>
  )
})

/** The unit's own loop with a tap at every place where a reading is taken. */
export function Circuit({ loop, taps, selected, onSelect, tints, notes, size, title, seen }: Props) {
  const keys = taps.map(({ key }) => key).join()
  const layout = useMemo(
    () => layoutCircuit(loop, keys === '' ? [] : (keys.split(',') as ReadingKey[]), size),
    [loop, keys, size],
  )
  const byKey = new Map(taps.map((tap) => [tap.key, tap]))
  return (
    <Box sx={{ position: 'relative', width: layout.width, height: layout.height }}>
      <Drawing {...{ loop, layout, tints, notes, title }} bare={seen !== undefined} />
      {seen ? (
        <PlaceButtons layout={layout} seen={seen} />
      ) : (
        layout.chips.map(({ key, box }) => {
          const tap = byKey.get(key)
          return (
            tap && <TapChip key={key} tap={tap} box={box} selected={key === selected} onSelect={onSelect} />
          )
        })
      )}
    </Box>
  )
}
