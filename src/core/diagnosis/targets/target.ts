import type { Measured } from '../../record/readings/snapshot'
import { differenceToKelvin, toKelvin } from '../../base/units/convert'

/** How a number is known (see the handbook): published, common practice, from memory, or computed. */
export type Tag = 'std' | 'practice' | 'memory' | 'physics' | 'nameplate'

/** What a healthy unit should read now: a band, and where it comes from. SI. */
export type Target = {
  readonly value: number
  /** half width of the band */
  readonly tolerance: number
  readonly tag: Tag
  /** one clause that says where the target comes from */
  readonly source: string
}

/** The quantities for which targets are made, named as the derived values or readings they judge. */
export type TargetKey =
  | 'evaporatingMean'
  | 'condensingMean'
  | 'superheat'
  | 'evaporatorSuperheat'
  | 'subcooling'
  | 'temperatureSplit'
  | 'ampsShare'
  | 'dischargeLineTemp'
  | 'liquidLineDrop'
  | 'dryerDrop'
  | 'reversingValveRise'
  | 'standingOverAmbient'
  | 'suctionDryerDrop'
  | 'waterRise'
  | 'temperatureRise'
  | 'liquidApproach'
  | 'suctionLineTemp'
  | 'spaceTemp'

export type Targets = { readonly [K in TargetKey]?: Target }

/** A band given in Fahrenheit degrees of difference. */
export const band = (value: number, tolerance: number, tag: Tag, source: string): Target => ({
  value: differenceToKelvin(value, 'F'),
  tolerance: differenceToKelvin(tolerance, 'F'),
  tag,
  source,
})

/** A band around a temperature given in F. */
export const bandAt = (value: number, tolerance: number, tag: Tag, source: string): Target => ({
  value: toKelvin({ value, unit: 'F' }),
  tolerance: differenceToKelvin(tolerance, 'F'),
  tag,
  source,
})

/** Moves a difference target onto a measured temperature; the reading's error widens the band. */
export const shifted = (from: Measured, difference: Target, sign: 1 | -1): Target => ({
  ...difference,
  value: from.value + sign * difference.value,
  tolerance: Math.hypot(difference.tolerance, from.error),
})
