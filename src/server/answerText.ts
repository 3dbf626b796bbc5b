import { createAnswerer } from '@/core/answer/answer'
import { diagnoseJob } from '@/core/answer/diagnoseJob'
import { loadFor } from '@/core/answer/load'
import { attempt } from '@/core/base/errors/orzoError'
import { withKnownIds } from '@/core/diagnosis/proof/knownIds'
import { diagnosisJson } from '@/core/door/diagnosisJson'
import { planJson } from '@/core/door/planJson'
import type { KnownJob } from '@/core/record/job/job'
import { knownJob } from '@/core/record/job/known'
import { readJobText } from '@/core/record/job/readJob'
import { viewOf } from '@/core/record/job/rounds'
import type { Place } from './problem'

/** What can be asked of a job. */
const ASKED = {
  diagnose: (job: KnownJob) => diagnosisJson(diagnoseJob(job)),
  plan: (job: KnownJob) => planJson(createAnswerer().whole({ job }).plan),
} as const
export type Ask = keyof typeof ASKED

/** An answer as JSON text, or what is wrong with the job. */
export type Answered =
  { readonly json: string } | { readonly status: 400 | 413 | 422; readonly problems: readonly Place[] }

/** Reads a job and answers as the headless door does. @param text of a job document */
export async function answerText(ask: Ask, text: string): Promise<Answered> {
  const reading = withKnownIds(readJobText(text))
  if (!reading.ok) return { status: reading.code === 'too-large' ? 413 : 400, problems: reading.problems }
  const known = attempt(() => knownJob(viewOf(reading.job)))
  if (!known.ok) return { status: 400, problems: [{ path: 'unit', message: known.error.message }] }
  await loadFor(known.value.unit, known.value)
  const result = attempt(() => ASKED[ask](known.value))
  return result.ok
    ? { json: JSON.stringify(result.value) }
    : { status: 422, problems: [{ path: 'the job', message: result.error.message }] }
}
