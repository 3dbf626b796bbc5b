import { type DecayFit, type DecayPoint, fitDecay } from '@/core/physics/processes/decay'
import {
  type Forecast,
  forecastPull,
  type PullGuess,
  type PullPoint,
} from '@/core/physics/processes/forecast'

export type DecayQuestion = { readonly points: readonly DecayPoint[]; readonly ceiling: number }
export type ForecastQuestion = {
  readonly guess: PullGuess
  readonly points: readonly PullPoint[]
  readonly target: number
  readonly atmosphere: number
  /** the same pull with other hoses, each reckoned alone */
  readonly others: readonly PullGuess[]
}
export type ForecastAnswer = {
  readonly forecast: Forecast
  /** s until the target with the other hoses, before anything is seen */
  readonly others: readonly (number | undefined)[]
  /** s by the reckoning alone */
  readonly reckoned: number | undefined
}

/** What the worker of fits can be asked. */
export function fitHandlers() {
  return {
    async *decay({ points, ceiling }: DecayQuestion): AsyncGenerator<never, DecayFit | undefined> {
      return fitDecay(points, ceiling)
    },
    async *forecast({
      guess,
      points,
      target,
      atmosphere,
      others,
    }: ForecastQuestion): AsyncGenerator<never, ForecastAnswer> {
      const alone = (setup: PullGuess) => forecastPull(setup, [], target, atmosphere).seconds
      return {
        forecast: forecastPull(guess, points, target, atmosphere),
        reckoned: alone(guess),
        others: others.map(alone),
      }
    },
  }
}
