import { LASTING_READINGS } from './lasting'
import type { Readings } from './schema'

/** Readings over earlier ones; of what lasts, as windings, it stays known that it was measured before. */
export function withEarlier(earlier: Readings, later: Readings): Readings {
  const merged: Readings = { ...earlier, ...later }
  for (const key of LASTING_READINGS) {
    const [first, second] = [earlier[key], later[key]]
    if (!first || !second || second.before || first.at === second.at) continue
    const { value, unit, at, place, before = [] } = first
    const old = { value, unit, ...(at ? { at } : {}), ...(place ? { place } : {}) }
    merged[key] = { ...second, before: [...before, old] }
  }
  return merged
}
