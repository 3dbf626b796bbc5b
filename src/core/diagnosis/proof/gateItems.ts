import { hasReversingValve, isThreePhase } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import { windingsPlace } from '../../record/readings/ohmPlaces'
import { ELECTRICAL_CAUTIONS } from '../../safety/electricalCautions'
import { shownSubcooling } from '../evidence/shownFigures'
import type { Target } from '../targets/target'
import { dryerProof } from './dryerProof'
import type { GateItem, GateRecord } from './gate'

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
  said: ({ derived }) =>
    derived.liquidLineDrop === undefined
      ? 'Dryer ruled out: no drop across it; the line was not walked'
      : undefined,
}

/** Behind a receiver subcooling does not show the charge. */
function hasLiquid({ unit, derived, targets, snapshot }: GateRecord): boolean {
  const subcooling = derived.subcooling ?? shownSubcooling(unit, snapshot)
  const target = targets.subcooling
  return Boolean(!unit.receiver && subcooling && target && subcooling.value > target.value - target.tolerance)
}

/** What shows the charge adequate, in the words of what was read. */
function adequateBy(record: GateRecord): string | undefined {
  const { observations } = record.snapshot
  if (observations.weighedCharge === 'at-plate') return 'weighed at the plate'
  if (hasLiquid(record)) return 'subcooling not below its band'
  return observations.sightGlass === 'clear' ? 'a clear sight glass' : undefined
}

export const chargeAdequate: GateItem = {
  id: 'charge-adequate',
  label: 'Charge shown adequate: subcooling not below its band, a clear sight glass, or weighed',
  onRecord: (record) => adequateBy(record) !== undefined,
  said: (record) => `Charge shown adequate: ${adequateBy(record)}`,
}

const isCoilClean = ({ snapshot }: GateRecord) => snapshot.observations.evaporatorCoil === 'clean'

/** In cooling the split speaks, in heating the rise. */
function isAirSound({ derived, targets, snapshot }: GateRecord): boolean {
  const [value, target] =
    snapshot.mode === 'heating'
      ? [derived.temperatureRise?.value, targets.temperatureRise]
      : [derived.temperatureSplit?.value, targets.temperatureSplit]
  return value !== undefined && target !== undefined && value < target.value + target.tolerance
}

export const airflowRuledOut: GateItem = {
  id: 'airflow',
  label:
    'Airflow ruled out: return and supply air taken, their difference not above its band; or coil and filter seen clean',
  onRecord: (record) => isAirSound(record) || isCoilClean(record),
  said: (record) => (isAirSound(record) ? undefined : 'Airflow ruled out: coil and filter seen clean'),
}

/** A bulb that feels hollow was held in the hand: it is in its place, whatever is in it. */
const BULB_IN_PLACE: readonly string[] = ['tight-insulated', 'lost-charge-feel']

export const bulbTight: GateItem = {
  id: 'bulb',
  observation: 'bulbState',
  label: 'Bulb located, tight and insulated',
  onRecord: ({ snapshot }) => BULB_IN_PLACE.includes(snapshot.observations.bulbState ?? ''),
  said: ({ snapshot }) =>
    snapshot.observations.bulbState === 'lost-charge-feel'
      ? 'Bulb in place; it feels hollow, as if it had lost its charge'
      : undefined,
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
    tests.windings !== undefined && windingsPlace(snapshot.raw, snapshot.observations) === 'terminals',
}
