import type { UnitPlate } from '../../record/equipment/unit'
import { OPEN_OHMS_LEAST } from '../../record/readings/openOhms'
import type { Snapshot } from '../../record/readings/snapshot'
import type { ReadingKey } from '../../record/readings/vocabulary'
import type { Finding } from './finding'

/** What one electrical test says: a word for the ranking, and the finding for the screen and the report. */
export type TestResult = { readonly word: string; readonly finding: Finding }

/** Whether a windings test says that a pair or all of them read open. */
export const readsOpen = (result: Pick<TestResult, 'word'> | undefined): boolean =>
  /open/.test(result?.word ?? '')

/** Judges one test from a set; undefined where its readings are not there or mean nothing on this unit. */
export type Judge = (unit: UnitPlate, at: Snapshot) => TestResult | undefined

/** Ohms of a reading, Infinity for open. */
export const ohmsAt = (at: Snapshot, key: ReadingKey): number | undefined => {
  const value = at.values[key]?.value
  return value === undefined ? undefined : value >= OPEN_OHMS_LEAST ? Infinity : value
}

/** All of them, or undefined where one is missing. */
export const allOf = <T>(values: readonly (T | undefined)[]): T[] | undefined =>
  values.every((value) => value !== undefined) ? (values as T[]) : undefined

/** [practice] amps below this share of the rated are none. */
export const NO_AMPS = 0.03
