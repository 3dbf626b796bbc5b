import { seededRandom } from '@/core/base/numeric/random'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { loadRefrigerants } from '@/core/physics/refrigerants/tables'
import { beginLive, type LiveBench, placeProbe, readLive, stepLive } from '@/core/simulate/liveBench'
import { LIVE_PROBES } from '@/core/simulate/liveProbes'
import type { SteadyQuestion } from '@/core/simulate/steady'
import type { SourceEvent } from './source'

export type LiveQuestion = {
  readonly question: SteadyQuestion
  readonly seed: number
  /** how much faster than the clock the simulated unit lives */
  readonly speed: number
}

/** Two readings a second, as instruments with a radio send. */
const PERIOD = 500
/** A probe that was dropped comes back by itself after this, ms. */
const AWAY = 6000
const FIRST_BATTERY = 0.94
const BATTERY_PER_SAMPLE = 2e-5
const BATTERY_EVERY = 40

/** What runs in the worker: a simulated unit with probes on it, streaming while any are connected. */
export class SimulatedBench {
  #bench: LiveBench | undefined
  #speed = 1
  #random = seededRandom(1)
  #streaming: readonly string[] = []
  #lost = new Map<string, number>()
  #timer: ReturnType<typeof setInterval> | undefined
  #ticks = 0
  #send: (events: SourceEvent[]) => void = () => undefined

  /** Switches the unit on. @throws OrzoError not-simulated */
  async begin({ question, seed, speed }: LiveQuestion): Promise<void> {
    await loadRefrigerants([question.unit.refrigerant])
    this.#random = seededRandom(seed)
    this.#speed = speed
    this.#bench = beginLive(question, this.#random)
  }

  listen(send: (events: SourceEvent[]) => void): void {
    this.#send = send
  }

  connect(probes: readonly string[]): void {
    const unknown = probes.find((id) => !LIVE_PROBES.some((each) => each.id === id))
    if (unknown !== undefined)
      throw new Error(`No instrument "${unknown}" is in reach: look for instruments again.`)
    this.#streaming = probes
    clearInterval(this.#timer)
    this.#timer = setInterval(() => this.#tick(), PERIOD)
  }

  place(probe: string, key: ReadingKey | undefined): void {
    if (this.#bench) this.#bench = placeProbe(this.#bench, probe, key)
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

  #tick(): void {
    if (!this.#bench) return
    const now = Date.now()
    for (const [probe, until] of this.#lost) if (now >= until) this.resume(probe)
    this.#bench = stepLive(this.#bench, (PERIOD / 1000) * this.#speed)
    const here = this.#streaming.filter((id) => !this.#lost.has(id))
    const samples = readLive(this.#bench, here, this.#random).map((reading) => ({ ...reading, at: now }))
    const events: SourceEvent[] = [{ type: 'samples', samples }]
    if (this.#ticks % BATTERY_EVERY === 0) {
      const share = FIRST_BATTERY - this.#ticks * BATTERY_PER_SAMPLE
      events.push(...here.map((probe): SourceEvent => ({ type: 'battery', probe, share })))
    }
    this.#ticks += 1
    this.#send(events)
  }
}
