import { fromSI } from '../../base/units/convert'
import { pounds } from '../../base/units/weightText'
import { lastMark, looksOf, type WorkLog } from './series'
import type { Verdict } from './told'
import { type Weighed, weighed } from './weighing'

export type ChargeJudged = Verdict & {
  /** the cylinder was shut after it was last opened */
  readonly isShut: boolean
  readonly weight: Weighed | undefined
  /** kg to go, negative when it is over; undefined where no plan tells the charge */
  readonly left: number | undefined
  /** within this it is as calculated, kg */
  readonly close: number
}

/** [practice] weighed in within this is as calculated; a capillary to the tenth of an ounce. kg */
const CLOSE = 0.03
const CLOSE_EXACT = 0.003

const ounces = (kg: number) => `${fromSI(Math.abs(kg), 'oz').toFixed(1)} oz`

function verdictOf(moved: number, wanted: number | undefined, close: number): Verdict {
  if (wanted === undefined)
    return {
      limit: 'waiting',
      missing: ['the weight that is to go in: its job'],
      sentence: `${pounds(moved)} went in.`,
    }
  const left = wanted - moved
  const sentence = `${pounds(moved)} of ${pounds(wanted)}`
  if (Math.abs(left) <= close)
    return { limit: 'passed', missing: [], sentence: `${sentence}: as calculated.` }
  if (left > 0)
    return {
      limit: 'waiting',
      missing: [`${ounces(left)} more`],
      sentence: `${sentence}, ${pounds(left)} to go.`,
    }
  return {
    limit: 'failed',
    missing: [`${ounces(left)} out again: what is over is trimmed out, not left in`],
    sentence: `${sentence}, ${ounces(left)} over.`,
  }
}

/**
 * Judges a weigh-in against what the plan wants.
 * @param wanted kg; undefined where no plan tells it
 * @param isExact a capillary holds its charge exactly
 */
export function judgeCharge(
  log: WorkLog,
  wanted: number | undefined,
  isExact: boolean,
  atmosphere: number,
): ChargeJudged {
  const weight = weighed(looksOf(log, 'cylinderWeight', atmosphere), log.head.marks ?? [], 'out-of-cylinder')
  const [opened, shut] = [lastMark(log, 'valve-open'), lastMark(log, 'valve-shut')]
  const isShut = shut !== undefined && shut.seconds >= (opened?.seconds ?? 0)
  const close = isExact ? CLOSE_EXACT : CLOSE
  const left = wanted === undefined ? undefined : wanted - (weight?.moved ?? 0)
  const judged = { isShut, weight, left, close }
  if (weight) return { ...judged, ...verdictOf(weight.moved, wanted, close) }
  return {
    ...judged,
    limit: 'waiting',
    missing: ['a look at the scale'],
    sentence: 'Nothing is weighed yet.',
  }
}
