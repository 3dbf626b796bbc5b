import { attempt } from '@/core/base/errors/orzoError'
import { withKnownIds } from '@/core/diagnosis/proof/knownIds'
import { loadFor } from '@/core/answer/load'
import type { KnownJob } from '@/core/record/job/job'
import { knownJob } from '@/core/record/job/known'
import { viewOf } from '@/core/record/job/rounds'
import { LARGEST_JOB_TEXT, readJobText } from '@/core/record/job/readJob'

const problem = (status: number, problems: readonly { path: string; message: string }[]) =>
  Response.json({ problems }, { status })

/** The body as text, read no further than the limit; undefined when it is larger. */
async function limitedText(request: Request): Promise<string | undefined> {
  const reader = request.body?.pipeThrough(new TextDecoderStream()).getReader()
  if (!reader) return ''
  let text = ''
  for (;;) {
    const { done, value } = await reader.read()
    if (done) return text
    text += value
    if (text.length > LARGEST_JOB_TEXT) {
      await reader.cancel()
      return undefined
    }
  }
}

/** Reads a job from the body and answers with the same JSON as the headless door. */
export async function answerJob(
  request: Request,
  compute: (job: KnownJob) => Record<string, unknown>,
): Promise<Response> {
  const text = await limitedText(request)
  if (text === undefined)
    return problem(413, [{ path: 'the body', message: 'is larger than 10 MB: no job is' }])
  const reading = withKnownIds(readJobText(text))
  if (!reading.ok) return problem(400, reading.problems)
  const known = attempt(() => knownJob(viewOf(reading.job)))
  if (!known.ok) return problem(400, [{ path: 'unit', message: known.error.message }])
  await loadFor(known.value.unit, known.value)
  const result = attempt(() => compute(known.value))
  return result.ok
    ? Response.json(result.value)
    : problem(400, [{ path: 'the job', message: result.error.message }])
}
