import { OrzoError } from '../errors/orzoError'

/** [std: ICAO Doc 7488, standard atmosphere] pressure at mean sea level, Pa. */
export const SEA_LEVEL_PASCALS = 101_325
/** [std: ICAO Doc 7488] temperature at sea level K, lapse rate K/m, and the exponent g M / (R L). */
const SEA_LEVEL_KELVIN = 288.15
const LAPSE_PER_METRE = 0.0065
const EXPONENT = 9.80665 / (287.05287 * LAPSE_PER_METRE)
const LOWEST_METRES = -1000
const HIGHEST_METRES = 11_000

/**
 * Local atmospheric pressure by the ICAO standard atmosphere.
 * @param metres elevation above sea level, -1,000 to 11,000 m (the troposphere of the standard)
 * @returns Pa
 * @throws OrzoError out-of-range
 */
export function localAtmosphere(metres: number): number {
  if (!(metres >= LOWEST_METRES && metres <= HIGHEST_METRES)) {
    throw new OrzoError(
      'out-of-range',
      `Elevation ${metres} m is outside -1,000 to 11,000 m: check the unit.`,
      {
        metres,
      },
    )
  }
  return SEA_LEVEL_PASCALS * (1 - (LAPSE_PER_METRE * metres) / SEA_LEVEL_KELVIN) ** EXPONENT
}
