import { DERIVED_KEYS, type DerivedKey, derivedRow } from './derivedTable'
import type { Measured, Snapshot } from './snapshot'

export type Derived = { readonly [K in DerivedKey]?: Measured }

/** Every derived quantity for which the readings are there; SI, with the inherited standard error. */
export function derive(at: Snapshot): Derived {
  const out: { [K in DerivedKey]?: Measured } = {}
  for (const key of DERIVED_KEYS) {
    const value = derivedRow(key).compute(at)
    if (value) out[key] = value
  }
  return out
}
