import type { Table } from 'dexie'
import type { JobFiles } from '@/core/record/archive/jobArchive'
import type { JobDocument, StoredDocument } from '@/core/record/job/job'
import type { FileEnvelopes } from '@/core/record/job/recordsOfFile'
import { withoutCaches } from '@/core/record/job/verdictCache'
import { isSame } from '@/core/record/records/patches'
import type { OrzoDatabase } from './database'
import { chunkRows, chunksOfLog } from './logs'
import { newJobId } from './newId'
import { photoRows } from './photos'
import { getDocument, writeNewJob } from './records'
import { deviceOf } from './settings'

export type ImportOutcome = {
  readonly outcome: 'added' | 'already-here' | 'completed' | 'added-beside'
  readonly id: string
}

const NO_FILES: JobFiles = { logs: {}, photos: {} }

/** Names that an address cannot hold: the browser takes them for "here" and "one up". */
const DOTS: Readonly<Record<string, string>> = { '.': 'dot', '..': 'dot-dot' }

const completed = (job: JobDocument, now: string): StoredDocument => ({
  ...job,
  id: job.id === undefined ? newJobId() : (DOTS[job.id] ?? job.id),
  createdAt: job.createdAt ?? now,
  updatedAt: job.updatedAt ?? now,
})

/** Writes the samples and photos of a job that are not here yet. @returns whether there were any */
async function writeMissing(
  db: OrzoDatabase,
  { id, attachments, logs: heads }: StoredDocument,
  { logs, photos }: JobFiles,
): Promise<boolean> {
  let wrote = false
  const typed = new Set(heads.flatMap((head) => (head.looks ? [head.id] : [])))
  for (const [logId, samples] of Object.entries(logs)) {
    if (typed.has(logId)) continue
    if ((await chunksOfLog(db, id, logId).count()) > 0) continue
    const rows = chunkRows(id, { [logId]: samples })
    await db.logChunks.bulkPut(rows)
    wrote ||= rows.length > 0
  }
  const rows = photoRows(id, attachments, photos)
  const present = await db.blobs.bulkGet(rows.map((row) => [row.jobId, row.id]))
  const missing = rows.filter((_row, i) => present[i] === undefined)
  await db.blobs.bulkPut(missing)
  return wrote || missing.length > 0
}

/**
 * Stores a job that was read, with what belongs to it, in one transaction. One that is already here in another state is kept
 * beside it under a new id: nothing is written over. One that is here without its samples or photos is completed.
 */
export async function importJob(
  db: OrzoDatabase,
  read: JobDocument,
  now: string,
  files: JobFiles = NO_FILES,
  envelopes?: FileEnvelopes,
): Promise<ImportOutcome> {
  const job = completed(read, now)
  const device = await deviceOf(db)
  const stores = [db.records, db.jobIndex, db.logChunks, db.blobs] as Table[]
  return db.transaction('rw', stores, async (): Promise<ImportOutcome> => {
    const present = await getDocument(db, job.id)
    if (present && isSame(withoutCaches(present), job))
      return { outcome: (await writeMissing(db, job, files)) ? 'completed' : 'already-here', id: job.id }
    const stored = present ? { ...job, id: newJobId() } : job
    await writeNewJob(db, stored, device, envelopes)
    await writeMissing(db, stored, files)
    return { outcome: present ? 'added-beside' : 'added', id: stored.id }
  })
}
