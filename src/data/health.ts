import { DATABASE_VERSION, type OrzoDatabase } from './database'

/** How the browser's store is: everything but `well` means that nothing can be stored until something is done. */
export type Health =
  | { readonly state: 'well' }
  /** another window holds an older state open: opening waits for it */
  | { readonly state: 'blocked' }
  /** another window opened a newer state, or removed the data: this one closed for good */
  | { readonly state: 'closed'; readonly by: 'newer' | 'removed' }
  /** the data is of a newer Orzo than this one */
  | { readonly state: 'newer' }
  | { readonly state: 'failed'; readonly error: Error }

const WELL: Health = { state: 'well' }
/** The browser counts ten for each version that Dexie is told. */
const NATIVE_STEP = 10

const healths = new WeakMap<OrzoDatabase, Health>()
const watchers = new Set<() => void>()

function tell(db: OrzoDatabase, health: Health) {
  healths.set(db, health)
  watchers.forEach((watcher) => watcher())
}

/** How the store is now; the same object until it changes. */
export const healthOf = (db: OrzoDatabase): Health => healths.get(db) ?? WELL

/** Calls back whenever the health of any store changes. */
export function watchHealth(watcher: () => void): () => void {
  watchers.add(watcher)
  return () => watchers.delete(watcher)
}

/** Listens for what other windows and the browser do to the store; once for each database. */
export function guard(db: OrzoDatabase): void {
  db.on('blocked', () => tell(db, { state: 'blocked' }))
  db.on('versionchange', (event) => {
    // for good: a window of an older state must not write into a newer one
    db.close({ disableAutoOpen: true })
    tell(db, { state: 'closed', by: event.newVersion === null ? 'removed' : 'newer' })
    // Dexie's own answer would open it again with the next query
    return false
  })
}

/** Keeps that the store could not be used; what was told before is closer to the cause. */
export function tellFailed(db: OrzoDatabase, error: Error): void {
  if (healthOf(db).state === 'well') tell(db, { state: 'failed', error })
}

const opening = new WeakMap<OrzoDatabase, Promise<boolean>>()
const opened = new WeakSet<OrzoDatabase>()

/** Whether the store was looked at and may be read. */
export const isOpen = (db: OrzoDatabase): boolean => opened.has(db)

const isNewer = (version: number) => Math.floor(version / NATIVE_STEP) > DATABASE_VERSION

/** Version of the stored data, asked before anything is opened; undefined where the browser does not tell. */
async function storedVersion(name: string): Promise<number | undefined> {
  const all = await indexedDB.databases?.()
  return all?.find((each) => each.name === name)?.version
}

/** Dexie opens what is newer without a word, and puts stores into it that it misses: so it is not let. */
function leaveAlone(db: OrzoDatabase): false {
  db.close({ disableAutoOpen: true })
  tell(db, { state: 'newer' })
  return false
}

async function open(db: OrzoDatabase): Promise<boolean> {
  try {
    if (isNewer((await storedVersion(db.name)) ?? 0)) return leaveAlone(db)
    await db.open()
  } catch (error) {
    tellFailed(db, error as Error)
    return false
  }
  if (isNewer(db.backendDB().version)) return leaveAlone(db)
  opened.add(db)
  tell(db, WELL)
  return true
}

/** Opens the store once. @returns whether it can be used; where not, its health says why */
export function whenOpen(db: OrzoDatabase): Promise<boolean> {
  const running = opening.get(db) ?? open(db)
  opening.set(db, running)
  return running
}

/** Name of what went wrong underneath: Dexie wraps what the browser said. */
export function rootName(error: unknown): string {
  const { name, inner, failures } = error as { name?: string; inner?: unknown; failures?: unknown[] }
  if (name === 'QuotaExceededError') return name
  const deeper = inner ?? (Array.isArray(failures) ? failures[0] : undefined)
  return deeper === undefined || deeper === error ? (name ?? 'Error') : rootName(deeper)
}
