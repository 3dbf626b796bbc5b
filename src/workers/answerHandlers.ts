import { createAnswerer, type Question } from '@/core/answer/answer'
import { compareSets } from '@/core/answer/comparison'
import { loadFor } from '@/core/answer/load'
import { decisionStatesOf } from '@/core/diagnosis/proof/decisionState'
import type { Display } from '@/core/base/units/show'
import { drawnUnit } from '@/core/record/equipment/asked'
import type { Job } from '@/core/record/job/job'
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
      await loadFor(known.unit)
      return compareSets(known, display, ids)
    },
    async *decisionStates(jobs: readonly Job[]) {
      const known = jobs.map(legibleJob)
      await Promise.all(known.map(({ unit }) => loadFor(unit)))
      return known.map(decisionStatesOf)
    },
  }
}
