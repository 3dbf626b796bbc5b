import type { z } from '../../base/schema/zod'

/** Data of some version before it is validated. */
export type RawData = Record<string, unknown>

/** One step from version `to - 1` to version `to`; it never sees anything newer. */
export type Migration = { readonly to: number; readonly change: (data: RawData) => RawData }

/** A step after which older data is already what the newer version holds: fields were added that may be missing. */
export const widened = (to: number): Migration => ({ to, change: (data) => data })

/** A kind of record: what it holds, its version, how older data becomes newer, what stands where nothing was said. */
export type RecordKind<K extends string, T> = {
  readonly kind: K
  readonly version: number
  readonly schema: z.ZodType<T>
  /** numbered from 2 without a gap, up to `version` */
  readonly migrations: readonly Migration[]
  /** what a new one starts with, beside what must be known */
  readonly defaults: Partial<T>
}

/** Checks a kind as it is written. @throws Error for a gap in the numbers: a programmer's mistake */
export function defineKind<K extends string, T>(kind: RecordKind<K, T>): RecordKind<K, T> {
  const numbers = kind.migrations.map(({ to }) => to).join()
  const wanted = Array.from({ length: kind.version - 1 }, (_v, i) => i + 2).join()
  if (numbers !== wanted)
    throw new Error(`${kind.kind}: migrations ${numbers || 'none'}, wanted ${wanted || 'none'}`)
  return kind
}

/** Why data was refused: where in it, and what to do. */
export type DataProblem = { readonly path: string; readonly message: string }

/** Outcome of reading: a value, never a throw. */
export type DataReading<T> =
  | { readonly ok: true; readonly data: T }
  | {
      readonly ok: false
      readonly code: 'newer-version' | 'invalid'
      readonly problems: readonly DataProblem[]
    }

const MOST_PROBLEMS = 12
/** Fields that are named, and how much of each. */
const MOST_NAMED = 5
const LONGEST_NAMED = 60

/** "readingSets[0].readings.suctionPressure.value" from the parts of a path. */
export function pathText(path: readonly PropertyKey[], whole = 'the document'): string {
  const text = path.map((part) => (typeof part === 'number' ? `[${part}]` : `.${String(part)}`)).join('')
  return text.replace(/^\./, '') || whole
}

function sentenceOf(issue: z.core.$ZodIssue): string {
  if (issue.code === 'unrecognized_keys') {
    const more = issue.keys.length - MOST_NAMED
    const named = issue.keys.slice(0, MOST_NAMED).map((key) => `"${key.slice(0, LONGEST_NAMED)}"`)
    return `holds ${named.join(', ')}${more > 0 ? ` and ${more} more` : ''}, which Orzo does not know`
  }
  if (issue.code === 'invalid_type' && issue.input === undefined) return 'is missing'
  return issue.message
}

/** What a validator found, each with its place. */
export const problemsOf = ({ issues }: z.core.$ZodError, whole?: string): DataProblem[] =>
  issues.slice(0, MOST_PROBLEMS).map((issue) => ({
    path: pathText(issue.path, whole),
    message: sentenceOf(issue),
  }))

/** Reads stored data of any version: newer is refused, older is changed step by step, then it is validated. */
export function readData<T>(kind: RecordKind<string, T>, version: number, data: unknown): DataReading<T> {
  if (version > kind.version) {
    const message = `${version} is newer than this Orzo reads (${kind.version}): update Orzo`
    return { ok: false, code: 'newer-version', problems: [{ path: 'version', message }] }
  }
  const isObject = typeof data === 'object' && data !== null && !Array.isArray(data)
  const current = isObject
    ? kind.migrations
        .filter(({ to }) => to > version)
        .reduce((older, step) => step.change(older), data as RawData)
    : data
  const result = kind.schema.safeParse(current, { reportInput: true })
  // what was stored is kept as it is, so that it stays the same object; the validator only looks at it
  return result.success
    ? { ok: true, data: current as T }
    : { ok: false, code: 'invalid', problems: problemsOf(result.error, `the ${kind.kind}`) }
}
