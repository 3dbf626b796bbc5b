import { FAULT_IDS } from './faults'
import { familyOf } from './families'

test('twins share a family, others stand alone', () => {
  expect(familyOf('txv-underfeeding')).toBe(familyOf('txv-lost-bulb-charge'))
  expect(familyOf('plugged-liquid-dryer')).toBe(familyOf('liquid-line-restriction'))
  expect(familyOf('undercharge')).toBe(familyOf('access-fitting-leak'))
  expect(familyOf('overcharge')).toBe('overcharge')
  expect(familyOf('healthy')).toBe('healthy')
  expect(new Set(FAULT_IDS.map(familyOf)).size).toBeLessThan(FAULT_IDS.length)
})
