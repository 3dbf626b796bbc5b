import type { StoredDocument } from '@/core/record/job/job'
import { problemSentence, readJobValue } from '@/core/record/job/readJob'
import { isSame } from '@/core/record/records/patches'
import type { OldJobRow, OrzoDatabase } from './database'
import { getDocument, writeNewJob } from './records'
import { deviceOf } from './settings'

/** What became of the rows of version 1. */
export type Swept = { readonly copied: number; readonly aside: number }

const LONGEST_ID = 60

/** Ids under which a job may stand: its own, then those of states that an old window wrote late. */
const idsOf = (id: string, n: number): string => (n === 0 ? id : `${id.slice(0, LONGEST_ID)}-late-${n}`)

async function keepAside(db: OrzoDatabase, row: OldJobRow, reason: string, now: string): Promise<void> {
  await db.transaction('rw', db.jobs, db.aside, async () => {
    await db.aside.put({ id: row.id, at: now, reason, row })
    await db.jobs.delete(row.id)
  })
}

/** A free id for a row's job; undefined where it is already here, the same in every field. Nothing is written over. */
async function idFor(db: OrzoDatabase, job: StoredDocument): Promise<string | undefined> {
  for (let n = 0; ; n++) {
    const id = idsOf(job.id, n)
    const present = await getDocument(db, id)
    if (!present) return id
    if (isSame(present, { ...job, id })) return undefined
  }
}

async function copyRow(
  db: OrzoDatabase,
  row: OldJobRow,
  device: string,
  now: string,
): Promise<'copied' | 'aside'> {
  const reading = readJobValue(row.job)
  if (!reading.ok) {
    await keepAside(db, row, reading.problems.map(problemSentence).join(' '), now)
    return 'aside'
  }
  const { updatedAt = row.updatedAt, createdAt = updatedAt } = reading.job
  const job: StoredDocument = { ...reading.job, id: row.id, updatedAt, createdAt }
  await db.transaction('rw', db.jobs, db.records, db.jobIndex, async () => {
    // another window may have copied it in the meantime, and its user gone on
    if (!(await db.jobs.get(row.id))) return
    const id = await idFor(db, job)
    if (id !== undefined) await writeNewJob(db, { ...job, id }, device)
    await db.jobs.delete(row.id)
  })
  return 'copied'
}

/**
 * Copies the rows of database version 1 into records: job by job, each in its own transaction, so that a copy that is
 * interrupted anywhere goes on at the next opening. Rows that an old window writes later are swept the same way. A row that
 * cannot be read is kept aside as it is.
 * @param now when it is done
 */
export async function sweepOldJobs(db: OrzoDatabase, now: string): Promise<Swept> {
  const ids = await db.jobs.toCollection().primaryKeys()
  let [copied, aside] = [0, 0]
  if (ids.length === 0) return { copied, aside }
  const device = await deviceOf(db)
  for (const id of ids) {
    const row = await db.jobs.get(id)
    if (!row) continue
    if ((await copyRow(db, row, device, now)) === 'copied') copied += 1
    else aside += 1
  }
  return { copied, aside }
}

const opened = new WeakMap<OrzoDatabase, Promise<Swept>>()

/** Sweeps once after opening; everything that reads jobs waits for it. */
export function whenSwept(db: OrzoDatabase, now: () => string): Promise<Swept> {
  const running = opened.get(db) ?? sweepOldJobs(db, now())
  opened.set(db, running)
  running.catch(() => opened.delete(db))
  return running
}
