import { readLogCsv, writeLogCsv } from './logCsv'
import { numberIn } from './logNumber'

const HEAD = {
  startedAt: '2026-05-04T09:00:00.000Z',
  channels: [{ key: 'suctionPressure', unit: 'psig' }],
} as const
const SAMPLES = { time: Float64Array.of(0, 1, 2.5), values: [Float64Array.of(-5.25, NaN, 1e-7)] }

test('a log comes back as it was, numbers below zero and silent instruments too', () => {
  const text = writeLogCsv(HEAD, SAMPLES)
  expect(text.split('\r\n')[1]).toBe('2026-05-04T09:00:00.000Z,0,-5.25')
  expect(readLogCsv({ ...HEAD, samples: 3 }, text)).toEqual(SAMPLES)
  expect(readLogCsv(HEAD, text)).toEqual(SAMPLES)
})

test('fewer rows or more rows than were recorded are told', () => {
  const text = writeLogCsv(HEAD, SAMPLES)
  expect(() => readLogCsv({ ...HEAD, samples: 4 }, text)).toThrow('holds 3 rows of the 4 that were recorded')
  expect(() => readLogCsv({ ...HEAD, samples: 2 }, text)).toThrow('row 4 is one too many')
})

test.each(['Infinity', '-Infinity', '1e999', 'cold'])('a cell with %s is no number of a log', (cell) => {
  const text = `seconds,suctionPressure (psig)\r\n0,118\r\n1,${cell}\r\n`
  expect(() => readLogCsv(HEAD, text)).toThrow(`row 3 holds "${cell}", which is no number`)
})

test('what no instrument shows is no number of an imported log: just below, at, just above', () => {
  expect(numberIn('9.9e12')).toBe(9.9e12)
  expect(numberIn('1e13')).toBeUndefined()
  expect(numberIn('-1.1e13')).toBeUndefined()
  expect(numberIn('1e308')).toBeUndefined()
  expect(numberIn('1e999')).toBeUndefined()
  expect(numberIn('38,5')).toBe(38.5)
})
