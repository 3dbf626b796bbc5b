import { isThreePhase } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Snapshot } from '../../record/readings/snapshot'
import type { Finding } from './finding'
import { heaterAmps, judgeHeater } from './parts'
import { showWindingOhms } from './showOhms'
import { type Judge, ohmsAt, type TestResult } from './testResult'

/** [memory] ohms below which no crankcase heater lies: 200 W at 120 V has 72. */
const SHORTED_OHMS = 20
/** [practice] what an ammeter shows where nothing flows, A. */
const NO_CURRENT = 0.02

/** Volts at the unit, where they were measured. */
const voltsMeasured = (unit: UnitPlate, { values }: Snapshot): number | undefined =>
  (values.voltageL1L2 ?? (isThreePhase(unit) ? undefined : values.voltageRunning))?.value

/** Volts that the heater gets: measured while its current is, else those of its plate. */
const voltsNow = (unit: UnitPlate, at: Snapshot): number | undefined =>
  voltsMeasured(unit, at) ?? unit.crankcaseHeater?.volts ?? unit.power?.volts

/** [practice] with less than this share of its volts a heater without current tells of the supply, not of itself. */
const FED_SHARE = 0.5

const open = (sentence: string): TestResult => ({
  word: 'open',
  finding: {
    verdict: 'failed',
    faults: ['crankcase-heater-open'],
    sentence,
    next: 'Volts at the heater with the contactor out; ohms with the power off.',
    nextActs: ['energise'],
  },
})

/** A current at these volts in watts, and the ratings at which that would be a sound heater. */
function inWatts(amps: number, volts: number): string {
  const rated = (at: number) => `${((amps / volts) * at * at).toFixed(0)} W at ${at} V`
  return `${amps} A at ${volts.toFixed(0)} V is ${(amps * volts).toFixed(0)} W now: a sound ${rated(230)} or ${rated(240)}`
}

function byAmps(unit: UnitPlate, at: Snapshot, amps: number): TestResult | undefined {
  const volts = voltsNow(unit, at)
  const { watts } = unit.crankcaseHeater ?? {}
  const rated = unit.crankcaseHeater?.volts ?? unit.power?.volts
  if (amps <= NO_CURRENT) {
    const expected =
      watts && rated && volts ? ` (expected ${heaterAmps(watts, rated, volts).toFixed(2)} A)` : ''
    const sentence = `No current${expected}: the heater or its circuit is open.`
    const measured = voltsMeasured(unit, at)
    if (measured === undefined) return { ...open(sentence), word: 'no-current' }
    return measured < FED_SHARE * (rated ?? measured) ? undefined : open(sentence)
  }
  if (!volts) return undefined
  if (!watts || !rated) {
    // Without watts only open and shorted can be told.
    const finding: Finding = {
      verdict: 'good',
      faults: [],
      sentence: `${inWatts(amps, volts)}. It is not open; its watts are not on the plate, so no more is judged.`,
    }
    return { word: 'good', finding }
  }
  const finding = judgeHeater(amps, heaterAmps(watts, rated, volts))
  const word = { good: 'good', suspect: 'off-rating', failed: 'open', unclear: 'good' }[finding.verdict]
  return { word, finding: { ...finding, sentence: `${finding.sentence} ${inWatts(amps, volts)}.` } }
}

function byOhms(unit: UnitPlate, ohms: number): TestResult | undefined {
  if (!Number.isFinite(ohms)) return open('The heater reads open.')
  const shown = showWindingOhms(ohms)
  const result = (word: string, verdict: Finding['verdict'], sentence: string): TestResult => ({
    word,
    finding: { verdict, faults: [], sentence },
  })
  if (ohms < SHORTED_OHMS)
    return result('off-rating', 'suspect', `The heater reads ${shown}: shorted, or the leads touch.`)
  const { watts } = unit.crankcaseHeater ?? {}
  const rated = unit.crankcaseHeater?.volts ?? unit.power?.volts
  if (!watts || !rated)
    return result(
      'good',
      'good',
      `The heater reads ${shown}: neither open nor shorted; its watts are not known.`,
    )
  const expected = rated ** 2 / watts
  const finding = judgeHeater(rated / ohms, rated / expected)
  const word = finding.verdict === 'good' ? 'good' : 'off-rating'
  return { word, finding: { ...finding, sentence: `${shown}, expected ${showWindingOhms(expected)}.` } }
}

/** The crankcase heater by its amps at the volts measured, else by its ohms; silent where neither tells anything. */
export const heater: Judge = (unit, at) => {
  const amps = at.values.crankcaseHeaterAmps?.value
  const judged = amps === undefined ? undefined : byAmps(unit, at, amps)
  if (judged) return judged
  const ohms = ohmsAt(at, 'crankcaseHeaterOhms')
  return ohms === undefined ? undefined : byOhms(unit, ohms)
}
