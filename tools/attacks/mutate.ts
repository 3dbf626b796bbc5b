/** Numbers from 0 to below 1. */
type Draw = () => number

const pick = <T>(draw: Draw, all: readonly T[]): T => all[Math.floor(draw() * all.length)] as T
const below = (draw: Draw, most: number) => Math.floor(draw() * most)

/** Some bytes put in the place of others. */
function spliced(bytes: Uint8Array, from: number, to: number, middle: Uint8Array): Uint8Array {
  const out = new Uint8Array(bytes.length - (to - from) + middle.length)
  out.set(bytes.subarray(0, from))
  out.set(middle, from)
  out.set(bytes.subarray(to), from + middle.length)
  return out
}

const LONGEST_STRETCH = 200

/** What can happen to any file: a bit turns, a stretch is lost, doubled or foreign, the end is missing. */
const OF_BYTES: readonly ((bytes: Uint8Array, draw: Draw) => Uint8Array)[] = [
  (bytes, draw) => {
    const hurt = bytes.slice()
    const at = below(draw, hurt.length)
    hurt[at] = (hurt[at] ?? 0) ^ (1 << below(draw, 8))
    return hurt
  },
  (bytes, draw) => {
    const from = below(draw, bytes.length)
    return spliced(
      bytes,
      from,
      Math.min(from + below(draw, LONGEST_STRETCH), bytes.length),
      new Uint8Array(0),
    )
  },
  (bytes, draw) => {
    const from = below(draw, bytes.length)
    return spliced(bytes, from, from, bytes.slice(from, from + below(draw, LONGEST_STRETCH)))
  },
  (bytes, draw) => {
    const from = below(draw, bytes.length)
    const foreign = Uint8Array.from({ length: below(draw, LONGEST_STRETCH) }, () => below(draw, 256))
    return spliced(bytes, from, from, foreign)
  },
  (bytes, draw) => bytes.slice(0, below(draw, bytes.length)),
]

/** Values that no one expects where another one stands. */
const VALUES = [
  '1e308',
  '-1e308',
  '5e-324',
  '-1',
  '0',
  '1e15',
  'null',
  'true',
  '[]',
  '{}',
  '""',
  '"__proto__"',
  '"constructor"',
  '"<img src=x onerror=alert(1)>"',
  `"${'x'.repeat(3000)}"`,
  '"=1+1"',
  '"2026-99-99T00:00:00Z"',
]
const KEYS = ['"__proto__"', '"constructor"', '"toString"', '"id"', '"value"', '"readings"']

/** Something else in the place of the nth match. */
function replaced(text: string, draw: Draw, what: RegExp, by: string): string {
  const matches = [...text.matchAll(what)]
  if (matches.length === 0) return text
  const match = pick(draw, matches)
  const from = match.index
  return text.slice(0, from) + by + text.slice(from + match[0].length)
}

/** What can happen to a document: another value, another key. */
const OF_JSON: readonly ((text: string, draw: Draw) => string)[] = [
  (text, draw) => replaced(text, draw, /(?<=: )(-?\d[\d.e+-]*|"[^"]*"|true|false|null)/g, pick(draw, VALUES)),
  (text, draw) => replaced(text, draw, /"[A-Za-z]+"(?=:)/g, pick(draw, KEYS)),
  (text, draw) => replaced(text, draw, /\d/g, String(below(draw, 10))),
]

const CELLS = ['Infinity', '-Infinity', 'NaN', '1e308', '1e15', '=1+1', '"', '', 'cold', '1,5', '0x10']

/** What can happen to a table: another cell, a stray quote, a line that is lost or doubled. */
const OF_CSV: readonly ((text: string, draw: Draw) => string)[] = [
  (text, draw) => replaced(text, draw, /(?<=,)[^,\n\r]*/g, pick(draw, CELLS)),
  (text, draw) => replaced(text, draw, /[,\n]/g, pick(draw, ['"', ',"', '\n"', '",', '"\n', ';'])),
  (text, draw) => replaced(text, draw, /[^\n]*\n/g, ''),
  (text, draw) => {
    const lines = text.split('\n')
    const at = below(draw, lines.length)
    return [...lines.slice(0, at), ...lines.slice(Math.max(at - 1, 0))].join('\n')
  },
]

/** A file after one to three mishaps. @param kind whether its words are known beside its bytes */
export function mutate(bytes: Uint8Array, kind: 'zip' | 'json' | 'csv', draw: Draw): Uint8Array {
  let now = bytes
  for (let left = 1 + below(draw, 3); left > 0; left -= 1) {
    const words = kind === 'json' ? OF_JSON : kind === 'csv' ? OF_CSV : []
    if (words.length === 0 || draw() < 0.4) now = pick(draw, OF_BYTES)(now, draw)
    else now = new TextEncoder().encode(pick(draw, words)(new TextDecoder().decode(now), draw))
  }
  return now
}
