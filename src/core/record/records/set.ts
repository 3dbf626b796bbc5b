import type { z } from 'zod'
import { readingSetSchema } from '../readings/schema'
import { idSchema } from './fields'
import { defineKind } from './kind'

export const setSchema = readingSetSchema.extend({ id: idSchema })
/** A reading set of a job; its place among the others is the order key of its record. */
export type JobSet = z.infer<typeof setSchema>

export const SET = defineKind({
  kind: 'set',
  version: 1,
  schema: setSchema,
  migrations: [],
  defaults: { readings: {} },
})
