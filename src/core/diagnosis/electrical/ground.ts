import { type Finding, good } from './finding'

export type GroundReading = {
  readonly instrument: 'ohmmeter' | 'insulation-tester'
  /** ohms to bare copper on the shell; Infinity for open */
  readonly ohms: number
  /** where it was measured: leads still on, or at the compressor's own terminals with the leads off */
  readonly at: 'contactor' | 'terminals'
  /** circuit under vacuum: an insulation tester would arc */
  readonly underVacuum?: boolean
  readonly hotOrFlooded?: boolean
}

/** [practice] an ordinary ohm meter sees nothing above this; [memory] limits of an insulation tester, ohms. */
const OHMMETER_SEES = 2e7
const FAILED_OHMS = 5e5
const GOOD_OHMS = 2e7

const megohm = (ohms: number) => (Number.isFinite(ohms) ? `${(ohms / 1e6).toPrecision(2)} Mohm` : 'open')

/** Judges a reading from a winding to ground; power off and proven dead, capacitors discharged through a resistor first. */
export function judgeGround(reading: GroundReading): Finding {
  const { instrument, ohms, at, underVacuum, hotOrFlooded } = reading
  if (instrument === 'insulation-tester' && underVacuum) {
    return {
      verdict: 'unclear',
      faults: [],
      sentence: 'Under vacuum an insulation tester arcs inside the shell.',
      next: 'Break the vacuum with dry nitrogen first.',
    }
  }
  const limit = instrument === 'ohmmeter' ? OHMMETER_SEES : FAILED_OHMS
  if (ohms < limit) return grounded(ohms, at)
  if (instrument === 'ohmmeter') return good('No path to ground on an ohm meter.')
  if (ohms >= GOOD_OHMS) return good(`${megohm(ohms)} to ground: good.`)
  return {
    verdict: 'suspect',
    faults: [],
    sentence: `${megohm(ohms)} to ground: moisture or contamination${hotOrFlooded ? ', or only heat or liquid in the windings' : ''}.`,
    next: 'Clean the circuit up, let it run warm, and test again.',
  }
}

/** A ground seen from the contactor may be a lead that has rubbed through. */
function grounded(ohms: number, at: GroundReading['at']): Finding {
  if (at === 'terminals') {
    return {
      verdict: 'failed',
      faults: ['compressor-grounded'],
      sentence: `${megohm(ohms)} to ground at the compressor’s own terminals, leads off: grounded.`,
    }
  }
  return {
    verdict: 'suspect',
    faults: ['wire-rubbed-to-ground', 'compressor-grounded'],
    sentence: `${megohm(ohms)} to ground from the contactor: a lead or the compressor.`,
    next: 'Recover or take the pressure off, take the leads off and measure at the compressor’s own terminals: a damaged terminal can blow out.',
  }
}
