import { OBSERVATION_KEYS, type ObservationKey, observationRow } from '../readings/observations'
import { isReadingKey, readingRow } from '../readings/vocabulary'
import type { KindName } from './kinds'

const KIND_WORDS: Readonly<Record<KindName, string>> = {
  head: 'plate and call',
  set: 'reading set',
  decision: 'decision',
  tick: 'tick',
  closing: 'closing record',
  repair: 'figures of the repair',
  day: 'plan of the day',
  dryer: 'dryer of the store',
  round: 'round',
  run: 'record of the work',
  step: 'step of the work',
  takenOff: 'part that came off',
  log: 'log',
  attachment: 'photo',
}

const spaced = (word: string) => word.replace(/([A-Z])/g, ' $1').toLowerCase()
const isObservation = (word: string): word is ObservationKey =>
  (OBSERVATION_KEYS as readonly string[]).includes(word)

/** A place of a record in words: "suction pressure", "complaint", "reading set". */
export function placeText(kind: KindName, path: readonly string[]): string {
  const [first, second] = path
  if (first === undefined) return KIND_WORDS[kind]
  if (first === 'readings' && second !== undefined && isReadingKey(second))
    return readingRow(second).label.toLowerCase()
  if (first === 'observations' && second !== undefined && isObservation(second))
    return observationRow(second).label.toLowerCase()
  return spaced(path.at(-1) as string)
}
