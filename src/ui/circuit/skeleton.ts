import { COIL_HEIGHT, COMPRESSOR_RADIUS, type Frame, VALVE_HALF } from './frame'
import type { Point, Rect } from './geometry'
import type { CircuitLayout, PartAt, Pipe } from './layoutTypes'
import type { LiquidPart, Loop } from './loop'
import type { PlaceId } from './seenPlaces'
import type { AnchorId } from './tapHomes'

/** The drawing without its chips. */
export type Skeleton = Pick<
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

/** Coils, pipes and parts of a loop, and the points to which taps and places belong. */
export function skeletonOf(loop: Loop, frame: Frame): Skeleton {
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
