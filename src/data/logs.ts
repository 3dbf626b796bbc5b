import Dexie from 'dexie'
import { OrzoError } from '@/core/base/errors/orzoError'
import type { Clock } from '@/core/base/units/instants'
import { addLog, keepVerdict, removeLog, sealLog } from '@/core/record/edits/listEdits'
import {
  type Chunk,
  chunksOf,
  countOf,
  FULL_LOG,
  joinSamples,
  LogTail,
  mostSamples,
  type Samples,
} from '@/core/record/logs/samples'
import { samplesOfLooks } from '@/core/record/logs/looks'
import { recordKey } from '@/core/record/records/envelope'
import type { LogHead, LogVerdict } from '@/core/record/records/log'
import type { LogChunkRow, OrzoDatabase } from './database'
import { type Edit } from '@/core/record/edits/edit'
import { type DocumentEdit, inRound } from '@/core/record/edits/inRound'
import { roundOf } from '@/core/record/records/kinds'
import { changeDocument } from './records'

const GONE = 'this log is no longer here: it was removed, perhaps in another window.'

/** An edit of one log, in the round that it belongs to whatever round is looked at. */
const ofLog =
  (logId: string, edit: Edit): DocumentEdit =>
  (document, stamp) => {
    const log = document.logs.find(({ id }) => id === logId)
    return log ? inRound(edit, roundOf(log))(document, stamp) : document
  }

const rowOf = (jobId: string, logId: string, { sealed, ...chunk }: Chunk): LogChunkRow => ({
  jobId,
  logId,
  ...chunk,
  values: [...chunk.values],
  sealed: sealed ? 1 : 0,
})
/** The chunks of one log, first to last. */
export const chunksOfLog = (db: OrzoDatabase, jobId: string, logId: string) =>
  db.logChunks
    .where('[jobId+logId+index]')
    .between([jobId, logId, Dexie.minKey], [jobId, logId, Dexie.maxKey])

/** What says where the samples of a log stand: in its head where they were typed, else in chunks. */
type SampledLog = Pick<LogHead, 'id' | 'channels' | 'looks'>

/** All samples of a log. */
export async function readSamples(db: OrzoDatabase, jobId: string, log: SampledLog): Promise<Samples> {
  const { id, channels } = log
  return samplesOfLooks(log) ?? joinSamples(await chunksOfLog(db, jobId, id).toArray(), channels.length)
}

/** How many samples of a log are stored, and until which second; read from its last chunk alone. */
export async function extentOf(
  db: OrzoDatabase,
  jobId: string,
  log: SampledLog,
): Promise<{ readonly samples: number; readonly seconds: number }> {
  const logId = log.id
  const typed = samplesOfLooks(log)
  if (typed) return { samples: countOf(typed), seconds: typed.time.at(-1) ?? 0 }
  const last = await chunksOfLog(db, jobId, logId).last()
  if (!last) return { samples: 0, seconds: 0 }
  const first = last.index === 0 ? last : await db.logChunks.get([jobId, logId, 0])
  // all chunks before the last one are full
  return {
    samples: last.index * (first?.count ?? 0) + last.count,
    seconds: last.time[last.count - 1] ?? 0,
  }
}

/** Chunks of whole logs as rows, to be written where their job is. */
export const chunkRows = (jobId: string, logs: Readonly<Record<string, Samples>>): LogChunkRow[] =>
  Object.entries(logs).flatMap(([logId, samples]) =>
    chunksOf(samples).map((chunk) => rowOf(jobId, logId, chunk)),
  )

/** Stores a whole log, its head and its samples, in one transaction. Not a step of undo. */
export async function storeLog(
  db: OrzoDatabase,
  jobId: string,
  head: LogHead,
  samples: Samples,
  clock: Clock,
): Promise<void> {
  if (countOf(samples) > mostSamples(head.channels.length)) throw new OrzoError('bad-log', FULL_LOG)
  const rows = chunkRows(jobId, { [head.id]: samples })
  const edit = inRound(addLog({ ...head, samples: countOf(samples) }), roundOf(head))
  await changeDocument(db, jobId, edit, clock, {
    stores: [db.logChunks],
    write: () => db.logChunks.bulkPut(rows),
  })
}

/** Samples of a removed log stay this long, ms: undo has it back with them. */
const KEPT_AFTER_REMOVAL = 24 * 3_600_000

/** Takes a log out of its job; undo has it back, its samples wait for that. */
export const removalOf = (logId: string): DocumentEdit => ofLog(logId, removeLog(logId))

const swept = new WeakMap<OrzoDatabase, Promise<void>>()

/** Deletes the samples of logs that were removed a day ago or more, once after opening. */
export function whenRemovedSwept(db: OrzoDatabase, now: number): Promise<void> {
  const running = swept.get(db) ?? sweepRemovedLogs(db, now)
  swept.set(db, running)
  running.catch(() => swept.delete(db))
  return running
}

/** Deletes the samples of logs that were removed a day ago or more. */
export async function sweepRemovedLogs(db: OrzoDatabase, now: number): Promise<void> {
  await db.transaction('rw', db.records, db.logChunks, async () => {
    const keys = (await db.logChunks.toCollection().primaryKeys()) as [string, string, number][]
    const logs = new Map(
      keys.map(([jobId, logId]) => [recordKey(jobId, 'log', logId), [jobId, logId] as const]),
    )
    const heads = await db.records.bulkGet([...logs.keys()])
    for (const [i, [jobId, logId]] of [...logs.values()].entries()) {
      const head = heads[i]
      if (head?.deleted && Date.parse(head.at) < now - KEPT_AFTER_REMOVAL)
        await chunksOfLog(db, jobId, logId).delete()
    }
  })
}

/** Keeps what the judge says of a log beside it. Not a step of undo. */
export const storeVerdict = (
  db: OrzoDatabase,
  jobId: string,
  logId: string,
  verdict: LogVerdict,
  clock: Clock,
): Promise<unknown> => changeDocument(db, jobId, ofLog(logId, keepVerdict(logId, verdict)), clock)

/**
 * Writes a log while it is recorded: samples are taken at once, stored with each `flush` (about once a second), the open chunk
 * rewritten until it is full. What an append costs does not grow with the log.
 */
export class LogWriter {
  readonly #db: OrzoDatabase
  readonly #jobId: string
  readonly #head: LogHead
  readonly #tail: LogTail
  #writing: Promise<void> = Promise.resolve()
  #latest = 0

  private constructor(db: OrzoDatabase, jobId: string, head: LogHead, last?: Chunk) {
    this.#db = db
    this.#jobId = jobId
    this.#head = head
    this.#tail = new LogTail(head.channels.length, undefined, last)
    this.#latest = last ? (last.time[last.count - 1] ?? 0) : 0
  }

  /** Goes on with a log that was broken off: after a reload, a crash, an empty battery. What is missing stays missing. */
  static async resume(db: OrzoDatabase, jobId: string, head: LogHead): Promise<LogWriter> {
    const row = await chunksOfLog(db, jobId, head.id).last()
    return new LogWriter(db, jobId, head, row && { ...row, sealed: row.sealed === 1 })
  }

  /** Begins a log: its head enters the job. */
  static async begin(db: OrzoDatabase, jobId: string, head: LogHead, clock: Clock): Promise<LogWriter> {
    await changeDocument(db, jobId, inRound(addLog(head), roundOf(head)), clock)
    return new LogWriter(db, jobId, head)
  }

  /** Samples taken so far, stored or not. */
  get samples(): number {
    return this.#tail.samples
  }

  /** Time of the newest sample, s: the next one is not before it. */
  get latest(): number {
    return this.#latest
  }

  /** Whether it takes no more: what Orzo takes in, it must be able to give out and take back. */
  get isFull(): boolean {
    return this.#tail.samples >= mostSamples(this.#head.channels.length)
  }

  /** @throws OrzoError bad-log where it is full */
  append(seconds: number, values: readonly number[]): void {
    if (this.isFull) throw new OrzoError('bad-log', FULL_LOG)
    this.#latest = seconds
    this.#tail.append(seconds, values)
  }

  /** Stores what was taken since; one after another. @throws what the store says; nothing is lost, the next flush tries again */
  flush(end = false): Promise<void> {
    this.#writing = this.#writing.catch(() => undefined).then(() => this.#write(end))
    return this.#writing
  }

  /** Stores the rest and seals the log. */
  async end(clock: Clock): Promise<void> {
    await this.flush(true)
    const seal = sealLog(this.#head.id, this.#tail.samples)
    await changeDocument(this.#db, this.#jobId, ofLog(this.#head.id, seal), clock)
  }

  async #write(end: boolean): Promise<void> {
    const chunks = this.#tail.take(end)
    if (chunks.length === 0) return
    try {
      const rows = chunks.map((chunk) => rowOf(this.#jobId, this.#head.id, chunk))
      await this.#db.transaction('rw', this.#db.records, this.#db.logChunks, async () => {
        // what was removed in another window is given no orphans
        const head = await this.#db.records.get(recordKey(this.#jobId, 'log', this.#head.id))
        if (!head || head.deleted) throw new OrzoError('bad-document', GONE)
        await this.#db.logChunks.bulkPut(rows)
      })
    } catch (error) {
      this.#tail.giveBack(chunks)
      throw error
    }
  }
}
