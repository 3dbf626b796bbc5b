import { z } from 'zod'
import { instantSchema, quantitySchema } from '../../base/units/quantitySchema'
import { refrigerantSchema } from '../readings/refrigerantSchema'
import { inRoundShape } from './fields'
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
  /** hours for which the can has stood open */
  oilCanOpen: between(100_000, 'hours').optional(),
  way: z.enum(ACCESS_WAYS, { error: `is not one of ${ACCESS_WAYS.join(', ')}` }).optional(),
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
  compressorWay: z.enum(COMPRESSOR_WAYS, { error: `is not one of ${COMPRESSOR_WAYS.join(', ')}` }).optional(),
  /** connections of the expansion valve */
  valveJoints: z.enum(VALVE_JOINTS, { error: `is not one of ${VALVE_JOINTS.join(', ')}` }).optional(),
  /** what takes the place of plugged orifices */
  orificeWay: z.enum(ORIFICE_WAYS, { error: `is not one of ${ORIFICE_WAYS.join(', ')}` }).optional(),
  /** feeder tubes at the header, counted */
  feederTubes: z
    .number()
    .int('is not a whole number')
    .min(1, 'is less than one')
    .max(60, 'is more than 60')
    .optional(),
  /** what is done against water: what the class asks for by caution, or what the grams of the ledger ask for */
  waterWork: z.enum(WATER_WORKS, { error: `is not one of ${WATER_WORKS.join(', ')}` }).optional(),
  leakPlace: z.enum(LEAK_PLACES, { error: `is not one of ${LEAK_PLACES.join(', ')}` }).optional(),
  /** a flue or a gas line was moved for access */
  flueMoved: z.boolean().optional(),
})
export type Repair = z.infer<typeof repairSchema>

/** What was measured and chosen for the repair: one of each round. */
export const REPAIR = defineKind({
  kind: 'repair',
  version: 3,
  schema: repairSchema,
  migrations: [widened(2), widened(3)],
  defaults: {},
})
