import { z } from '../../base/schema/zod'
import { oneOf } from '../../base/units/oneOf'
import { instantSchema, quantitySchema, textSchema } from '../../base/units/quantitySchema'
import { refrigerantSchema } from '../readings/refrigerantSchema'
import { idSchema, inRoundShape } from './fields'
import { defineKind, widened } from './kind'

/** How one gets at the part (handbook 07). */
export const ACCESS_WAYS = ['recover-all', 'pump-down', 'isolate'] as const
export type AccessWay = (typeof ACCESS_WAYS)[number]

export const COMPRESSOR_WAYS = ['like-for-like', 'piston-to-scroll', 'condensing-unit'] as const
export const VALVE_JOINTS = ['sweat', 'flare'] as const
export const ORIFICE_WAYS = ['orifices', 'distributor'] as const
export const WATER_WORKS = ['caution', 'ledger'] as const
export const LEAK_PLACES = ['coil', 'feeder-tube', 'stem', 'fitting', 'compressor'] as const

const between = (most: number, unit: string) =>
  z
    .number({ error: 'is not a number' })
    .min(0, 'is negative: leave the sign out')
    .max(most, `is more than ${most.toLocaleString('en-US')} ${unit}: look at the sheet again`)

const cylinderSchema = z.strictObject({
  /** water that it holds, as stamped on its collar */
  capacity: quantitySchema('mass').optional(),
  tare: quantitySchema('mass').optional(),
  /** what the scale shows now */
  gross: quantitySchema('mass').optional(),
  /** the hottest place that it will stand in */
  hottest: quantitySchema('temperature').optional(),
})

/** What a test for acid is made with: the gas, the oil by a kit, the oil by a laboratory. */
const ACID_TEST_KINDS = ['strip', 'oil-kit', 'lab'] as const
export type AcidTestKind = (typeof ACID_TEST_KINDS)[number]
export const ACID_RESULTS = ['negative', 'weak', 'strong'] as const
export type AcidResult = (typeof ACID_RESULTS)[number]

const acidTestSchema = z
  .strictObject({
    id: idSchema,
    at: instantSchema,
    kind: oneOf(ACID_TEST_KINDS),
    result: oneOf(ACID_RESULTS).optional(),
    /** mg KOH a gram of oil, of a laboratory */
    acidNumber: between(50, 'mg KOH/g').optional(),
  })
  .refine(({ result, acidNumber }) => result !== undefined || acidNumber !== undefined, 'says nothing')
export type AcidTest = z.infer<typeof acidTestSchema>

/** How a leak that a test found was repaired. */
export const LEAK_REPAIRS = ['brazed', 'tightened', 'replaced'] as const
export type LeakRepair = (typeof LEAK_REPAIRS)[number]

const foundLeakSchema = z.strictObject({
  id: idSchema,
  at: instantSchema,
  place: textSchema,
  repair: oneOf(LEAK_REPAIRS),
  /** brazed joints that it takes */
  joints: z.number().int('is not a whole number').min(0, 'is negative').max(60, 'is more than 60').optional(),
  /** what is fitted for it */
  part: textSchema.optional(),
})
export type FoundLeak = z.infer<typeof foundLeakSchema>

const MOST_LINES = 100

export const repairSchema = z.strictObject({
  ...inRoundShape,
  /** laboratory: mg KOH a gram of oil, and parts of water in a million of oil */
  acidNumber: between(50, 'mg KOH/g').optional(),
  oilWater: between(20_000, 'ppm').optional(),
  /** oil that came out, read as a volume or on a scale */
  oilOut: quantitySchema('volume').optional(),
  oilOutWeighed: quantitySchema('mass').optional(),
  /** oil that left inside parts */
  oilLost: quantitySchema('volume').optional(),
  /** oil pump: what a stroke gives */
  oilStroke: quantitySchema('volume').optional(),
  /** oil that a new compressor ships with, by its box; 0 for an empty one */
  newOil: quantitySchema('volume').optional(),
  /** hours for which the can has was open */
  oilCanOpen: between(100_000, 'hours').optional(),
  way: oneOf(ACCESS_WAYS).optional(),
  /** the valves that would hold the rest were tried and hold */
  valvesTight: z.boolean().optional(),
  cylinder: cylinderSchema.optional(),
  /** air round the charging cylinder */
  cylinderAir: quantitySchema('temperature').optional(),
  /** what the unit is converted to */
  refrigerantTo: refrigerantSchema.optional(),
  /** when it first ran again: tests for acid are counted from here */
  startedAt: instantSchema.optional(),
  /** how a compressor is replaced */
  compressorWay: oneOf(COMPRESSOR_WAYS).optional(),
  /** connections of the expansion valve */
  valveJoints: oneOf(VALVE_JOINTS).optional(),
  /** what takes the place of plugged orifices */
  orificeWay: oneOf(ORIFICE_WAYS).optional(),
  /** feeder tubes at the header, counted */
  feederTubes: z
    .number()
    .int('is not a whole number')
    .min(1, 'is less than one')
    .max(60, 'is more than 60')
    .optional(),
  /** the capillary, measured before it is cut */
  capillary: z
    .strictObject({ bore: quantitySchema('length').optional(), length: quantitySchema('length').optional() })
    .optional(),
  /** what is done against water: what the class asks for by caution, or what the grams of the ledger ask for */
  waterWork: oneOf(WATER_WORKS).optional(),
  leakPlace: oneOf(LEAK_PLACES).optional(),
  /** tests for acid, each with its moment; the latest of each kind speaks */
  acidTests: z.array(acidTestSchema).max(MOST_LINES).optional(),
  /** leaks that a pressure test found: parts and joints of the repair */
  leaks: z.array(foundLeakSchema).max(MOST_LINES).optional(),
  /** a flue or a gas line was moved for access */
  flueMoved: z.boolean().optional(),
})
export type Repair = z.infer<typeof repairSchema>

/** What was measured and chosen for the repair: one of each round. */
export const REPAIR = defineKind({
  kind: 'repair',
  version: 5,
  schema: repairSchema,
  // version 4: tests for acid with their moments, leaks that a test found; 5: the capillary
  migrations: [widened(2), widened(3), widened(4), widened(5)],
  defaults: {},
})
