import { dayIn } from '../../base/units/instants'
import type { Stage } from './stages'
import type { JobSummary } from './summary'

/** The line of a job in a list. */
export type Listed = {
  readonly id: string
  readonly updatedAt: string
  readonly progress: Stage
  readonly summary: JobSummary
}

export const SORTS = ['changed', 'begun', 'name'] as const
export type Sort = (typeof SORTS)[number]

/** Days back from now that a job was changed in; 0: today. */
export const PERIODS = [0, 7, 30, 365] as const
export type Period = (typeof PERIODS)[number]

/** What is looked for in a list of jobs. */
export type Wanted = {
  readonly words: string
  readonly stage?: Stage | undefined
  readonly place?: string | undefined
  readonly period?: Period | undefined
  readonly sort: Sort
}
export const EVERYTHING: Wanted = { words: '', sort: 'changed' }

/** Whether anything is looked for: then an empty list says so. */
export const isSearching = ({ words, stage, place, period }: Wanted): boolean =>
  words.trim() !== '' || stage !== undefined || place !== undefined || period !== undefined

const DAY = 86_400_000

const bare = (text: string) => text.toLowerCase().normalize('NFD').replace(/\p{M}/gu, '')
/** "R-22" is found by "r22" and by "22". */
const joined = (text: string) => text.replace(/[^\p{L}\p{N}\s]+/gu, '')

const texts = new WeakMap<JobSummary, string>()

/** Everything of a line that is searched, made once for each summary. */
function textOf(summary: JobSummary): string {
  const known = texts.get(summary)
  if (known !== undefined) return known
  const { title, complaint, unitName, siteName, kind, refrigerant } = summary
  const said = bare([title, complaint, unitName, siteName, kind, refrigerant].filter(Boolean).join(' '))
  const text = `${said} ${joined(said)}`
  texts.set(summary, text)
  return text
}

/** The words that are looked for; each must be somewhere in the line. */
const wordsOf = (words: string): string[] =>
  bare(words)
    .split(/\s+/)
    .filter((word) => word !== '')

const nameOf = ({ summary }: Listed) => (summary.title ?? summary.unitName ?? '').trim()

const ORDERS: Readonly<Record<Sort, (a: Listed, b: Listed) => number>> = {
  changed: (a, b) => (a.updatedAt < b.updatedAt ? 1 : a.updatedAt > b.updatedAt ? -1 : 0),
  begun: (a, b) => {
    const [first, second] = [a.summary.createdAt ?? '', b.summary.createdAt ?? '']
    return first < second ? 1 : first > second ? -1 : 0
  },
  name: (a, b) => NAMES.compare(nameOf(a), nameOf(b)),
}
const NAMES = new Intl.Collator('en', { numeric: true, sensitivity: 'base' })

function isWithin(updatedAt: string, period: Period, now: number, zone: string): boolean {
  const at = Date.parse(updatedAt)
  return period === 0 ? dayIn(at, zone) === dayIn(now, zone) : now - at <= period * DAY
}

/** The lines that are looked for, in the wanted order. @param now ms since the epoch @param zone of the days */
export function findJobs<T extends Listed>(
  rows: readonly T[],
  { words, stage, place, period, sort }: Wanted,
  now: number,
  zone: string,
): T[] {
  const parts = wordsOf(words)
  const found = rows.filter(
    ({ summary, progress, updatedAt }) =>
      (stage === undefined || progress === stage) &&
      (place === undefined || summary.siteName === place) &&
      (period === undefined || isWithin(updatedAt, period, now, zone)) &&
      parts.every((part) => textOf(summary).includes(part)),
  )
  return found.sort(ORDERS[sort])
}

/** The places of the jobs, by name. */
export const placesIn = (rows: readonly Listed[]): string[] =>
  [...new Set(rows.flatMap(({ summary }) => summary.siteName ?? []))].sort(NAMES.compare)
