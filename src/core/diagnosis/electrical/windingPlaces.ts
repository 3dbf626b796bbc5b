import { toSI } from '../../base/units/convert'
import { isThreePhase } from '../../record/equipment/kinds'
import { windingPairs } from '../../record/readings/lasting'
import { ohmPlaceOf, windingsPlace } from '../../record/readings/ohmPlaces'
import { OPEN_OHMS_LEAST } from '../../record/readings/openOhms'
import type { Snapshot } from '../../record/readings/snapshot'
import type { ReadingKey } from '../../record/readings/vocabulary'
import { good } from './finding'
import type { Judge } from './testResult'
import { windings } from './windingTest'

/** What a pair read from the contactor, before it was measured at the terminals; undefined where it was not. */
function fromContactor(at: Snapshot, key: ReadingKey): number | undefined {
  const reading = at.raw[key]
  if (!reading) return undefined
  if (ohmPlaceOf(key, reading, at.observations) === 'contactor') return at.values[key]?.value
  const earlier = reading.before?.findLast(({ place }) => place !== 'terminals')
  return earlier && toSI({ value: earlier.value, unit: earlier.unit })
}

/** Whether a pair read open from the contactor. */
const readOpen = (at: Snapshot, key: ReadingKey): boolean => (fromContactor(at, key) ?? 0) >= OPEN_OHMS_LEAST

/**
 * The pairs at the compressor's own terminals, leads off: bad there clears plug and leads; sound there and open from the
 * contactor convicts them (handbook 13). Silent where they were not measured at the terminals.
 */
export const windingsAtTerminals: Judge = (unit, at) => {
  if (windingsPlace(at.raw, at.observations) !== 'terminals') return undefined
  const found = windings(unit, at)
  if (!found) return undefined
  if (found.word !== 'good')
    return {
      word: 'bad-there',
      finding: {
        verdict: 'failed',
        faults: found.finding.faults,
        sentence: 'Bad at the compressor’s own terminals with the leads off: not the plug, not the leads.',
      },
    }
  if (!windingPairs(isThreePhase(unit)).some((key) => readOpen(at, key)))
    return { word: 'sound', finding: good('Sound at the compressor’s own terminals too.') }
  return {
    word: 'sound-there',
    finding: {
      verdict: 'failed',
      faults: ['terminal-plug-burnt'],
      sentence:
        'Open from the contactor and sound at the compressor’s own terminals: the plug, a connector or a lead is open, not the compressor.',
    },
  }
}
