import { z } from '../../base/schema/zod'
import { instantSchema, quantitySchema, textSchema } from '../../base/units/quantitySchema'
import { inRoundShape, kebabSchema } from './fields'
import { defineKind, widened } from './kind'

const MOST_OVERRIDES = 60

/** A point of the closing that was passed with a written reason. */
const closeOverrideSchema = z.strictObject({
  point: kebabSchema('point'),
  reason: textSchema,
  at: instantSchema,
})

export const closingSchema = z.strictObject({
  ...inRoundShape,
  recovered: quantitySchema('mass').optional(),
  charged: quantitySchema('mass').optional(),
  replaced: textSchema.optional(),
  notDone: textSchema.optional(),
  note: textSchema.optional(),
  proven: z
    .enum(['proven', 'not-proven-today'], { error: 'is neither proven nor not-proven-today' })
    .optional(),
  /** the day of the reading that proves what could not be proven today */
  returnOn: z.iso.date('is no day like 2026-12-03').optional(),
  /** switches, controls, tables of a board that were set otherwise */
  settings: textSchema.optional(),
  overrides: z.array(closeOverrideSchema).max(MOST_OVERRIDES).optional(),
})
export type Closing = z.infer<typeof closingSchema>

/** What is written when one leaves: one of each round. */
export const CLOSING = defineKind({
  kind: 'closing',
  version: 3,
  schema: closingSchema,
  // version 3: day of the return, settings, points passed with a reason
  migrations: [widened(2), widened(3)],
  defaults: {},
})
