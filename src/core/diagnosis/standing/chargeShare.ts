import { attempt } from '../../base/errors/orzoError'
import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import { pressureRange, saturatedDensity } from '../../physics/refrigerants/saturation'
import { vapourAt } from '../../physics/refrigerants/vapour'

/** How sure a computed share or weight is. */
export type Spread = { readonly low: number; readonly likely: number; readonly high: number }

const ROOM_KELVIN = 297.04 // 75 F
/**
 * [memory] share of the inner volume that a whole charge fills as liquid at 75 F: simulated circuits 0.11-0.22, tight
 * circuits to 0.37. It makes the handbook's 7-28 % of the plate at which liquid vanishes at 75 F.
 */
const LIQUID_FILL: Spread = { low: 0.15, likely: 0.25, high: 0.37 }

/**
 * Density of vapour, kg/m3.
 * @param pascals absolute; below the refrigerant's table the gas is taken as ideal from its coldest row
 * @param kelvin at or above the dew point of the pressure
 * @throws OrzoError out-of-range
 */
export function vapourDensity(name: RefrigerantName, pascals: number, kelvin: number): number {
  const least = pressureRange(name, 'dew').lowest * 1.001
  if (pascals >= least) return vapourAt(name, pascals, kelvin).density
  return (Math.max(pascals, 0) / least) * vapourAt(name, least, kelvin).density
}

/**
 * Share of the plate charge that vapour alone makes at a pressure and a temperature [physics]; the inner volume is
 * calculated from the charge that it was made for. Oil holds more: a lower bound.
 * @returns shares of one; undefined where the refrigerant has no data there
 */
export function chargeShare(name: RefrigerantName, pascals: number, kelvin: number): Spread | undefined {
  const found = attempt(() => {
    const perLiquid = vapourDensity(name, pascals, kelvin) / saturatedDensity(name, 'bubble', ROOM_KELVIN)
    return {
      low: perLiquid / LIQUID_FILL.high,
      likely: perLiquid / LIQUID_FILL.likely,
      high: Math.min(perLiquid / LIQUID_FILL.low, 1),
    }
  })
  return found.ok ? found.value : undefined
}
