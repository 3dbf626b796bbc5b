import { z } from '../../base/schema/zod'
import { SHEETS } from '../../base/units/sheets'
import { type QuantityKind, type Unit, unitsOf } from '../../base/units/units'
import { SYSTEM_UNITS } from '../../base/units/system'
import { UNIT_KINDS, type UnitKind } from '../equipment/unit'
import { policySchema } from '../policy/policy'
import { isReadingKey, type ReadingKey } from '../readings/vocabulary'

export const THEMES = ['sunlight', 'cellar'] as const
export const TEXT_SIZE_NAMES = ['usual', 'large', 'largest'] as const
export const HANDS = ['right', 'left'] as const
export const TEMPERATURE_UNITS = ['F', 'C', 'K'] as const

/** Earlier Orzo kept everything as text: "yes" for true, JSON for what has parts. */
const fromText = (value: unknown): unknown => {
  if (typeof value !== 'string') return value
  try {
    return JSON.parse(value) as unknown
  } catch {
    return undefined
  }
}
const parsed = <S extends z.ZodType>(schema: S) => z.preprocess(fromText, schema)
const yes = z.preprocess((value) => (typeof value === 'string' ? value === 'yes' : value), z.boolean())

const pressureUnitSchema = z.custom<Unit>(
  (word) => typeof word === 'string' && unitsOf('pressure').some((unit) => unit === word),
)

/** A unit that does not measure its kind is left out; the others stay. */
const chosenSchema = z
  .record(z.string(), z.unknown())
  .transform(
    (chosen) =>
      Object.fromEntries(
        Object.entries(chosen).filter(([kind, unit]) =>
          unitsOf(kind as QuantityKind).some((each) => each === unit),
        ),
      ) as { [K in QuantityKind]?: Unit },
  )

/** Readings that are not known any more are left out of an order. */
const orderSchema = z.record(z.string(), z.unknown()).transform(
  (orders) =>
    Object.fromEntries(
      Object.entries(orders)
        .filter(([kind, keys]) => (UNIT_KINDS as readonly string[]).includes(kind) && Array.isArray(keys))
        .map(([kind, keys]) => [
          kind,
          (keys as unknown[]).filter((key): key is ReadingKey => isReadingKey(String(key))),
        ]),
    ) as { [K in UnitKind]?: ReadingKey[] },
)

const SETTING_SHAPE = {
  temperatureUnit: z.enum(TEMPERATURE_UNITS),
  pressureUnit: pressureUnitSchema,
  massUnit: z.enum(SYSTEM_UNITS.mass),
  volumeUnit: z.enum(SYSTEM_UNITS.volume),
  lengthUnit: z.enum(SYSTEM_UNITS.length),
  flowUnit: z.enum(SYSTEM_UNITS.flow),
  demoOffered: yes,
  theme: z.enum(THEMES),
  textSize: z.enum(TEXT_SIZE_NAMES),
  hand: z.enum(HANDS),
  screenOn: yes,
  /** paper that reports are made for */
  sheet: z.enum(SHEETS),
  /** unit last chosen on the pad for a kind of quantity */
  unitsChosen: parsed(chosenSchema),
  /** taps in the technician's own order, by kind of unit */
  tapOrder: parsed(orderSchema),
  /** what stood in the fields of the tables */
  tablesInput: parsed(z.record(z.string(), z.unknown())),
  /** columns of log files, by their headings */
  logColumns: parsed(z.record(z.string(), z.unknown())),
  /** the company's answers of handbook 11; copied into each new job */
  policy: parsed(policySchema),
  /** names this browser in the records that it writes */
  device: z.string().min(1).max(60),
  /** whether the browser was asked to keep the data */
  persistAsked: yes,
} as const

/** What this browser remembers beside the jobs: every field may be missing. */
export type Settings = Partial<z.infer<z.ZodObject<typeof SETTING_SHAPE>>>
export type SettingKey = keyof Settings

/** Reads stored rows; a damaged value chooses nothing, what Orzo does not know is left alone. */
export function readSettingRows(
  rows: readonly { readonly key: string; readonly value: unknown }[],
): Settings {
  const settings: Record<string, unknown> = {}
  for (const { key, value } of rows) {
    if (!Object.hasOwn(SETTING_SHAPE, key)) continue
    const result = SETTING_SHAPE[key as SettingKey].safeParse(value)
    if (result.success && result.data !== undefined) settings[key] = result.data
  }
  return settings as Settings
}
