import { type UnitPlate, unitSchema } from '@/core/record/equipment/unit'

export type PlateChange = (recipe: (unit: UnitPlate) => UnitPlate) => void

type Field = 'nominalTons' | 'seer'
type Inner = {
  readonly power: 'volts' | 'rla' | 'lra'
  readonly crankcaseHeater: 'watts' | 'volts'
}
type Place = [Field] | { [K in keyof Inner]: [K, Inner[K]] }[keyof Inner]

/** Any plate will do to try a value on: only the field's own rule can refuse. */
const TRIAL: UnitPlate = { kind: 'other', refrigerant: 'R-22', metering: 'txv' }

const withField = (unit: UnitPlate, [field, inner]: Place, value: number | undefined): UnitPlate =>
  inner === undefined ? { ...unit, [field]: value } : { ...unit, [field]: { ...unit[field], [inner]: value } }

/** Makes savers for plate numbers: empty clears, a wrong one is told and not stored. */
export const numberSaver =
  (change: PlateChange) =>
  (...place: Place) =>
  (text: string): string | undefined => {
    const value = text.trim() === '' ? undefined : Number(text.replace(',', '.'))
    if (value !== undefined && !Number.isFinite(value)) return 'Type a number.'
    const tried = unitSchema.safeParse(withField(TRIAL, place, value))
    if (!tried.success) return `${tried.error.issues[0]?.message ?? 'cannot be stored'}`
    change((unit) => withField(unit, place, value))
    return undefined
  }
