import { differenceToKelvin, fromKelvin } from '../../base/units/convert'
import { durationText } from '../../base/units/wall'
import { lineThrough } from '../../base/numeric/line'
import { type Look, looksOf, since, type WorkLog } from './series'
import type { Told, Verdict } from './told'

/** What a pull-down is judged by. K, Pa */
export type PullDownSetup = {
  readonly atmosphere: number
  /** what the space is set to; undefined where nobody wrote it down */
  readonly setting: number | undefined
}

/** [practice] a space that moves by less than this in half an hour stands, K. */
const STANDS_KELVIN = 0.3
const STANDS_SECONDS = 1800
/** The stretch counts as watched when looks reach over this share of it. */
const FILLED = 0.9

const degrees = (kelvin: number) => `${fromKelvin(kelvin, 'F').toFixed(1)} F`
const steps = (kelvin: number) => `${Math.abs(kelvin / differenceToKelvin(1, 'F')).toFixed(1)} F`

/** The looks of the last half hour, where they reach over it. */
function lastHalfHour(looks: readonly Look[]): Look[] | undefined {
  const last = looks.at(-1)
  if (!last) return undefined
  const own = since(looks, last.seconds - STANDS_SECONDS)
  return last.seconds - (own[0] as Look).seconds >= STANDS_SECONDS * FILLED ? own : undefined
}

/** K a second towards the setting; undefined while one look is all there is. */
const rateOf = (looks: readonly Look[], towards: number): number | undefined => {
  const own = lastHalfHour(looks) ?? looks
  const line = lineThrough(
    own.map(({ seconds }) => seconds),
    own.map(({ value }) => value),
  )
  return line && towards * line.slope
}

type Moved = { readonly first: Look; readonly last: Look; readonly setting: number; readonly towards: number }

/** How far it came and how it goes on. */
function verdictOf(looks: readonly Look[], { first, last, setting, towards }: Moved): Verdict {
  const took = durationText(Math.max(1, Math.round((last.seconds - first.seconds) / 60)))
  const way = `${degrees(first.value)} to ${degrees(last.value)} in ${took}`
  const left = towards * (setting - last.value)
  if (left <= 0)
    return {
      limit: 'passed',
      missing: [],
      sentence: `${way}: the setting of ${degrees(setting)} is reached.`,
    }
  const own = lastHalfHour(looks)
  const stands = own !== undefined && towards * (last.value - (own[0] as Look).value) < STANDS_KELVIN
  if (stands)
    return {
      limit: 'failed',
      missing: [`the setting of ${degrees(setting)}: it stands ${steps(left)} short of it`],
      sentence: `${way}, and it stands: what comes in is as much as what the unit takes out. Look at load, doors, airflow, charge, frost.`,
    }
  return {
    limit: 'waiting',
    missing: [`${steps(left)} more, to ${degrees(setting)}`],
    sentence: `${way}, on its way.`,
  }
}

/**
 * Judges a pull-down (handbook 09): a freezer or cooler reaches its setting; a space that is heated is judged the other way round.
 * What stands for half an hour short of it has failed.
 */
export function tellPullDown(log: WorkLog, { setting, atmosphere }: PullDownSetup): Told {
  const looks = looksOf(log, 'spaceNow', atmosphere)
  const [first, last] = [looks[0], looks.at(-1)]
  if (!first || !last)
    return {
      limit: 'waiting',
      missing: ['a look at the space'],
      sentence: 'Nothing is read yet.',
      details: [],
      figures: [],
    }
  const now = { label: 'Now', value: degrees(last.value) }
  if (setting === undefined)
    return {
      limit: 'waiting',
      missing: ['the setting that it is to reach'],
      sentence: `${degrees(first.value)} to ${degrees(last.value)}.`,
      details: [],
      figures: [now],
    }
  const towards = first.value >= setting ? -1 : 1
  const rate = rateOf(looks, towards)
  const left = towards * (setting - last.value)
  return {
    ...verdictOf(looks, { first, last, setting, towards }),
    details: [],
    figures: [
      now,
      ...(rate === undefined || rate <= 0
        ? []
        : [
            {
              label: 'Rate',
              value: `${steps(rate * 3600)} an hour`,
              ...(left > 0
                ? { note: `at this rate ${durationText(Math.max(1, left / rate / 60))} more` }
                : {}),
            },
          ]),
    ],
    levels: [{ label: `set to ${degrees(setting)}`, value: fromKelvin(setting, 'F') }],
  }
}
