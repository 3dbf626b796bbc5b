import { OrzoError } from '../../../base/errors/orzoError'
import type { UnitPlate } from '../../../record/equipment/unit'
import type { Mode } from '../../../record/readings/schema'
import { classOf, UNIT_CLASSES, type UnitClass } from './unitClass'

/** A book as it is written (tools/diagnosis/learn.ts): bytes as base64 text. */
export type StoredBook = {
  readonly unitClass: string
  readonly features: readonly string[]
  /** mean half width of each feature's band where all conditions were measured, SI */
  readonly tolerances: readonly number[]
  readonly suspects: Readonly<Record<string, StoredCases>>
}
export type StoredCases = {
  /** severity x 250, one byte a case */
  readonly severities: string
  /** deviations, one signed byte a feature, case after case; see toByte */
  readonly deviations: string
  /** index of the word seen, one byte a case */
  readonly frostPattern: string
  readonly sightGlass: string
}

/** Simulated cases of one suspect, ready to compare with. */
export type Cases = {
  readonly count: number
  readonly severities: Float32Array
  /** in bands' half widths, case after case; NaN where the unit has no such feature */
  readonly deviations: Float32Array
  readonly frostPattern: Uint8Array
  readonly sightGlass: Uint8Array
}
export type CaseBook = {
  readonly unitClass: UnitClass
  readonly features: readonly string[]
  readonly tolerances: readonly number[]
  readonly suspects: ReadonlyMap<string, Cases>
}

const SEVERITY_STEPS = 250
/** A byte holds asinh(deviation) x 24: fine near the band, coarse far from it, up to 99 half widths. */
const BYTE_SCALE = 24
const MISSING = -128

/** A deviation in half widths as a signed byte. */
export const toByte = (deviation: number | undefined): number =>
  deviation === undefined
    ? MISSING
    : Math.max(-127, Math.min(127, Math.round(BYTE_SCALE * Math.asinh(deviation))))

/** The deviation of a signed byte; NaN where there is none. */
export const fromByte = (byte: number): number => (byte === MISSING ? NaN : Math.sinh(byte / BYTE_SCALE))

/** Bytes of a base64 text; `atob` is in browsers, workers and Node. */
function bytesOf(text: string): Uint8Array {
  const raw = atob(text)
  return Uint8Array.from(raw, (letter) => letter.charCodeAt(0))
}

/** Makes a stored book ready. @throws OrzoError not-loaded when a book does not fit its own lengths */
export function openBook(stored: StoredBook): CaseBook {
  const unitClass = UNIT_CLASSES.find((each) => each === stored.unitClass)
  if (!unitClass) throw new OrzoError('not-loaded', `"${stored.unitClass}" is no class of units.`)
  const suspects = new Map(
    Object.entries(stored.suspects).map(([id, cases]): [string, Cases] => {
      const severities = Float32Array.from(bytesOf(cases.severities), (byte) => byte / SEVERITY_STEPS)
      const signed = new Int8Array(bytesOf(cases.deviations).buffer)
      if (signed.length !== severities.length * stored.features.length) {
        throw new OrzoError('not-loaded', `The cases of ${id} in the book ${unitClass} are incomplete.`)
      }
      return [
        id,
        {
          count: severities.length,
          severities,
          deviations: Float32Array.from(signed, fromByte),
          frostPattern: bytesOf(cases.frostPattern),
          sightGlass: bytesOf(cases.sightGlass),
        },
      ]
    }),
  )
  return { unitClass, features: stored.features, tolerances: stored.tolerances, suspects }
}

type Fetched = Promise<{ readonly default: StoredBook }>

/** One file a class, fetched when it is first needed. */
const FILES: Readonly<Record<UnitClass, () => Fetched>> = {
  'comfort-valve': () => import('./books/comfort-valve.json'),
  'comfort-fixed': () => import('./books/comfort-fixed.json'),
  'comfort-water': () => import('./books/comfort-water.json'),
  'box-valve': () => import('./books/box-valve.json'),
  'box-receiver': () => import('./books/box-receiver.json'),
  'box-fixed': () => import('./books/box-fixed.json'),
  'heating-valve': () => import('./books/heating-valve.json'),
  'heating-fixed': () => import('./books/heating-fixed.json'),
  'heating-water': () => import('./books/heating-water.json'),
  'heating-pool': () => import('./books/heating-pool.json'),
}

const kept = new Map<UnitClass, CaseBook>()

/** Puts a book into memory that was read by other means (tests, tools). */
export function keepBook(stored: StoredBook): void {
  const book = openBook(stored)
  kept.set(book.unitClass, book)
}

/** Fetches the case books of a unit, for both modes. @throws OrzoError not-loaded where a file cannot be fetched */
export const loadCaseBooks = (unit: UnitPlate): Promise<void> =>
  loadBooks((['cooling', 'heating'] as const).flatMap((mode) => classOf(unit, mode) ?? []))

/** Fetches case books by class. @throws OrzoError not-loaded where a file cannot be fetched */
export async function loadBooks(classes: readonly UnitClass[]): Promise<void> {
  await Promise.all(
    classes
      .filter((each) => !kept.has(each))
      .map(async (each) => {
        try {
          keepBook((await FILES[each]()).default)
        } catch (error) {
          throw new OrzoError(
            'not-loaded',
            'What the diagnosis compares with could not be loaded: reload the page while there is a connection.',
            { cause: String(error) },
          )
        }
      }),
  )
}

/**
 * The book of a unit in a mode; undefined where nothing of that kind is judged.
 * @throws OrzoError not-loaded when loadCaseBooks was not awaited before
 */
export function bookOf(unit: UnitPlate, mode: Mode): CaseBook | undefined {
  const unitClass = classOf(unit, mode)
  if (!unitClass) return undefined
  const book = kept.get(unitClass)
  if (!book) throw new OrzoError('not-loaded', 'The diagnosis is not loaded yet: try again.')
  return book
}
