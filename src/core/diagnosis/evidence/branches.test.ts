import type { UnitPlate } from '../../record/equipment/unit'
import type { ReadingSet } from '../../record/readings/schema'
import { assess } from './assess'
import { branchWord } from './branches'

const UNIT: UnitPlate = { kind: 'walk-in-cooler', refrigerant: 'R-448A', metering: 'txv' }
/** A branch whose superheat at the coil outlet is so many half widths above the middle of its band. */
function branch(number: number, halfWidths: number): ReadingSet {
  const set = (outlet: number): ReadingSet => ({
    mode: 'cooling',
    branch: number,
    readings: {
      suctionPressure: { value: 45, unit: 'psig' },
      evaporatorOutletTemp: { value: outlet, unit: 'F' },
    },
  })
  const at = assess(UNIT, set(40)).judged.evaporatorSuperheat!
  const { value, tolerance } = at.target
  return set(40 + ((value + halfWidths * tolerance - at.measured.value) * 9) / 5)
}
const word = (own: number, other: number) => {
  const [self, beside] = [branch(1, own), branch(2, other)]
  return branchWord(UNIT, assess(UNIT, self), self, [self, beside])
}

test.each([
  [1.05, 0, 'only-this-starved'],
  [0.95, 0, 'all-sound'],
  [1.05, 1.05, 'all-starved'],
  [0.95, 1.05, 'another-starved'],
  [1.05, 0.95, 'only-this-starved'],
] as const)(
  '%f half widths above here, %f beside: %s (handbook 02, starved above its band)',
  (own, other, expected) => expect(word(own, other)).toBe(expected),
)
test('a set without a branch, or without another branch, says nothing', () => {
  const { branch: _branch, ...whole } = branch(1, 2)
  expect(branchWord(UNIT, assess(UNIT, whole), whole, [whole, branch(2, 0)])).toBeUndefined()
  const alone = branch(1, 2)
  expect(branchWord(UNIT, assess(UNIT, alone), alone, [alone])).toBeUndefined()
})
