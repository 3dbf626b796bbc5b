import type { ChannelKey } from '@/core/record/readings/channels'
import type { LiveProbe } from '@/core/simulate/liveProbes'
import type { Unit } from '@/core/base/units/units'

export type ProbeInfo = LiveProbe

/** One value that an instrument showed. */
export type Sample = {
  readonly probe: string
  readonly at: number
  readonly value: number
  readonly unit: Unit
}

export type SourceEvent =
  | { readonly type: 'samples'; readonly samples: readonly Sample[] }
  /** charge of a probe's battery, a share of one */
  | { readonly type: 'battery'; readonly probe: string; readonly share: number }
  | { readonly type: 'lost'; readonly probe: string }
  | { readonly type: 'resumed'; readonly probe: string }

/**
 * A family of instruments that stream readings. A driver of real ones implements this and passes `contract.ts`.
 * Nothing is streamed before `connect`; after `lost` no sample of that probe comes until `resumed`.
 */
export interface InstrumentSource {
  readonly name: string
  /** Instruments within reach. @throws Error with a sentence for the user when none can be looked for */
  discover(): Promise<readonly ProbeInfo[]>
  /** Begins the stream of some probes. @throws Error naming a probe that is not there */
  connect(probes: readonly string[]): Promise<void>
  /** Tells the source where a probe was put; an instrument that does not care ignores it. */
  place(probe: string, key: ChannelKey | undefined): Promise<void>
  /** Tries to get a lost probe back. */
  resume(probe: string): Promise<void>
  /** @returns stops listening */
  listen(listener: (event: SourceEvent) => void): () => void
  /** Ends all streams. May be connected again. */
  disconnect(): Promise<void>
}
