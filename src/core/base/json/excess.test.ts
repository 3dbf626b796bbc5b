import { DEEPEST, excessOf, MOST_VALUES } from './excess'

const nested = (levels: number) => '['.repeat(levels) + ']'.repeat(levels)

test('brackets count just below, at and just above the limit', () => {
  expect(excessOf(nested(DEEPEST - 1))).toBeUndefined()
  expect(excessOf(nested(DEEPEST))).toBeUndefined()
  expect(excessOf(nested(DEEPEST + 1))).toBe('deep')
  expect(excessOf('{"a":[{"b":[]}]}', { deepest: 4 })).toBeUndefined()
  expect(excessOf('{"a":[{"b":[]}]}', { deepest: 3 })).toBe('deep')
})

test('what stands beside one another is not deep, and brackets in quotes are text', () => {
  expect(excessOf(`[${Array(1000).fill('[]').join(',')}]`, { deepest: 2 })).toBeUndefined()
  expect(excessOf(JSON.stringify(['[[[', '"[[[', '\\', '[[[']), { deepest: 1 })).toBeUndefined()
  expect(excessOf('"[[[', { deepest: 0 })).toBeUndefined()
})

test('values count just below, at and just above the limit; commas in quotes are text', () => {
  const values = (count: number) => `[${'1,'.repeat(count - 2)}1]`
  expect(excessOf(values(MOST_VALUES))).toBeUndefined()
  expect(excessOf(values(MOST_VALUES + 1))).toBeUndefined()
  expect(excessOf(values(MOST_VALUES + 2))).toBe('many')
  expect(excessOf(JSON.stringify(['1,2,3,4']), { most: 1 })).toBeUndefined()
  expect(excessOf('[[],[],[]]', { most: 5 })).toBe('many')
})
