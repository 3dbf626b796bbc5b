import type { Samples } from './samples'

/** Samples that grow at their end: what is at hand while a log is recorded, without joining chunks anew each second. */
export class GrowingSamples {
  #time: Float64Array
  #values: Float64Array[]
  #count: number

  constructor({ time, values }: Samples) {
    this.#count = time.length
    const room = Math.max(time.length * 2, 1024)
    this.#time = new Float64Array(room)
    this.#time.set(time)
    this.#values = values.map((channel) => {
      const column = new Float64Array(room)
      column.set(channel)
      return column
    })
  }

  get count(): number {
    return this.#count
  }

  append(seconds: number, values: readonly number[]): void {
    if (this.#count === this.#time.length) this.#grow()
    this.#time[this.#count] = seconds
    this.#values.forEach((column, i) => (column[this.#count] = values[i] ?? NaN))
    this.#count += 1
  }

  /** What there is now; the arrays are views and are not written into again. */
  view(): Samples {
    return {
      time: this.#time.subarray(0, this.#count),
      values: this.#values.map((column) => column.subarray(0, this.#count)),
    }
  }

  #grow(): void {
    const wider = (column: Float64Array) => {
      const next = new Float64Array(column.length * 2)
      next.set(column)
      return next
    }
    this.#time = wider(this.#time)
    this.#values = this.#values.map(wider)
  }
}
