/**
 * How much of a two-phase stretch is vapour: by a slip between the phases that is a power of their density ratio (a third
 * at minimum entropy production [std: Zivi 1964], none for a homogeneous mixture, a half at equal momentum), or by the
 * general form of Butterworth [std: Butterworth 1975]: 1 / (1 + factor ((1 - x) / x)^p (vapour / liquid density)^q), or
 * by the share of the gas volume flow of Armand and Massena [std: Massena 1960]: (factor + (1 - factor) x) times it.
 */
export type VoidLaw =
  | { readonly kind: 'slip'; readonly exponent: number }
  | { readonly kind: 'butterworth'; readonly factor: number; readonly p: number; readonly q: number }
  | { readonly kind: 'armand'; readonly factor: number }

/** [std: Zivi 1964] */
const ZIVI: VoidLaw = { kind: 'slip', exponent: 1 / 3 }

/**
 * Mean density of a two-phase stretch whose quality runs evenly from one value to another.
 * @param from,to qualities 0 to 1; equal values give the density at that quality
 * @returns kg/m3
 */
export function meanTwoPhaseDensity(
  liquid: number,
  vapour: number,
  from: number,
  to: number,
  law: VoidLaw = ZIVI,
): number {
  const [a, b] = [clampQuality(from), clampQuality(to)]
  const void_ =
    law.kind === 'slip'
      ? meanVoid((vapour / liquid) ** (1 - law.exponent), a, b)
      : meanOf((quality) => AT_QUALITY[law.kind](law as never, vapour / liquid, quality), a, b)
  return liquid * (1 - void_) + vapour * void_
}

const clampQuality = (quality: number) => Math.min(Math.max(quality, 0), 1)
const ALIKE = 1e-6

/** Mean of x / (s + (1 - s) x) over the quality, in closed form. */
function meanVoid(slip: number, from: number, to: number): number {
  const rest = 1 - slip
  if (Math.abs(to - from) < ALIKE || Math.abs(rest) < ALIKE) {
    const quality = (from + to) / 2
    return quality / (slip + rest * quality)
  }
  const integral = (quality: number) =>
    quality / rest - (slip / (rest * rest)) * Math.log(slip + rest * quality)
  return (integral(to) - integral(from)) / (to - from)
}

type Law<K extends VoidLaw['kind']> = Extract<VoidLaw, { kind: K }>

function butterworth({ factor, p, q }: Law<'butterworth'>, densities: number, quality: number): number {
  if (quality <= 0) return 0
  return 1 / (1 + factor * ((1 - quality) / quality) ** p * densities ** q)
}

function armand({ factor }: Law<'armand'>, densities: number, quality: number): number {
  const volumes = quality / (quality + (1 - quality) * densities)
  return (factor + (1 - factor) * quality) * volumes
}
const AT_QUALITY = { butterworth, armand } as const

/** Gauss-Legendre with five points on 0 to 1 [std: Abramowitz and Stegun 25.4.30]. */
const GAUSS: readonly (readonly [at: number, weight: number])[] = [
  [0.046910077030668, 0.118463442528095],
  [0.230765344947158, 0.239314335249683],
  [0.5, 0.284444444444444],
  [0.769234655052842, 0.239314335249683],
  [0.953089922969332, 0.118463442528095],
]

const meanOf = (value: (quality: number) => number, from: number, to: number): number =>
  GAUSS.reduce((sum, [at, weight]) => sum + weight * value(from + at * (to - from)), 0)

/** Density of a mixture without slip, kg/m3: what passes an orifice or fills a pipe at speed. */
export const homogeneousDensity = (liquid: number, vapour: number, quality: number): number =>
  1 / (clampQuality(quality) / vapour + (1 - clampQuality(quality)) / liquid)
