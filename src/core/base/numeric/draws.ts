/** Share of a normal distribution below a deviate (logistic approximation, within 1 %). */
export const shareBelow = (deviate: number): number => 1 / (1 + Math.exp(-1.702 * deviate))

/** The figure at a share of the way between two, by its logarithm. @param from, to above zero */
export const logBetween = (from: number, to: number, share: number): number => from * (to / from) ** share

/** A figure that is mostly next to nothing, between `least` and `from`, and else lies somewhere up to `to`. */
export type Mixture = {
  /** chance of next to nothing, of one */
  readonly none: number
  readonly least: number
  readonly from: number
  readonly to: number
}

/** The figure of a mixture that a normal deviate stands for; it grows with the deviate. */
export function mixed({ none, least, from, to }: Mixture, deviate: number): number {
  const share = shareBelow(deviate)
  return share < none
    ? logBetween(least, from, share / none)
    : logBetween(from, to, (share - none) / (1 - none))
}

/** Deviates by the names of what they stand for, in the order of the names. */
export const named = <N extends string>(
  names: readonly N[],
  deviates: readonly number[],
): Readonly<Record<N, number>> =>
  Object.fromEntries(names.map((name, i) => [name, deviates[i]])) as Record<N, number>

/** The value below which a share of some lies: one of them, never between two, since infinity stands for never. @param sorted upwards @returns infinity for none */
export const quantile = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(Math.floor(share * sorted.length), sorted.length - 1)] ?? Infinity
