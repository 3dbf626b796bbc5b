/** A value at a moment, s. */
export type Point = { readonly seconds: number; readonly value: number }

/**
 * The value at a moment, by a straight line between the looks on both sides; before the first and after the last what those
 * showed.
 * @param points in order of time
 * @returns undefined for none
 */
export function valueAt(points: readonly Point[], seconds: number): number | undefined {
  let [low, high] = [0, points.length]
  // the first point that is not before the moment
  while (low < high) {
    const middle = (low + high) >> 1
    if ((points[middle] as Point).seconds < seconds) low = middle + 1
    else high = middle
  }
  const [left, right] = [points[low - 1], points[low]]
  if (!right) return left?.value
  if (!left || right.seconds === left.seconds) return right.value
  const share = (seconds - left.seconds) / (right.seconds - left.seconds)
  return left.value + share * (right.value - left.value)
}
