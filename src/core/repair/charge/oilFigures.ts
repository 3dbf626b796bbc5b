import type { Basis, Known } from '../../base/known/known'
import type { OilFamily, RefrigerantName } from '../../physics/refrigerants/catalogue'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Policy } from '../../record/policy/policy'
import type { Repair } from '../../record/records/repair'
import type { CircuitSize } from '../cleanup/circuitSize'
import type { NewCompressorOil } from './newCompressorOil'

/** Oil out and in, m3. */
export type OilBalance = {
  readonly kind: Known<OilFamily>
  /** what goes in at the end: another family after a conversion that asks for it */
  readonly goesIn: OilFamily
  readonly plate: Known<number>
  /** what came out; undefined before it was measured */
  readonly out: number | undefined
  readonly lost: number
  /** what goes in again; before it was measured, what is likely to come out */
  readonly refill: Known<number>
  readonly isMeasured: boolean
  /** what stays in the circuit */
  readonly left: Known<number>
  readonly changes: number
  /** what the number of changes, and what is brought, rest on */
  readonly changesBasis: Basis
  readonly bringBasis: Basis
  /** all oil that is brought along, and in cans of a quart */
  readonly bring: number
  readonly cans: number
  /** strokes of an oil pump for one refill, where its stroke is known */
  readonly strokes: number | undefined
  /** share of new oil after one refill, 0 to 1 */
  readonly newShare: number
  /** changes until the share that a conversion asks for */
  readonly conversionChanges: number
  /** changes after it has run, on later visits */
  readonly laterChanges: number
  /** cans of a quart for those */
  readonly laterCans: number
  /** the oil of a new compressor against what stayed in the circuit; undefined where none goes in */
  readonly newCompressor: NewCompressorOil | undefined
  readonly reasons: readonly string[]
}

export type OilInput = {
  readonly unit: UnitPlate
  readonly size: CircuitSize
  readonly repair: Repair
  readonly changes: number
  readonly laterChanges: number
  readonly changesBasis: Basis
  readonly refrigerant: RefrigerantName
  readonly isConversion: boolean
  readonly isCompressorChanged: boolean
  readonly policy: Policy
}
