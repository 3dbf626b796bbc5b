import type { JobIndexRow, OrzoDatabase } from './database'

/** The lines of the jobs in memory, the last changed first; read again only where something changed. */
type Rows = { readonly rows: readonly JobIndexRow[]; readonly whole: boolean }

/** What a change of the list shows: how many there are, and which was changed last. */
export type Sign = { readonly count: number; readonly last: string }

/** The first screen of lines is there at once; the rest comes in pieces, so that nothing waits. */
const FIRST = 60
const PIECE = 1000
const NONE: Rows = { rows: [], whole: false }

type Cache = { now: Rows; running: Promise<void> | undefined; again: boolean; heard: Set<() => void> }
const caches = new WeakMap<OrzoDatabase, Cache>()

function cacheOf(db: OrzoDatabase): Cache {
  const known = caches.get(db) ?? { now: NONE, running: undefined, again: false, heard: new Set() }
  caches.set(db, known)
  return known
}

/** A sign that changes with every change of any job; for a live query. */
export async function signOf(db: OrzoDatabase): Promise<Sign> {
  const [count, last] = await Promise.all([db.jobIndex.count(), db.jobIndex.orderBy('updatedAt').last()])
  return { count, last: last ? `${last.id} ${last.updatedAt} ${last.clock}` : '' }
}

const newestFirst = (db: OrzoDatabase, before?: string) =>
  (before === undefined
    ? db.jobIndex.orderBy('updatedAt')
    : db.jobIndex.where('updatedAt').belowOrEqual(before)
  ).reverse()

/** Lets the page draw and hear before more is read. */
const breath = () => new Promise((resolve) => setTimeout(resolve))

async function readAll(db: OrzoDatabase, put: (now: Rows) => void): Promise<void> {
  const rows = new Map<string, JobIndexRow>()
  let piece = await newestFirst(db).limit(FIRST).toArray()
  let size = FIRST
  for (;;) {
    const before = rows.size
    for (const row of piece) rows.set(row.id, row)
    const done = piece.length < size || rows.size === before
    // the first screen, and then the whole: in between there is nothing to look at
    if (before === 0 || done) put({ rows: [...rows.values()], whole: done })
    if (done) return
    await breath()
    // those of the last instant come once more, so that none of the same instant is passed over
    size = PIECE
    piece = await newestFirst(db, piece.at(-1)?.updatedAt).limit(size).toArray()
  }
}

/** Takes over what was changed since; undefined where more than that happened: something was removed or came from a file. */
async function changedSince(db: OrzoDatabase, { rows }: Rows): Promise<Rows | undefined> {
  const newest = rows[0]?.updatedAt
  if (newest === undefined) return undefined
  const [changed, count] = await Promise.all([
    db.jobIndex.where('updatedAt').aboveOrEqual(newest).reverse().toArray(),
    db.jobIndex.count(),
  ])
  const ids = new Set(changed.map(({ id }) => id))
  const next = [...changed, ...rows.filter(({ id }) => !ids.has(id))]
  return next.length === count ? { rows: next, whole: true } : undefined
}

async function refresh(db: OrzoDatabase, cache: Cache): Promise<void> {
  const put = (now: Rows) => {
    cache.now = now
    for (const listener of cache.heard) listener()
  }
  do {
    cache.again = false
    const changed = cache.now.whole ? await changedSince(db, cache.now) : undefined
    if (changed) put(changed)
    else {
      const shown = cache.now.rows.length > 0
      // what is on the screen stays there until the new list is whole
      await readAll(db, (now) => (!shown || now.whole) && put(now))
    }
  } while (cache.again)
}

/** The lines of this browser's jobs: what is known now, and how one hears of more. */
export function jobRows(db: OrzoDatabase) {
  const cache = cacheOf(db)
  return {
    get: () => cache.now,
    subscribe: (listener: () => void) => {
      cache.heard.add(listener)
      return () => void cache.heard.delete(listener)
    },
    /** Looks for what changed; calls that come meanwhile are answered by one more look. */
    refresh: (): Promise<void> => {
      if (cache.running) cache.again = true
      cache.running ??= refresh(db, cache).finally(() => {
        cache.running = undefined
      })
      return cache.running
    },
  }
}
