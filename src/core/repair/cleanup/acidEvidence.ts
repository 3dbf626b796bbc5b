import type { AcidLevel } from './classes'
import { acidFound } from '../../record/job/acidTests'
import type { CleanupRecord } from './record'

/** [memory] handbook 06 thresholds, mg KOH a gram of oil. */
export const TAN_CLEAN = 0.05
const TAN_BURNOUT = 0.15

/** How likely something is seen where the oil holds no acid, a mild one, a strong one. */
export type Chances = readonly [none: number, mild: number, strong: number]

/** One sign of acid or of none: what it makes of the chances, and the least that is planned for where it is seen. */
export type AcidSign = {
  readonly sentence: string
  readonly seen: (record: CleanupRecord) => boolean
  readonly chances: Chances
  /** the level that it alone asks for; a negative sign asks for none */
  readonly asks?: AcidLevel
  /** a test of the gas that found none: a reason, not a proof */
  readonly isStrip?: true
  /** the oil itself was tested: what it says is sound */
  readonly ofOil?: true
}

const tested =
  (result: 'negative' | 'weak' | 'strong', of: 'oil' | 'strip') =>
  (record: CleanupRecord): boolean =>
    acidFound(record)[of] === result

const lab =
  (low: number, high: number) =>
  (record: CleanupRecord): boolean => {
    const { number } = acidFound(record)
    return number !== undefined && number >= low && number < high
  }

const oil =
  (word: string) =>
  ({ observations }: CleanupRecord): boolean =>
    observations.oilAppearance === word

/** Chances of each sign [practice]: a strip in the gas sees little of what the oil holds. */
export const ACID_SIGNS: readonly AcidSign[] = [
  {
    sentence: 'The laboratory found less acid than 0.05 mg KOH/g.',
    seen: lab(0, TAN_CLEAN),
    chances: [0.96, 0.04, 0.001],
    ofOil: true,
  },
  {
    sentence: 'The laboratory found acid of 0.05 to 0.15 mg KOH/g.',
    seen: lab(TAN_CLEAN, TAN_BURNOUT),
    chances: [0.03, 0.93, 0.05],
    asks: 'mild',
    ofOil: true,
  },
  {
    sentence: 'The laboratory found 0.15 mg KOH/g of acid or more.',
    seen: lab(TAN_BURNOUT, Number.POSITIVE_INFINITY),
    chances: [0.001, 0.04, 0.95],
    asks: 'strong',
    ofOil: true,
  },
  {
    sentence: 'The acid test of the oil is negative.',
    seen: tested('negative', 'oil'),
    chances: [0.95, 0.1, 0.01],
    ofOil: true,
  },
  {
    sentence: 'The acid test of the oil is weak.',
    seen: tested('weak', 'oil'),
    chances: [0.045, 0.8, 0.14],
    asks: 'mild',
    ofOil: true,
  },
  {
    sentence: 'The acid test of the oil is strong.',
    seen: tested('strong', 'oil'),
    chances: [0.005, 0.1, 0.85],
    asks: 'strong',
    ofOil: true,
  },
  {
    sentence: 'The acid test of the refrigerant is negative: weak evidence, the oil holds more.',
    seen: tested('negative', 'strip'),
    chances: [0.92, 0.6, 0.25],
    isStrip: true,
  },
  {
    sentence: 'The acid test is weak.',
    seen: tested('weak', 'strip'),
    chances: [0.07, 0.35, 0.3],
    asks: 'mild',
  },
  {
    sentence: 'The acid test is strong.',
    seen: tested('strong', 'strip'),
    chances: [0.01, 0.05, 0.45],
    asks: 'strong',
  },
  { sentence: 'The oil is clear.', seen: oil('clear'), chances: [0.6, 0.25, 0.03] },
  { sentence: 'The oil is amber.', seen: oil('amber'), chances: [0.3, 0.35, 0.1] },
  { sentence: 'The oil is dark.', seen: oil('dark'), chances: [0.04, 0.3, 0.35], asks: 'mild' },
  {
    sentence: 'The oil smells burnt.',
    seen: oil('burnt-smell'),
    chances: [0.005, 0.05, 0.5],
    asks: 'strong',
  },
  {
    sentence: 'The refrigerant smells burnt.',
    seen: ({ observations }) => observations.refrigerantSmell === 'yes',
    chances: [0.01, 0.06, 0.5],
    asks: 'strong',
  },
]

/** The signs of acid and of none that are on record. */
export const acidSigns = (record: CleanupRecord): AcidSign[] => ACID_SIGNS.filter(({ seen }) => seen(record))

/** Whether the oil itself was tested, by kit or laboratory. */
export const isOilTested = (record: CleanupRecord): boolean => acidSigns(record).some(({ ofOil }) => ofOil)

/** Whether the best test there is found no acid: the oil by a kit, else the gas; or the laboratory's figure. */
export function isAcidNegative(record: CleanupRecord): boolean {
  const { strip, oil: ofOil, number } = acidFound(record)
  return (ofOil ?? strip) === 'negative' || (number ?? TAN_CLEAN) < TAN_CLEAN
}
