import { fromPascals } from '../../base/units/convert'
import { askSentence, isAssumed } from '../../base/known/known'
import { UNITS } from '../../base/units/units'
import { judgeTest, leakText, SETTLE_SECONDS, type TestJudged, type TestSetup } from './judgeTest'
import type { WorkLog } from './series'
import { type FigureRow, markedRow, type Told } from './told'

const psi = (pascals: number, digits = 2) => (pascals / UNITS.psia.si).toFixed(digits)

function holdFigures({ hold, wanted }: TestJudged): FigureRow[] {
  if (!hold) return []
  return [
    {
      label: hold.isTemperatureMeasured ? 'Corrected change' : 'Change',
      value: `${psi(hold.change)} psi`,
      note: `±${psi(hold.error)}${hold.isTemperatureMeasured ? '' : ', no clamp at start and end'}`,
    },
    {
      label: 'Held',
      value: `${Math.floor(hold.seconds / 60)} of ${Math.round(wanted / 60)} min`,
      note: hold.isTemperatureMeasured
        ? `temperature made ${psi(hold.byTemperature)} psi`
        : 'temperature not measured: a look at the clamp at start and end tells it',
    },
  ]
}

function leakFigures({ seen, leastSeen }: TestJudged): FigureRow[] {
  if (seen !== undefined) return [{ label: 'Leaks at running pressure', value: leakText(seen) }]
  if (leastSeen === undefined) return []
  return [{ label: 'Smallest leak it could see', value: leakText(leastSeen), note: 'bubbles see less' }]
}

function figuresOf(judged: TestJudged, { atmosphere, limit }: TestSetup): FigureRow[] {
  const { pressure, nextStep, settled, state } = judged
  const rows: FigureRow[] = []
  if (pressure !== undefined)
    rows.push(
      markedRow(
        {
          label: 'Nitrogen',
          value: `${fromPascals(pressure, 'psig', atmosphere).toFixed(1)} psig`,
          ...(limit ? { note: `limit ${psi(limit.limit, 0)} psig, ${limit.of}` } : {}),
        },
        limit?.basis,
      ),
    )
  if (nextStep !== undefined) rows.push({ label: 'Next step', value: `${psi(nextStep, 0)} psig` })
  if (state === 'settling' && settled !== undefined)
    rows.push({
      label: 'Settles',
      value: `${Math.max(0, Math.ceil((SETTLE_SECONDS - settled) / 60))} min`,
      note: 'then the clock',
    })
  // over its limit a test tells nothing else
  return judged.over ? rows : [...rows, ...holdFigures(judged), ...leakFigures(judged)]
}

/** Why it is held for the longer time. */
const longer = ({ hold, over }: TestJudged, { circuit }: TestSetup): string[] =>
  circuit && hold && !over && isAssumed(circuit.isLarge)
    ? ['Held for the longer time, as nobody knows how large the circuit is.']
    : []

/** A pressure test with its figures. @param now s of the log */
export function tellTest(log: WorkLog, setup: TestSetup, now: number): Told {
  const judged = judgeTest(log, setup, now)
  const { limit, missing, sentence, nextStep, hold, over } = judged
  const { circuit } = setup
  const guessed = circuit && hold && !over && isAssumed(circuit.volume) ? circuit.volume : undefined
  const ask = guessed && askSentence(guessed, 'the smallest leak that it could see is told')
  return {
    limit,
    missing,
    sentence,
    details: [...longer(judged, setup), ...(ask ? [ask] : [])],
    asks: guessed?.asks ?? [],
    figures: figuresOf(judged, setup),
    nextStep: nextStep === undefined ? undefined : nextStep / UNITS.psia.si,
    levels: setup.limit ? [{ label: 'limit', value: setup.limit.limit / UNITS.psia.si }] : [],
  }
}
