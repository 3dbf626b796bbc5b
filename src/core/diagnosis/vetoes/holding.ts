import { siteAtmosphere } from '../../record/equipment/circumstances'
import type { UnitPlate } from '../../record/equipment/unit'
import { unitAs } from '../../record/equipment/unitAs'
import type { ReadingSet } from '../../record/readings/schema'
import { takeSnapshot } from '../../record/readings/snapshot'
import type { JobSet } from '../../record/records/set'
import { timedSets } from '../../record/state/timeline'
import { unitState } from '../../record/state/unitState'
import type { Fix, UnitState } from '../../record/state/unit'
import { VETO_IDS, type VetoId } from '../../safety/vetoes'
import { ENDED_BY_PART } from './effects'
import { OF_STATE } from './ofState'
import { type JudgedVeto, READS, type VetoWord, type Scene, sceneOf, STAYS_LIFTED } from './vetoStates'

/** A unit of which nothing was read yet: what its plate alone says. */
const UNREAD: JobSet = { id: 'unread', mode: 'off', readings: {} }

/** What was done since the unit was found, and which judged states that ends. */
const endsOf = ({ did }: Fix): readonly VetoId[] => {
  if (did === 'evacuated') return ['standing-vacuum']
  if (did === 'charged') return ['standing-vacuum', 'no-liquid', 'low-side-leak']
  return ENDED_BY_PART[did] ?? []
}

type VetoSaid = { readonly at: number; readonly says: (id: JudgedVeto) => VetoWord }

/** The last word on a state: a later set or repair overrules an earlier one; one that is silent changes nothing. */
function lastWord(id: JudgedVeto, said: readonly VetoSaid[]): VetoWord {
  const words = said.map(({ says }) => says(id))
  if (STAYS_LIFTED.includes(id) && words.includes('lifted')) return 'lifted'
  return words.findLast((each) => each !== undefined)
}

function judged(unit: UnitPlate, sets: readonly JobSet[], { fixes }: UnitState): VetoSaid[] {
  const atmosphere = siteAtmosphere(unit)
  const scenes: Scene[] = []
  const ofSets = timedSets(sets).map(({ set, at }): VetoSaid => {
    const scene = sceneOf(
      unitAs(unit, set.refrigerant),
      set,
      takeSnapshot(set, unit.refrigerant, atmosphere),
      [...scenes],
    )
    scenes.push(scene)
    return { at, says: (id) => READS[id](scene) }
  })
  const ofWork = fixes.map((each): VetoSaid => ({
    at: each.at,
    says: (id) => (endsOf(each).includes(id) ? 'lifted' : undefined),
  }))
  return [...ofSets, ...ofWork].sort((a, b) => (a.at === b.at ? 0 : a.at - b.at))
}

export const isJudged = (id: VetoId): id is JudgedVeto => Object.hasOwn(READS, id)

/** The states that follow from how the unit stands. */
export const stateVetoes = (unit: UnitPlate, state: UnitState): VetoId[] =>
  VETO_IDS.filter((id) => !isJudged(id) && OF_STATE[id](state, unit))
const NOTHING_DONE = () => ({})

/** How a unit stands by its sets alone. */
const stateOfSets = (unit: UnitPlate, sets: readonly JobSet[]): UnitState =>
  unitState({ unit, readingSets: [...sets], steps: [], takenOff: [], rounds: [] }, NOTHING_DONE)

/**
 * The states of the table of vetoes that hold, from all that was read, seen and done.
 * @param sets in the order in which they were taken; a set that lifts a state counts until a later one finds it again
 * @param state how the unit stands; by the sets alone where nothing was done on it
 * @throws OrzoError not-loaded when the refrigerant's table is not in memory
 */
export function holdingVetoes(
  unit: UnitPlate,
  sets: readonly ReadingSet[],
  state: UnitState = stateOfSets(unit, sets as readonly JobSet[]),
): VetoId[] {
  const said = judged(unit, (sets.length > 0 ? sets : [UNREAD]) as readonly JobSet[], state)
  return VETO_IDS.filter((id) => (isJudged(id) ? lastWord(id, said) === 'holds' : OF_STATE[id](state, unit)))
}
