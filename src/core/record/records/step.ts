import { z } from 'zod'
import { instantSchema, textSchema } from '../../base/units/quantitySchema'
import { idSchema, kebabSchema } from './fields'
import { defineKind } from './kind'

const MOST_SPANS = 200
const MOST_PHOTOS = 40
const MOST_OVERRIDES = 20

const spanSchema = z
  .strictObject({ from: instantSchema, to: instantSchema.optional() })
  .refine(({ from, to }) => to === undefined || Date.parse(to) >= Date.parse(from), 'ends before it begins')

const overrideSchema = z.strictObject({
  gate: kebabSchema('gate'),
  reason: textSchema,
  at: instantSchema,
})

export const stepSchema = z.strictObject({
  /** the task of the plan */
  id: idSchema,
  /** when hands were at it; the last one is open while they are */
  spans: z.array(spanSchema).max(MOST_SPANS),
  /** since when it runs by itself */
  leftAt: instantSchema.optional(),
  doneAt: instantSchema.optional(),
  skipped: z.strictObject({ at: instantSchema, reason: textSchema }).optional(),
  /** likely minutes of hands that were planned when it began */
  planned: z.number({ error: 'is not a number' }).min(0, 'is negative').max(14_400).optional(),
  note: textSchema.optional(),
  /** ids of photos of the job */
  photos: z.array(idSchema).max(MOST_PHOTOS).optional(),
  /** gates that were passed with a written reason */
  overrides: z.array(overrideSchema).max(MOST_OVERRIDES).optional(),
})
export type StepRecord = z.infer<typeof stepSchema>

/** How a task of the plan went: one of each task that was begun. Moments are stored, never counted. */
export const STEP = defineKind({ kind: 'step', version: 1, schema: stepSchema, migrations: [], defaults: {} })
