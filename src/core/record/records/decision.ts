import { z } from 'zod'
import { instantSchema, textSchema } from '../../base/units/quantitySchema'
import { idSchema, inRoundShape, kebabSchema } from './fields'
import { defineKind, widened } from './kind'

const MOST_CAUSES = 20
const MOST_LINES = 40

const lineSchema = z.strictObject({ id: kebabSchema('point of a gate'), label: textSchema })

/** A gate as it was judged when the repair was decided. */
const judgedGateSchema = z.strictObject({
  gate: kebabSchema('gate'),
  part: kebabSchema('part'),
  met: z.boolean(),
  missing: z.array(lineSchema).max(MOST_LINES),
  onRecord: z.array(lineSchema).max(MOST_LINES),
  /** the Orzo that judged it */
  build: textSchema,
})
export type JudgedGate = z.infer<typeof judgedGateSchema>

export const decisionSchema = z.strictObject({
  ...inRoundShape,
  /** the fault's id, or "unnamed" for notes from before anything was decided */
  id: idSchema,
  /** the suspect that is being repaired, as decided by the technician */
  fault: kebabSchema('fault id').optional(),
  /** a draft holds what was written while it was not decided */
  state: z.enum(['draft', 'decided'], { error: 'is neither draft nor decided' }),
  /** why a proof gate was passed without its evidence; goes to the report */
  override: textSchema.optional(),
  /** when it was decided: what was read until then is what proved it */
  at: instantSchema.optional(),
  /** the gate as judged then; missing where no gate stands before it, and on jobs from before gates were kept */
  gate: judgedGateSchema.optional(),
  /** why the compressor died, as chosen by the technician; "unknown" with the checks made */
  causes: z.array(kebabSchema('cause')).max(MOST_CAUSES).optional(),
  causesChecked: textSchema.optional(),
})
export type Decision = z.infer<typeof decisionSchema>

/** Notes that name no fault. */
export const UNNAMED = 'unnamed'

/** One decided fault, or what was noted on the way to it; a fault has one on a job. */
export const DECISION = defineKind({
  kind: 'decision',
  version: 2,
  schema: decisionSchema,
  migrations: [widened(2)],
  defaults: { state: 'draft' },
})
