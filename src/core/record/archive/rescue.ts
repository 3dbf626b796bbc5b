import { assembleJob, type ReadRecord, readRecord } from '../job/assemble'
import { readJobValue } from '../job/readJob'
import { samplesOfLooks } from '../logs/looks'
import { joinSamples, type Samples } from '../logs/samples'
import { envelopeSchema, STORE_ID, type StoredRecord } from '../records/envelope'
import type { BackupContents, BackupJob } from './backup'

/** Rows as they lie in the browser's stores, whatever wrote them; a store that is not there is empty. */
export type RawStores = { readonly [store: string]: readonly unknown[] | undefined }

type Row = Readonly<Record<string, unknown>>
const rowsOf = (stores: RawStores, name: string): Row[] =>
  (stores[name] ?? []).filter((row): row is Row => typeof row === 'object' && row !== null)

const isChunk = (row: Row): row is Row & Samples & { index: number } =>
  row.time instanceof Float64Array && Array.isArray(row.values) && typeof row.index === 'number'

function samplesOf(chunks: readonly Row[], logId: string, channels: number): Samples {
  const own = chunks.filter((row) => row.logId === logId).filter(isChunk)
  return joinSamples(
    own.sort((a, b) => a.index - b.index),
    channels,
  )
}

/** A job of records with its samples and photos. */
function rescuedJob(jobId: string, records: readonly ReadRecord[], stores: RawStores): BackupJob | undefined {
  const updatedAt = records.reduce((latest, { row }) => (row.at > latest ? row.at : latest), '')
  const job = assembleJob(jobId, updatedAt, records)
  if (!job) return undefined
  const own = (name: string) => rowsOf(stores, name).filter((row) => row.jobId === jobId)
  const chunks = own('logChunks')
  const photos = own('blobs').filter(({ bytes }) => bytes instanceof Uint8Array)
  return {
    job,
    files: {
      logs: Object.fromEntries(
        job.logs.map((log) => [
          log.id,
          samplesOfLooks(log) ?? samplesOf(chunks, log.id, log.channels.length),
        ]),
      ),
      photos: Object.fromEntries(photos.map(({ id, bytes }) => [id, bytes as Uint8Array])),
    },
  }
}

/** What a backup holds of stores that could not be opened in the usual way: all that can be read, the rest as it lies there. */
export function rescue(stores: RawStores, at: string): { jobs: BackupJob[]; contents: BackupContents } {
  const rows = rowsOf(stores, 'records').flatMap((row) => {
    const envelope = envelopeSchema.safeParse(row)
    return envelope.success ? [envelope.data as StoredRecord] : []
  })
  const store = rows.filter(({ jobId }) => jobId === STORE_ID)
  const read = rows
    .filter(({ jobId }) => jobId !== STORE_ID)
    .map((row) => ({ row, reading: readRecord(row) }))
  const good = read.flatMap(({ reading }) => ('row' in reading ? [reading] : []))
  const ids = [...new Set(rows.map(({ jobId }) => jobId))]
  const jobs = ids.flatMap((id) => {
    const job = rescuedJob(
      id,
      good.filter(({ row }) => row.jobId === id),
      stores,
    )
    return job ? [job] : []
  })
  const old = rowsOf(stores, 'jobs').map((row) => ({ row, reading: readJobValue(row.job) }))
  const kept = old.flatMap(({ row, reading }) =>
    reading.ok ? [] : [{ id: String(row.id), at, reason: 'could not be read', row }],
  )
  return {
    jobs: [
      ...jobs,
      ...old.flatMap(({ reading }) =>
        reading.ok ? [{ job: reading.job, files: { logs: {}, photos: {} } }] : [],
      ),
    ],
    contents: {
      at,
      settings: rowsOf(stores, 'settings').map(({ key, value }) => ({ key: String(key), value })),
      aside: [...(rowsOf(stores, 'aside') as BackupContents['aside']), ...kept],
      unread: read.filter(({ reading }) => !('row' in reading)).map(({ row }) => row),
      store,
    },
  }
}
