import { instantOf } from '../base/units/instants'
import { type Display, showTemperature } from '../base/units/show'
import { toKelvin } from '../base/units/convert'
import type { Quantity, TemperatureUnit } from '../base/units/units'
import { setsOfRound } from '../record/job/setsOfRound'
import type { JobSet } from '../record/records/set'
import type { ReadingKey } from '../record/readings/vocabulary'
import { readingRow } from '../record/readings/vocabulary'
import { lowerFirst } from './line'
import type { RoundScene } from './scene'

/** A set before the repair beside one after it, in the same mode. */
export type SetPair = {
  /** undefined where the unit did not run when it was found */
  readonly before: JobSet | undefined
  readonly after: JobSet
  /** what is otherwise round the unit, in words; empty at like conditions */
  readonly unlike: readonly string[]
}

/** What surrounds the unit: readings beyond these apart are compared with care. [practice] K */
const CONDITIONS: readonly (readonly [ReadingKey, number])[] = [
  ['outdoorAirTemp', 3],
  ['returnAirTemp', 3],
  ['returnAirWetBulb', 2],
  ['boxTemp', 3],
  ['waterInTemp', 3],
]

const kelvinOf = (set: JobSet, key: ReadingKey): number | undefined => {
  const reading = set.readings[key]
  return reading && toKelvin(reading as Quantity<TemperatureUnit>)
}

/** "outdoor air 71 F before, 82 F after" for each condition that is otherwise. */
export function unlikeConditions(before: JobSet, after: JobSet, display: Display): string[] {
  return CONDITIONS.flatMap(([key, most]) => {
    const [was, is] = [kelvinOf(before, key), kelvinOf(after, key)]
    if (was === undefined || is === undefined || Math.abs(is - was) <= most) return []
    return [
      `${lowerFirst(readingRow(key).label)} ${showTemperature(was, display)} before, ${showTemperature(is, display)} after`,
    ]
  })
}

const isRunning = ({ mode, readings }: JobSet) => mode !== 'off' && Object.keys(readings).length > 0

/** When the unit ran again: by the record, else the moment between the first and the last set. */
function startOf({ job }: Pick<RoundScene, 'job'>, sets: readonly JobSet[]): number | undefined {
  const start = instantOf(job.repair?.startedAt)
  if (start !== undefined) return start
  return sets.length > 1 ? instantOf(sets.at(-1)?.at) : undefined
}

/** Sets of the round that were taken after the repair. Without a start on record the last one, where there are several. */
export function setsAfter(scene: Pick<RoundScene, 'job'>): JobSet[] {
  const sets = setsOfRound(scene.job)
  const start = startOf(scene, sets)
  const isDated = sets.some(({ at }) => at !== undefined)
  if (!isDated) return sets.length > 1 ? sets.slice(-1) : []
  if (start === undefined) return []
  return sets.filter(({ at }) => (instantOf(at) ?? -Infinity) >= start)
}

/** For each mode the last running set after the repair, beside the first one before it where the unit ran. */
export function setPairs(scene: Pick<RoundScene, 'job'>, display: Display): SetPair[] {
  const after = setsAfter(scene)
  const before = setsOfRound(scene.job).filter((set) => !after.includes(set))
  return (['cooling', 'heating'] as const).flatMap((mode) => {
    const own = (sets: readonly JobSet[]) => sets.filter((set) => isRunning(set) && set.mode === mode)
    const [first, last] = [own(before)[0], own(after).at(-1)]
    if (!last || (!first && before.some(isRunning))) return []
    return [{ before: first, after: last, unlike: first ? unlikeConditions(first, last, display) : [] }]
  })
}
