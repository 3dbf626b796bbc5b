import { toKelvin } from '@/core/base/units/convert'
import type { ElectricalFaultId } from '@/core/diagnosis/faults/faults'
import type { UnitPlate } from '@/core/record/equipment/unit'
import type { Job } from '@/core/record/job/job'
import type { ObservationKey } from '@/core/record/readings/observations'
import type { Observations } from '@/core/record/readings/schema'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import type { TaskId } from '@/core/repair/plan/tasks/tasks'
import type { SimulatedFault } from '@/core/simulate/circuitFaults'
import type { Conditions } from '@/core/simulate/conditions'

export const ELEVATION = { value: 1750, unit: 'm' } as const
export const fahrenheit = (value: number) => toKelvin({ value, unit: 'F' })

/** An owner who agreed to the quote. */
export const QUOTE_GIVEN = { quote: { answer: 'given', by: 'the site manager' } } as const

export type DemoFault = { readonly fault: SimulatedFault; readonly severity: number }

export type DemoSet = {
  readonly label: string
  readonly hoursAgo: number
  /** of the circuit; none for a sound one */
  readonly faults?: readonly DemoFault[]
  /** what the unit does not run for */
  readonly electrical?: ElectricalFaultId
  /** it stands with this share of its charge */
  readonly standing?: number
  readonly mode?: 'cooling' | 'heating'
  readonly seed: number
  readonly conditions: Conditions
  readonly keys: readonly ReadingKey[]
  /** what is looked at, as the simulated unit shows it */
  readonly look?: readonly ObservationKey[]
  /** what was seen beside */
  readonly observations?: Observations
}

/** A day of work by the plan, as far as it has come. */
export type DemoDay = {
  /** when the first step began */
  readonly hoursAgo: number
  /** the step that is on; the whole plan is over where it is missing */
  readonly until?: TaskId
  readonly seed: number
  /** readings after the start */
  readonly after?: Omit<DemoSet, 'hoursAgo'>
  readonly replaced?: string
}

export type DemoJob = {
  readonly id: string
  readonly title: string
  readonly hoursAgo: number
  readonly unit: UnitPlate
  readonly arrival: NonNullable<Job['arrival']>
  readonly sets: readonly DemoSet[]
  /** the unit behind its instruments while no set is taken */
  readonly live?: Pick<DemoSet, 'conditions' | 'faults' | 'seed' | 'mode' | 'standing' | 'electrical'>
  readonly rest?: Partial<Pick<Job, 'decisions' | 'closing' | 'repair' | 'day'>>
  readonly work?: DemoDay
}

export const COMFORT_KEYS: readonly ReadingKey[] = [
  'suctionPressure',
  'liquidPressure',
  'suctionLineTemp',
  'liquidLineTemp',
  'outdoorAirTemp',
  'returnAirTemp',
  'returnAirWetBulb',
  'supplyAirTemp',
]

export const BOX_KEYS: readonly ReadingKey[] = [
  'suctionPressure',
  'liquidPressure',
  'suctionLineTemp',
  'liquidLineTemp',
  'outdoorAirTemp',
  'boxTemp',
]
