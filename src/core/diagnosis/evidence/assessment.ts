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
/** How far a judged feature lies from its target, half widths of its band; undefined where it was not judged. */
export function deviationOf(judged: JudgedFeatures, key: FeatureKey): number | undefined {
  const found = judged[key]
  return found && (found.measured.value - found.target.value) / found.target.tolerance
}
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
