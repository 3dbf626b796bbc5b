import { entriesText } from '../../base/known/entries'
import { hasWaterCoil } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Policy } from '../../record/policy/policy'
import { lowPressureAdvice } from '../../diagnosis/targets/lowPressureControl'
import { isAssumed } from '../../base/known/known'
import { fromSI } from '../../base/units/convert'
import type { AccessWay } from '../../record/records/repair'
import type { Charge } from '../charge/charge'
import type { OilBalance } from '../charge/oilFigures'
import type { Recovery } from '../charge/recovery'
import type { Approval } from './approval'
import type { NoteId } from './noteIds'
import type { Proof } from './proofs'
import { type TaskId, taskRow, usesFlame } from './tasks/tasks'
import type { TestPressure } from './testPressure'
import { weightText } from './weightText'

/** What notes are written from. */
export type NoteFacts = {
  readonly unit: UnitPlate
  readonly charge: Charge | undefined
  readonly recovery: Recovery
  readonly test: TestPressure | undefined
  readonly proofs: readonly Proof[]
  readonly approval: Approval
  readonly policy: Policy
  readonly isWet: boolean
  /** only a part was emptied: the rest of the charge stayed inside */
  readonly isPart: boolean
  readonly access: AccessWay
  /** people on site */
  readonly crew: number
  readonly oil: OilBalance
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

const flozText = (cubicMetres: number) => `${fromSI(cubicMetres, 'floz').toFixed(1)} fl oz`

/** What each note says on this job; nothing where it has nothing to say. */
const NOTES: Readonly<Record<NoteId, (facts: NoteFacts) => readonly string[]>> = {
  approval: ({ approval }) => [approval.sentence],
  proof: ({ proofs }) => [
    ...new Set(
      proofs
        .filter(({ isFirst }) => isFirst)
        .flatMap(({ missing, atTerminals, atOpening }) =>
          missing.filter((point) => !atTerminals.includes(point) && !atOpening.includes(point)),
        ),
    ),
  ],
  'proof-terminals': ({ proofs }) => [...new Set(proofs.flatMap(({ atTerminals }) => atTerminals))],
  'proof-opening': ({ proofs }) => [...new Set(proofs.flatMap(({ atOpening }) => atOpening))],
  'liquid-line': ({ access }) => (access === 'pump-down' ? [LIQUID_LINE] : []),
  'new-oil': ({ oil }) => newOilNote(oil),
  'second-person': ({ crew }) => (crew < 2 ? [TWO_LIFT] : []),
  depth: ({ recovery }) => [`To ${recovery.depth.shown}.`],
  'test-pressure': ({ test }) => (test ? [test.sentence] : []),
  vacuum: ({ unit, policy, isWet }) => [
    TARGETS[policy.vacuumTarget](isWet),
    ...(unit.metering === 'capillary' ? [BOTH_SIDES] : []),
  ],
  decay: ({ policy, isWet }) => [`${LIMITS[policy.decayLimit]} ${TIMES[policy.decayTime](isWet)}`],
  charge: ({ charge, isPart }) => (charge ? [isPart ? STAYED : chargeNote(charge)] : []),
  'water-coil': ({ unit, charge }) =>
    hasWaterCoil(unit) ? [charge?.leavesAsLiquid ? BLEND_IN_WATER : VAPOUR_IN_WATER] : [],
  'low-pressure': ({ unit }) => [lowPressureAdvice(unit) ?? []].flat(),
}

const VAPOUR_IN_WATER = 'Vapour until saturation has passed 32 F.'
const BLEND_IN_WATER =
  'A blend: as liquid out of its cylinder, throttled; the water flows or is drained until saturation has passed 32 F.'
const LIQUID_LINE =
  'The liquid line may stand full between its valve and a shut metering device: recover it by its own port, read 0 psig there before it is cut.'

/** A new compressor gets no oil; what is poured off is told where it rests on no guess (handbook 09). */
function newOilNote({ newCompressor, refill }: OilBalance): string[] {
  if (!newCompressor) return []
  const { together, pourOff } = newCompressor
  if (isAssumed(together)) return ['It ships with its oil, read its box: nothing is filled in on top of it.']
  if (pourOff.value > 0) return [`Before it is fitted pour ${flozText(pourOff.value)} of its oil off.`]
  return refill.value > 0
    ? [`Its box is short of the plate: fill ${flozText(refill.value)}.`]
    : ['It ships with its oil: nothing is filled in.']
}

const TWO_LIFT = 'Two lift it, or a hoist does: ask for a second person for this step.'
const STAYED = 'By weight what went out with the part; the rest stayed inside.'

/** The weight that goes in; nothing is told where the plate charge is not known, but what would tell it. */
const chargeNote = ({ total, refrigerant, guess }: Charge): string =>
  total
    ? `${weightText(total.value)} of ${refrigerant}.`
    : `The charge of ${refrigerant} is not known: enter ${entriesText(guess.asks)}; until then by what the metering device allows.`

/** Figures and answers of the policy that belong to a task, and how nitrogen flows at its flame. */
export const notesOf = (id: TaskId, facts: NoteFacts): string[] => [
  ...(usesFlame(id) ? [BRAZING[facts.policy.brazingNitrogen]] : []),
  ...taskRow(id).notes.flatMap((note) => NOTES[note](facts)),
]
