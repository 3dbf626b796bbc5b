import { z } from 'zod'
import { instantSchema, quantitySchema, textSchema } from '../../base/units/quantitySchema'
import { readingSetSchema } from '../readings/schema'
import { unitSchema } from '../equipment/unit'

export const JOB_FORMAT = 'orzo.job'
export const JOB_VERSION = 1

export const STAGES = ['arrive', 'measure', 'diagnose', 'plan', 'close'] as const
export type Stage = (typeof STAGES)[number]

const MOST_SETS = 200
const MOST_LINES = 200
const MOST_CAUSES = 20
const KEBAB = /^[a-z][a-z0-9-]{0,60}$/

/** What the sky holds for the hours of the visit. */
export const WEATHERS = ['dry', 'humid', 'rain-expected', 'storm-expected'] as const
const CLOCK = /^([01]\d|2[0-3]):[0-5]\d$/

const arrivalSchema = z.strictObject({
  complaint: textSchema.optional(),
  since: textSchema.optional(),
  doneBefore: textSchema.optional(),
  access: textSchema.optional(),
  seen: textSchema.optional(),
  /** weather while the circuit may stand open */
  weather: z.enum(WEATHERS, { error: `is not one of ${WEATHERS.join(', ')}` }).optional(),
  /** local clock time until which one can work: rain, closing, dark */
  workUntil: z.string().regex(CLOCK, 'is no time like 15:30').optional(),
  /** what is known of the circuit's past; read by the clean-up class */
  previousBurnout: z.boolean().optional(),
  previousCompressor: z.boolean().optional(),
})

const decisionSchema = z.strictObject({
  /** the suspect that is being repaired, as decided by the technician */
  fault: z.string().regex(KEBAB, 'is no fault id').optional(),
  /** why a proof gate was passed without its evidence; goes to the report */
  override: textSchema.optional(),
  /** when it was decided: what was read until then is what proved it */
  at: instantSchema.optional(),
  /** why the compressor died, as chosen by the technician; "unknown" with the checks made */
  causes: z.array(z.string().regex(KEBAB, 'is no cause')).max(MOST_CAUSES).optional(),
  causesChecked: textSchema.optional(),
})

const closingSchema = z.strictObject({
  recovered: quantitySchema('mass').optional(),
  charged: quantitySchema('mass').optional(),
  replaced: textSchema.optional(),
  notDone: textSchema.optional(),
  note: textSchema.optional(),
  proven: z
    .enum(['proven', 'not-proven-today'], { error: 'is neither proven nor not-proven-today' })
    .optional(),
})

/** One circuit of one unit: the document that is stored, exported and read back. Version 1. */
export const jobSchema = z.strictObject({
  format: z.literal(JOB_FORMAT, { error: `is not "${JOB_FORMAT}": this is no Orzo job file` }),
  version: z.literal(JOB_VERSION, { error: `is not ${JOB_VERSION}` }),
  id: z.string().min(1).max(80, 'is longer than 80 characters').optional(),
  title: textSchema.optional(),
  demo: z.boolean().optional(),
  stage: z.enum(STAGES, { error: `is not one of ${STAGES.join(', ')}` }).optional(),
  createdAt: instantSchema.optional(),
  updatedAt: instantSchema.optional(),
  unit: unitSchema,
  arrival: arrivalSchema.optional(),
  readingSets: z.array(readingSetSchema).max(MOST_SETS, `holds more than ${MOST_SETS} sets`),
  decision: decisionSchema.optional(),
  /** ids of plan tasks and parts that were ticked off */
  ticked: z.array(z.string().max(80)).max(MOST_LINES).optional(),
  closing: closingSchema.optional(),
})
export type Job = z.infer<typeof jobSchema>
