import type { DemoClock } from '@/core/record/records/run'
import type { PlantHands, PlantTrouble } from '@/core/simulate/workPlant'
import { WORK_PROBES } from '@/core/simulate/workProbes'
import { RemoteSource } from './remoteSource'
import type { WorkBench, WorkQuestion } from './workBench'

export type { PlantHands } from '@/core/simulate/workPlant'
export type { WorkQuestion } from './workBench'

/** Instruments on a simulated circuit that is worked on, for the demo jobs and for practice. */
export class WorkSource extends RemoteSource<WorkQuestion, WorkBench> {
  constructor(question: WorkQuestion) {
    super(
      question,
      {
        worker: () => new Worker(new URL('./work.worker.ts', import.meta.url), { type: 'module' }),
        inPlace: async () => new (await import('./workBench')).WorkBench(),
      },
      WORK_PROBES,
    )
  }

  /** Each instrument of the work has one place. */
  async place(): Promise<void> {}

  /** Hoses, valves and machines of the simulated circuit. */
  async hands(change: Partial<PlantHands>): Promise<void> {
    await (await this.door()).hands(change)
  }

  async trouble(change: Partial<PlantTrouble>): Promise<void> {
    await (await this.door()).trouble(change)
  }

  async setClock(clock: DemoClock | undefined): Promise<void> {
    await (await this.door()).setClock(clock)
  }
}
