/**
 * Mean density of a two-phase stretch whose quality runs evenly from one value to another, by the void fraction of
 * minimum entropy production (slip = (liquid/vapour density)^(1/3)) [std: Zivi 1964].
 * @param from,to qualities 0 to 1; equal values give the density at that quality
 * @returns kg/m3
 */
export function meanTwoPhaseDensity(liquid: number, vapour: number, from: number, to: number): number {
  const void_ = meanVoid((vapour / liquid) ** (2 / 3), clampQuality(from), clampQuality(to))
  return liquid * (1 - void_) + vapour * void_
}

const clampQuality = (quality: number) => Math.min(Math.max(quality, 0), 1)
const ALIKE = 1e-6

/** Mean of x / (s + (1 - s) x) over the quality, in closed form. */
function meanVoid(slip: number, from: number, to: number): number {
  if (Math.abs(to - from) < ALIKE) {
    const quality = (from + to) / 2
    return quality / (slip + (1 - slip) * quality)
  }
  const rest = 1 - slip
  const integral = (quality: number) =>
    quality / rest - (slip / (rest * rest)) * Math.log(slip + rest * quality)
  return (integral(to) - integral(from)) / (to - from)
}

/** Density of a mixture without slip, kg/m3: what passes an orifice or fills a pipe at speed. */
export const homogeneousDensity = (liquid: number, vapour: number, quality: number): number =>
  1 / (clampQuality(quality) / vapour + (1 - clampQuality(quality)) / liquid)
