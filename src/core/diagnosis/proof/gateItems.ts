import { hasReversingValve, isThreePhase } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import { ELECTRICAL_CAUTIONS } from '../../safety/electricalCautions'
import type { Target } from '../targets/target'
import { dryerProof } from './dryerProof'
import type { GateItem } from './gate'

/** A drop within half again its band is no restriction. */
const ruledOut = (value: number | undefined, target: Target | undefined): boolean =>
  value !== undefined && target !== undefined && value - target.value < 1.5 * target.tolerance

export const above = (value: number | undefined, target: Target | undefined): boolean =>
  value !== undefined && target !== undefined && value > target.value + target.tolerance
export const below = (value: number | undefined, target: Target | undefined): boolean =>
  value !== undefined && target !== undefined && value < target.value - target.tolerance

export const isTxv = (unit: UnitPlate): boolean => unit.metering === 'txv'
export const isSingle = (unit: UnitPlate): boolean => !isThreePhase(unit)

const { live: LIVE, ownTerminals: PRESSURE_OFF } = ELECTRICAL_CAUTIONS

export const dryerRuledOut: GateItem = {
  id: 'dryer-and-line',
  label:
    'Dryer and liquid line ruled out: no temperature drop across them; with over 15 F of subcooling no pressure drop across the dryer either',
  acts: ['run'],
  onRecord: (record) =>
    dryerProof(record) === 'clear' &&
    (record.derived.liquidLineDrop === undefined ||
      ruledOut(record.derived.liquidLineDrop.value, record.targets.liquidLineDrop)),
}

export const chargeAdequate: GateItem = {
  id: 'charge-adequate',
  label: 'Charge shown adequate: subcooling not below its band, a clear sight glass, or weighed',
  onRecord: ({ unit, derived, targets, snapshot: { observations, values } }) => {
    const subcooling = derived.subcooling ?? values.subcoolingShown
    const target = targets.subcooling
    // Behind a receiver subcooling does not show the charge.
    const liquid =
      !unit.receiver && subcooling && target && subcooling.value > target.value - target.tolerance
    return Boolean(liquid) || observations.sightGlass === 'clear' || observations.weighedCharge === 'at-plate'
  },
}

/** In cooling the split speaks, in heating the rise. */
export const airflowRuledOut: GateItem = {
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

export const bulbTight: GateItem = {
  id: 'bulb',
  observation: 'bulbState',
  label: 'Bulb located, tight and insulated',
  onRecord: ({ snapshot: { observations } }) =>
    observations.bulbState !== undefined &&
    observations.bulbState !== 'loose' &&
    observations.bulbState !== 'uninsulated',
  applies: isTxv,
}

export const phaseRight: GateItem = {
  id: 'phase-sequence',
  observation: 'phaseSequence',
  label: 'Phase sequence right (three-phase)',
  acts: ['energise'],
  caution: LIVE,
  onRecord: ({ snapshot }) => snapshot.observations.phaseSequence === 'correct',
  applies: isThreePhase,
}

export const reversingValveRuledOut: GateItem = {
  id: 'reversing-valve',
  label: 'Reversing valve temperatures ruled out',
  acts: ['run'],
  onRecord: ({ derived, targets }) => ruledOut(derived.reversingValveRise?.value, targets.reversingValveRise),
  applies: hasReversingValve,
}

/** The three pairs, at the compressor itself, leads off: the place is said at the reading, never ticked at the gate. */
export const pairsAtTerminals: GateItem = {
  id: 'own-terminals',
  label: "All three winding pairs measured at the compressor's own terminals with the leads off",
  acts: ['own-terminals'],
  caution: PRESSURE_OFF,
  onRecord: ({ snapshot, tests }) =>
    tests.windings !== undefined && snapshot.observations.windingsMeasuredAt === 'terminals',
}
