import { ENDED_BY_PART } from '../../diagnosis/vetoes/effects'
import { isJudged, stateVetoes } from '../../diagnosis/vetoes/holding'
import type { UnitPlate } from '../../record/equipment/unit'
import type { UnitState } from '../../record/state/unit'
import { VETO_IDS, type VetoId } from '../../safety/vetoes'
import type { Plan } from '../plan/plan'

/** What the work is held by: what was judged of all sets, how the unit stands, and what is repaired. */
export type NowScene = {
  readonly unit: UnitPlate
  /** states that were judged of sets and work */
  readonly vetoes: readonly VetoId[]
  readonly state: UnitState
  readonly plan: Pick<Plan, 'ofFaults'>
  /** when the work of the round began, ms */
  readonly began: number | undefined
}

/**
 * The states of the table of vetoes that hold now: those that are judged, those that follow from how the unit stands, and
 * those that a decided fault is, until its part is replaced.
 */
export function holdingNow({ unit, vetoes, state, plan, began }: NowScene): VetoId[] {
  const ended = new Set(
    state.fixes
      .filter(({ at }) => began !== undefined && at >= began)
      .flatMap(({ did }) => (did === 'evacuated' || did === 'charged' ? [] : (ENDED_BY_PART[did] ?? []))),
  )
  const holding = new Set<VetoId>([
    ...vetoes.filter(isJudged),
    ...stateVetoes(unit, state),
    ...plan.ofFaults.filter((id) => !ended.has(id)),
  ])
  return VETO_IDS.filter((id) => holding.has(id))
}
