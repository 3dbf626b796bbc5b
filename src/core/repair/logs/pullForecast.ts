import { type Forecast, forecastPull, type PullGuess, type PullPoint } from '../../physics/processes/forecast'

/** What a forecast of a pull is made from. SI */
export type ForecastQuestion = {
  readonly guess: PullGuess
  readonly points: readonly PullPoint[]
  readonly target: number
  readonly atmosphere: number
  /** the same pull with other hoses, each calculated alone */
  readonly others: readonly PullGuess[]
}

/** When a pull gets there, by what was seen of it and by calculation alone. */
export type ForecastAnswer = {
  readonly forecast: Forecast
  /** s until the target with the other hoses, before anything is seen */
  readonly others: readonly (number | undefined)[]
  /** s by the calculation alone */
  readonly calculated: number | undefined
}

/** Foretells a pull, and the same one with other hoses. */
export function answerForecast({
  guess,
  points,
  target,
  atmosphere,
  others,
}: ForecastQuestion): ForecastAnswer {
  const alone = (setup: PullGuess) => forecastPull(setup, [], target, atmosphere).seconds
  return {
    forecast: forecastPull(guess, points, target, atmosphere),
    calculated: alone(guess),
    others: others.map(alone),
  }
}
