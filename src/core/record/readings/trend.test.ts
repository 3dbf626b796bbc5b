import { gaussian, seededRandom } from '../../base/numeric/random'
import { trendOf } from './trend'

const line = (perSecond: number, seconds: number, noise = 0) => {
  const random = seededRandom(5)
  return Array.from({ length: 2 * seconds + 1 }, (_v, i) => ({
    at: i * 500,
    value: 40 + (perSecond * i) / 2 + noise * gaussian(random),
  }))
}

test('the slope of a line is found exactly, through noise nearly', () => {
  expect(trendOf(line(0.1, 30), 20_000, 0.5)?.perMinute).toBeCloseTo(6, 9)
  expect(trendOf(line(0.1, 60, 0.2), 60_000, 0.5)?.perMinute).toBeCloseTo(6, 0)
})
test.each([
  ['still', 0, true],
  ['drifting within the error', 0.01, true],
  ['drifting beyond it', 0.05, false],
])('%s', (_name, perSecond, settled) => {
  expect(trendOf(line(perSecond, 40), 20_000, 0.5)?.settled).toBe(settled)
})
test('a stream shorter than the chosen time has not settled, one of three values has no slope', () => {
  expect(trendOf(line(0, 10), 20_000, 0.5)?.settled).toBe(false)
  expect(trendOf(line(0, 1), 20_000, 0.5)).toBeUndefined()
  expect(trendOf([], 20_000, 0.5)).toBeUndefined()
})
test('what it did before the window does not count', () => {
  const early = line(1, 20)
  const still = line(0, 30).map(({ at, value }) => ({ at: at + 20_500, value: value + 20 }))
  expect(trendOf([...early, ...still], 20_000, 0.5)?.settled).toBe(true)
})
