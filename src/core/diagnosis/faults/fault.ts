import type { VetoId } from '../../safety/vetoes'
import type { Guard } from './gateIds'
import type { NextAction } from './nextActions'
import type { RemedyId } from './remedyIds'
import type { Metering, UnitKind } from '../../record/equipment/unit'
import type { WordKey } from '../evidence/wordKey'
import type { FeatureKey } from '../evidence/features'

/** A cell of the handbook's table: a sign, or the shift in tolerances at given severities. */
export type Sign = '++' | '+' | '0/+' | '0' | '0/-' | '-' | '--' | '*'
export type Curve = readonly (readonly [severity: number, shift: number])[]
export type Cell = Sign | Curve

/** What a fault does to each feature; a missing cell says nothing. */
export type Signature = { readonly [K in FeatureKey]?: Cell }

/** How much likelier an observed word is at full severity than on a circuit without this fault. */
export type ObservationTable = { readonly [K in WordKey]?: Readonly<Record<string, number>> }

/** Parts that a technician condemns; the proof gates are kept by part. */
type Part =
  | 'charge'
  | 'liquid-line'
  | 'liquid-dryer'
  | 'expansion-valve'
  | 'fixed-orifice'
  | 'capillary'
  | 'airflow'
  | 'condenser'
  | 'water-side'
  | 'compressor'
  | 'reversing-valve'
  | 'suction-line'
  | 'head-pressure-control'
  | 'check-valve'
  | 'supply'
  | 'controls'
  | 'start-gear'
  | 'contactor'
  | 'wiring'
  | 'terminal-plug'
  | 'fan-motor'
  | 'liquid-solenoid'
  | 'service-valve'
  | 'crankcase-heater'
  | 'reversing-valve-coil'
  | 'nothing'

export type Applies = {
  readonly metering?: readonly Metering[]
  readonly reversingValve?: true
  readonly heatRejection?: 'air' | 'water'
  readonly headPressureControl?: true
  readonly receiver?: true
  readonly kinds?: readonly UnitKind[]
  /** refrigerant piping made on site, with service valves */
  readonly split?: true
  readonly threePhase?: true
  readonly singlePhase?: true
  readonly mode?: 'cooling' | 'heating'
  /** an evaporator that works below freezing and is defrosted */
  readonly frosts?: true
}

/** [practice] handbook 06: an electrical burn, a broken compressor, one whose metal was seen, ice, something shed upstream, wax. */
export type InsideId = 'burnt' | 'broken' | 'broken-open' | 'ice' | 'shed' | 'wax'

export type FaultRow = {
  readonly label: string
  /** where the coils have swapped their roles */
  readonly labelInHeating?: string
  readonly part: Part
  /** the next action that it shares with others; null where it leads to one of its own */
  readonly family: NextAction | null
  /** the proof before its part is condemned, or why none stands there */
  readonly gate: Guard
  readonly remedy: RemedyId
  /** the state of the table of vetoes that it is: whatever was read, nothing live is done to it before it is repaired */
  readonly state: VetoId | null
  /** what it suggests of the inside of the circuit while nothing was tested */
  readonly inside: InsideId | null
  /** electrical faults, a lost charge and reversed phases are there or not */
  readonly comesInDegrees: boolean
  /** relative frequency before any reading [practice, a first estimate; shown in docs/diagnosis.md] */
  readonly prior: number
  readonly applies?: Applies
  /** another fault of the circuit that shows the same readings: only words tell the two apart */
  readonly showsAs?: string
  /** the signs of the handbook's table, where it has a row */
  readonly signature?: Signature
  /** another signature for another metering device */
  readonly variant?: { readonly metering: readonly Metering[]; readonly signature: Signature }
  readonly observations?: ObservationTable
  /** ways of failing that show different words, with their shares (they sum to one); what a way names goes before `observations` */
  readonly ways?: readonly { readonly share: number; readonly observations: ObservationTable }[]
  /** what tells it apart, in the trade's words */
  readonly distinguishingSign: string
}

/** Shift in tolerances at full severity for each sign; '*' may go either way and is modelled as spread alone. */
export const SHIFT_OF_SIGN: Readonly<Record<Exclude<Sign, '*'>, number>> = {
  '++': 6,
  '+': 3,
  '0/+': 1.2,
  '0': 0,
  '0/-': -1.2,
  '-': -3,
  '--': -6,
}
