import { type DecayQuestion, knownFit } from '@/core/repair/logs/decayFit'
import type { KnownFit } from '@/core/repair/logs/judgeDecay'
import { answerForecast, type ForecastAnswer, type ForecastQuestion } from '@/core/repair/logs/pullForecast'

/** What the worker of fits can be asked. */
export function fitHandlers() {
  return {
    async *decay(question: DecayQuestion): AsyncGenerator<never, KnownFit> {
      return knownFit(question)
    },
    async *forecast(question: ForecastQuestion): AsyncGenerator<never, ForecastAnswer> {
      return answerForecast(question)
    },
  }
}
