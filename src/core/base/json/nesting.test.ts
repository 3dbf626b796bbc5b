import { DEEPEST, isNestedDeeper } from './nesting'

const nested = (levels: number) => '['.repeat(levels) + ']'.repeat(levels)

test('brackets count just below, at and just above the limit', () => {
  expect(isNestedDeeper(nested(DEEPEST - 1))).toBe(false)
  expect(isNestedDeeper(nested(DEEPEST))).toBe(false)
  expect(isNestedDeeper(nested(DEEPEST + 1))).toBe(true)
  expect(isNestedDeeper('{"a":[{"b":[]}]}', 4)).toBe(false)
  expect(isNestedDeeper('{"a":[{"b":[]}]}', 3)).toBe(true)
})

test('what stands beside one another is not deep, and brackets in quotes are text', () => {
  expect(isNestedDeeper(`[${Array(1000).fill('[]').join(',')}]`, 2)).toBe(false)
  expect(isNestedDeeper(JSON.stringify(['[[[', '"[[[', '\\', '[[[']), 1)).toBe(false)
  expect(isNestedDeeper('"[[[', 0)).toBe(false)
})
