import { STAGES, type Stage } from '@/core/record/job/stages'

export const SHEETS = ['print', 'load-out'] as const
export type JobPageName = Stage | (typeof SHEETS)[number]
const PAGES: readonly string[] = [...STAGES, ...SHEETS]

/** What stands behind the question mark: which view, step or log is looked at. */
export type Query = Readonly<Record<string, string | undefined>>

/** Where of a job an address leads; without a page it is the stage at which the job stands. */
export type JobPlace = { readonly jobId: string; readonly page?: JobPageName }

/** The path of a page of a job. */
export const jobPath = (jobId: string, page: JobPageName): string =>
  `/job/${encodeURIComponent(jobId)}/${page}`

/** A search text with what is changed; what is undefined is taken away. @returns "" where nothing is left */
export function searchWith(search: string, change: Query): string {
  const params = new URLSearchParams(search)
  for (const [key, value] of Object.entries(change)) {
    if (value === undefined || value === '') params.delete(key)
    else params.set(key, value)
  }
  const text = params.toString()
  return text === '' ? '' : `?${text}`
}

function decoded(part: string): string | undefined {
  try {
    return decodeURIComponent(part)
  } catch {
    return undefined
  }
}

/** Reads a path below /job. @returns undefined where it leads nowhere */
export function readJobPath(path: string): JobPlace | undefined {
  const [root, id, page, ...rest] = path.split('/').filter((part) => part !== '')
  const jobId = id === undefined ? undefined : decoded(id)
  if (root !== 'job' || !jobId || rest.length > 0) return undefined
  if (page === undefined) return { jobId }
  return PAGES.includes(page) ? { jobId, page: page as JobPageName } : undefined
}
