import type { Unit } from '@/core/base/units/units'
import type { Reading } from '@/core/record/readings/schema'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { type EntryUnits, pressKey, startingUnit } from './entry'

/** What stands on the pad of an open tap. */
export type PadDraft = {
  readonly key: ReadingKey
  readonly text: string
  readonly unit: Unit
  /** typed and not yet given to the store */
  readonly touched: boolean
  /** a stored value stands there as it was: what is typed next replaces it */
  readonly fresh: boolean
  /** what the tap held when it was opened: it goes into the history once, not at every letter */
  readonly original: Reading | undefined
  /** what the store held when it was last looked at */
  readonly seen: Reading | undefined
  /** what is unlikely and was asked about: number and unit as they stood then */
  readonly asked?: string
  /** what was given to the store and did not come back from it yet, with the last that did; undefined: the tap emptied */
  readonly sent: readonly (Value | undefined)[]
}

type Value = { readonly value: number; readonly unit: Unit }

const textOf = (reading: Reading | undefined) => (reading ? String(reading.value) : '')

/** Opens a tap with what it holds. */
export const openDraft = (key: ReadingKey, reading: Reading | undefined, display: EntryUnits): PadDraft => ({
  key,
  text: textOf(reading),
  unit: reading?.unit ?? startingUnit(key, display),
  touched: false,
  fresh: reading !== undefined,
  original: reading,
  seen: reading,
  sent: [],
})

const isValue = (value: Value | undefined, stored: Reading | undefined) =>
  value?.value === stored?.value && value?.unit === stored?.unit

/**
 * The pad beside what the store holds now. What somebody else put there since (undo, an instrument, another window) is shown
 * instead of what was stored from here before; what is being typed leads.
 */
export function followed(draft: PadDraft, stored: Reading | undefined): PadDraft {
  if (stored === draft.seen) return draft
  const own = draft.sent.findIndex((value) => isValue(value, stored))
  if (own !== -1) return { ...draft, seen: stored, sent: draft.sent.slice(own) }
  if (draft.touched) return { ...draft, seen: stored, original: stored }
  return {
    ...draft,
    text: textOf(stored),
    unit: stored?.unit ?? draft.unit,
    fresh: stored !== undefined,
    original: stored,
    seen: stored,
    sent: [],
  }
}

/** What was put to a text at its end or its start; undefined where it was changed inside. */
function addedTo(before: string, after: string): string | undefined {
  if (after.length <= before.length) return undefined
  if (after.startsWith(before)) return after.slice(before.length)
  return after.endsWith(before) ? after.slice(0, after.length - before.length) : undefined
}

/** A number was begun; a unit put behind the stored one edits it. */
const isNumber = (text: string) => /^[\d.,+-]/.test(text)

/** The display after its text was changed: on a stored value that nobody began to edit, a number that is typed replaces it. */
export function typed(draft: PadDraft, text: string): PadDraft {
  const added = draft.fresh ? addedTo(draft.text, text) : undefined
  return { ...draft, text: added && isNumber(added) ? added : text, touched: true, fresh: false }
}

/** The display after a key of the pad: a digit or a point replaces a stored value, sign and delete edit it. */
export const pressed = (draft: PadDraft, key: string): PadDraft => ({
  ...draft,
  text: pressKey(draft.fresh && /^[\d.]$/.test(key) ? '' : draft.text, key),
  touched: true,
  fresh: false,
})

/** The stored value is edited instead of replaced. */
export const editing = (draft: PadDraft): PadDraft => (draft.fresh ? { ...draft, fresh: false } : draft)

/** The same number in another unit. */
export const inUnit = (draft: PadDraft, unit: Unit): PadDraft => ({ ...draft, unit, touched: true })

/** After its value was given to the store; a unit that was typed behind the number becomes the chosen one. */
export const given = (draft: PadDraft, reading: Value | undefined): PadDraft => ({
  ...draft,
  touched: false,
  sent: [...draft.sent, reading],
  ...(reading && reading.unit !== draft.unit ? { text: String(reading.value), unit: reading.unit } : {}),
})
