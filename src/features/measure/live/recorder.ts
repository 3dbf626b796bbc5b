import { OrzoError } from '@/core/base/errors/orzoError'
import { isoNow } from '@/core/base/units/instants'
import { FULL_LOG } from '@/core/record/logs/samples'
import { isReadingKey, type ReadingKey } from '@/core/record/readings/vocabulary'
import type { LogHead } from '@/core/record/records/log'
import { systemClock } from '@/data/clock'
import { LogWriter } from '@/data/logs'
import { randomWord } from '@/data/newId'
import { database } from '@/data/shared'
import type { LiveSession, LiveTap } from '@/instruments/session'
import { storeSentence } from '../../shared/storage/storeSentence'

export type Recording = {
  /** the log that is being written; undefined while nothing is recorded */
  readonly log: LogHead | undefined
  readonly samples: number
  /** why nothing is recorded any more, or why samples wait to be stored */
  readonly problem: string | undefined
}

/** Nothing is recorded. */
export const NOT_RECORDING: Recording = { log: undefined, samples: 0, problem: undefined }

/** A sample a second: what settles in a circuit is slower. [practice] */
const EVERY = 1000

/** What an instrument shows in the unit that its channel was begun in; NaN where it is lost or shows something else. */
const shown = (live: LiveTap | undefined, unit: string): number =>
  live && live.state !== 'lost' && live.unit === unit ? live.value : NaN

/** The head of a log of what is on the taps now. */
const headOf = (taps: ReadonlyMap<ReadingKey, LiveTap>): LogHead => ({
  id: randomWord(),
  name: 'Recorded from instruments',
  startedAt: isoNow(systemClock),
  source: 'instruments',
  channels: [...taps].map(([key, { unit, name }]) => ({ key, unit, name })),
})

/** Writes what the instruments of a job show, a sample a second, into a log of the job. A store that a screen can watch. */
export class Recorder {
  readonly #jobId: string
  readonly #session: LiveSession
  #state: Recording = NOT_RECORDING
  #writer: LogWriter | undefined
  #timer: ReturnType<typeof setInterval> | undefined
  readonly #watchers = new Set<() => void>()

  constructor(jobId: string, session: LiveSession) {
    this.#jobId = jobId
    this.#session = session
  }

  readonly get = (): Recording => this.#state

  readonly watch = (watcher: () => void): (() => void) => {
    this.#watchers.add(watcher)
    return () => this.#watchers.delete(watcher)
  }

  /** Begins a log of what is on the taps now. Never throws: a failure is told in the state. */
  async start(): Promise<void> {
    const taps = this.#session.taps()
    if (this.#state.log || taps.size === 0) return
    const log = headOf(taps)
    this.#set({ log, samples: 0, problem: undefined })
    try {
      const writer = await LogWriter.begin(database(), this.#jobId, log, systemClock)
      // stopped before it had begun: an empty log is ended at once
      if (this.#state.log !== log) return await writer.end(systemClock)
      this.#writer = writer
      this.#sample()
      this.#timer = setInterval(() => this.#sample(), EVERY)
    } catch (error) {
      this.#fail(error as Error)
    }
  }

  /** Stores the rest and ends the log. */
  async stop(): Promise<void> {
    clearInterval(this.#timer)
    try {
      await this.#writer?.end(systemClock)
      this.#writer = undefined
      this.#set(NOT_RECORDING)
    } catch (error) {
      // what the store would not take waits in memory: stopping may be tried again
      this.#tell(error as Error)
    }
  }

  #sample() {
    const { log } = this.#state
    if (!log || !this.#writer) return
    if (this.#session.get().status !== 'connected') return void this.stop()
    if (this.#writer.isFull) return void this.#endFull(log.name)
    const taps = this.#session.taps()
    const seconds = (systemClock.now() - Date.parse(log.startedAt)) / 1000
    this.#writer.append(
      Math.max(seconds, this.#writer.latest),
      log.channels.map(({ key, unit }) => shown(isReadingKey(key) ? taps.get(key) : undefined, unit)),
    )
    this.#set({ ...this.#state, samples: this.#writer.samples })
    this.#writer.flush().then(
      () => {
        if (this.#state.problem) this.#set({ ...this.#state, problem: undefined })
      },
      // what was taken waits in memory and is tried again with the next sample
      (error: Error) => this.#tell(error),
    )
  }

  /** A full log ends as if one had stopped it, and says so. */
  async #endFull(name: string) {
    await this.stop()
    if (!this.#state.log) this.#set({ ...NOT_RECORDING, problem: `“${name}” ended: ${FULL_LOG}` })
  }

  /** A log that is gone ends; otherwise its samples wait. */
  #tell(error: Error) {
    if (error instanceof OrzoError) this.#fail(error)
    else
      this.#set({ ...this.#state, problem: `The last samples are not stored yet: ${storeSentence(error)}` })
  }

  #fail(error: Error) {
    clearInterval(this.#timer)
    this.#writer = undefined
    this.#set({ ...NOT_RECORDING, problem: `Not recorded: ${storeSentence(error)}` })
  }

  #set(state: Recording) {
    this.#state = state
    this.#watchers.forEach((watcher) => watcher())
  }
}
