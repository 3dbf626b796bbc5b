import { hasReversingValve, isThreePhase } from '../../record/equipment/kinds'
import { ELECTRICAL_CAUTIONS } from '../../safety/electricalCautions'
import type { UnitPlate } from '../../record/equipment/unit'
import type { ObservationKey } from '../../record/readings/observations'
import type { Target } from '../targets/target'
import type { Assessment } from '../evidence/assess'
import type { GateId } from '../faults/gateIds'

/** What is on record when a gate is judged: a set as it was read. */
export type GateRecord = Pick<Assessment, 'unit' | 'snapshot' | 'derived' | 'targets' | 'tests'>

type GateItem = {
  readonly id: string
  /** what must be on record, in the words of the trade */
  readonly label: string
  readonly onRecord: (record: GateRecord) => boolean
  readonly applies?: (unit: UnitPlate) => boolean
  /** shown before the step */
  readonly caution?: string
  /** the word that is asked for, where it is one: it can be answered at the gate */
  readonly observation?: ObservationKey
}

/** One line of a gate as it stands. */
export type GateLine = Pick<GateItem, 'id' | 'label' | 'caution' | 'observation'>

export type Gate = {
  readonly gate: GateId
  /** the part that would be condemned */
  readonly part: string
  readonly met: boolean
  readonly missing: readonly GateLine[]
  readonly onRecord: readonly GateLine[]
}

/** A drop within half again its band is no restriction. */
const ruledOut = (value: number | undefined, target: Target | undefined) =>
  value !== undefined && target !== undefined && value - target.value < 1.5 * target.tolerance

const { dead: DEAD, ownTerminals: PRESSURE_OFF } = ELECTRICAL_CAUTIONS

const dryerRuledOut: GateItem = {
  id: 'dryer-and-line',
  label: 'Dryer and liquid line ruled out: no temperature drop across them',
  onRecord: ({ derived, targets }) =>
    ruledOut(derived.dryerDrop?.value, targets.dryerDrop) &&
    (derived.liquidLineDrop === undefined || ruledOut(derived.liquidLineDrop.value, targets.liquidLineDrop)),
}

const chargeAdequate: GateItem = {
  id: 'charge-adequate',
  label: 'Charge shown adequate: subcooling not below its band, a clear sight glass, or weighed',
  onRecord: ({ derived, targets, snapshot: { observations } }) => {
    const { subcooling } = derived
    const target = targets.subcooling
    const liquid = subcooling && target && subcooling.value > target.value - target.tolerance
    return Boolean(liquid) || observations.sightGlass === 'clear' || observations.weighedCharge === 'at-plate'
  },
}

/** In cooling the split speaks, in heating the rise. */
const airflowRuledOut: GateItem = {
  id: 'airflow',
  label:
    'Airflow ruled out: return and supply air taken, their difference not above its band; or coil and filter seen clean',
  onRecord: ({ derived, targets, snapshot }) => {
    const [value, target] =
      snapshot.mode === 'heating'
        ? [derived.temperatureRise?.value, targets.temperatureRise]
        : [derived.temperatureSplit?.value, targets.temperatureSplit]
    const byAir = value !== undefined && target !== undefined && value < target.value + target.tolerance
    return byAir || snapshot.observations.evaporatorCoil === 'clean'
  },
}

const isTxv = (unit: UnitPlate) => unit.metering === 'txv'
const isSingle = (unit: UnitPlate) => !isThreePhase(unit)

const windingsOpen = ({ tests }: GateRecord) => /open/.test(tests.windings?.word ?? '')

const GATES: Readonly<Record<GateId, { readonly part: string; readonly items: readonly GateItem[] }>> = {
  'expansion-valve': {
    part: 'expansion-valve',
    items: [
      chargeAdequate,
      dryerRuledOut,
      airflowRuledOut,
      {
        id: 'bulb',
        observation: 'bulbState',
        label: 'Bulb located, tight and insulated',
        onRecord: ({ snapshot: { observations } }) =>
          observations.bulbState !== undefined &&
          observations.bulbState !== 'loose' &&
          observations.bulbState !== 'uninsulated',
        applies: isTxv,
      },
      {
        id: 'bulb-response',
        observation: 'bulbWarmResponse',
        label: 'Response to warming the bulb seen',
        onRecord: ({ snapshot }) => snapshot.observations.bulbWarmResponse !== undefined,
        applies: isTxv,
      },
      {
        id: 'screen',
        observation: 'inletScreen',
        label: 'Inlet screen considered: clean, or none fitted',
        onRecord: ({ snapshot }) => snapshot.observations.inletScreen !== undefined,
      },
    ],
  },
  'liquid-dryer': {
    part: 'liquid-dryer',
    items: [
      {
        id: 'dryer-drop',
        label: 'Drop across the dryer measured with the system running at load',
        onRecord: ({ derived }) => derived.dryerDrop !== undefined,
      },
    ],
  },
  'fixed-orifice': { part: 'fixed-orifice', items: [chargeAdequate, dryerRuledOut, airflowRuledOut] },
  capillary: { part: 'capillary', items: [chargeAdequate, dryerRuledOut] },
  'compressor-electrical': {
    part: 'compressor',
    items: [
      {
        id: 'pairs',
        label: 'All three winding pairs measured',
        onRecord: ({ tests }) => tests.windings !== undefined,
        caution: DEAD,
      },
      {
        id: 'ground',
        label: 'Ohms to ground measured',
        onRecord: ({ tests }) => tests.ground !== undefined,
        caution: DEAD,
      },
      {
        id: 'own-terminals',
        observation: 'groundMeasuredAt',
        label: "Ground measured at the compressor's own terminals with the leads off",
        onRecord: ({ snapshot, tests }) =>
          tests.ground !== undefined && snapshot.observations.groundMeasuredAt === 'terminals',
        caution: PRESSURE_OFF,
      },
      {
        id: 'cooled',
        observation: 'compressorShell',
        label: 'A winding that read open was cooled (20 minutes to some hours) and measured again',
        onRecord: (record) =>
          !windingsOpen(record) || record.snapshot.observations.compressorShell === 'cold',
      },
    ],
  },
  'compressor-locked': {
    part: 'compressor',
    items: [
      {
        id: 'starting-volts',
        label: 'Correct volts on the load side of the contactor while starting',
        onRecord: ({ tests, snapshot: { values } }) =>
          tests.startAttempt !== undefined &&
          tests.startAttempt.word !== 'locked-volts-sag' &&
          values.voltageRunning !== undefined,
        caution: 'Live test: the terminal cover stays on.',
      },
      {
        id: 'inrush',
        label: 'Inrush stays at locked-rotor amps',
        onRecord: ({ tests }) => tests.startAttempt?.word === 'stays-locked',
        caution: 'Live test: the terminal cover stays on.',
      },
      {
        id: 'gear',
        observation: 'startGear',
        label: 'Starting gear proven good',
        onRecord: ({ snapshot }) => snapshot.observations.startGear === 'proven',
        applies: isSingle,
        caution: DEAD,
      },
      {
        id: 'hard-start',
        observation: 'hardStart',
        label: 'One hard-start attempt made, without success',
        onRecord: ({ snapshot }) => snapshot.observations.hardStart === 'none',
        applies: isSingle,
      },
      {
        id: 'phases',
        label: 'All three phases present',
        onRecord: ({ tests }) => tests.supply?.word === 'good',
        applies: isThreePhase,
      },
      {
        id: 'sequence',
        observation: 'phaseSequence',
        label: 'Phase sequence right',
        onRecord: ({ snapshot }) => snapshot.observations.phaseSequence === 'correct',
        applies: isThreePhase,
      },
      {
        id: 'leads',
        observation: 'leadState',
        label: 'Lead continuity proven dead',
        onRecord: ({ snapshot }) => snapshot.observations.leadState === 'sound',
        caution: DEAD,
      },
    ],
  },
  'compressor-not-pumping': {
    part: 'compressor',
    items: [
      {
        id: 'phase-sequence',
        observation: 'phaseSequence',
        label: 'Phase sequence right (three-phase)',
        onRecord: ({ snapshot }) => snapshot.observations.phaseSequence === 'correct',
        applies: isThreePhase,
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
        observation: 'pumpDownTest',
        label: "Pump-down test within the maker's minimum suction",
        onRecord: ({ snapshot }) => snapshot.observations.pumpDownTest === 'cannot-pull-down',
        caution: 'A scroll must not be pulled deep; never with a suspected low-side leak.',
      },
      {
        id: 'relief',
        observation: 'reliefNoise',
        label: 'Internal relief closed: no hiss inside',
        onRecord: ({ snapshot }) => snapshot.observations.reliefNoise === 'no',
      },
    ],
  },
  'reversing-valve': {
    part: 'reversing-valve',
    items: [
      {
        id: 'four-ports',
        label: 'Temperatures on all four ports after 10 minutes or more in one mode',
        onRecord: ({ snapshot: { values } }) =>
          [
            values.rvDischargeTemp,
            values.rvHotOutTemp,
            values.rvSuctionInTemp,
            values.rvSuctionOutTemp,
          ].every(Boolean),
      },
      {
        id: 'coil',
        label: 'Control voltage proven at the coil, connected (21-27 V)',
        onRecord: ({ tests }) => tests.coilVolts?.word === 'healthy',
      },
      {
        id: 'coil-pull',
        observation: 'magnetPull',
        label: 'Coil proven: ohms sound, or its magnet pulls',
        onRecord: ({ tests, snapshot }) =>
          tests.valveCoil?.word === 'good' || snapshot.observations.magnetPull === 'pulls',
      },
      chargeAdequate,
    ],
  },
  'reversing-valve-coil': {
    part: 'reversing-valve-coil',
    items: [
      {
        id: 'coil-volts',
        label: 'Volts at the coil measured with the coil connected',
        onRecord: ({ tests }) => tests.coilVolts !== undefined,
      },
      {
        id: 'coil-ohms',
        label: 'Coil ohms measured, or the coil does not hold when jumped at the unit',
        onRecord: ({ tests, snapshot }) =>
          tests.valveCoil !== undefined || snapshot.observations.jumpAtUnit === 'does-not-hold',
        caution: DEAD,
      },
    ],
  },
}

const lineOf = ({ id, label, caution, observation }: GateItem): GateLine => ({
  id,
  label,
  ...(caution ? { caution } : {}),
  ...(observation ? { observation } : {}),
})

/** Judges one gate against what is on record. */
export function judgeGate(gate: GateId, record: GateRecord): Gate {
  const { part, items } = GATES[gate]
  const due = items.filter((item) => item.applies?.(record.unit) ?? true)
  const missing = due.filter((item) => !item.onRecord(record)).map(lineOf)
  const onRecord = due.filter((item) => item.onRecord(record)).map(lineOf)
  return { gate, part, met: missing.length === 0, missing, onRecord }
}
