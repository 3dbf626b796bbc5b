import type { CheckId } from './checks'
import { undivided } from './lookAlikes'

const believed = (
  suspect: 'non-condensables' | 'overcharge' | 'undercharge' | 'healthy',
  probability: number,
) => ({
  suspect,
  probability,
})
const ALL = new Set<CheckId>(['standingOverAmbient', 'weighedCharge'])

test.each([
  ['within four times of each other', 0.79, 0.2, true],
  ['four times apart', 0.8, 0.2, false],
  ['more than that', 0.81, 0.19, false],
  ['half of the belief together', 0.3, 0.2, true],
  ['less than half', 0.3, 0.199, false],
] as const)('air and overcharge, %s', (_name, first, second, isAlike) => {
  const found = undivided([believed('non-condensables', first), believed('overcharge', second)], ALL)
  expect(found !== undefined).toBe(isAlike)
})
test('the first check that is left splits them; none that is left, nothing is said', () => {
  const pair = [believed('overcharge', 0.4), believed('non-condensables', 0.3)]
  expect(undivided(pair, ALL)).toEqual({
    pair: ['overcharge', 'non-condensables'],
    check: 'standingOverAmbient',
  })
  expect(undivided(pair, new Set<CheckId>(['weighedCharge']))!.check).toBe('weighedCharge')
  expect(undivided(pair, new Set())).toBeUndefined()
})
test('two that no row holds, and one alone, are no pair', () => {
  expect(undivided([believed('healthy', 0.4), believed('undercharge', 0.3)], ALL)).toBeUndefined()
  expect(undivided([believed('overcharge', 1)], ALL)).toBeUndefined()
  expect(undivided([], ALL)).toBeUndefined()
})
