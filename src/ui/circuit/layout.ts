import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { spreadLabels } from '../ladder/layout'
import type { Point, Rect } from './geometry'
import type { LiquidPart, Loop, SuctionPart } from './loop'
import type { PlaceId } from './seenPlaces'
import { type AnchorId, type Column, tapHome } from './tapHomes'

/** What flows in a pipe; drawn solid, dashed or hollow, so that it is read without colour. */
export type Phase = 'liquid' | 'mixed' | 'vapour'
export type Pipe = {
  readonly id: 'discharge' | 'hotGas' | 'liquid' | 'feed' | 'suction' | 'return'
  readonly phase: Phase
  /** in the direction of flow */
  readonly points: readonly Point[]
}
export type Chip = { readonly key: ReadingKey; readonly box: Rect; readonly anchor: Point }
export type PartAt = { readonly part: LiquidPart | SuctionPart; readonly at: Point }

export type CircuitLayout = {
  readonly width: number
  readonly height: number
  readonly condenser: Rect
  readonly evaporator: Rect
  readonly compressor: Point
  readonly reversingValve: Point | undefined
  readonly pipes: readonly Pipe[]
  readonly parts: readonly PartAt[]
  readonly chips: readonly Chip[]
  readonly places: Readonly<Record<PlaceId, Point>>
  /** whether words stand beside the parts: not where chips need the room */
  readonly named: boolean
}

/** A tap's chip: three short lines, tall enough for a glove. */
export const CHIP_HEIGHT = 50
export const COMPRESSOR_RADIUS = 20
export const VALVE_HALF = 16
const GAP = 5
const PITCH = CHIP_HEIGHT + GAP
const EDGE = 6
const COIL_HEIGHT = 50
/** From here on chips are as wide as their words need. */
export const ROOMY = 480
const chipWidth = (width: number) => (width >= ROOMY ? 100 : 80)

type Frame = {
  readonly width: number
  readonly chip: number
  /** x of the liquid pipe, of the suction pipe, of the compressor, of the middle pipe of a unit with reversing valve */
  readonly xl: number
  readonly xr: number
  readonly xm: number
  readonly top: number
  readonly bottom: number
}

const NARROWEST = 320

const perRow = (width: number) => Math.max(Math.floor((width - 2 * EDGE + GAP) / (chipWidth(width) + GAP)), 1)

const rowsFor = (count: number, width: number) => Math.ceil(count / perRow(width))

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

function frameFor(width: number, height: number, topRows: number, bottomRows: number): Frame {
  const chip = chipWidth(width)
  const xl = chip + EDGE + 13
  const xr = width - chip - EDGE - 23
  return {
    width,
    chip,
    xl,
    xr,
    xm: xr - 42,
    top: EDGE + topRows * PITCH,
    bottom: height - EDGE - bottomRows * PITCH,
  }
}

type Skeleton = Pick<
  CircuitLayout,
  'condenser' | 'evaporator' | 'compressor' | 'reversingValve' | 'pipes' | 'parts'
> & {
  readonly anchors: Readonly<Record<AnchorId, Point>>
  readonly places: Readonly<Record<PlaceId, Point>>
}

/** Points at equal distances on a vertical stretch, ends left out. */
const along = (x: number, from: number, to: number, count: number): Point[] =>
  Array.from({ length: count }, (_v, i) => ({ x, y: from + ((i + 1) * (to - from)) / (count + 1) }))

const between = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 })

function liquidSide(loop: Loop, { xl }: Frame, from: number, to: number) {
  const spots = along(xl, from, to, loop.liquid.length)
  const parts = loop.liquid.map((part, i): PartAt => ({ part, at: spots[i] as Point }))
  const spot = (part: LiquidPart) => parts.find((each) => each.part === part)?.at as Point
  const dryer = spot('dryer')
  const metering = spot('metering')
  const offset = (point: Point, dy: number): Point => ({ x: point.x, y: point.y + dy })
  return {
    parts,
    metering,
    anchors: {
      condenserOut: offset({ x: xl, y: from }, 8),
      liquidValve: spot('service-valve'),
      dryerIn: offset(dryer, -19),
      dryerOut: offset(dryer, 19),
      meteringIn: offset(metering, -17),
      meteringOut: offset(metering, 19),
    },
  }
}

/** The suction and discharge side of a unit without a reversing valve: one pipe up the right, the compressor in it. */
function straightSide(loop: Loop, { xr }: Frame, condenser: Rect, evaporator: Rect) {
  const from = condenser.y + COIL_HEIGHT
  const compressor = { x: xr, y: from + (evaporator.y - from) * 0.34 }
  const spots = along(xr, evaporator.y - 14, compressor.y + COMPRESSOR_RADIUS + 22, loop.suction.length)
  const parts = loop.suction.map((part, i): PartAt => ({ part, at: spots[i] as Point }))
  const suction = { x: xr, y: compressor.y + COMPRESSOR_RADIUS + 12 }
  const above = { x: xr, y: compressor.y - COMPRESSOR_RADIUS }
  const out = { x: xr, y: evaporator.y + COIL_HEIGHT / 2 }
  const pipes: Pipe[] = [
    { id: 'suction', phase: 'vapour', points: [out, { x: xr, y: compressor.y + COMPRESSOR_RADIUS }] },
    { id: 'discharge', phase: 'vapour', points: [above, { x: xr, y: condenser.y + COIL_HEIGHT / 2 }] },
  ]
  return {
    compressor,
    parts,
    pipes,
    suction,
    discharge: between(above, { x: xr, y: from }),
    outX: xr,
    valve: undefined,
  }
}

/** With a reversing valve: it stands in the middle pipe, the compressor hangs beside it on the right. */
function reversedSide(loop: Loop, { xr, xm }: Frame, condenser: Rect, evaporator: Rect) {
  const from = condenser.y + COIL_HEIGHT
  const valve = { x: xm, y: from + (evaporator.y - from) * 0.2 }
  const compressor = { x: xr, y: from + (evaporator.y - from) * 0.68 }
  const [xs, xd] = [xr - 14, xr + 8]
  const [d, s] = [valve.y - 9, valve.y + 9]
  const suctionIn = { x: xs, y: compressor.y - COMPRESSOR_RADIUS + 4 }
  const spots = along(xs, s + 22, suctionIn.y - 12, loop.suction.length)
  const parts = loop.suction.map((part, i): PartAt => ({ part, at: spots[i] as Point }))
  const pipes: Pipe[] = [
    {
      id: 'suction',
      phase: 'vapour',
      points: [
        { x: xm, y: evaporator.y + 4 },
        { x: xm, y: valve.y + VALVE_HALF },
      ],
    },
    { id: 'return', phase: 'vapour', points: [{ x: xm + VALVE_HALF, y: s }, { x: xs, y: s }, suctionIn] },
    {
      id: 'discharge',
      phase: 'vapour',
      points: [
        { x: xd, y: compressor.y - COMPRESSOR_RADIUS + 1 },
        { x: xd, y: d },
        { x: xm + VALVE_HALF, y: d },
      ],
    },
    {
      id: 'hotGas',
      phase: 'vapour',
      points: [
        { x: xm, y: valve.y - VALVE_HALF },
        { x: xm, y: from - 4 },
      ],
    },
  ]
  const suction = { x: xs, y: suctionIn.y - 8 }
  return {
    compressor,
    parts,
    pipes,
    suction,
    discharge: { x: xd, y: (d + compressor.y) / 2 },
    outX: xm,
    valve,
  }
}

function skeletonOf(loop: Loop, frame: Frame): Skeleton {
  const { xl, xr, top, bottom, xm } = frame
  const condenser = { x: xl - 8, y: top + 4, width: xr - xl + 24, height: COIL_HEIGHT }
  const evaporator = { ...condenser, y: bottom - COIL_HEIGHT - 4 }
  const [condenserOut, evaporatorTop] = [condenser.y + COIL_HEIGHT, evaporator.y]
  const liquid = liquidSide(loop, frame, condenserOut, evaporatorTop - 6)
  const side = loop.reversingValve
    ? reversedSide(loop, frame, condenser, evaporator)
    : straightSide(loop, frame, condenser, evaporator)
  const dryer = side.parts.find(({ part }) => part === 'suction-dryer')?.at as Point
  const evaporatorOut = { x: side.outX, y: evaporatorTop - 14 }
  const valve = side.valve ?? { x: xm, y: -1 }
  const anchors: Record<AnchorId, Point> = {
    ...liquid.anchors,
    discharge: side.discharge,
    compressor: side.compressor,
    suction: { x: side.suction.x, y: side.suction.y - 4 },
    suctionValve: { x: side.suction.x, y: side.suction.y + 4 },
    // in the reversed side the flow runs down, in the straight side it runs up
    suctionDryerIn: { x: dryer.x, y: dryer.y + (side.valve ? -17 : 17) },
    suctionDryerOut: { x: dryer.x, y: dryer.y + (side.valve ? 17 : -17) },
    evaporatorOut,
    rvIn: { x: valve.x + VALVE_HALF, y: valve.y - 9 },
    rvSuctionOut: { x: valve.x + VALVE_HALF, y: valve.y + 9 },
    rvHot: { x: valve.x, y: valve.y - VALVE_HALF },
    rvSuctionIn: { x: valve.x, y: valve.y + VALVE_HALF },
    rvCoil: { x: valve.x - VALVE_HALF, y: valve.y },
  }
  const onCoil = (rect: Rect): Point => ({ x: rect.x + rect.width - 26, y: rect.y + rect.height / 2 })
  const accumulator =
    side.parts.find(({ part }) => part === 'accumulator')?.at ?? between(dryer, evaporatorOut)
  return {
    condenser,
    evaporator,
    compressor: side.compressor,
    reversingValve: side.valve,
    pipes: [
      { id: 'liquid', phase: 'liquid', points: [{ x: xl, y: condenserOut - 4 }, liquid.metering] },
      { id: 'feed', phase: 'mixed', points: [liquid.metering, { x: xl, y: evaporatorTop + 4 }] },
      ...side.pipes,
    ],
    parts: [...liquid.parts, ...side.parts],
    anchors,
    places: {
      ...anchors,
      condenserCoil: onCoil(condenser),
      evaporatorCoil: onCoil(evaporator),
      distributor: { x: xl + 56, y: evaporatorTop - 30 },
      accumulator,
      bulb: evaporatorOut,
      joint: { x: (xl + side.outX) / 2, y: (condenserOut + evaporatorTop) / 2 },
    },
  }
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

const LABEL_ROOM = 74

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

function byColumn(loop: Loop, keys: readonly ReadingKey[]): Homed {
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
function fieldHeight(homed: Homed, liquidParts: number, width: number): number {
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

function placeChips(
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

/**
 * The drawing of a loop with a chip for each of the given taps. Grows in height where the chips need it.
 * @param keys taps to show; those that do not belong to the circuit are left out
 * @param size room in px
 */
export function layoutCircuit(
  loop: Loop,
  keys: readonly ReadingKey[],
  size: { readonly width: number; readonly height: number },
): CircuitLayout {
  const width = Math.max(size.width, NARROWEST)
  const homed = byColumn(loop, keys)
  const [topRows, bottomRows] = [
    rowsFor(homed.condenserRow.length, width),
    rowsFor(homed.evaporatorRow.length, width),
  ]
  const least = fieldHeight(homed, loop.liquid.length, width) + (topRows + bottomRows) * PITCH + 2 * EDGE
  const height = Math.max(size.height, least)
  const frame = frameFor(width, height, topRows, bottomRows)
  const skeleton = skeletonOf(loop, frame)
  const { chips, innerLeft } = placeChips(loop, homed, frame, skeleton)
  return { width, height, ...skeleton, chips, named: innerLeft - frame.xl > LABEL_ROOM }
}
