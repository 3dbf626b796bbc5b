import { type Finding, good } from './finding'
import { showOhms } from './showOhms'

export type GroundReading = {
  readonly instrument: 'ohmmeter' | 'insulation-tester'
  /** ohms to bare copper on the shell; Infinity for open */
  readonly ohms: number
  /** where it was measured: leads still on, or at the compressor's own terminals with the leads off */
  readonly at: 'contactor' | 'terminals'
  /** circuit under vacuum: an insulation tester would arc */
  readonly underVacuum?: boolean
  readonly hotOrFlooded?: boolean
  /** in what the ground stayed when each was taken off the contactor and measured alone */
  readonly path?: 'compressor-side' | 'fan-motor' | 'crankcase-heater'
}

/** [practice] an ordinary ohm meter sees nothing above this; [memory] limits of an insulation tester, ohms. */
export const OHMMETER_SEES = 2e7
const FAILED_OHMS = 5e5
const GOOD_OHMS = 2e7

/** Judges a reading from a winding to ground; power off and proven dead, capacitors discharged through a resistor first. */
export function judgeGround(reading: GroundReading): Finding {
  const { instrument, ohms, underVacuum, hotOrFlooded } = reading
  if (instrument === 'insulation-tester' && underVacuum) {
    return {
      verdict: 'unclear',
      faults: [],
      sentence: 'Under vacuum an insulation tester arcs inside the shell.',
      next: 'Break the vacuum with dry nitrogen to above 0 psig first, or use an ohm meter.',
    }
  }
  const limit = instrument === 'ohmmeter' ? OHMMETER_SEES : FAILED_OHMS
  if (ohms < limit) return grounded(reading)
  if (instrument === 'ohmmeter') return good('No path to ground on an ohm meter.')
  if (ohms >= GOOD_OHMS) return good(`${showOhms(ohms)} to ground: good.`)
  return {
    verdict: 'suspect',
    faults: [],
    sentence: `${showOhms(ohms)} to ground: moisture or contamination${hotOrFlooded ? ', or only heat or liquid in the windings' : ''}.`,
    next: 'Clean the circuit up, let it run warm, and test again.',
  }
}

/** Where the ground was found when the neighbours on the contactor were disconnected. */
const IN_NEIGHBOUR = {
  'fan-motor': ['fan-motor-grounded', 'the fan motor'],
  'crankcase-heater': ['crankcase-heater-grounded', 'the crankcase heater'],
} as const

/** A ground seen from the contactor is the compressor, a lead that has rubbed through, or a neighbour on the contactor. */
function grounded({ ohms, at, path }: GroundReading): Finding {
  if (at === 'terminals') {
    return {
      verdict: 'failed',
      faults: ['compressor-grounded'],
      sentence: `${showOhms(ohms)} to ground at the compressor’s own terminals, leads off: grounded.`,
    }
  }
  if (path === 'fan-motor' || path === 'crankcase-heater') {
    const [fault, name] = IN_NEIGHBOUR[path]
    return {
      verdict: 'failed',
      faults: [fault],
      sentence: `${showOhms(ohms)} to ground from the contactor, and it stays in ${name} when each is measured alone: ${name} is grounded, not the compressor.`,
      next: `Replace ${name}, then measure the whole contactor to ground again before any power.`,
    }
  }
  return {
    verdict: 'suspect',
    faults: ['compressor-grounded', 'wire-rubbed-to-ground', 'fan-motor-grounded'],
    sentence: `${showOhms(ohms)} to ground from the contactor: the compressor, a lead, or a neighbour on the contactor.`,
    next:
      path === 'compressor-side'
        ? 'Recover or take the pressure off, take the leads off and measure at the compressor’s own terminals: a damaged terminal can blow out.'
        : 'Power stays off. Disconnect the fan motor and the crankcase heater at the contactor, take the compressor leads off it, and measure each alone.',
  }
}
