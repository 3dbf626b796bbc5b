import { type Basis, basisOf, computed, type Known, known } from '../../base/known/known'
import { toSI } from '../../base/units/convert'
import type { OilFamily, RefrigerantName } from '../../physics/refrigerants/catalogue'
import type { Policy } from '../../record/policy/policy'
import type { Repair } from '../../record/records/repair'
import type { CircuitSize } from '../cleanup/circuitSize'
import { newFill, type NewCompressorOil } from './newCompressorOil'
import { changesForShare, CONVERSION_SHARE, oilFor } from './conversionOil'
import { oilSays } from './oilSays'
import { DRAINED, DRAINED_GUESS, oilLostOf, oilOutOf } from '../cleanup/drained'
import type { UnitPlate } from '../../record/equipment/unit'

/** Oil out and in, m3. */
export type OilBalance = {
  readonly kind: Known<OilFamily>
  /** what goes in at the end: another family after a conversion that asks for it */
  readonly goesIn: OilFamily
  readonly plate: Known<number>
  /** what came out; undefined before it was measured */
  readonly out: number | undefined
  readonly lost: number
  /** what goes back; before it was measured, what is likely to come out */
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

/** [memory] a quart can, m3. */
const CAN = 0.000946
/** Strokes of a pump for a volume, whole; undefined for no stroke. */
export const strokesFor = (volume: number, stroke: number): number | undefined =>
  stroke > 0 ? Math.ceil(volume / stroke - 1e-9) : undefined

/** Oil that goes in, m3: what came out and what was lost, or what is likely to come out until it is measured. */
function refillOf({
  size,
  repair,
  changes,
  changesBasis,
  isConversion,
  refrigerant,
}: OilInput): Known<number> {
  const out = oilOutOf(repair, size.oil.value)
  const lost = oilLostOf(repair)
  if (out !== undefined) return known(out + lost, 'measured', 'the oil that came out')
  const isDrained = changes > 0 || (isConversion && oilFor(refrigerant, size.oil.value) !== size.oil.value)
  return isDrained
    ? computed(size.oilVolume.value * DRAINED.likely + lost, size.oilVolume, DRAINED_GUESS)
    : computed(lost, changesBasis)
}

/** Oil of a job that leaves the compressor where it is. */
function oldFill(input: OilInput) {
  const plate = input.size.oilVolume
  const refill = refillOf(input)
  return {
    refill,
    left: computed(Math.max(plate.value - refill.value, 0), plate, refill),
    newCompressor: undefined,
  }
}

/** Oil out against the plate, in, what stays, cans and strokes; of a new compressor what is poured off before it goes in. Volumes m3. */
export function oilBalance(input: OilInput): OilBalance {
  const { size, repair, changes, changesBasis, refrigerant, isConversion, isCompressorChanged } = input
  const old = size.oil.value
  const goesIn = oilFor(refrigerant, old)
  const out = oilOutOf(repair, old)
  const plate = size.oilVolume
  const { refill, left, newCompressor } = isCompressorChanged ? newFill(input) : oldFill(input)
  const conversionChanges =
    isConversion && goesIn !== old ? changesForShare(CONVERSION_SHARE, left.value / plate.value) : 0
  // of a conversion one change is made now, what is still wanted after it has run
  const now = isCompressorChanged ? 0 : Math.max(changes, Math.min(conversionChanges, 1))
  const laterChanges = Math.max(input.laterChanges, conversionChanges - (isCompressorChanged ? 1 : now), 0)
  const fills = Math.max(now, refill.value > 1e-9 && (out !== undefined || isCompressorChanged) ? 1 : 0)
  const bring = fills * refill.value
  const facts: Omit<OilBalance, 'reasons'> = {
    kind: size.oil,
    goesIn,
    plate,
    out,
    lost: oilLostOf(repair),
    refill,
    isMeasured: out !== undefined,
    left,
    changes: now,
    changesBasis: basisOf(changesBasis, conversionChanges > 0 ? left : undefined),
    bringBasis: basisOf(refill, changesBasis),
    bring,
    cans: Math.ceil(bring / CAN - 1e-9),
    strokes: repair.oilStroke ? strokesFor(refill.value, toSI(repair.oilStroke)) : undefined,
    newShare: newShareOf(refill, left, newCompressor),
    conversionChanges,
    laterChanges,
    newCompressor,
  }
  return { ...facts, reasons: oilSays({ ...input, ...facts }) }
}

/** Share of new oil in the circuit when it is filled. */
function newShareOf(
  refill: Known<number>,
  left: Known<number>,
  { ships, pourOff }: NewCompressorOil | { ships?: undefined; pourOff?: undefined } = {},
): number {
  const fresh = refill.value + (ships ? ships.value - pourOff.value : 0)
  return fresh / (fresh + left.value)
}
