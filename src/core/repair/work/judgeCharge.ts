import { fromSI } from '../../base/units/convert'
import { lastMark, looksOf, type WorkLog } from './series'
import { type Weighed, weighed } from './weighing'

export type ChargeJudged = {
  /** the cylinder was shut after it was last opened */
  readonly isShut: boolean
  readonly weight: Weighed | undefined
  /** kg to go; negative when it is over */
  readonly left: number
  /** within this it is as reckoned, kg */
  readonly close: number
  readonly passed: boolean
  readonly sentence: string
}

/** [practice] weighed in within this is as reckoned; a capillary to the tenth of an ounce. kg */
const CLOSE = 0.03
const CLOSE_EXACT = 0.003

function sentenceOf(left: number, close: number): string {
  if (Math.abs(left) <= close) return 'As reckoned: shut the cylinder.'
  if (left < 0) return `${fromSI(-left, 'oz').toFixed(1)} oz over: that is trimmed out, not left in.`
  return 'Liquid into the liquid side; blends leave the cylinder as liquid, always.'
}

/** Judges a weigh-in against what the plan wants. @param wanted kg @param isExact a capillary holds its charge exactly */
export function judgeCharge(
  log: WorkLog,
  wanted: number,
  isExact: boolean,
  atmosphere: number,
): ChargeJudged {
  const weight = weighed(looksOf(log, 'cylinderWeight', atmosphere), log.head.marks ?? [], 'out-of-cylinder')
  const [opened, shut] = [lastMark(log, 'valve-open'), lastMark(log, 'valve-shut')]
  const isShut = shut !== undefined && shut.seconds >= (opened?.seconds ?? 0)
  const close = isExact ? CLOSE_EXACT : CLOSE
  const left = wanted - (weight?.moved ?? 0)
  if (!weight)
    return {
      isShut,
      weight,
      left,
      close,
      passed: false,
      sentence: 'Zero is what the scale shows at the first look.',
    }
  return { isShut, weight, left, close, passed: Math.abs(left) <= close, sentence: sentenceOf(left, close) }
}
