import { readFileSync } from 'node:fs'
import { drawnProblem, STORED_CASES } from '../../../../tools/schedule/cases'
import { NEVER } from './calendar'
import { lowerBound } from './bounds'
import type { Activity, Placed, Problem } from './model'
import { networkOf } from './network'
import { solve } from './solve'
import { percentiles, spreadOf } from './spread'

const isIn = (minute: number, all: Problem['idle']) =>
  all.some(({ from, to }) => minute >= from && minute < to)

/** Minutes that a start takes, by walking the clock: nothing of the calendar's own look-ups. */
function walked({ idle, closed, still, horizon }: Problem, { handsOn, unattended }: Activity, start: number) {
  if (isIn(start, [...idle, ...closed])) return undefined
  let minute = start
  for (let left = handsOn; left > 0; minute += 1) {
    if (minute >= horizon || isIn(minute, closed)) return undefined
    if (!isIn(minute, idle)) left -= 1
  }
  const end = minute + unattended
  for (let at = minute; at < end; at += 1) if (isIn(at, still)) return undefined
  return end > horizon ? undefined : { start, handsOff: minute, end }
}

/** The minute at which who helps is free again, by walking the clock. */
function helpedUntil({ idle }: Problem, { second = 0 }: Activity, { start }: Pick<Placed, 'start'>): number {
  let minute = start
  for (let left = second; left > 0; minute += 1) if (!isIn(minute, idle)) left -= 1
  return minute
}

/** What is wrong with a plan, minute by minute. */
function wrongWith(problem: Problem, plan: readonly Omit<Placed, 'person'>[]): string[] {
  const { activities, people, shut, horizon } = problem
  const of = new Map(activities.map(({ id }, i) => [id, plan[i]!]))
  const wrong: string[] = []
  activities.forEach((each, i) => {
    const at = plan[i]!
    const fit = walked(problem, each, at.start)
    if (!fit || fit.handsOff !== at.handsOff || fit.end !== at.end)
      wrong.push(`${each.id} lies where it cannot`)
    if (at.start < (each.notBefore ?? 0)) wrong.push(`${each.id} too early`)
    for (const id of each.after) if (at.start < of.get(id)!.end) wrong.push(`${each.id} before ${id} is over`)
    for (const id of each.alongside ?? [])
      if (at.start < of.get(id)!.handsOff) wrong.push(`${each.id} before ${id} runs`)
  })
  for (let minute = 0; minute < horizon; minute += 1) {
    const hands = plan.filter(({ start, handsOff }) => start <= minute && minute < handsOff)
    const helpers = plan.filter(
      (at, i) => at.start <= minute && minute < helpedUntil(problem, activities[i]!, at),
    )
    if (hands.length + helpers.length > people) wrong.push(`too many hands at ${minute}`)
    const held = activities.flatMap(({ machine }, i) =>
      machine && plan[i]!.start <= minute && minute < plan[i]!.end ? [machine] : [],
    )
    if (new Set(held).size < held.length) wrong.push(`one machine twice at ${minute}`)
  }
  for (const opening of new Set(activities.map((each) => each.opening))) {
    if (opening === undefined) continue
    const own = plan.filter((_each, i) => activities[i]!.opening === opening)
    const [from, to] = [Math.min(...own.map(({ start }) => start)), Math.max(...own.map(({ end }) => end))]
    if (shut.some((each) => each.from < to && each.to > from)) wrong.push(`open while it must be shut`)
  }
  return wrong
}

/** Least finish by trying every order, each activity at its first minute; openings in every spell. Slow, plain. */
function byForce(problem: Problem): number {
  const { activities, people, shut, horizon } = problem
  const edges = [0, ...shut.map(({ to }) => to)]
  let best = NEVER
  const placed: (Omit<Placed, 'person'> | undefined)[] = activities.map(() => undefined)
  const fits = (i: number, at: Omit<Placed, 'person'>) => {
    const each = activities[i]!
    const of = (id: string) => placed[activities.findIndex((other) => other.id === id)]!
    if (at.start < (each.notBefore ?? 0)) return false
    if (each.after.some((id) => at.start < of(id).end)) return false
    if ((each.alongside ?? []).some((id) => at.start < of(id).handsOff)) return false
    for (let minute = at.start; minute < at.end; minute += 1) {
      const hands = placed.filter((other) => other && other.start <= minute && minute < other.handsOff)
      const helpers = placed.filter(
        (other, k) => other && other.start <= minute && minute < helpedUntil(problem, activities[k]!, other),
      )
      const own = (minute < at.handsOff ? 1 : 0) + (minute < helpedUntil(problem, each, at) ? 1 : 0)
      if (own > 0 && hands.length + helpers.length + own > people) return false
      const isHeld = placed.some(
        (other, k) =>
          other &&
          activities[k]!.machine === each.machine &&
          each.machine &&
          other.start <= minute &&
          minute < other.end,
      )
      if (isHeld) return false
    }
    return true
  }
  const isOpenWell = (edge: number) => {
    const own = placed.filter((_each, i) => activities[i]!.opening !== undefined) as Placed[]
    if (own.length === 0) return true
    const [from, to] = [Math.min(...own.map(({ start }) => start)), Math.max(...own.map(({ end }) => end))]
    return from >= edge && !shut.some((each) => each.from < to && each.to > from)
  }
  const go = (count: number, edge: number) => {
    if (count === activities.length) {
      if (isOpenWell(edge)) best = Math.min(best, Math.max(...placed.map((each) => each!.end)))
      return
    }
    activities.forEach((each, i) => {
      const waits = [...each.after, ...(each.alongside ?? [])]
      if (placed[i] || waits.some((id) => !placed[activities.findIndex((other) => other.id === id)])) return
      for (let start = each.opening === undefined ? 0 : edge; start < horizon; start += 1) {
        const at = walked(problem, each, start)
        if (!at || !fits(i, at)) continue
        if (at.end >= best) return
        placed[i] = at
        go(count + 1, edge)
        placed[i] = undefined
        return
      }
    })
  }
  for (const edge of edges) go(0, edge)
  return best
}

/** A drawn problem shrunk to minutes that can be tried by force; where there are two, some tasks take both for a while. */
function small(seed: number): Problem {
  const people = 1 + (seed % 3)
  const drawn = drawnProblem(seed, { least: 5, most: 9, people, days: 0 })
  const activities = drawn.activities.map((each, i) => ({
    ...each,
    handsOn: 1 + (each.handsOn % 4),
    ...(people > 1 && (seed + i) % 3 === 0 ? { second: 1 + (i % (1 + (each.handsOn % 4))) } : {}),
    unattended: each.unattended % 6,
    ...(each.notBefore ? { notBefore: each.notBefore % 9 } : {}),
  }))
  const from = 3 + (seed % 9)
  return {
    ...drawn,
    activities,
    horizon: 70,
    idle: seed % 2 ? [{ from: from + 2, to: from + 4 }] : [],
    closed: seed % 4 === 1 ? [{ from: from + 9, to: from + 12 }] : [],
    shut: seed % 3 ? [{ from, to: from + 4 }] : [],
    still: seed % 5 === 0 ? [{ from: from + 6, to: from + 7 }] : [],
  }
}

describe('the finish is the least there is', () => {
  test.each(Array.from({ length: 60 }, (_x, i) => i + 1))('small problem %i against brute force', (seed) => {
    const problem = small(seed)
    const { placed, finish, isProven, bound } = solve(problem)
    expect(finish).toBe(byForce(problem))
    expect(isProven).toBe(true)
    expect(bound).toBe(finish)
    expect(wrongWith(problem, placed!)).toEqual([])
  })
  test('twelve tasks, two people, against brute force', () => {
    const problem = { ...small(7), people: 2 }
    const chain = Array.from({ length: 12 }, (_x, i): Activity => ({
      id: `t${i}`,
      handsOn: 1 + ((i * 7) % 3),
      unattended: i % 4 === 1 ? 4 : 0,
      ...(i % 3 === 0 ? { machine: 'torch' as const } : {}),
      after: i < 2 ? [] : i % 4 === 3 ? [`t${i - 2}`] : [`t${i - 1}`],
    }))
    const whole = {
      ...problem,
      activities: chain,
      shut: [],
      idle: [{ from: 6, to: 9 }],
      closed: [],
      still: [],
    }
    expect(solve(whole).finish).toBe(byForce(whole))
  })
})

type Optimum = { seed: number; status: string; finish: number; bound: number }
// optima of a general constraint solver: tools/schedule/optima.py
const OPTIMA = JSON.parse(readFileSync('tools/schedule/optima.json', 'utf8')) as Optimum[]

describe('25 to 41 tasks against the optimum of a general constraint solver', () => {
  const gaps: number[] = []
  test.each(STORED_CASES.map(({ seed, shape }) => [seed, shape] as const))(
    'case %i',
    (seed, shape) => {
      const problem = drawnProblem(seed, shape)
      const optimum = OPTIMA.find((each) => each.seed === seed)!
      const { placed, finish, isProven, bound } = solve(problem)
      expect(wrongWith(problem, placed!)).toEqual([])
      expect(finish).toBeLessThanOrEqual(Math.floor(optimum.finish * 1.01))
      gaps.push(finish / optimum.finish - 1)
      // a proof is one: never above what the other solver reached, never under what it excludes
      if (isProven) expect(finish).toBeLessThanOrEqual(optimum.finish)
      expect(finish).toBeGreaterThanOrEqual(optimum.bound)
      expect(bound).toBeLessThanOrEqual(optimum.finish)
      expect(lowerBound(networkOf(problem))).toBeLessThanOrEqual(optimum.finish)
    },
    120_000,
  )
  test('all optima are proven there; median gap nothing, none above 1 %', () => {
    const sorted = [...gaps].sort((a, b) => a - b)
    expect(OPTIMA.every(({ status }) => status === 'optimal')).toBe(true)
    expect(sorted).toHaveLength(STORED_CASES.length)
    expect(sorted[STORED_CASES.length / 2]).toBe(0)
    expect(sorted.at(-1)).toBeLessThanOrEqual(0.01)
  })
})

const chainOf = (...hands: number[]): Activity[] =>
  hands.map((handsOn, i) => ({ id: `t${i}`, handsOn, unattended: 0, after: i === 0 ? [] : [`t${i - 1}`] }))
const bare = { people: 1, idle: [], closed: [], shut: [], still: [], horizon: 1000 }

describe('calendar', () => {
  test('work rests over a break and goes on', () => {
    const { placed } = solve({ ...bare, activities: chainOf(90), idle: [{ from: 60, to: 90 }] })
    expect(placed).toEqual([{ start: 0, handsOff: 120, end: 120, person: 0 }])
  })
  test('no work is left begun over night', () => {
    const { placed } = solve({ ...bare, activities: chainOf(40, 50), closed: [{ from: 60, to: 500 }] })
    expect(placed!.map(({ start }) => start)).toEqual([0, 500])
  })
  test('what is open waits for rain to pass; what is not goes on', () => {
    const [first, second, third] = chainOf(30, 40, 20)
    const activities = [first!, { ...second!, opening: 0 }, { ...third!, opening: 0 }]
    const { placed, isProven } = solve({ ...bare, activities, shut: [{ from: 80, to: 200 }] })
    expect(placed!.map(({ start }) => start)).toEqual([0, 200, 240])
    expect(isProven).toBe(true)
  })
  test('nothing is left running where it must not', () => {
    const activities: Activity[] = [{ id: 'pump', handsOn: 10, unattended: 60, after: [] }]
    const { placed } = solve({ ...bare, activities, still: [{ from: 40, to: 100 }] })
    expect(placed![0]).toMatchObject({ start: 90, handsOff: 100, end: 160 })
  })
  test('lifting takes both for its minutes, from when both are free; who helps is another', () => {
    const activities: Activity[] = [
      { id: 'wire', handsOn: 30, unattended: 0, after: [] },
      { id: 'lift', handsOn: 60, second: 15, unattended: 0, after: [] },
      { id: 'clean', handsOn: 40, unattended: 0, after: [] },
    ]
    const { placed, finish, isProven } = solve({ ...bare, people: 2, activities })
    // both lift first, then one wires and cleans while the other fits: 15 + 30 + 40
    expect([finish, isProven]).toEqual([85, true])
    const lift = placed![1]!
    expect(lift.helper).toEqual({ person: 1 - lift.person, until: lift.start + 15 })
    expect(wrongWith({ ...bare, people: 2, activities }, placed!)).toEqual([])
    const chained = activities.map((each) => (each.id === 'lift' ? { ...each, second: 60 } : each))
    expect(solve({ ...bare, people: 2, activities: chained }).finish).toBe(100)
  })
  test('no room: said, not bent', () => {
    const solution = solve({ ...bare, activities: chainOf(30), idle: [{ from: 0, to: 990 }] })
    expect(solution).toMatchObject({ placed: undefined, finish: NEVER, isProven: true })
  })
  test('a name that does not stand before is refused', () => {
    expect(() => solve({ ...bare, activities: [{ ...chainOf(3)[0]!, after: ['t9'] }] })).toThrow(
      /t9 does not stand before/,
    )
  })
})

describe('how sure the finish is', () => {
  test('one task [std: PERT]: mean 65 of 30 / 60 / 120, median and nine in ten of its beta distribution', () => {
    const problem = { ...bare, activities: chainOf(60) }
    const { placed } = solve(problem)
    const { finish } = spreadOf(problem, [{ handsOn: [30, 60, 120] }], placed!, 4000)
    // the density x^(4/3) (1 - x)^(8/3) integrated numerically: 63.82 and 88.00
    expect(Math.abs(finish.p50 - 63.82)).toBeLessThan(1.5)
    expect(Math.abs(finish.p90 - 88)).toBeLessThan(2)
  })
  test('of ten days the fifth and the ninth; of two the first and the second; of one itself', () => {
    expect(percentiles([8, 1, 10, 3, 2, 9, 4, 7, 5, 6])).toEqual({ p50: 5, p90: 9 })
    expect(percentiles([9, 3])).toEqual({ p50: 3, p90: 9 })
    expect(percentiles([4])).toEqual({ p50: 4, p90: 4 })
    expect(percentiles([])).toEqual({ p50: NEVER, p90: NEVER })
  })
  test('the same problem, the same figures; a later rain moves nine in ten only', () => {
    const [first, second] = chainOf(60, 60)
    const activities = [first!, { ...second!, opening: 0 }]
    const estimates = [{ handsOn: [40, 60, 120] as const }, { handsOn: [50, 60, 90] as const }]
    const dry = { ...bare, activities }
    const rain = { ...dry, shut: [{ from: 145, to: 300 }] }
    const { placed } = solve(rain)
    expect(spreadOf(dry, estimates, placed!)).toEqual(spreadOf(dry, estimates, placed!))
    const [without, withRain] = [spreadOf(dry, estimates, placed!), spreadOf(rain, estimates, placed!)]
    expect(withRain.finish.p50).toBe(without.finish.p50)
    expect(withRain.finish.p90).toBeGreaterThan(300)
  })
})
