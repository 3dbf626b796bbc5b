import { z } from '../../base/schema/zod'
import { oneOf } from '../../base/units/oneOf'
import { textSchema } from '../../base/units/quantitySchema'
import { inRoundShape, isFreeWord, RESERVED } from './fields'
import { defineKind, widened } from './kind'

/** A moment by the clock on the wall of the site, as "2026-11-27T08:00". */
const wallSchema = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/, 'is no date with a time like 2026-11-27T08:00')
  .refine((text) => !Number.isNaN(Date.parse(`${text}:00Z`)), 'is no moment of the calendar')
  // a year that is being typed passes through 0002
  .refine((text) => text >= '2000' && text < '2200', 'lies outside of the years 2000 to 2199')
/** A time of day, as "07:30". */
const clockSchema = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'is no time of day like 07:30')

const MOST = 60
const LONGEST_DAY = 14_400
const nameSchema = z
  .string()
  .min(1, 'is empty')
  .max(80, 'is longer than 80 characters')
  .refine(isFreeWord, RESERVED)
const minuteSchema = z
  .number({ error: 'is not a number' })
  .min(0, 'is negative')
  .max(LONGEST_DAY, 'is longer than ten days')

const spanSchema = z
  .strictObject({ from: wallSchema, to: wallSchema })
  .refine(({ from, to }) => from < to, 'ends before it begins')
const breakSchema = z
  .strictObject({ from: clockSchema, to: clockSchema })
  .refine(({ from, to }) => from < to, 'ends before it begins')

const minutesSchema = z
  .tuple([minuteSchema, minuteSchema, minuteSchema])
  .refine(([low, likely, high]) => low <= likely && likely <= high, 'is not low, likely, high in this order')

const tookSchema = z.strictObject({ planned: minuteSchema, actual: minuteSchema })

const quoteSchema = z.strictObject({
  askedAt: wallSchema.optional(),
  answer: z.enum(['given', 'refused'], { error: 'is neither given nor refused' }).optional(),
  answeredAt: wallSchema.optional(),
  by: textSchema.optional(),
  /** why it goes on without the owner's answer: it holds for buying and for opening */
  without: textSchema.optional(),
})

/** What was changed of one line of the load-out list. */
const partEditSchema = z.strictObject({
  label: textSchema.optional(),
  quantity: textSchema.optional(),
  /** struck off the list */
  struck: z.boolean().optional(),
  /** when it is in hand */
  arrives: wallSchema.optional(),
  /** what it must match, point by point, and what a substitute offers */
  wanted: z.record(nameSchema, textSchema).optional(),
  offered: z.record(nameSchema, textSchema).optional(),
})
export type PartEdit = z.infer<typeof partEditSchema>

const ownPartSchema = z.strictObject({ id: nameSchema, label: textSchema, quantity: textSchema.optional() })

/** How long a task took on earlier jobs of this machine against what was planned, as considered by this job. */
const earlierSchema = z.strictObject({
  factor: z.number().min(0.1, 'is under 0.1').max(10, 'is over 10'),
  jobs: z.number().int().min(1).max(10_000),
})

export const ACCESS_EASE = ['easy', 'usual', 'hard'] as const

export const daySchema = z.strictObject({
  ...inRoundShape,
  /** people at work */
  crew: z.union([z.literal(1), z.literal(2), z.literal(3)], { error: 'is not 1, 2 or 3' }).optional(),
  access: oneOf(ACCESS_EASE).optional(),
  start: wallSchema.optional(),
  /** when the building lets people in and puts them out */
  opensAt: clockSchema.optional(),
  closesAt: clockSchema.optional(),
  /** light to work by */
  lightFrom: clockSchema.optional(),
  lightTo: clockSchema.optional(),
  breaks: z.array(breakSchema).max(MOST).optional(),
  rain: z.array(spanSchema).max(MOST).optional(),
  /** machines may run on while nobody is there */
  leaveRunning: z.boolean().optional(),
  /** the space is too hot, or the goods spoil, by then */
  deadline: wallSchema.optional(),
  deadlineOf: z.enum(['space', 'goods'], { error: 'is neither space nor goods' }).optional(),
  /** tasks that never begin earlier: where they were dragged to */
  notBefore: z.record(nameSchema, wallSchema).optional(),
  /** low, likely, high minutes that were typed for a task */
  minutes: z.record(nameSchema, minutesSchema).optional(),
  /** minutes that a task took, and what was planned then */
  took: z.record(nameSchema, tookSchema).optional(),
  earlier: z.record(nameSchema, earlierSchema).optional(),
  quote: quoteSchema.optional(),
  parts: z.record(nameSchema, partEditSchema).optional(),
  ownParts: z.array(ownPartSchema).max(MOST).optional(),
})
export type Day = z.infer<typeof daySchema>
export type Quote = NonNullable<Day['quote']>

/** How the day is planned: one of each round. */
export const DAY = defineKind({
  kind: 'day',
  version: 3,
  schema: daySchema,
  migrations: [widened(2), widened(3)],
  defaults: {},
})
