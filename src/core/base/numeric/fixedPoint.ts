/**
 * Fixed point of a slowly changing function by Wegstein's secant step, falling back to plain substitution where the
 * step would run away.
 * @param start first guess
 * @param tolerance absolute, on the argument
 * @returns the last value after at most `rounds` evaluations
 */
export function fixedPoint(
  start: number,
  next: (value: number) => number,
  tolerance: number,
  rounds = 20,
): number {
  let before = start
  let afterBefore = next(before)
  let here = afterBefore
  for (let round = 1; round < rounds; round++) {
    const after = next(here)
    if (Math.abs(after - here) <= tolerance) return after
    const slope = (after - afterBefore) / (here - before)
    const usable = Number.isFinite(slope) && slope < 0.9 && slope > -5
    const step = usable ? here + (after - here) / (1 - slope) : after
    before = here
    afterBefore = after
    here = step
  }
  return here
}
