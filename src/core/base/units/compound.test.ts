import { compoundOf, inParts, ofParts, parseCompound, partsOf, showQuantity } from './compound'
import { parseTyped } from './parseTyped'
import { quantitySchema } from './quantitySchema'

const WEIGHT = compoundOf('mass')!
const LENGTH = compoundOf('length')!

describe('a measure in two units', () => {
  test.each([
    ['6 lb 4 oz', 'mass', 6.25, '6 lb 4 oz'],
    ['6lb4', 'mass', 6.25, '6 lb 4 oz'],
    ['0 lb 12,5 oz', 'mass', 0.78125, '0 lb 12,5 oz'],
    ['1 lb 20 oz', 'mass', 2.25, '1 lb 20 oz'],
    ['12\' 6"', 'length', 12.5, '12 ft 6 in'],
    ['40 ft 3 in', 'length', 40.25, '40 ft 3 in'],
  ] as const)('%s is kept as it was typed', (text, kind, value, typed) => {
    const read = parseTyped(text, kind, kind === 'mass' ? 'kg' : 'm')
    expect(read).toEqual({ value, unit: kind === 'mass' ? 'lb' : 'ft', typed })
    expect(quantitySchema(kind).safeParse(read).success).toBe(true)
    expect(showQuantity(read)).toBe(typed)
    expect(ofParts(kind === 'mass' ? WEIGHT : LENGTH, ...(partsOf(read) as [string, string]))).toEqual(read)
  })
  test('a single unit is none', () => {
    expect(parseCompound('6 lb', 'mass')).toBeUndefined()
    expect(parseCompound('6 lb 4 oz', 'length')).toBeUndefined()
    expect(partsOf({ value: 6, unit: 'lb' })).toBeUndefined()
    expect(compoundOf('pressure')).toBeUndefined()
    expect(showQuantity({ value: 6.25, unit: 'lb' })).toBe('6.25 lb')
  })
  test('another measure is turned into it, to a hundredth of the small unit', () => {
    expect(inParts(WEIGHT, { value: 6.25, unit: 'lb' }).typed).toBe('6 lb 4 oz')
    // 1 kg = 35.27396 oz [std: international pound 1959]
    expect(inParts(WEIGHT, { value: 1, unit: 'kg' }).typed).toBe('2 lb 3.27 oz')
    expect(inParts(LENGTH, { value: 3, unit: 'm' }).typed).toBe('9 ft 10.11 in')
    // rounding up to a whole pound carries
    expect(inParts(WEIGHT, { value: 2.99999, unit: 'lb' }).typed).toBe('3 lb 0 oz')
  })
  test('what stands beside the value as typed must say the same', () => {
    const lies = { value: 6, unit: 'lb', typed: '6 lb 4 oz' }
    expect(quantitySchema('mass').safeParse(lies).success).toBe(false)
    expect(quantitySchema('mass').safeParse({ value: 6.25, unit: 'kg', typed: '6 lb 4 oz' }).success).toBe(
      false,
    )
    expect(quantitySchema('voltage').safeParse({ value: 6, unit: 'V', typed: '6 lb' }).success).toBe(false)
  })
  test('a part that may be read in two ways is asked about', () => {
    expect(() => parseTyped('3 lb 1,250 oz', 'mass', 'lb')).toThrow(/may be 1250 or 1.25/)
  })
})
