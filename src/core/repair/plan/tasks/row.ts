import type { CautionId } from '../../../safety/cautions'
import type { Effects } from '../../../record/state/effects'
import type { Act } from '../../../safety/vetoes'
import type { Machine, Minutes } from '../../schedule/model'

/** The way of a job through handbook 01 and 07; a task of one stage begins when those of the stages before it are over. */
const STAGES = [
  'arrive',
  'prove',
  'pump',
  'lock',
  'find',
  'ready',
  'empty',
  'sweep',
  'blow',
  'mend',
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
const OVERLAPPING: readonly Stage[] = ['mend', 'open', 'fit', 'test']
export const isInTurn = (stage: Stage): boolean => !OVERLAPPING.includes(stage)

/** What then, if it fails. */
export type Failure = {
  readonly sentence: string
  /** what that costs */
  readonly minutes?: Minutes
}

export type TaskRow = {
  readonly label: string
  readonly stage: Stage
  /** it may lie anywhere after its stage and before this one: done while something runs by itself */
  readonly until?: Stage
  /** it is done while the task of another stage runs by itself */
  readonly alongside?: string
  readonly handsOn: Minutes
  readonly unattended?: Minutes
  readonly machine?: Machine
  readonly cautions: readonly CautionId[]
  /** the circuit stands open from this task until the pressure test */
  readonly opens?: true
  /** what it does that can hurt in some states; flame where brazing is cautioned */
  readonly acts?: readonly Act[]
  /** what it does to the unit, beside standing open */
  readonly effects?: Omit<Effects, 'opens'>
  /** what must be shown before the next task begins */
  readonly overWhen?: string
  readonly fails?: Failure
}

export const defineTasks = <T extends Record<string, TaskRow>>(rows: T): T => rows
