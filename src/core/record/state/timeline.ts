import { instantOf } from '../../base/units/instants'
import type { Job } from '../job/job'
import { allSteps, roundRefrigerant } from '../job/acrossRounds'
import { roundOf } from '../records/kinds'
import type { JobSet } from '../records/set'
import type { StepRecord } from '../records/step'
import { isStateWord, type StateWord } from '../readings/stateWords'
import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import type { Effects } from './effects'
import type { UnitPlate } from '../equipment/unit'
import { COVER, hasOffPart, type OffId } from './offParts'

/** What of a job says how the unit stands. */
export type StateRecords = Pick<Job, 'unit' | 'readingSets' | 'steps' | 'takenOff' | 'rounds'> &
  Partial<Pick<Job, 'round' | 'createdAt' | 'run' | 'repair' | 'others'>>

/** The effects of the task of a step: a column of its row, which lies above this room. */
export type EffectsOf = (step: Pick<StepRecord, 'task'>) => Effects

/** Something that changed how the unit stands, or showed it. */
type StateEvent =
  | { readonly type: 'set'; readonly set: JobSet; readonly words: readonly StateWord[] }
  | { readonly type: 'word'; readonly word: StateWord; readonly value: string }
  | {
      readonly type: 'begin' | 'end'
      readonly effects: Effects
      readonly refrigerant?: RefrigerantName | undefined
    }
  | { readonly type: 'off'; readonly what: string; readonly state: 'off' | 'back' | 'stays' }
  | { readonly type: 'bled' }

/** An event with its moment, ms. */
export type Timed = StateEvent & { readonly at: number }

/** Sets with their moments: one that tells none is as old as the one before it. */
export function timedSets(sets: readonly JobSet[]): { readonly set: JobSet; readonly at: number }[] {
  let last = -Infinity
  return sets.map((set) => {
    last = instantOf(set.at) ?? last
    return { set, at: last }
  })
}

function eventsOfSet(set: JobSet, at: number): Timed[] {
  const words = Object.keys(set.observations ?? {}).filter(isStateWord)
  const later = words.flatMap((word): Timed[] => {
    const said = instantOf(set.seenAt?.[word])
    const value = set.observations?.[word]
    return said !== undefined && said > at && value !== undefined
      ? [{ type: 'word', word, value, at: said }]
      : []
  })
  const isLater = (word: StateWord) => later.some((each) => each.type === 'word' && each.word === word)
  return [{ type: 'set', set, words: words.filter((word) => !isLater(word)), at }, ...later]
}

function eventsOfStep(step: StepRecord, effects: Effects, refrigerant: RefrigerantName | undefined): Timed[] {
  const done = instantOf(step.doneAt)
  // a task that is gone on with does again what it does
  const begun = step.spans.flatMap(({ from }) => instantOf(from) ?? [])
  const begins = begun.length === 0 && done !== undefined ? [done] : begun
  return [
    ...begins.map((at) => ({ type: 'begin' as const, effects, at })),
    ...(done === undefined ? [] : [{ type: 'end' as const, effects, refrigerant, at: done }]),
  ]
}

function eventsOfRow({ what, offAt, backAt, stays }: Job['takenOff'][number]): Timed[] {
  const [off, back] = [instantOf(offAt), instantOf(backAt)]
  // what never came off stays on whatever a task of the plan takes off
  if (stays) return [{ type: 'off', what, state: 'stays', at: -Infinity }]
  return [
    ...(off === undefined ? [] : [{ type: 'off' as const, what, state: 'off' as const, at: off }]),
    ...(back === undefined ? [] : [{ type: 'off' as const, what, state: 'back' as const, at: back }]),
  ]
}

/** Whether somebody said in a step's own round, since the pass was called for, that a part is back on: then it is. */
function isSaidBack(rows: readonly Job['takenOff'][number][], step: StepRecord, what: string): boolean {
  if (what === COVER) return false
  const row = rows.find((each) => each.what === what && roundOf(each) === roundOf(step))
  const back = instantOf(row?.backAt)
  return back !== undefined && back >= (instantOf(step.calledAt) ?? -Infinity)
}

/**
 * The effects of a step; what it takes off by its row stays as somebody said of it by hand. The terminal cover alone counts as
 * off whenever a task that takes it off begins.
 */
function effectsAsSaid(
  unit: UnitPlate,
  rows: readonly Job['takenOff'][number][],
  step: StepRecord,
  effects: Effects,
): Effects {
  if (!effects.takesOff) return effects
  const comesOff = (what: OffId) => hasOffPart(what, unit) && !isSaidBack(rows, step, what)
  return { ...effects, takesOff: effects.takesOff.filter(comesOff) }
}

const byTime = (a: Timed, b: Timed) => (a.at === b.at ? 0 : a.at - b.at)

/** Everything that says how the unit stands, over all rounds, in the order in which it happened. */
export function timelineOf(job: StateRecords, effectsOf: EffectsOf): Timed[] {
  const bled = [...(job.run ? [job.run] : []), ...(job.others?.runs ?? [])].flatMap(({ bledAt }): Timed[] => {
    const at = instantOf(bledAt)
    return at === undefined ? [] : [{ type: 'bled', at }]
  })
  const rows = [...(job.others?.takenOff ?? []), ...job.takenOff]
  return [
    ...timedSets(job.readingSets).flatMap(({ set, at }) => eventsOfSet(set, at)),
    ...allSteps(job).flatMap((step) =>
      eventsOfStep(
        step,
        effectsAsSaid(job.unit as UnitPlate, rows, step, effectsOf(step)),
        roundRefrigerant(job, roundOf(step)),
      ),
    ),
    ...rows.flatMap(eventsOfRow),
    ...bled,
  ].sort(byTime)
}
