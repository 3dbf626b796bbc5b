import { attempt, OrzoError } from '../../base/errors/orzoError'

/** [practice] range in which the fixed-orifice formula is used, and the superheats that it may ask for, F (handbook 03). */
const WET_BULB_RANGE = [50, 76] as const
const OUTDOOR_RANGE = [55, 115] as const
const LEAST = 5
const MOST = 40
export const FORMULA_TOLERANCE_F = 5

const inside = (value: number, [low, high]: readonly [number, number]) => value >= low && value <= high

/**
 * Superheat at the compressor that a fixed orifice should show: (3 x wet bulb - 80 - outdoor) / 2, +-5 F [practice].
 * @param wetBulb return air wet bulb, F; outdoor dry bulb, F
 * @throws OrzoError out-of-range where the formula is not used, saying what to do
 */
export function orificeSuperheat(wetBulb: number, outdoor: number): number {
  if (!inside(wetBulb, WET_BULB_RANGE)) {
    throw new OrzoError(
      'out-of-range',
      'The formula holds from 50 to 76 F return wet bulb: charge by weight outside it.',
    )
  }
  if (!inside(outdoor, OUTDOOR_RANGE)) {
    throw new OrzoError(
      'out-of-range',
      'The formula holds from 55 to 115 F outdoor air: charge by weight outside it.',
    )
  }
  const value = (3 * wetBulb - 80 - outdoor) / 2
  if (value < LEAST || value > MOST) {
    throw new OrzoError(
      'out-of-range',
      `The formula asks for ${value.toFixed(0)} F: below 5 F or above 40 F do not charge by it, weigh the charge.`,
    )
  }
  return value
}

/** The same, undefined where the formula is not used. */
export function orificeSuperheatIfValid(wetBulb: number, outdoor: number): number | undefined {
  const result = attempt(() => orificeSuperheat(wetBulb, outdoor))
  return result.ok ? result.value : undefined
}
