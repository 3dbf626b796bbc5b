import { siteAtmosphere } from '../../record/equipment/circumstances'
import type { UnitPlate } from '../../record/equipment/unit'
import { derive, type Derived } from '../../record/readings/derive'
import { findFlags, type Flag } from '../../record/readings/flags'
import type { ReadingSet } from '../../record/readings/schema'
import { type Measured, type Snapshot, takeSnapshot } from '../../record/readings/snapshot'
import { findTargets, loadStillHigh } from '../targets/findTargets'
import { coverage } from '../targets/profiles'
import type { Target, Targets } from '../targets/target'
import {
  electricalFindings,
  ELECTRICAL_TEST_KEYS,
  type ElectricalTestKey,
  type TestResult,
} from '../electrical/electricalTests'
import { FEATURE_KEYS, type FeatureKey, featureRow } from './features'
import type { BranchWord } from './branchWords'
import type { Item } from './items'
import { EVIDENT_OBSERVATIONS } from './commonWords'

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
  readonly flags: readonly Flag[]
}

const isRunning = (snapshot: Snapshot) => (snapshot.observations.compressorState ?? 'running') === 'running'
/** Features that do not need a running compressor. */
const STANDING: readonly FeatureKey[] = ['standingOverAmbient']

/** Features that were taken and have a target; a stand-in gives way to what it stands for. */
function judge(unit: UnitPlate, snapshot: Snapshot, derived: Derived, targets: Targets): JudgedFeatures {
  const out: { [K in FeatureKey]?: Judged } = {}
  for (const key of FEATURE_KEYS) {
    const target = targets[key]
    const { measure, insteadOf = [] } = featureRow(key)
    const measured = target && measure(unit, snapshot, derived)
    const usable = isRunning(snapshot) || STANDING.includes(key)
    const replaced = insteadOf.some((other) => out[other] !== undefined)
    if (target && measured && usable && !replaced) out[key] = { measured, target }
  }
  return out
}

/** Supply this much on the wrong side of return shows that the valve stands in the other mode, K. */
const OTHER_MODE = 2

function circumstanceFlags(unit: UnitPlate, snapshot: Snapshot, targets: Targets): Flag[] {
  const covered = coverage(unit, snapshot.mode)
  const flags: Flag[] = covered.covered ? [] : [{ id: 'not-covered', keys: [], sentence: covered.reason }]
  if (!isRunning(snapshot)) {
    flags.push({
      id: 'compressor-not-running',
      keys: [],
      sentence:
        'The compressor does not run: running readings are left out. Lock out, prove dead, and check supply, contactor and windings first.',
    })
  }
  if (loadStillHigh(targets, snapshot)) {
    flags.push({
      id: 'load-still-high',
      keys: [snapshot.values.boxTemp ? 'boxTemp' : 'returnAirTemp'],
      sentence:
        'Load still high: a valve stands wide open and superheat reads high until it is pulled down. The superheat bands are widened; judge again then.',
    })
  }
  const { supplyAirTemp, returnAirTemp } = snapshot.values
  const split = supplyAirTemp && returnAirTemp && returnAirTemp.value - supplyAirTemp.value
  const wrongWay = split !== undefined && (snapshot.mode === 'heating' ? split : -split) > OTHER_MODE
  if (wrongWay && snapshot.mode !== 'off') {
    flags.push({
      id: 'other-mode',
      keys: ['supplyAirTemp', 'returnAirTemp'],
      sentence:
        snapshot.mode === 'cooling'
          ? 'Supply air is warmer than return air: the unit heats while the set says cooling. Check the mode, then the reversing valve and its coil.'
          : 'Supply air is colder than return air: the unit cools while the set says heating. Check the mode, then the reversing valve and its coil.',
    })
  }
  return flags
}

/**
 * Reads one set: SI snapshot, derived values, targets, what can be judged, electrical tests, flags.
 * @throws OrzoError not-loaded when the refrigerant's table is not in memory
 */
export function assess(unit: UnitPlate, set: ReadingSet): Assessment {
  const snapshot = takeSnapshot(set, unit.refrigerant, siteAtmosphere(unit))
  const derived = derive(snapshot)
  const targets = findTargets(unit, snapshot, derived)
  return {
    unit,
    snapshot,
    derived,
    targets,
    judged: judge(unit, snapshot, derived, targets),
    tests: electricalFindings(unit, snapshot),
    flags: [...circumstanceFlags(unit, snapshot, targets), ...findFlags(snapshot, derived)],
  }
}

/** A running reading says that the compressor ran, even where nobody wrote it down. */
function impliedRunning({ judged, snapshot }: Assessment): Item[] {
  const ran = Object.keys(judged).some((key) => !STANDING.includes(key as FeatureKey))
  return ran && snapshot.observations.compressorState === undefined
    ? [{ type: 'word', key: 'compressorState', word: 'running', implied: true }]
    : []
}

/** An indicator that free water washed out names no fault: the clean-up class reads it. */
const UNREADABLE = 'unreadable'

/**
 * The evidence of a set, as items in a fixed order.
 * @param branch how its branch stands among the others of the circuit
 */
export function itemsOf(assessment: Assessment, branch?: BranchWord): Item[] {
  const { judged, snapshot, tests } = assessment
  const measured = FEATURE_KEYS.flatMap((key): Item[] => {
    const found = judged[key]
    if (!found) return []
    const { measured: value, target } = found
    const deviation = (value.value - target.value) / target.tolerance
    return [
      { type: 'feature', key, deviation, error: value.error / target.tolerance, tolerance: target.tolerance },
    ]
  })
  const seen = EVIDENT_OBSERVATIONS.flatMap((key): Item[] => {
    const word = snapshot.observations[key]
    return word && word !== UNREADABLE ? [{ type: 'word', key, word }] : []
  })
  const tested = ELECTRICAL_TEST_KEYS.flatMap((key): Item[] => {
    const result = tests[key]
    return result ? [{ type: 'word', key, word: result.word }] : []
  })
  const among: Item[] = branch ? [{ type: 'word', key: 'branches', word: branch }] : []
  return [...measured, ...seen, ...impliedRunning(assessment), ...tested, ...among]
}
