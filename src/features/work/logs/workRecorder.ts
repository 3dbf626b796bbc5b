import { OrzoError } from '@/core/base/errors/orzoError'
import { GrowingSamples } from '@/core/record/logs/growing'
import { FULL_LOG, noSamples, type Samples } from '@/core/record/logs/samples'
import { type WorkChannel } from '@/core/record/readings/channels'
import type { LogHead } from '@/core/record/records/log'
import { WORK_PROBES } from '@/core/simulate/workProbes'
import { systemClock } from '@/data/clock'
import { LogWriter, readSamples } from '@/data/logs'
import { database } from '@/data/shared'
import type { InstrumentSource, Sample, SourceEvent } from '@/instruments/source'
import { storeSentence } from '../../shared/storage/storeSentence'
import { claimLog } from './claimLog'

type Shown = { readonly value: number; readonly unit: string; readonly at: number }

export type Watching = {
  readonly status: 'idle' | 'connecting' | 'connected' | 'failed'
  readonly message: string | undefined
  /** what the instruments show; while a log is written only what is stored */
  readonly latest: ReadonlyMap<WorkChannel, Shown>
  readonly lost: ReadonlySet<WorkChannel>
  /** the log that this window writes */
  readonly log: LogHead | undefined
  /** id of a log that another window writes, as was seen when this one wanted to */
  readonly elsewhere: string | undefined
  /** all of its samples that are stored */
  readonly samples: Samples | undefined
  /** what could not be done, until the next thing is */
  readonly problem: string | undefined
  /** why the last samples wait */
  readonly unstored: string | undefined
}

export const WATCHING_NOTHING: Watching = {
  status: 'idle',
  message: undefined,
  latest: new Map(),
  lost: new Set(),
  log: undefined,
  elsewhere: undefined,
  samples: undefined,
  problem: undefined,
  unstored: undefined,
}

const channelOf = (probe: string): WorkChannel | undefined =>
  WORK_PROBES.find(({ id }) => id === probe)?.channel

/** A value of another channel stands beside a new one while it is this fresh, ms of the job. */
const FRESH = 3000

type Row = { readonly at: number; readonly shown: ReadonlyMap<WorkChannel, Shown> }

/** Looks that came together, one row a moment. */
function rowsOf(samples: readonly Sample[]): Row[] {
  const rows = new Map<number, Map<WorkChannel, Shown>>()
  for (const { probe, at, value, unit } of samples) {
    const channel = channelOf(probe)
    if (!channel) continue
    const row = rows.get(at) ?? new Map<WorkChannel, Shown>()
    row.set(channel, { value, unit, at })
    rows.set(at, row)
  }
  return [...rows].sort(([a], [b]) => a - b).map(([at, shown]) => ({ at, shown }))
}

/**
 * The instruments of a job at work and the log that they write. A sample is shown once it is stored, never before: what was
 * seen is there after a crash. A store that a screen can watch.
 */
export class WorkRecorder {
  readonly #jobId: string
  readonly source: InstrumentSource | undefined
  #state: Watching = WATCHING_NOTHING
  #writer: LogWriter | undefined
  readonly #ended = new Set<string>()
  #grown: GrowingSamples | undefined
  #release: (() => void) | undefined
  #stopListening: (() => void) | undefined
  readonly #watchers = new Set<() => void>()

  constructor(jobId: string, source: InstrumentSource | undefined) {
    this.#jobId = jobId
    this.source = source
  }

  readonly get = (): Watching => this.#state
  readonly watch = (watcher: () => void): (() => void) => {
    this.#watchers.add(watcher)
    return () => this.#watchers.delete(watcher)
  }

  /** Looks for instruments and begins their streams. Never throws: a failure is told in the state. */
  async connect(): Promise<void> {
    const { source } = this
    if (!source || this.#state.status === 'connected' || this.#state.status === 'connecting') return
    this.#set({ status: 'connecting', message: undefined })
    try {
      this.#stopListening ??= source.listen((event) => void this.#take(event))
      const found = await source.discover()
      await source.connect(found.map(({ id }) => id))
      this.#set({ status: 'connected' })
    } catch (error) {
      this.#set({ status: 'failed', message: error instanceof Error ? error.message : String(error) })
    }
  }

  async disconnect(): Promise<void> {
    await this.source?.disconnect()
    this.#stopListening?.()
    this.#stopListening = undefined
    this.#set({ status: 'idle', latest: new Map(), lost: new Set() })
  }

  /** Begins a log. @throws OrzoError, or what the store says */
  async start(head: LogHead): Promise<void> {
    if (this.#state.log)
      throw new OrzoError('bad-log', `End “${this.#state.log.name}” first: one log is written at a time.`)
    const release = await claimLog(head.id)
    if (!release) throw new OrzoError('bad-log', 'Another window writes this log.')
    try {
      this.#writer = await LogWriter.begin(database(), this.#jobId, head, systemClock)
    } catch (error) {
      release()
      throw error
    }
    this.#begun(head, noSamples(head.channels.length), release)
  }

  /**
   * Goes on with a log that was broken off, and with its instruments; the time without a sample stays a gap. Never throws: a
   * failure is told in the state.
   */
  async resume(head: LogHead): Promise<void> {
    // the page may not know yet that it was ended here
    if (this.#state.log || this.#ended.has(head.id)) return
    try {
      const release = await claimLog(head.id)
      if (!release) return this.#set({ elsewhere: head.id })
      const samples = await readSamples(database(), this.#jobId, head)
      this.#writer = await LogWriter.resume(database(), this.#jobId, head)
      this.#begun(head, samples, release)
      if (head.source === 'instruments') await this.connect()
    } catch (error) {
      this.#set({ problem: `“${head.name}” does not go on: ${storeSentence(error as Error)}` })
    }
  }

  /** Does what may fail, and tells the failure in the state. */
  async told(what: () => Promise<unknown>): Promise<void> {
    try {
      this.#set({ problem: undefined })
      await what()
    } catch (error) {
      this.#set({ problem: storeSentence(error as Error) })
    }
  }

  #begun(head: LogHead, samples: Samples, release: () => void) {
    this.#grown = new GrowingSamples(samples)
    this.#release = release
    this.#set({ log: head, samples: this.#grown.view(), problem: undefined, unstored: undefined })
  }

  /** Stores the rest and ends the log. @returns its samples */
  async stop(): Promise<Samples | undefined> {
    const [writer, grown, head] = [this.#writer, this.#grown, this.#state.log]
    if (!writer || !grown || !head) return undefined
    await writer.end(systemClock)
    this.#ended.add(head.id)
    this.#forget()
    return grown.view()
  }

  #forget() {
    this.#writer = undefined
    this.#grown = undefined
    this.#release?.()
    this.#release = undefined
    this.#set({ log: undefined, samples: undefined })
  }

  async #take(event: SourceEvent): Promise<void> {
    if (event.type === 'lost' || event.type === 'resumed') return this.#connection(event)
    if (event.type !== 'samples') return
    const rows = rowsOf(event.samples)
    if (!this.#writer) return this.#show(rows)
    await this.#store(rows).catch((error: Error) => this.#tell(error))
  }

  #connection({ type, probe }: Extract<SourceEvent, { type: 'lost' | 'resumed' }>) {
    const channel = channelOf(probe)
    if (!channel) return
    const lost = new Set(this.#state.lost)
    if (type === 'lost') lost.add(channel)
    else lost.delete(channel)
    this.#set({ lost })
  }

  #values({ at, shown }: Row, head: LogHead): number[] {
    return head.channels.map(({ key, unit }) => {
      const own = shown.get(key as WorkChannel) ?? this.#state.latest.get(key as WorkChannel)
      const isFresh = own !== undefined && at - own.at <= FRESH && !this.#state.lost.has(key as WorkChannel)
      return isFresh && own.unit === unit ? own.value : NaN
    })
  }

  /** Stores rows, then shows them. */
  async #store(rows: readonly Row[]): Promise<void> {
    const [writer, head, grown] = [this.#writer, this.#state.log, this.#grown]
    if (!writer || !head || !grown) return
    if (writer.isFull) {
      await this.stop()
      this.#set({ problem: `“${head.name}” ended: ${FULL_LOG}` })
      return this.#show(rows)
    }
    const start = Date.parse(head.startedAt)
    const taken = rows.flatMap((row) => {
      const seconds = Math.max((row.at - start) / 1000, writer.latest, 0)
      const values = this.#values(row, head)
      if (writer.isFull || values.every((value) => Number.isNaN(value))) return []
      writer.append(seconds, values)
      return [{ seconds, values }]
    })
    await writer.flush()
    for (const { seconds, values } of taken) grown.append(seconds, values)
    if (this.#grown === grown) this.#set({ samples: grown.view(), unstored: undefined })
    this.#show(rows)
  }

  #show(rows: readonly Row[]) {
    const latest = new Map(this.#state.latest)
    for (const { shown } of rows) for (const [channel, each] of shown) latest.set(channel, each)
    this.#set({ latest })
  }

  /** A log that is gone ends; otherwise its samples wait and are tried again with the next ones. */
  #tell(error: Error) {
    if (error instanceof OrzoError) this.#forget()
    this.#set({ unstored: `The last samples are not stored yet: ${storeSentence(error)}` })
  }

  #set(change: Partial<Watching>): void {
    this.#state = { ...this.#state, ...change }
    this.#watchers.forEach((watcher) => watcher())
  }
}
