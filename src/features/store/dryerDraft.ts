import { attempt } from '@/core/base/errors/orzoError'
import { numberTyped } from '@/core/base/units/numberTyped'
import { measureOf } from '@/core/record/archive/dryerCsv'
import { type Dryer, dryerSchema } from '@/core/record/records/dryer'

/** What is written of a dryer before it is stored: texts where a text is typed. */
export type DryerDraft = Partial<Omit<Dryer, 'connections' | 'block' | 'tons' | 'onVan'>> & {
  readonly block: string
  readonly tons: string
  readonly onVan: string
  readonly connections: string
}

export const EMPTY_DRAFT: DryerDraft = {
  place: 'liquid',
  flow: 'one-way',
  core: 'sieve',
  block: '',
  tons: '',
  onVan: '',
  connections: '',
}

/** A dryer as it is written into the fields. */
export const draftOf = ({ connections, block, tons, onVan, ...rest }: Dryer): DryerDraft => ({
  ...rest,
  block: String(block),
  tons: String(tons),
  onVan: onVan === undefined ? '' : String(onVan),
  connections: connections.map(({ value, unit }) => `${value} ${unit}`).join('; '),
})

export type DraftReading =
  | { readonly ok: true; readonly dryer: Dryer }
  | { readonly ok: false; readonly problems: Readonly<Record<string, string>> }

const NUMBERS = ['block', 'tons', 'onVan'] as const

/** Reads what was written: a dryer, or what to do at each field. */
export function readDraft(draft: DryerDraft, id: string): DraftReading {
  const problems: Record<string, string> = {}
  const values: Record<string, unknown> = { ...draft, id: draft.id ?? id }
  for (const field of NUMBERS) {
    const text = draft[field].trim()
    delete values[field]
    if (text === '') continue
    const read = attempt(() => numberTyped(text))
    if (read.ok) values[field] = read.value
    else problems[field] = read.error.message
  }
  const sizes = attempt(() =>
    draft.connections
      .split(';')
      .map((part) => part.trim())
      .filter((part) => part !== '')
      .map((part) => measureOf(part, 'length', 'in')),
  )
  if (sizes.ok) values.connections = sizes.value
  else problems.connections = sizes.error.message
  for (const key of Object.keys(values)) if (values[key] === undefined) delete values[key]
  const result = dryerSchema.safeParse(values, { reportInput: true })
  if (!result.success)
    for (const { path, message, input } of result.error.issues)
      problems[String(path[0] ?? 'label')] ??= input === undefined ? 'is missing' : message
  return result.success && Object.keys(problems).length === 0
    ? { ok: true, dryer: result.data }
    : { ok: false, problems }
}
