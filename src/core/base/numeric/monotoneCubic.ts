import { OrzoError } from '../errors/orzoError'
import { pieceAt } from './search'

/** A piecewise cubic through nodes; monotone wherever the nodes are. */
export type MonotoneCubic = {
  readonly x: Float64Array
  readonly y: Float64Array
  readonly slope: Float64Array
}

/** Position-wise access for arrays whose index is known to be inside. */
const at = (values: Float64Array, index: number): number => values[index] as number

/**
 * Builds the interpolant after Fritsch and Carlson (1980) with Brodlie's weighted harmonic mean.
 * @param x nodes, strictly increasing, at least two
 * @param y values at the nodes
 * @throws Error when the nodes do not increase (a programmer's mistake, not a user's)
 */
export function monotoneCubic(x: readonly number[], y: readonly number[]): MonotoneCubic {
  if (x.length < 2 || x.length !== y.length) throw new Error('monotoneCubic needs two or more nodes')
  const nodes = { x: Float64Array.from(x), y: Float64Array.from(y), slope: new Float64Array(x.length) }
  const width = widths(nodes.x)
  const secant = Float64Array.from(width, (w, i) => (at(nodes.y, i + 1) - at(nodes.y, i)) / w)
  const last = x.length - 1
  for (let i = 1; i < last; i++) nodes.slope[i] = innerSlope(width, secant, i)
  nodes.slope[0] = endSlope(
    at(width, 0),
    at(width, 1) || at(width, 0),
    at(secant, 0),
    secant[1] ?? at(secant, 0),
  )
  nodes.slope[last] = endSlope(
    at(width, last - 1),
    width[last - 2] ?? at(width, last - 1),
    at(secant, last - 1),
    secant[last - 2] ?? at(secant, last - 1),
  )
  return nodes
}

function widths(x: Float64Array): Float64Array {
  const out = new Float64Array(x.length - 1)
  for (let i = 0; i < out.length; i++) {
    out[i] = at(x, i + 1) - at(x, i)
    if (!(at(out, i) > 0)) throw new Error('monotoneCubic needs strictly increasing nodes')
  }
  return out
}

function innerSlope(width: Float64Array, secant: Float64Array, i: number): number {
  const before = at(secant, i - 1)
  const after = at(secant, i)
  if (before * after <= 0) return 0
  const a = 2 * at(width, i) + at(width, i - 1)
  const b = at(width, i) + 2 * at(width, i - 1)
  return (a + b) / (a / before + b / after)
}

/** Three-point end slope, limited so that the first and last piece stay monotone. */
function endSlope(near: number, next: number, secantNear: number, secantNext: number): number {
  const slope = ((2 * near + next) * secantNear - near * secantNext) / (near + next)
  if (slope * secantNear <= 0) return 0
  if (secantNear * secantNext <= 0 && Math.abs(slope) > 3 * Math.abs(secantNear)) return 3 * secantNear
  return slope
}

function evaluatePiece(curve: MonotoneCubic, i: number, x: number): number {
  const width = at(curve.x, i + 1) - at(curve.x, i)
  const t = (x - at(curve.x, i)) / width
  const u = 1 - t
  return (
    at(curve.y, i) * (1 + 2 * t) * u * u +
    at(curve.slope, i) * width * t * u * u +
    at(curve.y, i + 1) * t * t * (3 - 2 * t) -
    at(curve.slope, i + 1) * width * t * t * u
  )
}

/** Value at x; the caller keeps x inside the nodes. */
export function evaluate(curve: MonotoneCubic, x: number): number {
  return evaluatePiece(curve, pieceAt(curve.x, x), x)
}

const MOST_STEPS = 60
/** Share of a piece's rise; stays well above the rounding of the cubic itself. */
const GOOD_ENOUGH = 1e-10

/**
 * x at which an increasing curve takes the value y, by false position kept inside its piece (Illinois form).
 * @throws OrzoError not-converged after 60 steps (does not happen for monotone nodes)
 */
export function invert(curve: MonotoneCubic, y: number): number {
  const i = pieceAt(curve.y, y)
  let [low, high] = [at(curve.x, i), at(curve.x, i + 1)]
  let [belowBy, aboveBy] = [at(curve.y, i) - y, at(curve.y, i + 1) - y]
  if (belowBy >= 0) return low
  if (aboveBy <= 0) return high
  const goodEnough = GOOD_ENOUGH * (aboveBy - belowBy)
  let side = 0
  for (let step = 0; step < MOST_STEPS; step++) {
    const x = (low * aboveBy - high * belowBy) / (aboveBy - belowBy)
    const off = evaluatePiece(curve, i, x) - y
    if (Math.abs(off) <= goodEnough) return x
    if (off > 0) {
      ;[high, aboveBy] = [x, off]
      if (side === 1) belowBy /= 2
      side = 1
    } else {
      ;[low, belowBy] = [x, off]
      if (side === -1) aboveBy /= 2
      side = -1
    }
  }
  throw new OrzoError('not-converged', 'The saturation curve could not be inverted: report this reading.', {
    y,
  })
}
