import { MINUTE } from '../../base/units/time'
import type { Unit } from '../../base/units/units'
import type { Job } from '../job/job'
import { type EarlierReading, MOST_REPEATS, type Observations, type Reading } from '../readings/schema'
import { ohmPlaceOf, placeWordOf, readingsOfPlaceWord } from '../readings/ohmPlaces'
import { isStateWord } from '../readings/stateWords'
import type { ReadingKey } from '../readings/vocabulary'
import type { JobSet } from '../records/set'
import type { ObservationValue, PlacedKey } from '../readings/observations'
import { placesOf, withPlace } from '../readings/places'
import { type Edit, edit, put } from './edit'
import { editSet, type SetRef } from './setEdits'

/** The same value typed so long after is another measurement, not a correction. */
const ANOTHER_TIME = MINUTE
const isLater = (first: string | undefined, second: string | undefined): boolean =>
  first !== undefined && second !== undefined && Date.parse(second) - Date.parse(first) > ANOTHER_TIME

/** The new reading of a tap with what the tap read before in this set. */
export function repeated(reading: Reading, original: Reading | undefined): Reading {
  if (!original) return reading
  const { value, unit, at, place, before = [], note } = original
  const isSame =
    value === reading.value &&
    unit === reading.unit &&
    !isLater(at, reading.at) &&
    (place === reading.place || place === undefined)
  const old: EarlierReading = { value, unit, ...(at ? { at } : {}), ...(place ? { place } : {}) }
  const earlier = isSame ? before : [...before, old].slice(-MOST_REPEATS)
  return {
    ...reading,
    ...(earlier.length > 0 ? { before: earlier } : {}),
    ...(note ? { note } : {}),
  }
}

type Typed = { readonly value: number; readonly unit: Unit }

/** Where it is measured, as it is said now; nothing where nobody has said it yet. */
function placeNow(
  { observations = {} }: Pick<JobSet, 'observations'>,
  key: ReadingKey,
): Pick<Reading, 'place'> {
  const word = placeWordOf(key)
  const place = word && observations[word]
  return place ? { place } : {}
}

/**
 * A reading typed at its tap; undefined clears it.
 * @param original what the tap held when it was opened: it goes into the history once, not at every letter
 */
export const putReading = (
  setId: SetRef,
  key: ReadingKey,
  typed: Typed | undefined,
  original?: Reading,
): Edit =>
  editSet(setId, (set, { now }) => {
    const reading = typed && repeated({ ...typed, at: now, source: 'typed', ...placeNow(set, key) }, original)
    // a note may have been written while the tap was open
    const held = set.readings[key]
    if (reading && held) put(reading, 'note', held.note)
    put(set.readings, key, reading)
  })

/** A reading typed over whatever the tap holds now. */
export const replaceReading = (setId: SetRef, key: ReadingKey, typed: Typed): Edit =>
  editSet(setId, (set, { now }) => {
    const reading: Reading = { ...typed, at: now, source: 'typed', ...placeNow(set, key) }
    set.readings[key] = repeated(reading, set.readings[key])
  })

/** Readings from instruments or from a log; what a tap read before goes into its history. */
export const captureReadings = (setId: SetRef, readings: readonly (readonly [ReadingKey, Reading])[]): Edit =>
  editSet(setId, (set) => {
    for (const [key, reading] of readings) set.readings[key] = repeated(reading, set.readings[key])
  })

/** Whether the technician doubts a reading; one that is not there is not marked. */
export const markDoubtful = (setId: SetRef, key: ReadingKey, doubtful: boolean): Edit =>
  editSet(setId, (set) => {
    const reading = set.readings[key]
    if (reading) put(reading, 'doubtful', doubtful || undefined)
  })

/** A note on a reading that is there. */
export const noteReading = (setId: SetRef, key: ReadingKey, note: string): Edit =>
  editSet(setId, (set) => {
    const reading = set.readings[key]
    if (reading) put(reading, 'note', note || undefined)
  })

type Observed = string | number | undefined

/** The moment of a word that says how the unit stands; of other words the set's own is enough. */
function putMoment(set: JobSet, key: string, now: string | undefined) {
  if (!isStateWord(key)) return
  const seenAt = { ...set.seenAt }
  put(seenAt as Record<string, unknown>, key, now)
  put(set, 'seenAt', Object.keys(seenAt).length > 0 ? seenAt : undefined)
}

/** [practice] a place that is said within so long of a reading is that reading's. */
const SAID_WITH_IT = 10 * MINUTE

/**
 * A place that is said anew is that of what is measured from now on: what was read before keeps its own. What nobody had
 * placed was just measured, or came from the contactor.
 */
function keepPlaces(set: JobSet, word: string, value: Observed, now: string) {
  for (const key of readingsOfPlaceWord(word)) {
    const reading = set.readings[key]
    if (!reading || reading.place) continue
    const before = ohmPlaceOf(key, reading, set.observations ?? {})
    const isUnsaid = set.observations?.[word as keyof Observations] === undefined
    const isFresh = reading.at !== undefined && Date.parse(now) - Date.parse(reading.at) <= SAID_WITH_IT
    reading.place = isUnsaid && isFresh && value === 'terminals' ? 'terminals' : before
  }
}

function putObservation(set: JobSet, key: keyof Observations, value: Observed, now: string) {
  keepPlaces(set, key, value, now)
  const observations = { ...set.observations }
  put(observations as Record<string, unknown>, key, value)
  put(set, 'observations', Object.keys(observations).length > 0 ? observations : undefined)
  putMoment(set, key, value === undefined ? undefined : now)
}

/** What was seen, heard or tried, in a word; undefined takes it back. */
export const observe = (setId: SetRef, key: keyof Observations, value: Observed): Edit =>
  editSet(setId, (set, { now }) => putObservation(set, key, value, now))

function putPlaces(set: JobSet, key: PlacedKey, [first, ...rest]: readonly string[], now: string) {
  putObservation(set, key, first, now)
  const also = { ...set.also }
  put(also as Record<string, unknown>, key, rest.length > 0 ? rest : undefined)
  put(set, 'also', Object.keys(also).length > 0 ? also : undefined)
}

/** Puts a place to those at which something is seen, or takes it away. */
export const togglePlace = <K extends PlacedKey>(setId: SetRef, key: K, word: ObservationValue<K>): Edit =>
  editSet(setId, (set, { now }) => putPlaces(set, key, withPlace(placesOf(set, key), word), now))

/** Puts a word on the latest set and takes other words for it off the earlier ones, so that the answer is one. */
export const observeLatest = (key: keyof Observations, value: Observed): Edit => {
  const onLast = observe(undefined, key, value)
  return edit((draft, stamp) => {
    const { readingSets } = onLast(draft as Job, stamp)
    draft.readingSets = readingSets as typeof draft.readingSets
    for (const set of draft.readingSets.slice(0, -1))
      if (set.observations?.[key] !== undefined) putObservation(set as JobSet, key, undefined, stamp.now)
  })
}

/** Points that are at the same time words of the diagnosis. */
const WORD_OF: Readonly<Record<string, keyof Observations>> = {
  'contactor-load': 'loadVolts',
  'contactor-coil': 'controlVolts',
}
const AFTER = { untested: 'live', live: 'dead', dead: undefined } as const

/** Steps a point of the way to a load on: untested, live, dead, untested; the word of the diagnosis goes along. */
export const togglePoint = (setId: SetRef, point: string): Edit =>
  editSet(setId, (set, { now }) => {
    const next = AFTER[set.points?.[point] ?? 'untested']
    const points = { ...set.points }
    put(points, point, next)
    put(set, 'points', Object.keys(points).length > 0 ? points : undefined)
    const word = WORD_OF[point]
    if (word) putObservation(set, word, next, now)
  })
