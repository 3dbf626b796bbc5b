import { proxy, type Remote, wrap } from 'comlink'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { LIVE_PROBES } from '@/core/simulate/liveProbes'
import type { LiveQuestion, SimulatedBench } from './simulatedBench'
import type { InstrumentSource, ProbeInfo, SourceEvent } from './source'

type Door = Remote<SimulatedBench> | SimulatedBench

/** The bench in a worker of its own; in place where there are no workers (tests): its code comes when it is needed. */
async function openDoor(): Promise<{ door: Door; close: () => void; isRemote: boolean }> {
  if (typeof Worker === 'undefined') {
    const { SimulatedBench: Bench } = await import('./simulatedBench')
    const door = new Bench()
    return { door, close: () => door.disconnect(), isRemote: false }
  }
  const worker = new Worker(new URL('./simulated.worker.ts', import.meta.url), { type: 'module' })
  return { door: wrap<SimulatedBench>(worker), close: () => worker.terminate(), isRemote: true }
}

/** Instruments on a simulated unit, for the demo jobs and for practice. */
export class SimulatedSource implements InstrumentSource {
  readonly name = 'Simulated instruments'
  readonly #listeners = new Set<(event: SourceEvent) => void>()
  readonly #live: LiveQuestion
  #open: ReturnType<typeof openDoor> | undefined

  constructor(live: LiveQuestion) {
    this.#live = live
  }

  async discover(): Promise<readonly ProbeInfo[]> {
    return LIVE_PROBES
  }

  async connect(probes: readonly string[]): Promise<void> {
    const { door } = await this.#begin()
    await door.connect(probes)
  }

  async place(probe: string, key: ReadingKey | undefined): Promise<void> {
    await (await this.#begin()).door.place(probe, key)
  }

  async resume(probe: string): Promise<void> {
    await (await this.#begin()).door.resume(probe)
  }

  /** As if a probe went out of reach. Only the simulated ones can be asked to. */
  async drop(probe: string): Promise<void> {
    await (await this.#begin()).door.drop(probe)
  }

  listen(listener: (event: SourceEvent) => void): () => void {
    this.#listeners.add(listener)
    return () => this.#listeners.delete(listener)
  }

  async disconnect(): Promise<void> {
    const open = this.#open
    this.#open = undefined
    // one that never began has closed itself
    ;(await open?.catch(() => undefined))?.close()
  }

  #begin() {
    this.#open ??= this.#start().catch((error: unknown) => {
      // the next try begins anew
      this.#open = undefined
      throw error
    })
    return this.#open
  }

  async #start() {
    const open = await openDoor()
    const send = (events: SourceEvent[]) => {
      for (const event of events) for (const listener of this.#listeners) listener(event)
    }
    try {
      await open.door.listen(open.isRemote ? proxy(send) : send)
      await open.door.begin(this.#live)
    } catch (error) {
      open.close()
      throw error
    }
    return open
  }
}
