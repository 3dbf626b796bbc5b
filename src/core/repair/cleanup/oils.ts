import { type OilFamily, usualOilOf } from '../../physics/refrigerants/catalogue'
import type { UnitPlate } from '../../record/equipment/unit'

/** What an oil holds and weighs. */
export type OilRow = {
  /** kg/m3 at room temperature [physics], handbook 06 */
  readonly density: number
  /** parts of water in a million by mass where the air above is saturated [memory], handbook 06 */
  readonly saturated: number
  /** fresh from the can [memory] */
  readonly fresh: number
  /** where the indicator stands between dry and wet, and where it is wet [memory] */
  readonly moist: number
  readonly wet: number
  /** above this something is done [memory] */
  readonly act: number
  /** an open can goes on taking water from the air */
  readonly hygroscopic: boolean
}

/** One row a family; mineral's figures stand for alkylbenzene too [memory]. */
export const OIL_ROWS: Readonly<Record<OilFamily, OilRow>> = {
  mineral: { density: 910, saturated: 80, fresh: 20, moist: 40, wet: 65, act: 30, hygroscopic: false },
  alkylbenzene: { density: 870, saturated: 80, fresh: 20, moist: 40, wet: 65, act: 30, hygroscopic: false },
  POE: { density: 980, saturated: 2500, fresh: 50, moist: 100, wet: 500, act: 100, hygroscopic: true },
  PVE: { density: 930, saturated: 6000, fresh: 50, moist: 200, wet: 1500, act: 240, hygroscopic: true },
}

/** Volume of oil, m3, from its mass (kg). */
export const oilVolumeOf = (kilograms: number, oil: OilFamily): number => kilograms / OIL_ROWS[oil].density

/** Mass of oil, kg, from its volume (m3). */
export const oilMassOf = (cubicMetres: number, oil: OilFamily): number => cubicMetres * OIL_ROWS[oil].density

/** The oil of a unit: of its plate, or usual with what it was made for. */
export const oilOf = ({ compressor, convertedFrom, refrigerant }: UnitPlate): OilFamily =>
  compressor?.oil ?? usualOilOf(convertedFrom ?? refrigerant)

/** Whether oil can be drained and filled without pulling the compressor: as written, or as a semi-hermetic has it. [practice] */
export const hasOilPorts = ({ compressor }: UnitPlate): boolean =>
  compressor?.oilPorts ?? compressor?.type === 'semi-hermetic'
