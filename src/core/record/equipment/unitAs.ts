import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import { madeFor } from './madeFor'
import type { UnitPlate } from './unit'

const made = new WeakMap<UnitPlate, Map<RefrigerantName, UnitPlate>>()

/**
 * The unit with what was inside at some time: converted, where that is not what its plate says. The same object for the same
 * plate and refrigerant.
 */
export function unitAs(unit: UnitPlate, refrigerant: RefrigerantName | undefined): UnitPlate {
  if (refrigerant === undefined || refrigerant === unit.refrigerant) return unit
  const known = made.get(unit) ?? new Map<RefrigerantName, UnitPlate>()
  made.set(unit, known)
  const converted = known.get(refrigerant) ?? {
    ...unit,
    refrigerant,
    convertedFrom: madeFor(unit),
  }
  known.set(refrigerant, converted)
  return converted
}
