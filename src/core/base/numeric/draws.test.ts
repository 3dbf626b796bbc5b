import { valueAt } from './between'
import { logBetween, mixed, named, quantile, shareBelow } from './draws'

test('the share below a normal deviate, within 1 % [std: table of the normal distribution]', () => {
  for (const [deviate, share] of [
    [0, 0.5],
    [1, 0.8413],
    [-1, 0.1587],
    [1.96, 0.975],
  ] as const)
    expect(Math.abs(shareBelow(deviate) - share)).toBeLessThan(0.01)
})
test('a mixture grows with its deviate and has its chance of next to nothing', () => {
  const mixture = { none: 0.6, least: 0.02, from: 4, to: 3000 }
  const all = [-6, -1, 0, 0.2, 0.3, 1, 6].map((deviate) => mixed(mixture, deviate))
  expect(all).toEqual([...all].sort((a, b) => a - b))
  expect(all[0]).toBeCloseTo(0.02, 3)
  expect(all.at(-1)! / 3000).toBeCloseTo(1, 1)
  // the deviate at which six tenths lie below is a quarter
  expect(mixed(mixture, 0.2)).toBeLessThan(4)
  expect(mixed(mixture, 0.3)).toBeGreaterThan(4)
  expect(logBetween(1, 100, 0.5)).toBeCloseTo(10, 9)
})
test('names and quantiles', () => {
  expect(named(['a', 'b'], [1, 2])).toEqual({ a: 1, b: 2 })
  expect([0, 0.5, 0.9, 1].map((share) => quantile([1, 2, 3, 4], share))).toEqual([1, 3, 4, 4])
  expect(quantile([], 0.5)).toBe(Infinity)
})
test.each([
  ['before the first', -5, 10],
  ['at the first', 0, 10],
  ['between', 25, 15],
  ['at a look', 50, 20],
  ['at two looks of one moment', 100, 40],
  ['after the last', 500, 0],
])('the value %s', (_name, seconds, value) => {
  const points = [
    { seconds: 0, value: 10 },
    { seconds: 50, value: 20 },
    { seconds: 100, value: 40 },
    { seconds: 100, value: 60 },
    { seconds: 200, value: 0 },
  ]
  expect(valueAt(points, seconds)).toBeCloseTo(value, 9)
  expect(valueAt([], seconds)).toBeUndefined()
})
