import type { MarkKind } from '@/core/record/records/log'
import type { LogPurpose } from '@/core/record/readings/logPurposes'
import { LOG_KINDS } from '@/core/repair/logs/kinds'
import type { PlantHands } from '@/instruments/workSource'

/** Something hands do while a log runs: a mark in it, and in a demo job the hose or machine itself. */
export type LogAction = {
  readonly label: string
  readonly mark?: MarkKind
  readonly hands?: Partial<PlantHands>
  /** the mark carries the next pressure that is gone to */
  readonly isStep?: true
}

/** What hands do while a log runs, where it is more than to mark a moment. */
const LOG_ACTIONS: { readonly [P in LogPurpose]?: readonly LogAction[] } = {
  recovery: [
    { label: 'Machine runs', mark: 'valve-open', hands: { machine: true } },
    { label: 'Machine stopped', mark: 'stop', hands: { machine: false } },
    { label: 'Warm the cold spot', mark: 'note', hands: { warm: true } },
    { label: 'Cylinder changed', mark: 'cylinder' },
  ],
  'pressure-test': [
    { label: 'To the next step', mark: 'step', isStep: true, hands: { vent: false, pump: false } },
    { label: 'Regulator shut, clock on', mark: 'hold', hands: { regulator: 0 } },
    { label: 'Blow down', mark: 'stop', hands: { regulator: 0, vent: true } },
  ],
  evacuation: [
    {
      label: 'Pump on',
      mark: 'valve-open',
      hands: { regulator: 0, vent: false, pump: true, valve: 'open' },
    },
    { label: 'Open the hose', mark: 'note', hands: { hose: 'open' } },
    { label: 'Sweep with nitrogen', mark: 'sweep', hands: { pump: false, regulator: 14_000 } },
  ],
  decay: [
    { label: 'Valve shut, watch', mark: 'valve-shut', hands: { valve: 'shut' } },
    { label: 'Valve open, pump on', mark: 'valve-open', hands: { valve: 'open', pump: true } },
  ],
  'weigh-in': [
    { label: 'Cylinder open', mark: 'valve-open', hands: { pump: false, charging: true } },
    { label: 'Cylinder shut', mark: 'valve-shut', hands: { charging: false } },
    { label: 'Cylinder changed', mark: 'cylinder' },
  ],
}

/** What a mark says on its button where a kind of log says nothing of its own. */
const MARK_LABELS: Readonly<Record<MarkKind, string>> = {
  'valve-open': 'Valve open',
  'valve-shut': 'Valve shut',
  step: 'To the next step',
  hold: 'Clock on',
  stop: 'Stopped',
  sweep: 'Swept',
  cylinder: 'Cylinder changed',
  note: 'Note the moment',
}

/** What hands do while a log runs: as the kind says, else its marks. */
export const actionsOf = (purpose: LogPurpose): readonly LogAction[] =>
  LOG_ACTIONS[purpose] ?? LOG_KINDS[purpose].marks.map((mark) => ({ label: MARK_LABELS[mark], mark }))
