import { differenceToKelvin, toKelvin } from '../../base/units/convert'
import { ELECTRICAL_CAUTIONS } from '../../safety/electricalCautions'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Snapshot } from '../../record/readings/snapshot'
import { shownAtCoil, shownAtCompressor } from '../evidence/shownFigures'
import type { GateId } from '../faults/gateIds'
import { dryerProof } from './dryerProof'
import type { GateItem, GateRecord, GateRow } from './gate'
import { above, airflowRuledOut, below, bulbTight, chargeAdequate, dryerRuledOut, isTxv } from './gateItems'

const { live: LIVE, dead: DEAD } = ELECTRICAL_CAUTIONS
const OF_VALVE = ['run', 'valve-check'] as const
/** A pump-down judges the compressor too: a scroll that runs backwards cannot. */
const PUMP_DOWN = ['run', 'pump-down', 'judge-worn'] as const
/** Condemning any valve needs liquid in the circuit. */
const VALVE = ['condemn-valve'] as const

/** The four ports, and how near each other they are when the slide stands in the middle. */
const PORTS = ['rvDischargeTemp', 'rvHotOutTemp', 'rvSuctionInTemp', 'rvSuctionOutTemp'] as const
const ALL_CLOSE = differenceToKelvin(25, 'F')

function portsOf({ snapshot: { values } }: GateRecord): number[] | undefined {
  const found = PORTS.flatMap((key) => values[key]?.value ?? [])
  return found.length === PORTS.length ? found : undefined
}
const areAllClose = (ports: readonly number[]) => Math.max(...ports) - Math.min(...ports) < ALL_CLOSE

/** [practice] volts that a 24 V liquid solenoid needs; mains coils have more. */
const LEAST_COIL_VOLTS = 20
/** [practice] outdoor air at which head-pressure control has something to hold up. */
const COLD_OUTDOORS = toKelvin({ value: 65, unit: 'F' })

const isOffSetting = ({ derived, targets, snapshot }: GateRecord): boolean => {
  const found = derived.condensingMean?.value
  const outdoor = snapshot.values.outdoorAirTemp
  const isCold = outdoor !== undefined && outdoor.value < COLD_OUTDOORS
  return (isCold && below(found, targets.condensingMean)) || above(found, targets.condensingMean)
}

/** Shown at the compressor, as somebody said: a figure without a place proves nothing. */
const shownThere = (unit: UnitPlate, at: Snapshot) =>
  at.observations.superheatShownAt === undefined ? undefined : shownAtCompressor(unit, at)

const valveShut: GateItem = {
  id: 'drop-there',
  observation: 'frostPattern',
  label: 'Frost, or a drop in temperature, begins at the service valve',
  acts: ['run'],
  onRecord: ({ snapshot }) => snapshot.observations.frostPattern === 'service-valve',
}

/** Gates before a part of the circuit is condemned (handbook 04, corrected by 13). */
export const CIRCUIT_GATES = {
  'expansion-valve': {
    part: 'expansion-valve',
    acts: VALVE,
    items: [
      chargeAdequate,
      dryerRuledOut,
      airflowRuledOut,
      bulbTight,
      {
        id: 'bulb-response',
        observation: 'bulbWarmResponse',
        label: 'Bulb warmed in the hand: the valve does not answer',
        acts: OF_VALVE,
        onRecord: ({ snapshot }) => snapshot.observations.bulbWarmResponse === 'none',
        applies: isTxv,
      },
      {
        id: 'screen',
        observation: 'inletScreen',
        label: 'Inlet screen clean, or none fitted: a plugged one points elsewhere',
        acts: ['recover', 'open'],
        onRecord: ({ snapshot: { observations } }) =>
          observations.inletScreen === 'clean' || observations.inletScreen === 'none-fitted',
      },
    ],
  },
  'expansion-valve-overfeeding': {
    part: 'expansion-valve',
    acts: VALVE,
    items: [
      {
        id: 'floods',
        label: 'Superheat below its band at the bulb or at the compressor',
        acts: OF_VALVE,
        onRecord: ({ unit, derived, targets, snapshot }) =>
          below(
            (derived.evaporatorSuperheat ?? shownAtCoil(unit, snapshot))?.value,
            targets.evaporatorSuperheat,
          ) || below((derived.superheat ?? shownThere(unit, snapshot))?.value, targets.superheat),
      },
      airflowRuledOut,
      bulbTight,
      {
        id: 'bulb-in-ice',
        observation: 'bulbIceResponse',
        label: 'Bulb in ice water: the valve does not close',
        acts: OF_VALVE,
        onRecord: ({ snapshot }) => snapshot.observations.bulbIceResponse === 'stays-open',
        applies: isTxv,
      },
    ],
  },
  'liquid-dryer': {
    part: 'liquid-dryer',
    items: [
      {
        id: 'dryer-drop',
        label:
          'A drop across the dryer with the system running at load: over 3 F, or with over 15 F of subcooling the pressure drop that would make 3 F',
        acts: ['run'],
        onRecord: (record) => dryerProof(record) === 'restricted',
      },
    ],
  },
  'liquid-line': {
    part: 'liquid-line',
    items: [
      {
        id: 'dryer-clear',
        label: 'The dryer is not the place: no drop across it',
        acts: ['run'],
        onRecord: (record) => dryerProof(record) === 'clear',
      },
      {
        id: 'line-drop',
        label: 'A drop in temperature along the liquid line',
        acts: ['run'],
        onRecord: ({ derived, targets }) => above(derived.liquidLineDrop?.value, targets.liquidLineDrop),
      },
    ],
  },
  'liquid-solenoid-stuck': {
    part: 'liquid-solenoid',
    acts: VALVE,
    items: [
      {
        id: 'call',
        observation: 'callForOperation',
        label: 'There is a call for cooling',
        onRecord: ({ snapshot }) => snapshot.observations.callForOperation === 'yes',
      },
      {
        id: 'coil-volts',
        label: 'Volts proven at the solenoid coil, connected',
        acts: ['energise'],
        caution: LIVE,
        onRecord: ({ snapshot }) => (snapshot.values.solenoidVolts?.value ?? 0) >= LEAST_COIL_VOLTS,
      },
      {
        id: 'no-pull',
        observation: 'solenoidPull',
        label: 'No click and no pull with a call',
        acts: ['energise'],
        onRecord: ({ snapshot }) => snapshot.observations.solenoidPull === 'none',
      },
    ],
  },
  'liquid-solenoid-leaking': {
    part: 'liquid-solenoid',
    acts: VALVE,
    items: [
      {
        id: 'no-pump-down',
        observation: 'pumpDownTest',
        label: 'Cannot pump down against the closed solenoid',
        acts: PUMP_DOWN,
        onRecord: ({ snapshot }) => snapshot.observations.pumpDownTest === 'cannot-pull-down',
      },
      {
        id: 'hand-valve',
        observation: 'handValveTest',
        label: 'Pulls down against a shut hand valve: the compressor is sound',
        acts: PUMP_DOWN,
        onRecord: ({ snapshot }) => snapshot.observations.handValveTest === 'pulls-down',
      },
    ],
  },
  'service-valve': {
    part: 'service-valve',
    acts: VALVE,
    items: [
      valveShut,
      {
        id: 'stem-open',
        observation: 'servicePortState',
        label: 'Its stem stands wholly open',
        onRecord: ({ snapshot: { observations } }) =>
          observations.servicePortState === 'open' || observations.servicePortState === 'back-seated',
      },
    ],
  },
  'head-pressure-control': {
    part: 'head-pressure-control',
    acts: VALVE,
    items: [
      {
        id: 'off-setting',
        label: 'Condensing below its setting in cold weather, or far above its band',
        acts: ['run'],
        onRecord: isOffSetting,
      },
      {
        id: 'charge-to-flood',
        observation: 'weighedCharge',
        label: 'Charge enough to flood: weighed at the plate, or the glass clear',
        acts: ['recover'],
        onRecord: ({ snapshot: { observations } }) =>
          observations.weighedCharge === 'at-plate' || observations.sightGlass === 'clear',
      },
      {
        id: 'coil-clean',
        observation: 'condenserCoil',
        label: 'Condenser coil seen clean',
        onRecord: ({ snapshot }) => snapshot.observations.condenserCoil === 'clean',
      },
    ],
  },
  'fixed-orifice': {
    part: 'fixed-orifice',
    acts: VALVE,
    items: [chargeAdequate, dryerRuledOut, airflowRuledOut],
  },
  capillary: { part: 'capillary', acts: VALVE, items: [chargeAdequate, dryerRuledOut] },
  'reversing-valve': {
    part: 'reversing-valve',
    acts: VALVE,
    items: [
      {
        id: 'four-ports',
        label: 'Temperatures on all four ports after 10 minutes or more in one mode',
        acts: ['run'],
        onRecord: (record) => portsOf(record) !== undefined,
      },
      {
        id: 'crosses',
        label: 'Suction picks up heat across the valve, or all four ports are close in temperature',
        acts: ['run'],
        onRecord: (record) =>
          above(record.derived.reversingValveRise?.value, record.targets.reversingValveRise) ||
          areAllClose(portsOf(record) ?? [-Infinity, Infinity]),
      },
      {
        id: 'coil',
        label: 'Control voltage proven at the coil, connected (21-27 V)',
        acts: ['energise'],
        caution: LIVE,
        onRecord: ({ tests }) => tests.coilVolts?.word === 'healthy',
      },
      {
        id: 'coil-pull',
        observation: 'magnetPull',
        label: 'Coil proven: ohms sound, or its magnet pulls',
        acts: ['energise'],
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
        label: 'Right volts at the coil, measured with the coil connected (21-27 V)',
        acts: ['energise'],
        caution: LIVE,
        onRecord: ({ tests }) => tests.coilVolts?.word === 'healthy',
      },
      {
        id: 'coil-ohms',
        label: 'Coil ohms open or shorted, or the coil does not hold when jumped at the unit',
        caution: DEAD,
        onRecord: ({ tests, snapshot }) =>
          (tests.valveCoil !== undefined && tests.valveCoil.word !== 'good') ||
          snapshot.observations.jumpAtUnit === 'does-not-hold',
      },
    ],
  },
} as const satisfies { readonly [G in GateId]?: GateRow }
