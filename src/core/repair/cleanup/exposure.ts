import { type Basis, fact, guess } from '../../base/known/known'
import type { CleanupRecord } from './record'
import { USUAL } from './usual'

/** A figure with its lower and upper side. */
export type Range = { readonly low: number; readonly likely: number; readonly high: number }

/** How the circuit came to stand open to air, and for how long. */
export type Exposure = {
  /** hours, and how they are known */
  readonly hours: Range
  readonly isTold: boolean
  /** mean relative humidity of the air, share of one */
  readonly humidity: Range
  /** volumes of the circuit that were exchanged with the air */
  readonly fillings: Range
  readonly sentence: string
  /** how time and weather are known */
  readonly time: Basis
  readonly weather: Basis
}

const DAY = 24
const range = (low: number, likely: number, high: number): Range => ({ low, likely, high })
const times = (all: Range, by: Range): Range =>
  range(all.low * by.low, all.likely * by.likely, all.high * by.high)
/** A figure with both its sides, by a factor. */
export const scaledRange = (all: Range, factor: number): Range => times(all, range(factor, factor, factor))

/** [practice] relative humidity by the word for the weather. */
const HUMIDITY = {
  dry: range(0.2, 0.3, 0.4),
  humid: range(0.65, 0.8, 0.9),
  rain: range(0.95, 1, 1),
  coastal: range(0.8, 0.85, 0.95),
} as const
/** [practice] nobody said what the weather was. */
const USUAL_HUMIDITY = range(0.4, 0.65, 0.85)
/** [physics] a breathing circuit exchanges about delta-T / T of its gas a day, handbook 06: 5-8 %. */
const BREATHES = range(0.05, 0.065, 0.08)
/** [memory] a circuit whose line ends lie open: half of its volume to two of them a day. */
const UNPLUGGED = range(0.5, 1, 2)
/** Nobody knows how long it stood so. */
const unknownHours = () => range(USUAL.openLow, USUAL.openLikely, USUAL.openHigh)
/** [practice] a time that is told is known within a fifth. */
const TOLD = range(0.8, 1, 1.2)

const wordsOf = ({ drewAir, isEmpty, observations }: CleanupRecord, told: number | undefined): string => {
  const days = told === undefined ? undefined : told / DAY
  const time =
    days === undefined
      ? 'nobody knows for how long'
      : `for ${days >= 2 ? `${Math.round(days)} days` : `${told} h`}`
  const how = observations.linesPlugged === 'unplugged' ? ', its line ends unplugged' : ''
  if (drewAir) return `Found in vacuum: it has been drawing air, ${time}.`
  if (isEmpty) return `Its pressure has fallen to nothing: it breathed through the leak, ${time}.`
  return `The circuit was open to air ${time}${how}.`
}

/** Whether and how long a circuit was open to air; undefined where nothing says so. [memory] where not told */
export function exposureOf(record: CleanupRecord): Exposure | undefined {
  const { observations, drewAir, isEmpty } = record
  const told = observations.hoursOpenToAir
  if ((told === undefined || told === 0) && !drewAir && !isEmpty && observations.linesPlugged !== 'unplugged')
    return undefined
  const hours = told === undefined ? unknownHours() : scaledRange(TOLD, told)
  const days = scaledRange(hours, 1 / DAY)
  const rate = observations.linesPlugged === 'unplugged' ? UNPLUGGED : BREATHES
  // what was found in vacuum has filled itself with air once
  const once = drewAir ? 1 : 0
  const breathed = times(days, rate)
  return {
    hours,
    isTold: told !== undefined,
    humidity: observations.openConditions ? HUMIDITY[observations.openConditions] : USUAL_HUMIDITY,
    fillings: range(breathed.low + once, breathed.likely + once, breathed.high + once),
    sentence: wordsOf(record, told),
    time:
      told === undefined
        ? guess('open for a day to a year, likely a month', 'hoursOpen')
        : fact('typed', 'the time that it was open'),
    weather: observations.openConditions
      ? fact('typed', 'the weather')
      : guess('air of usual humidity', 'weather'),
  }
}
