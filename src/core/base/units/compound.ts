import { fromSI, toSI } from './convert'
import { numberTyped } from './numberTyped'
import { type Quantity, type QuantityKind, type Unit, unitRow } from './units'

/** A measure read in two units at once, as the trade reads weights and lengths. */
export type Compound = {
  readonly name: string
  readonly large: Unit
  readonly small: Unit
  /** how many of the small make a large one; exact by definition */
  readonly ratio: number
}

const COMPOUNDS: { readonly [K in QuantityKind]?: Compound & { readonly words: RegExp } } = {
  mass: {
    name: 'lb + oz',
    large: 'lb',
    small: 'oz',
    ratio: 16,
    words: /^(\d+)\s*(?:lbs?|pounds?|#)[\s,]*(\d[\d.,]*|[.,]\d+)\s*(?:oz|ounces?)?$/i,
  },
  length: {
    name: 'ft + in',
    large: 'ft',
    small: 'in',
    ratio: 12,
    words: /^(\d+)\s*(?:ft|feet|foot|')[\s,]*(\d[\d.,]*|[.,]\d+)\s*(?:in|inch(?:es)?|")?$/i,
  },
}

/** The two units in which a kind is read at once; undefined for kinds that are read in one. */
export const compoundOf = (kind: QuantityKind): Compound | undefined => COMPOUNDS[kind]

/** A quantity of two parts, kept as it was typed beside its value in the large unit. */
export type TypedQuantity = Quantity & { readonly typed?: string | undefined }

/** @throws OrzoError bad-number where a part is no number */
export function ofParts({ large, small, ratio }: Compound, whole: string, rest: string): TypedQuantity {
  const value = (whole === '' ? 0 : numberTyped(whole)) + (rest === '' ? 0 : numberTyped(rest)) / ratio
  return { value, unit: large, typed: `${whole || '0'} ${large} ${rest || '0'} ${small}` }
}

/**
 * Reads "6 lb 4 oz", "12' 6"".
 * @returns undefined where the text is not of two parts
 * @throws OrzoError bad-number where a part is no number
 */
export function parseCompound(text: string, kind: QuantityKind): TypedQuantity | undefined {
  const compound = COMPOUNDS[kind]
  const match = compound?.words.exec(text.trim())
  return compound && match ? ofParts(compound, match[1] as string, match[2] as string) : undefined
}

/** The parts of a quantity that was typed as two; undefined of any other. */
export function partsOf({ unit, typed }: TypedQuantity): readonly [string, string] | undefined {
  const match = typed === undefined ? null : COMPOUNDS[unitRow(unit).kind]?.words.exec(typed)
  return match ? [match[1] as string, match[2] as string] : undefined
}

/** Hundredths of the small unit are kept. */
const rounded = (value: number) => Math.round(value * 100) / 100

/** The same measure in two units, the small one to a hundredth. */
export function inParts(compound: Compound, quantity: Quantity): TypedQuantity {
  const small = rounded(fromSI(toSI(quantity), compound.small))
  const whole = Math.floor(small / compound.ratio)
  return ofParts(compound, String(whole), String(rounded(small - whole * compound.ratio)))
}

/** "6 lb 4 oz" where it was typed so, else "6.25 lb". */
export const showQuantity = ({ value, unit, typed }: TypedQuantity): string => typed ?? `${value} ${unit}`
