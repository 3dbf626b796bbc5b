import fc from 'fast-check'
import { logSumExp, normaliseLogs } from './logSum'
import { evaluate, invert, monotoneCubic } from './monotoneCubic'
import { gaussian, seededRandom } from './random'

describe('monotone cubic', () => {
  const increasing = fc
    .array(
      fc.tuple(fc.double({ min: 0.01, max: 5, noNaN: true }), fc.double({ min: 0.01, max: 9, noNaN: true })),
      {
        minLength: 3,
        maxLength: 20,
      },
    )
    .map((steps) => {
      let [x, y] = [0, 0]
      const nodes = steps.map(([dx, dy]) => [(x += dx), (y += dy)] as const)
      return monotoneCubic(
        nodes.map((n) => n[0]),
        nodes.map((n) => n[1]),
      )
    })

  test('keeps order between increasing nodes and inverts itself', () => {
    fc.assert(
      fc.property(increasing, fc.double({ min: 0, max: 1, noNaN: true }), (curve, share) => {
        const [first, last] = [curve.x[0]!, curve.x[curve.x.length - 1]!]
        const x = first + share * (last - first)
        const step = (last - first) / 500
        expect(evaluate(curve, Math.min(x + step, last))).toBeGreaterThanOrEqual(evaluate(curve, x) - 1e-12)
        expect(evaluate(curve, invert(curve, evaluate(curve, x)))).toBeCloseTo(evaluate(curve, x), 9)
      }),
      { seed: 1750, numRuns: 300 },
    )
  })

  test('is exact at nodes and for a straight line', () => {
    const line = monotoneCubic([0, 1, 3, 4], [1, 3, 7, 9])
    for (const x of [0, 0.3, 1, 2.2, 4]) expect(evaluate(line, x)).toBeCloseTo(1 + 2 * x, 12)
  })

  test('refuses nodes that do not increase', () => {
    expect(() => monotoneCubic([0, 0, 1], [1, 2, 3])).toThrow('increasing')
  })
})

test('log sums survive large and empty input', () => {
  expect(logSumExp([1000, 1000])).toBeCloseTo(1000 + Math.log(2), 9)
  expect(logSumExp([])).toBe(-Infinity)
  expect(normaliseLogs([-900, -900, -901]).reduce((a, b) => a + b)).toBeCloseTo(1, 12)
})

test('seeded numbers repeat, and deviates have mean 0 and spread 1', () => {
  const [a, b] = [seededRandom(7), seededRandom(7)]
  expect(Array.from({ length: 5 }, a)).toEqual(Array.from({ length: 5 }, b))
  const deviates = Array.from({ length: 20_000 }, () => gaussian(a))
  const mean = deviates.reduce((s, v) => s + v, 0) / deviates.length
  const variance = deviates.reduce((s, v) => s + (v - mean) ** 2, 0) / deviates.length
  expect(mean).toBeCloseTo(0, 1)
  expect(variance).toBeCloseTo(1, 1)
})
