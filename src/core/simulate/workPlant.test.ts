import { seededRandom } from '../base/numeric/random'
import { UNITS } from '../base/units/units'
import { loadRefrigerants } from '../physics/refrigerants/tables'
import { saturationPressure } from '../physics/refrigerants/saturation'
import { PLANT_CHANNELS } from './workProbes'
import {
  beginPlant,
  type PlantHands,
  type PlantQuestion,
  plantPressure,
  readPlant,
  setHands,
  setTrouble,
  stepPlant,
  type WorkPlant,
} from './workPlant'

beforeAll(() => loadRefrigerants(['R-410A']))

const ATMOSPHERE = 82_000
const PSI = UNITS.psia.si
const MICRON = UNITS.micron.si
const QUESTION: PlantQuestion = {
  refrigerant: 'R-410A',
  fills: 'R-410A',
  charge: 3,
  volume: 0.01,
  atmosphere: ATMOSPHERE,
  air: 297,
  trouble: { leak: 0, water: 0 },
  hose: 'open',
  pump: { speed: 0.0024, ultimate: 3 },
  ways: [[{ bore: 0.008, length: 1.5 }]],
  begins: 'charged',
}
const run = (plant: WorkPlant, hands: Partial<PlantHands>, minutes: number): WorkPlant => {
  let here = setHands(plant, hands)
  for (let i = 0; i < minutes * 6; i += 1) here = stepPlant(here, 10)
  return here
}
const gauge = (plant: WorkPlant) => (plantPressure(plant) - ATMOSPHERE) / PSI
const microns = (plant: WorkPlant) => plantPressure(plant) / MICRON

describe('a circuit under work', () => {
  test('stands at saturation, is emptied by the machine, and the cylinder holds what came out', () => {
    const found = beginPlant(QUESTION)
    expect(plantPressure(found)).toBeCloseTo(saturationPressure('R-410A', 'dew', 297), -1)
    const emptied = run(found, { machine: true }, 25)
    expect(gauge(emptied)).toBeLessThan(0.5)
    expect(emptied.recovered.mass + emptied.inside.mass).toBeCloseTo(3, 6)
  })
  test('liquid that is left rises when the machine stops early', () => {
    const early = run(beginPlant(QUESTION), { machine: true }, 2)
    const before = gauge(early)
    expect(gauge(run(early, { machine: false }, 6)) - before).toBeGreaterThan(2)
  })
  test('nitrogen fills to its step, is warm at first, and then holds; a leak is seen', () => {
    const open = beginPlant({ ...QUESTION, begins: 'open' })
    const filled = run(open, { regulator: 200 * PSI }, 3)
    expect(gauge(filled)).toBeCloseTo(200, 0)
    const held = run(run(filled, { regulator: 0 }, 10), {}, 15)
    expect(gauge(held)).toBeGreaterThan(197)
    expect(Math.abs(gauge(run(held, {}, 15)) - gauge(held))).toBeLessThan(0.05)
    const leaking = run(setTrouble(held, { leak: 6e-10 }), {}, 15)
    expect(gauge(held) - gauge(leaking)).toBeGreaterThan(1)
    expect(gauge(run(held, { vent: true }, 1))).toBeCloseTo(0, 1)
  })
  test('dry it is pulled in minutes and stays; with water it hangs, and rises when the valve is shut', () => {
    const dry = run(beginPlant({ ...QUESTION, begins: 'open' }), { pump: true }, 10)
    expect(microns(dry)).toBeLessThan(200)
    expect(microns(run(dry, { valve: 'shut' }, 10)) - microns(dry)).toBeLessThan(5)
    const wet = run(
      setTrouble(beginPlant({ ...QUESTION, begins: 'open' }), { water: 0.006 }),
      { pump: true },
      10,
    )
    expect(microns(wet)).toBeGreaterThan(1500)
    expect(microns(run(wet, { valve: 'shut' }, 5))).toBeGreaterThan(microns(wet) * 1.5)
  })
  test('a hose that was left shut: the gauge at the pump is deep, the one at the system is not; opening it is found', () => {
    const shut = run(beginPlant({ ...QUESTION, begins: 'open', hose: 'shut' }), { pump: true }, 10)
    expect(microns(shut)).toBeGreaterThan(100_000)
    expect(readPlant(shut, 'pumpVacuum', seededRandom(1)).value).toBeLessThan(60)
    expect(microns(run(shut, { hose: 'open' }, 10))).toBeLessThan(300)
  })
  test('liquid goes in from the cylinder on the scale, and the vacuum is broken', () => {
    const evacuated = beginPlant({ ...QUESTION, begins: 'evacuated' })
    const before = readPlant(evacuated, 'cylinderWeight', seededRandom(1)).value
    const filled = run(evacuated, { charging: true }, 1)
    expect(gauge(filled)).toBeGreaterThan(100)
    const after = readPlant(filled, 'cylinderWeight', seededRandom(1)).value
    expect((before - after) * UNITS.lb.si).toBeCloseTo(filled.inside.mass, 1)
  })
  test('every instrument shows a number in its unit', () => {
    for (const channel of PLANT_CHANNELS) {
      const { value, unit } = readPlant(beginPlant(QUESTION), channel, seededRandom(3))
      expect(Number.isFinite(value)).toBe(true)
      expect(['psig', 'micron', 'lb', 'F']).toContain(unit)
    }
  })
})
