'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import { useSyncExternalStore } from 'react'
import { OrzoError } from '@/core/base/errors/orzoError'
import { type Health, healthOf, isOpen, tellFailed, watchHealth } from '@/data/health'
import { database } from '@/data/shared'

const WELL: Health = { state: 'well' }

/** How the browser's store is. */
export const useHealth = (): Health =>
  useSyncExternalStore(
    watchHealth,
    () => healthOf(database()),
    () => WELL,
  )

/**
 * A live query that gives nothing before the store is open, or while it cannot be used: what is wrong is told above the page, which goes on. The
 * query must await nothing but the database, or it silently stops running again.
 */
export function useLive<T>(query: () => Promise<T> | undefined, deps: unknown[]): T | undefined
export function useLive<T>(query: () => Promise<T> | undefined, deps: unknown[], until: T): T
export function useLive<T>(query: () => Promise<T> | undefined, deps: unknown[], until?: T): T | undefined {
  const open = useSyncExternalStore(
    watchHealth,
    () => isOpen(database()),
    () => false,
  )
  const found = useLiveQuery(
    () => (open ? query()?.then((value) => ({ value }), failed) : undefined),
    [...deps, open],
  )
  return found?.value ?? until
}

/** What the store refuses is told in its health; a mistake in what was asked is a mistake. */
function failed(error: Error): undefined {
  if (error instanceof OrzoError) throw error
  tellFailed(database(), error)
}
