/** Normalising constant of Student's t with 3 degrees of freedom: 2 / (pi sqrt 3). */
export const STUDENT_T_CONSTANT = 2 / (Math.PI * Math.sqrt(3))

/**
 * Density of Student's t with three degrees of freedom: heavy tails, so that a wild reading costs but never decides alone.
 * @param offset value minus centre
 * @param scale spread, above zero, in the unit of offset
 */
export function studentT(offset: number, scale: number): number {
  const z = offset / scale
  const q = 1 + (z * z) / 3
  return STUDENT_T_CONSTANT / (scale * q * q)
}
