import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import type { JobSet } from '../records/set'
import { type EffectsOf, type StateRecords, timelineOf } from './timeline'

/** What is inside when each set is taken, by the set's id: as charged until then, or as somebody says. */
function refrigerantsOf(
  job: StateRecords & { readonly unit: { readonly refrigerant: RefrigerantName } },
  effectsOf: EffectsOf,
): ReadonlyMap<string, RefrigerantName> {
  let inside = job.unit.refrigerant
  const found = new Map<string, RefrigerantName>()
  for (const event of timelineOf(job, effectsOf)) {
    if (event.type === 'end' && event.effects.charges) inside = event.refrigerant ?? inside
    if (event.type !== 'set') continue
    inside = event.set.refrigerant ?? inside
    found.set(event.set.id, inside)
  }
  return found
}

const named = new WeakMap<JobSet, JobSet>()

function withName(set: JobSet, refrigerant: RefrigerantName): JobSet {
  const known = named.get(set)
  if (known?.refrigerant === refrigerant) return known
  const next = { ...set, refrigerant }
  named.set(set, next)
  return next
}

/** The job with what was inside written at each set where it is not what the plate says; other sets stay the same objects. */
export function withRefrigerants<
  T extends StateRecords & { readonly unit: { readonly refrigerant: RefrigerantName } },
>(job: T, effectsOf: EffectsOf): T {
  const inside = refrigerantsOf(job, effectsOf)
  const readingSets = job.readingSets.map((set) => {
    const name = inside.get(set.id) ?? job.unit.refrigerant
    return name === (set.refrigerant ?? job.unit.refrigerant) ? set : withName(set, name)
  })
  return readingSets.every((set, i) => set === job.readingSets[i]) ? job : { ...job, readingSets }
}
