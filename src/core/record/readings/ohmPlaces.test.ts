import type { Job } from '../job/job'
import { emptyJob } from '../job/job'
import { observe, putReading, replaceReading } from '../edits/readingEdits'
import type { Edit } from '../edits/edit'
import { ohmPlaceOf, windingsPlace, withPlaces } from './ohmPlaces'
import type { Observations, Readings } from './schema'

const ohm = (value: number) => ({ value, unit: 'ohm' as const })
const MINUTE = 60_000
const START = Date.parse('2026-11-20T09:00:00Z')

/** Edits of one set, each so many minutes after the first. */
function after(...steps: readonly (readonly [minutes: number, edit: Edit])[]) {
  const begun: Job = {
    ...emptyJob({ kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }),
    readingSets: [{ id: 'a', mode: 'off', readings: {} }],
  }
  const job = steps.reduce(
    (now, [minutes, edit]) =>
      edit(now, { now: new Date(START + minutes * MINUTE).toISOString(), id: 'x' } as never),
    begun,
  )
  return job.readingSets[0]!
}
const typed = (value: number) => replaceReading('a', 'ohmsToGround', ohm(value))
const said = (place: 'contactor' | 'terminals') => observe('a', 'groundMeasuredAt', place)

test('a reading keeps the place that was said when it was taken; the word alone moves nothing', () => {
  const relabelled = after([0, said('contactor')], [1, typed(300)], [2, said('terminals')])
  expect(relabelled.readings.ohmsToGround).toMatchObject({ value: 300, place: 'contactor' })
  const again = after([0, said('contactor')], [1, typed(300)], [2, said('terminals')], [9, typed(280)])
  expect(again.readings.ohmsToGround).toMatchObject({
    value: 280,
    place: 'terminals',
    before: [{ value: 300, place: 'contactor' }],
  })
})

test.each([
  [9, 'terminals'],
  [10, 'terminals'],
  [10.1, 'contactor'],
] as const)('a place said for the first time %s minutes after the reading: %s', (minutes, place) => {
  expect(after([0, typed(300)], [minutes, said('terminals')]).readings.ohmsToGround!.place).toBe(place)
})

test('typed at the pad it is placed as well, and a pair does not take the place of the ground', () => {
  const set = after([0, said('terminals')], [1, putReading('a', 'ohmsCR', ohm(1))], [2, typed(5e7)])
  expect(set.readings.ohmsCR!.place).toBeUndefined()
  expect(set.readings.ohmsToGround!.place).toBe('terminals')
})

test('windings are of the terminals only where every pair is', () => {
  const there = { ...ohm(1), place: 'terminals' as const }
  const pairs: Readings = { ohmsCR: there, ohmsCS: there, ohmsRS: there }
  expect(windingsPlace(pairs, {})).toBe('terminals')
  expect(windingsPlace({ ...pairs, ohmsRS: { ...ohm(2), place: 'contactor' } }, {})).toBe('contactor')
  expect(windingsPlace({ ohmsToGround: there }, {})).toBeUndefined()
})

test('of a file without places the word of the set speaks, else the contactor', () => {
  const word: Observations = { groundMeasuredAt: 'terminals' }
  expect(ohmPlaceOf('ohmsToGround', ohm(1), word)).toBe('terminals')
  expect(ohmPlaceOf('ohmsToGround', ohm(1), {})).toBe('contactor')
})

test('what nobody had placed came from the contactor, whatever a later set says', () => {
  const readings: Readings = { ohmsToGround: ohm(300) }
  expect(withPlaces(readings, {}, { groundMeasuredAt: 'terminals' }).ohmsToGround!.place).toBe('contactor')
  expect(withPlaces(readings, {})).toBe(readings)
})
