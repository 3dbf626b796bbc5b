import { seededRandom } from '@/core/base/numeric/random'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { loadRefrigerants } from '@/core/physics/refrigerants/tables'
import { beginLive, type LiveBench, placeProbe, readLive, stepLive } from '@/core/simulate/liveBench'
import { LIVE_PROBES } from '@/core/simulate/liveProbes'
import type { SteadyQuestion } from '@/core/simulate/steady'
import { PERIOD, ProbeStream } from './probeStream'
import type { SourceEvent } from './source'

export type LiveQuestion = {
  readonly question: SteadyQuestion
  readonly seed: number
  /** how much faster than the clock the simulated unit lives */
  readonly speed: number
}

const FIRST_BATTERY = 0.94
const BATTERY_PER_SAMPLE = 2e-5
const BATTERY_EVERY = 40

/** What runs in the worker: a simulated unit with probes on it, streaming while any are connected. */
export class SimulatedBench extends ProbeStream {
  #bench: LiveBench | undefined
  #speed = 1
  #random = seededRandom(1)
  #ticks = 0

  constructor() {
    super(LIVE_PROBES)
  }

  /** Switches the unit on. @throws OrzoError not-simulated */
  async begin({ question, seed, speed }: LiveQuestion): Promise<void> {
    await loadRefrigerants([question.unit.refrigerant])
    this.#random = seededRandom(seed)
    this.#speed = speed
    this.#bench = beginLive(question, this.#random)
  }

  place(probe: string, key: ReadingKey | undefined): void {
    if (this.#bench) this.#bench = placeProbe(this.#bench, probe, key)
  }

  protected events(here: readonly string[], now: number): SourceEvent[] {
    if (!this.#bench) return []
    this.#bench = stepLive(this.#bench, (PERIOD / 1000) * this.#speed)
    const samples = readLive(this.#bench, here, this.#random).map((reading) => ({ ...reading, at: now }))
    const events: SourceEvent[] = [{ type: 'samples', samples }]
    if (this.#ticks % BATTERY_EVERY === 0) {
      const share = FIRST_BATTERY - this.#ticks * BATTERY_PER_SAMPLE
      events.push(...here.map((probe): SourceEvent => ({ type: 'battery', probe, share })))
    }
    this.#ticks += 1
    return events
  }
}
