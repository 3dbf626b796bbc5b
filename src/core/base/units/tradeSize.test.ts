import { tradeSize } from './tradeSize'

// [std] ASTM B280: the outer diameters of tube for air conditioning and refrigeration
test.each([
  [0.25, '1/4 in'],
  [0.375 - 6e-17, '3/8 in'],
  [0.5, '1/2 in'],
  [0.625, '5/8 in'],
  [0.3125, '5/16 in'],
  [0.875, '7/8 in'],
  [1.125, '1 1/8 in'],
  [2.625, '2 5/8 in'],
])('%p in is named %p', (inches, name) => expect(tradeSize(inches)).toBe(name))

test('what is no size of the trade keeps its decimals: just within, just beyond a hundredth of an inch', () => {
  expect(tradeSize(0.375 + 0.0099)).toBe('3/8 in')
  expect(tradeSize(0.375 + 0.0101)).toBe('0.385 in')
  expect(tradeSize(1)).toBe('1 in')
  expect(tradeSize(0)).toBe('0 in')
})
