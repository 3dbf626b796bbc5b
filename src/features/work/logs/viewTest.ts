import { fromPascals } from '@/core/base/units/convert'
import { UNITS } from '@/core/base/units/units'
import type { UnitPlate } from '@/core/record/equipment/unit'
import type { Plan } from '@/core/repair/plan/plan'
import { judgeTest, leakText, SETTLE_SECONDS, testSetup } from '@/core/repair/work/judgeTest'
import type { WorkLog } from '@/core/repair/work/series'
import type { FigureRow, JudgedView } from './judged'

const psi = (pascals: number, digits = 2) => (pascals / UNITS.psia.si).toFixed(digits)

/** The pressure test as it is shown. @param now s of the log */
export function viewTest(log: WorkLog, unit: UnitPlate, plan: Plan, now: number): JudgedView {
  const { testPressure } = plan
  const setup = testSetup(unit, plan)
  const { atmosphere } = setup
  const judged = judgeTest(log, setup, now)
  const { pressure, nextStep, hold, leastSeen, seen, settled, state, wanted } = judged
  const figures: FigureRow[] = [
    ...(pressure === undefined
      ? []
      : [
          {
            label: 'Nitrogen',
            value: `${fromPascals(pressure, 'psig', atmosphere).toFixed(1)} psig`,
            note: testPressure ? `limit ${psi(testPressure.limit, 0)} psig, ${testPressure.of}` : '',
          },
        ]),
    ...(nextStep === undefined ? [] : [{ label: 'Next step', value: `${psi(nextStep, 0)} psig` }]),
    ...(state === 'settling' && settled !== undefined
      ? [
          {
            label: 'Settles',
            value: `${Math.max(0, Math.ceil((SETTLE_SECONDS - settled) / 60))} min`,
            note: 'then the clock',
          },
        ]
      : []),
    ...(hold
      ? [
          {
            label: 'Corrected change',
            value: `${psi(hold.change)} psi`,
            note: `±${psi(hold.error)}${hold.isTemperatureMeasured ? '' : ', no clamp on the pipe'}`,
          },
          {
            label: 'Held',
            value: `${Math.floor(hold.seconds / 60)} of ${Math.round(wanted / 60)} min`,
            note: `temperature made ${psi(hold.byTemperature)} psi`,
          },
        ]
      : []),
    ...(seen !== undefined
      ? [{ label: 'Leaks at running pressure', value: leakText(seen) }]
      : leastSeen !== undefined
        ? [{ label: 'Smallest leak it could see', value: leakText(leastSeen), note: 'bubbles see less' }]
        : []),
  ]
  return {
    passed: judged.passed,
    sentence: judged.sentence,
    details: [],
    figures,
    nextStep: nextStep === undefined ? undefined : nextStep / UNITS.psia.si,
    levels: testPressure ? [{ label: 'limit', value: testPressure.limit / UNITS.psia.si }] : [],
  }
}
