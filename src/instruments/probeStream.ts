import type { LiveProbe } from '@/core/simulate/liveProbes'
import type { SourceEvent } from './source'

/** Two ticks a second, as instruments with a radio send. */
export const PERIOD = 500
/** A probe that was dropped comes back on its own after this, ms. */
const AWAY = 6000

/** Which probes of a bench stream, and which are out of reach: what every simulated bench shares. */
export abstract class ProbeStream {
  readonly #probes: readonly LiveProbe[]
  #streaming: readonly string[] = []
  #lost = new Map<string, number>()
  #timer: ReturnType<typeof setInterval> | undefined
  #send: (events: SourceEvent[]) => void = () => undefined

  constructor(probes: readonly LiveProbe[]) {
    this.#probes = probes
  }

  /** What the instruments within reach show now. @param here ids of the probes that stream; now ms */
  protected abstract events(here: readonly string[], now: number): SourceEvent[]

  listen(send: (events: SourceEvent[]) => void): void {
    this.#send = send
  }

  connect(probes: readonly string[]): void {
    const unknown = probes.find((id) => !this.#probes.some((each) => each.id === id))
    if (unknown !== undefined)
      throw new Error(`No instrument "${unknown}" is in reach: look for instruments again.`)
    this.#streaming = probes
    clearInterval(this.#timer)
    this.#timer = setInterval(() => this.tick(), PERIOD)
  }

  /** As if a probe went out of reach; comes back after some seconds. */
  drop(probe: string): void {
    if (this.#lost.has(probe)) return
    this.#lost.set(probe, Date.now() + AWAY)
    this.#send([{ type: 'lost', probe }])
  }

  resume(probe: string): void {
    if (this.#lost.delete(probe)) this.#send([{ type: 'resumed', probe }])
  }

  disconnect(): void {
    clearInterval(this.#timer)
    this.#timer = undefined
    this.#streaming = []
  }

  /** Sends what there is, at once. */
  protected tick(): void {
    const now = Date.now()
    for (const [probe, until] of this.#lost) if (now >= until) this.resume(probe)
    const events = this.events(
      this.#streaming.filter((id) => !this.#lost.has(id)),
      now,
    )
    if (events.length > 0) this.#send(events)
  }
}
