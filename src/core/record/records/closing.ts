import { z } from '../../base/schema/zod'
import { quantitySchema, textSchema } from '../../base/units/quantitySchema'
import { inRoundShape } from './fields'
import { defineKind, widened } from './kind'

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
})
export type Closing = z.infer<typeof closingSchema>

/** What is written when one leaves: one of each round. */
export const CLOSING = defineKind({
  kind: 'closing',
  version: 2,
  schema: closingSchema,
  migrations: [widened(2)],
  defaults: {},
})
