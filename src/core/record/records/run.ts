import { z } from '../../base/schema/zod'
import { oneOf } from '../../base/units/oneOf'
import { instantSchema, quantitySchema, textSchema } from '../../base/units/quantitySchema'
import { idSchema, inRoundShape } from './fields'
import { defineKind, widened } from './kind'

/** Inner bores of vacuum hoses by what is written on them. */
export const HOSE_SIZES = ['1/4', '3/8', '1/2', '3/4'] as const
export type HoseSize = (typeof HOSE_SIZES)[number]

const MOST_LINES = 200

const pumpSetupSchema = z.strictObject({
  hose: oneOf(HOSE_SIZES).optional(),
  hoseLength: quantitySchema('length').optional(),
  /** hoses side by side */
  hoses: z.union([z.literal(1), z.literal(2)], { error: 'is neither 1 nor 2' }).optional(),
  coresOut: z.boolean().optional(),
  pumpFlow: quantitySchema('flow').optional(),
  /** the coldest place of the circuit */
  coldest: quantitySchema('temperature').optional(),
})
export type PumpSetup = z.infer<typeof pumpSetupSchema>

const turnSchema = z.strictObject({
  id: idSchema,
  at: instantSchema,
  /** in is plus: more superheat */
  turns: z.number({ error: 'is not a number' }).min(-20, 'is less than -20').max(20, 'is more than 20'),
})
export type ValveTurn = z.infer<typeof turnSchema>

const trimSchema = z.strictObject({
  id: idSchema,
  at: instantSchema,
  what: textSchema,
  /** refrigerant that went in, or came out, by the scale */
  mass: quantitySchema('mass').optional(),
  out: z.literal(true).optional(),
  /** of the circuit when the step was made, K; what it did is the difference to the next one */
  superheat: z.number({ error: 'is not a number' }).optional(),
  subcooling: z.number({ error: 'is not a number' }).optional(),
})
export type Trim = z.infer<typeof trimSchema>

const retestSchema = z.strictObject({
  id: idSchema,
  of: z.enum(['acid', 'moisture'], { error: 'is neither acid nor moisture' }),
  dueAt: instantSchema,
  /** a timed test that runs: kits are read after their minutes */
  startedAt: instantSchema.optional(),
  doneAt: instantSchema.optional(),
  result: textSchema.optional(),
})
export type Retest = z.infer<typeof retestSchema>

const pullSchema = z.strictObject({
  startedAt: instantSchema.optional(),
  endedAt: instantSchema.optional(),
  from: quantitySchema('temperature').optional(),
  target: quantitySchema('temperature').optional(),
  reached: quantitySchema('temperature').optional(),
})

/** While the crankcase heater has power: cover on, contactor coil lead off. */
const heaterSpanSchema = z
  .strictObject({ from: instantSchema, to: instantSchema.optional() })
  .refine(({ from, to }) => to === undefined || Date.parse(to) >= Date.parse(from), 'ends before it begins')
export type HeaterSpan = z.infer<typeof heaterSpanSchema>

/** One lead of the wiring map: where it was, and where it goes now. */
const leadSchema = z.strictObject({
  id: idSchema,
  /** colour or mark of the lead */
  wire: textSchema,
  /** terminal at which it was found */
  before: textSchema.optional(),
  /** terminal at which it is now */
  after: textSchema.optional(),
})
export type MappedLead = z.infer<typeof leadSchema>

/** How fast the time of a demo job goes, from a moment on. */
export const clockSchema = z.strictObject({
  /** the clock on the wall, and the time of the job at that moment */
  real: instantSchema,
  shown: instantSchema,
  speed: z.number({ error: 'is not a number' }).min(1, 'is under 1').max(600, 'is over 600'),
})
export type DemoClock = z.infer<typeof clockSchema>

export const runSchema = z.strictObject({
  ...inRoundShape,
  pump: pumpSetupSchema.optional(),
  /** every joint, stem, core and cap was bubbled while it held, or gone over with a detector */
  bubbledAt: instantSchema.optional(),
  /** the nitrogen of the test was bled off to 0 psig */
  bledAt: instantSchema.optional(),
  /** points of the first start that were gone through, by name */
  startList: z.record(idSchema, instantSchema).optional(),
  turns: z.array(turnSchema).max(MOST_LINES).optional(),
  trims: z.array(trimSchema).max(MOST_LINES).optional(),
  retests: z.array(retestSchema).max(MOST_LINES).optional(),
  pullDown: pullSchema.optional(),
  /** leads by terminal, before and after: the wiring map */
  wiring: z.array(leadSchema).max(MOST_LINES).optional(),
  heater: z.array(heaterSpanSchema).max(MOST_LINES).optional(),
  /** the day on which the other mode of a heat pump is proven */
  otherModeOn: z.iso.date('is no day like 2026-12-03').optional(),
  /** of jobs from before it stood in the head; never written any more */
  clock: clockSchema.optional(),
})
export type Run = z.infer<typeof runSchema>

/** What belongs to the work as a whole: one of each round. */
export const RUN = defineKind({
  kind: 'run',
  version: 5,
  schema: runSchema,
  // version 3: weights of trims; 4: heater, other mode; 5: wiring map
  migrations: [widened(2), widened(3), widened(4), widened(5)],
  defaults: {},
})
