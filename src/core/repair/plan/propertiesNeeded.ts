import { DRYER_RATING_REFRIGERANT } from '../cleanup/dryers'
import type { UnitPlate } from '../../record/equipment/unit'
import type { RefrigerantName } from '../../physics/refrigerants/catalogue'

/** Refrigerants whose tables must be loaded before a job of this unit is diagnosed and planned. */
export const propertiesNeeded = (unit: UnitPlate): RefrigerantName[] => [
  unit.refrigerant,
  DRYER_RATING_REFRIGERANT,
]
