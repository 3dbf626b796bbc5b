import { seededRandom } from '../../base/numeric/random'
import { threePoint } from '../../base/numeric/beta'
import { NEVER } from './calendar'
import type { Minutes, Placed, Problem } from './model'
import { networkOf } from './network'
import { place } from './place'

/** What a task may take: hands on, then unattended. */
export type Estimate = {
  readonly handsOn: Minutes
  readonly unattended?: Minutes | undefined
  /** that it fails on a share of the days, and what it takes to do it again */
  readonly again?: { readonly chance: number; readonly minutes: Minutes }
}

/** A moment that is passed by half of the drawn days, and by nine in ten; NEVER where they do not end inside the horizon. */
export type Percentiles = { readonly p50: number; readonly p90: number }

export type Spread = {
  readonly finish: Percentiles
  /** the end of each activity, by its number */
  readonly ends: readonly Percentiles[]
  /** share of the drawn days that come to an end inside the horizon */
  readonly ended: number
}

/** Days that are drawn; the seed is the same for each plan, so that two plans are compared on the same luck. */
const DAYS = 300
const SEED = 20_260

/** The moment that half of the drawn days meet, and nine in ten: the fifth and the ninth of ten. */
export const percentiles = (all: readonly number[]): Percentiles => {
  const sorted = [...all].sort((a, b) => a - b)
  const at = (share: number) =>
    sorted[Math.min(sorted.length - 1, Math.ceil(share * sorted.length) - 1)] ?? NEVER
  return { p50: at(0.5), p90: at(0.9) }
}

/**
 * How the finish and the end of each activity vary when every task takes what a draw of its three-point estimate gives, and the
 * work keeps the order of the plan.
 * @param estimates of the activities, in their order
 */
export function spreadOf(
  problem: Problem,
  estimates: readonly Estimate[],
  plan: readonly Placed[],
  days: number = DAYS,
): Spread {
  const random = seededRandom(SEED)
  const drawn = (minutes: Minutes | undefined) => (minutes ? Math.round(threePoint(...minutes, random)) : 0)
  // both are drawn whether it fails or not: two plans are compared on the same luck
  const failed = ({ again }: Estimate) => {
    if (!again) return 0
    const [isFailed, minutes] = [random() < again.chance, drawn(again.minutes)]
    return isFailed ? minutes : 0
  }
  const order = plan.map((_each, i) => i).sort((a, b) => plan[a]!.start - plan[b]!.start || a - b)
  const network = networkOf(problem)
  const finishes: number[] = []
  const ends: number[][] = problem.activities.map(() => [])
  for (let day = 0; day < days; day += 1) {
    const activities = problem.activities.map((each, i) => {
      const handsOn = Math.max(1, drawn(estimates[i]!.handsOn)) + failed(estimates[i]!)
      return {
        ...each,
        handsOn,
        ...(each.second ? { second: Math.min(each.second, handsOn) } : {}),
        unattended: drawn(estimates[i]!.unattended),
      }
    })
    const { fits, finish } = place({ ...network, activities }, order)
    finishes.push(finish)
    fits.forEach((fit, i) => ends[i]!.push(fit?.end ?? NEVER))
  }
  return {
    finish: percentiles(finishes),
    ends: ends.map(percentiles),
    ended: finishes.filter((finish) => finish < NEVER).length / days,
  }
}
