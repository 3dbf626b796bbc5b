import { type DayQuestion, planDay } from '@/core/repair/day/planDay'
import { USUAL_EFFORT } from '@/core/repair/schedule/solve'

/** What is shown while the search goes on: a good plan, seldom not the best. */
const AT_ONCE = { moves: 60, states: 1500 } as const

/** What the worker of the time plan can be asked. */
export function scheduleHandlers() {
  return {
    async *day(question: DayQuestion) {
      const quick = planDay(question, AT_ONCE)
      if (quick.isProven) return quick
      yield quick
      return planDay(question, USUAL_EFFORT)
    },
  }
}
