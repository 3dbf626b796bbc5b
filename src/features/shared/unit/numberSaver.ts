import { attempt } from '@/core/base/errors/orzoError'
import { numberTyped } from '@/core/base/units/numberTyped'
import { type PlatePart, setPlate, setPlatePart } from '@/core/record/edits/headEdits'
import type { Edit } from '@/core/record/edits/edit'
import { plateSchema } from '@/core/record/equipment/unit'

type Field = 'nominalTons' | 'seer'
type Inner = {
  readonly power: 'volts' | 'rla' | 'lra' | 'normalAmps'
  readonly crankcaseHeater: 'watts' | 'volts'
  readonly oldDryer: 'cubicInches'
  readonly control: 'volts'
}
type Place = [Field] | { [K in keyof Inner]: [K, Inner[K]] }[keyof Inner]

/** A plate that holds the field alone: only the field's own rule can refuse. */
const plateWith = ([field, inner]: Place, value: number | undefined) => ({
  [field]: inner === undefined ? value : { [inner]: value },
})

const editOf = ([field, inner]: Place, value: number | undefined): Edit =>
  inner === undefined ? setPlate({ [field]: value }) : setPlatePart(field as PlatePart, { [inner]: value })

/** Makes savers for plate numbers: empty clears, a wrong one is told and not stored. */
export const numberSaver =
  (change: (edit: Edit) => unknown) =>
  (...place: Place) =>
  (text: string): string | undefined => {
    const read = text.trim() === '' ? undefined : attempt(() => numberTyped(text))
    if (read && !read.ok) return read.error.message
    const value = read?.value
    const tried = plateSchema.safeParse(plateWith(place, value))
    if (!tried.success) return `${tried.error.issues[0]?.message ?? 'cannot be stored'}`
    void change(editOf(place, value))
    return undefined
  }
