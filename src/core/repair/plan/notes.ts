import { hasWaterCoil } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Policy } from '../../record/policy/policy'
import { lowPressureAdvice } from '../../diagnosis/targets/lowPressureControl'
import type { Charge } from '../charge/charge'
import type { Recovery } from '../charge/recovery'
import type { Approval } from './approval'
import type { TaskFacts } from './planTasks'
import type { Proof } from './proofs'
import type { TestPressure } from './testPressure'
import { weightText } from './weightText'

type NoteFacts = {
  readonly unit: UnitPlate
  readonly charge: Charge | undefined
  readonly recovery: Recovery
  readonly test: TestPressure | undefined
  readonly proofs: readonly Proof[]
  readonly approval: Approval
  readonly policy: Policy
  readonly isWet: boolean
}

/** Through the capillary one side empties the other only over hours (handbook 07). */
const BOTH_SIDES =
  'From both sides at once: through the capillary alone one side takes hours and mimics moisture.'
const TARGETS: Readonly<Record<Policy['vacuumTarget'], (isWet: boolean) => string>> = {
  '500-300-wet': (isWet) => (isWet ? '300 microns after a wet class.' : '500 microns.'),
  'always-500': () => '500 microns.',
  'always-300': () => '300 microns.',
}
const LIMITS: Readonly<Record<Policy['decayLimit'], string>> = {
  'field-1000': 'Limit 1,000 microns, the shape of the curve judges.',
  'strict-500': 'Limit 500 microns.',
}
const TIMES: Readonly<Record<Policy['decayTime'], (isWet: boolean) => string>> = {
  '10-15-wet': (isWet) => (isWet ? '15 min.' : '10 min.'),
  'always-5': () => '5 min.',
  'always-15': () => '15 min.',
}
const BRAZING: Readonly<Record<Policy['brazingNitrogen'], string>> = {
  trickle: 'Nitrogen: a trickle while brazing, an end open; stop before the very last joint closes.',
  static: 'Nitrogen: sweep, then hold 0.5 psi.',
}
const FEEDERS: Readonly<Record<Policy['feederTubes'], string>> = {
  sleeve: 'Sleeve with low-temperature alloy.',
  braze: 'Sleeve and braze.',
}

/** Figures and answers of the policy that belong to a task. */
export function notesOf(facts: NoteFacts): TaskFacts['notes'] {
  const { unit, charge, recovery, test, proofs, approval, policy, isWet } = facts
  const vacuum = [TARGETS[policy.vacuumTarget](isWet), ...(unit.metering === 'capillary' ? [BOTH_SIDES] : [])]
  const first = proofs.filter(({ isFirst }) => isFirst)
  const braze = [BRAZING[policy.brazingNitrogen]]
  const advice = lowPressureAdvice(unit)
  return {
    recheck: [approval.sentence],
    proveFirst: [...new Set(first.flatMap(({ missing }) => missing))],
    recover: [`To ${recovery.depth.shown}.`],
    recoverRest: [`To ${recovery.depth.shown}.`],
    swapCompressor: braze,
    swapCondensingUnit: braze,
    swapValve: braze,
    swapReversingValve: braze,
    swapCapillary: braze,
    repairFeeder: [FEEDERS[policy.feederTubes]],
    pressureTest: test ? [test.sentence] : [],
    evacuate: vacuum,
    evacuatePart: vacuum,
    evacuateWet: vacuum,
    decayTest: [`${LIMITS[policy.decayLimit]} ${TIMES[policy.decayTime](isWet)}`],
    weighIn: [
      ...(charge ? [`${weightText(charge.total)} of ${charge.refrigerant}.`] : []),
      ...(hasWaterCoil(unit) ? ['Vapour until saturation has passed 32 F.'] : []),
    ],
    setPressureControl: advice ? [advice] : [],
  }
}
