import { z } from '../../base/schema/zod'
import { instantSchema, textSchema } from '../../base/units/quantitySchema'
import { countSchema, idSchema, inRoundShape, kebabSchema } from './fields'
import { defineKind, type RawData, widened } from './kind'

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
  ...inRoundShape,
  /** of the first round and pass the task itself, else "round.task.pass" */
  id: idSchema,
  /** the task of the plan */
  task: idSchema,
  /** which time it is done, from 2; absent: the first */
  pass: countSchema.min(2, 'is below 2').max(99, 'is above 99').optional(),
  /** when a further pass was called for */
  calledAt: instantSchema.optional(),
  /** when hands were at it; the last one is open while they are */
  spans: z.array(spanSchema).max(MOST_SPANS),
  /** since when it runs unattended */
  leftAt: instantSchema.optional(),
  doneAt: instantSchema.optional(),
  skipped: z.strictObject({ at: instantSchema, reason: textSchema }).optional(),
  /** likely minutes hands-on that were planned when it began */
  planned: z.number({ error: 'is not a number' }).min(0, 'is negative').max(14_400).optional(),
  note: textSchema.optional(),
  /** ids of photos of the job */
  photos: z.array(idSchema).max(MOST_PHOTOS).optional(),
  /** a step that no plan knows: what is done, the task after which it stands in the list, or before which, which waits for it */
  own: z
    .strictObject({ label: textSchema, after: idSchema.optional(), before: idSchema.optional() })
    .optional(),
  /** gates that were passed with a written reason */
  overrides: z.array(overrideSchema).max(MOST_OVERRIDES).optional(),
})
export type StepRecord = z.infer<typeof stepSchema>

/** Version 2: a task may stand more than once, so that it is named beside the id. */
const named = (data: RawData): RawData => ({ task: data.id, ...data })

/** How a task of the plan went: one of each pass that was begun. Moments are stored, never counted. */
export const STEP = defineKind({
  kind: 'step',
  version: 4,
  schema: stepSchema,
  // version 3: steps of one's own, done in another order; 4: those for which a task waits
  migrations: [{ to: 2, change: named }, widened(3), widened(4)],
  defaults: {},
})
