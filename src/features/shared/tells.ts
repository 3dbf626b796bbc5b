/** How much a check tells, in a word; from bits of information. [practice] */
const TELLS: readonly (readonly [least: number, word: string])[] = [
  [0.4, 'tells much'],
  [0.12, 'tells some'],
  [0, 'tells little'],
]

/** "tells much" from the bits that a check is expected to bring. */
export const tells = (bits: number): string =>
  (TELLS.find(([least]) => bits >= least) ?? TELLS[TELLS.length - 1]!)[1]
