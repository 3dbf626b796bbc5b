import type { StoredJob } from '../record/job/job'
import { emptyJob } from '../record/job/job'
import type { JobSet } from '../record/records/set'
import { setPairs, setsAfter, unlikeConditions } from './setPairs'

const K = (value: number) => ({ value, unit: 'K' as const })
const at = (hour: number) => `2026-11-20T${String(hour).padStart(2, '0')}:00:00Z`
const set = (id: string, hour: number | undefined, more: Partial<JobSet> = {}): JobSet => ({
  id,
  mode: 'cooling',
  ...(hour === undefined ? {} : { at: at(hour) }),
  readings: { suctionPressure: { value: 118, unit: 'psig' } },
  ...more,
})
const job = (readingSets: JobSet[], startedAt?: string) =>
  ({
    job: {
      ...emptyJob({ kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }),
      id: 'a',
      createdAt: at(1),
      updatedAt: at(20),
      readingSets,
      ...(startedAt ? { repair: { startedAt } } : {}),
    } as StoredJob,
  }) as const
const DISPLAY = { temperature: 'K' } as const
const ids = (sets: JobSet[], startedAt?: string) =>
  setPairs(job(sets, startedAt), DISPLAY).map(({ before, after }) => [before?.id, after.id])

test('the first set before the start beside the last one after it', () => {
  const sets = [set('found', 8), set('later', 9), set('after', 14), set('last', 15)]
  expect(ids(sets, at(13))).toEqual([['found', 'last']])
})
test('each mode beside its own', () => {
  const sets = [
    set('cool', 8),
    set('heat', 9, { mode: 'heating' }),
    set('heat-after', 14, { mode: 'heating' }),
    set('cool-after', 15),
  ]
  expect(ids(sets, at(13))).toEqual([
    ['cool', 'cool-after'],
    ['heat', 'heat-after'],
  ])
})
test('a set in another mode is no comparison', () => {
  expect(ids([set('cool', 8), set('heat', 14, { mode: 'heating' })], at(13))).toEqual([])
})
test('a unit that did not run has what it does after the repair alone', () => {
  expect(ids([set('dead', 8, { mode: 'off' }), set('after', 14)], at(13))).toEqual([[undefined, 'after']])
})
test('exactly at the start counts as after, a moment before it does not', () => {
  expect(setsAfter(job([set('a', 8), set('b', 13)], at(13))).map(({ id }) => id)).toEqual(['b'])
  expect(setsAfter(job([set('a', 8), set('b', 13)], '2026-11-20T13:00:01Z'))).toEqual([])
})
test('without a start on record the last of several sets is the one after', () => {
  expect(ids([set('a', 8), set('b', 9)])).toEqual([['a', 'b']])
  expect(ids([set('a', undefined), set('b', undefined)])).toEqual([['a', 'b']])
  expect(ids([set('a', 8)])).toEqual([])
})

const conditions = (kelvin: number): JobSet =>
  set('x', 8, { readings: { outdoorAirTemp: K(kelvin), returnAirWetBulb: K(290) } })
test.each([
  [302.9, 0],
  [303, 0],
  [303.1, 1],
  [296.9, 1],
])('outdoor air 300 K before and %d K after: %d told', (kelvin, told) => {
  expect(unlikeConditions(conditions(300), conditions(kelvin), DISPLAY)).toHaveLength(told)
})
test('what is otherwise is told with both figures', () => {
  expect(unlikeConditions(conditions(300), conditions(310), DISPLAY)).toEqual([
    'outdoor air 300 K before, 310 K after',
  ])
})
