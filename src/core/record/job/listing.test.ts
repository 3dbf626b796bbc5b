import { EVERYTHING, findJobs, type Listed, placesIn, type Wanted } from './listing'

const NOW = Date.parse('2026-05-04T09:30:00Z')
const job = (
  id: string,
  updatedAt: string,
  summary: Listed['summary'],
  progress: Listed['progress'] = 'measure',
) => ({ id, updatedAt, progress, summary }) satisfies Listed
const JOBS = [
  job('a', '2026-05-04T08:00:00Z', {
    title: 'Dome split 10',
    siteName: 'Dome',
    refrigerant: 'R-22',
    createdAt: '2026-05-01T00:00:00Z',
  }),
  job(
    'b',
    '2026-05-03T08:00:00Z',
    { title: 'Café walk-in', siteName: 'Lodge', complaint: 'Leaks oil', createdAt: '2026-05-03T00:00:00Z' },
    'close',
  ),
  job('c', '2025-01-03T08:00:00Z', {
    title: 'Dome split 9',
    siteName: 'Dome',
    refrigerant: 'R-410A',
    createdAt: '2025-01-01T00:00:00Z',
  }),
]
const ids = (wanted: Partial<Wanted>) =>
  findJobs(JOBS, { ...EVERYTHING, ...wanted }, NOW, 'UTC').map(({ id }) => id)

test.each([
  ['nothing: everything, last changed first', {}, ['a', 'b', 'c']],
  ['every word somewhere', { words: 'dome SPLIT' }, ['a', 'c']],
  ['a number inside a name', { words: '22' }, ['a']],
  ['a name without its dash', { words: 'r410a' }, ['c']],
  ['letters without their marks', { words: 'cafe' }, ['b']],
  ['the complaint', { words: 'leak' }, ['b']],
  ['what is nowhere', { words: 'harbour' }, []],
  ['a stage', { stage: 'close' }, ['b']],
  ['a place', { place: 'Dome' }, ['a', 'c']],
  ['today at the site', { period: 0 }, ['a']],
  ['a week', { period: 7 }, ['a', 'b']],
  ['last begun first', { sort: 'begun' }, ['b', 'a', 'c']],
  ['by name, numbers as numbers', { sort: 'name' }, ['b', 'c', 'a']],
  ['all at once', { words: 'dome', place: 'Dome', period: 30, sort: 'name' }, ['a']],
] as const)('finds %s', (_name, wanted, found) => {
  expect(ids(wanted as Partial<Wanted>)).toEqual(found)
})

test('the places are those of the jobs, each once', () => {
  expect(placesIn(JOBS)).toEqual(['Dome', 'Lodge'])
})
