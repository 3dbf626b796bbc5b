import { type Finding, good, unclear } from './finding'

/** [practice] a run capacitor is replaced beyond 6 % of its label. */
const CAPACITOR_SHARE = 0.06

/** Capacitance at work, F: amps in its own lead over volts across it [physics]. */
export const capacitanceAtWork = (amps: number, volts: number, hertz: number): number =>
  amps / (2 * Math.PI * hertz * volts)

/** Judges a capacitor against its label, both in F. */
export function judgeCapacitor(measured: number, label: number): Finding {
  if (!(label > 0) || !(measured >= 0))
    return unclear('Label or reading is missing.', 'Read the label and measure again.')
  const off = measured / label - 1
  const text = `${(measured * 1e6).toFixed(1)} uF against ${(label * 1e6).toFixed(1)} uF on the label (${off > 0 ? '+' : ''}${(100 * off).toFixed(0)} %)`
  if (Math.abs(off) <= CAPACITOR_SHARE) return good(`${text}: inside 6 %.`)
  return {
    verdict: 'failed',
    faults: ['start-gear-failed'],
    sentence: `${text}: failed.`,
    next: 'Discharge through a resistor first; a dual capacitor is tested section by section to common.',
  }
}

/** [memory] closed contacts: nothing to speak of, worn, burnt. V. */
const DROP_GOOD = 0.3
const DROP_WORN = 1

/** Judges volts across closed contacts under load. */
export function judgeContactor(drop: number): Finding {
  if (!(drop >= 0))
    return unclear('The drop is missing or below zero.', 'Measure across each closed pole under load.', [
      'run',
      'energise',
    ])
  if (drop <= DROP_GOOD) return good(`${drop} V across the closed contacts: near zero.`)
  return {
    verdict: drop <= DROP_WORN ? 'suspect' : 'failed',
    faults: ['contactor-failed'],
    sentence: `${drop} V across the closed contacts: ${drop <= DROP_WORN ? 'worn' : 'burnt or pitted'}.`,
    next: 'Measure every pole; look for pitting with the power off.',
    nextActs: ['run', 'energise'],
  }
}

/** Amps that a heater should draw: watts x volts / rated volts squared [physics]. */
export const heaterAmps = (watts: number, ratedVolts: number, volts: number): number =>
  (watts * volts) / ratedVolts ** 2

/** [practice] a plain heater agrees within a sixth; one that draws nothing is open. */
const HEATER_SHARE = 0.17
const NO_CURRENT = 0.02

/** Judges a crankcase heater by its current. @param selfRegulating such a heater draws less when warm */
export function judgeHeater(amps: number, expected: number, selfRegulating = false): Finding {
  if (!(amps >= 0) || !(expected > 0))
    return unclear('Amps or plate values are missing.', 'Watts and volts stand on the heater.')
  if (amps <= NO_CURRENT) {
    return {
      verdict: 'failed',
      faults: ['crankcase-heater-open'],
      sentence: `No current (expected ${expected.toFixed(2)} A): the heater or its circuit is open.`,
      next: 'Volts at the heater with the contactor out; ohms with the power off.',
    }
  }
  const off = amps / expected - 1
  if (Math.abs(off) <= HEATER_SHARE || (selfRegulating && off < 0))
    return good(`${amps} A, expected ${expected.toFixed(2)} A.`)
  return {
    verdict: 'suspect',
    faults: [],
    sentence: `${amps} A, expected ${expected.toFixed(2)} A.`,
    next: 'Is it self-regulating, or another rating than noted?',
  }
}
