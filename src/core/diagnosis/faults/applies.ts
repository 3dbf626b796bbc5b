import {
  condenserMedium,
  evaporatorMedium,
  hasReversingValve,
  isBoxKind,
  isPipedOnSite,
  isThreePhase,
  mainMode,
  runsBothWays,
} from '../../record/equipment/kinds'
import { METERINGS, type UnitPlate } from '../../record/equipment/unit'
import type { Mode } from '../../record/readings/schema'
import type { Applies } from './fault'
import {
  CIRCUIT_FAULT_IDS,
  type CircuitFaultId,
  ELECTRICAL_FAULT_IDS,
  type ElectricalFaultId,
  type FaultId,
  faultRow,
  type SuspectId,
} from './faults'

type Rule = (unit: UnitPlate, mode: Mode) => boolean

/** One rule for each word of Applies; a word that is absent asks nothing. */
function rulesOf(applies: Applies): Rule[] {
  const { metering, kinds, heatRejection, mode: only } = applies
  return [
    ...(metering ? [((unit) => metering.includes(unit.metering)) satisfies Rule] : []),
    ...(kinds ? [((unit) => kinds.includes(unit.kind)) satisfies Rule] : []),
    ...(heatRejection
      ? [((unit, mode) => condenserMedium(unit, mode) === heatRejection) satisfies Rule]
      : []),
    ...(only ? [((_unit, mode) => mode === only) satisfies Rule] : []),
    ...(applies.reversingValve ? [hasReversingValve] : []),
    ...(applies.headPressureControl ? [((unit) => unit.headPressureControl === true) satisfies Rule] : []),
    ...(applies.receiver ? [((unit) => unit.receiver === true) satisfies Rule] : []),
    ...(applies.split ? [isPipedOnSite satisfies Rule] : []),
    ...(applies.threePhase ? [isThreePhase] : []),
    ...(applies.singlePhase ? [((unit) => !isThreePhase(unit)) satisfies Rule] : []),
    ...(applies.frosts ? [frosts] : []),
  ]
}

const frosts: Rule = (unit, mode) =>
  isBoxKind(unit) || (mode === 'heating' && evaporatorMedium(unit, mode) === 'air')

const applies = (fault: FaultId, unit: UnitPlate, mode: Mode) =>
  rulesOf(faultRow(fault).applies ?? {}).every((rule) => rule(unit, mode))

/** Whether only some metering devices can have a fault. */
export const dependsOnMetering = (suspect: SuspectId): boolean =>
  suspect !== 'healthy' && suspect !== 'unlisted' && faultRow(suspect).applies?.metering !== undefined

/** Faults of the circuit that this unit can have in this mode. */
export const circuitFaultsOf = (unit: UnitPlate, mode: Mode): CircuitFaultId[] =>
  CIRCUIT_FAULT_IDS.filter((id) => applies(id, unit, mode))

/** Electrical faults that this unit can have. */
export const electricalFaultsOf = (unit: UnitPlate, mode: Mode): ElectricalFaultId[] =>
  ELECTRICAL_FAULT_IDS.filter((id) => applies(id, unit, mode))

/** All faults that this unit can have in this mode. */
export const faultsOf = (unit: UnitPlate, mode: Mode = 'cooling'): FaultId[] => [
  ...circuitFaultsOf(unit, mode),
  ...electricalFaultsOf(unit, mode),
]

const MODES = ['cooling', 'heating'] as const

/**
 * All faults that this unit can have in any of its modes, by their labels.
 * @param knowsMetering false where nobody named the metering device: then those of every kind
 */
export function everyFaultOf(unit: UnitPlate, knowsMetering = true): FaultId[] {
  const units = knowsMetering ? [unit] : METERINGS.map((metering) => ({ ...unit, metering }))
  const modes = runsBothWays(unit) ? MODES : [mainMode(unit)]
  const all = new Set(units.flatMap((each) => modes.flatMap((mode) => faultsOf(each, mode))))
  return [...all].sort((a, b) => faultRow(a).label.localeCompare(faultRow(b).label, 'en'))
}
