import type { z } from '../../base/schema/zod'
import { readingSetSchema } from '../readings/schema'
import { idSchema, inRoundShape } from './fields'
import { defineKind, widened } from './kind'

export const setSchema = readingSetSchema.extend({
  id: idSchema,
  ...inRoundShape,
})
/** A reading set of a job; its place among the others is the order key of its record. */
export type JobSet = z.infer<typeof setSchema>

export const SET = defineKind({
  kind: 'set',
  version: 3,
  schema: setSchema,
  migrations: [widened(2), widened(3)],
  defaults: { readings: {} },
})
