import { z } from '../schema/zod'
import { parseCompound, type TypedQuantity } from './compound'
import { attempt } from '../errors/orzoError'
import { toKelvin, toPascals } from './convert'
import { type PressureUnit, type QuantityKind, type TemperatureUnit, type Unit, unitsOf } from './units'

const TEXT_LIMIT = 2000

export const instantSchema = z.iso.datetime({
  offset: true,
  error: 'is no date and time like 2026-05-04T09:30:00Z',
})
export const textSchema = z.string().max(TEXT_LIMIT, `is longer than ${TEXT_LIMIT} characters`)

const physical = (kind: QuantityKind, value: number, unit: Unit) => {
  if (kind === 'pressure') return attempt(() => toPascals({ value, unit: unit as PressureUnit }))
  if (kind === 'temperature') return attempt(() => toKelvin({ value, unit: unit as TemperatureUnit }))
  return { ok: true } as const
}

/** Kinds of which a negative value has no meaning. */
const NEVER_NEGATIVE: readonly QuantityKind[] = [
  'voltage',
  'current',
  'resistance',
  'capacitance',
  'power',
  'mass',
  'volume',
  'flow',
  'length',
  'humidity',
  'time',
]

function valueSchema(kind: QuantityKind, signed: boolean) {
  const number = z.number({ error: 'is not a number' })
  return NEVER_NEGATIVE.includes(kind) && !signed ? number.min(0, 'is negative: leave the sign out') : number
}

/** What stands beside the value as it was typed must say the same. */
function contradicts({ value, unit, typed }: TypedQuantity, kind: QuantityKind): boolean {
  if (typed === undefined) return false
  const read = attempt(() => parseCompound(typed, kind))
  return (
    !read.ok || read.value?.unit !== unit || Math.abs(read.value.value - value) > 1e-9 * Math.max(1, value)
  )
}

/**
 * `{ value, unit }` of one kind; units that measure something else are refused.
 * @param signed a negative value has a meaning here, as of a height
 */
export function quantitySchema<K extends QuantityKind>(kind: K, signed = false) {
  const units = unitsOf(kind) as [Unit, ...Unit[]]
  return z
    .strictObject({
      value: valueSchema(kind, signed),
      unit: z.enum(units, { error: `is not one of ${units.join(', ')}` }),
      /** as it was typed, of a measure in two units */
      typed: textSchema.optional(),
    })
    .superRefine((quantity, context) => {
      if (contradicts(quantity, kind))
        context.addIssue({ code: 'custom', path: ['typed'], message: 'is not what its value says' })
      const result = physical(kind, quantity.value, quantity.unit)
      if (!result.ok) context.addIssue({ code: 'custom', path: ['value'], message: result.error.message })
    })
}
