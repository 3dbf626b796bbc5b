import type { Policy } from '../../record/policy/policy'
import { type Contamination, isWet } from './contamination'
import type { CleanupRecord } from './record'
import type { WaterWork } from './water'
import { isWaterFree, isWaterSeen } from './waterLedgerWord'

/** What is done against water, and why: by caution, as the class asks, or by the grams of the ledger. */
export type Effort = {
  readonly by: 'caution' | 'ledger'
  /** the other one may be chosen */
  readonly isChoice: boolean
  /** free water or ice sat in it: the valves are opened and dried */
  readonly isFree: boolean
  /** what is left out or done by caution alone, with its doubt; undefined where there is no water to deal with */
  readonly sentence: string | undefined
}

/** [practice] handbook 01: likely hours of a clean and of a wet evacuation; of three pulls without warmth. */
const CLEAN_HOURS = 0.6
const WET_HOURS = 4
const TRIPLE_HOURS = 1.5

/** [practice] what a wet class asks for by caution, the least first; each is more than the one before. */
const WET_WORK: readonly WaterWork[] = [
  { oilChanges: 1, sweeps: 3, hours: WET_HOURS },
  { oilChanges: 1, sweeps: 4, hours: WET_HOURS },
  { oilChanges: 2, sweeps: 4, hours: WET_HOURS },
  { oilChanges: 2, sweeps: 5, hours: 8 },
  { oilChanges: 3, sweeps: 6, hours: 8 },
  { oilChanges: 3, sweeps: 6, hours: 24 },
]
export const CLEAN_WORK: WaterWork = { oilChanges: 0, sweeps: 1, hours: CLEAN_HOURS }
const TRIPLE_WORK: WaterWork = { oilChanges: 0, sweeps: 3, hours: TRIPLE_HOURS }

/** Whether a work is the long vacuum with warmth, or three pulls. */
export const isWarmWork = ({ hours }: WaterWork): boolean => hours >= WET_HOURS
export const isTripleWork = (work: WaterWork): boolean =>
  !isWarmWork(work) && work.sweeps >= TRIPLE_WORK.sweeps

const FREE = 'Free water was there: its amount is open, and what a wet class asks for stays.'
/** What is said where there is a choice: by what was seen, and what was taken. */
const SAYS = {
  seen: {
    caution: 'Water was seen: what a wet class asks for is done by caution, whatever its ledger says.',
    ledger: 'By choice only what its grams ask for. The doubt: water was seen, and a ledger is an estimate.',
  },
  ledger: {
    caution: 'By choice what a wet class asks for, although its grams ask for less.',
    ledger: 'Water is known by its ledger alone: what its grams ask for is done, nothing more by caution.',
  },
} as const

/** Whether water is met by caution or by grams: what was seen goes before every ledger, a choice between the two is the technician's. */
export function effortOf(record: CleanupRecord, contamination: Contamination): Effort {
  if (!isWet(contamination)) return { by: 'ledger', isChoice: false, isFree: false, sentence: undefined }
  if (isWaterFree(record)) return { by: 'caution', isChoice: false, isFree: true, sentence: FREE }
  const isSeen = isWaterSeen(record)
  const by = record.repair.waterWork ?? (isSeen ? 'caution' : 'ledger')
  return { by, isChoice: true, isFree: false, sentence: SAYS[isSeen ? 'seen' : 'ledger'][by] }
}

/**
 * What may be done against water, the least first.
 * @param isRepeated oil can be changed more than once on a visit: it has ports, and it is no new compressor that never ran
 */
export function worksFor(
  contamination: Contamination,
  { by }: Effort,
  policy: Policy,
  isRepeated: boolean,
): readonly WaterWork[] {
  const wet = WET_WORK.map((work) =>
    isRepeated ? work : { ...work, oilChanges: Math.min(work.oilChanges, 1) },
  )
  if (isWet(contamination) && by === 'caution') return wet
  const isTriple = contamination.triple || policy.evacuation === 'always-triple'
  const least = isTriple ? TRIPLE_WORK : CLEAN_WORK
  return isWet(contamination) ? [least, ...wet] : [least]
}
