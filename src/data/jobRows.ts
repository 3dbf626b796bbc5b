import { type Clock } from '@/core/base/units/instants'
import { systemClock } from './clock'
import type { JobIndexRow, OrzoDatabase } from './database'

/** The lines of the jobs in memory, the last changed first; read again only where something changed. */
type Rows = { readonly rows: readonly JobIndexRow[]; readonly whole: boolean }

/** What a change of the list shows. */
type Sign = { readonly count: number }

/** The first screen of lines is there at once; the rest comes in pieces, so that nothing waits. */
const FIRST = 60
const PIECE = 1000
const NONE: Rows = { rows: [], whole: false }

type Cache = {
  now: Rows
  /** when it was last looked, ms; what changed since was stamped later, whatever the files of other devices say */
  looked: number
  running: Promise<void> | undefined
  again: boolean
  heard: Set<() => void>
}
/** Changes that were under way while it was looked, ms. */
const UNDER_WAY = 2000
const caches = new WeakMap<OrzoDatabase, Cache>()

function cacheOf(db: OrzoDatabase): Cache {
  const known = caches.get(db) ?? { now: NONE, looked: 0, running: undefined, again: false, heard: new Set() }
  caches.set(db, known)
  return known
}

/** How many jobs there are, made anew with every change of any; for a live query. */
export async function signOf(db: OrzoDatabase): Promise<Sign> {
  // the keys of the index are watched: a change moves its job among them
  const [count] = await Promise.all([db.jobIndex.count(), db.jobIndex.orderBy('updatedAt').last()])
  return { count }
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
async function changedSince(db: OrzoDatabase, { rows }: Rows, since: number): Promise<Rows | undefined> {
  const [changed, count] = await Promise.all([
    db.jobIndex.where('updatedAt').aboveOrEqual(new Date(since).toISOString()).reverse().toArray(),
    db.jobIndex.count(),
  ])
  const ids = new Set(changed.map(({ id }) => id))
  const next = [...changed, ...rows.filter(({ id }) => !ids.has(id))]
  return next.length === count ? { rows: next, whole: true } : undefined
}

async function refresh(db: OrzoDatabase, cache: Cache, clock: Clock): Promise<void> {
  const put = (now: Rows) => {
    cache.now = now
    for (const listener of cache.heard) listener()
  }
  do {
    cache.again = false
    // a clock that was set back counts from where it stands now
    const since = Math.min(cache.looked, clock.now()) - UNDER_WAY
    cache.looked = clock.now()
    const changed = cache.now.whole ? await changedSince(db, cache.now, since) : undefined
    if (changed) put(changed)
    else {
      const shown = cache.now.rows.length > 0
      // what is on the screen stays there until the new list is whole
      await readAll(db, (now) => (!shown || now.whole) && put(now))
    }
  } while (cache.again)
}

/** The lines of this browser's jobs: what is known now, and how one hears of more. */
export function jobRows(db: OrzoDatabase, clock: Clock = systemClock) {
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
      cache.running ??= refresh(db, cache, clock).finally(() => {
        cache.running = undefined
      })
      return cache.running
    },
  }
}
