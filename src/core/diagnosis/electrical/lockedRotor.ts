import type { Finding } from './finding'
import { good, unclear } from './finding'

export type StartAttempt = {
  readonly inrushAmps: number
  readonly lra: number
  readonly trips: boolean
  /** V on the load side of the contactor while starting, and the plate's */
  readonly startingVolts: number
  readonly plateVolts: number
  /** run and start gear proven good */
  readonly gearProven: boolean
  readonly phase: 1 | 3
  /** all three phases present and in sequence (three-phase) */
  readonly phasesProven?: boolean
  /** one attempt with a hard-start kit was made (single-phase) */
  readonly hardStartTried?: boolean
}

/** [practice] locked current is near the plate's; volts must hold while it draws. */
const NEAR_LOCKED = 0.75
const HOLDS = 0.9
const NO_CURRENT = 0.05

/** Judges a start attempt. Whatever is not proven is asked for before the compressor is called locked. */
export function judgeStart(attempt: StartAttempt): Finding {
  const { inrushAmps, lra, trips, startingVolts, plateVolts } = attempt
  if (!(lra > 0) || !(inrushAmps >= 0))
    return unclear('Inrush or locked-rotor amps are missing.', 'Locked-rotor amps stand on the plate.')
  if (inrushAmps < NO_CURRENT * lra) {
    return {
      verdict: 'suspect',
      faults: ['compressor-overload-open', 'compressor-open-winding', 'control-open'],
      sentence: 'No current on a start: an open overload, an open winding, or no volts at the terminals.',
      next: 'Ohms of the windings with the power off; volts on the load side of the contactor.',
      nextActs: ['energise'],
    }
  }
  if (!trips || inrushAmps < NEAR_LOCKED * lra)
    return good(`It starts: ${inrushAmps} A of ${lra} A locked, then falls.`)
  if (startingVolts < HOLDS * plateVolts) {
    return {
      verdict: 'suspect',
      faults: ['supply-fault', 'contactor-failed'],
      sentence: `Volts fall to ${startingVolts} V while starting: the motor is not given a chance.`,
      next: 'Supply, wire and contacts under load.',
      nextActs: ['start', 'energise'],
    }
  }
  return stuck(attempt)
}

function stuck({ phase, gearProven, phasesProven, hardStartTried, inrushAmps, lra }: StartAttempt): Finding {
  const start = `Inrush stays at ${inrushAmps} A of ${lra} A locked and trips; volts hold.`
  if (phase === 1 && !gearProven) {
    return {
      verdict: 'suspect',
      faults: ['start-gear-failed', 'compressor-locked-rotor'],
      sentence: start,
      next: 'Prove capacitors and relay first.',
    }
  }
  if (phase === 1 && !hardStartTried) {
    return {
      verdict: 'suspect',
      faults: ['compressor-locked-rotor'],
      sentence: start,
      next: 'One attempt with a hard-start kit: a test as much as a repair.',
      nextActs: ['start', 'energise'],
    }
  }
  if (phase === 3 && !phasesProven) {
    return {
      verdict: 'suspect',
      faults: ['supply-fault', 'compressor-locked-rotor'],
      sentence: start,
      next: 'All three phases present and in sequence?',
      nextActs: ['energise'],
    }
  }
  return {
    verdict: 'failed',
    faults: ['compressor-locked-rotor'],
    sentence: `${start} Gear and supply are proven: locked.`,
  }
}
