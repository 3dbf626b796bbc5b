import type { LogPurpose, MarkKind } from '@/core/record/records/log'
import type { PlantHands } from '@/instruments/workSource'

/** Something hands do while a log runs: a mark in it, and in a demo job the hose or machine itself. */
export type LogAction = {
  readonly label: string
  readonly mark?: MarkKind
  readonly hands?: Partial<PlantHands>
  /** the mark carries the next pressure that is gone to */
  readonly isStep?: true
}

export type PurposeRow = {
  readonly isLogarithmic: boolean
  readonly actions: readonly LogAction[]
  /** what begins at the first end of the stretch of an imported log, and its mark */
  readonly begins: readonly [words: string, mark: MarkKind]
}

/** How each log is drawn and what is done while it runs. */
export const PURPOSES: Readonly<Record<LogPurpose, PurposeRow>> = {
  recovery: {
    isLogarithmic: false,
    begins: ['The machine stops', 'stop'],
    actions: [
      { label: 'Machine runs', mark: 'valve-open', hands: { machine: true } },
      { label: 'Machine stopped', mark: 'stop', hands: { machine: false } },
      { label: 'Warm the cold spot', mark: 'note', hands: { warm: true } },
      { label: 'Cylinder changed', mark: 'cylinder' },
    ],
  },
  'pressure-test': {
    isLogarithmic: false,
    begins: ['The clock of the hold starts', 'hold'],
    actions: [
      { label: 'To the next step', mark: 'step', isStep: true, hands: { vent: false, pump: false } },
      { label: 'Regulator shut, clock on', mark: 'hold', hands: { regulator: 0 } },
      { label: 'Blow down', mark: 'note', hands: { regulator: 0, vent: true } },
    ],
  },
  evacuation: {
    isLogarithmic: true,
    begins: ['The pump starts', 'valve-open'],
    actions: [
      {
        label: 'Pump on',
        mark: 'valve-open',
        hands: { regulator: 0, vent: false, pump: true, valve: 'open' },
      },
      { label: 'Open the hose', mark: 'note', hands: { hose: 'open' } },
      { label: 'Sweep with nitrogen', mark: 'sweep', hands: { pump: false, regulator: 14_000 } },
    ],
  },
  decay: {
    isLogarithmic: false,
    begins: ['The valve is shut', 'valve-shut'],
    actions: [
      { label: 'Valve shut, watch', mark: 'valve-shut', hands: { valve: 'shut' } },
      { label: 'Valve open, pump on', mark: 'valve-open', hands: { valve: 'open', pump: true } },
    ],
  },
  'weigh-in': {
    isLogarithmic: false,
    begins: ['The cylinder is opened', 'valve-open'],
    actions: [
      { label: 'Cylinder open', mark: 'valve-open', hands: { pump: false, charging: true } },
      { label: 'Cylinder shut', mark: 'valve-shut', hands: { charging: false } },
      { label: 'Cylinder changed', mark: 'cylinder' },
    ],
  },
}
