import { computed, guess, type Known } from '../../base/known/known'
import { toSI } from '../../base/units/convert'
import type { OilFamily } from '../../physics/refrigerants/catalogue'
import type { Repair } from '../../record/records/repair'
import type { CircuitSize } from './circuitSize'
import type { Range } from './exposure'
import { oilVolumeOf } from './oils'

/** [practice] share of the oil that one change takes out: 60-85 % leaves a tipped hermetic. High side: little. */
export const DRAINED: Range = { low: 0.85, likely: 0.75, high: 0.6 }

/** What rests on that share rests on a guess until the oil that comes out is measured. */
export const DRAINED_GUESS = guess('three quarters of the oil come out', 'oilOut')

/** Volume of oil that came out, m3, read as a volume or weighed; undefined where neither is written. */
export const oilOutOf = (
  { oilOut: volume, oilOutWeighed: mass }: Repair,
  oil: OilFamily,
): number | undefined => (volume ? toSI(volume) : mass ? oilVolumeOf(toSI(mass), oil) : undefined)

/** Volume of oil that left inside parts, or clung in the old shell, m3. */
export const oilLostOf = ({ oilLost: volume }: Repair): number => (volume ? toSI(volume) : 0)

/** Shares of the old oil that one change leaves, 0 to 1: as measured, or as usual until it is. */
export type LeftShare = Known<Range>

/** What one change leaves of the old oil in this circuit, on each side of the estimate. */
export function leftShareOf(
  repair: Repair,
  { oil, oilVolume }: Pick<CircuitSize, 'oil' | 'oilVolume'>,
): LeftShare {
  const out = oilOutOf(repair, oil.value)
  if (out === undefined)
    return computed(
      { low: 1 - DRAINED.low, likely: 1 - DRAINED.likely, high: 1 - DRAINED.high },
      DRAINED_GUESS,
    )
  const share = Math.min(Math.max(1 - (out + oilLostOf(repair)) / oilVolume.value, 0), 1)
  return computed({ low: share, likely: share, high: share }, oilVolume)
}
