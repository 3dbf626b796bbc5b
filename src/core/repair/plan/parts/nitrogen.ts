import { SEA_LEVEL_PASCALS } from '../../../base/units/atmosphere'

/** Nitrogen of a job, m3 at the pressure of the air, and the cylinder that holds it. */
export type Nitrogen = {
  readonly sweep: number
  readonly brazing: number
  readonly test: number
  readonly breaks: number
  readonly total: number
  /** one round more: a hold that failed */
  readonly withRound: number
  /** cubic feet of the smallest usual cylinder that holds that; the largest where none does */
  readonly cylinder: number
  readonly cylinders: number
}

export type NitrogenNeed = {
  /** inner volume, m3 */
  readonly volume: number
  /** sweeps before a flame, blow-outs, and sweeps of the clean-up */
  readonly sweeps: number
  /** minutes with a flame */
  readonly flame: number
  /** test pressure over the air, Pa */
  readonly test: number
  /** vacuums that are broken with nitrogen */
  readonly breaks: number
}

const CUBIC_FOOT = 0.0283168
export const cubicFeet = (cubicMetres: number): number => cubicMetres / CUBIC_FOOT

/** [practice] handbook 07: several volumes each time; a trickle of 2-5 cubic feet an hour; half of brazing has a flame on. */
const VOLUMES = 5
const TRICKLE = (5 * CUBIC_FOOT) / 60
const FLAME_SHARE = 0.5
/** A vacuum is broken to 2 psig. */
const BREAK = 1.14
/** [practice] nitrogen cylinders that are carried, cubic feet. */
const CYLINDERS = [20, 40, 80, 125] as const
/** [practice] what a regulator leaves in the cylinder. */
const LEFT = 0.9

/** Free volumes by Boyle's law [physics]; the sweep goes through an open end. */
export function nitrogenFor({ volume, sweeps, flame, test, breaks }: NitrogenNeed): Nitrogen {
  const parts = {
    sweep: volume * VOLUMES * sweeps,
    brazing: TRICKLE * flame * FLAME_SHARE,
    test: (volume * test) / SEA_LEVEL_PASCALS,
    breaks: volume * BREAK * breaks,
  }
  const total = parts.sweep + parts.brazing + parts.test + parts.breaks
  const withRound = total + parts.test + parts.sweep
  const wanted = cubicFeet(withRound) / LEFT
  const largest = CYLINDERS.at(-1)!
  const cylinder = CYLINDERS.find((each) => each >= wanted) ?? largest
  return { ...parts, total, withRound, cylinder, cylinders: Math.max(1, Math.ceil(wanted / largest)) }
}
