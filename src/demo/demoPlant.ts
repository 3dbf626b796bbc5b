import { siteAtmosphere } from '@/core/record/equipment/circumstances'
import type { UnitPlate } from '@/core/record/equipment/unit'
import type { Job } from '@/core/record/job/job'
import type { Plan } from '@/core/repair/plan/plan'
import { pullGuess } from '@/core/repair/logs/pumpSetup'
import type { PlantQuestion } from '@/core/simulate/workPlant'
import { demoTrouble } from './workTroubles'

/** [memory] the room round a demo job, K. */
const ROOM = 297

type Begun = Pick<Job, 'id' | 'steps' | 'run'>

const isOver = ({ steps }: Begun, id: string) =>
  steps.some((step) => step.id === id && step.doneAt !== undefined)

/** How far the work has come, for a circuit that is set up anew after the page was closed. */
function beginsAs(job: Begun): PlantQuestion['begins'] {
  const filled = isOver(job, 'weighIn') || isOver(job, 'letIn')
  const pulled = ['evacuate', 'evacuatePart', 'evacuateWet'].some((id) => isOver(job, id))
  if (pulled && !filled) return 'evacuated'
  return ['recover', 'recoverRest', 'proveEmpty'].some((id) => isOver(job, id)) && !filled
    ? 'open'
    : 'charged'
}

type Facts = { readonly job: Begun; readonly unit: UnitPlate; readonly plan: Plan }

/** The circuit of a demo job as the work finds it. */
export function demoPlant({ job, unit, plan }: Facts): PlantQuestion {
  const guess = pullGuess(plan, job.run?.pump)
  const trouble = demoTrouble(job.id ?? '')
  return {
    refrigerant: unit.refrigerant,
    fills: plan.refrigerantPath.goesIn ?? unit.refrigerant,
    charge: plan.recovery.guess.value * trouble.chargeShare,
    volume: guess.volume,
    atmosphere: siteAtmosphere(unit),
    air: ROOM,
    trouble: { leak: trouble.leak, water: guess.water },
    hose: trouble.hose,
    pump: guess.pump,
    ways: guess.ways,
    begins: beginsAs(job),
  }
}
