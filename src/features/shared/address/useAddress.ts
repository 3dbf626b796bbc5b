'use client'
import { usePathname, useSearchParams } from 'next/navigation'
import { useEffect, useSyncExternalStore } from 'react'
import { type JobPageName, jobPath, type Query, searchWith } from './jobAddress'

/** The last search text of each path: a stage is found again as it was left. */
const left = new Map<string, string>()

const watchers = new Set<() => void>()
function watch(onChange: () => void): () => void {
  watchers.add(onChange)
  window.addEventListener('popstate', onChange)
  return () => {
    watchers.delete(onChange)
    window.removeEventListener('popstate', onChange)
  }
}

/** What stands behind the question mark, as it is now. */
export function useSearch(): string {
  const routed = useSearchParams() as URLSearchParams | null
  // outside of the router, as in a test of one stage, the window says it
  const own = useSyncExternalStore(
    watch,
    () => window.location.search,
    () => '',
  )
  return routed ? routed.toString() : own
}

function push(path: string, search: string): void {
  left.set(path, search)
  // what is there already is no new place: Back would seem to do nothing
  if (`${window.location.pathname}${window.location.search}` === `${path}${search}`) return
  window.history.pushState(null, '', `${path}${search}`)
  for (const tell of watchers) tell()
}

/** Writes what is looked at into the address; Back has what was looked at before. */
export const lookAt = (change: Query): void =>
  push(window.location.pathname, searchWith(window.location.search, change))

/** The address of a page of a job, with what was looked at there. */
export function hrefOf(jobId: string, page: JobPageName): string {
  const path = jobPath(jobId, page)
  return `${path}${left.get(path) ?? ''}`
}

/** Goes to another page of the same job without asking the server. @param change what is looked at there */
export function goInJob(jobId: string, page: JobPageName, change: Query = {}): void {
  const path = jobPath(jobId, page)
  push(path, searchWith(left.get(path) ?? '', change))
  window.scrollTo(0, 0)
}

/** Remembers how a page is looked at while the tab lives. */
export function useRemembered(): void {
  const path = usePathname()
  const search = useSearch()
  useEffect(() => {
    left.set(path, searchWith(search, {}))
  }, [path, search])
}

/**
 * A word that stands in the address: the view, the step or the log that is looked at.
 * @param words which there are; another one in the address counts as none
 */
export function useInAddress<T extends string>(
  key: string,
  first: T,
  words?: readonly T[],
): readonly [T, (word: T) => void] {
  const found = new URLSearchParams(useSearch()).get(key) as T | null
  const word = found !== null && (words === undefined || words.includes(found)) ? found : first
  return [word, (next) => lookAt({ [key]: next === first ? undefined : next })]
}
