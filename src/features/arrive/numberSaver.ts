import { type UnitPlate, unitSchema } from '@/core/job/unit'

export type PlateChange = (recipe: (unit: UnitPlate) => UnitPlate) => void

type Field = 'nominalTons' | 'seer'
type PowerField = 'volts' | 'rla' | 'lra'

/** Any plate will do to try a value on: only the field's own rule can refuse. */
const TRIAL: UnitPlate = { kind: 'other', refrigerant: 'R-22', metering: 'txv' }

const withField = (
  unit: UnitPlate,
  field: Field | 'power',
  inner: PowerField | undefined,
  value: number | undefined,
): UnitPlate =>
  inner === undefined ? { ...unit, [field]: value } : { ...unit, power: { ...unit.power, [inner]: value } }

/** Makes savers for plate numbers: empty clears, a wrong one is told and not stored. */
export const numberSaver =
  (change: PlateChange) =>
  (...[field, inner]: [Field] | ['power', PowerField]) =>
  (text: string): string | undefined => {
    const value = text.trim() === '' ? undefined : Number(text.replace(',', '.'))
    if (value !== undefined && !Number.isFinite(value)) return 'Type a number.'
    const tried = unitSchema.safeParse(withField(TRIAL, field, inner, value))
    if (!tried.success) return `${tried.error.issues[0]?.message ?? 'cannot be stored'}`
    change((unit) => withField(unit, field, inner, value))
    return undefined
  }
