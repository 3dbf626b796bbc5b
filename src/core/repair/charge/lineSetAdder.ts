import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import { saturatedDensity } from '../../physics/refrigerants/saturation'
import { superheatedVapour } from '../../physics/refrigerants/vapour'
import { innerArea, type TubeName } from '../../physics/processes/tubes'
import { differenceToKelvin, toKelvin } from '../../base/units/convert'

/** [practice] states at which lines are judged: liquid at 100 F, suction gas at 40 F with 10 F superheat. */
const LIQUID_KELVIN = toKelvin({ value: 100, unit: 'F' })
const SUCTION_KELVIN = toKelvin({ value: 40, unit: 'F' })
const SUPERHEAT = differenceToKelvin(10, 'F')

export type LineSetAdder = {
  /** kg a metre */
  readonly liquid: number
  readonly vapour: number
  /** kg for the length beyond what the plate covers; negative for a shorter line */
  readonly total: number
}

/** What a metre of line holds, kg: liquid at 100 F in one bore (m2), suction gas in the other. [physics] */
export function lineHolds(
  refrigerant: RefrigerantName,
  liquidArea: number,
  vapourArea: number,
): { readonly liquid: number; readonly vapour: number } {
  return {
    liquid: liquidArea * saturatedDensity(refrigerant, 'bubble', LIQUID_KELVIN),
    vapour: vapourArea * superheatedVapour(refrigerant, SUCTION_KELVIN, SUPERHEAT).density,
  }
}

/**
 * Refrigerant that a line set holds [physics: area x density x length].
 * @param lengthBeyond line length less the length that the plate charge covers, m
 * @throws OrzoError out-of-range where the refrigerant's table does not hold the two states
 */
export function lineSetAdder(
  refrigerant: RefrigerantName,
  liquidTube: TubeName,
  vapourTube: TubeName,
  lengthBeyond: number,
): LineSetAdder {
  const { liquid, vapour } = lineHolds(refrigerant, innerArea(liquidTube), innerArea(vapourTube))
  return { liquid, vapour, total: (liquid + vapour) * lengthBeyond }
}
