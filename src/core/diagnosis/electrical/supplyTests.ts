import { isThreePhase } from '../../record/equipment/kinds'
import type { ReadingKey } from '../../record/readings/vocabulary'
import type { Finding } from './finding'
import { judgeStart } from './lockedRotor'
import { judgeSupply, unbalance } from './supply'
import { allOf, type Judge, NO_AMPS, type TestResult } from './testResult'

/** [practice] unbalance that is looked into; a pair so far below the others has lost its phase. */
const UNBALANCED = 0.02
/** [memory] a meter of 1 % reads sound lines this much apart now and then. */
const METER_APART = 0.015
const LOST = 0.7
const NO_VOLTS = 0.2

function supplyWord(volts: readonly number[], plate: number, finding: Finding): string {
  if (finding.verdict === 'good') return 'good'
  const most = Math.max(...volts)
  if (most < NO_VOLTS * plate) return 'no-volts'
  if (Math.min(...volts) < LOST * most) return 'phase-lost'
  const apart = volts.length === 3 ? unbalance(volts) : 0
  return apart > UNBALANCED + METER_APART ? 'unbalanced' : apart > UNBALANCED ? 'near-limit' : 'off-plate'
}

/** One dead pair tells before the others are read. */
function deadPair(read: readonly number[], plate: number): TestResult | undefined {
  const least = Math.min(...read)
  if (!(least < NO_VOLTS * plate)) return undefined
  const word = Math.max(...read) < NO_VOLTS * plate ? 'no-volts' : 'phase-lost'
  const finding: Finding = {
    verdict: 'failed',
    faults: ['supply-fault'],
    sentence: `A pair of lines reads ${least.toFixed(0)} V: no volts, or a phase is lost.`,
    next: 'Read the other pairs; ohms to ground before a breaker is reset.',
    nextActs: ['energise'],
  }
  return { word, finding }
}

/** Volts at the unit against its plate. */
export const supply: Judge = (unit, at) => {
  const plate = unit.power?.volts
  if (!plate) return undefined
  const keys: readonly ReadingKey[] = isThreePhase(unit)
    ? ['voltageL1L2', 'voltageL2L3', 'voltageL3L1']
    : ['voltageL1L2']
  const read = keys.map((key) => at.values[key]?.value)
  const volts = allOf(read)
  if (!volts)
    return deadPair(
      read.flatMap((value) => value ?? []),
      plate,
    )
  const finding = judgeSupply(volts, plate)
  return finding.verdict === 'unclear' ? undefined : { word: supplyWord(volts, plate, finding), finding }
}

/** [practice] a leg below this share of the strongest carries nothing; amps may differ ten times as much as volts. */
const LEG_MISSING = 0.1
const AMPS_UNBALANCED = 0.1
const shown = (amps: readonly number[]) => amps.map((value) => value.toFixed(1)).join(', ')

/** Amps on every leg with a call. */
export const legAmps: Judge = (unit, at) => {
  const rated = unit.power?.rla
  if (!rated) return undefined
  const legs = isThreePhase(unit)
    ? allOf([at.values.ampsL1?.value, at.values.ampsL2?.value, at.values.ampsL3?.value])
    : allOf([at.values.compressorAmps?.value ?? at.values.ampsL1?.value])
  if (!legs) return undefined
  const most = Math.max(...legs)
  const result = (word: string, verdict: Finding['verdict'], sentence: string): TestResult => ({
    word,
    finding: { verdict, faults: [], sentence },
  })
  if (most < NO_AMPS * rated)
    return result(
      'none',
      'suspect',
      'No current: an open overload, an open winding, or no volts at the terminals.',
    )
  if (legs.length === 3 && Math.min(...legs) < LEG_MISSING * most)
    return result('leg-missing', 'failed', `One leg carries nothing (${shown(legs)} A): single-phasing.`)
  if (legs.length === 3 && unbalance(legs) > AMPS_UNBALANCED)
    return result(
      'unbalanced',
      'suspect',
      `Leg amps differ by ${(100 * unbalance(legs)).toFixed(0)} % (${shown(legs)} A).`,
    )
  return result('good', 'good', `Current on every leg (${shown(legs)} A).`)
}

const START_WORD: Readonly<Record<Finding['verdict'], string>> = {
  good: 'starts',
  suspect: 'stays-locked',
  failed: 'stays-locked',
  unclear: 'starts',
}

/** Inrush and volts during one start. */
export const startAttempt: Judge = (unit, at) => {
  const { lra, volts: plateVolts, phase = 1 } = unit.power ?? {}
  const inrush = at.values.inrushAmps?.value
  const { compressorState, startGear, hardStart, phaseSequence } = at.observations
  if (!lra || inrush === undefined || compressorState === undefined) return undefined
  const startingVolts = at.values.voltageRunning?.value ?? plateVolts ?? 0
  const finding = judgeStart({
    inrushAmps: inrush,
    lra,
    trips: compressorState === 'hums-and-trips' || compressorState === 'trips-breaker',
    startingVolts,
    plateVolts: plateVolts ?? startingVolts,
    gearProven: startGear === 'proven',
    phase,
    phasesProven: phaseSequence === 'correct',
    hardStartTried: hardStart !== undefined,
  })
  if (inrush < NO_AMPS * lra) return { word: 'no-current', finding }
  const sags = finding.faults.includes('supply-fault') && startingVolts < 0.9 * (plateVolts ?? startingVolts)
  return { word: sags ? 'locked-volts-sag' : START_WORD[finding.verdict], finding }
}
