import { MINUTE } from '@/core/base/units/time'
import { formatDistanceStrict } from 'date-fns'
import { staleKeys } from '@/core/record/readings/flags'
import type { Reading, ReadingSet } from '@/core/record/readings/schema'
import type { Measured } from '@/core/record/readings/snapshot'
import { type ReadingKey, readingRow } from '@/core/record/readings/vocabulary'
import { differenceFromKelvin, fromSI } from '@/core/base/units/convert'
import { type TemperatureUnit, type Unit, unitRow } from '@/core/base/units/units'
import type { LiveTap } from '@/instruments/session'
import type { TapView } from '@/ui/circuit/tapView'

type Situation = {
  readonly set: ReadingSet
  readonly values: { readonly [K in ReadingKey]?: Measured }
  readonly wanted: ReadonlySet<ReadingKey>
  readonly flagged: ReadonlySet<ReadingKey>
  readonly live: ReadonlyMap<ReadingKey, LiveTap>
  /** ms since the epoch */
  readonly now: number
}

/** "now", "4 min", "2 h". */
function ageOf(at: string | undefined, now: number): string | undefined {
  if (at === undefined) return undefined
  const time = Date.parse(at)
  return now - time < MINUTE
    ? 'now'
    : formatDistanceStrict(time, now).replace(
        / (min|hour|day|month|year).*/,
        (_w, unit: string) => ` ${SHORT[unit]}`,
      )
}
const SHORT: Readonly<Record<string, string>> = { min: 'min', hour: 'h', day: 'd', month: 'mo', year: 'y' }

/** A standard error in the unit of its reading, "±1.0"; pressures as differences. */
function errorText(measured: Measured | undefined, unit: Unit): string | undefined {
  if (!measured) return undefined
  const { kind } = unitRow(unit)
  const error =
    kind === 'temperature'
      ? differenceFromKelvin(measured.error, unit as TemperatureUnit)
      : kind === 'pressure'
        ? measured.error / unitRow(unit).si
        : fromSI(measured.error, unit)
  return `±${Number(error.toPrecision(2))}`
}

function liveView(live: LiveTap, now: number) {
  return {
    value: String(live.value),
    unit: live.unit,
    error: undefined,
    age: live.state === 'lost' ? ageOf(new Date(live.at).toISOString(), now) : 'live',
    live: live.state,
    trend: live.trend,
    stale: false,
    doubtful: false,
  }
}

const storedView = (
  reading: Reading | undefined,
  measured: Measured | undefined,
  now: number,
  stale: boolean,
) => ({
  value: reading && String(reading.value),
  unit: reading?.unit,
  error: reading && errorText(measured, reading.unit),
  age: ageOf(reading?.at, now),
  live: undefined,
  trend: undefined,
  stale,
  doubtful: reading?.doubtful === true,
})

/** Views that were drawn before, by what they say: an equal one stays the same object, so that only what changed is drawn. */
const drawn = new Map<string, TapView>()
const MOST_DRAWN = 400

function same(view: TapView): TapView {
  const content = JSON.stringify(view)
  const known = drawn.get(content)
  if (known) return known
  if (drawn.size >= MOST_DRAWN) drawn.clear()
  drawn.set(content, view)
  return view
}

/** What each tap shows now: the live value of its probe, else what was stored. */
export function tapViews(keys: readonly ReadingKey[], situation: Situation): TapView[] {
  const { set, values, wanted, flagged, live, now } = situation
  const stale = new Set(staleKeys(set.readings, set.changedAt))
  return keys.map((key): TapView => {
    const { label, short } = readingRow(key)
    const probe = live.get(key)
    const shown = probe
      ? liveView(probe, now)
      : storedView(set.readings[key], values[key], now, stale.has(key))
    return same({ key, label, short, ...shown, wanted: wanted.has(key), flagged: flagged.has(key) })
  })
}
