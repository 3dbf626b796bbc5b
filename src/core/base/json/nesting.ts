/** [practice] levels of brackets inside each other that are read; a job of Orzo has ten. */
export const DEEPEST = 40

const QUOTE = 0x22
const BACKSLASH = 0x5c
const OPEN = new Set([0x5b, 0x7b])
const CLOSE = new Set([0x5d, 0x7d])

/**
 * Whether a JSON text holds brackets inside brackets deeper than a limit; told from the text, before anything is built of it.
 * What stands in quotes does not count. A text that is no JSON gets some answer.
 * @param most levels that are allowed
 */
export function isNestedDeeper(text: string, most = DEEPEST): boolean {
  let depth = 0
  let isQuoted = false
  for (let at = 0; at < text.length; at += 1) {
    const code = text.charCodeAt(at)
    if (isQuoted) {
      if (code === BACKSLASH) at += 1
      else if (code === QUOTE) isQuoted = false
    } else if (code === QUOTE) isQuoted = true
    else if (OPEN.has(code)) {
      depth += 1
      if (depth > most) return true
    } else if (CLOSE.has(code)) depth -= 1
  }
  return false
}
