import { toSI } from '../../base/units/convert'
import type { Snapshot } from '../../record/readings/snapshot'
import { ohmPlaceOf } from '../../record/readings/ohmPlaces'
import { stood } from '../../record/readings/atRest'
import type { Finding } from './finding'
import { judgeGround, OHMMETER_SEES } from './ground'
import type { Judge, TestResult } from './testResult'

type Words = Readonly<Record<Finding['verdict'], string>>
const AT_CONTACTOR: Words = { good: 'none', suspect: 'weak', unclear: 'weak', failed: 'at-contactor' }
const AT_TERMINALS: Words = { good: 'none', suspect: 'weak', unclear: 'weak', failed: 'grounded' }

const isVacuum = ({ values, atmosphere }: Snapshot) =>
  (values.standingPressure?.value ?? values.standingSuctionPressure?.value ?? atmosphere) < atmosphere

function judged(at: Snapshot, ohms: number, place: 'contactor' | 'terminals'): Finding {
  const { groundInstrument = 'ohmmeter', compressorShell, groundPath } = at.observations
  return judgeGround({
    instrument: groundInstrument,
    ohms,
    at: place,
    underVacuum: isVacuum(at),
    hotOrFlooded: compressorShell === 'hot' || !stood(at),
    ...(groundPath ? { path: groundPath } : {}),
  })
}

const resultOf = (finding: Finding, words: Words): TestResult => ({
  word: finding.faults.length > 0 ? words.failed : words[finding.verdict],
  finding,
})

/** The reading from the contactor: the one that stands, or the one before it where it was repeated at the terminals. */
function fromContactor(at: Snapshot): number | undefined {
  const reading = at.raw.ohmsToGround
  if (ohmPlaceOf('ohmsToGround', reading, at.observations) === 'contactor')
    return at.values.ohmsToGround?.value
  const earlier = reading?.before?.findLast(({ place }) => place !== 'terminals')
  const ohms = earlier && toSI({ value: earlier.value, unit: earlier.unit })
  // What was read before at another place says something only where it was a ground.
  return ohms !== undefined && ohms < OHMMETER_SEES ? ohms : undefined
}

/** The reading at the terminals: the one that stands, or the last one there before it was repeated from the contactor. */
function atTerminals(at: Snapshot): number | undefined {
  const reading = at.raw.ohmsToGround
  if (ohmPlaceOf('ohmsToGround', reading, at.observations) === 'terminals')
    return at.values.ohmsToGround?.value
  const earlier = reading?.before?.findLast(({ place }) => place === 'terminals')
  return earlier && toSI({ value: earlier.value, unit: earlier.unit })
}

/** Ohms to ground from the contactor end: a lead, a neighbour on the contactor, or the compressor. */
export const groundFromContactor: Judge = (_unit, at) => {
  const ohms = fromContactor(at)
  return ohms === undefined ? undefined : resultOf(judged(at, ohms, 'contactor'), AT_CONTACTOR)
}

/** Ohms to ground at the compressor's own terminals, leads off: the compressor alone. */
export const groundAtTerminals: Judge = (_unit, at) => {
  const ohms = atTerminals(at)
  if (ohms === undefined) return undefined
  return resultOf(judged(at, ohms, 'terminals'), AT_TERMINALS)
}
