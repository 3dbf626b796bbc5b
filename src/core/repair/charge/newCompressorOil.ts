import { computed, guess, type Known, known } from '../../base/known/known'
import { toSI } from '../../base/units/convert'
import type { Repair } from '../../record/records/repair'
import type { CircuitSize } from '../cleanup/circuitSize'
import { DRAINED, DRAINED_GUESS, oilLostOf, oilOutOf } from '../cleanup/drained'

/** A new compressor ships with oil: nothing is filled in, and what is too much is poured off before it is fitted. m3 */
export type NewCompressorOil = {
  readonly ships: Known<number>
  /** what it and the circuit hold together, nothing poured off */
  readonly together: Known<number>
  readonly pourOff: Known<number>
}

type Input = { readonly repair: Repair; readonly size: Pick<CircuitSize, 'oil' | 'oilVolume'> }

/** [memory] handbook 09: what a circuit may hold beyond its plate before it is poured off a new compressor. */
const OVER_NEW = 1.1

/** Oil that came out and left with parts, m3: as measured, or what is likely to come out. */
export function oilGone({ size, repair }: Input): Known<number> {
  const out = oilOutOf(repair, size.oil.value)
  const lost = oilLostOf(repair)
  return out === undefined
    ? computed(size.oilVolume.value * DRAINED.likely + lost, size.oilVolume, DRAINED_GUESS)
    : known(out + lost, 'measured', 'the oil that came out')
}

/** [practice] a new one ships with what the plate says; read its box. */
const shippedOf = ({ repair, size }: Input): Known<number> =>
  repair.newOil
    ? known(toSI(repair.newOil), 'typed', 'the box of the new compressor')
    : computed(
        size.oilVolume.value,
        size.oilVolume,
        guess('a new compressor ships with the oil of the plate', 'newOil'),
      )

/** Oil of a job that fits another compressor: nothing is filled in unless its box says that it ships short (handbook 09). */
export function newFill(input: Input): {
  readonly refill: Known<number>
  readonly left: Known<number>
  readonly newCompressor: NewCompressorOil
} {
  const plate = input.size.oilVolume
  const gone = oilGone(input)
  const left = computed(Math.max(plate.value - gone.value, 0), plate, gone)
  const ships = shippedOf(input)
  const together = computed(ships.value + left.value, ships, left)
  const most = plate.value * OVER_NEW
  return {
    left,
    refill: computed(Math.max(plate.value - together.value, 0), plate, together),
    newCompressor: {
      ships,
      together,
      pourOff: computed(Math.max(together.value - most, 0), plate, together),
    },
  }
}
