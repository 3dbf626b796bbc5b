// What is left in a circuit that lost its charge.
import type { RandomSource } from '@/core/base/numeric/random'
import { saturatedDensity } from '@/core/physics/refrigerants/saturation'
import type { ElectricalShow } from '@/core/simulate/electricalFaults'
import { innerVolume } from '@/core/simulate/standing'
import { type Inside, lostChargeWords, NOTHING_FLOWS, standingTruth } from '@/core/simulate/standingCircuit'
import type { Steady } from '@/core/simulate/steady'

export const psi = (value: number) => value * 6894.757
const inHg = (value: number) => value * 3386.389

/** Share of the charge at which the last liquid is gone at the coldest place. */
function vanishes(steady: Steady): number {
  const { circuit, conditions, sized } = steady
  const coldest = Math.min(conditions.outdoorAirTemp, sized.plate.kind.startsWith('walk') ? 255 : 295)
  return (innerVolume(circuit) * saturatedDensity(circuit.refrigerant, 'dew', coldest)) / circuit.charge
}

/** Vapour alone, nothing but air, or a vacuum, with a name for it. */
export function lostInside(steady: Steady, random: RandomSource): [string, Inside] {
  const draw = random()
  if (draw < 0.4) return ['vapour only', { charge: (0.1 + 0.8 * random()) * vanishes(steady) }]
  if (draw < 0.75) return ['empty', { charge: 0, gas: psi(random() < 0.5 ? 0 : -1.1 * random()) }]
  return ['vacuum', { charge: 0, vacuum: inHg(4 + 22 * random()) }]
}

/** What a lost charge shows: pressures at rest, nothing flows, and the words beside them. */
export function lostShow(steady: Steady, random: RandomSource): ElectricalShow {
  const [, inside] = lostInside(steady, random)
  const atRest = standingTruth(steady, inside)
  return {
    runs: false,
    values: { ...NOTHING_FLOWS, ...atRest },
    words: lostChargeWords(atRest, steady, random),
  }
}
