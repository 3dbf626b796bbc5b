import type { UnitPlate } from '../../record/equipment/unit'
import type { Derived } from '../../record/readings/derive'
import type { Flag } from '../../record/readings/flags'
import type { Measured, Snapshot } from '../../record/readings/snapshot'
import type { ElectricalTestKey, TestResult } from '../electrical/electricalTests'
import type { StandingCircuit } from '../standing/standingCircuit'
import type { Target, Targets } from '../targets/target'
import type { FeatureKey } from './features'

/** A feature that was taken, beside what it should be. */
type Judged = { readonly measured: Measured; readonly target: Target }
export type JudgedFeatures = { readonly [K in FeatureKey]?: Judged }
export type TestResults = { readonly [K in ElectricalTestKey]?: TestResult }

/** A set as it is read before anything is ranked: arithmetic, expectations, flags. */
export type Assessment = {
  readonly unit: UnitPlate
  readonly snapshot: Snapshot
  readonly derived: Derived
  readonly targets: Targets
  readonly judged: JudgedFeatures
  readonly tests: TestResults
  /** what the circuit tells at rest; undefined where it ran or nothing can be told */
  readonly standing: StandingCircuit | undefined
  readonly flags: readonly Flag[]
}
