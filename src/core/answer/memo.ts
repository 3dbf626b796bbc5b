import { isSame } from '../record/records/patches'

/**
 * Keeps the last result of a step while what it depends on stays the same, in every field: a copy of the same input, as a
 * worker gets it, is no new input.
 */
export function memo<A extends readonly unknown[], R>(compute: (...input: A) => R): (...input: A) => R {
  let last: { readonly input: A; readonly result: R } | undefined
  return (...input) => {
    if (last && input.every((value, i) => isSame(value, last?.input[i]))) return last.result
    last = { input, result: compute(...input) }
    return last.result
  }
}
