/** Normalising constant of Student's t with 5 degrees of freedom: 8 / (3 pi sqrt 5). */
export const STUDENT_T_CONSTANT = 8 / (3 * Math.PI * Math.sqrt(5))

/**
 * Density of Student's t with five degrees of freedom: heavy tails, so that a wild reading costs but never decides alone.
 * @param offset value minus centre
 * @param scale spread, above zero, in the unit of offset
 */
export function studentT(offset: number, scale: number): number {
  const z = offset / scale
  const q = 1 + (z * z) / 5
  return STUDENT_T_CONSTANT / (scale * q * q * q)
}
