import { type Assessment, deviationOf } from '../evidence/assessment'
import type { FeatureKey } from '../evidence/features'
import { CHECK_IDS, type CheckId, checkRow } from './checks'

/** Kinds of work at a unit: one tool in the hand, one place to stand. */
export type Work =
  'ask' | 'look' | 'listen' | 'try' | 'gauge' | 'clamp' | 'air' | 'at-rest' | 'live' | 'dead' | 'open'

/** Checks whose kind does not follow from what they yield. */
const WORK: { readonly [C in CheckId]?: Work } = {
  comesAndGoes: 'ask',
  callForOperation: 'ask',
  compressorState: 'ask',
  compressorNoise: 'listen',
  reliefNoise: 'listen',
  reversingValveNoise: 'listen',
  solenoidPull: 'listen',
  bulbWarmResponse: 'try',
  bulbIceResponse: 'try',
  warmValveResponse: 'try',
  stemResponse: 'try',
  pumpDownTest: 'try',
  handValveTest: 'try',
  reliefAfterRestart: 'try',
  hardStart: 'live',
  jumpAtUnit: 'live',
  loadVolts: 'live',
  controlVolts: 'live',
  lowPressureSwitch: 'live',
  phaseSequence: 'live',
  contactorPoints: 'dead',
  leadState: 'dead',
  startGear: 'dead',
  groundPath: 'dead',
  standing: 'at-rest',
  standingOverAmbient: 'at-rest',
  pressureOff: 'open',
}
const BY_FEATURE: { readonly [F in FeatureKey]?: Work } = {
  evaporatingMean: 'gauge',
  condensingMean: 'gauge',
  suctionDryerDrop: 'gauge',
  temperatureSplit: 'air',
  temperatureRise: 'air',
  waterRise: 'air',
  ampsShare: 'live',
}

function derivedWork(id: CheckId): Work {
  const { feature, test, state } = checkRow(id)
  if (feature) return BY_FEATURE[feature] ?? 'clamp'
  if (state === 'recovered' || state === 'pressure-off') return 'open'
  if (test) return state === 'power-off' ? 'dead' : 'live'
  return 'look'
}

/** What kind of work each check is. */
const WORKS = new Map<CheckId, Work>(CHECK_IDS.map((id) => [id, WORK[id] ?? derivedWork(id)]))
export const workOf = (id: CheckId): Work => WORKS.get(id) ?? 'look'

/** Questions that fit every complaint. */
export const isGeneric = (id: CheckId): boolean => workOf(id) === 'ask'

/** Deviations from which head and subcooling count as high, half widths. */
const HIGH = 1

/** High head over much subcooling: overcharge, air or a dirty coil; weighing and the standing test split them (handbook 04). */
export function isHighAndFull({ judged }: Assessment): boolean {
  const isHigh = (key: FeatureKey) => (deviationOf(judged, key) ?? 0) > HIGH
  return isHigh('condensingMean') && isHigh('subcooling')
}

/**
 * The first of a list that are different kinds of work, then the rest, no more than asked for.
 * @param sorted best first
 * @param kinds how many different kinds come before any kind comes twice
 */
export function differentWork<T extends { readonly check: CheckId }>(
  sorted: readonly T[],
  kinds: number,
  most: number,
): T[] {
  const first: T[] = []
  for (const each of sorted)
    if (first.length < kinds && !first.some((other) => workOf(other.check) === workOf(each.check)))
      first.push(each)
  return [...first, ...sorted.filter((each) => !first.includes(each))].slice(0, most)
}
