import { UNITS } from '../../base/units/units'
import type { Trim } from '../../record/records/run'
import { finalCharge, finalChargeText } from './finalCharge'

const at = '2026-11-27T15:00:00.000Z'
const trim = (ounces: number, more: Partial<Trim> = {}): Trim => ({
  id: `t${ounces}`,
  at,
  what: `${ounces} oz`,
  mass: { value: ounces, unit: 'oz' },
  ...more,
})
const pounds = (kg: number) => kg / UNITS.lb.si
const charged = { value: 7, unit: 'lb' } as const

test('what was weighed in and every trim, in or out: 7 lb + 6 oz - 2 oz are 7.25 lb', () => {
  const total = finalCharge(
    { closing: { charged }, run: { trims: [trim(6), trim(2, { out: true })] } },
    true,
  )!
  expect(pounds(total.sum)).toBeCloseTo(7.25, 6)
  expect(pounds(total.trimmed)).toBeCloseTo(0.25, 6)
  expect(total.isWhole).toBe(true)
})
test('what stayed inside nobody weighed: the sum was added to it', () => {
  expect(finalCharge({ closing: { charged } }, false)).toMatchObject({ isWhole: false })
  const added = finalCharge({ run: { trims: [trim(32)] } }, false)!
  expect([pounds(added.sum), added.isWhole]).toEqual([expect.closeTo(2, 6), false])
})
test('trims alone are never a whole charge, whatever was emptied', () => {
  expect(finalCharge({ run: { trims: [trim(32)] } }, true)!.isWhole).toBe(false)
})
test('in words: whole, added, or the charge not written down', () => {
  const text = (weight: boolean, wasEmptied: boolean) =>
    finalChargeText(
      finalCharge({ ...(weight ? { closing: { charged } } : {}), run: { trims: [trim(6)] } }, wasEmptied)!,
    )
  expect(text(true, true)).toBe('7 lb 6.0 oz in it, of it 6.0 oz by trims')
  expect(text(true, false)).toBe('added 7 lb 6.0 oz to what stayed inside, of it 6.0 oz by trims')
  expect(text(false, false)).toBe('added 6.0 oz to what stayed inside')
  expect(text(false, true)).toBe('6.0 oz by trims; what was charged before is not on record')
})
test('a turn of the stem weighs nothing; where nothing was weighed there is no charge', () => {
  const turn: Trim = { id: 'a', at, what: 'half a turn in' }
  expect(finalCharge({ run: { trims: [turn] } }, true)).toBeUndefined()
  expect(finalCharge({}, true)).toBeUndefined()
  const both = finalCharge({ closing: { charged }, run: { trims: [turn] } }, true)!
  expect(pounds(both.sum)).toBeCloseTo(7, 6)
})
