import type { Plan } from '../plan/plan'
import { type Effort, USUAL_EFFORT } from '../schedule/solve'
import { dayPartOf, dayTaskOf } from './activities'
import { type DayReturn, type LaterVisit, laterVisit } from './laterVisits'
import { planWork, type WorkDay, type WorkQuestion } from './workDay'

export type DayPlan = WorkDay & {
  /** the later visits that open it again */
  readonly later: readonly LaterVisit[]
}

export type DayQuestion = WorkQuestion & { readonly later: readonly DayReturn[] }

/** The time plan that a plan asks for: what is done, what must be in hand, who comes back, and the day. */
export const dayQuestionOf = ({
  tasks,
  parts,
  returns,
  day,
}: Pick<Plan, 'tasks' | 'parts' | 'returns' | 'day'>): DayQuestion => ({
  tasks: tasks.map(dayTaskOf),
  parts: parts.map(dayPartOf),
  later: returns.map(({ hours, sentence, tasks: own }) => ({ hours, sentence, tasks: own.map(dayTaskOf) })),
  day,
})

/**
 * The time plan of a day or several: least finishing time for the people there are, each machine once, in the hours, weather
 * and deliveries given; half and nine in ten of drawn days; the later visits, each in the hours of its own day.
 * @param effort how long is searched for a better one
 */
export function planDay(question: DayQuestion, effort: Effort = USUAL_EFFORT): DayPlan {
  const work = planWork(question, effort)
  const { running } = work
  return { ...work, later: running ? question.later.map((each) => laterVisit(each, question.day, work)) : [] }
}
