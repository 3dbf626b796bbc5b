import type { RefrigerantName } from './catalogue'
import { saturatedState, superheatedHeatCapacity } from './saturation'

/** [practice] isentropic efficiency of a sound small hermetic compressor near its rating. */
const ISENTROPIC_EFFICIENCY = 0.7

/**
 * Expected discharge temperature of a sound compressor, by mean heat capacities of the vapour (first order).
 * @param evaporating dew temperature at suction, K
 * @param condensing dew temperature at discharge, K
 * @param superheat at the compressor inlet, K
 * @returns K; within 4 K of the reference library for ordinary air-conditioning states, R-32 up to 11 K low
 * @throws OrzoError out-of-range
 */
export function dischargeTemperature(
  name: RefrigerantName,
  evaporating: number,
  condensing: number,
  superheat: number,
): number {
  const suction = saturatedState(name, 'dew', evaporating)
  const high = saturatedState(name, 'dew', condensing)
  const heatCapacity = superheatedHeatCapacity(name, condensing)
  const inlet = evaporating + Math.max(superheat, 0)
  const suctionHeat = superheatedHeatCapacity(name, evaporating)
  const entropy = suction.entropy + suctionHeat * Math.log(inlet / evaporating)
  const enthalpy = suction.enthalpy + suctionHeat * (inlet - evaporating)
  const isentropic = condensing * Math.exp((entropy - high.entropy) / heatCapacity)
  const work = (high.enthalpy + heatCapacity * (isentropic - condensing) - enthalpy) / ISENTROPIC_EFFICIENCY
  return condensing + (enthalpy + work - high.enthalpy) / heatCapacity
}
