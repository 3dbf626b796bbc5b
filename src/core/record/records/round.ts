import { z } from '../../base/schema/zod'
import { oneOf } from '../../base/units/oneOf'
import { instantSchema } from '../../base/units/quantitySchema'
import { refrigerantSchema } from '../readings/refrigerantSchema'
import { idSchema } from './fields'
import { defineKind } from './kind'

/** Why a round began: the first repair, a fault found during the work or later, a return visit that opens again. */
const ROUND_REASONS = ['first', 'found', 'return'] as const
export type RoundReason = (typeof ROUND_REASONS)[number]

export const roundSchema = z.strictObject({
  id: idSchema,
  at: instantSchema.optional(),
  why: oneOf(ROUND_REASONS),
  /** what went in, written when the charging began */
  refrigerant: refrigerantSchema.optional(),
  /** when its last step was done: what is decided later is a round of its own */
  closedAt: instantSchema.optional(),
})
export type Round = z.infer<typeof roundSchema>

/** One repair of a job. The first round has a record only where something is to be said of it. */
export const ROUND = defineKind({
  kind: 'round',
  version: 1,
  schema: roundSchema,
  migrations: [],
  defaults: {},
})
