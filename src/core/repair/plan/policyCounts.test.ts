import { workScene } from '../../../../tools/run/workScene'
import type { SuspectId } from '../../diagnosis/faults/faults'
import type { UnitPlate } from '../../record/equipment/unit'
import { emptyJob, type KnownJob } from '../../record/job/job'
import { DEFAULT_POLICY, POLICY_KEYS, type PolicyQuestion } from '../../record/policy/policy'
import { policyRow } from '../../record/policy/questions'
import type { Observations } from '../../record/readings/schema'
import { runSheet } from '../work/runSheet'
import { planOf } from './basis'

/** A job in which a row of handbook 11 has something to say. */
type Case = {
  readonly unit?: Partial<UnitPlate>
  readonly faults?: readonly SuspectId[]
  readonly words?: Observations
  readonly job?: Partial<KnownJob>
}

const CLEAN: Observations = { acidTest: 'negative', acidTestKind: 'oil-kit' }
const BURNT: Observations = { acidTest: 'strong', acidTestKind: 'oil-kit', oilAppearance: 'burnt-smell' }
const WET: Observations = { ...CLEAN, moistureIndicator: 'wet' }
const COMPRESSOR: readonly SuspectId[] = ['compressor-open-winding']

/** Where a row does not show on the plain job: a new valve in a clean split. */
const CASES: { readonly [K in PolicyQuestion]?: Case } = {
  vacuumTarget: { words: WET },
  decayTime: { words: WET },
  recoveredRefrigerant: { words: CLEAN },
  compressorRemoval: { faults: COMPRESSOR },
  r22: { unit: { refrigerant: 'R-22' } },
  flushSolvent: { faults: COMPRESSOR, words: BURNT },
  suctionDryer: { faults: COMPRESSOR, job: { arrival: { previousBurnout: true } } },
  valveChange: { faults: COMPRESSOR, words: BURNT },
  leakHunt: { faults: ['undercharge'] },
  access: { job: { repair: { valvesTight: true } } },
  moistureSuctionDryer: { words: WET },
  conversionCharge: { unit: { refrigerant: 'R-22' }, job: { repair: { refrigerantTo: 'R-407C' } } },
  oilRefill: {
    faults: ['txv-underfeeding'],
    unit: { compressor: { type: 'semi-hermetic' } },
    job: { repair: { oilOut: { value: 20, unit: 'floz' } } },
  },
  neighbours: { faults: COMPRESSOR },
  feederTubes: { faults: ['undercharge'], job: { repair: { leakPlace: 'feeder-tube' } } },
  dryerPlace: { unit: { oldDryer: { outside: false } } },
}

/** Everything that the plan, its steps and their gates say of a job under a policy. */
function toldOf(key: PolicyQuestion, answer: string, given: Case): string {
  const { unit = {}, faults = ['txv-underfeeding'], words = CLEAN, job: more = {} } = given
  const job: KnownJob = {
    ...emptyJob({ kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv', nominalTons: 3, ...unit }),
    readingSets: [{ id: 'a', mode: 'cooling', readings: {}, observations: words }],
    ...more,
    policy: { ...DEFAULT_POLICY, [key]: answer },
  }
  const plan = planOf(job, faults)
  const sheet = runSheet(workScene(job, plan), 0)
  const { policy: _said, ...rest } = plan
  return JSON.stringify([rest, sheet.steps.map(({ task, gates }) => [task.id, gates])])
}

/** On a plain clean job, and on the one in which the row speaks. */
const told = (key: PolicyQuestion, answer: string): string =>
  [{}, CASES[key] ?? {}].map((given) => toldOf(key, answer, given)).join('\n')

test.each(POLICY_KEYS.map((key) => [key] as const))(
  'each answer to %s changes the plan, a step or a gate',
  (key) => {
    const answers = Object.keys(policyRow(key).answers)
    const all = answers.map((answer) => told(key, answer))
    expect(answers.length).toBeGreaterThan(1)
    expect(new Set(all).size).toBe(answers.length)
  },
)
