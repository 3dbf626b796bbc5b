import { siLine } from '../../base/units/convert'
import type { Samples } from '../../record/logs/samples'
import type { ChannelKey } from '../../record/readings/channels'
import { siLimits } from '../../record/readings/figureLimits'
import type { LogHead, LogMark, MarkKind } from '../../record/records/log'

/** One look at an instrument, SI; s from the start of the log. */
export type Look = { readonly seconds: number; readonly value: number }

/** A log with its samples. */
export type WorkLog = {
  readonly head: Pick<LogHead, 'channels' | 'marks' | 'startedAt' | 'purpose' | 'looks'>
  readonly samples: Samples
}

/** The looks of one channel as they were read, and how many of them are none that could be. */
export type Sound = {
  readonly looks: readonly Look[]
  /** looks that no instrument can have read: kept in the log, left out of every judgement */
  readonly impossible: number
  /** looks that are possible and hardly likely */
  readonly doubtful: number
}

const NO_LOOKS: Sound = { looks: [], impossible: 0, doubtful: 0 }
/** What was read of some samples: several ask for the same looks, and samples never change. */
const known = new WeakMap<Samples, Map<string, Sound>>()

/** The looks of one channel, silent ones left out, with what is wrong with them; none where the log has no such channel. */
export function soundLooks(log: WorkLog, key: ChannelKey, atmosphere: number): Sound {
  const { head, samples } = log
  const own = known.get(samples) ?? new Map<string, Sound>()
  known.set(samples, own)
  const unit = head.channels.find((channel) => channel.key === key)?.unit
  const name = `${key} ${unit} ${atmosphere} ${head.purpose}`
  const sound = own.get(name) ?? readLooks(log, key, atmosphere)
  own.set(name, sound)
  return sound
}

function readLooks({ head, samples }: WorkLog, key: ChannelKey, atmosphere: number): Sound {
  const at = head.channels.findIndex((channel) => channel.key === key)
  const channel = head.channels[at]
  const column = samples.values[at]
  if (!channel || !column) return NO_LOOKS
  const { scale, shift } = siLine(channel.unit, atmosphere)
  const { possible, likely } = siLimits(key, head.purpose)
  const looks: Look[] = []
  let [impossible, doubtful] = [0, 0]
  for (let i = 0; i < column.length; i += 1) {
    const value = (column[i] as number) * scale + shift
    if (value >= possible.from && value <= possible.to) {
      looks.push({ seconds: samples.time[i] as number, value })
      if (value < likely.from || value > likely.to) doubtful += 1
    } else if (!Number.isNaN(value)) impossible += 1
  }
  return { looks, impossible, doubtful }
}

/** The looks of one channel that can be: silent ones and what no instrument can have read left out. */
export const looksOf = (log: WorkLog, key: ChannelKey, atmosphere: number): readonly Look[] =>
  soundLooks(log, key, atmosphere).looks

/** The last mark of a kind; undefined where there is none. */
export const lastMark = ({ head }: Pick<WorkLog, 'head'>, what: MarkKind): LogMark | undefined =>
  (head.marks ?? []).findLast((mark) => mark.what === what)

/** The first mark of a kind after a moment; undefined where there is none. */
export const markAfter = (
  { head }: Pick<WorkLog, 'head'>,
  what: MarkKind,
  seconds: number,
): LogMark | undefined => (head.marks ?? []).find((mark) => mark.what === what && mark.seconds > seconds)

/** Looks up to a moment, that one too; all of them where there is none. */
export const until = (looks: readonly Look[], seconds: number | undefined): Look[] =>
  seconds === undefined ? [...looks] : looks.filter((look) => look.seconds <= seconds)

/** Looks from a moment on. */
export const since = (looks: readonly Look[], seconds: number): Look[] =>
  looks.filter((look) => look.seconds >= seconds)

/** [practice] a look this long before a mark was taken for it, s; one this soon after it makes that needless. */
const JUST_BEFORE = 180
const AT_ONCE = 15

/**
 * Looks from a mark on. The one just before belongs to it, since one reads the gauge and then shuts the valve: it stands at the
 * moment of the mark where no other is taken at once (handbook 07).
 */
export function fromMark(looks: readonly Look[], seconds: number): Look[] {
  const after = since(looks, seconds)
  const before = looks.findLast((look) => look.seconds < seconds)
  const isTaken = after[0] !== undefined && after[0].seconds - seconds <= AT_ONCE
  if (isTaken || !before || seconds - before.seconds > JUST_BEFORE) return after
  return [{ seconds, value: before.value }, ...after]
}

/** [practice] a curve of this many looks shows its shape; more only take time. */
const MOST_POINTS = 2000

/** Looks as fits and forecasts want them: of a long log every so many-th, the last one always. */
export function pointsOf(looks: readonly Look[]): { readonly seconds: number; readonly pascals: number }[] {
  const every = Math.max(1, Math.ceil(looks.length / MOST_POINTS))
  return looks
    .filter((_look, i) => i % every === 0 || i === looks.length - 1)
    .map(({ seconds, value }) => ({ seconds, pascals: value }))
}

/** The look at a moment, or the last one before it. */
export const lookAt = (looks: readonly Look[], seconds: number): Look | undefined =>
  looks.findLast((look) => look.seconds <= seconds) ?? looks[0]
