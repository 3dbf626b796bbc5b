import { anneal } from '../../base/numeric/annealing'
import { mixed, named, quantile } from '../../base/numeric/draws'
import { seededRandom } from '../../base/numeric/random'
import { SEA_LEVEL_PASCALS } from '../../base/units/atmosphere'
import {
  courseAt,
  type Pull,
  pullCourse,
  type PullCurves,
  pullCurves,
  pullPressure,
  type PullState,
} from './pullDown'

/** One look at the vacuum gauge while the pump runs. s from the start of the pull, Pa. */
export type PullPoint = { readonly seconds: number; readonly pascals: number }

/** What is calculated before anything is seen. */
export type PullGuess = Pick<Pull, 'volume' | 'temperature' | 'pump' | 'ways' | 'water'> & {
  /** factor by which the water may be more or less, one standard deviation, above 1 */
  readonly waterFactor: number
}

export type Forecast = {
  /** s from the start of the pull until the target; undefined where it does not get there, or none of the courses does */
  readonly seconds: number | undefined
  /** false where what may be lies too far apart to name a time */
  readonly isTold: boolean
  /** eight in ten lie between, s; the end is open where it may never get there */
  readonly range: readonly [number, number | undefined]
  /** chance that it levels off above the target, of one */
  readonly never: number
  /** where it levels off, Pa */
  readonly floor: number
  /** what hoses and pump carry against what was calculated */
  readonly speedFactor: number
  /** water that is still inside, kg */
  readonly waterLeft: number
}

/** What is not known of a pull, each a normal deviate of its own. */
const UNKNOWNS = ['speed', 'hose', 'water', 'plateau', 'drying', 'floor', 'outgassing', 'inner'] as const
type Unknown = (typeof UNKNOWNS)[number]
type Deviates = Readonly<Record<Unknown, number>>

/** [practice] pump and volume together, and hoses, are what is written on them within these factors, one standard deviation. */
const SPEED_SPREAD = Math.log(1.3)
const HOSE_SPREAD = Math.log(1.3)
/** [memory] water that leaves at its vapour pressure against what is calculated: where it lies and what carries it. */
const DRYING = 1.1
/** [memory] of two hoses the water leaves mostly by the one on its side. */
const DRYING_BY_TWO = 0.8
const DRYING_SPREAD = Math.log(1.15)
/** [memory] vapour over water in a circuit against free boiling, and its spread. */
const PLATEAU = 0.95
const PLATEAU_SPREAD = Math.log(1.25)
/** What comes out of oil and walls at first, as the pressure that it would hold up, Pa. [memory] */
const OUTGASSING = 15
const OUTGASSING_SPREAD = Math.log(3)
/** [physics] a 3/8 in line of some metres; its spread by what else lies in the way. */
const INNER = 2.5e-6
const INNER_SPREAD = Math.log(2.2)
/** Most pulls level off at a few microns; the others where a leak or residue holds them up. Pa [practice] */
const FLOOR = { none: 0.85, least: 1.5, from: 15, to: 700 } as const

/** Scatter of gauge and model together, as a logarithm; looks that are counted as independent of each other. */
const SCATTER = 0.1
/** The first look tells less of what is to come than the last: its scatter is this much wider. */
const AGE = 1
const INDEPENDENT = 7
/** Looks that count: over the whole time, and over this share of it at its end. */
const FAR_POINTS = 24
const CLOSE_POINTS = 16
const CLOSE_SHARE = 0.15
const LIMIT = 24 * 3600
const TENTH = 0.1
/** It is told that it will not get there from this chance on, and only once it stands. */
const NEVER = 0.85
/** What may be lies too far apart to name a time where the middle half of it spans more than this factor (docs/work.md). */
const TOO_WIDE = 1.8
/** Wet pulls of other models are over a little sooner than half of the courses say (docs/work.md). */
const MIDDLE = { dry: 0.5, wet: 0.4 } as const
/** A pull stands where it fell by less than this over the last quarter of its time, as a logarithm. */
const STANDS = 0.05
const LAST = 0.75
/**
 * What is left of a pull is known worse than the courses say when it is little: how much earlier and later it may be, as
 * logarithms, while the rest is a small share of what is over; the range never ends closer than this share after now.
 */
const REST = { earlier: 1.6, later: 0.5, share: 0.25, least: 0.12 } as const

/** One way that a pull may go. */
type Course = {
  readonly states: readonly PullState[]
  /** s until the target; undefined where it levels off above it */
  readonly arrival: number | undefined
  readonly speedFactor: number
  readonly floor: number
  /** log of how well it fits what was seen */
  readonly fit: number
}

type Problem = {
  readonly guess: PullGuess
  readonly curves: PullCurves
  readonly seen: readonly PullPoint[]
  readonly target: number
  readonly atmosphere: number
}

function courseOf({ guess, curves, seen, target, atmosphere }: Problem, deviates: Deviates): Course {
  const speedFactor = Math.exp(deviates.speed * SPEED_SPREAD)
  const floor = mixed(FLOOR, deviates.floor)
  const hoseFactor = Math.exp(deviates.hose * HOSE_SPREAD)
  const inflow = (pascals: number) => pascals * curves.speed(pascals, speedFactor, hoseFactor)
  const pull: Pull = {
    ...guess,
    speedFactor,
    hoseFactor,
    drying: (guess.ways.length > 1 ? DRYING_BY_TWO : 1) * DRYING * Math.exp(deviates.drying * DRYING_SPREAD),
    water: guess.water * Math.exp(deviates.water * Math.log(guess.waterFactor)),
    plateau: PLATEAU * Math.exp(deviates.plateau * PLATEAU_SPREAD),
    inflow: inflow(floor),
    outgassing: inflow(OUTGASSING * Math.exp(deviates.outgassing * OUTGASSING_SPREAD)),
    inner: guess.ways.length > 1 ? undefined : INNER * Math.exp(deviates.inner * INNER_SPREAD),
  }
  const states = pullCourse(pull, atmosphere, target, LIMIT, curves)
  const end = states.at(-1) as PullState
  const arrival = pullPressure(end) <= target ? end.seconds : undefined
  return { states, arrival, speedFactor, floor, fit: fitOf(states, arrival, seen, target) }
}

/** Some looks evenly over a stretch, its last one among them. */
const evenly = (points: readonly PullPoint[], count: number): readonly PullPoint[] =>
  points.length <= count
    ? points
    : Array.from(
        { length: count },
        (_point, i) => points[Math.round((i * (points.length - 1)) / (count - 1))] as PullPoint,
      )

/** Looks over the whole time and closer ones over its end, where water gives out; silent ones left out. */
function thinned(points: readonly PullPoint[]): readonly PullPoint[] {
  const known = points.filter(({ pascals }) => pascals > 0)
  const end = (known.at(-1)?.seconds ?? 0) * (1 - CLOSE_SHARE)
  return [
    ...evenly(
      known.filter(({ seconds }) => seconds < end),
      FAR_POINTS,
    ),
    ...evenly(
      known.filter(({ seconds }) => seconds >= end),
      CLOSE_POINTS,
    ),
  ]
}

/** Log of the likelihood of what was seen on one course. */
function fitOf(
  states: readonly PullState[],
  arrival: number | undefined,
  seen: readonly PullPoint[],
  target: number,
): number {
  const now = seen.at(-1)?.seconds ?? 0
  const sum = seen.reduce((total, { seconds, pascals }) => {
    // past its arrival a course has been at the target: what still stands above it speaks against it
    const scatter = SCATTER * (1 + AGE * (1 - seconds / Math.max(now, 1)))
    const calculated = arrival !== undefined && seconds > arrival ? target : courseAt(states, seconds)
    return total + (Math.log(pascals / calculated) / scatter) ** 2
  }, 0)
  return (-sum / 2) * Math.min(1, INDEPENDENT / Math.max(seen.length, 1))
}

const MEMBERS = 200
const MOVES = 1
const SEED = 1508

/** Ways that a pull may go, each as likely as any other. */
function drawn(problem: Problem): Course[] {
  const evaluate = (deviates: readonly number[]) => {
    const course = courseOf(problem, named(UNKNOWNS, deviates))
    return { of: course, log: course.fit }
  }
  // before anything is seen the draws are as good as they get
  const moves = problem.seen.length > 0 ? MOVES : 0
  const annealing = { dimensions: UNKNOWNS.length, members: MEMBERS, moves, evaluate }
  return anneal(annealing, seededRandom(SEED)).map(({ of }) => of)
}

/** Whether the gauge hardly falls any more: only then it may be said that it never gets there. */
function standsStill(seen: readonly PullPoint[]): boolean {
  const now = seen.at(-1)?.seconds ?? 0
  const meanLog = (points: readonly PullPoint[]) =>
    points.reduce((sum, { pascals }) => sum + Math.log(pascals), 0) / points.length
  const last = seen.filter(({ seconds }) => seconds >= LAST * now)
  const half = Math.floor(last.length / 2)
  if (half === 0) return false
  return meanLog(last.slice(0, half)) - meanLog(last.slice(half)) < STANDS
}

/** Eight in ten of the arrivals, widened where little is left. */
function rangeOf(arrivals: readonly number[], now: number): Forecast['range'] {
  const [from, middle, to] = [TENTH, 0.5, 1 - TENTH].map((share) => quantile(arrivals, share)) as [
    number,
    number,
    number,
  ]
  if (now === 0) return [from, to === Infinity ? undefined : to]
  const near = middle === Infinity ? 1 : Math.exp(-Math.max(middle / now - 1, 0) / REST.share)
  const earliest =
    from === Infinity
      ? now * (1 + REST.least)
      : now + Math.max(from - now, 0) * Math.exp(-REST.earlier * near)
  if (to === Infinity) return [earliest, undefined]
  const latest = now + Math.max(to - now, 0) * Math.exp(REST.later * near)
  return [earliest, Math.max(latest, now * (1 + REST.least))]
}

/** Whether a time may be named: half of the courses arrive close enough to each other. */
const isClose = (arrivals: readonly number[]): boolean =>
  quantile(arrivals, 0.75) <= TOO_WIDE * quantile(arrivals, 0.25) && quantile(arrivals, 0.75) < Infinity

/**
 * When a pull reaches its target: calculated from volume, hoses, pump and water, corrected by what the gauge showed so far
 * (handbook 08) [physics]. Before anything is seen it is the calculation alone.
 * @param points so far, from the start of the pull at the atmosphere, Pa
 * @param target Pa
 */
export function forecastPull(
  guess: PullGuess,
  points: readonly PullPoint[],
  target: number,
  atmosphere = SEA_LEVEL_PASCALS,
): Forecast {
  const seen = thinned(points)
  const courses = drawn({ guess, curves: pullCurves(guess), seen, target, atmosphere })
  const mean = (of: (course: Course) => number) =>
    courses.reduce((sum, course) => sum + of(course), 0) / courses.length
  const arrivals = courses.map(({ arrival }) => arrival ?? Infinity).sort((a, b) => a - b)
  const reached = arrivals.filter((each) => each < Infinity)
  const now = seen.at(-1)?.seconds ?? 0
  const never = 1 - reached.length / arrivals.length
  const isNever = never >= NEVER && standsStill(seen)
  return {
    isTold: isNever || isClose(arrivals),
    seconds:
      isNever || reached.length === 0
        ? undefined
        : quantile(reached, guess.water > 0 ? MIDDLE.wet : MIDDLE.dry),
    range: rangeOf(arrivals, now),
    never,
    floor: mean(({ floor }) => floor),
    speedFactor: Math.exp(mean(({ speedFactor }) => Math.log(speedFactor))),
    waterLeft: mean(({ states }) => (states.findLast(({ seconds }) => seconds <= now) ?? states[0]!).water),
  }
}
