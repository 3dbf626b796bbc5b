import type { RefrigerantName } from './catalogue'
import { enthalpyOfEntropy, superheatedVapour, vapourOfEnthalpy, type VapourState } from './vapour'

/** [practice] isentropic efficiency of a sound small hermetic compressor near its rating. */
export const USUAL_EFFICIENCY = 0.7

export type Compression = {
  readonly suction: VapourState
  readonly discharge: VapourState
  /** J/kg with the given efficiency, and of the ideal compression */
  readonly work: number
  readonly isentropicWork: number
}

/**
 * Adiabatic compression from one dew point to another.
 * @param evaporating dew temperature at suction, K
 * @param condensing dew temperature at discharge, K
 * @param superheat at the compressor inlet, K; below 0 counts as 0
 * @param efficiency isentropic, 0 to 1
 * @throws OrzoError out-of-range
 */
export function compress(
  name: RefrigerantName,
  evaporating: number,
  condensing: number,
  superheat: number,
  efficiency: number = USUAL_EFFICIENCY,
): Compression {
  const suction = superheatedVapour(name, evaporating, Math.max(superheat, 0))
  const isentropicWork = enthalpyOfEntropy(name, condensing, suction.entropy) - suction.enthalpy
  const work = isentropicWork / efficiency
  return {
    suction,
    discharge: vapourOfEnthalpy(name, condensing, suction.enthalpy + work),
    work,
    isentropicWork,
  }
}

/** Expected discharge temperature of a sound compressor, K; parameters as for compress. */
export const dischargeTemperature = (
  name: RefrigerantName,
  evaporating: number,
  condensing: number,
  superheat: number,
): number => compress(name, evaporating, condensing, superheat).discharge.temperature
