/** Measures of the drawing, pixels. */

/** A tap's chip: three short lines, tall enough for a glove. */
export const CHIP_HEIGHT = 50
export const COMPRESSOR_RADIUS = 20
export const VALVE_HALF = 16
export const GAP = 5
export const PITCH = CHIP_HEIGHT + GAP
export const EDGE = 6
export const COIL_HEIGHT = 50
/** From here on chips are as wide as their words need. */
export const ROOMY = 480
export const chipWidth = (width: number) => (width >= ROOMY ? 100 : 80)

export type Frame = {
  readonly width: number
  readonly chip: number
  /** x of the liquid pipe, of the suction pipe, of the compressor, of the middle pipe of a unit with reversing valve */
  readonly xl: number
  readonly xr: number
  readonly xm: number
  readonly top: number
  readonly bottom: number
}

export const NARROWEST = 320

export const perRow = (width: number) =>
  Math.max(Math.floor((width - 2 * EDGE + GAP) / (chipWidth(width) + GAP)), 1)

export const rowsFor = (count: number, width: number) => Math.ceil(count / perRow(width))

/** Where the pipes stand in a room of this size. */
export function frameFor(width: number, height: number, topRows: number, bottomRows: number): Frame {
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
