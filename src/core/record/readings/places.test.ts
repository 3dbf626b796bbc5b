import { setSchema } from '../records/set'
import { addSet } from '../edits/setEdits'
import { observe, togglePlace } from '../edits/readingEdits'
import { emptyJob, type Job } from '../job/job'
import { placesOf, withPlace } from './places'

const stamp = { now: '2026-05-04T09:00:00Z', newId: () => 'first' }
const start: Job = emptyJob({ kind: 'split-ac', refrigerant: 'R-22', metering: 'txv' })
type Word = Parameters<typeof togglePlace<'oilStain'>>[2]
const tapped = (...words: readonly Word[]) =>
  words.reduce((job, word) => togglePlace(undefined, 'oilStain', word)(job, stamp), start)
const places = (job: Job) => placesOf(job.readingSets.at(-1)!, 'oilStain')

test.each([
  [['joint'], ['joint']],
  [
    ['joint', 'valve-stem'],
    ['joint', 'valve-stem'],
  ],
  [['joint', 'valve-stem', 'joint'], ['valve-stem']],
  [['joint', 'none'], ['none']],
  [['none', 'joint'], ['joint']],
  [['joint', 'joint'], []],
] as const)('tapping %j leaves %j', (words, left) => {
  const job = tapped(...words)
  expect(places(job)).toEqual(left)
  // the first place is the word that everything else reads
  expect(job.readingSets[0]?.observations?.oilStain).toBe(left[0])
  expect(setSchema.safeParse(job.readingSets[0]).success).toBe(true)
})

test('several places go along to the next set; frost does not', () => {
  const frost = togglePlace(undefined, 'frostPattern', 'whole-coil')(tapped('joint', 'valve-stem'), stamp)
  const next = addSet('second')(frost, stamp)
  expect(places(next)).toEqual(['joint', 'valve-stem'])
  expect(placesOf(next.readingSets.at(-1)!, 'frostPattern')).toEqual([])
})

test('a place that no table names is refused', () => {
  const set = { id: 'a', mode: 'off', readings: {}, also: { oilStain: ['the roof'] } }
  expect(setSchema.safeParse(set).success).toBe(false)
})

test('withPlace keeps the order in which places were said', () => {
  expect(withPlace(['joint', 'compressor'], 'line-set')).toEqual(['joint', 'compressor', 'line-set'])
})

test('an indicator that cannot be read is stored', () => {
  const job = observe(undefined, 'moistureIndicator', 'unreadable')(start, stamp)
  expect(setSchema.safeParse(job.readingSets[0]).success).toBe(true)
})
