import { SEA_LEVEL_PASCALS } from '../../base/units/atmosphere'
import { siLine } from '../../base/units/convert'
import { type Quantity, type QuantityKind, type Unit, unitRow } from '../../base/units/units'
import { possibleOfKind } from './figureLimits'

/** From and to, both included. */
type Range = { readonly unit: Unit; readonly from: number; readonly to: number }

/**
 * What is written of a machine beside what its taps read: plates, weights, lengths. Wider than a tap's range, or of a kind that no
 * tap limits; every other kind has the range of its taps. [practice]
 */
const BESIDE_TAPS: { readonly [K in QuantityKind]?: Range } = {
  pressure: { unit: 'psia', from: 0, to: 5000 },
  power: { unit: 'W', from: 0, to: 1e6 },
  mass: { unit: 'lb', from: -10_000, to: 10_000 },
  volume: { unit: 'floz', from: 0, to: 50_000 },
  flow: { unit: 'cfm', from: 0, to: 500_000 },
  length: { unit: 'ft', from: -2000, to: 60_000 },
  time: { unit: 'h', from: 0, to: 100_000 },
}

/** [practice] no instrument shows less of any unit, and no one types it */
const SMALLEST = 1e-9

const isTiny = (value: number) => value !== 0 && Math.abs(value) < SMALLEST
const count = (value: number) => value.toLocaleString('en-US')

/** SI value; gauges read against the air at sea level, which moves a limit by less than it is wide. */
const siOf = (value: number, unit: Unit): number => {
  const { scale, shift } = siLine(unit, SEA_LEVEL_PASCALS)
  return value * scale + shift
}

/** Why a quantity cannot be, as the rest of a sentence; undefined where it can. */
export function whyImpossible({ value, unit }: Quantity): string | undefined {
  if (isTiny(value)) return `is ${value} ${unit}, less than any instrument shows: write 0`
  const { kind } = unitRow(unit)
  const range = BESIDE_TAPS[kind] ?? possibleOfKind(kind)
  if (!range) return undefined
  const { from, to, unit: own } = range
  const si = siOf(value, unit)
  if (si >= siOf(from, own) && si <= siOf(to, own)) return undefined
  return `is ${count(value)} ${unit}, which cannot be: it lies between ${count(from)} and ${count(to)} ${own}`
}
