import { seededRandom } from '@/core/base/numeric/random'
import { loadRefrigerants } from '@/core/physics/refrigerants/tables'
import { jobTime } from '@/core/record/job/jobTime'
import type { DemoClock } from '@/core/record/records/run'
import {
  beginPlant,
  type PlantHands,
  type PlantQuestion,
  type PlantTrouble,
  readPlant,
  setHands,
  setTrouble,
  stepPlant,
  type WorkPlant,
} from '@/core/simulate/workPlant'
import { WORK_PROBES } from '@/core/simulate/workProbes'
import { ProbeStream } from './probeStream'
import type { Sample, SourceEvent } from './source'

export type WorkQuestion = {
  readonly plant: PlantQuestion
  readonly seed: number
  readonly clock: DemoClock | undefined
}

/** In fast time a tick holds several looks, s of the job between them at least. */
const LOOKS = 10
const LEAST_STEP = 0.5
/** After a page slept, the plant goes on by this at most, s: what nobody saw is a gap. */
const MOST_CATCH_UP = 900

/** What runs in the worker: a circuit under work with instruments on it, in the time of the job. */
export class WorkBench extends ProbeStream {
  #plant: WorkPlant | undefined
  #clock: DemoClock | undefined
  #at = 0
  #random = seededRandom(1)

  constructor() {
    super(WORK_PROBES)
  }

  /** Sets the circuit up. @throws OrzoError not-loaded */
  async begin({ plant, seed, clock }: WorkQuestion): Promise<void> {
    await loadRefrigerants([plant.refrigerant, plant.fills])
    this.#random = seededRandom(seed)
    this.#clock = clock
    this.#plant = beginPlant(plant)
    this.#at = jobTime(clock, Date.now())
  }

  /** The time of the job goes at another speed from now on. */
  setClock(clock: DemoClock | undefined): void {
    this.tick()
    this.#clock = clock
  }

  hands(change: Partial<PlantHands>): void {
    this.tick()
    if (this.#plant) this.#plant = setHands(this.#plant, change)
  }

  trouble(change: Partial<PlantTrouble>): void {
    if (this.#plant) this.#plant = setTrouble(this.#plant, change)
  }

  /** Brings the circuit to the time of the job; the looks on the way there. */
  protected events(here: readonly string[], now: number): SourceEvent[] {
    if (!this.#plant) return []
    const to = jobTime(this.#clock, now)
    const seconds = Math.min((to - this.#at) / 1000, MOST_CATCH_UP)
    if (seconds <= 0) return []
    const step = Math.max(seconds / LOOKS, LEAST_STEP)
    const samples: Sample[] = []
    this.#at = to - seconds * 1000
    for (let left = seconds; left > 1e-6; left -= step) {
      const part = Math.min(step, left)
      this.#plant = stepPlant(this.#plant, part)
      this.#at += part * 1000
      samples.push(...this.#looks(this.#plant, here))
    }
    return [{ type: 'samples', samples }]
  }

  #looks(plant: WorkPlant, here: readonly string[]): Sample[] {
    return WORK_PROBES.filter(({ id }) => here.includes(id)).map(({ id, channel }) => ({
      probe: id,
      at: this.#at,
      ...readPlant(plant, channel, this.#random),
    }))
  }
}
