import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'

/** Words that nobody would text a colleague, and what is written instead (design/look.md, Words). */
const WORDS: readonly (readonly [pattern: RegExp, instead: string])[] = [
  [/\breckon/i, 'calculated'],
  [/\bmend(s|ed|ing)?\b/i, 'repaired'],
  [/\b(lets|let) by\b/, 'leaks through'],
  [/\bby (itself|themselves)\b/, 'unattended'],
  [/\bst(ands|ood) open\b/i, 'circuit open'],
  [/\bgate is shut\b/i, 'not proven yet'],
  [/\bIt runs now\b/, 'unit restarted'],
  [/\bnine days in ten\b/i, '90 % likely by'],
  [/\bof hands\b/, 'hands-on'],
  [/\d ?floz\b|\}\s?floz\b|>floz\b/, 'fl oz'],
  [/\b(grows|anything) dear\b/, 'expensive'],
]
/** Words of stored records: they stay, or old jobs could not be read. */
const STORED = /leak-mended|groundMended/g

const files = execFileSync('git', ['ls-files', 'src', 'tools', 'docs', 'e2e', 'README.md'], {
  encoding: 'utf8',
})
  .split('\n')
  .filter((name) => /\.(ts|tsx|mjs|md)$/.test(name) && !/words\.test\.ts$/.test(name))

const said = (text: string, pattern: RegExp) =>
  text.split('\n').flatMap((line, i) => (pattern.test(line.replace(STORED, '')) ? [i + 1] : []))

test.each(WORDS)('nowhere %s: %s', (pattern, _instead) => {
  expect(files.length).toBeGreaterThan(500)
  const found = files.flatMap((name) =>
    said(readFileSync(name, 'utf8'), pattern).map((line) => `${name}:${line}`),
  )
  expect(found).toEqual([])
})

test('each pattern sees its word', () => {
  const bad =
    'reckoned; mends; lets by; by itself; stands open; its gate is shut; It runs now; nine days in ten; 5 min of hands; 3 floz; grows dear'
  for (const [pattern] of WORDS) expect(said(bad, pattern)).toEqual([1])
})
