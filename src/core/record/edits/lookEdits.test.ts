import { whenTyped, type WhenFrom } from '../../base/units/whenTyped'
import { samplesOfLooks } from '../logs/looks'
import type { Job } from '../job/job'
import type { LogHead } from '../records/log'
import type { Edit } from './edit'
import { addLook, changeLook, endTyped, markLog, moveMark, removeLook, removeMark } from './lookEdits'

const START = '2026-11-27T09:00:00.000Z'
const at = (minutes: number) => Date.parse(START) + minutes * 60_000
const HEAD: LogHead = {
  id: 'log-1',
  name: 'Decay test',
  startedAt: START,
  source: 'hand',
  purpose: 'decay',
  channels: [
    { key: 'systemVacuum', unit: 'micron' },
    { key: 'pumpVacuum', unit: 'micron' },
  ],
  looks: [],
}

/** A job in which edits are made one after the other, each at a minute. */
function worked(...edits: readonly (readonly [minutes: number, edit: Edit])[]): LogHead {
  let ids = 0
  const start = { logs: [HEAD] } as unknown as Job
  const end = edits.reduce(
    (job, [minutes, edit]) =>
      edit(job, { now: new Date(at(minutes)).toISOString(), newId: () => `look-${(ids += 1)}` }),
    start,
  )
  return end.logs[0]!
}
const seconds = ({ looks = [] }: LogHead) => looks.map((look) => look.seconds)

test('looks stand in order of time, not of typing; what was not read is silent', () => {
  const log = worked([10, addLook('log-1', [500, null])], [11, addLook('log-1', [321, 152], { at: at(2) })])
  expect(seconds(log)).toEqual([120, 600])
  const samples = samplesOfLooks(log)!
  expect([...samples.values[0]!]).toEqual([321, 500])
  expect([...samples.values[1]!]).toEqual([152, NaN])
  expect(samplesOfLooks(log)).toBe(samples)
})
test('a look from before the log began moves its beginning; everything else keeps its moment', () => {
  const log = worked(
    [0, addLook('log-1', [400, null])],
    [0, markLog('log-1', { what: 'valve-shut' })],
    [12, addLook('log-1', [321, null], { at: at(-15) })],
  )
  expect(log.startedAt).toBe(new Date(at(-15)).toISOString())
  expect(seconds(log)).toEqual([0, 900])
  expect(log.marks).toEqual([{ what: 'valve-shut', seconds: 900 }])
})
test('a look is corrected in figure and moment, and taken out', () => {
  const two = [
    [0, addLook('log-1', [321, null])],
    [10, addLook('log-1', [4910, null])],
  ] as const
  const corrected = worked(...two, [11, changeLook('log-1', 'look-2', { values: [491, null] })])
  expect(corrected.looks!.map(({ values }) => values[0])).toEqual([321, 491])
  const moved = worked(...two, [11, changeLook('log-1', 'look-1', { at: at(11) })])
  expect(moved.looks!.map(({ id }) => id)).toEqual(['look-2', 'look-1'])
  expect(seconds(worked(...two, [11, removeLook('log-1', 'look-1')]))).toEqual([600])
})
test('an ended log counts its looks, corrected later too', () => {
  const log = worked(
    [0, addLook('log-1', [321, null])],
    [10, addLook('log-1', [491, null])],
    [10, endTyped('log-1')],
    [11, removeLook('log-1', 'look-2')],
  )
  expect(log.samples).toBe(1)
})
test('marks can be set afterwards, moved and taken out; they stand in order', () => {
  const both = [
    [10, markLog('log-1', { what: 'valve-open' })],
    [11, markLog('log-1', { what: 'valve-shut' }, { at: at(1) })],
  ] as const
  const log = worked(...both)
  expect(log.marks!.map(({ what }) => what)).toEqual(['valve-shut', 'valve-open'])
  const moved = worked(...both, [11, moveMark('log-1', log.marks![0]!, at(2))])
  expect(moved.marks![0]).toEqual({ what: 'valve-shut', seconds: 120 })
  expect(worked(...both, [11, removeMark('log-1', log.marks![0]!)]).marks).toHaveLength(1)
})

describe('when it was, as it is typed', () => {
  const now = at(60)
  const midnight = (moment: number) => new Date(moment).setUTCHours(0, 0, 0, 0)
  const from: WhenFrom = { now, begin: at(40), midnight }
  test.each([
    ['', 60],
    ['now', 60],
    ['12 min ago', 48],
    ['1.5 h ago', -30],
    ['90 sec ago', 58.5],
    ['after 12 min', 52],
    ['+ 12min', 52],
    ['09:41', 41],
    ['9.41', 41],
    ['09:41:30', 41.5],
    ['9:41 am', 41],
    // later than now by more than a clock may differ: it was yesterday
    ['23:00', 14 * 60 - 24 * 60],
    ['10:05', 65],
  ])('“%s”', (text, minutes) => {
    expect(whenTyped(text, from)).toBe(at(minutes))
  })
  test.each([
    ['soon', /is no time: type 14:05/],
    ['25:00', /is no time/],
    ['13:00 pm', /is no time/],
    ['10:75', /is no time/],
    ['after 40 min', /still to come/],
  ])('“%s” is refused', (text, message) => {
    expect(() => whenTyped(text, from)).toThrow(message)
  })
  test('after what, while nothing began', () => {
    expect(() => whenTyped('after 5 min', { ...from, begin: undefined })).toThrow(/Nothing began yet/)
  })
})
