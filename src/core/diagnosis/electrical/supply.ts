import type { Act } from '../../safety/vetoes'
import { type Finding, good, unclear } from './finding'

/** [practice] volts within 10 % of the plate; unbalance above 2 % is looked into. */
const PLATE_SHARE = 0.1
const UNBALANCE_LIMIT = 0.02
/** A pair so far below the others has lost its phase. */
const LOST_SHARE = 0.7

/** [std: NEMA MG 1, derating of motors by voltage unbalance, from memory: verify] share of rated power. */
const DERATE: readonly (readonly [unbalance: number, share: number])[] = [
  [0, 1],
  [0.01, 0.98],
  [0.02, 0.95],
  [0.03, 0.88],
  [0.04, 0.82],
  [0.05, 0.75],
]

/** Largest deviation from the mean over the mean, share [std: NEMA MG 1]. */
export function unbalance(values: readonly number[]): number {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length
  return mean === 0 ? 0 : Math.max(...values.map((value) => Math.abs(value - mean))) / mean
}

/** Share of rated power that a motor may give at a voltage unbalance; undefined above 5 %, where it must not run. */
export function derate(share: number): number | undefined {
  const above = DERATE.findIndex(([limit]) => limit >= share)
  if (above === -1) return undefined
  if (above === 0) return 1
  const [x0, y0] = DERATE[above - 1] as readonly [number, number]
  const [x1, y1] = DERATE[above] as readonly [number, number]
  return y0 + ((share - x0) / (x1 - x0)) * (y1 - y0)
}

const fault = (sentence: string, next: string, nextActs: readonly Act[] = ['energise']): Finding => ({
  verdict: 'failed',
  faults: ['supply-fault'],
  sentence,
  next,
  nextActs,
})

/**
 * Judges the supply at the unit.
 * @param volts one value (single-phase) or the three pairs; plate the plate's volts
 */
export function judgeSupply(volts: readonly number[], plate: number): Finding {
  if (volts.some((value) => !(value >= 0)) || (volts.length !== 1 && volts.length !== 3)) {
    return unclear('Volts are missing or below zero.', 'Measure every pair of lines.')
  }
  const most = Math.max(...volts)
  if (most < 0.2 * plate)
    return fault(
      'No volts between the lines.',
      'Ohms to ground first; then breaker, fuses and disconnect.',
      [],
    )
  if (volts.length === 3 && Math.min(...volts) < LOST_SHARE * most) {
    return fault(
      `One pair reads ${Math.min(...volts).toFixed(0)} V against ${most.toFixed(0)} V: a phase is lost.`,
      'Follow the dead line back: fuse, disconnect, contactor.',
    )
  }
  const share = volts.length === 3 ? unbalance(volts) : 0
  if (share > UNBALANCE_LIMIT) {
    const left = derate(share)
    const text =
      left === undefined
        ? 'the motor must not run'
        : `the motor may give ${(100 * left).toFixed(0)} % of its power`
    return fault(
      `Unbalance ${(100 * share).toFixed(1)} %: ${text}.`,
      'Tighten and measure upstream; tell the supplier.',
    )
  }
  const worst = volts.reduce((a, b) => (Math.abs(b - plate) > Math.abs(a - plate) ? b : a))
  if (Math.abs(worst / plate - 1) > PLATE_SHARE) {
    return fault(
      `${worst.toFixed(0)} V is ${(100 * Math.abs(worst / plate - 1)).toFixed(0)} % ${worst < plate ? 'below' : 'above'} the plate.`,
      worst < plate ? 'Measure while starting and at the meter: wire size, taps.' : 'Transformer taps.',
      worst < plate ? ['start', 'energise'] : [],
    )
  }
  return good(
    `Volts within 10 % of the plate${volts.length === 3 ? `, unbalance ${(100 * share).toFixed(1)} %` : ''}.`,
  )
}
