import type { Derived } from '../readings/derive'
import type { Observations } from '../readings/schema'
import type { Snapshot } from '../readings/snapshot'
import type { UnitPlate } from '../job/unit'
import { hasReversingValve } from '../job/reversing'
import type { Targets } from '../targets/target'
import type { Part } from './fault'

/** What is on record when a gate is judged. */
export type GateRecord = {
  readonly unit: UnitPlate
  readonly at: Snapshot
  readonly derived: Derived
  readonly targets: Targets
  readonly observations: Observations
}

type GateItem = {
  readonly id: string
  /** what must be on record, in the words of the trade */
  readonly label: string
  readonly onRecord: (record: GateRecord) => boolean
  readonly applies?: (unit: UnitPlate) => boolean
}

export type Gate = {
  readonly part: Part
  readonly met: boolean
  readonly missing: readonly string[]
  readonly onRecord: readonly string[]
}

/** A drop within twice its band is no restriction. */
const ruledOut = (value: number | undefined, target: { value: number; tolerance: number } | undefined) =>
  value !== undefined && target !== undefined && value - target.value < 1.5 * target.tolerance

const dryerRuledOut: GateItem = {
  id: 'dryer-and-line',
  label: 'Dryer and liquid line ruled out: no temperature drop across them',
  onRecord: ({ derived, targets }) =>
    ruledOut(derived.dryerDrop?.value, targets.dryerDrop) &&
    (derived.liquidLineDrop === undefined || ruledOut(derived.liquidLineDrop.value, targets.liquidLineDrop)),
}

const chargeAdequate: GateItem = {
  id: 'charge-adequate',
  label: 'Charge shown adequate: subcooling not below its band, or a clear sight glass',
  onRecord: ({ derived, targets, observations }) => {
    const { subcooling } = derived
    const target = targets.subcooling
    const liquid = subcooling && target && subcooling.value > target.value - target.tolerance
    return Boolean(liquid) || observations.sightGlass === 'clear'
  },
}

const airflowRuledOut: GateItem = {
  id: 'airflow',
  label: 'Airflow ruled out: return and supply air taken, split not above its band',
  onRecord: ({ derived, targets }) => {
    const split = derived.temperatureSplit?.value
    const target = targets.temperatureSplit
    return split !== undefined && target !== undefined && split < target.value + target.tolerance
  },
}

const isTxv = (unit: UnitPlate) => unit.metering === 'txv'

/** Proof gates of handbook 04, by part, for what a running circuit can show. */
export const GATES: { readonly [K in Part]?: readonly GateItem[] } = {
  'expansion-valve': [
    chargeAdequate,
    dryerRuledOut,
    airflowRuledOut,
    {
      id: 'bulb',
      label: 'Bulb located, tight and insulated',
      onRecord: ({ observations }) =>
        observations.bulbState !== undefined &&
        observations.bulbState !== 'loose' &&
        observations.bulbState !== 'uninsulated',
      applies: isTxv,
    },
    {
      id: 'bulb-response',
      label: 'Response to warming the bulb seen',
      onRecord: ({ observations }) => observations.bulbWarmResponse !== undefined,
      applies: isTxv,
    },
  ],
  'liquid-dryer': [
    {
      id: 'dryer-drop',
      label: 'Drop across the dryer measured with the system running at load',
      onRecord: ({ derived }) => derived.dryerDrop !== undefined,
    },
  ],
  'fixed-orifice': [chargeAdequate, dryerRuledOut, airflowRuledOut],
  capillary: [chargeAdequate, dryerRuledOut],
  compressor: [
    {
      id: 'phase-sequence',
      label: 'Phase sequence right (three-phase)',
      onRecord: ({ observations }) => observations.phaseSequence === 'correct',
      applies: (unit) => unit.power?.phase === 3,
    },
    {
      id: 'reversing-valve',
      label: 'Reversing valve temperatures ruled out',
      onRecord: ({ derived, targets }) =>
        ruledOut(derived.reversingValveRise?.value, targets.reversingValveRise),
      applies: hasReversingValve,
    },
    {
      id: 'pump-down',
      label: "Pump-down test within the maker's minimum suction",
      onRecord: ({ observations }) => observations.pumpDownTest === 'cannot-pull-down',
    },
    {
      id: 'relief',
      label: 'Internal relief closed: no hiss inside',
      onRecord: ({ observations }) => observations.reliefNoise === 'no',
    },
  ],
  'reversing-valve': [
    {
      id: 'four-ports',
      label: 'Temperatures on all four ports after 10 minutes or more in one mode',
      onRecord: ({ at: { values } }) =>
        [values.rvDischargeTemp, values.rvHotOutTemp, values.rvSuctionInTemp, values.rvSuctionOutTemp].every(
          Boolean,
        ),
    },
    {
      id: 'coil',
      label: 'Control voltage measured at the coil, connected (21-27 V)',
      onRecord: ({ at: { values } }) =>
        (values.solenoidVolts?.value ?? 0) >= 21 && (values.solenoidVolts?.value ?? 0) <= 27,
    },
    chargeAdequate,
  ],
}

/** Judges one part's gate; parts without a gate have none. */
export function judgeGate(part: Part, record: GateRecord): Gate | undefined {
  const items = GATES[part]?.filter((item) => item.applies?.(record.unit) ?? true)
  if (!items) return undefined
  const missing = items.filter((item) => !item.onRecord(record)).map((item) => item.label)
  const onRecord = items.filter((item) => item.onRecord(record)).map((item) => item.label)
  return { part, met: missing.length === 0, missing, onRecord }
}
