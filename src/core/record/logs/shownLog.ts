import { convertValue } from '../../base/units/convertValue'
import { shownUnit, type UnitSystem, unitText } from '../../base/units/system'
import type { Unit } from '../../base/units/units'
import { channelRow } from '../readings/channels'
import type { LogHead } from '../records/log'
import type { Samples } from './samples'

type Channels = Pick<LogHead, 'channels'>
type Shown<H extends Channels> = { readonly head: H; readonly samples: Samples }

const known = new WeakMap<Samples, { readonly system: UnitSystem; readonly samples: Samples }>()

/** Every unit of a kind is a line of every other one: two points tell it, and a long log is not asked value by value. */
function convertAll(column: Float64Array, from: Unit, to: Unit, atmosphere: number): Float64Array {
  const at = (value: number) => convertValue({ value, unit: from }, to, atmosphere)
  const shift = at(0)
  const scale = at(1) - shift
  return column.map((value) => scale * value + shift)
}

/**
 * A log as it is drawn in the chosen units. The same object for the same samples and units.
 * @param atmosphere Pa
 */
export function shownLog<H extends Channels>(
  head: H,
  samples: Samples,
  system: UnitSystem,
  atmosphere: number,
): Shown<H> {
  const units = head.channels.map(({ unit }) => shownUnit(unit, system))
  if (units.every((unit, i) => unit === head.channels[i]?.unit)) return { head, samples }
  const shownHead = {
    ...head,
    channels: head.channels.map((channel, i) => ({ ...channel, unit: units[i] ?? channel.unit })),
  }
  const before = known.get(samples)
  if (before?.system === system) return { head: shownHead, samples: before.samples }
  const values = samples.values.map((column, i) => {
    const from = head.channels[i]?.unit
    const to = units[i]
    return from && to && from !== to ? convertAll(column, from, to, atmosphere) : column
  })
  const shown = { ...samples, values }
  known.set(samples, { system, samples: shown })
  return { head: shownHead, samples: shown }
}

/** [practice] the last quarter of a log, and the share of its range below which it is called steady. */
const LATE = 0.75
const STEADY = 0.02

const text = (value: number) =>
  Number(value.toPrecision(Math.abs(value) >= 100 ? 4 : 3)).toLocaleString('en-US')

/** Last figure, range and the figure a quarter before the end, in one pass: a log may hold a hundred thousand. */
function lookOf(time: Float64Array, values: Float64Array) {
  const end = time.at(-1) ?? 0
  let [least, most] = [Infinity, -Infinity]
  let late: number | undefined
  let last: { readonly seconds: number; readonly value: number } | undefined
  for (let i = 0; i < time.length; i += 1) {
    const [seconds, value] = [time[i]!, values[i]!]
    if (!Number.isFinite(value)) continue
    least = Math.min(least, value)
    most = Math.max(most, value)
    if (late === undefined && seconds >= end * LATE) late = value
    last = { seconds, value }
  }
  return last && { ...last, late: late ?? last.value, range: most - least }
}

function wayOf({ value, late, range }: NonNullable<ReturnType<typeof lookOf>>): string {
  if (Math.abs(value - late) <= STEADY * range) return 'steady'
  return value > late ? 'rising' : 'falling'
}

/** "vacuum 321 microns after 22 minutes, falling": what a curve shows to whoever hears the page. Empty without a figure. */
export function curveText({ channels }: Channels, { time, values }: Samples, channel: number): string {
  const own = channels[channel]
  const look = values[channel] && lookOf(time, values[channel])
  if (!own || !look) return ''
  const minutes = Math.round(look.seconds / 60)
  return `${channelRow(own.key).short} ${text(look.value)} ${unitText(own.unit)} after ${minutes} minute${minutes === 1 ? '' : 's'}, ${wayOf(look)}`
}
