import { OrzoError } from '../base/errors/orzoError'
import type { RefrigerantName } from '../physics/refrigerants/catalogue'
import { saturatedDensity } from '../physics/refrigerants/saturation'
import { superheatedVapour } from '../physics/refrigerants/vapour'
import { differenceToKelvin, toKelvin } from '../base/units/convert'

/** [memory] refrigeration copper tube: outer diameter and wall, inches. */
export const TUBES = [
  { name: '1/4 in', outer: 0.25, wall: 0.03 },
  { name: '5/16 in', outer: 0.3125, wall: 0.032 },
  { name: '3/8 in', outer: 0.375, wall: 0.032 },
  { name: '1/2 in', outer: 0.5, wall: 0.032 },
  { name: '5/8 in', outer: 0.625, wall: 0.035 },
  { name: '3/4 in', outer: 0.75, wall: 0.035 },
  { name: '7/8 in', outer: 0.875, wall: 0.045 },
  { name: '1-1/8 in', outer: 1.125, wall: 0.05 },
  { name: '1-3/8 in', outer: 1.375, wall: 0.055 },
] as const
export type TubeName = (typeof TUBES)[number]['name']

const INCH = 0.0254
/** [practice] states at which lines are judged: liquid at 100 F, suction gas at 40 F with 10 F superheat. */
const LIQUID_KELVIN = toKelvin({ value: 100, unit: 'F' })
const SUCTION_KELVIN = toKelvin({ value: 40, unit: 'F' })
const SUPERHEAT = differenceToKelvin(10, 'F')

/** Inner area of a tube, m2. */
export function innerArea(name: TubeName): number {
  const tube = TUBES.find((each) => each.name === name)
  if (!tube) throw new OrzoError('out-of-range', `${name} is no tube size of the table.`)
  return (Math.PI / 4) * ((tube.outer - 2 * tube.wall) * INCH) ** 2
}

export type LineSetAdder = {
  /** kg a metre */
  readonly liquid: number
  readonly vapour: number
  /** kg for the length beyond what the plate covers; negative for a shorter line */
  readonly total: number
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
  const liquid = innerArea(liquidTube) * saturatedDensity(refrigerant, 'bubble', LIQUID_KELVIN)
  const vapour = innerArea(vapourTube) * superheatedVapour(refrigerant, SUCTION_KELVIN, SUPERHEAT).density
  return { liquid, vapour, total: (liquid + vapour) * lengthBeyond }
}
