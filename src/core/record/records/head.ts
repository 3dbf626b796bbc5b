import { z } from '../../base/schema/zod'
import { oneOf } from '../../base/units/oneOf'
import { instantSchema, textSchema } from '../../base/units/quantitySchema'
import { plateSchema } from '../equipment/unit'
import { DEFAULT_POLICY, policySchema } from '../policy/policy'
import { idSchema } from './fields'
import { defineKind, widened } from './kind'
import { clockSchema } from './run'

/** What the sky holds for the hours of the visit. */
export const WEATHERS = ['dry', 'humid', 'rain-expected', 'storm-expected'] as const
/** Where one works: what lies under a hot roof is hotter than the air outside. */
export const WORK_PLACES = ['outdoors', 'roof', 'attic', 'indoors', 'crawl-space'] as const
export type WorkPlace = (typeof WORK_PLACES)[number]
const CLOCK = /^([01]\d|2[0-3]):[0-5]\d$/

/** What is broken, in the caller's words, or the verdict that is brought along: it decides where one begins. */
export const BROKEN = [
  'does-not-cool',
  'does-not-run',
  'trips',
  'leaks',
  'noise',
  'condemned',
  'second-opinion',
] as const
export type Broken = (typeof BROKEN)[number]

const arrivalSchema = z.strictObject({
  broken: oneOf(BROKEN).optional(),
  complaint: textSchema.optional(),
  since: textSchema.optional(),
  doneBefore: textSchema.optional(),
  access: textSchema.optional(),
  seen: textSchema.optional(),
  /** weather while the circuit may stand open */
  weather: oneOf(WEATHERS).optional(),
  /** local clock time until which one can work: rain, closing, dark */
  workUntil: z.string().regex(CLOCK, 'is no time like 15:30').optional(),
  /** local clock time until which the goods of a box keep, or the people of a space bear it */
  goodsUntil: z.string().regex(CLOCK, 'is no time like 15:30').optional(),
  place: oneOf(WORK_PLACES).optional(),
  /** what is known of the circuit's past; read by the clean-up class */
  previousBurnout: z.boolean().optional(),
  previousCompressor: z.boolean().optional(),
  /** when it was changed, as it was told: "2024", "last spring" */
  previousCompressorWhen: textSchema.optional(),
})
export type Arrival = z.infer<typeof arrivalSchema>

export const headSchema = z.strictObject({
  title: textSchema.optional(),
  demo: z.boolean().optional(),
  createdAt: instantSchema.optional(),
  /** the plate as it was found */
  unit: plateSchema,
  /** the record of the unit itself, where one is kept */
  unitId: idSchema.optional(),
  /** the company's answers as they stood when the job began */
  policy: policySchema.optional(),
  arrival: arrivalSchema.optional(),
  /** how fast the time of a demo job goes */
  clock: clockSchema.optional(),
})
export type HeadData = z.infer<typeof headSchema>

/** Title, arrival, plate as found, policy: one of each job. */
export const HEAD = defineKind({
  kind: 'head',
  version: 5,
  schema: headSchema,
  // version 5: how long goods keep, where one works
  migrations: [widened(2), widened(3), widened(4), widened(5)],
  defaults: { policy: DEFAULT_POLICY },
})
