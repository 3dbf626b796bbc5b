import { type Quantity, type QuantityKind, type Unit, unitRow } from '../../base/units/units'
import { siLine } from '../../base/units/convert'
import type { LogPurpose } from './logPurposes'
import { type ChannelKey, channelRow } from './channels'

/** From and to, both included, in the unit of the row. */
type Range = readonly [from: number, to: number]

/** What a figure can be at all, and what it mostly is. */
type LimitRow = {
  readonly unit: Unit
  readonly possible: Range
  readonly likely: Range
}

/** What is read of any quantity, wide. Pressures over a perfect vacuum. [practice] */
const OF_KIND: { readonly [K in QuantityKind]?: LimitRow } = {
  pressure: { unit: 'psia', possible: [0.05, 1500], likely: [0.05, 850] },
  temperature: { unit: 'F', possible: [-150, 1000], likely: [-80, 350] },
  voltage: { unit: 'V', possible: [0, 1000], likely: [0, 620] },
  current: { unit: 'A', possible: [0, 2000], likely: [0, 300] },
  resistance: { unit: 'ohm', possible: [0, 1e12], likely: [0, 1e11] },
  capacitance: { unit: 'uF', possible: [0, 5000], likely: [0, 500] },
  mass: { unit: 'lb', possible: [-1000, 1000], likely: [0, 300] },
  humidity: { unit: '%', possible: [0, 100], likely: [5, 100] },
}

/** What is possible of any quantity; none where it has no limits of its own here. */
export const possibleOfKind = (kind: QuantityKind): { unit: Unit; from: number; to: number } | undefined => {
  const row = OF_KIND[kind]
  return row && { unit: row.unit, from: row.possible[0], to: row.possible[1] }
}

/** What the instruments of the work show. [practice] */
const OF_CHANNEL: { readonly [C in ChannelKey]?: LimitRow } = {
  circuitPressure: { unit: 'psia', possible: [0.05, 1200], likely: [0.05, 700] },
  testPressure: { unit: 'psia', possible: [0.05, 1500], likely: [5, 700] },
  gasTemp: { unit: 'F', possible: [-60, 250], likely: [-20, 160] },
  // a gauge ends at some microns; air at the lowest place is 800,000
  systemVacuum: { unit: 'micron', possible: [3, 820_000], likely: [15, 820_000] },
  pumpVacuum: { unit: 'micron', possible: [3, 820_000], likely: [8, 820_000] },
  cylinderWeight: { unit: 'lb', possible: [0, 1000], likely: [1, 300] },
}

/** Where a log of its kind has limits of its own. */
const OF_PURPOSE: { readonly [P in LogPurpose]?: { readonly [C in ChannelKey]?: LimitRow } } = {
  // a scale may be zeroed with the cylinder on it: what is charged then counts below zero
  'weigh-in': { cylinderWeight: { unit: 'lb', possible: [-300, 1000], likely: [0, 300] } },
}

/** Limits of a figure; none where its quantity has none. */
function limitsOf(key: ChannelKey, purpose?: LogPurpose): LimitRow | undefined {
  const own = purpose && OF_PURPOSE[purpose]?.[key]
  return own ?? OF_CHANNEL[key] ?? OF_KIND[channelRow(key).kind]
}

const siOf = (value: number, unit: Unit, atmosphere: number): number => {
  const { scale, shift } = siLine(unit, atmosphere)
  return value * scale + shift
}

/** A range, both ends included; SI where nothing else is said: pascals absolute, kelvins, kilograms. */
export type SiRange = { readonly from: number; readonly to: number }

// the limits are in units that need no air
const asSi = ([from, to]: Range, unit: Unit): SiRange => ({
  from: siOf(from, unit, 0),
  to: siOf(to, unit, 0),
})

/** What is possible and what is likely, in SI; no limits where the quantity has none. */
export function siLimits(
  key: ChannelKey,
  purpose?: LogPurpose,
): { readonly possible: SiRange; readonly likely: SiRange } {
  const row = limitsOf(key, purpose)
  const none = { from: -Infinity, to: Infinity }
  return row
    ? { possible: asSi(row.possible, row.unit), likely: asSi(row.likely, row.unit) }
    : { possible: none, likely: none }
}

/** How a figure stands against its limits, and why in words. */
export type FigureState =
  { readonly state: 'good' } | { readonly state: 'unlikely' | 'impossible'; readonly sentence: string }

const GOOD: FigureState = { state: 'good' }
const count = (value: number) => Number(value.toPrecision(3)).toLocaleString('en-US')

/** A range in figures of a unit, the lower end first. @param range SI */
export function rangeIn({ from, to }: SiRange, unit: Unit, atmosphere: number): SiRange {
  const { scale, shift } = siLine(unit, atmosphere)
  const ends = [from, to].map((end) => (end - shift) / scale).sort((a, b) => a - b)
  return { from: ends[0] as number, to: ends[1] as number }
}

/** A range in words, in the unit that was typed. @param range SI */
function rangeText(range: SiRange, unit: Unit, atmosphere: number): string {
  const { from, to } = rangeIn(range, unit, atmosphere)
  return `${count(from)} and ${count(to)} ${unit === 'micron' ? 'microns' : unit}`
}

/** [practice] a needle reads no better than this, Pa: what it shows near a perfect vacuum is no figure for microns. */
const NEEDLE = 3400
const isNeedle = (unit: Unit) => unitRow(unit).kind === 'pressure' && unitRow(unit).reference !== 'absolute'
const isVacuumChannel = (key: ChannelKey) => key === 'systemVacuum' || key === 'pumpVacuum'
/** Inches of vacuum run from none to a perfect one: the sign of another scale makes no sense on it. */
const isOffScale = ({ value, unit }: Quantity) => unit === 'inHgVac' && (value < -1 || value > 31)

/**
 * Judges one figure against its limits.
 * @param atmosphere Pa, against which gauges read
 */
export function figureState(
  key: ChannelKey,
  quantity: Quantity,
  atmosphere: number,
  purpose?: LogPurpose,
): FigureState {
  const { value, unit } = quantity
  if (!limitsOf(key, purpose)) return GOOD
  const impossible = (why: string): FigureState => ({ state: 'impossible', sentence: why })
  if (isOffScale(quantity))
    return impossible(`Inches of vacuum run from 0 to 29.9: ${count(value)} is none. Check sign and unit.`)
  const si = siOf(value, unit, atmosphere)
  if (isVacuumChannel(key) && isNeedle(unit) && si < NEEDLE)
    return impossible(`A needle cannot tell this deep: type what the micron gauge shows, in microns.`)
  const { possible, likely } = siLimits(key, purpose)
  const label = channelRow(key).label
  if (si < possible.from || si > possible.to)
    return impossible(
      `${label}: ${count(value)} ${unit} cannot be. It lies between ${rangeText(possible, unit, atmosphere)}: check sign, point and unit.`,
    )
  if (si < likely.from || si > likely.to)
    return {
      state: 'unlikely',
      sentence: `${label}: ${count(value)} ${unit} is unlikely, mostly it is between ${rangeText(likely, unit, atmosphere)}.`,
    }
  return GOOD
}
