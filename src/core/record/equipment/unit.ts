import { z } from '../../base/schema/zod'
import { oneOf } from '../../base/units/oneOf'
import { OILS, REFRIGERANT_NAMES } from '../../physics/refrigerants/catalogue'
import { attempt } from '../../base/errors/orzoError'
import { quantitySchema, textSchema } from '../../base/units/quantitySchema'
import { localAtmosphere } from '../../base/units/atmosphere'
import { toSI } from '../../base/units/convert'
import { refrigerantSchema } from '../readings/refrigerantSchema'

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
/** How head pressure is held up in the cold: by the condenser's fan, or by a valve that floods the condenser. */
export const HEAD_CONTROLS = ['fan', 'flooding'] as const
export const CONDENSER_COILS = ['tube', 'microchannel'] as const

const positive = (name: string) =>
  z.number({ error: 'is not a number' }).positive(`is not above zero: type the ${name} from the plate`)

const powerSchema = z.strictObject({
  phase: z.union([z.literal(1), z.literal(3)], { error: 'is neither 1 nor 3' }).optional(),
  volts: positive('volts').optional(),
  hertz: z.union([z.literal(50), z.literal(60)], { error: 'is neither 50 nor 60' }).optional(),
  /** rated load amps and locked rotor amps of the plate */
  rla: positive('rated load amps').optional(),
  lra: positive('locked rotor amps').optional(),
  /** what this unit drew when it was well, A */
  normalAmps: positive('amps').optional(),
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

export const DRYER_FLOWS = ['one-way', 'bi-flow'] as const
export const DRYER_JOINTS = ['flare', 'sweat'] as const
export const DRYER_ARROWS = ['with-flow', 'against-flow', 'none'] as const

const oldDryerSchema = z.strictObject({
  /** none was fitted: muffler and strainer are no dryer */
  none: z.literal(true).optional(),
  /** block or bead volume as its label says it, in^3 */
  cubicInches: positive('cubic inches').max(1000, 'is more than 1,000 cubic inches').optional(),
  flow: oneOf(DRYER_FLOWS).optional(),
  connection: quantitySchema('length').optional(),
  joint: oneOf(DRYER_JOINTS).optional(),
  /** length of straight line in which a new one must fit */
  room: quantitySchema('length').optional(),
  /** where its arrow points against the flow of the liquid */
  arrow: oneOf(DRYER_ARROWS).optional(),
  /** valves round it that send the liquid through it one way in both modes */
  checkValves: z.boolean().optional(),
  /** it sits behind the part, where nothing reaches it afterwards */
  behind: z.boolean().optional(),
  /** it sits inside the cabinet or outside of it */
  outside: z.boolean().optional(),
})

/** Height of a site over the sea, inside the range of the standard atmosphere; below the sea it is negative. */
export const elevationSchema = quantitySchema('length', true).superRefine((quantity, context) => {
  const result = attempt(() => localAtmosphere(toSI(quantity)))
  if (!result.ok) context.addIssue({ code: 'custom', path: ['value'], message: result.error.message })
})

/** Whether a text is a time zone of the calendar. */
const isZone = (zone: string) => attempt(() => void new Intl.DateTimeFormat('en', { timeZone: zone })).ok
/** Where the clock on the wall of the site is set: an IANA zone. */
const zoneSchema = z
  .string({ error: 'is not a text' })
  .max(60, 'is longer than 60 characters')
  .refine(isZone, 'is no time zone like America/Santiago')

/** The equipment and its nameplate as far as they are known. */
export const plateSchema = z.strictObject({
  name: textSchema.optional(),
  kind: oneOf(UNIT_KINDS).optional(),
  refrigerant: refrigerantSchema.optional(),
  metering: oneOf(METERINGS).optional(),
  heatRejection: oneOf(HEAT_REJECTIONS).optional(),
  power: powerSchema.optional(),
  compressor: z
    .strictObject({
      type: oneOf(COMPRESSOR_TYPES).optional(),
      oil: oneOf(OILS).optional(),
      /** swept volume at the plate's speed */
      displacement: quantitySchema('flow').optional(),
      /** oil can be drained and filled through ports: it need not be tipped */
      oilPorts: z.boolean().optional(),
    })
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
  headControl: oneOf(HEAD_CONTROLS).optional(),
  condenserCoil: oneOf(CONDENSER_COILS).optional(),
  /** a moisture indicator sits in the liquid line */
  moistureIndicator: z.boolean().optional(),
  crankcaseHeater: z
    .strictObject({
      /** one is there, whatever its label says */
      fitted: z.literal(true).optional(),
      watts: positive('watts').optional(),
      volts: positive('volts').optional(),
    })
    .optional(),
  accumulator: z.boolean().optional(),
  /** what the equipment was made for, where it was converted to another refrigerant */
  convertedFrom: refrigerantSchema.optional(),
  /** what the thermostat or the control of the box is set to */
  control: z
    .strictObject({
      setpoint: quantitySchema('temperature').optional(),
      differential: quantitySchema('temperatureDifference').optional(),
      /** coldest outdoor air at the site: what a pump-down control must start again in */
      coldestOutdoor: quantitySchema('temperature').optional(),
      /** volts of the control circuit, read on a coil */
      volts: positive('volts of the control').optional(),
    })
    .optional(),
  /** the liquid dryer that is in it now */
  oldDryer: oldDryerSchema.optional(),
  site: z
    .strictObject({
      name: textSchema.optional(),
      elevation: elevationSchema.optional(),
      zone: zoneSchema.optional(),
    })
    .optional(),
})
export type Plate = z.infer<typeof plateSchema>

/** A unit that can be computed with: kind, refrigerant and metering are known. */
export const unitSchema = plateSchema.required({ kind: true, refrigerant: true, metering: true })
export type UnitPlate = z.infer<typeof unitSchema>
