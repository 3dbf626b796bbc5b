import { type Basis, fact, guess } from '../../base/known/known'
import { bracketedRoot } from '../../base/numeric/root'
import { toKelvin, toSI } from '../../base/units/convert'
import type { TemperatureUnit } from '../../base/units/units'
import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import { saturatedDensity, temperatureRange } from '../../physics/refrigerants/saturation'
import type { Repair } from '../../record/records/repair'
import { USUAL } from '../cleanup/usual'

/** A recovery cylinder: how much may go in. kg */
export type CylinderFill = {
  /** most net weight: 80 % of its volume as liquid at 77 F, less where it will stand hot */
  readonly limit: number
  /** what is in it, and what may still go in; undefined while the scale was not read */
  readonly net: number | undefined
  readonly room: number
  /** weight that the scale shows at the limit; undefined without the tare */
  readonly grossLimit: number | undefined
  /** cylinders of this size that the charge fills */
  readonly count: number
  /** filled to its limit it is full of liquid at this temperature, K; undefined past the table */
  readonly fullAt: number | undefined
  readonly isLimitedByHeat: boolean
  /** above seven tenths of its limit, or over it */
  readonly state: 'room' | 'nearly-full' | 'over'
  /** how its size is known */
  readonly basis: Basis
}

const FILL_SHARE = 0.8 // [std: 49 CFR 173.304a practice]
const REFERENCE = toKelvin({ value: 77, unit: 'F' })
/** [std: 49 CFR 178, from memory] the stamped capacity is weighed with water at 60 F, kg/m3. */
const WATER_DENSITY = 999.0
/** [practice] in the hottest place this share of the volume may be liquid. */
const HOT_SHARE = 0.95
const WARN_SHARE = 0.7

/** Volume of a cylinder, m3, by the water that it holds (kg). */
const volumeOf = (water: number) => water / WATER_DENSITY

/**
 * Most net weight of a refrigerant in a cylinder, kg: 80 % of water capacity x specific gravity at 77 F, and never
 * more than stays 95 % liquid in the hottest place.
 * @param water water capacity, kg
 * @param hottest K
 * @throws OrzoError not-loaded
 */
export function fillLimit(refrigerant: RefrigerantName, water: number, hottest?: number): number {
  const usual = FILL_SHARE * volumeOf(water) * saturatedDensity(refrigerant, 'bubble', REFERENCE)
  if (hottest === undefined) return usual
  // past the table the liquid only swells further: its last row is the most that may go in
  const { coldest, hottest: last } = temperatureRange(refrigerant)
  const kelvin = Math.max(Math.min(hottest, last), coldest)
  return Math.min(usual, HOT_SHARE * volumeOf(water) * saturatedDensity(refrigerant, 'bubble', kelvin))
}

/** Temperature at which a net weight fills a cylinder with liquid, K; undefined past the refrigerant's table. */
export function fullTemperature(
  refrigerant: RefrigerantName,
  water: number,
  net: number,
): number | undefined {
  const density = net / volumeOf(water)
  const { coldest, hottest } = temperatureRange(refrigerant)
  const over = (kelvin: number) => saturatedDensity(refrigerant, 'bubble', kelvin) - density
  if (over(hottest) > 0 || over(coldest) < 0) return undefined
  return bracketedRoot(over, coldest, hottest, 1e-3)
}

/** What a cylinder still takes, and how many of its size a charge fills. @param charge kg */
export function cylinderFill(
  refrigerant: RefrigerantName,
  charge: number,
  cylinder: NonNullable<Repair['cylinder']> | undefined,
): CylinderFill {
  const water = cylinder?.capacity ? toSI(cylinder.capacity) : USUAL.cylinderWater
  const hottest = cylinder?.hottest && toKelvin(cylinder.hottest as { value: number; unit: TemperatureUnit })
  const limit = fillLimit(refrigerant, water, hottest)
  const tare = cylinder?.tare && toSI(cylinder.tare)
  const net = tare !== undefined && cylinder?.gross ? Math.max(toSI(cylinder.gross) - tare, 0) : undefined
  const room = Math.max(limit - (net ?? 0), 0)
  return {
    limit,
    net,
    room,
    grossLimit: tare === undefined ? undefined : tare + limit,
    count: charge <= room ? 1 : 1 + Math.ceil((charge - room) / limit - 1e-9),
    fullAt: fullTemperature(refrigerant, water, limit),
    isLimitedByHeat: limit < fillLimit(refrigerant, water) - 1e-9,
    basis: cylinder?.capacity
      ? fact('typed', 'the cylinder')
      : guess('a cylinder of the 50 lb class', 'cylinder'),
    state: (net ?? 0) > limit ? 'over' : (net ?? 0) > WARN_SHARE * limit ? 'nearly-full' : 'room',
  }
}
