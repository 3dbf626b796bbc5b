import { MOST_ROWS } from '../../base/csv/csv'

/**
 * Samples of a log in columns: one time and one value of each channel a sample. NaN where an instrument was silent.
 * `time` is in seconds after the start of the log and never falls.
 */
export type Samples = {
  readonly time: Float64Array
  readonly values: readonly Float64Array[]
}

/** A stretch of a log as it is stored: its place, its samples, and whether more may come into it. */
export type Chunk = Samples & { readonly index: number; readonly count: number; readonly sealed: boolean }

/** [practice] times and values that one log holds: its table stays below what an archive gives back */
const MOST_VALUES = 20_000_000

/** How many samples a log takes; eleven days at one a second. @param channels values of a sample */
export const mostSamples = (channels: number): number =>
  Math.min(MOST_ROWS, Math.floor(MOST_VALUES / (channels + 1)))

/** What is said of a log that is full. */
export const FULL_LOG = 'a log holds no more samples than that: begin another one.'

/** Samples of a full chunk: a quarter of an hour at one a second. Small, because an open one is rewritten each second. */
const CHUNK_SAMPLES = 1024

/** @returns how many samples there are */
export const countOf = ({ time }: Pick<Samples, 'time'>): number => time.length

/** Samples of no time yet. @param channels how many values a sample has */
export const noSamples = (channels: number): Samples => ({
  time: new Float64Array(0),
  values: Array.from({ length: channels }, () => new Float64Array(0)),
})

/** A stretch of samples; typed arrays of its own, so that what is stored holds no more than that. */
const sliceSamples = ({ time, values }: Samples, from: number, to: number): Samples => ({
  time: time.slice(from, to),
  values: values.map((channel) => channel.slice(from, to)),
})

function joined(arrays: readonly Float64Array[]): Float64Array {
  const whole = new Float64Array(arrays.reduce((sum, { length }) => sum + length, 0))
  let at = 0
  for (const each of arrays) {
    whole.set(each, at)
    at += each.length
  }
  return whole
}

/** Stretches one after another as one. @param channels how many values a sample has */
export const joinSamples = (stretches: readonly Samples[], channels: number): Samples => ({
  time: joined(stretches.map(({ time }) => time)),
  values: Array.from({ length: channels }, (_channel, i) =>
    joined(stretches.map(({ values }) => values[i] ?? new Float64Array(0))),
  ),
})

/** Cuts a whole log into chunks; the last one is sealed too, nothing comes after it. */
export function chunksOf(samples: Samples, most = CHUNK_SAMPLES): Chunk[] {
  return Array.from({ length: Math.ceil(countOf(samples) / most) }, (_chunk, index): Chunk => {
    const part = sliceSamples(samples, index * most, (index + 1) * most)
    return { ...part, index, count: countOf(part), sealed: true }
  })
}

/**
 * The open end of a log while it is recorded: takes samples one by one, gives the chunks to write. What an append costs does
 * not depend on how long the log is.
 */
export class LogTail {
  readonly #channels: number
  readonly #most: number
  #index = 0
  #count = 0
  #written = 0
  #time: Float64Array
  #values: Float64Array[]
  #full: Chunk[] = []

  /** @param last the last stored chunk of a log that is gone on with */
  constructor(channels: number, most = CHUNK_SAMPLES, last?: Chunk) {
    this.#channels = channels
    this.#most = most
    this.#time = new Float64Array(most)
    this.#values = Array.from({ length: channels }, () => new Float64Array(most))
    if (!last) return
    const isFull = last.sealed || last.count >= most
    this.#index = last.index + (isFull ? 1 : 0)
    if (isFull) return
    this.#count = last.count
    this.#written = last.count
    this.#time.set(last.time)
    last.values.forEach((channel, i) => this.#values[i]?.set(channel))
  }

  /** Samples taken so far, stored or not. */
  get samples(): number {
    return this.#index * this.#most + this.#count
  }

  /** Takes one sample. @param values one a channel; NaN where nothing was shown */
  append(seconds: number, values: readonly number[]): void {
    this.#time[this.#count] = seconds
    for (let i = 0; i < this.#channels; i += 1)
      (this.#values[i] as Float64Array)[this.#count] = values[i] ?? NaN
    this.#count += 1
    if (this.#count < this.#most) return
    this.#full.push(this.#chunk(true))
    this.#index += 1
    this.#count = 0
    this.#written = 0
  }

  /** Chunks that were not yet given: those that came full, and the open one where it grew. @param end seals the open one */
  take(end = false): Chunk[] {
    const out = this.#full
    this.#full = []
    if (this.#count > 0 && (end || this.#count > this.#written)) {
      out.push(this.#chunk(end))
      this.#written = this.#count
    }
    return out
  }

  /** Gives chunks back that could not be stored: they come again with the next take. */
  giveBack(chunks: readonly Chunk[]): void {
    this.#full = [...chunks.filter(({ index }) => index < this.#index), ...this.#full]
    this.#written = 0
  }

  #chunk(sealed: boolean): Chunk {
    const part = sliceSamples({ time: this.#time, values: this.#values }, 0, this.#count)
    return { ...part, index: this.#index, count: this.#count, sealed }
  }
}
