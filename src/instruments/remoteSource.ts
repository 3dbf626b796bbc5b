import { clientTo } from '@/threads/protocol'
import type { ChannelKey } from '@/core/record/readings/channels'
import type { LiveProbe } from '@/core/simulate/liveProbes'
import { type benchHandlers, type Remote, remoteBench } from './remoteBench'
import type { InstrumentSource, ProbeInfo, SourceEvent } from './source'

/** What a simulated bench in a worker answers to. */
export type Bench<Q> = {
  begin: (question: Q) => Promise<void>
  listen: (send: (events: SourceEvent[]) => void) => void
  connect: (probes: readonly string[]) => void
  resume: (probe: string) => void
  drop: (probe: string) => void
  disconnect: () => void
}

/** How a bench is opened: in a worker of its own, or in place where there are no workers (tests). */
export type Opening<B> = {
  readonly worker: () => Worker
  /** its code comes when it is needed */
  readonly inPlace: () => Promise<B>
}

type Open<B> = { readonly door: Remote<B> | B; readonly close: () => void }

/** Simulated instruments on a bench in a worker: what all of them share. */
export abstract class RemoteSource<Q, B extends Bench<Q>> implements InstrumentSource {
  readonly name = 'Simulated instruments'
  readonly #listeners = new Set<(event: SourceEvent) => void>()
  readonly #question: Q
  readonly #opening: Opening<B>
  readonly #probes: readonly LiveProbe[]
  #open: Promise<Open<B>> | undefined

  constructor(question: Q, opening: Opening<B>, probes: readonly LiveProbe[]) {
    this.#question = question
    this.#opening = opening
    this.#probes = probes
  }

  abstract place(probe: string, key: ChannelKey | undefined): Promise<void>

  async discover(): Promise<readonly ProbeInfo[]> {
    return this.#probes
  }

  async connect(probes: readonly string[]): Promise<void> {
    await (await this.door()).connect(probes)
  }

  async resume(probe: string): Promise<void> {
    await (await this.door()).resume(probe)
  }

  /** As if a probe went out of reach. Only the simulated ones can be asked to. */
  async drop(probe: string): Promise<void> {
    await (await this.door()).drop(probe)
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

  /** The bench, begun. @throws what it says when it cannot begin; the next try begins anew */
  protected async door(): Promise<Bench<Q> & B> {
    this.#open ??= this.#start().catch((error: unknown) => {
      this.#open = undefined
      throw error
    })
    // a remote bench answers the same calls, each with a promise
    return (await this.#open).door as unknown as Bench<Q> & B
  }

  async #start(): Promise<Open<B>> {
    const send = (events: SourceEvent[]) => {
      for (const event of events) for (const listener of this.#listeners) listener(event)
    }
    const isRemote = typeof Worker !== 'undefined'
    const worker = isRemote ? this.#opening.worker() : undefined
    const door = worker
      ? remoteBench<B>(clientTo<ReturnType<typeof benchHandlers<B>>>(() => worker))
      : await this.#opening.inPlace()
    const bench = door as unknown as Bench<Q>
    const close = () => (worker ? worker.terminate() : bench.disconnect())
    try {
      await bench.listen(send)
      await bench.begin(this.#question)
    } catch (error) {
      close()
      throw error
    }
    return { door, close }
  }
}
