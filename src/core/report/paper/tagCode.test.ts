import type { Tag } from '../tag'
import { tagCode } from './tagCode'

const of = (length: number, sign = 'x'): Tag => ({
  title: sign.repeat(length),
  lines: [],
  converted: undefined,
})
const bytes = (text: string) => Buffer.byteLength(text, 'utf8')

test.each([
  [710, 'M', 710],
  [711, 'M', 711],
  [712, 'L', 712],
  [858, 'L', 858],
  [859, 'L', 858],
])('%d bytes: correction %s, %d carried', (length, correction, carried) => {
  const code = tagCode(of(length))
  expect(code.correction).toBe(correction)
  expect(bytes(code.text)).toBe(carried)
  expect(code.text.endsWith('…')).toBe(length > 858)
})
test('signs of several bytes are counted as such and never cut in two', () => {
  const code = tagCode(of(400, 'Ω→'))
  expect(bytes(code.text)).toBeLessThanOrEqual(858)
  expect(code.text).not.toContain('\uFFFD')
})
