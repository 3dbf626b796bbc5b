import { type CauseId, causeRow, isCause, killsCompressor } from '../../diagnosis/proof/causes'
import type { SuspectId } from '../../diagnosis/faults/faults'
import type { UnitPlate } from '../../record/equipment/unit'
import { isThreePhase } from '../../record/equipment/kinds'
import { decisionOn, unnamedNotes } from '../../record/job/decisions'
import type { Job } from '../../record/job/job'
import type { PartId } from './parts/catalogue'
import type { TaskId } from './tasks/tasks'

/** A cause of death on the plan: what removes it, and what shows after the start that it is gone. */
export type PlannedCause = {
  readonly id: CauseId
  readonly label: string
  readonly cure: string
  readonly check: string | undefined
  readonly tasks: readonly TaskId[]
}

type CauseWork = {
  /** what it puts into the plan; the clean-up class already covers acid, moisture and debris */
  readonly tasks: readonly TaskId[]
  readonly parts?: (unit: UnitPlate) => readonly PartId[]
  /** after the start, by what is read */
  readonly check?: (unit: UnitPlate) => string
}

const says = (text: string) => () => text

/** One row a cause (handbook 04, 05, 09). [practice] */
const CAUSE_WORK: Readonly<Record<CauseId, CauseWork>> = {
  'flooded-start': {
    tasks: ['swapHeater'],
    check: says('Crankcase heater amps read with the contactor out; the first start without foam and knock.'),
  },
  floodback: {
    tasks: ['stopFloodback'],
    check: says('Superheat at the compressor in its band after 20 min, no frost or sweat back to the shell.'),
  },
  overheating: { tasks: ['cleanCoil'], check: says('Discharge line below 225 F after 20 min.') },
  'ran-out-of-charge': {
    tasks: ['leakSearch', 'repairLeak', 'fitLowPressureSwitch'],
    check: says('Low-pressure switch seen to cut out and in; joints bubbled at running pressure.'),
  },
  'acid-from-earlier-burnout': {
    tasks: [],
    check: says('Oil tested for acid again after its hours, until negative.'),
  },
  moisture: { tasks: ['leakSearch'], check: says('Moisture indicator dry after its hours.') },
  debris: {
    tasks: [],
    check: says('Pressure drop across the dryers read after the start and on the next visit.'),
  },
  supply: {
    tasks: ['repairSupply'],
    parts: (unit) => (isThreePhase(unit) ? ['phase-monitor'] : []),
    check: (unit) =>
      isThreePhase(unit)
        ? 'Three pairs of volts within 2 % and three amps, running; the phase monitor seen to trip on a lost phase.'
        : 'Volts at the load while it starts and runs, within a tenth of the plate.',
  },
  contactor: { tasks: ['swapContactor'], check: says('Volts across the closed contacts near zero.') },
  'start-gear': {
    tasks: ['swapStartGear'],
    // perhaps a kit: where starting killed it; three phases take none
    parts: () => ['hard-start-kit'],
    check: says('Start amps fall at once; run capacitor within 6 % of its label in operation.'),
  },
  'short-cycling': { tasks: ['checkControls'], check: says('Starts counted over an hour.') },
  'wrong-wiring': {
    tasks: ['checkWiring'],
    check: says('Amps of each winding and the rotation against the plate.'),
  },
  rubbed: {
    tasks: ['repairLead'],
    check: says('Leads and tubes watched at a start and a stop: nothing touches.'),
  },
  age: { tasks: [] },
}

/** The causes of death that were chosen for the compressors that are changed, each once. */
export function plannedCauses(
  job: Pick<Job, 'decisions'> & { readonly unit: UnitPlate },
  faults: readonly SuspectId[],
): PlannedCause[] {
  const chosen = faults
    .filter(killsCompressor)
    .flatMap((fault) => (decisionOn(job, fault) ?? unnamedNotes(job))?.causes ?? [])
    .filter(isCause)
  return [...new Set(chosen)].map((id) => {
    const { label, action } = causeRow(id)
    const { tasks, check } = CAUSE_WORK[id]
    return { id, label, cure: action, check: check?.(job.unit), tasks }
  })
}

/** What the causes bring along. */
export const causeParts = (causes: readonly PlannedCause[], unit: UnitPlate): PartId[] => [
  ...new Set(causes.flatMap(({ id }) => CAUSE_WORK[id].parts?.(unit) ?? [])),
]
