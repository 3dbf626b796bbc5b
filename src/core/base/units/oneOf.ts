import { z } from '../schema/zod'

/** One of some words; another one is told with all that there are. */
export const oneOf = <const T extends readonly [string, ...string[]]>(values: T) =>
  z.enum(values, { error: `is not one of ${values.join(', ')}` })
