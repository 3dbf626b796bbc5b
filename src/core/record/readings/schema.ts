import { z } from '../../base/schema/zod'
import { oneOf } from '../../base/units/oneOf'
import { instantSchema, quantitySchema, textSchema } from '../../base/units/quantitySchema'
import type { Unit } from '../../base/units/units'
import {
  OBSERVATION_KEYS,
  type ObservationKey,
  type ObservationValue,
  observationRow,
  type PlacedKey,
  SEVERAL_PLACES,
} from './observations'
import { refrigerantSchema } from './refrigerantSchema'
import { READING_KEYS, type ReadingKey, readingRow } from './vocabulary'

/** Earlier values of one tap that a set keeps. */
export const MOST_REPEATS = 20

/** Where the ohms of a motor are measured: leads on, or at the compressor's own terminals with the leads off. */
const OHM_PLACES = ['contactor', 'terminals'] as const
export type OhmPlace = (typeof OHM_PLACES)[number]
const placeSchema = oneOf(OHM_PLACES).optional()

/** A reading as it was taken (handbook 02). */
function readingSchema(key: ReadingKey) {
  const quantity = quantitySchema(readingRow(key).kind)
  const { value, unit } = quantity.shape
  return z
    .strictObject({
      value,
      unit,
      at: instantSchema.optional(),
      source: z.enum(['typed', 'probe', 'log']).optional(),
      instrument: textSchema.optional(),
      note: textSchema.optional(),
      /** the technician does not trust it: it counts with a wider error */
      doubtful: z.boolean().optional(),
      /** where ohms were measured, as it was said when they were; a word that is put later changes nothing */
      place: placeSchema,
      /** what this tap read before in the same set, oldest first */
      before: z
        .array(z.strictObject({ value, unit, at: instantSchema.optional(), place: placeSchema }))
        .max(MOST_REPEATS, `holds more than ${MOST_REPEATS} earlier values`)
        .optional(),
    })
    .superRefine((reading, context) => {
      const result = quantity.safeParse({ value: reading.value, unit: reading.unit })
      for (const issue of result.error?.issues ?? []) {
        context.addIssue({ code: 'custom', path: [...issue.path], message: issue.message })
      }
    })
}

/** What a tap read before. */
export type EarlierReading = {
  value: number
  unit: Unit
  at?: string | undefined
  place?: OhmPlace | undefined
}
export type Reading = {
  value: number
  unit: Unit
  at?: string | undefined
  source?: 'typed' | 'probe' | 'log' | undefined
  instrument?: string | undefined
  note?: string | undefined
  doubtful?: boolean | undefined
  place?: OhmPlace | undefined
  before?: EarlierReading[] | undefined
}
export type Readings = { [K in ReadingKey]?: Reading | undefined }
export type Observations = { [K in ObservationKey]?: ObservationValue<K> | undefined } & {
  /** How long the circuit was open to air, hours. */
  hoursOpenToAir?: number | undefined
}

const entriesOf = <K extends string, S>(keys: readonly K[], make: (key: K) => S) =>
  Object.fromEntries(keys.map((key) => [key, make(key)])) as Record<K, S>

const readingsSchema = z.strictObject(
  entriesOf(READING_KEYS, (key) => readingSchema(key).optional()),
) as unknown as z.ZodType<Readings>

const MOST_HOURS_OPEN = 100_000

const observationsSchema = z.strictObject({
  ...entriesOf(OBSERVATION_KEYS, (key) => {
    const { values } = observationRow(key)
    return oneOf(values as [string, ...string[]]).optional()
  }),
  hoursOpenToAir: z
    .number({ error: 'is not a number of hours' })
    .min(0, 'is negative')
    .max(MOST_HOURS_OPEN, 'is more than eleven years: type hours')
    .optional(),
}) as unknown as z.ZodType<Observations>

const MOST_PLACES = 12
const placesSchema = (key: PlacedKey) => {
  const { values } = observationRow(key)
  return z
    .array(oneOf(values as [string, ...string[]]))
    .max(MOST_PLACES, `holds more than ${MOST_PLACES} places`)
    .optional()
}
const alsoSchema = z.strictObject(entriesOf(SEVERAL_PLACES, placesSchema)) as unknown as z.ZodType<AlsoSeen>
/** Further places, each a word of its observation. */
export type AlsoSeen = { [K in PlacedKey]?: ObservationValue<K>[] | undefined }

export const MODES = ['cooling', 'heating', 'off'] as const
export type Mode = (typeof MODES)[number]

const MOST_BRANCHES = 12
const WORD_KEY = /^[a-z][A-Za-z]{0,40}$/
const POINT_ID = /^[a-z][a-z-]{0,40}$/

/** One snapshot of the machine: readings, what was seen, when, and what was different. */
export const readingSetSchema = z.strictObject({
  at: instantSchema.optional(),
  label: textSchema.optional(),
  mode: oneOf(MODES),
  readings: readingsSchema,
  observations: observationsSchema.optional(),
  /** further places of what is seen at several, beside the first in the observations */
  also: alsoSchema.optional(),
  /** which evaporator of several on one circuit the readings belong to */
  branch: z
    .number({ error: 'is not a number' })
    .int('is no whole number')
    .min(1, 'is below 1')
    .max(MOST_BRANCHES, `is above ${MOST_BRANCHES}`)
    .optional(),
  /** points of the way to a load that were tested, by id (electrical/supplyPath) */
  points: z.record(z.string().regex(POINT_ID, 'is no point of the way'), z.enum(['live', 'dead'])).optional(),
  /** what was different from the set before */
  note: textSchema.optional(),
  /** what was inside when it was taken, where the technician says so; else it follows from what was charged until then */
  refrigerant: refrigerantSchema.optional(),
  /** when words were put that say how the unit stands, by word; one without a moment is as old as its set */
  seenAt: z.record(z.string().regex(WORD_KEY, 'is no observation'), instantSchema).optional(),
  /** when the conditions changed under the set: what was read before is stale */
  changedAt: instantSchema.optional(),
})
export type ReadingSet = z.infer<typeof readingSetSchema>
