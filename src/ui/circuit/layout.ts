import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { byColumn, fieldHeight, placeChips } from './chips'
import { EDGE, frameFor, NARROWEST, PITCH, rowsFor } from './frame'
import type { CircuitLayout } from './layoutTypes'
import type { Loop } from './loop'
import { skeletonOf } from './skeleton'

/** Room between the pipes from which names stand beside the parts, pixels. */
const LABEL_ROOM = 74

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
