import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import type { Job } from '../../record/job/job'
import type { UnitPlate } from '../../record/equipment/unit'
import { candidatesFor } from '../charge/candidates'
import { madeFor } from '../charge/listing'
import { DRYER_RATING_REFRIGERANT } from '../cleanup/dryers'

/** Refrigerants whose tables must be loaded before a job of this unit is diagnosed and planned. */
export function propertiesNeeded(
  unit: UnitPlate,
  { dryers = [], repair }: Partial<Pick<Job, 'dryers' | 'repair'>> = {},
): RefrigerantName[] {
  const made = madeFor(unit)
  return [
    ...new Set<RefrigerantName>([
      unit.refrigerant,
      DRYER_RATING_REFRIGERANT,
      made,
      ...(unit.listedFor ?? []),
      ...candidatesFor(made),
      ...dryers.flatMap(({ tonsFor }) => tonsFor ?? []),
      ...(repair?.refrigerantTo ? [repair.refrigerantTo] : []),
    ]),
  ]
}
