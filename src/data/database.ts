import Dexie, { type EntityTable, type Table } from 'dexie'
import type { Stage } from '@/core/record/job/stages'
import type { JobSummary } from '@/core/record/job/summary'
import type { StoredRecord } from '@/core/record/records/envelope'

/** A job as database version 1 kept it: the whole document in one row. */
export type OldJobRow = { id: string; updatedAt: string; demo: 0 | 1; job: unknown }

/** What a list shows of a job, and where its records stand. */
export type JobIndexRow = {
  id: string
  updatedAt: string
  demo: 0 | 1
  progress: Stage
  /** logical clock: counts the changes of the job */
  clock: number
  /** tells a job from another one that had its id before */
  born: string
  summary: JobSummary
}

/** A stretch of a log: typed arrays, one value a sample; the last chunk is open and rewritten until it is full. */
export type LogChunkRow = {
  jobId: string
  logId: string
  index: number
  count: number
  sealed: 0 | 1
  /** seconds after the start of the log */
  time: Float64Array
  /** one array a channel; NaN where an instrument was silent */
  values: Float64Array[]
}

/** The bytes of a photo. */
export type BlobRow = { id: string; jobId: string; type: string; bytes: Uint8Array }

/** A row of version 1 that could not be read: kept as it is, with the reason. */
export type AsideRow = { id: string; at: string; reason: string; row: unknown }

/** Small facts about this browser. */
export type SettingRow = { key: string; value: unknown }

/** Version of the stores; a newer one in the browser means that a newer Orzo was here. */
export const DATABASE_VERSION = 2

/**
 * The browser's database. Version 2 keeps records; the rows of version 1 stay in `jobs` until each was copied
 * (legacy.ts): code of version 1 that is still open may write there, so its name is never used for anything else.
 */
export class OrzoDatabase extends Dexie {
  jobs!: EntityTable<OldJobRow, 'id'>
  settings!: EntityTable<SettingRow, 'key'>
  records!: EntityTable<StoredRecord, 'key'>
  jobIndex!: EntityTable<JobIndexRow, 'id'>
  logChunks!: Table<LogChunkRow, [string, string, number]>
  blobs!: Table<BlobRow, [string, string]>
  aside!: EntityTable<AsideRow, 'id'>

  constructor(name = 'orzo') {
    // strict: what was said to be stored survives a killed browser
    super(name, { chromeTransactionDurability: 'strict' })
    this.version(1).stores({ jobs: '&id, updatedAt, demo', settings: '&key' })
    // stores only: an upgrade that waits for anything else ends the version change with nothing copied
    this.version(DATABASE_VERSION).stores({
      records: '&key, jobId, [jobId+kind], [jobId+clock]',
      jobIndex: '&id, updatedAt, demo, progress',
      logChunks: '[jobId+logId+index], jobId, [jobId+logId]',
      blobs: '[jobId+id], jobId',
      aside: '&id',
    })
  }
}
