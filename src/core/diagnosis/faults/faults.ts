import type { VetoId } from '../../safety/vetoes'
import type { GateId } from './gateIds'
import type { RemedyId } from './remedyIds'
import type { Mode } from '../../record/readings/schema'
import { ELECTRICAL_FAULT_ROWS } from './electricalFaults'
import type { FaultRow } from './fault'
import { FURTHER_FAULTS } from './furtherFaults'
import { TABLE_FAULTS } from './tableFaults'

/** Faults of the refrigerant circuit and what surrounds it. */
const CIRCUIT_FAULTS = { ...TABLE_FAULTS, ...FURTHER_FAULTS } as const
/** Every fault of handbook 04 and 05. */
const FAULTS = { ...CIRCUIT_FAULTS, ...ELECTRICAL_FAULT_ROWS } as const

export type CircuitFaultId = keyof typeof CIRCUIT_FAULTS
export type ElectricalFaultId = keyof typeof ELECTRICAL_FAULT_ROWS
export type FaultId = CircuitFaultId | ElectricalFaultId
/** A fault of the table, a sound circuit, or something that the table does not hold. */
export type SuspectId = FaultId | 'healthy' | 'unlisted'

export const CIRCUIT_FAULT_IDS = Object.keys(CIRCUIT_FAULTS) as CircuitFaultId[]
export const ELECTRICAL_FAULT_IDS = Object.keys(ELECTRICAL_FAULT_ROWS) as ElectricalFaultId[]
export const FAULT_IDS: readonly FaultId[] = [...CIRCUIT_FAULT_IDS, ...ELECTRICAL_FAULT_IDS]
export const HEALTHY_PRIOR = 33
export const UNLISTED_PRIOR = 3

/** The row seen without its literal types. */
export const faultRow = (id: FaultId): FaultRow => FAULTS[id]

export const isElectrical = (id: string): id is ElectricalFaultId => Object.hasOwn(ELECTRICAL_FAULT_ROWS, id)

/** Whether a suspect is a fault of the table. */
export const isFault = (id: SuspectId): id is FaultId => id !== 'healthy' && id !== 'unlisted'

/** Whether a suspect comes in degrees; electrical faults, a lost charge and reversed phases do not. */
export const hasDegree = (id: SuspectId): boolean => !isFault(id) || faultRow(id).comesInDegrees

/** What repairs a suspect, by name. */
export const remedyIdOf = (id: SuspectId): RemedyId =>
  isFault(id) ? faultRow(id).remedy : id === 'healthy' ? 'none' : 'look-again'

/** The gate of a suspect; undefined where nothing is condemned for it. */
export function gateIdOf(id: SuspectId): GateId | undefined {
  const guard = isFault(id) ? faultRow(id).gate : undefined
  return typeof guard === 'string' ? guard : undefined
}

/** The state of the table of vetoes that a suspect is; undefined where it is none. */
export const stateOf = (id: SuspectId): VetoId | undefined => (isFault(id) && faultRow(id).state) || undefined

const OTHER_LABELS = { healthy: 'Nothing wrong with the circuit', unlisted: 'Not in this list' } as const

/** What a suspect is called on a screen; the coils swap their roles in heating. */
export function suspectLabel(id: SuspectId, mode: Mode = 'cooling'): string {
  if (id === 'healthy' || id === 'unlisted') return OTHER_LABELS[id]
  const row = faultRow(id)
  return (mode === 'heating' && row.labelInHeating) || row.label
}

/** Whether a word is a suspect of this table. */
export const isSuspect = (id: string): id is SuspectId =>
  id === 'healthy' || id === 'unlisted' || Object.hasOwn(FAULTS, id)
