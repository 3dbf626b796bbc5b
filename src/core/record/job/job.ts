import { z } from 'zod'
import { instantSchema } from '../../base/units/quantitySchema'
import type { Plate, UnitPlate } from '../equipment/unit'
import { type Policy } from '../policy/policy'
import { attachmentSchema } from '../records/attachment'
import { closingSchema } from '../records/closing'
import { daySchema } from '../records/day'
import { decisionSchema } from '../records/decision'
import { dryerSchema } from '../records/dryer'
import { HEAD, headSchema } from '../records/head'
import { logSchema } from '../records/log'
import { repairSchema } from '../records/repair'
import { runSchema } from '../records/run'
import { setSchema } from '../records/set'
import { stepSchema } from '../records/step'
import { takenOffSchema } from '../records/takenOff'
import { tickSchema } from '../records/tick'

export const JOB_FORMAT = 'orzo.job'
export const JOB_VERSION = 2

const MOST_SETS = 200
const MOST_LINES = 400
const MOST_DECISIONS = 60
const MOST_DRYERS = 200

/** A list in which no id stands twice. */
function listOf<S extends z.ZodType>(item: S, most: number, name: string, key: 'id' | 'key' = 'id') {
  return z
    .array(item, { error: 'is no list' })
    .max(most, `holds more than ${most} ${name}`)
    .superRefine((all, context) => {
      const seen = new Set<unknown>()
      all.forEach((each, i) => {
        const id = (each as Record<string, unknown>)[key]
        if (seen.has(id))
          context.addIssue({ code: 'custom', path: [i, key], message: `"${String(id)}" stands there twice` })
        seen.add(id)
      })
    })
}

/** One circuit of one unit: the document that is computed with, exported and read back. Version 2. */
export const jobSchema = z.strictObject({
  format: z.literal(JOB_FORMAT, { error: `is not "${JOB_FORMAT}": this is no Orzo job file` }),
  version: z.literal(JOB_VERSION, { error: `is not ${JOB_VERSION}` }),
  id: z.string().min(1).max(80, 'is longer than 80 characters').optional(),
  updatedAt: instantSchema.optional(),
  ...headSchema.shape,
  readingSets: listOf(setSchema, MOST_SETS, 'sets'),
  decisions: listOf(decisionSchema, MOST_DECISIONS, 'decisions').default([]),
  ticks: listOf(tickSchema, MOST_LINES, 'ticks', 'key').default([]),
  closing: closingSchema.optional(),
  /** what was measured and chosen for the repair */
  repair: repairSchema.optional(),
  /** how the day is planned */
  day: daySchema.optional(),
  /** what belongs to the work as a whole */
  run: runSchema.optional(),
  /** how each task of the plan went */
  steps: listOf(stepSchema, MOST_SETS, 'steps').default([]),
  /** what came off and must be back */
  takenOff: listOf(takenOffSchema, MOST_SETS, 'parts that came off').default([]),
  logs: listOf(logSchema, MOST_SETS, 'logs').default([]),
  attachments: listOf(attachmentSchema, MOST_SETS, 'photos').default([]),
  /** own dryers that this job considers */
  dryers: listOf(dryerSchema, MOST_DRYERS, 'dryers').default([]),
})
export type Job = z.infer<typeof jobSchema>

/** A job whose unit can be computed with. */
export type KnownJob = Job & { unit: UnitPlate }

/** A stored job always has an id and its times. */
export type StoredJob = Job & { id: string; createdAt: string; updatedAt: string }

/** Whether logs or photos belong to a job: its document alone would leave something out. */
export const hasFiles = ({ logs, attachments }: Pick<Job, 'logs' | 'attachments'>): boolean =>
  logs.length + attachments.length > 0

/** A job of a unit in which nothing is known yet. */
export function emptyJob(unit: UnitPlate, policy?: Policy): KnownJob
export function emptyJob(unit: Plate, policy?: Policy): Job
export function emptyJob(unit: Plate, policy?: Policy): Job {
  return {
    format: JOB_FORMAT,
    version: JOB_VERSION,
    ...HEAD.defaults,
    ...(policy ? { policy } : {}),
    unit,
    readingSets: [],
    decisions: [],
    ticks: [],
    logs: [],
    attachments: [],
    dryers: [],
    steps: [],
    takenOff: [],
  }
}
