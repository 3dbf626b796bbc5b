import { createAnswerer, type Question } from '@/core/answer/answer'
import { compareSets } from '@/core/answer/comparison'
import { loadFor } from '@/core/answer/load'
import { standingsOf } from '@/core/diagnosis/proof/standing'
import type { Display } from '@/core/base/units/show'
import type { Job } from '@/core/record/job/job'

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
      await loadFor(question.job.unit)
      return yield* answerer.inSteps(question)
    },
    async *compare({ job, display, ids }: CompareQuestion) {
      await loadFor(job.unit)
      return compareSets(job, display, ids)
    },
    async *standings(jobs: readonly Job[]) {
      await Promise.all(jobs.map(({ unit }) => loadFor(unit)))
      return jobs.map(standingsOf)
    },
  }
}
