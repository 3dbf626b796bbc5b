import { excessOf } from '../../base/json/excess'
import { type DataProblem, problemsOf, type RawData } from '../records/kind'
import { JOB_FORMAT, JOB_VERSION, type JobDocument, jobSchema } from './job'
import { migrate } from './migrations'
import { rangeProblems } from './ranges'
import { withoutCaches } from './verdictCache'
import { CURRENT_KINDS, type FileEnvelopes, fileEnvelopesSchema, withNewRecords } from './recordsOfFile'

/** Why a document was refused: where in it, and what to do. */
export type JobProblem = DataProblem

/** Outcome of reading a document: a value, never a throw. */
export type JobReading =
  | { readonly ok: true; readonly job: JobDocument; readonly envelopes?: FileEnvelopes }
  | {
      readonly ok: false
      readonly code: 'too-large' | 'not-json' | 'not-a-job' | 'newer-version' | 'invalid'
      readonly problems: readonly JobProblem[]
    }

/** Largest text that is read, characters; a job with years of logs stays far below. */
export const LARGEST_JOB_TEXT = 10_000_000

const refuse = (
  code: Exclude<JobReading, { ok: true }>['code'],
  path: string,
  message: string,
): JobReading => ({
  ok: false,
  code,
  problems: [{ path, message }],
})

/** Line and column of a JSON error, where the engine tells its position. */
function placeInText(text: string, error: unknown): string {
  const cutOff = /end of (JSON|data|input)|unterminated/i.test(String(error))
  const position = /position (\d+)/.exec(String(error))?.[1] ?? (cutOff ? text.length : undefined)
  if (position === undefined) return 'the text'
  const before = text.slice(0, Number(position)).split('\n')
  return `line ${before.length}, column ${(before.at(-1) ?? '').length + 1}`
}

/** Reads an unknown value as a job: recognises the format, migrates, validates. */
export function readJobValue(value: unknown): JobReading {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    return refuse('not-a-job', 'the document', 'is not an object: choose a file that Orzo exported')
  }
  const document = value as RawData
  if (document.format !== JOB_FORMAT) {
    return refuse('not-a-job', 'format', `is not "${JOB_FORMAT}": choose a file that Orzo exported`)
  }
  const { version } = document
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return refuse('not-a-job', 'version', 'is not a whole number from 1')
  }
  if (version > JOB_VERSION) {
    return refuse(
      'newer-version',
      'version',
      `${version} is newer than this Orzo reads (${JOB_VERSION}): update Orzo`,
    )
  }
  const { kinds = CURRENT_KINDS, envelopes, ...rest } = migrate(document, version)
  const records = withNewRecords(rest, kinds)
  if ('problem' in records) return { ok: false, code: records.code, problems: [records.problem] }
  const result = jobSchema.safeParse(records.document, { reportInput: true })
  if (!result.success) return { ok: false, code: 'invalid', problems: problemsOf(result.error) }
  const impossible = rangeProblems(result.data)
  if (impossible.length > 0) return { ok: false, code: 'invalid', problems: impossible }
  const job = withoutCaches(result.data)
  if (envelopes === undefined) return { ok: true, job }
  const kept = fileEnvelopesSchema.safeParse(envelopes, { reportInput: true })
  if (!kept.success) {
    const problems = problemsOf(kept.error, '').map(({ path, message }) => ({
      path: path ? `envelopes.${path}` : 'envelopes',
      message,
    }))
    return { ok: false, code: 'invalid', problems }
  }
  return { ok: true, job, envelopes: kept.data }
}

export const tooLarge = (): JobReading => refuse('too-large', 'the file', 'is larger than 10 MB: no job is')

/** A field that no object may have: what reads it would change what every object is. What stands in a text has its quotes escaped. */
const PROTOTYPE = /"__proto__"\s*:/

const EXCESS = {
  deep: 'holds brackets far deeper than a job does: choose a file that Orzo exported',
  many: 'holds far more values than a job does: choose a file that Orzo exported',
} as const

/** Reads the text of a file as a job. */
export function readJobText(text: string): JobReading {
  if (text.length > LARGEST_JOB_TEXT) return tooLarge()
  const excess = excessOf(text)
  if (excess) return refuse('not-a-job', 'the document', EXCESS[excess])
  if (PROTOTYPE.test(text))
    return refuse('invalid', '__proto__', 'is no field of a job: take it out of the file')
  let value: unknown
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch (error) {
    return refuse(
      'not-json',
      placeInText(text, error),
      'is not JSON: the file is damaged or cut off, export it again',
    )
  }
  return readJobValue(value)
}

/** The same document with its fields in the order of the schema: what was read and written again is the same text. */
function inOrder(job: JobDocument): JobDocument {
  const result = jobSchema.safeParse(job)
  return result.success ? result.data : job
}

/** The text of an exported file. @param envelopes of its records, where it comes out of a store */
export function writeJobText(job: JobDocument, envelopes?: FileEnvelopes): string {
  const { format, version, ...rest } = inOrder(withoutCaches(job))
  const document = { format, version, kinds: CURRENT_KINDS, ...rest, ...(envelopes ? { envelopes } : {}) }
  return `${JSON.stringify(document, null, 2)}\n`
}

/** One sentence that names the place. */
export const problemSentence = ({ path, message }: JobProblem): string => `${path} ${message}.`
