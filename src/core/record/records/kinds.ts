import { ATTACHMENT, type Attachment } from './attachment'
import { CLOSING, type Closing } from './closing'
import { DAY, type Day } from './day'
import { DECISION, type Decision } from './decision'
import { DRYER, type Dryer } from './dryer'
import { HEAD, type HeadData } from './head'
import type { RecordKind } from './kind'
import { LOG, type LogHead } from './log'
import { REPAIR, type Repair } from './repair'
import { ROUND, type Round } from './round'
import { RUN, type Run } from './run'
import { SET, type JobSet } from './set'
import { STEP, type StepRecord } from './step'
import { TAKEN_OFF, type TakenOff } from './takenOff'
import { TICK, type Tick } from './tick'

/** What each kind of record holds. */
export type RecordData = {
  head: HeadData
  set: JobSet
  decision: Decision
  tick: Tick
  closing: Closing
  repair: Repair
  day: Day
  run: Run
  step: StepRecord
  takenOff: TakenOff
  dryer: Dryer
  round: Round
  log: LogHead
  attachment: Attachment
}
export type KindName = keyof RecordData

/** Every kind; a later one is one file and one row here, and no new version of the database. */
export const RECORD_KINDS: { readonly [K in KindName]: RecordKind<K, RecordData[K]> } = {
  head: HEAD,
  set: SET,
  decision: DECISION,
  tick: TICK,
  closing: CLOSING,
  repair: REPAIR,
  day: DAY,
  run: RUN,
  step: STEP,
  takenOff: TAKEN_OFF,
  dryer: DRYER,
  round: ROUND,
  log: LOG,
  attachment: ATTACHMENT,
}
export const KIND_NAMES = Object.keys(RECORD_KINDS) as KindName[]
export const isKindName = (word: string): word is KindName => Object.hasOwn(RECORD_KINDS, word)

/** Id of the record of which a job has one; the first round's too. */
export const ONLY_ID = 'only'

/** The round of a record. */
export const roundOf = ({ round }: { readonly round?: string | undefined }): string => round ?? ONLY_ID

/** Kinds of which a job has many: the list of the job document that holds them, and what names one of them. */
export const LISTS = {
  set: { list: 'readingSets', idOf: ({ id }: JobSet) => id },
  decision: { list: 'decisions', idOf: ({ id }: Decision) => id },
  tick: { list: 'ticks', idOf: ({ key, round }: Tick) => (round === undefined ? key : `${round}/${key}`) },
  log: { list: 'logs', idOf: ({ id }: LogHead) => id },
  attachment: { list: 'attachments', idOf: ({ id }: Attachment) => id },
  dryer: { list: 'dryers', idOf: ({ id }: Dryer) => id },
  step: { list: 'steps', idOf: ({ id }: StepRecord) => id },
  takenOff: { list: 'takenOff', idOf: ({ id }: TakenOff) => id },
  round: { list: 'rounds', idOf: ({ id }: Round) => id },
  closing: { list: 'closings', idOf: roundOf as (closing: Closing) => string },
  repair: { list: 'repairs', idOf: roundOf as (repair: Repair) => string },
  day: { list: 'days', idOf: roundOf as (day: Day) => string },
  run: { list: 'runs', idOf: roundOf as (run: Run) => string },
} as const
export type ListKind = keyof typeof LISTS
export const LIST_KINDS = Object.keys(LISTS) as ListKind[]

/** Lists of the document in which each record belongs to one round, beside those of which a round has one. */
export const BY_ROUND = ['decisions', 'ticks', 'steps', 'takenOff', 'logs'] as const

/** Kinds of which a round has one at most: a round's view of the job holds it under its own name. */
export const SINGLES = ['closing', 'repair', 'day', 'run'] as const
export type SingleKind = (typeof SINGLES)[number]
