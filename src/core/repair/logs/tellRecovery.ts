import { fromPascals } from '../../base/units/convert'
import { UNITS } from '../../base/units/units'
import { isAssumed } from '../../base/known/known'
import { type Recovery, unjudgedWeight } from '../charge/recovery'
import { kilograms, pounds } from '../../base/units/weightText'
import { judgeRecovery, type RecoveryJudged, type RecoverySetup } from './judgeRecovery'
import type { WorkLog } from './series'
import { type FigureRow, markedRow, type Told } from './told'

const CYLINDER: Readonly<Record<NonNullable<RecoveryJudged['fillState']>, readonly string[]>> = {
  full: ['⬣ The cylinder is at its limit: shut it, take another one.'],
  'nearly-full': ['△ The cylinder is nearly full.'],
  room: [],
}

function figuresOf(
  { pressure, weight, fill, rise }: RecoveryJudged,
  { atmosphere, depth, expected, isPart, cylinder }: RecoverySetup,
): FigureRow[] {
  const rows: FigureRow[] = []
  if (pressure !== undefined)
    rows.push({
      label: 'In the circuit',
      value: `${fromPascals(pressure, 'psig', atmosphere).toFixed(1)} psig`,
      ...(depth ? { note: `to ${depth.shown}` } : {}),
    })
  if (weight) {
    const of = expected && !isPart && !isAssumed(expected) ? ` of ${pounds(expected.value)}` : ''
    rows.push({ label: 'Came out', value: pounds(weight.moved), note: `${kilograms(weight.moved)}${of}` })
    if (weight.rate !== undefined && !rise)
      rows.push({ label: 'Rate', value: `${pounds(weight.rate)} a min` })
  }
  if (fill !== undefined) {
    const row = { label: 'Cylinder', value: `${Math.round(fill * 100)} %`, note: 'of its limit' }
    rows.push(markedRow(row, cylinder?.basis))
  }
  if (rise)
    rows.push({
      label: 'Rise after the stop',
      value: `${(rise.pascals / UNITS.psia.si).toFixed(1)} psi`,
      note: `in ${Math.round(rise.seconds / 60)} min`,
    })
  return rows
}

/** What is said of the cylinder; of one whose stamp nobody read, too. */
function cylinderDetails(state: RecoveryJudged['fillState'], { cylinder }: RecoverySetup): readonly string[] {
  const said = state ? CYLINDER[state] : []
  const isGuess = cylinder?.basis !== undefined && isAssumed(cylinder.basis)
  return isGuess ? said.map((sentence) => `${sentence} ${STAMP}`) : said
}
const STAMP = 'Assumed: one of the 50 lb class; read its stamp.'

/** What is said of a weight that is not judged. */
const PART = 'A part only: what comes out of it says nothing of the charge.'

/** What a recovery is told with beside its samples. */
type RecoveryPlan = Pick<Recovery, 'sentences' | 'guess'>

/** A recovery with its figures. @param plan told until the weight says something */
export function tellRecovery(log: WorkLog, setup: RecoverySetup, plan?: RecoveryPlan): Told {
  const judged = judgeRecovery(log, setup)
  const { limit, missing, sentence, weight, fillState, out } = judged
  const { depth, atmosphere, isPart, expected } = setup
  const ask = isPart || !plan ? undefined : unjudgedWeight(expected, plan.guess)
  const unjudged = isPart ? PART : ask
  return {
    limit,
    missing,
    sentence,
    moved: weight?.moved,
    details: [
      ...cylinderDetails(fillState, setup),
      ...(weight && !out && unjudged ? [unjudged] : []),
      ...(out ? [] : (plan?.sentences ?? [])),
    ],
    asks: ask && plan ? plan.guess.asks : [],
    figures: figuresOf(judged, setup),
    ...(depth ? { levels: [{ label: 'depth', value: fromPascals(depth.pascals, 'psig', atmosphere) }] } : {}),
  }
}
