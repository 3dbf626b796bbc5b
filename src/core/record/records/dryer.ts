import { z } from '../../base/schema/zod'
import { oneOf } from '../../base/units/oneOf'
import { quantitySchema, textSchema } from '../../base/units/quantitySchema'
import { DRYER_FLOWS, DRYER_JOINTS } from '../equipment/unit'
import { refrigerantSchema } from '../readings/refrigerantSchema'
import { countSchema, idSchema } from './fields'
import { defineKind } from './kind'

export const DRYER_PLACES = ['liquid', 'suction'] as const
/** Sieve for water, blend of sieve and alumina for acid too, alumina-rich after a burnout. */
export const DRYER_CORES = ['sieve', 'blend', 'high-acid'] as const
export const DRYER_FORMS = ['sealed', 'shell'] as const

const MOST_CONNECTIONS = 6
const above = (most: number) =>
  z
    .number({ error: 'is not a number' })
    .positive('is not above zero')
    .max(most, `is more than ${most.toLocaleString('en-US')}`)

/** A dryer as its label and its maker's sheet describe it. */
export const dryerSchema = z.strictObject({
  id: idSchema,
  label: textSchema.min(1, 'is empty: give it a name').max(80, 'is longer than 80 characters'),
  place: oneOf(DRYER_PLACES),
  flow: oneOf(DRYER_FLOWS),
  core: oneOf(DRYER_CORES),
  form: oneOf(DRYER_FORMS).optional(),
  /** block or bead volume, in^3, as it is sold */
  block: above(1000),
  /** outer diameters of the lines that it takes */
  connections: z
    .array(quantitySchema('length'), { error: 'is no list' })
    .min(1, 'is empty: write at least one connection')
    .max(MOST_CONNECTIONS, `holds more than ${MOST_CONNECTIONS} connections`),
  joint: oneOf(DRYER_JOINTS).optional(),
  /** highest working pressure */
  pressure: quantitySchema('pressure'),
  /** tons at its rated drop, and the refrigerant that they are told for; R-22 where nothing is said */
  tons: above(1000),
  tonsFor: refrigerantSchema.optional(),
  /** water at 75 F in R-22, and in R-410A and the others that run with POE */
  waterR22: quantitySchema('mass').optional(),
  waterOther: quantitySchema('mass').optional(),
  /** from end to end */
  length: quantitySchema('length').optional(),
  /** how many are on the van */
  onVan: countSchema.optional(),
})
export type Dryer = z.infer<typeof dryerSchema>

/** A copy of an own dryer that a job considers: file and door give the same answer without the browser's store. */
export const DRYER = defineKind({
  kind: 'dryer',
  version: 1,
  schema: dryerSchema,
  migrations: [],
  defaults: {},
})
