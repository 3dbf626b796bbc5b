import type { CauseId } from '../../diagnosis/proof/causes'
import type { TaskId } from './tasks/tasks'

/** What each cause of death puts into the plan; the clean-up class already covers acid, moisture and debris. */
export const CAUSE_TASKS: Readonly<Record<CauseId, readonly TaskId[]>> = {
  'flooded-start': ['swapHeater'],
  floodback: ['stopFloodback'],
  overheating: ['cleanCoil'],
  'ran-out-of-charge': ['leakSearch', 'repairLeak', 'fitLowPressureSwitch'],
  'acid-from-earlier-burnout': [],
  moisture: ['leakSearch'],
  debris: [],
  supply: ['repairSupply'],
  contactor: ['swapContactor'],
  'start-gear': ['swapStartGear'],
  'short-cycling': ['checkControls'],
  'wrong-wiring': ['checkWiring'],
  rubbed: ['repairLead'],
  age: [],
}
