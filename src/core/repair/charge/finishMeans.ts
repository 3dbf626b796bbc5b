import type { UnitPlate } from '../../record/equipment/unit'

/** What a charge is finished by, by what the metering device allows (handbook 09). */
export type FinishMeans = 'weight' | 'glass' | 'superheat' | 'subcooling'

/** A capillary by weight alone, a receiver by its glass, an orifice by superheat, any valve by subcooling. */
export function finishMeans({ metering, receiver }: UnitPlate): FinishMeans {
  if (metering === 'capillary') return 'weight'
  if (receiver) return 'glass'
  return metering === 'fixed-orifice' ? 'superheat' : 'subcooling'
}
