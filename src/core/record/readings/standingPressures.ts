import { isAtRest, stood } from './atRest'
import type { Measured, Snapshot } from './snapshot'

/** Which part of the circuit a statement holds for: where the sides differ, each for its own. */
export type Section = 'circuit' | 'low-side' | 'high-side'

/** Sides that differ by more than two standard errors stand apart. */
const APART = 2

const mean = (first: Measured, second: Measured): Measured => ({
  value: (first.value + second.value) / 2,
  error: Math.hypot(first.error, second.error) / 2,
})

/** The standing pressures of a set by section; a pressure read at a side while it stands is that side's. */
export function standingPressures(at: Snapshot): { section: Section; pressure: Measured }[] {
  if (!isAtRest(at)) return []
  const { standingPressure, standingSuctionPressure, standingLiquidPressure } = at.values
  const rest = stood(at)
  const low = standingSuctionPressure ?? (rest ? at.values.suctionPressure : undefined)
  const high = standingLiquidPressure ?? (rest ? at.values.liquidPressure : undefined)
  if (low && high) {
    const differ = Math.abs(low.value - high.value) > APART * Math.hypot(low.error, high.error)
    if (!differ) return [{ section: 'circuit', pressure: mean(low, high) }]
    return [
      { section: 'low-side', pressure: low },
      { section: 'high-side', pressure: high },
    ]
  }
  if (standingPressure) return [{ section: 'circuit', pressure: standingPressure }]
  if (low) return [{ section: 'low-side', pressure: low }]
  return high ? [{ section: 'high-side', pressure: high }] : []
}
