import { z } from '../../base/schema/zod'
import { oneOf } from '../../base/units/oneOf'
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

/** How a fault was shown where its gate was not opened by readings of this job. */
export const SHOWN_HOW = ['seen', 'earlier-visit', 'another-firm'] as const
export type ShownHow = (typeof SHOWN_HOW)[number]

/** Parts that are also replaced while the circuit is open, without a fault of their own. */
export const ALSO_IDS = [
  'expansion-valve',
  'orifice',
  'capillary',
  'compressor',
  'reversing-valve',
  'service-valve',
  'solenoid',
  'contactor',
  'start-gear',
  'fan-motor',
  'crankcase-heater',
] as const
export type AlsoId = (typeof ALSO_IDS)[number]

/** A verdict that was brought along, or a part that was seen: who showed it, how, when. */
const shownSchema = z.strictObject({
  how: oneOf(SHOWN_HOW),
  who: textSchema.optional(),
  /** the day on which it was seen or measured, "2026-11-12" */
  on: z.iso.date({ error: 'is no day such as 2026-11-12' }).optional(),
  what: textSchema.optional(),
})
export type Shown = z.infer<typeof shownSchema>

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
  /** in a draft: a verdict of somebody else that is to be checked */
  shown: shownSchema.optional(),
  /** what is also replaced while the circuit is open, without a fault of its own */
  also: oneOf(ALSO_IDS).optional(),
})
export type Decision = z.infer<typeof decisionSchema>

/** Notes that name no fault. */
export const UNNAMED = 'unnamed'

/** One decided fault, or what was noted on the way to it; a fault has one on a job. */
export const DECISION = defineKind({
  kind: 'decision',
  version: 3,
  schema: decisionSchema,
  migrations: [widened(2), widened(3)],
  defaults: { state: 'draft' },
})
