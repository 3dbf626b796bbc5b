import { rounded } from '../../base/units/show'
import { OPEN_OHMS_LEAST } from '../../record/readings/openOhms'

const SIZES: readonly (readonly [from: number, divisor: number, name: string])[] = [
  [1e6, 1e6, 'Mohm'],
  [1e3, 1e3, 'kohm'],
  [0, 1, 'ohm'],
]

/** So many digits as a meter shows: 0.90, 4.2, 30, 1.2 k. */
const digitsOf = (value: number): number => (value < 1 ? 2 : value < 10 ? 1 : 0)

/** Ohms as a meter shows them: "2.0 ohm", "30 ohm", "4.7 kohm", "5.0 Mohm", "open". */
export function showOhms(ohms: number): string {
  if (!Number.isFinite(ohms)) return 'open'
  const [, divisor, name] = SIZES.find(([from]) => ohms >= from) ?? ([0, 1, 'ohm'] as const)
  const value = ohms / divisor
  return `${rounded(value, digitsOf(value))} ${name}`
}

/** Ohms of a winding or a coil: what is more than any of them has is open. */
export const showWindingOhms = (ohms: number): string => (ohms >= OPEN_OHMS_LEAST ? 'open' : showOhms(ohms))
