import type { Observations } from '../../record/readings/schema'
import { acidChances, waterChance } from './chances'
import { circuitSize } from './circuitSize'
import { cleanupRecord } from './record'
import { waterAsFound } from './waterFound'

const UNIT = { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' } as const
const record = (faults: readonly string[], previousBurnout = false, observations: Observations = {}) =>
  cleanupRecord({ unit: UNIT, observations, previousBurnout, faults, repair: undefined })
const shares = (all: readonly number[]) => {
  const sum = all.reduce((a, b) => a + b, 0)
  return all.map((each) => expect.closeTo(each / sum, 9) as number)
}

/** The figures of practice by which it is thought, told once more. */
describe('what is thought of the inside before anything is looked at', () => {
  test.each([
    ['a burn', ['compressor-open-winding'], false, [0.25, 0.4, 0.35]],
    ['a broken compressor', ['compressor-not-pumping'], false, [0.75, 0.2, 0.05]],
    ['outside of it', ['txv-underfeeding'], false, [0.93, 0.06, 0.01]],
    ['a burn after a burnout', ['compressor-open-winding'], true, [0.25 * 0.5, 0.4 * 1.5, 0.35 * 2]],
    ['outside, after a burnout', ['txv-underfeeding'], true, [0.93 * 0.5, 0.06 * 1.5, 0.01 * 2]],
  ])('acid where the fault is %s', (_name, faults, burnout, chances) => {
    expect(acidChances(record(faults, burnout))).toEqual(shares(chances))
  })
  test('water: hardly where nothing speaks of it, mostly where ice is the fault', () => {
    expect(waterChance(record(['txv-underfeeding']))).toBeCloseTo(0.04, 9)
    expect(waterChance(record(['moisture-freeze-at-valve']))).toBeCloseTo(0.9, 9)
  })
  test.each([
    ['drops', { waterFound: 'drops' }, [100, 300, 600]],
    ['rain', { openConditions: 'rain', hoursOpenToAir: 1 }, [200, 800, 2000]],
    ['what runs out', { waterFound: 'runs-out' }, [2000, 5000, 12_000]],
  ] as const)('free water of %s, grams a cubic metre', (_name, observations, grams) => {
    const now = record(['txv-underfeeding'], false, observations)
    const size = circuitSize(UNIT)
    expect(
      (['low', 'likely', 'high'] as const).map(
        (side) => (waterAsFound(now, size, side).free / size.volume.value) * 1000,
      ),
    ).toEqual(grams.map((each) => expect.closeTo(each, 6) as number))
  })
})
