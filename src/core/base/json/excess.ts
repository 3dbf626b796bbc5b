/** [practice] levels of brackets inside each other that are read; a job of Orzo has ten. */
export const DEEPEST = 40
/** [practice] values, fields and brackets of one document; the largest job that Orzo writes has a third of that. */
export const MOST_VALUES = 500_000

const QUOTE = 0x22
const BACKSLASH = 0x5c
const COMMA = 0x2c
const OPEN = new Set([0x5b, 0x7b])
const CLOSE = new Set([0x5d, 0x7d])

/**
 * Whether a JSON text holds brackets far too deep, or far too many values; told from the text, before anything is built of it.
 * What stands in quotes does not count. A text that is no JSON gets some answer.
 * @param deepest levels that are allowed
 * @param most values, fields and brackets that are allowed
 */
export function excessOf(
  text: string,
  { deepest = DEEPEST, most = MOST_VALUES }: { deepest?: number; most?: number } = {},
): 'deep' | 'many' | undefined {
  let [depth, values] = [0, 0]
  let isQuoted = false
  for (let at = 0; at < text.length; at += 1) {
    const code = text.charCodeAt(at)
    if (isQuoted) {
      if (code === BACKSLASH) at += 1
      else if (code === QUOTE) isQuoted = false
    } else if (code === QUOTE) isQuoted = true
    else if (CLOSE.has(code)) depth -= 1
    else if (code === COMMA || OPEN.has(code)) {
      values += 1
      if (code !== COMMA) depth += 1
      if (depth > deepest) return 'deep'
      if (values > most) return 'many'
    }
  }
  return undefined
}
