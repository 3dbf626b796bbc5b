/** A straight line through points: `middle` at the mean of x, `centre`. */
export type Line = { readonly middle: number; readonly slope: number; readonly centre: number }

/**
 * Least squares line through points of equal weight.
 * @returns undefined for fewer than two different x
 */
export function lineThrough(x: readonly number[], y: readonly number[]): Line | undefined {
  const count = x.length
  if (count < 2) return undefined
  const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / count
  const [centre, middle] = [mean(x), mean(y)]
  let [spread, product] = [0, 0]
  for (let i = 0; i < count; i += 1) {
    const away = (x[i] as number) - centre
    spread += away * away
    product += away * ((y[i] as number) - middle)
  }
  return spread > 0 ? { middle, slope: product / spread, centre } : undefined
}
