import { fromKelvin } from '../../base/units/convert'
import type { Basis } from '../../base/known/known'
import { UNITS } from '../../base/units/units'
import { durationText } from '../../base/units/wall'
import { boilingTemperature } from '../../physics/air/psychrometrics'
import { judgePull, type PullJudged } from './judgePull'
import type { ForecastAnswer } from './pullForecast'
import { countPulls, pullsOfLog } from './pulls'
import type { WorkLog } from './series'
import { type FigureRow, markedRow, type Told, type Zone } from './told'
import type { VacuumLimits } from './vacuumLimits'

/** What a pull is judged by. SI */
export type PullSetup = {
  readonly atmosphere: number
  readonly limits: VacuumLimits
  /** K of the coldest place */
  readonly coldest: number
}

/** What was foretold of it, and of the same pull done otherwise. */
export type PullForetold = {
  readonly answer: ForecastAnswer | undefined
  readonly problem?: string | undefined
  /** names of the other ways, in the order of the answer */
  readonly ways: readonly string[]
  /** s of the pull */
  readonly now: number
  /** how what it was foretold from is known */
  readonly basis?: Basis | undefined
}

const MICRON = UNITS.micron.si
/** "1,200 microns" of pascals. */
export const microns = (pascals: number): string =>
  `${Math.round(pascals / MICRON).toLocaleString('en-US')} microns`
const minutes = (seconds: number) => durationText(Math.max(1, Math.round(seconds / 60)))

/** [practice] water of less than this is not told, kg. */
const TOLD_WATER = 0.0005

/** How long, how sure, where the time goes. @param now s of the pull */
function forecastFigures({ forecast, calculated }: ForecastAnswer, now: number): FigureRow[] {
  const { seconds, range, never, waterLeft, isTold } = forecast
  const sure = `${Math.round(never * 100)} % sure: it levels off near ${microns(forecast.floor)}`
  if (isTold && seconds === undefined) return [{ label: 'Target', value: 'not this way', note: sure }]
  const left = (at: number) => Math.max(0, at - now)
  const [from, to] = range
  const spread =
    to === undefined
      ? `from ${minutes(left(from))}, or never`
      : `${minutes(left(from))} to ${minutes(left(to))}`
  const rows: FigureRow[] = [
    isTold && seconds !== undefined
      ? { label: 'Target in', value: left(seconds) === 0 ? 'now' : minutes(left(seconds)), note: spread }
      : { label: 'Target in', value: 'cannot tell yet', note: spread },
  ]
  if (calculated !== undefined)
    rows.push({
      label: 'Calculated before',
      value: minutes(calculated),
      note: `hoses carry ${forecast.speedFactor.toFixed(2)} of it`,
    })
  if (waterLeft > TOLD_WATER)
    rows.push({ label: 'Water left', value: `${(waterLeft * 1000).toFixed(1)} g`, note: 'likely' })
  return rows
}

/** What another hose would save. */
function savings({ calculated, others }: ForecastAnswer, ways: readonly string[]): string[] {
  if (calculated === undefined) return []
  return ways.flatMap((label, i) => {
    const other = others[i]
    const saved = other === undefined ? 0 : calculated - other
    return saved > 60 ? [`${label}: ${minutes(saved)} less`] : []
  })
}

/** [practice] handbook 08: air goes first, then water boils at 20,000 and less, below this it comes from under oil. Microns */
const WATER_GONE = 2500
const ZONES: readonly Zone[] = [
  { label: 'air', from: 25_000, to: 760_000 },
  { label: 'water boils', from: WATER_GONE, to: 25_000 },
]
/** A gauge that shows more than this says nothing of where water boils, Pa. */
const TOLD_BOILING = 100_000 * MICRON

function gaugeRows({ system, pump, boils }: PullJudged): FigureRow[] {
  const rows: FigureRow[] = []
  if (system !== undefined) {
    const at = fromKelvin(boilingTemperature(Math.min(system, TOLD_BOILING)), 'F').toFixed(0)
    const note = `water boils at ${at} F${boils ? ', so at the coldest place too' : ''}`
    rows.push({ label: 'At the system', value: microns(system), ...(system < TOLD_BOILING ? { note } : {}) })
  }
  if (pump !== undefined) rows.push({ label: 'At the pump', value: microns(pump) })
  return rows
}

/** How often it was broken, where it was. */
function pullDetails(word: string): string[] {
  const { pulls, breaks } = countPulls([word])
  if (breaks === 0) return []
  return [`${pulls} ${pulls === 1 ? 'pull' : 'pulls'}, broken ${breaks === 1 ? 'once' : `${breaks} times`}.`]
}

/** A pull with its figures and what is foretold of it. */
export function tellPull(
  log: WorkLog,
  { limits, coldest, atmosphere }: PullSetup,
  { answer, problem, ways, now, basis }: PullForetold,
): Told {
  const judged = judgePull(log, limits, coldest, atmosphere)
  const { limit, missing, sentence, state, boilsBelow, stall, system } = judged
  const target = limits.target / MICRON
  const told = state === 'reached' ? undefined : answer
  const saves = told ? savings(told, ways) : []
  const pulls = pullsOfLog(log, atmosphere)
  return {
    limit,
    missing,
    sentence,
    pulls,
    ...(stall === 'refrigerant-or-ice' && system !== undefined
      ? { stoodAt: Math.round(system / MICRON) }
      : {}),
    details: [
      ...pullDetails(pulls),
      ...(saves.length > 0 ? [`What would be quicker: ${saves.join('; ')}.`] : []),
      ...(problem ? [`△ No forecast: ${problem}`] : []),
    ],
    figures: [
      ...gaugeRows(judged),
      ...(told ? forecastFigures(told, now).map((row) => markedRow(row, basis)) : []),
    ],
    levels: [
      { label: `target ${Math.round(target)}`, value: target },
      { label: 'water boils at the coldest place', value: boilsBelow / MICRON },
    ],
    zones: [
      ...ZONES,
      { label: 'last of it', from: target, to: WATER_GONE },
      { label: 'dry', from: 10, to: target },
    ],
  }
}
