/** Degrees of freedom of the heavy-tailed error model: a wild reading costs, but never decides alone. */
const DEGREES = 4

/** Normalising constant of Student's t with 4 degrees: gamma(2.5) / (gamma(2) sqrt(4 pi)) = 3/8. */
const LOG_CONSTANT = Math.log(3 / 8)

/**
 * Log density of Student's t with four degrees of freedom, located and scaled.
 * @param offset value minus centre
 * @param scale spread, above zero, in the unit of offset
 */
export function logStudentT(offset: number, scale: number): number {
  const z = offset / scale
  return LOG_CONSTANT - Math.log(scale) - ((DEGREES + 1) / 2) * Math.log1p((z * z) / DEGREES)
}

/** Log density of a normal deviate; scale above zero, in the unit of offset. */
export function logNormal(offset: number, scale: number): number {
  const z = offset / scale
  return -0.5 * (z * z + Math.log(2 * Math.PI)) - Math.log(scale)
}
