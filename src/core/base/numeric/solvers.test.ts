import { fixedPoint } from './fixedPoint'
import { bracketedRoot } from './root'
import { pieceAt } from './search'
import { seededRandom } from './random'

describe('bracketed root', () => {
  test.each([
    ['a cube root', (x: number) => x ** 3 - 2, 0, 2, Math.cbrt(2)],
    ['a steep exponential', (x: number) => Math.exp(20 * x) - 5, 0, 1, Math.log(5) / 20],
    ['a falling line', (x: number) => 3 - x, -10, 10, 3],
    ['a kink', (x: number) => (x < 0.3 ? -1e-3 : x - 0.3), 0, 1, 0.3],
  ])('%s', (_name, f, from, to, wanted) => {
    expect(bracketedRoot(f, from, to, 1e-10)).toBeCloseTo(wanted, 6)
  })
  test('a root at either end is returned at once', () => {
    expect(bracketedRoot((x) => x, 0, 1, 1e-9)).toBe(0)
    expect(bracketedRoot((x) => x - 1, 0, 1, 1e-9)).toBe(1)
  })
  test('the order of the ends does not matter', () => {
    expect(bracketedRoot((x) => x - 0.2, 1, 0, 1e-10)).toBeCloseTo(0.2, 8)
  })
  test('equal signs are refused with a typed error', () => {
    expect(() => bracketedRoot((x) => x * x + 1, -1, 1, 1e-9)).toThrow(
      expect.objectContaining({ code: 'not-converged' }),
    )
  })
  test('500 random cubics that rise through zero are solved to the tolerance', () => {
    const random = seededRandom(4)
    for (let i = 0; i < 500; i++) {
      const at = -3 + 6 * random()
      const bend = 5 * random()
      const f = (x: number) => (x - at) * (1 + bend * (x - at) ** 2)
      expect(Math.abs(bracketedRoot(f, -4, 4, 1e-9) - at)).toBeLessThan(1e-6)
    }
  })
})

describe('fixed point', () => {
  test.each([
    ['a cosine', Math.cos, 0.5, 0.739085133],
    ['a slow contraction', (x: number) => 0.85 * x + 0.15, 10, 1],
    ['an alternating one', (x: number) => 3 - 0.9 * x, 0, 3 / 1.9],
    ['a constant', () => 7, 1, 7],
  ])('%s', (_name, next, start, wanted) => {
    expect(fixedPoint(start, next, 1e-10, 60)).toBeCloseTo(wanted, 7)
  })
  test('it needs fewer evaluations than plain substitution', () => {
    let calls = 0
    const next = (x: number) => {
      calls += 1
      return 0.9 * x + 1
    }
    expect(fixedPoint(0, next, 1e-9)).toBeCloseTo(10, 6)
    expect(calls).toBeLessThan(10)
  })
})

test('the piece of a value in increasing nodes; the outermost beyond the ends', () => {
  const nodes = Float64Array.from([0, 1, 4, 9, 16])
  expect([-5, 0, 0.5, 1, 3.9, 9, 15, 16, 99].map((value) => pieceAt(nodes, value))).toEqual([
    0, 0, 0, 1, 1, 3, 3, 3, 3,
  ])
  const random = seededRandom(8)
  for (let i = 0; i < 200; i++) {
    const value = 16 * random()
    const piece = pieceAt(nodes, value)
    expect(value).toBeGreaterThanOrEqual(nodes[piece]!)
    expect(value).toBeLessThanOrEqual(nodes[piece + 1]!)
  }
})
