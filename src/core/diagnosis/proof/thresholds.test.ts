import { SEA_LEVEL_PASCALS } from '../../base/units/atmosphere'
import { fromKelvin, toPascals } from '../../base/units/convert'
import { saturationPressure, saturationTemperature } from '../../physics/refrigerants/saturation'
import type { UnitPlate } from '../../record/equipment/unit'
import { emptyJob } from '../../record/job/job'
import type { Observations, Readings, ReadingSet } from '../../record/readings/schema'
import { type CauseId, causesOf } from './causes'
import { dryerProof } from './dryerProof'
import { judgeGate } from './gates'
import { isWeakAtTwoConditions } from './pumpProof'
import { recordOf } from './record'
import type { GateId } from '../faults/gateIds'

const f = (value: number) => ({ value, unit: 'F' as const })
const psig = (value: number) => ({ value, unit: 'psig' as const })
const UNIT: UnitPlate = {
  kind: 'split-heat-pump',
  refrigerant: 'R-410A',
  metering: 'txv',
  power: { phase: 1, volts: 230, rla: 16, lra: 96 },
}
const COOLER: UnitPlate = {
  kind: 'walk-in-cooler',
  refrigerant: 'R-404A',
  metering: 'txv',
  receiver: true,
  headPressureControl: true,
}
const set = (readings: Readings, observations: Observations = {}): ReadingSet => ({
  mode: 'cooling',
  readings,
  observations,
})
const missing = (gate: GateId, unit: UnitPlate, ...sets: readonly ReadingSet[]) =>
  judgeGate(gate, recordOf(unit, sets)).missing.map(({ id }) => id)
/** F at which R-410A boils at some psig at sea level. */
const dewF = (pressure: number) =>
  fromKelvin(saturationTemperature('R-410A', 'dew', toPascals(psig(pressure), SEA_LEVEL_PASCALS)), 'F')

describe('just below, at and just above each threshold of the proof', () => {
  test.each([
    [224.9, false],
    [225, true],
    [225.1, true],
  ])('a discharge line of %f F is hot: %s', (value, isHot) => {
    const job = { ...emptyJob(UNIT), readingSets: [{ id: 'a', ...set({ dischargeLineTemp: f(value) }) }] }
    const found = causesOf(job).find(({ id }) => id === ('overheating' satisfies CauseId))!.found
    expect(found.join().includes('Discharge line')).toBe(isHot)
  })
  // 2 K are 3.6 F of superheat at the compressor
  test.each([
    [3.5, true],
    [3.7, false],
  ])('%f F of superheat is floodback: %s', (superheat, floods) => {
    const readings = { suctionPressure: psig(125), suctionLineTemp: f(dewF(125) + superheat) }
    const job = { ...emptyJob(UNIT), readingSets: [{ id: 'a', ...set(readings) }] }
    const found = causesOf(job).find(({ id }) => id === ('floodback' satisfies CauseId))!.found
    expect(found.join().includes('Superheat')).toBe(floods)
  })
  test.each([
    [24.9, true],
    [25.1, false],
  ])('four ports %f F apart stand in the middle: %s', (apart, isMiddle) => {
    const ports = {
      rvDischargeTemp: f(100 + apart),
      rvHotOutTemp: f(104),
      rvSuctionInTemp: f(100),
      rvSuctionOutTemp: f(100),
    }
    expect(missing('reversing-valve', UNIT, set(ports)).includes('crosses')).toBe(!isMiddle)
  })
  test.each([
    [19.9, false],
    [20, true],
    [20.1, true],
  ])('%f V at a liquid solenoid are enough: %s', (value, isEnough) => {
    const readings = { solenoidVolts: { value, unit: 'V' as const } }
    expect(missing('liquid-solenoid-stuck', COOLER, set(readings)).includes('coil-volts')).toBe(!isEnough)
  })
  test.each([
    [64.9, true],
    [65, false],
    [65.1, false],
  ])('at %f F outdoors head pressure below its floor is off its setting: %s', (outdoor, isOff) => {
    const readings = { liquidPressure: psig(120), outdoorAirTemp: f(outdoor) }
    expect(missing('head-pressure-control', COOLER, set(readings)).includes('off-setting')).toBe(!isOff)
  })
  const dryer = (drop: number, more: Readings = {}) =>
    dryerProof(
      recordOf(UNIT, [
        set({ liquidPressure: psig(350), dryerInTemp: f(95), dryerOutTemp: f(95 - drop), ...more }),
      ]),
    )
  test.each([
    [2.9, 'clear'],
    [3.1, 'restricted'],
  ] as const)('a drop of %f F over the dryer: %s', (drop, word) => expect(dryer(drop)).toBe(word))
  test('behind much subcooling the pressure drop that makes 3 F decides', () => {
    const bubble = saturationTemperature('R-410A', 'bubble', toPascals(psig(350), SEA_LEVEL_PASCALS))
    const limit =
      (toPascals(psig(350), SEA_LEVEL_PASCALS) - saturationPressure('R-410A', 'bubble', bubble - 3 / 1.8)) /
      6894.757
    const behind = (drop: number) => dryer(0.5, { liquidLineTemp: f(70), dryerOutPressure: psig(350 - drop) })
    expect(behind(limit - 0.2)).toBe('clear')
    expect(behind(limit + 0.2)).toBe('restricted')
  })
})

describe('a compressor that does not pump, at two conditions', () => {
  const run = (outdoor: number, suction: number, liquid: number, amps: number): ReadingSet =>
    set(
      {
        suctionPressure: psig(suction),
        liquidPressure: psig(liquid),
        outdoorAirTemp: f(outdoor),
        returnAirTemp: f(76),
        compressorAmps: { value: amps, unit: 'A' },
      },
      { compressorState: 'running' },
    )
  const normal: UnitPlate = { ...UNIT, power: { ...UNIT.power, normalAmps: 10 } }
  /** psig at which R-410A condenses some F above 70 F */
  const at = (fahrenheit: number) =>
    saturationPressure('R-410A', 'bubble', (fahrenheit + 459.67) / 1.8) / 6894.757 -
    SEA_LEVEL_PASCALS / 6894.757
  const weak = (amps: number, apart: number) =>
    isWeakAtTwoConditions(recordOf(normal, [run(75, 140, at(75), amps), run(95, 150, at(75 + apart), amps)]))
  test.each([
    [8.4, 8, true],
    [8.6, 8, false],
    [6, 5.1, true],
    [6, 4.9, false],
  ])('%f A of 10, %f F between the two: weak %s', (amps, apart, isWeak) =>
    expect(weak(amps, apart)).toBe(isWeak),
  )
})
