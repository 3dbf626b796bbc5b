import type { ReadingKey } from '@/core/record/readings/vocabulary'
import type { Point, Rect } from './geometry'
import type { LiquidPart, SuctionPart } from './loop'
import type { PlaceId } from './seenPlaces'

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
