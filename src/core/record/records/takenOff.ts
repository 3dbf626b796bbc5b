import { z } from 'zod'
import { instantSchema, textSchema } from '../../base/units/quantitySchema'
import { idSchema } from './fields'
import { defineKind } from './kind'

export const takenOffSchema = z.strictObject({
  id: idSchema,
  label: textSchema,
  /** it did not come off on this job, though the plan thought so */
  stays: z.literal(true).optional(),
  offAt: instantSchema.optional(),
  backAt: instantSchema.optional(),
})
export type TakenOff = z.infer<typeof takenOffSchema>

/** Something that came off for the work and must be back before the end. */
export const TAKEN_OFF = defineKind({
  kind: 'takenOff',
  version: 1,
  schema: takenOffSchema,
  migrations: [],
  defaults: {},
})
