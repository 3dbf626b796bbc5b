import { durationText } from '@/core/base/units/wall'
import { siteAtmosphere } from '@/core/record/equipment/circumstances'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { judgeCharge } from '@/core/repair/work/judgeCharge'
import type { WorkLog } from '@/core/repair/work/series'
import { kilograms, pounds } from '../../shared/planText'
import type { JudgedView } from './judged'

/** The weigh-in as it is shown. @param wanted kg */
export function viewCharge(log: WorkLog, unit: UnitPlate, wanted: number, isExact: boolean): JudgedView {
  const { isShut, weight, left, close, passed, sentence } = judgeCharge(
    log,
    wanted,
    isExact,
    siteAtmosphere(unit),
  )
  if (!weight) return { passed, sentence, details: [], figures: [] }
  const rate = !isShut && weight.rate !== undefined && weight.rate > 0.001 ? weight.rate : undefined
  return {
    passed,
    moved: weight.moved,
    sentence,
    details: weight.cylinders > 1 ? [`${weight.cylinders} cylinders`] : [],
    figures: [
      { label: 'Went in', value: pounds(weight.moved), note: kilograms(weight.moved) },
      { label: 'To go', value: pounds(left), note: `of ${pounds(wanted)}` },
      ...(rate === undefined
        ? []
        : [
            {
              label: 'Rate',
              value: `${pounds(rate)} a min`,
              note: left > close ? `about ${durationText(Math.max(1, left / rate))} more` : 'close it now',
            },
          ]),
    ],
  }
}
