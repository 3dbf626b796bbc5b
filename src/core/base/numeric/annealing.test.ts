import { anneal } from './annealing'
import { seededRandom } from './random'

const mean = (all: readonly number[]) => all.reduce((sum, each) => sum + each, 0) / all.length
const variance = (all: readonly number[]) => mean(all.map((each) => (each - mean(all)) ** 2))

describe('annealing against conjugate normals [std: Gelman et al., Bayesian Data Analysis, 2.5]', () => {
  test.each([
    [2, 0.5],
    [3, 0.1],
    [-1, 2],
  ])('one unknown, seen as %d with scatter %d', (seen, scatter) => {
    const members = anneal(
      {
        dimensions: 1,
        members: 800,
        moves: 3,
        evaluate: ([x]) => ({ of: x!, log: -(((seen - x!) / scatter) ** 2) / 2 }),
      },
      seededRandom(7),
    )
    const precision = 1 + 1 / scatter ** 2
    const all = members.map(({ of }) => of)
    expect(Math.abs(mean(all) - seen / scatter ** 2 / precision)).toBeLessThan(0.2 / Math.sqrt(precision))
    expect(variance(all) * precision).toBeGreaterThan(0.75)
    expect(variance(all) * precision).toBeLessThan(1.3)
  })
  test('of two unknowns only the sum is seen: their difference stays as wide as it was', () => {
    const members = anneal(
      {
        dimensions: 2,
        members: 800,
        moves: 3,
        evaluate: (deviates) => ({
          of: deviates,
          log: -(((2 - deviates[0]! - deviates[1]!) / 0.1) ** 2) / 2,
        }),
      },
      seededRandom(8),
    )
    const sums = members.map(({ of }) => of[0]! + of[1]!)
    const differences = members.map(({ of }) => of[0]! - of[1]!)
    expect(mean(sums)).toBeCloseTo(2 * (2 / 2.01), 1)
    expect(variance(differences)).toBeGreaterThan(1.5)
    expect(variance(differences)).toBeLessThan(2.6)
  })
})

test('two ways to fit what was seen both keep their members', () => {
  const members = anneal(
    {
      dimensions: 1,
      members: 600,
      moves: 2,
      evaluate: ([x]) => ({ of: x!, log: -(((Math.abs(x!) - 1.5) / 0.1) ** 2) / 2 }),
    },
    seededRandom(9),
  )
  const above = members.filter(({ of }) => of > 0).length / members.length
  expect(above).toBeGreaterThan(0.35)
  expect(above).toBeLessThan(0.65)
})

test('where nothing speaks for or against, the draws stay standard normal; the same seed gives the same', () => {
  const quiet = {
    dimensions: 1,
    members: 1000,
    moves: 1,
    evaluate: ([x]: readonly number[]) => ({ of: x!, log: 0 }),
  }
  const members = anneal(quiet, seededRandom(1))
  expect(Math.abs(mean(members.map(({ of }) => of)))).toBeLessThan(0.1)
  expect(Math.abs(variance(members.map(({ of }) => of)) - 1)).toBeLessThan(0.15)
  expect(anneal(quiet, seededRandom(1))).toEqual(members)
})

test.each([
  ['what cannot be calculated', () => NaN],
  ['what is impossible', () => -Infinity],
  ['what fits worse than any number tells', (x: number) => -1e12 * (x - 50) ** 2],
])('%s ends all the same, with all of its members', (_name, log) => {
  let evaluations = 0
  const members = anneal(
    {
      dimensions: 1,
      members: 50,
      moves: 1,
      evaluate: ([x]) => {
        evaluations += 1
        return { of: x!, log: log(x!) }
      },
    },
    seededRandom(2),
  )
  expect(members).toHaveLength(50)
  expect(members.every(({ of }) => Number.isFinite(of))).toBe(true)
  expect(evaluations).toBeLessThanOrEqual(50 * 41)
})
