import { everyFaultOf } from '../../diagnosis/faults/applies'
import { type FaultId, remedyIdOf, type SuspectId } from '../../diagnosis/faults/faults'
import type { RemedyId } from '../../diagnosis/faults/remedyIds'
import type { UnitPlate } from '../../record/equipment/unit'
import { alsoReplaced } from '../../record/job/decisions'
import type { Job } from '../../record/job/job'
import { ALSO_IDS, type AlsoId } from '../../record/records/decision'
import { REMEDIES, type Remedy } from './remedies'

/** A part that is also replaced while it is open: what that takes, and a fault that only units with this part can have. */
type AlsoRow = { readonly label: string; readonly remedy: RemedyId; readonly like: FaultId }

/** Handbook 13: a decision without a fault, as a valve after debris, a contactor, cores. */
const ALSO: Readonly<Record<AlsoId, AlsoRow>> = {
  'expansion-valve': { label: 'Expansion valve', remedy: 'swap-valve', like: 'txv-underfeeding' },
  orifice: { label: 'Orifice', remedy: 'swap-orifice', like: 'fixed-orifice-plugged' },
  capillary: { label: 'Capillary', remedy: 'swap-capillary', like: 'capillary-plugged' },
  compressor: { label: 'Compressor', remedy: 'swap-compressor', like: 'compressor-not-pumping' },
  'reversing-valve': {
    label: 'Reversing valve',
    remedy: 'swap-reversing-valve',
    like: 'reversing-valve-leaking-through',
  },
  'service-valve': { label: 'Service valve', remedy: 'swap-service-valve', like: 'service-valve-damaged' },
  solenoid: { label: 'Liquid solenoid', remedy: 'swap-solenoid', like: 'liquid-solenoid-leaking' },
  contactor: { label: 'Contactor', remedy: 'swap-contactor', like: 'contactor-failed' },
  'start-gear': { label: 'Start gear', remedy: 'swap-start-gear', like: 'start-gear-failed' },
  'fan-motor': { label: 'Fan motor', remedy: 'swap-fan-motor', like: 'fan-motor-grounded' },
  'crankcase-heater': { label: 'Crankcase heater', remedy: 'swap-heater', like: 'crankcase-heater-open' },
}

export const alsoRow = (id: AlsoId): AlsoRow => ALSO[id]

const alsoRemedy = (id: AlsoId): Remedy => REMEDIES[ALSO[id].remedy]

type Planned = { readonly faults: readonly SuspectId[]; readonly opens: boolean }

/**
 * Parts that can also be replaced on this unit: not those that the repair replaces anyway.
 * @param opens whether the circuit is opened anyway: else what would open it is left out
 */
export function alsoFor(unit: UnitPlate, { faults, opens }: Planned): AlsoId[] {
  const planned = new Set<string>(faults.map(remedyIdOf))
  const can = new Set<string>(everyFaultOf(unit))
  return ALSO_IDS.filter(
    (id) => can.has(ALSO[id].like) && !planned.has(ALSO[id].remedy) && (opens || !alsoRemedy(id).opens),
  )
}

/** What replacing the parts takes that were chosen beside the faults. */
export const alsoRemedies = (job: Pick<Job, 'decisions'>): Remedy[] => alsoReplaced(job).map(alsoRemedy)
