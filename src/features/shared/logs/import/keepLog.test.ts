import type { Log } from '@/core/record/logs/readLog'
import { logSchema } from '@/core/record/records/log'
import { headOfLog, isHere } from './keepLog'

const LOG: Log = {
  series: [{ key: 'boxTemp', unit: 'F', points: [] }],
  samples: { time: Float64Array.of(0, 60, 120), values: [Float64Array.of(36, 37, 38)] },
  beganAt: Date.parse('2026-05-04T09:00:00Z'),
  minutes: 2,
  skipped: 0,
  backAt: undefined,
}
const NOW = Date.parse('2026-05-04T12:00:00Z')

test('a dated log stands at its moment, one without a date ends now and says so', () => {
  const dated = headOfLog('box.csv', LOG, 'a', NOW)
  expect(dated).toMatchObject({
    startedAt: '2026-05-04T09:00:00.000Z',
    samples: 3,
    channels: [{ key: 'boxTemp', unit: 'F' }],
  })
  expect(dated.undated).toBeUndefined()
  const undated = headOfLog('n'.repeat(400), { ...LOG, beganAt: undefined }, 'b', NOW)
  expect(undated).toMatchObject({ startedAt: '2026-05-04T11:58:00.000Z', undated: true })
  expect([dated, undated].every((head) => logSchema.safeParse(head).success)).toBe(true)
})

test('the same file taken again is not kept twice; another stretch or another file is', () => {
  const head = headOfLog('box.csv', LOG, 'a', NOW)
  expect(isHere(headOfLog('box.csv', LOG, 'b', NOW + 5000), [head])).toBe(true)
  expect(isHere(headOfLog('other.csv', LOG, 'b', NOW), [head])).toBe(false)
  expect(isHere(headOfLog('box.csv', { ...LOG, beganAt: LOG.beganAt! + 1000 }, 'b', NOW), [head])).toBe(false)
  const undated = { ...LOG, beganAt: undefined }
  expect(isHere(headOfLog('u.csv', undated, 'b', NOW + 9000), [headOfLog('u.csv', undated, 'a', NOW)])).toBe(
    true,
  )
})
