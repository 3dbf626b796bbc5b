import type { Tested } from '../../diagnosis/electrical/supplyPath'
import type { SuspectId } from '../../diagnosis/faults/faults'
import type { KnownJob } from '../../record/job/job'
import type { Policy } from '../../record/policy/policy'
import type { Observations } from '../../record/readings/schema'
import type { Arrival } from '../../record/records/head'
import type { VetoId } from '../../safety/vetoes'
import type { AccessChoice } from '../charge/access'
import type { Charge } from '../charge/charge'
import type { CircuitReadings } from '../charge/circuitReadings'
import type { OilBalance } from '../charge/oilFigures'
import type { Recovery } from '../charge/recovery'
import type { RefrigerantPath } from '../charge/refrigerantPath'
import type { Effort } from '../cleanup/effort'
import type { AcidLedger } from '../cleanup/acid'
import type { CircuitSize } from '../cleanup/circuitSize'
import type { Contamination } from '../cleanup/contamination'
import type { DropVerdict } from '../cleanup/dryerDrop'
import type { CoreChange } from '../cleanup/dryerPlacing'
import type { DryerChoice } from '../cleanup/dryers'
import type { Settling } from '../cleanup/settles'
import type { WaterLedger } from '../cleanup/water'
import type { Approval } from './approval'
import type { PlannedCause } from './plannedCauses'
import type { PlannedDay } from './plannedDay'
import type { PlanPart } from './parts/planParts'
import type { PlanTask } from './planTasks'
import type { Proof } from './proofs'
import type { ReturnVisit } from './returns'
import type { AppliedRule } from './rules'
import type { TestPressure } from './testPressure'
import type { UnitSwap } from './unitSwap'

/** A dryer that was chosen, how it goes in and when it is looked at again. */
export type PlannedDryer = DryerChoice & {
  readonly placing: readonly string[]
  readonly changes: readonly CoreChange[]
}

export type Plan = {
  /** what is repaired; one or several decided faults */
  readonly faults: readonly SuspectId[]
  readonly opens: boolean
  /** only a part is emptied: the charge stays in the receiver or round the isolated compressor */
  readonly isPart: boolean
  readonly contamination: Contamination & {
    readonly water: WaterLedger
    readonly acid: AcidLedger
    /** which test would change it, and what would be planned then */
    readonly settles: readonly Settling[]
    /** how water is met: by caution or by grams */
    readonly effort: Effort
    readonly closes: boolean
    readonly closesHigh: boolean
    /** kg of water for which there is no room */
    readonly missing: number
    /** kg of water that the chosen liquid dryer may be left with */
    readonly room: number
  }
  readonly size: CircuitSize
  readonly dryers: readonly PlannedDryer[]
  /** what readings of their drop say of the dryers that are in it */
  readonly drops: readonly DropVerdict[]
  readonly oil: OilBalance
  readonly refrigerantPath: RefrigerantPath
  readonly access: AccessChoice
  readonly recovery: Recovery
  /** undefined where the circuit stays closed or nothing may go in */
  readonly charge: Charge | undefined
  readonly policy: Policy
  readonly parts: readonly PlanPart[]
  readonly beforeLeaving: readonly string[]
  readonly tasks: readonly PlanTask[]
  /** what is proven first before anything is bought or opened */
  readonly proofs: readonly Proof[]
  /** why the compressor died: what removes it, and what shows that it is gone */
  readonly causes: readonly PlannedCause[]
  readonly approval: Approval
  /** undefined where the circuit stays closed */
  readonly testPressure: TestPressure | undefined
  /** what the graph obeys */
  readonly rules: readonly AppliedRule[]
  /** later visits that open the circuit again */
  readonly returns: readonly ReturnVisit[]
  /** a new unit beside the repair, where a compressor is changed */
  readonly unitSwap: UnitSwap | undefined
  readonly day: PlannedDay
  /** states of the table of vetoes that hold when the work begins */
  readonly holding: readonly VetoId[]
  /** those of them that a fault of the plan is */
  readonly ofFaults: readonly VetoId[]
}

/** What a plan is made from, all of it. */
export type PlanInput = {
  /** plate as it stood when the work began, decisions, choices, weights, the day */
  readonly job: Pick<KnownJob, 'unit' | 'policy' | 'decisions' | 'repair' | 'day' | 'dryers' | 'closing'> & {
    /** what was said on arrival of weather, hours and place */
    readonly arrival?: Arrival | undefined
  }
  readonly previousBurnout: boolean
  /** the latest word for each observation over the sets of the round */
  readonly observations: Observations
  /** the suspects that are repaired; none is a sound circuit */
  readonly faults: readonly SuspectId[]
  /** states of the table of vetoes that hold; what a fault itself is holds too */
  readonly holding: readonly VetoId[]
  /** points of the way to a load that were tested, over the sets */
  readonly tested: Tested
  /** what the sets say of the coils and the dryers */
  readonly readings: CircuitReadings
  /** how each fault stands */
  readonly proofs: readonly Proof[]
}
export type PlannedJob = PlanInput['job']
