import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import type { UnitPlate } from './unit'

/** What the equipment was made for: told, or the first that its plate lists where that leaves out what is in it. */
export const madeFor = ({ convertedFrom, refrigerant, listedFor }: UnitPlate): RefrigerantName =>
  convertedFrom ?? (listedFor?.includes(refrigerant) ? refrigerant : (listedFor?.[0] ?? refrigerant))
