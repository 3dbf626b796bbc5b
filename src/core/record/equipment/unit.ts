import { z } from 'zod'
import { OILS, REFRIGERANT_NAMES, type RefrigerantName } from '../../physics/refrigerants/catalogue'
import { attempt } from '../../base/errors/orzoError'
import { quantitySchema, textSchema } from '../../base/units/quantitySchema'
import { localAtmosphere } from '../../base/units/atmosphere'
import { toSI } from '../../base/units/convert'

export const UNIT_KINDS = [
  'split-ac',
  'package-ac',
  'split-heat-pump',
  'package-heat-pump',
  'water-source-heat-pump',
  'pool-heat-pump',
  'walk-in-cooler',
  'walk-in-freezer',
  'reach-in',
  'other',
] as const
export type UnitKind = (typeof UNIT_KINDS)[number]

export const METERINGS = ['txv', 'eev', 'fixed-orifice', 'capillary'] as const
export type Metering = (typeof METERINGS)[number]

export const COMPRESSOR_TYPES = ['scroll', 'reciprocating', 'rotary', 'semi-hermetic'] as const
export const HEAT_REJECTIONS = ['air', 'water'] as const

const oneOf = <T extends readonly [string, ...string[]]>(values: T) =>
  z.enum(values, { error: `is not one of ${values.join(', ')}` })
const positive = (name: string) =>
  z.number({ error: 'is not a number' }).positive(`is not above zero: type the ${name} from the plate`)

const refrigerantSchema = oneOf(REFRIGERANT_NAMES as [RefrigerantName, ...RefrigerantName[]])

const powerSchema = z.strictObject({
  phase: z.union([z.literal(1), z.literal(3)], { error: 'is neither 1 nor 3' }).optional(),
  volts: positive('volts').optional(),
  hertz: z.union([z.literal(50), z.literal(60)], { error: 'is neither 50 nor 60' }).optional(),
  /** rated load amps and locked rotor amps of the plate */
  rla: positive('rated load amps').optional(),
  lra: positive('locked rotor amps').optional(),
  /** label of the run capacitor */
  runCapacitor: quantitySchema('capacitance').optional(),
})

const lineSetSchema = z.strictObject({
  liquid: quantitySchema('length').optional(),
  vapour: quantitySchema('length').optional(),
  length: quantitySchema('length').optional(),
  /** line length that the factory charge already covers */
  included: quantitySchema('length').optional(),
})

/** Elevation inside the range of the standard atmosphere. */
/** Height of a site over the sea; below it is negative. */
export const elevationSchema = quantitySchema('length', true).superRefine((quantity, context) => {
  const result = attempt(() => localAtmosphere(toSI(quantity)))
  if (!result.ok) context.addIssue({ code: 'custom', path: ['value'], message: result.error.message })
})

/** The equipment and its nameplate. Only kind, refrigerant and metering must be known. */
export const unitSchema = z.strictObject({
  name: textSchema.optional(),
  kind: oneOf(UNIT_KINDS),
  refrigerant: refrigerantSchema,
  metering: oneOf(METERINGS),
  heatRejection: oneOf(HEAT_REJECTIONS).optional(),
  power: powerSchema.optional(),
  compressor: z
    .strictObject({ type: oneOf(COMPRESSOR_TYPES).optional(), oil: oneOf(OILS).optional() })
    .optional(),
  designPressures: z
    .strictObject({ high: quantitySchema('pressure').optional(), low: quantitySchema('pressure').optional() })
    .optional(),
  /** refrigerants the equipment is listed for, where the plate says more than one */
  listedFor: z.array(refrigerantSchema).max(REFRIGERANT_NAMES.length).optional(),
  lineSet: lineSetSchema.optional(),
  nominalTons: positive('tons').max(1000, 'is more than 1,000 tons').optional(),
  /** seasonal rating of the plate; narrows the expected condensing temperature */
  seer: positive('seasonal rating').max(60, 'is more than 60').optional(),
  factoryCharge: quantitySchema('mass').optional(),
  oilCharge: quantitySchema('volume').optional(),
  targetSubcooling: quantitySchema('temperatureDifference').optional(),
  receiver: z.boolean().optional(),
  headPressureControl: z.boolean().optional(),
  crankcaseHeater: z
    .strictObject({ watts: positive('watts').optional(), volts: positive('volts').optional() })
    .optional(),
  accumulator: z.boolean().optional(),
  site: z.strictObject({ name: textSchema.optional(), elevation: elevationSchema.optional() }).optional(),
})
export type UnitPlate = z.infer<typeof unitSchema>
