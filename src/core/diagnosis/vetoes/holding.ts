import { siteAtmosphere } from '../../record/equipment/circumstances'
import type { UnitPlate } from '../../record/equipment/unit'
import type { ReadingSet } from '../../record/readings/schema'
import { takeSnapshot } from '../../record/readings/snapshot'
import { VETO_IDS, type VetoId } from '../../safety/vetoes'
import { READS, type Says, type Scene, sceneOf, STAYS_LIFTED } from './says'

/** The last word on a state: a later set overrules an earlier one; one that is silent changes nothing. */
function lastWord(id: VetoId, said: readonly Says[]): Says {
  if (STAYS_LIFTED.includes(id) && said.includes('lifted')) return 'lifted'
  return said.findLast((each) => each !== undefined)
}

/** A unit of which nothing was read yet: what its plate alone says. */
const UNREAD: ReadingSet = { mode: 'off', readings: {} }

/**
 * The states of the table of vetoes that hold now, from all that was read and seen of a unit.
 * @param sets in the order in which they were taken; a set that lifts a state counts until a later one finds it again
 * @throws OrzoError not-loaded when the refrigerant's table is not in memory
 */
export function holdingVetoes(unit: UnitPlate, sets: readonly ReadingSet[]): VetoId[] {
  const atmosphere = siteAtmosphere(unit)
  const scenes: Scene[] = []
  for (const set of sets.length > 0 ? sets : [UNREAD])
    scenes.push(sceneOf(unit, set, takeSnapshot(set, unit.refrigerant, atmosphere), [...scenes]))
  return VETO_IDS.filter((id) => lastWord(id, scenes.map(READS[id])) === 'holds')
}
