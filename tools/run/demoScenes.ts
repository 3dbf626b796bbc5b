import { loadFor } from '@/core/answer/load'
import { drawnUnit } from '@/core/record/equipment/asked'
import type { StoredJob } from '@/core/record/job/job'
import { documentOf, roundsOf, viewOf } from '@/core/record/job/rounds'
import { type ReportQuestion, scenesOf } from '@/core/report/jobReport'
import { built } from '@/demo/buildDemo'
import { samplesOfRows } from '@/demo/samplesOfRows'

const NOW = Date.parse('2026-11-20T15:00:00Z')

/** Demo jobs, each with the question that its report answers and the scenes of its repairs. @param ids which; all where not given */
export async function demoScenes(...ids: readonly string[]) {
  const jobs = built(new Date(NOW), ids.length > 0 ? ids : undefined)
  return Promise.all(
    jobs.map(async ({ job, chunks }) => {
      await loadFor(drawnUnit(job.unit), job)
      const document = documentOf(job)
      const question: ReportQuestion = {
        views: roundsOf(document).map(({ id }) => viewOf(document, id)),
        samples: samplesOfRows(chunks),
        display: { temperature: 'F' },
        now: Date.parse(job.updatedAt),
      }
      return { job: job as StoredJob, document, question, scenes: scenesOf(question) }
    }),
  )
}
