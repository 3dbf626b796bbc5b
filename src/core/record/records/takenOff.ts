import { z } from '../../base/schema/zod'
import { instantSchema, textSchema } from '../../base/units/quantitySchema'
import { idSchema, inRoundShape } from './fields'
import { defineKind, type RawData } from './kind'

export const takenOffSchema = z.strictObject({
  ...inRoundShape,
  id: idSchema,
  /** its line of the table, or "own-..." where it was written by hand */
  what: idSchema,
  label: textSchema,
  /** it did not come off on this job, though the plan thought so */
  stays: z.literal(true).optional(),
  offAt: instantSchema.optional(),
  backAt: instantSchema.optional(),
})
export type TakenOff = z.infer<typeof takenOffSchema>

/** Version 2: the line is named beside the id, which differs between rounds. */
const named = (data: RawData): RawData => ({ what: data.id, ...data })

/** Something that came off for the work and must be back before the end. */
export const TAKEN_OFF = defineKind({
  kind: 'takenOff',
  version: 2,
  schema: takenOffSchema,
  migrations: [{ to: 2, change: named }],
  defaults: {},
})
