import { mutated, sitesOf } from './sites'

test.each([
  ['const MOST = 20', 'const MOST = 40'],
  ['const none = 0', 'const none = 1'],
  ['const over = a > b', 'const over = a >= b'],
  ['const both = a && b', 'const both = a || b'],
  ['const not = !a', 'const not = a'],
  ['const any = all.some(is)', 'const any = all.every(is)'],
  ['const yes = true', 'const yes = false'],
])('%s -> %s', (text, changed) => {
  expect(sitesOf(text).map((site) => mutated(text, site))).toEqual([changed])
})

test('types, imports and texts are left alone', () => {
  expect(sitesOf("import { a } from 'b'\ntype T = { n: 1 | 2 }\nconst t = 'a' + b")).toEqual([])
  expect(sitesOf('const a = 1\nconst b = x < 3').map(({ line }) => line)).toEqual([1, 2, 2])
})
