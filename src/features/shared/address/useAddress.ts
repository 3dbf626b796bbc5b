'use client'
import { usePathname, useSearchParams } from 'next/navigation'
import { useEffect, useSyncExternalStore } from 'react'
import { type JobPageName, jobPath, type Query, searchWith } from './jobAddress'

/** The last search text of each path: a stage is found again as it was left. */
const left = new Map<string, string>()

const watchers = new Set<() => void>()
const tellAll = () => {
  for (const tell of watchers) tell()
}
function watch(onChange: () => void): () => void {
  watchers.add(onChange)
  window.addEventListener('popstate', onChange)
  return () => {
    watchers.delete(onChange)
    window.removeEventListener('popstate', onChange)
  }
}

const isOfJob = (path: string) => path.startsWith('/job/')

/**
 * Back and forth between pages of jobs are answered here: the router would ask the server for each, and after a reload load
 * the page anew. Whatever leads out of the jobs is left to it.
 */
function useOwnBack(): void {
  useEffect(() => {
    const answer = (event: PopStateEvent) => {
      if (!isOfJob(window.location.pathname)) return
      event.stopImmediatePropagation()
      tellAll()
    }
    window.addEventListener('popstate', answer, true)
    return () => window.removeEventListener('popstate', answer, true)
  }, [])
}

/** The address as the window has it; a job's pages are changed and gone back to without the router. */
const useWindow = (read: () => string): string => useSyncExternalStore(watch, read, () => '')
const windowPath = () => window.location.pathname
const windowSearch = () => window.location.search

/**
 * The path of the page. While one comes from a page of another kind the window still has the old address: then the router's
 * word counts. Within the jobs the window's counts: after a reload the router does not tell of Back.
 */
export function useJobPath(): string {
  const routed = usePathname() as string | null
  const own = useWindow(windowPath)
  return isOfJob(own) || routed === null ? own : routed
}

/** What stands behind the question mark, as it is now. */
function useSearch(): string {
  const routed = useSearchParams() as URLSearchParams | null
  const [path, own] = [useWindow(windowPath), useWindow(windowSearch)]
  return isOfJob(path) || routed === null ? own : routed.toString()
}

function push(path: string, search: string): void {
  left.set(path, search)
  // what is there already is no new place: Back would seem to do nothing
  if (`${window.location.pathname}${window.location.search}` === `${path}${search}`) return
  // the browser's own: the router's would draw its whole tree again for a page that it need not know
  History.prototype.pushState.call(window.history, window.history.state, '', `${path}${search}`)
  tellAll()
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
  const path = useJobPath()
  const search = useSearch()
  useOwnBack()
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
