import { setMode } from '../edits/setEdits'
import { putReading } from '../edits/readingEdits'
import { BROKEN } from '../records/head'
import { BEGINNINGS, beginningOf, begun, firstMode } from './begin'
import { emptyJob } from './job'

const stamp = { now: '2026-05-04T09:00:00Z', newId: () => 'x' }

test.each([
  ['does-not-cool', 'circuit', 'cooling'],
  ['does-not-run', 'bench', 'off'],
  ['trips', 'bench', 'off'],
  ['leaks', 'standing', 'off'],
  ['noise', 'circuit', 'cooling'],
] as const)('"%s" begins at the %s, its first set is read %s', (broken, at, mode) => {
  const job = begun(emptyJob({}), broken, 'walk-in-cooler')
  expect(beginningOf(job.arrival)).toBe(at)
  expect(firstMode(job)).toBe(mode)
  expect(job.arrival?.complaint).toBe(BEGINNINGS[broken].complaint)
  expect(job.unit.kind).toBe('walk-in-cooler')
  const read = putReading(undefined, 'outdoorAirTemp', { value: 95, unit: 'F' })(job, stamp)
  expect(read.readingSets[0]?.mode).toBe(mode)
})

test('what nobody said is not presumed, and the mode stays one tap away', () => {
  const job = begun(emptyJob({}), undefined, undefined)
  expect(job).toEqual(emptyJob({}))
  expect(firstMode(job)).toBe('cooling')
  expect(setMode(undefined, 'off')(job, stamp).readingSets[0]?.mode).toBe('off')
  expect(firstMode(begun(job, undefined, 'pool-heat-pump'))).toBe('heating')
  expect(new Set(BROKEN.map((each) => BEGINNINGS[each].complaint)).size).toBe(BROKEN.length)
})
