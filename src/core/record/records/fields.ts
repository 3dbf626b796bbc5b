import { z } from '../../base/schema/zod'

/** Words that every object of the language has: as an id or a name they would be found where nobody put them. */
export const isFreeWord = (word: string): boolean => !Object.hasOwn(Object.prototype, word)
export const RESERVED = 'is a word that the language keeps for itself: choose another one'

/** An id inside a job. */
export const idSchema = z
  .string({ error: 'is not a text' })
  .min(1, 'is empty')
  .max(120, 'is longer than 120 characters')
  .refine(isFreeWord, RESERVED)

/** A word of a table: fault, cause, gate. */
export const kebabSchema = (what: string) =>
  z.string({ error: `is no ${what}` }).regex(/^[a-z][a-z0-9-]{0,60}$/, `is no ${what}`)

/** Bytes, samples, pixels: a whole number from zero. */
export const countSchema = z
  .number({ error: 'is not a number' })
  .int('is no whole number')
  .min(0, 'is negative')

/** What a record carries that belongs to one round of a job; absent: the first round. */
export const inRoundShape = { round: idSchema.optional() }
