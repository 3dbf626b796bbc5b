import type { ChannelKey } from '@/core/record/readings/channels'
import { isReadingKey } from '@/core/record/readings/vocabulary'
import { LIVE_PROBES } from '@/core/simulate/liveProbes'
import { RemoteSource } from './remoteSource'
import type { LiveQuestion, SimulatedBench } from './simulatedBench'

/** Instruments on a simulated unit, for the demo jobs and for practice. */
export class SimulatedSource extends RemoteSource<LiveQuestion, SimulatedBench> {
  constructor(live: LiveQuestion) {
    super(
      live,
      {
        worker: () => new Worker(new URL('./simulated.worker.ts', import.meta.url), { type: 'module' }),
        inPlace: async () => new (await import('./simulatedBench')).SimulatedBench(),
      },
      LIVE_PROBES,
    )
  }

  /** A unit that runs has no place for an instrument of the work. */
  async place(probe: string, key: ChannelKey | undefined): Promise<void> {
    await (await this.door()).place(probe, key !== undefined && isReadingKey(key) ? key : undefined)
  }
}
