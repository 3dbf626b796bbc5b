import { durationText } from '../../base/units/wall'
import { kilograms, pounds } from '../../base/units/weightText'
import { aimOf, asksOf, type ChargeJudged, judgeCharge, type WantedCharge } from './judgeCharge'
import type { WorkLog } from './series'
import { type FigureRow, markedRow, type Told } from './told'

/** What a weigh-in is judged by; what no plan tells is not known. */
export type ChargeSetup = WantedCharge & { readonly atmosphere: number }

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

/** What is still to go in; an aim by a guess is marked, and nothing is over or short against it. */
function aimRows(setup: ChargeSetup, left: number | undefined): FigureRow[] {
  const aim = aimOf(setup)
  if (aim !== undefined && left !== undefined)
    return [{ label: 'To go', value: pounds(left), note: `of ${pounds(aim)}` }]
  const { wanted, isPart } = setup
  return wanted && !isPart
    ? [markedRow({ label: 'Aim by a guess', value: pounds(wanted.value) }, wanted)]
    : []
}

/** A weigh-in with its figures. */
export function tellCharge(log: WorkLog, setup: ChargeSetup): Told {
  const judged = judgeCharge(log, setup, setup.atmosphere)
  const { weight, left, limit, missing, sentence } = judged
  const first = 'Zero is what the scale shows at the first look.'
  const told = { limit, missing, sentence, asks: asksOf(setup) }
  if (!weight) return { ...told, details: [first, LIQUID], figures: [] }
  const isOnTheWay = limit === 'waiting'
  return {
    ...told,
    moved: weight.moved,
    details: [
      ...(isOnTheWay ? [LIQUID] : []),
      ...(limit === 'passed' && !judged.isShut ? ['Shut the cylinder.'] : []),
      ...(weight.cylinders > 1 ? [`${weight.cylinders} cylinders`] : []),
    ],
    figures: [
      { label: 'Went in', value: pounds(weight.moved), note: kilograms(weight.moved) },
      ...aimRows(setup, left),
      ...rateRow(judged),
    ],
  }
}
