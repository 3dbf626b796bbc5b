import { createAnswerer, type Question } from '@/core/answer/answer'
import { compareSets } from '@/core/answer/comparison'
import { loadFor } from '@/core/answer/load'
import { decisionStatesOf } from '@/core/diagnosis/proof/decisionState'
import type { Display } from '@/core/base/units/show'
import { drawnUnit } from '@/core/record/equipment/asked'
import type { Job } from '@/core/record/job/job'
import { documentOf, roundsOf, viewOf } from '@/core/record/job/rounds'
import { setsOfRound } from '@/core/record/job/setsOfRound'
import { withRefrigerants } from '@/core/record/state/refrigerants'
import { effectsOf } from '@/core/repair/plan/tasks/tasks'
import { legibleJob } from '@/core/record/job/known'

export type CompareQuestion = {
  readonly job: Pick<Job, 'unit' | 'arrival' | 'readingSets'>
  readonly display: Display
  readonly ids?: readonly (string | undefined)[]
}

/** What the answering worker can be asked. Tables and books are fetched once. */
export function answerHandlers() {
  const answerer = createAnswerer()
  return {
    async *answer(question: Question) {
      await loadFor(drawnUnit(question.job.unit), question.job)
      return yield* answerer.inSteps(question)
    },
    async *compare({ job, display, ids }: CompareQuestion) {
      const known = legibleJob(job)
      await loadFor(known.unit, known)
      return compareSets(known, display, ids)
    },
    /** What was decided on jobs, in every round of each. */
    async *decisionStates(jobs: readonly Job[]) {
      const views = jobs.map((job) =>
        roundsOf(job).map(({ id }) => withRefrigerants(legibleJob(viewOf(documentOf(job), id)), effectsOf)),
      )
      await Promise.all(views.flat().map((view) => loadFor(view.unit, view)))
      return views.map((rounds) =>
        rounds.flatMap((view) => decisionStatesOf({ ...view, readingSets: setsOfRound(view) })),
      )
    },
  }
}
