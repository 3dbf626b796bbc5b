import { convertValue } from '../../base/units/convertValue'
import { shownUnit, type UnitSystem, unitText } from '../../base/units/system'
import type { Unit } from '../../base/units/units'
import { channelRow } from '../readings/channels'
import type { LogHead } from '../records/log'
import type { Samples } from './samples'

type Channels = Pick<LogHead, 'channels'>
type Shown<H extends Channels> = { readonly head: H; readonly samples: Samples }

const known = new WeakMap<Samples, { readonly system: UnitSystem; readonly samples: Samples }>()

const convertAll = (column: Float64Array, from: Unit, to: Unit, atmosphere: number) =>
  column.map((value) =>
    Number.isFinite(value) ? convertValue({ value, unit: from }, to, atmosphere) : value,
  )

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

function wayOf(times: readonly number[], values: readonly number[]): string {
  const end = times.at(-1)!
  const late = values[times.findIndex((time) => time >= end * LATE)] ?? values[0]!
  const last = values.at(-1)!
  const range = Math.max(...values) - Math.min(...values)
  if (range === 0 || Math.abs(last - late) <= STEADY * range) return 'steady'
  return last > late ? 'rising' : 'falling'
}

const text = (value: number) =>
  Number(value.toPrecision(Math.abs(value) >= 100 ? 4 : 3)).toLocaleString('en-US')

/** "vacuum 321 microns after 22 minutes, falling": what a curve shows to whoever hears the page. */
export function curveText({ channels }: Channels, { time, values }: Samples, channel: number): string {
  const own = channels[channel]
  const points = [...time].flatMap((at, i) => {
    const value = values[channel]?.[i]
    return value !== undefined && Number.isFinite(value) ? [[at, value] as const] : []
  })
  const last = points.at(-1)
  if (!own || !last) return ''
  const minutes = Math.round(last[0] / 60)
  const [times, figures] = [points.map(([at]) => at), points.map(([, value]) => value)]
  return `${channelRow(own.key).short} ${text(last[1])} ${unitText(own.unit)} after ${minutes} minute${minutes === 1 ? '' : 's'}, ${wayOf(times, figures)}`
}
