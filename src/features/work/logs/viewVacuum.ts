import { fromKelvin } from '@/core/base/units/convert'
import { UNITS } from '@/core/base/units/units'
import { durationText } from '@/core/base/units/wall'
import { DECAY_CAUSES, type DecayFit } from '@/core/physics/processes/decay'
import { boilingTemperature } from '@/core/physics/air/psychrometrics'
import { siteAtmosphere } from '@/core/record/equipment/circumstances'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { judgeDecay, judgeVacuum, type VacuumLimits } from '@/core/repair/work/judgeVacuum'
import type { Quicker } from '@/core/repair/work/pumpSetup'
import type { Look, WorkLog } from '@/core/repair/work/series'
import type { ForecastAnswer } from '@/workers/fitHandlers'
import type { FigureRow, JudgedView } from './judged'
import type { Asked } from './useFits'

const MICRON = UNITS.micron.si
const microns = (pascals: number) => `${Math.round(pascals / MICRON).toLocaleString('en-US')} microns`

const minutes = (seconds: number) => durationText(Math.max(1, Math.round(seconds / 60)))

/** How long, how sure, where the time goes. @param now s of the pull */
function forecastFigures({ forecast, reckoned }: ForecastAnswer, now: number): FigureRow[] {
  const { seconds, range, never, waterLeft } = forecast
  if (seconds === undefined)
    return [
      {
        label: 'Target',
        value: 'not this way',
        note: `${Math.round(never * 100)} % sure: it levels off near ${microns(forecast.floor)}`,
      },
    ]
  const left = (at: number) => Math.max(0, at - now)
  const [from, to] = range
  const spread =
    to === undefined
      ? `from ${minutes(left(from))}, or never`
      : `${minutes(left(from))} to ${minutes(left(to))}`
  return [
    { label: 'Target in', value: left(seconds) === 0 ? 'now' : minutes(left(seconds)), note: spread },
    ...(reckoned === undefined
      ? []
      : [
          {
            label: 'Reckoned before',
            value: minutes(reckoned),
            note: `hoses carry ${forecast.speedFactor.toFixed(2)} of it`,
          },
        ]),
    ...(waterLeft > 0.0005
      ? [{ label: 'Water left', value: `${(waterLeft * 1000).toFixed(1)} g`, note: 'likely' }]
      : []),
  ]
}

/** What another hose would save. */
function savings({ reckoned, others }: ForecastAnswer, ways: readonly Quicker[]): string[] {
  if (reckoned === undefined) return []
  return ways.flatMap(({ label }, i) => {
    const other = others[i]
    const saved = other === undefined ? 0 : reckoned - other
    return saved > 60 ? [`${label}: ${minutes(saved)} less`] : []
  })
}

/** [practice] handbook 08: air goes first, then water boils at 20,000 and less, below this it comes from under oil. Microns */
const WATER_GONE = 2500
const ZONES = [
  { label: 'air', from: 25_000, to: 760_000 },
  { label: 'water boils', from: WATER_GONE, to: 25_000 },
] as const

/** The pull as it is shown. @param now s of the log */
export function viewVacuum(
  log: WorkLog,
  unit: UnitPlate,
  facts: { readonly limits: VacuumLimits; readonly coldest: number; readonly ways: readonly Quicker[] },
  { answer, problem }: Asked<ForecastAnswer>,
  now: number,
): JudgedView {
  const { limits, coldest, ways } = facts
  const judged = judgeVacuum(log, limits, coldest, siteAtmosphere(unit))
  const { system, pump, boilsBelow, boils } = judged
  const saves = answer && judged.state !== 'reached' ? savings(answer, ways) : []
  return {
    passed: judged.passed,
    sentence: judged.sentence,
    details: [
      ...(saves.length > 0 ? [`What would be quicker: ${saves.join('; ')}.`] : []),
      ...(problem ? [`△ No forecast: ${problem}`] : []),
    ],
    figures: [
      ...(system === undefined
        ? []
        : [
            {
              label: 'At the system',
              value: microns(system),
              note:
                system < 100_000 * MICRON
                  ? `water boils at ${fromKelvin(boilingTemperature(system), 'F').toFixed(0)} F${boils ? ', so at the coldest place too' : ''}`
                  : '',
            },
          ]),
      ...(pump === undefined ? [] : [{ label: 'At the pump', value: microns(pump) }]),
      ...(answer && judged.state !== 'reached' ? forecastFigures(answer, now) : []),
    ],
    levels: [
      { label: `target ${Math.round(limits.target / MICRON)}`, value: limits.target / MICRON },
      { label: 'water boils at the coldest place', value: boilsBelow / MICRON },
    ],
    zones: [
      ...ZONES,
      { label: 'last of it', from: limits.target / MICRON, to: WATER_GONE },
      { label: 'dry', from: 10, to: limits.target / MICRON },
    ],
  }
}

const CAUSE_WORDS = { tight: 'tight, dry', leak: 'leak', moisture: 'moisture', both: 'both' } as const

/** The decay as it is shown. */
export function viewDecay(
  looks: readonly Look[],
  { limits, volume }: { readonly limits: VacuumLimits; readonly volume: number },
  { answer: fit, problem }: Asked<DecayFit | undefined>,
): JudgedView {
  const judged = judgeDecay(looks, limits, fit)
  const rate = fit && (fit.likeliest === 'leak' || fit.likeliest === 'both') ? fit.curve.rate : 0
  return {
    passed: judged.passed,
    sentence: judged.sentence,
    details: [
      ...(problem ? [`△ Its shape could not be fitted, the limit alone judges: ${problem}`] : []),
      ...(judged.next ? [judged.next] : []),
      ...(fit
        ? [
            DECAY_CAUSES.map(
              (cause) => `${CAUSE_WORDS[cause]} ${Math.round(fit.chances[cause] * 100)} %`,
            ).join(' · '),
          ]
        : []),
    ],
    figures: [
      ...(judged.now === undefined
        ? []
        : [
            {
              label: 'Now',
              value: microns(judged.now),
              note: judged.from === undefined ? '' : `from ${microns(judged.from)}`,
            },
          ]),
      { label: 'Watched', value: `${judged.minutes.toFixed(1)} of ${limits.minutes} min` },
      ...(fit
        ? [
            {
              label: 'Looks like',
              value: fit.cause ? CAUSE_WORDS[fit.cause] : 'not yet clear',
              note: `likeliest ${CAUSE_WORDS[fit.likeliest]}`,
            },
          ]
        : []),
      ...(rate > 0
        ? [
            {
              label: 'Comes in',
              value: `${Number(((rate / MICRON) * volume * 1000).toPrecision(2))} micron L/s`,
            },
          ]
        : []),
    ],
    levels: [
      { label: `${limits.school} limit`, value: limits.limit / MICRON },
      { label: 'target', value: limits.target / MICRON },
    ],
  }
}
