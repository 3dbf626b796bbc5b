import { fromPascals } from '../../base/units/convert'
import { UNITS } from '../../base/units/units'
import { kilograms, pounds } from '../../base/units/weightText'
import { judgeRecovery, type RecoveryJudged, type RecoverySetup } from './judgeRecovery'
import type { WorkLog } from './series'
import type { FigureRow, Told } from './told'

const CYLINDER: Readonly<Record<NonNullable<RecoveryJudged['fillState']>, readonly string[]>> = {
  full: ['⬣ The cylinder is at its limit: shut it, take another one.'],
  'nearly-full': ['△ The cylinder is nearly full.'],
  room: [],
}

function figuresOf(
  { pressure, weight, fill, rise }: RecoveryJudged,
  { atmosphere, depth, expected }: RecoverySetup,
): FigureRow[] {
  const rows: FigureRow[] = []
  if (pressure !== undefined)
    rows.push({
      label: 'In the circuit',
      value: `${fromPascals(pressure, 'psig', atmosphere).toFixed(1)} psig`,
      ...(depth ? { note: `to ${depth.shown}` } : {}),
    })
  if (weight) {
    const of = expected ? ` of ${pounds(expected)}` : ''
    rows.push({ label: 'Came out', value: pounds(weight.moved), note: `${kilograms(weight.moved)}${of}` })
    if (weight.rate !== undefined && !rise)
      rows.push({ label: 'Rate', value: `${pounds(weight.rate)} a min` })
  }
  if (fill !== undefined)
    rows.push({ label: 'Cylinder', value: `${Math.round(fill * 100)} %`, note: 'of its limit' })
  if (rise)
    rows.push({
      label: 'Rise after the stop',
      value: `${(rise.pascals / UNITS.psia.si).toFixed(1)} psi`,
      note: `in ${Math.round(rise.seconds / 60)} min`,
    })
  return rows
}

/** A recovery with its figures. @param sentences of the plan, told until the weight says something */
export function tellRecovery(log: WorkLog, setup: RecoverySetup, sentences: readonly string[]): Told {
  const judged = judgeRecovery(log, setup)
  const { limit, missing, sentence, weight, fillState, out } = judged
  const { depth, atmosphere } = setup
  return {
    limit,
    missing,
    sentence,
    moved: weight?.moved,
    details: [...(fillState ? CYLINDER[fillState] : []), ...(out ? [] : sentences)],
    figures: figuresOf(judged, setup),
    ...(depth ? { levels: [{ label: 'depth', value: fromPascals(depth.pascals, 'psig', atmosphere) }] } : {}),
  }
}
