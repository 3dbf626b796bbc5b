import { siteAtmosphere } from '../../record/equipment/circumstances'
import type { UnitPlate } from '../../record/equipment/unit'
import { unitAs } from '../../record/equipment/unitAs'
import { derive, type Derived } from '../../record/readings/derive'
import { findFlags, type Flag } from '../../record/readings/flags'
import type { ReadingSet } from '../../record/readings/schema'
import { type Snapshot, takeSnapshot } from '../../record/readings/snapshot'
import { stood } from '../../record/readings/atRest'
import { isIced } from '../../record/readings/iced'
import { standingCircuit } from '../standing/standingCircuit'
import { standingPressures } from '../../record/readings/standingPressures'
import { isSatisfied } from '../targets/control'
import { findTargets, loadStillHigh } from '../targets/findTargets'
import { coverage } from '../targets/profiles'
import type { Targets } from '../targets/target'
import { readsOpen } from '../electrical/testResult'
import { electricalFindings, ELECTRICAL_TEST_KEYS } from '../electrical/electricalTests'
import { FEATURE_KEYS, type FeatureKey, featureRow } from './features'
import { isPlaced } from '../../record/readings/places'
import { lowPressureFlags } from '../targets/lowPressureControl'
import { type Assessment, deviationOf, type JudgedFeatures } from './assessment'
import { hiddenError } from './hiddenDrop'
import { isMute, isMuteTest } from './mute'
import type { BranchWord } from './branchWords'
import type { Item } from './items'
import { shownWhereFlags } from './shownFigures'
import { EVIDENT_OBSERVATIONS } from './commonWords'

export type { Assessment } from './assessment'

/** Of a standing circuit a word speaks (standing/), a running set is judged by the feature. */
const STANDING: FeatureKey = 'standingOverAmbient'
/** A warm room or box is as much the consequence of a dead compressor: alone it is no vote for a running circuit. */
const NO_VOTE: readonly FeatureKey[] = [STANDING, 'spaceTemp']

/** Whether the readings themselves show that the compressor ran. */
const showsRunning = (judged: JudgedFeatures): boolean =>
  Object.keys(judged).some((key) => !NO_VOTE.includes(key as FeatureKey))

/** Features that were taken and have a target; a stand-in gives way to what it stands for. None of a machine that stood. */
function judge(unit: UnitPlate, snapshot: Snapshot, derived: Derived, targets: Targets): JudgedFeatures {
  if (stood(snapshot) || isIced(snapshot.observations)) return {}
  const all = judgeAll(unit, snapshot, derived, targets)
  if (snapshot.observations.compressorState === 'running' || showsRunning(all)) return all
  const { spaceTemp: _space, ...others } = all
  return others
}

function judgeAll(unit: UnitPlate, snapshot: Snapshot, derived: Derived, targets: Targets): JudgedFeatures {
  const out: { -readonly [K in FeatureKey]?: JudgedFeatures[K] } = {}
  for (const key of FEATURE_KEYS) {
    const target = targets[key]
    const { measure, insteadOf = [] } = featureRow(key)
    const measured = target && measure(unit, snapshot, derived)
    const replaced = insteadOf.some((other) => out[other] !== undefined)
    if (target && measured && !replaced) out[key] = { measured, target }
  }
  return out
}

/** Supply this much on the wrong side of return shows that the valve stands in the other mode, K. */
const OTHER_MODE = 2

function circumstanceFlags(unit: UnitPlate, snapshot: Snapshot, targets: Targets): Flag[] {
  const covered = coverage(unit, snapshot.mode)
  const flags: Flag[] =
    covered.covered || snapshot.mode === 'off'
      ? []
      : [{ id: 'not-covered', keys: [], sentence: covered.reason }]
  if (snapshot.mode === 'off' && standingPressures(snapshot).length === 0) {
    flags.push({
      id: 'at-rest',
      keys: ['standingPressure'],
      sentence:
        'The unit is off: read the standing pressure on both sides and the coldest place where liquid can lie. Running readings judge the rest later.',
    })
  }
  if (stood(snapshot) && snapshot.mode !== 'off') {
    flags.push({
      id: 'compressor-not-running',
      keys: [],
      sentence:
        'The compressor does not run: running readings are left out. Read the standing pressure; lock out and prove dead before windings and ground are measured.',
    })
  }
  if (isSatisfied(unit, snapshot)) {
    flags.push({
      id: 'satisfied',
      keys: [snapshot.values.boxTemp ? 'boxTemp' : 'returnAirTemp'],
      sentence:
        'The space is within its setpoint and differential: the control is satisfied, and a compressor that stands is no fault. Force a call before it is judged.',
    })
  }
  if (isIced(snapshot.observations)) {
    flags.push({
      id: 'iced',
      keys: [],
      sentence:
        'The coil is iced over: that is a symptom. Thaw it whole, then take a new set: what was read over ice does not count.',
    })
  }
  if (!stood(snapshot) && loadStillHigh(targets, snapshot)) {
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
 * Reads one set with what was inside when it was taken: SI snapshot, derived values, targets, what can be judged, electrical tests, flags.
 * @throws OrzoError not-loaded when the refrigerant's table is not in memory
 */
export function assess(plate: UnitPlate, set: ReadingSet): Assessment {
  const unit = unitAs(plate, set.refrigerant)
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
    standing: standingCircuit(unit, snapshot),
    flags: [
      ...circumstanceFlags(unit, snapshot, targets),
      ...lowPressureFlags(unit, snapshot),
      ...shownWhereFlags(snapshot),
      ...findFlags(snapshot, derived),
    ],
  }
}

/** What no compressor runs with: an open winding, no volts at the unit. */
const cannotRun = ({ tests }: Assessment): boolean =>
  readsOpen(tests.windings) || tests.supply?.word === 'no-volts'

/** What readings say of the compressor where nobody wrote it down: a running reading that it ran, an open winding that it did not. */
function impliedState(assessment: Assessment): Item[] {
  const { judged, snapshot } = assessment
  if (snapshot.observations.compressorState !== undefined) return []
  const word = showsRunning(judged) ? 'running' : cannotRun(assessment) ? 'off' : undefined
  return word ? [{ type: 'word', key: 'compressorState', word, implied: true }] : []
}

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
    const deviation = deviationOf(judged, key) as number
    const error = Math.hypot(value.error / target.tolerance, hiddenError(key, deviation, assessment.derived))
    return [{ type: 'feature', key, deviation, error, tolerance: target.tolerance }]
  })
  const seen = EVIDENT_OBSERVATIONS.flatMap((key): Item[] => {
    const word = snapshot.observations[key]
    if (!word || isMute(key, assessment)) return []
    const further = isPlaced(key) ? (snapshot.also[key] ?? []) : []
    return [{ type: 'word', key, word, ...(further.length > 0 ? { further } : {}) }]
  })
  const tested = ELECTRICAL_TEST_KEYS.flatMap((key): Item[] => {
    const result = tests[key]
    if (!result || isMuteTest(key, result.word, assessment)) return []
    return [{ type: 'word', key, word: result.word }]
  })
  const among: Item[] = branch ? [{ type: 'word', key: 'branches', word: branch }] : []
  const { state } = assessment.standing ?? {}
  const atRest: Item[] = state ? [{ type: 'word', key: 'standing', word: state }] : []
  return [...measured, ...seen, ...impliedState(assessment), ...tested, ...among, ...atRest]
}
