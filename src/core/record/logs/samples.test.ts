import fc from 'fast-check'
import { readLogCsv, writeLogCsv } from './logCsv'
import { type Chunk, chunksOf, countOf, joinSamples, LogTail, noSamples, type Samples } from './samples'
import { thinWhole } from './segments'

const HEAD = {
  startedAt: '2026-05-04T09:00:00.000Z',
  channels: [
    { key: 'suctionPressure', unit: 'psig' },
    { key: 'suctionLineTemp', unit: 'F' },
  ],
} as const

const made = (count: number): Samples => ({
  time: Float64Array.from({ length: count }, (_s, i) => i / 2),
  values: [
    Float64Array.from({ length: count }, (_s, i) => 118 + Math.sin(i)),
    Float64Array.from({ length: count }, (_s, i) => (i % 5 === 3 ? NaN : 52 + i / 7)),
  ],
})

describe('chunks', () => {
  test.each([0, 1, 9, 10, 11, 35])('%i samples, cut into tens and joined, are the same', (count) => {
    const samples = made(count)
    const chunks = chunksOf(samples, 10)
    expect(chunks.map((chunk) => chunk.count)).toEqual(
      Array.from({ length: Math.ceil(count / 10) }, (_c, i) => Math.min(10, count - i * 10)),
    )
    expect(joinSamples(chunks, 2)).toEqual(samples)
  })

  /** What a store holds after the chunks that were given to it: a later one of the same place replaces the earlier. */
  const stored = (given: readonly Chunk[]) =>
    joinSamples(
      [...new Map(given.map((chunk) => [chunk.index, chunk])).values()].sort((a, b) => a.index - b.index),
      2,
    )

  test('a tail written at any moment, refused and written again, loses and doubles nothing (property)', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('append', 'take', 'refused'), { maxLength: 120 }), (moves) => {
        const tail = new LogTail(2, 7)
        const given: Chunk[] = []
        const whole = made(120)
        let appended = 0
        for (const move of moves) {
          if (move === 'append') {
            tail.append(
              whole.time[appended]!,
              whole.values.map((channel) => channel[appended]!),
            )
            appended += 1
          } else if (move === 'refused') tail.giveBack(tail.take())
          else {
            given.push(...tail.take())
            // a page that goes away now leaves all of this
            expect(countOf(stored(given))).toBe(appended)
            expect(tail.samples).toBe(appended)
          }
        }
        given.push(...tail.take(true))
        expect(countOf(stored(given))).toBe(appended)
        expect(Array.from(stored(given).time)).toEqual(Array.from(whole.time.slice(0, appended)))
        expect(Array.from(stored(given).values[1]!)).toEqual(Array.from(whole.values[1]!.slice(0, appended)))
      }),
      { numRuns: 300 },
    )
  })

  test('an open chunk that did not grow is not written again', () => {
    const tail = new LogTail(1)
    tail.append(0, [1])
    expect(tail.take()).toHaveLength(1)
    expect(tail.take()).toHaveLength(0)
  })
})

describe('a log as a table', () => {
  test('reads back exactly, silent samples as empty cells', () => {
    const samples = made(50)
    const text = writeLogCsv(HEAD, samples)
    expect(text.split('\r\n').slice(0, 2)).toEqual([
      'time,seconds,suctionPressure (psig),suctionLineTemp (F)',
      '2026-05-04T09:00:00.000Z,0,118,52',
    ])
    expect(text.split('\r\n')[4]!.endsWith(',')).toBe(true)
    expect(readLogCsv(HEAD, text)).toEqual(samples)
  })
  test('columns may stand in another order; a log without samples is a row of headings', () => {
    expect(readLogCsv(HEAD, 'suctionLineTemp (F),x,seconds,suctionPressure (psig)\n52,,0,118\n')).toEqual({
      time: Float64Array.of(0),
      values: [Float64Array.of(118), Float64Array.of(52)],
    })
    expect(readLogCsv(HEAD, writeLogCsv(HEAD, noSamples(2)))).toEqual(noSamples(2))
  })
  test.each([
    ['seconds,suctionPressure (psig)\n0,1\n', /has no column "suctionLineTemp \(F\)"/],
    ['seconds,suctionPressure (psig),suctionLineTemp (F)\n0,1,2\n,1,2\n', /row 3 has no time/],
    ['seconds,suctionPressure (psig),suctionLineTemp (F)\n5,1,2\n4,1,2\n', /row 3 has no time after/],
    ['seconds,suctionPressure (psig),suctionLineTemp (F)\n5,1,warm\n', /row 2 holds "warm"/],
  ])('%j is refused with its place', (text, message) => {
    expect(() => readLogCsv(HEAD, text)).toThrow(message)
  })
})

describe('thinned for drawing', () => {
  test('a single spike among 100,000 samples stays, in its place', () => {
    const time = Float64Array.from({ length: 100_000 }, (_s, i) => i)
    const column = new Float64Array(100_000).fill(118)
    column[70_123] = 300
    column[70_124] = -5
    const points = thinWhole({ time, values: [column] }, 0, 300, 1 / 60)
    expect(points.length).toBeLessThanOrEqual(600)
    expect(points).toContainEqual({ x: 70_123 / 60, y: 300 })
    expect(points).toContainEqual({ x: 70_124 / 60, y: -5 })
    expect(points.every(({ x }, i) => i === 0 || x >= points[i - 1]!.x)).toBe(true)
  })
  test('a short channel stays whole, and where it was silent a gap', () => {
    const points = thinWhole(made(6), 1, 300)
    expect(points.filter(({ y }) => !Number.isNaN(y))).toHaveLength(5)
    expect(points).toHaveLength(6)
  })
})
