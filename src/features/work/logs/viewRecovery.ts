import { fromPascals } from '@/core/base/units/convert'
import { UNITS } from '@/core/base/units/units'
import { siteAtmosphere } from '@/core/record/equipment/circumstances'
import type { UnitPlate } from '@/core/record/equipment/unit'
import type { Plan } from '@/core/repair/plan/plan'
import { judgeRecovery } from '@/core/repair/work/judgeRecovery'
import type { WorkLog } from '@/core/repair/work/series'
import type { FigureRow, JudgedView } from './judged'
import { kilograms, pounds } from '../../shared/planText'

/** The recovery as it is shown. */
export function viewRecovery(log: WorkLog, unit: UnitPlate, { recovery }: Plan): JudgedView {
  const atmosphere = siteAtmosphere(unit)
  const judged = judgeRecovery(log, { atmosphere, ...recovery })
  const { weight, pressure, rise, fill, fillState, out, passed, sentence } = judged
  const figures: FigureRow[] = [
    ...(pressure === undefined
      ? []
      : [
          {
            label: 'In the circuit',
            value: `${fromPascals(pressure, 'psig', atmosphere).toFixed(1)} psig`,
            note: `to ${recovery.depth.shown}`,
          },
        ]),
    ...(weight
      ? [
          {
            label: 'Came out',
            value: pounds(weight.moved),
            note: `${kilograms(weight.moved)} of ${pounds(recovery.expected)}`,
          },
          ...(weight.rate === undefined || rise
            ? []
            : [{ label: 'Rate', value: `${pounds(weight.rate)} a min` }]),
        ]
      : []),
    ...(fill === undefined
      ? []
      : [{ label: 'Cylinder', value: `${Math.round(fill * 100)} %`, note: 'of its limit' }]),
    ...(rise
      ? [
          {
            label: 'Rise after the stop',
            value: `${(rise.pascals / UNITS.psia.si).toFixed(1)} psi`,
            note: `in ${Math.round(rise.seconds / 60)} min`,
          },
        ]
      : []),
  ]
  return {
    passed,
    moved: weight?.moved,
    sentence,
    details: [
      ...(fillState === 'full' ? ['⬣ The cylinder is at its limit: shut it, take another one.'] : []),
      ...(fillState === 'nearly-full' ? ['△ The cylinder is nearly full.'] : []),
      ...(out ? [] : recovery.sentences),
    ],
    figures,
    levels: [{ label: 'depth', value: fromPascals(recovery.depth.pascals, 'psig', atmosphere) }],
  }
}
