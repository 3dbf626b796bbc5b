import { GrowingSamples } from './growing'
import { noSamples, type Samples } from './samples'
import { gapOf, segmentsOf, thinWindow } from './segments'

const samplesOf = (time: readonly number[], value: readonly number[]): Samples => ({
  time: Float64Array.from(time),
  values: [Float64Array.from(value)],
})
const each = (count: number, from = 0) => Array.from({ length: count }, (_second, i) => from + i)

describe('segments of a log', () => {
  test('a time in which nothing came ends one, and so does a silent sample', () => {
    const late = samplesOf([...each(10), ...each(10, 100)], each(20))
    expect(segmentsOf(late, 0)).toEqual([
      { from: 0, to: 10 },
      { from: 10, to: 20 },
    ])
    const silent = samplesOf(each(6), [1, 2, NaN, NaN, 5, 6])
    expect(segmentsOf(silent, 0)).toEqual([
      { from: 0, to: 2 },
      { from: 4, to: 6 },
    ])
  })
  test('looks that are typed each few minutes are one segment; without samples there is none', () => {
    const typed = samplesOf([0, 180, 400, 560], [1, 2, 3, 4])
    expect(gapOf(typed.time)).toBeGreaterThan(220)
    expect(segmentsOf(typed, 0)).toEqual([{ from: 0, to: 4 }])
    expect(segmentsOf(noSamples(1), 0)).toEqual([])
    expect(segmentsOf(samplesOf(each(3), [NaN, NaN, NaN]), 0)).toEqual([])
  })
})

describe('drawing a window', () => {
  const long = samplesOf(
    each(10_000),
    each(10_000).map((i) => (i === 6543 ? 900 : Math.sin(i / 50))),
  )
  test('keeps the peak of a long log, and few points', () => {
    const points = thinWindow(long, 0, segmentsOf(long, 0), { from: 0, to: 10_000 }, 400)
    expect(points.length).toBeLessThanOrEqual(800)
    expect(Math.max(...points.map(({ y }) => y))).toBe(900)
    expect(points.map(({ x }) => x)).toEqual([...points.map(({ x }) => x)].sort((a, b) => a - b))
  })
  test('looks closer: every sample of the window, one to either side', () => {
    const points = thinWindow(long, 0, segmentsOf(long, 0), { from: 6540, to: 6546 }, 400, 1 / 60)
    expect(points.map(({ x }) => Math.round(x * 60))).toEqual([
      6539, 6540, 6541, 6542, 6543, 6544, 6545, 6546,
    ])
  })
  test('a gap stays a gap: a point without a value between two segments', () => {
    const late = samplesOf([...each(10), ...each(10, 100)], each(20))
    const points = thinWindow(late, 0, segmentsOf(late, 0), { from: 0, to: 200 }, 400)
    expect(points.filter(({ y }) => Number.isNaN(y))).toHaveLength(1)
    expect(points).toHaveLength(21)
  })
})

test('samples that grow are seen whole at each time, and what was seen does not change', () => {
  const grown = new GrowingSamples(noSamples(2))
  const seen: Samples[] = []
  for (let i = 0; i < 3000; i += 1) {
    grown.append(i, [i, -i])
    if (i % 1000 === 0) seen.push(grown.view())
  }
  expect(seen.map(({ time }) => time.length)).toEqual([1, 1001, 2001])
  expect(grown.count).toBe(3000)
  expect(grown.view().values[1]!.at(-1)).toBe(-2999)
  expect(seen[1]!.time.at(-1)).toBe(1000)
})
