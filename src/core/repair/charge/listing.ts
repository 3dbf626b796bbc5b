import { isFlammable, type RefrigerantName, refrigerantRow } from '../../physics/refrigerants/catalogue'
import { madeFor } from '../../record/equipment/madeFor'
import type { UnitPlate } from '../../record/equipment/unit'

/** Whether equipment may hold a refrigerant, and why not. */
export type Listing = { readonly ok: boolean; readonly reason: string }

/**
 * Whether a refrigerant may go into this equipment: a flammable one only where the equipment is listed for it, a high-pressure
 * one only where the equipment was made for that pressure (handbook 10). The listing of the plate leads; where it says
 * nothing, what the equipment was made for.
 */
export function listingOf(unit: UnitPlate, name: RefrigerantName): Listing {
  const made = madeFor(unit)
  const isListed = unit.listedFor ? unit.listedFor.includes(name) : name === made
  if (isFlammable(name) && !isListed)
    return {
      ok: false,
      reason: `${name} burns (${refrigerantRow(name).safety}) and this equipment is not listed for it.`,
    }
  const isHigh = refrigerantRow(name).highPressureClass && !refrigerantRow(made).highPressureClass
  if (isHigh && !unit.listedFor?.includes(name))
    return { ok: false, reason: `${name} works at pressures that equipment for ${made} was not built for.` }
  return { ok: true, reason: '' }
}

/**
 * What goes in at the end: what was chosen, else what is in it, where the equipment may hold it; else what its plate lists.
 * @returns undefined where nothing is known that may go in
 */
export function goesIn(unit: UnitPlate, chosen: RefrigerantName | undefined): RefrigerantName | undefined {
  const wanted = [chosen, unit.refrigerant, ...(unit.listedFor ?? []), madeFor(unit)]
  return wanted.find((name): name is RefrigerantName => name !== undefined && listingOf(unit, name).ok)
}
