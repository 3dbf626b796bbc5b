import { z } from '../../base/schema/zod'
import { envelopeSchema } from '../records/envelope'
import { headSchema } from '../records/head'
import { type DataProblem, type RawData } from '../records/kind'
import { KIND_NAMES, type KindName, LIST_KINDS, LISTS, RECORD_KINDS } from '../records/kinds'

/** Version of each kind of record, as a file says it; what it does not name is in the first. */
export type KindVersions = { readonly [K in KindName]?: number }
export const CURRENT_KINDS: KindVersions = Object.fromEntries(
  KIND_NAMES.map((kind) => [kind, RECORD_KINDS[kind].version]),
)

/** What a file keeps of a record beside its data: when it was changed, by which device, how often; removed ones too. */
const fileEnvelopeSchema = envelopeSchema.pick({
  order: true,
  rev: true,
  clock: true,
  device: true,
  at: true,
  deleted: true,
})

/** Envelopes by kind and id: "set/abc". */
export const fileEnvelopesSchema = z.record(z.string(), fileEnvelopeSchema, {
  error: 'is no list of envelopes',
})
export type FileEnvelopes = z.infer<typeof fileEnvelopesSchema>
export const envelopeKey = (kind: KindName, id: string): string => `${kind}/${id}`

const isObject = (value: unknown): value is RawData =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

type Refused = { readonly code: 'newer-version' | 'invalid'; readonly problem: DataProblem }
const invalid = (path: string, message: string): Refused => ({ code: 'invalid', problem: { path, message } })

/** The version of a kind in a file, or why it cannot be read. */
function versionOf(kinds: unknown, kind: KindName): number | Refused {
  const path = `kinds.${kind}`
  if (!isObject(kinds)) return invalid('kinds', 'is no list of kinds')
  const version = kinds[kind] ?? 1
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return invalid(path, 'is not a whole number from 1')
  const known = RECORD_KINDS[kind].version
  if (version <= known) return version
  const message = `${version} is newer than this Orzo reads (${known}): update Orzo`
  return { code: 'newer-version', problem: { path, message } }
}

function newer(kind: KindName, version: number, data: unknown): unknown {
  if (!isObject(data)) return data
  return RECORD_KINDS[kind].migrations
    .filter(({ to }) => to > version)
    .reduce((current, { change }) => change(current), data)
}

const HEAD_KEYS = Object.keys(headSchema.shape)

/**
 * The records of a document in the version of their kinds: the same steps that serve a stored row.
 * @param kinds versions of the kinds as the file names them
 */
export function withNewRecords(document: RawData, kinds: unknown): { readonly document: RawData } | Refused {
  const versions = new Map<KindName, number>()
  for (const kind of KIND_NAMES) {
    const version = versionOf(kinds, kind)
    if (typeof version !== 'number') return version
    versions.set(kind, version)
  }
  const isOfHead = ([key]: readonly [string, unknown]) => HEAD_KEYS.includes(key)
  const all = Object.entries(document)
  const head = newer('head', versions.get('head')!, Object.fromEntries(all.filter(isOfHead)))
  const next: RawData = {
    ...Object.fromEntries(all.filter((entry) => !isOfHead(entry))),
    ...(head as RawData),
  }
  for (const kind of LIST_KINDS) {
    const list = document[LISTS[kind].list]
    if (Array.isArray(list))
      next[LISTS[kind].list] = list.map((data: unknown) => newer(kind, versions.get(kind)!, data))
  }
  return { document: next }
}
