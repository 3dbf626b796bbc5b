import type { RefrigerantName } from './catalogue'
import { compress } from './compression'
import { qualityAfterThrottling, subcooledLiquid } from './liquid'
import { saturationPressure, saturationTemperature } from './saturation'

export type CyclePoint = {
  /** dew temperature, K */
  readonly evaporating: number
  /** bubble temperature, K */
  readonly condensing: number
  readonly superheat: number
  readonly subcooling: number
  /** isentropic, 0 to 1 */
  readonly efficiency: number
}

/** A one-stage cycle without pressure drops. SI. */
export type Cycle = {
  readonly suctionPressure: number
  readonly dischargePressure: number
  readonly ratio: number
  readonly dischargeTemperature: number
  /** J/kg */
  readonly refrigeratingEffect: number
  readonly work: number
  readonly efficiencyOfCooling: number
  /** J/m3 of suction gas: what one displacement can carry */
  readonly volumetricCapacity: number
  readonly qualityAfterValve: number
  /** kg/s a watt of cooling */
  readonly massFlowPerWatt: number
  /** kg/m3 of the liquid ahead of the valve */
  readonly liquidDensity: number
  /** glide at the evaporating pressure, K */
  readonly evaporatingGlide: number
  readonly enthalpies: { readonly suction: number; readonly discharge: number; readonly valve: number }
}

/**
 * The cycle between two saturations.
 * @throws OrzoError out-of-range where a temperature lies outside the refrigerant's table
 */
export function idealCycle(name: RefrigerantName, point: CyclePoint): Cycle {
  const suctionPressure = saturationPressure(name, 'dew', point.evaporating)
  const dischargePressure = saturationPressure(name, 'bubble', point.condensing)
  const dewAtDischarge = saturationTemperature(name, 'dew', dischargePressure)
  const { suction, discharge, work } = compress(
    name,
    point.evaporating,
    dewAtDischarge,
    point.superheat,
    point.efficiency,
  )
  const liquid = subcooledLiquid(name, point.condensing - point.subcooling, dischargePressure)
  const refrigeratingEffect = suction.enthalpy - liquid.enthalpy
  return {
    suctionPressure,
    dischargePressure,
    ratio: dischargePressure / suctionPressure,
    dischargeTemperature: discharge.temperature,
    refrigeratingEffect,
    work,
    efficiencyOfCooling: refrigeratingEffect / work,
    volumetricCapacity: refrigeratingEffect * suction.density,
    qualityAfterValve: qualityAfterThrottling(name, liquid.enthalpy, suctionPressure),
    massFlowPerWatt: 1 / refrigeratingEffect,
    liquidDensity: liquid.density,
    evaporatingGlide: point.evaporating - saturationTemperature(name, 'bubble', suctionPressure),
    enthalpies: { suction: suction.enthalpy, discharge: discharge.enthalpy, valve: liquid.enthalpy },
  }
}
