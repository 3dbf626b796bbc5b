import type { Job } from '../../record/job/job'
import type { UnitPlate } from '../../record/equipment/unit'
import type { UnitState } from '../../record/state/unit'
import type { VetoId } from '../../safety/vetoes'
import type { Verdicts } from '../logs/verdicts'
import type { PlanTask } from '../plan/planTasks'

/** What the gates are judged from: what is on record of the round, how the unit stands, and the tasks of its plan. */
export type WorkScene = {
  readonly job: Pick<
    Job,
    'logs' | 'steps' | 'run' | 'closing' | 'readingSets' | 'takenOff' | 'repair' | 'day' | 'policy'
  > & {
    readonly unit: UnitPlate
  }
  readonly tasks: readonly Pick<PlanTask, 'id' | 'opens'>[]
  readonly state: UnitState
  /** states of the table of vetoes that hold now */
  readonly holding: readonly VetoId[]
  /** what the judges say of the logs, from their samples */
  readonly verdicts: Verdicts
  /** ms; undefined: what runs still counts for nothing */
  readonly now?: number | undefined
}
