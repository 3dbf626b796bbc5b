import { durationText } from '../../base/units/wall'
import { kilograms, pounds } from '../../base/units/weightText'
import { type ChargeJudged, judgeCharge } from './judgeCharge'
import type { WorkLog } from './series'
import type { FigureRow, Told } from './told'

/** What a weigh-in is judged by; what no plan tells is not known. */
export type ChargeSetup = {
  readonly atmosphere: number
  /** kg */
  readonly wanted?: number
  readonly isExact: boolean
}

const LIQUID = 'Liquid into the liquid side; blends leave the cylinder as liquid, always.'
/** [practice] a scale that drifts shows a rate below this, kg a minute. */
const LEAST_RATE = 0.001

function rateRow({ isShut, weight, left, close }: ChargeJudged): FigureRow[] {
  const rate = weight?.rate
  if (isShut || rate === undefined || rate <= LEAST_RATE) return []
  const row = { label: 'Rate', value: `${pounds(rate)} a min` }
  if (left === undefined) return [row]
  const note = left > close ? `about ${durationText(Math.max(1, left / rate))} more` : 'close it now'
  return [{ ...row, note }]
}

/** A weigh-in with its figures. */
export function tellCharge(log: WorkLog, { wanted, isExact, atmosphere }: ChargeSetup): Told {
  const judged = judgeCharge(log, wanted, isExact, atmosphere)
  const { weight, left, limit, missing, sentence } = judged
  const first = 'Zero is what the scale shows at the first look.'
  if (!weight) return { limit, missing, sentence, details: [first, LIQUID], figures: [] }
  const isOnTheWay = limit === 'waiting'
  return {
    limit,
    missing,
    sentence,
    moved: weight.moved,
    details: [
      ...(isOnTheWay ? [LIQUID] : []),
      ...(limit === 'passed' && !judged.isShut ? ['Shut the cylinder.'] : []),
      ...(weight.cylinders > 1 ? [`${weight.cylinders} cylinders`] : []),
    ],
    figures: [
      { label: 'Went in', value: pounds(weight.moved), note: kilograms(weight.moved) },
      ...(left === undefined || wanted === undefined
        ? []
        : [{ label: 'To go', value: pounds(left), note: `of ${pounds(wanted)}` }]),
      ...rateRow(judged),
    ],
  }
}
