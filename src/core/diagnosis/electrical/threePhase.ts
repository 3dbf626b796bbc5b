import { showOhms } from './showOhms'
import { type Finding, good, unclear } from './finding'

export type LegOhms = { readonly t1t2: number; readonly t2t3: number; readonly t3t1: number }

/** [practice] legs of a sound motor agree within about 5 %; [memory] what meter and leads add, ohms. */
const EQUAL_SHARE = 0.05
const METER_OHMS = 0.2
/** [physics] a delta with one winding open reads that pair twice the others. */
const DELTA_RATIO = 2
const DELTA_SHARE = 0.1

const LEGS: readonly (readonly [keyof LegOhms, string, string])[] = [
  ['t1t2', 'T1', 'T2'],
  ['t2t3', 'T2', 'T3'],
  ['t3t1', 'T3', 'T1'],
]
const isOpen = (ohms: number) => !Number.isFinite(ohms)

/**
 * Judges the windings of a three-phase motor.
 * @param ohms of the three pairs; Infinity for open
 * @param hot whether the shell is hot, undefined where nobody felt it: its internal overload opens all three pairs
 */
export function judgeThreePhase(ohms: LegOhms, hot: boolean | undefined): Finding {
  const values = LEGS.map(([key]) => ohms[key])
  if (values.some((value) => Number.isNaN(value) || value < 0)) {
    return unclear('A resistance is missing or below zero.', 'Measure the three pairs again.')
  }
  const open = LEGS.filter(([key]) => isOpen(ohms[key]))
  if (open.length === 3) return allOpen(hot)
  if (open.length === 2) return openLeg(ohms)
  if (open.length === 1) {
    return unclear(
      'One pair reads open while the other two read: through the third terminal it cannot.',
      'Clean the pins and measure that pair again.',
    )
  }
  return judgeBalance(values as [number, number, number])
}

function allOpen(hot: boolean | undefined): Finding {
  return {
    verdict: 'suspect',
    faults:
      hot === false ? ['compressor-open-winding'] : ['compressor-overload-open', 'compressor-open-winding'],
    sentence: hot
      ? 'All three pairs read open on a hot shell: the internal overload.'
      : 'All three pairs read open.',
    next: hot
      ? 'Cool at least 20 minutes, often over an hour, and measure again before condemning.'
      : 'Check the meter on its own leads, clean the pins, measure again.',
  }
}

/** Star windings: the terminal that two open pairs share is the open leg. */
function openLeg(ohms: LegOhms): Finding {
  const [key, one, other] = LEGS.find(([each]) => !isOpen(ohms[each])) as (typeof LEGS)[number]
  const leg = ['T1', 'T2', 'T3'].find((each) => each !== one && each !== other) as string
  return {
    verdict: 'failed',
    faults: ['compressor-open-winding'],
    sentence: `Only ${one}-${other} reads (${showOhms(ohms[key])}): leg ${leg} is open.`,
    next: 'Measure at the compressor’s own terminals with the leads off before condemning.',
    nextActs: ['own-terminals'],
  }
}

function judgeBalance(values: readonly [number, number, number]): Finding {
  const [low, middle, high] = [...values].sort((a, b) => a - b) as [number, number, number]
  const mean = (low + middle + high) / 3
  const spread = Math.max(high - mean, mean - low)
  if (spread <= EQUAL_SHARE * mean)
    return good(`The three legs agree within ${((100 * spread) / mean).toFixed(1)} %.`)
  const halves = Math.abs(middle / low - 1) <= DELTA_SHARE
  if (halves && Math.abs(high / low - DELTA_RATIO) <= DELTA_RATIO * DELTA_SHARE) {
    return {
      verdict: 'failed',
      faults: ['compressor-open-winding'],
      sentence: `One pair reads twice the other two (${showOhms(high)} against ${showOhms(low)}): a delta winding is open.`,
      next: 'Ask the plate or the maker whether the motor is wound in delta.',
    }
  }
  if (spread <= EQUAL_SHARE * mean + METER_OHMS) {
    return unclear(
      `The legs differ by ${spread.toFixed(2)} ohm from their mean: no more than meter and leads can add.`,
      'Zero the meter on its leads, or use a low-ohm meter.',
    )
  }
  return {
    verdict: 'suspect',
    faults: ['compressor-shorted-turns'],
    sentence: `The legs differ by ${((100 * spread) / mean).toFixed(0)} % from their mean.`,
    next: 'Repeat at the clean pins; compare with the maker’s figures.',
  }
}
