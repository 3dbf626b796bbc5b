import { z } from '../../base/schema/zod'
import { instantSchema } from '../../base/units/quantitySchema'
import type { Plate, UnitPlate } from '../equipment/unit'
import { type Policy } from '../policy/policy'
import { attachmentSchema } from '../records/attachment'
import { type Closing, closingSchema } from '../records/closing'
import { type Day, daySchema } from '../records/day'
import { decisionSchema } from '../records/decision'
import { dryerSchema } from '../records/dryer'
import { isFreeWord, RESERVED } from '../records/fields'
import { HEAD, headSchema } from '../records/head'
import { type BY_ROUND, type ListKind, LISTS, ONLY_ID, SINGLES, type SingleKind } from '../records/kinds'
import { logSchema } from '../records/log'
import { type Repair, repairSchema } from '../records/repair'
import { roundSchema } from '../records/round'
import { type Run, runSchema } from '../records/run'
import { setSchema } from '../records/set'
import { stepSchema } from '../records/step'
import { takenOffSchema } from '../records/takenOff'
import { tickSchema } from '../records/tick'
import { LIST_LIMITS, tooMany } from './listLimits'

export const JOB_FORMAT = 'orzo.job'
export const JOB_VERSION = 3

/** The list of a kind, in which no id stands twice. */
function listOf<S extends z.ZodType>(kind: ListKind, item: S) {
  const idOf = LISTS[kind].idOf as (data: unknown) => unknown
  const key = kind === 'tick' ? 'key' : (SINGLES as readonly string[]).includes(kind) ? 'round' : 'id'
  return z
    .array(item, { error: 'is no list' })
    .max(LIST_LIMITS[kind].most, tooMany(kind))
    .superRefine((all, context) => {
      const seen = new Set<unknown>()
      all.forEach((each, i) => {
        const id = idOf(each)
        if (seen.has(id))
          context.addIssue({ code: 'custom', path: [i, key], message: `"${String(id)}" stands there twice` })
        seen.add(id)
      })
    })
}

/** One circuit of one unit with all its rounds: the document that is stored, exported and read back. Version 3. */
export const jobSchema = z.strictObject({
  format: z.literal(JOB_FORMAT, { error: `is not "${JOB_FORMAT}": this is no Orzo job file` }),
  version: z.literal(JOB_VERSION, { error: `is not ${JOB_VERSION}` }),
  id: z.string().min(1).max(80, 'is longer than 80 characters').refine(isFreeWord, RESERVED).optional(),
  updatedAt: instantSchema.optional(),
  ...headSchema.shape,
  readingSets: listOf('set', setSchema),
  decisions: listOf('decision', decisionSchema).default([]),
  ticks: listOf('tick', tickSchema).default([]),
  /** repairs, one after another; the first needs no line */
  rounds: listOf('round', roundSchema).default([]),
  /** of each round: what is written when one leaves, what was measured and chosen, how the day is planned, the work as a whole */
  closings: listOf('closing', closingSchema).default([]),
  repairs: listOf('repair', repairSchema).default([]),
  days: listOf('day', daySchema).default([]),
  runs: listOf('run', runSchema).default([]),
  /** how each pass of a task went */
  steps: listOf('step', stepSchema).default([]),
  /** what came off and must be back */
  takenOff: listOf('takenOff', takenOffSchema).default([]),
  logs: listOf('log', logSchema).default([]),
  attachments: listOf('attachment', attachmentSchema).default([]),
  /** own dryers that this job considers */
  dryers: listOf('dryer', dryerSchema).default([]),
})
export type JobDocument = z.infer<typeof jobSchema>

/** A stored document always has an id and its times. */
export type StoredDocument = JobDocument & { id: string; createdAt: string; updatedAt: string }

/** Lists of the document that hold one record a round: a view holds that of its round under the kind's name. */
type SingleList = (typeof LISTS)[SingleKind]['list']
/** What other rounds of a job hold. */
export type OtherRounds = Pick<JobDocument, (typeof BY_ROUND)[number] | SingleList>

/**
 * A job as one of its rounds sees it: its own decisions, steps and logs, its one repair, day, run and closing; sets, photos,
 * rounds and dryers of all. What every stage and computation works on; `documentOf` makes the whole document of it again.
 */
export type Job = Omit<JobDocument, SingleList> & {
  /** the round that is looked at */
  round: string
  closing?: Closing | undefined
  repair?: Repair | undefined
  day?: Day | undefined
  run?: Run | undefined
  /** missing while there is one round only */
  others?: OtherRounds | undefined
}

/** A job whose unit can be computed with. */
export type KnownJob = Job & { unit: UnitPlate }

/** A stored job always has an id and its times. */
export type StoredJob = Job & { id: string; createdAt: string; updatedAt: string }

/** Whether logs or photos belong to a job: its document alone would leave something out. */
export const hasFiles = ({
  logs,
  attachments,
  others,
}: Pick<Job, 'logs' | 'attachments' | 'others'>): boolean =>
  logs.length + attachments.length + (others?.logs.length ?? 0) > 0

/** A job of a unit in which nothing is known yet. */
export function emptyJob(unit: UnitPlate, policy?: Policy): KnownJob
export function emptyJob(unit: Plate, policy?: Policy): Job
export function emptyJob(unit: Plate, policy?: Policy): Job {
  return {
    format: JOB_FORMAT,
    version: JOB_VERSION,
    round: ONLY_ID,
    ...HEAD.defaults,
    ...(policy ? { policy } : {}),
    unit,
    readingSets: [],
    decisions: [],
    ticks: [],
    logs: [],
    attachments: [],
    dryers: [],
    rounds: [],
    steps: [],
    takenOff: [],
  }
}
