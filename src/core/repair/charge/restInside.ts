import { computed, guess, type Known } from '../../base/known/known'
import { UNITS } from '../../base/units/units'
import { attempt } from '../../base/errors/orzoError'
import { vapourDensity } from '../../diagnosis/standing/chargeShare'
import { siteAtmosphere } from '../../record/equipment/circumstances'
import type { UnitPlate } from '../../record/equipment/unit'
import type { VetoId } from '../../safety/vetoes'
import { type CircuitSize, ROOM_KELVIN } from '../cleanup/circuitSize'
import type { CircuitReadings } from './circuitReadings'

/** What is left in a circuit when the work begins: a charge, vapour without liquid, or nothing. */
export type RestInside = 'charge' | 'vapour' | 'nothing'

/** [practice] a gauge errs by a psi: a circuit that lost its charge is at its depth, 0 psig, within that. Pa */
export const AT_DEPTH = UNITS.psig.si

/**
 * What is left (handbook 07): no liquid is not empty, vapour at 100 psig still holds pounds; what nobody read is to be proven.
 * @param holding states of the table of vetoes
 */
export function restInside(
  holding: readonly VetoId[],
  { standing }: Pick<CircuitReadings, 'standing'>,
): RestInside {
  if (!holding.includes('no-liquid')) return 'charge'
  return standing !== undefined && standing > AT_DEPTH ? 'vapour' : 'nothing'
}

/** Vapour that is left, kg: inner volume x density at what was read [physics]; undefined where the refrigerant has no data there. */
export function vapourLeft(
  unit: UnitPlate,
  size: Pick<CircuitSize, 'volume'>,
  { standing, outdoor }: Pick<CircuitReadings, 'standing' | 'outdoor'>,
): Known<number> | undefined {
  if (standing === undefined) return undefined
  const found = attempt(() =>
    vapourDensity(unit.refrigerant, standing + siteAtmosphere(unit), outdoor ?? ROOM_KELVIN),
  )
  return found.ok
    ? computed(
        found.value * size.volume.value,
        size.volume,
        outdoor === undefined ? guess('vapour at 75 F') : undefined,
      )
    : undefined
}
