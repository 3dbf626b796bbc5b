import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import type { Job } from '../../record/job/job'
import type { UnitPlate } from '../../record/equipment/unit'
import { candidatesFor } from '../charge/candidates'
import { madeFor } from '../../record/equipment/madeFor'
import { DRYER_RATING_REFRIGERANT } from '../cleanup/dryers'

/** What of a job names refrigerants that are, were or will be inside. */
type Inside = Pick<Job, 'dryers' | 'repair' | 'others' | 'rounds' | 'readingSets'>

/** Refrigerants whose tables must be loaded before a job of this unit is diagnosed and planned. */
export function propertiesNeeded(
  unit: UnitPlate,
  { dryers = [], repair, others, rounds = [], readingSets = [] }: Partial<Inside> = {},
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
      ...[...(repair ? [repair] : []), ...(others?.repairs ?? [])].flatMap(
        ({ refrigerantTo }) => refrigerantTo ?? [],
      ),
      ...[...rounds, ...readingSets].flatMap(({ refrigerant }) => refrigerant ?? []),
    ]),
  ]
}
