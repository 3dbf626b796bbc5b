import type { CautionId } from '../../../safety/cautions'
import type { LogPurpose } from '../../../record/readings/logPurposes'
import type { Effects } from '../../../record/state/effects'
import type { Act } from '../../../safety/vetoes'
import type { Machine, Minutes } from '../../schedule/model'
import type { NoteId } from '../noteIds'
import type { PartId } from '../parts/catalogue'

/** The way of a job through handbook 01 and 07; a task of one stage begins when those of the stages before it are over. */
const STAGES = [
  'arrive',
  'prove',
  'pump',
  'lock',
  'ready',
  'find',
  'empty',
  'sweep',
  'blow',
  'repair',
  'behind',
  'open',
  'oil',
  'fit',
  'seal',
  'parts',
  'test',
  'vacuum',
  'decay',
  'charge',
  'release',
  'start',
  'trim',
  'mark',
  'close',
] as const
export type Stage = (typeof STAGES)[number]
export const stageAt = (stage: Stage): number => STAGES.indexOf(stage)

/** Stages whose tasks may overlap, one person each; those of the others follow each other in the order of the table. */
const OVERLAPPING: readonly Stage[] = ['repair', 'open', 'fit', 'test']
export const isInTurn = (stage: Stage): boolean => !OVERLAPPING.includes(stage)

/** What then, if it fails. */
export type Failure = {
  readonly sentence: string
  /** what that costs */
  readonly minutes?: Minutes
  /** share of the days on which it happens, where the time plan counts on it [practice] */
  readonly chance?: number
}

/** What is read and written down in a step; the screen has a pane for each. */
export type InstrumentId =
  | 'log'
  | 'nitrogen-limit'
  | 'nitrogen'
  | 'bubbles'
  | 'bleed'
  | 'leak-loop'
  | 'acid'
  | 'pull'
  | 'decay'
  | 'oil'
  | 'start-list'
  | 'start'
  | 'retest'
  | 'proof'
  | 'wiring'

/** What of a task its effects do not tell: what it proves or repairs, and what its time goes by. */
export type TaskRole =
  | 'proof'
  | 'before-cut'
  | 'leak-repair'
  | 'close'
  | 'three-pulls'
  | 'time-by-place'
  | 'time-fixed'
  | 'at-once'
  | 'time-by-volume'

/** Figures of the plan by which a task is planned: where one is a guess, the task says so. */
export type FigureId = 'cleanup' | 'charge' | 'depth' | 'test'

/** Parts of a task. */
type TaskParts = {
  /** what it brings along, whatever the fault was */
  readonly brings?: readonly PartId[]
  /** it cannot begin without these */
  readonly needs?: readonly PartId[]
  /** what it makes needless */
  readonly insteadOf?: readonly PartId[]
}

/** Brazed joints: copper to copper, and with steel or unlike metals; or as many as the dryer or the feeder tubes have. [practice] */
type TaskJoints = readonly [copper: number, steel: number] | 'as-dryer' | 'as-feeder-tubes'

/** Everything of a task. What is required has no default: the compiler names what a new row lacks. */
export type TaskRow = {
  readonly label: string
  readonly stage: Stage
  /** it may lie anywhere after its stage and before this one: done while something runs unattended */
  readonly until?: Stage
  /** it is done while the task of another stage runs unattended */
  readonly alongside?: string
  /** before (below zero) or after the others of its stage, although the table says otherwise */
  readonly turn?: number
  readonly handsOn: Minutes
  /** while it runs unattended; null where it never does */
  readonly unattended: Minutes | null
  readonly machine?: Machine
  /** what can hurt, beside what its flame brings */
  readonly cautions: readonly CautionId[]
  /** what it does that can hurt in some states, beside what its effects tell */
  readonly acts?: readonly Act[]
  /** what it does to the unit */
  readonly effects: Effects
  /** the log that it keeps */
  readonly log: LogPurpose | null
  readonly instruments: readonly InstrumentId[]
  /** figures of the job that are told with it */
  readonly notes: readonly NoteId[]
  readonly restsOn: readonly FigureId[]
  readonly parts: TaskParts
  readonly joints: TaskJoints
  readonly roles: readonly TaskRole[]
  /** what must be shown before the next task begins */
  readonly overWhen?: string
  readonly fails?: Failure
}

/** Hands are all that it needs: nothing is logged, read or told with it. */
export const BY_HAND = { log: null, instruments: [], notes: [], restsOn: [] } as const
/** It brings no parts and makes no joint. */
export const NO_KIT = { parts: {}, joints: [0, 0] } as const

/** Effects of a task that opens the circuit. */
export const opening = (effects: Effects = {}): Effects => ({ opens: true, ...effects })
/** Effects of a task that opens the circuit and uses a flame on it. */
export const brazed = (effects: Effects = {}): Effects => ({ opens: true, flame: true, ...effects })

export const defineTasks = <T extends Record<string, TaskRow>>(rows: T): T => rows
