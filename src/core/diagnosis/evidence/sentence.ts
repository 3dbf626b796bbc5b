import { observationRow, wordText } from '../../record/readings/observations'
import type { Measured } from '../../record/readings/snapshot'
import type { Target } from '../targets/target'
import {
  type Display,
  showDifference,
  showPressureDrop,
  showShare,
  showTemperature,
} from '../../base/units/show'
import { standingSentence } from '../standing/standingSentence'
import { type FeatureKey, type FeatureKind, featureRow } from './features'
import type { BranchWord } from './branchWords'
import type { Assessment } from './assess'
import { electricalTestRow, isElectricalTest } from '../electrical/electricalTests'
import type { WordItem } from './items'

type Show = (value: number, display: Display) => string

const SHOW: Record<FeatureKind, { value: Show; gap: Show }> = {
  temperature: { value: showTemperature, gap: showDifference },
  temperatureDifference: { value: showDifference, gap: showDifference },
  pressureDifference: { value: showPressureDrop, gap: showPressureDrop },
  share: {
    value: (share) => `${showShare(share)} of rated load`,
    gap: (share) => `${showShare(share)} of rated load`,
  },
}

/** Verdict on a value against its band. */
export type Verdict = 'in band' | 'above' | 'below'

/** Whether a value lies in its band. */
export function verdict(measured: Measured, target: Target): Verdict {
  const gap = measured.value - target.value
  if (Math.abs(gap) <= target.tolerance) return 'in band'
  return gap > 0 ? 'above' : 'below'
}

/**
 * "Subcooling 35 F is 25 F above the 10 F target: liquid is piling up ahead of something."
 * @param plain without what it points to: a sound circuit is not explained by a fault
 */
export function featureSentence(
  key: FeatureKey,
  measured: Measured,
  target: Target,
  display: Display,
  plain = false,
): string {
  const { label, kind, high, low } = featureRow(key)
  const { value, gap } = SHOW[kind]
  const result = verdict(measured, target)
  const aim = kind === 'share' ? showShare(target.value) : value(target.value, display)
  if (result === 'in band') return `${label} ${value(measured.value, display)} is in its band around ${aim}.`
  const by = gap(Math.abs(measured.value - target.value), display)
  const found = `${label} ${value(measured.value, display)} is ${by} ${result} the ${aim} target`
  return plain ? `${found}.` : `${found}: ${result === 'above' ? high : low}.`
}

const BRANCH_SENTENCES: Readonly<Record<BranchWord, string>> = {
  'all-sound': 'No branch of the circuit is starved.',
  'only-this-starved': 'This branch is starved while another is fed: its own valve or orifice.',
  'all-starved': 'All branches are starved: the line or the charge, not one valve.',
  'another-starved': 'This branch is fed while another is starved.',
}

type Told = Pick<Assessment, 'tests' | 'standing' | 'snapshot'>

/** "Frost or sweat begins at: metering device, whole coil."; an electrical test and a standing circuit speak for themselves. */
export function wordSentence(
  { key, word, further = [] }: WordItem,
  { tests, standing, snapshot }: Told,
  display: Display,
): string {
  if (isElectricalTest(key))
    return tests[key]?.finding.sentence ?? `${electricalTestRow(key).label}: ${word}.`
  if (key === 'branches') return BRANCH_SENTENCES[word as BranchWord]
  if (key === 'standing') return standing ? standingSentence(standing, snapshot, display) : `${word}.`
  const words = [word, ...further].map((each) => wordText(key, each))
  return `${observationRow(key).label}: ${words.join(', ')}.`
}
