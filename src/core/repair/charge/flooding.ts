import { basisOf, guess } from '../../base/known/known'
import { attempt } from '../../base/errors/orzoError'
import { fromKelvin, toKelvin } from '../../base/units/convert'
import type { TemperatureUnit } from '../../base/units/units'
import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import { saturatedState } from '../../physics/refrigerants/saturation'
import type { UnitPlate } from '../../record/equipment/unit'
import type { CircuitSize } from '../cleanup/circuitSize'
import type { ChargeLine } from './chargeLine'
import type { CircuitReadings } from './circuitReadings'

/** [memory] share of the inner volume that is the condenser of a box. */
const CONDENSER_SHARE = 0.12
/** [practice] condensing that a flooding valve holds, and how far a free condenser runs above its air. K, and K apart */
const HELD = toKelvin({ value: 90, unit: 'F' })
const APPROACH = 20 / 1.8
const COLD_USUAL = toKelvin({ value: 20, unit: 'F' })

/**
 * Share of a condenser that is flooded to hold its pressure [physics]: heat goes by free area x the difference to the air, and
 * the same heat must go.
 * @param outdoor K
 * @returns 0 to 1; nothing from 70 F up
 */
export function floodedShare(outdoor: number): number {
  const difference = HELD - outdoor
  return difference <= APPROACH ? 0 : 1 - APPROACH / difference
}

/** Head pressure is held up, and nobody said how: nothing is added for an unknown one (handbook 09). */
export const asksHeadControl = ({ headPressureControl, headControl }: UnitPlate): boolean =>
  headPressureControl === true && headControl === undefined

const BY_FAN = 'Head pressure is held by the fan: nothing is flooded, no allowance.'
const UNKNOWN =
  'Head pressure is held, by the fan or by flooding: find out which, nothing is added for an unknown one.'
const BY_FLOODING =
  'A glass cleared while it floods holds that day’s allowance already: add only for a colder one.'

/** What is said of the way head pressure is held. */
export function headControlSays(unit: UnitPlate): string[] {
  if (unit.headPressureControl !== true) return []
  if (unit.headControl === 'fan') return [BY_FAN]
  return [unit.headControl === 'flooding' ? BY_FLOODING : UNKNOWN]
}

type Input = {
  readonly unit: UnitPlate
  readonly refrigerant: RefrigerantName
  readonly size: Pick<CircuitSize, 'volume'>
  readonly readings: Pick<CircuitReadings, 'outdoor'>
}

const fahrenheit = (kelvin: number) => `${fromKelvin(kelvin, 'F').toFixed(0)} F`

/**
 * Liquid that a flooding valve needs beyond a glass that is cleared at today's air, for the coldest day. [memory] shares, [physics]
 * densities
 */
export function floodingLine({ unit, refrigerant, size, readings }: Input): ChargeLine[] {
  if (unit.headPressureControl !== true || unit.headControl !== 'flooding') return []
  const written = unit.control?.coldestOutdoor
  const coldest = written ? toKelvin(written as { value: number; unit: TemperatureUnit }) : COLD_USUAL
  const cleared = readings.outdoor
  const share = floodedShare(coldest) - (cleared === undefined ? 0 : floodedShare(cleared))
  if (share <= 0) return []
  const held = attempt(() => {
    const liquid = saturatedState(refrigerant, 'bubble', coldest).density
    return (liquid - saturatedState(refrigerant, 'dew', coldest).density) * size.volume.value
  })
  if (!held.ok) return []
  const from =
    cleared === undefined || floodedShare(cleared) === 0
      ? 'a clear glass'
      : `a glass cleared at ${fahrenheit(cleared)}`
  return [
    {
      id: 'flooding',
      label: `flooding from ${from} down to ${fahrenheit(coldest)}`,
      kg: held.value * CONDENSER_SHARE * share,
      basis: basisOf(size.volume, written ? undefined : guess('20 F on the coldest day', 'coldestOutdoor')),
      isAllowance: true,
    },
  ]
}
