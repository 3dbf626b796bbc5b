import type { UnitPlate } from '../../../record/equipment/unit'
import type { Policy } from '../../../record/policy/policy'
import type { Arrival } from '../../../record/records/head'
import type { Repair } from '../../../record/records/repair'
import type { Machine } from '../machine'
import type { NamedControl } from '../namedControl'
import type { TaskId } from '../tasks/tasks'

/** What the points of a task are written from. */
export type PointFacts = {
  readonly unit: UnitPlate
  readonly policy: Policy
  readonly repair: Repair
  readonly weather: Arrival['weather']
  readonly machine: Machine
  /** solvent is of use: acid inside, and no capillary in which it would stay */
  readonly mayFlush: boolean
  /** the part of the control circuit that the bench proved open */
  readonly control: NamedControl | undefined
  /** what burns is or was inside */
  readonly burns: boolean
}

/** One thing to do, look at or measure in a task; undefined where this job has none of it. */
export type Point = string | ((facts: PointFacts) => string | undefined)
export type PointRows = { readonly [T in TaskId]?: readonly Point[] }
