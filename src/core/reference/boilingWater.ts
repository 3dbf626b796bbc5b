import { waterVapourPressure } from '../physics/air/psychrometrics'
import { OrzoError } from '../base/errors/orzoError'
import { bracketedRoot } from '../base/numeric/root'

const COLDEST = 203.15
const HOTTEST = 423.15

/** Pressure under which water boils, or ice sublimes below 0 C, Pa [std: ASHRAE formulation, through psychrolib]. */
export function boilingPressure(kelvin: number): number {
  if (kelvin >= COLDEST && kelvin <= HOTTEST) return waterVapourPressure(kelvin)
  throw new OrzoError('out-of-range', 'The table of water runs from -70 to 150 C (-94 to 302 F).')
}

/** Temperature at which water boils under a pressure (Pa), or ice sublimes, K. @throws OrzoError out-of-range */
export function boilingTemperatureOfWater(pascals: number): number {
  if (!(pascals >= waterVapourPressure(COLDEST) && pascals <= waterVapourPressure(HOTTEST))) {
    throw new OrzoError('out-of-range', 'The table of water runs from 2 microns to 475 kPa absolute.')
  }
  return bracketedRoot((kelvin) => Math.log(waterVapourPressure(kelvin) / pascals), COLDEST, HOTTEST, 1e-6)
}
