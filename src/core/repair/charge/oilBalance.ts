import { basisOf, computed, type Known } from '../../base/known/known'
import { toSI } from '../../base/units/convert'
import { newFill, type NewCompressorOil, oilGone } from './newCompressorOil'
import type { OilBalance, OilInput } from './oilFigures'
import { changesForShare, CONVERSION_SHARE, oilFor } from './conversionOil'
import { oilSays } from './oilSays'
import { oilLostOf, oilOutOf } from '../cleanup/drained'

/** [memory] a quart can, m3. */
const CAN = 0.000946
/** Strokes of a pump for a volume, whole; undefined for no stroke. */
export const strokesFor = (volume: number, stroke: number): number | undefined =>
  stroke > 0 ? Math.ceil(volume / stroke - 1e-9) : undefined

/** Oil that goes in, m3: what came out and what was lost, or what is likely to come out until it is measured. */
function refillOf(input: OilInput): Known<number> {
  const { size, repair, changes, changesBasis, isConversion, refrigerant } = input
  const old = size.oil.value
  const isDrained = changes > 0 || (isConversion && oilFor(refrigerant, old) !== old)
  return isDrained || oilOutOf(repair, old) !== undefined
    ? oilGone(input)
    : computed(oilLostOf(repair), changesBasis)
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
    laterCans: Math.ceil((laterChanges * oilGone(input).value) / CAN - 1e-9),
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
