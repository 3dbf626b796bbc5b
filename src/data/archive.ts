import type { Table } from 'dexie'
import type { JobFiles } from '@/core/record/archive/jobArchive'
import type { BackupContents } from '@/core/record/archive/backup'
import type { StoredDocument } from '@/core/record/job/job'
import type { FileEnvelopes } from '@/core/record/job/recordsOfFile'
import { readRecord } from '@/core/record/job/assemble'
import { samplesOfLooks } from '@/core/record/logs/looks'
import { joinSamples, type Samples } from '@/core/record/logs/samples'
import { STORE_ID, type StoredRecord } from '@/core/record/records/envelope'
import type { LogChunkRow, OrzoDatabase } from './database'
import { envelopesOf, getDocument } from './records'

/** A job with everything that belongs to it. */
export type WholeJob = {
  readonly job: StoredDocument
  readonly files: JobFiles
  readonly envelopes: FileEnvelopes
}

const samplesById = (job: StoredDocument, chunks: readonly LogChunkRow[]): Record<string, Samples> =>
  Object.fromEntries(
    job.logs.map((log) => [
      log.id,
      samplesOfLooks(log) ??
        joinSamples(
          chunks.filter(({ logId }) => logId === log.id),
          log.channels.length,
        ),
    ]),
  )

/** Reads a job, the samples of its logs and the bytes of its photos as they stand together. */
export function readWholeJob(db: OrzoDatabase, jobId: string): Promise<WholeJob | undefined> {
  const stores = [db.records, db.jobIndex, db.logChunks, db.blobs] as Table[]
  return db.transaction('r', stores, async () => {
    const job = await getDocument(db, jobId)
    if (!job) return undefined
    const chunks = await db.logChunks.where('jobId').equals(jobId).sortBy('index')
    const blobs = await db.blobs.where('jobId').equals(jobId).toArray()
    const photos = Object.fromEntries(blobs.map(({ id, bytes }) => [id, bytes]))
    const envelopes = await envelopesOf(db, jobId)
    return { job, files: { logs: samplesById(job, chunks), photos }, envelopes }
  })
}

/** What a browser remembers that another one must not take over. */
const OWN_SETTINGS: readonly string[] = ['device', 'persistAsked', 'demoOffered']

/** What belongs to no job: settings, rows kept aside, records that this Orzo cannot read. */
export async function readBeside(db: OrzoDatabase, at: string): Promise<BackupContents> {
  const [settings, aside, records] = await Promise.all([
    db.settings.toArray(),
    db.aside.toArray(),
    db.records.toArray(),
  ])
  return {
    at,
    settings: settings
      .filter(({ key }) => !OWN_SETTINGS.includes(key))
      .map(({ key, value }) => ({ key, value })),
    aside: aside.map(({ id, at: when, reason, row }) => ({ id, at: when, reason, row })),
    unread: records.filter((row) => row.jobId !== STORE_ID && 'problems' in readRecord(row)),
    store: records.filter(({ jobId }) => jobId === STORE_ID),
  }
}

/** What came back beside the jobs. */
export type Restored = {
  readonly settings: number
  readonly aside: number
  readonly unread: number
  readonly store: number
}

async function addMissing<T, K extends string>(table: Table<T, K>, rows: readonly T[], keyOf: (row: T) => K) {
  const present = await table.bulkGet(rows.map(keyOf))
  const missing = rows.filter((_row, i) => present[i] === undefined)
  await table.bulkAdd(missing)
  return missing.length
}

/** Puts back what a backup holds beside jobs, where nothing stands yet: nothing is written over. */
export function restoreBeside(db: OrzoDatabase, contents: BackupContents): Promise<Restored> {
  const settings = contents.settings.filter(({ key }) => !OWN_SETTINGS.includes(key))
  const unread = contents.unread as StoredRecord[]
  return db.transaction('rw', db.settings, db.aside, db.records, db.jobIndex, async () => {
    const known = await db.jobIndex.bulkGet(unread.map(({ jobId }) => jobId))
    return {
      settings: await addMissing(db.settings as Table, settings, ({ key }) => key),
      aside: await addMissing(db.aside as Table, contents.aside, ({ id }) => id),
      // a record waits with its job; one whose job did not come in has no place
      unread: await addMissing(
        db.records as Table,
        unread.filter((_row, i) => known[i] !== undefined),
        ({ key }) => key,
      ),
      store: await addMissing(
        db.records as Table,
        contents.store.filter(({ jobId }) => jobId === STORE_ID) as StoredRecord[],
        ({ key }) => key,
      ),
    }
  })
}
