import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { spreadLabels } from '@/core/drawing/ladderLayout'
import {
  CHIP_HEIGHT,
  chipWidth,
  COIL_HEIGHT,
  EDGE,
  type Frame,
  GAP,
  perRow,
  PITCH,
  ROOMY,
  VALVE_HALF,
} from './frame'
import type { Point, Rect } from './geometry'
import type { Chip } from './layoutTypes'
import type { Loop } from './loop'
import type { Skeleton } from './skeleton'
import { type Column, tapHome } from './tapHomes'

/** Chips of a row of taps, centred, wrapping to further rows. */
function rowBoxes(count: number, width: number, top: number): Rect[] {
  const chip = chipWidth(width)
  const most = perRow(width)
  return Array.from({ length: count }, (_v, i) => {
    const row = Math.floor(i / most)
    const inRow = Math.min(count - row * most, most)
    const start = (width - inRow * (chip + GAP) + GAP) / 2
    return { x: start + (i % most) * (chip + GAP), y: top + row * PITCH, width: chip, height: CHIP_HEIGHT }
  })
}

/** Chips of an outer column, as near as possible to their anchors, in the order of their anchors. */
function columnBoxes(anchors: readonly Point[], x: number, frame: Frame): Rect[] {
  const order = anchors
    .map((_anchor, i) => i)
    .sort((a, b) => (anchors[a] as Point).y - (anchors[b] as Point).y || a - b)
  const height = frame.bottom - frame.top
  const centres = spreadLabels(
    order.map((i) => (anchors[i] as Point).y - frame.top),
    PITCH,
    height,
  )
  const boxes: Rect[] = []
  order.forEach((i, place) => {
    const y = frame.top + (centres[place] as number) - CHIP_HEIGHT / 2
    boxes[i] = { x, y, width: frame.chip, height: CHIP_HEIGHT }
  })
  return boxes
}

/** Chips between the pipes, left of the reversing valve: columns filled from the right. */
function innerBoxes(
  count: number,
  frame: Frame,
  top: number,
  bottom: number,
): { boxes: Rect[]; left: number } {
  const most = Math.max(Math.floor((bottom - top + GAP) / PITCH), 1)
  const right = frame.xm - VALVE_HALF - 8
  const boxes = Array.from({ length: count }, (_v, i): Rect => {
    const column = Math.floor(i / most)
    const x = right - (column + 1) * (frame.chip + GAP) + GAP
    return { x, y: top + (i % most) * PITCH, width: frame.chip, height: CHIP_HEIGHT }
  })
  return { boxes, left: Math.min(...boxes.map(({ x }) => x), right) }
}

/** Ports of the valve from top to bottom, so that their leaders do not cross. */
const INNER_ORDER: readonly ReadingKey[] = [
  'rvHotOutTemp',
  'rvDischargeTemp',
  'solenoidVolts',
  'rvSuctionOutTemp',
  'rvSuctionInTemp',
]

type Homed = Readonly<Record<Column, readonly ReadingKey[]>>

/** Taps by the column in which they stand; those that do not belong to the circuit are left out. */
export function byColumn(loop: Loop, keys: readonly ReadingKey[]): Homed {
  const homed: Record<Column, ReadingKey[]> = {
    left: [],
    right: [],
    inner: [],
    condenserRow: [],
    evaporatorRow: [],
  }
  for (const key of keys) {
    const home = tapHome(key, loop)
    if (home) homed[home.column].push(key)
  }
  homed.inner.sort((a, b) => INNER_ORDER.indexOf(a) - INNER_ORDER.indexOf(b))
  return homed
}

/** Least height of the field between the rows: columns, coils and the parts between them must fit. */
export function fieldHeight(homed: Homed, liquidParts: number, width: number): number {
  // on a narrow drawing the chips inside end above the metering device, the last of the evenly spaced parts
  const share = width >= ROOMY ? 1 : liquidParts / (liquidParts + 1)
  const inner = homed.inner.length === 0 ? 0 : (homed.inner.length * PITCH + 36) / share
  return Math.max(
    homed.left.length * PITCH,
    homed.right.length * PITCH,
    inner + 2 * COIL_HEIGHT + 30,
    2 * COIL_HEIGHT + 44 * (liquidParts + 1) + 40,
    360,
  )
}

/** A chip for each tap, none on another. */
export function placeChips(
  loop: Loop,
  homed: Homed,
  frame: Frame,
  skeleton: Skeleton,
): { chips: Chip[]; innerLeft: number } {
  const { condenser, evaporator, anchors } = skeleton
  const anchorOf = (key: ReadingKey): Point => anchors[tapHome(key, loop)?.anchor ?? 'compressor']
  const sides = (['left', 'right'] as const).flatMap((side) => {
    const keys = homed[side]
    const x = side === 'left' ? EDGE : frame.width - EDGE - frame.chip
    const boxes = columnBoxes(keys.map(anchorOf), x, frame)
    return keys.map((key, i): Chip => ({ key, box: boxes[i] as Rect, anchor: anchorOf(key) }))
  })
  const metering = skeleton.parts.find(({ part }) => part === 'metering')?.at.y ?? evaporator.y
  const innerEnd = frame.width >= ROOMY ? evaporator.y - 34 : metering - 14
  const inner = innerBoxes(homed.inner.length, frame, condenser.y + COIL_HEIGHT + 10, innerEnd)
  const inside = homed.inner.map((key, i): Chip => ({
    key,
    box: inner.boxes[i] as Rect,
    anchor: anchorOf(key),
  }))
  const rows = (keys: readonly ReadingKey[], top: number, coil: Rect, edge: number) =>
    rowBoxes(keys.length, frame.width, top).map((box, i): Chip => {
      const x = Math.min(Math.max(box.x + box.width / 2, coil.x + 20), coil.x + coil.width - 20)
      return { key: keys[i] as ReadingKey, box, anchor: { x, y: edge } }
    })
  return {
    chips: [
      ...rows(homed.condenserRow, EDGE, condenser, condenser.y),
      ...sides,
      ...inside,
      ...rows(homed.evaporatorRow, frame.bottom + GAP, evaporator, evaporator.y + COIL_HEIGHT),
    ],
    innerLeft: inner.left,
  }
}
