import type { UnitPlate } from '../record/equipment/unit'
import { toKelvin } from '../base/units/convert'
import { advanceRun, beginRun, changeFaults, timeConstant, usualSpace } from './settling'
import { simulatorOf } from './steady'
import { trueReadings } from './trueReadings'

const f = (value: number) => toKelvin({ value, unit: 'F' })
const UNIT: UnitPlate = { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }
const simulator = simulatorOf(UNIT)
const question = { unit: UNIT, mode: 'cooling', conditions: { outdoorAirTemp: f(90) } } as const

test('pressures follow in seconds, pipes in a minute or two, the shell last', () => {
  expect(timeConstant('suctionPressure')).toBeLessThan(30)
  expect(timeConstant('suctionLineTemp')).toBeGreaterThan(45)
  expect(timeConstant('suctionLineTemp')).toBeLessThan(150)
  expect(timeConstant('compressorShellTemp')).toBeGreaterThan(600)
})

test('after a fault sets in, readings move to the new steady state, each at its own pace', () => {
  const sound = beginRun(simulator, question)
  const broken = changeFaults(sound, [{ fault: 'condenser-fouled', severity: 0.7 }])
  const target = trueReadings(broken.steady)
  const share = (seconds: number, key: 'liquidPressure' | 'dischargeLineTemp') => {
    const now = advanceRun(broken, seconds).now
    return (now[key]! - sound.now[key]!) / (target[key]! - sound.now[key]!)
  }
  expect(share(15, 'liquidPressure')).toBeCloseTo(1 - Math.exp(-1), 2)
  expect(share(60, 'liquidPressure')).toBeGreaterThan(0.97)
  expect(share(60, 'dischargeLineTemp')).toBeLessThan(0.5)
  expect(share(1800, 'dischargeLineTemp')).toBeCloseTo(1, 3)
})

test('small steps and one large step agree while the space stands still', () => {
  const start = beginRun(simulator, question, { from: { suctionLineTemp: f(90), liquidPressure: 1e6 } })
  let stepped = start
  for (let i = 0; i < 30; i++) stepped = advanceRun(stepped, 4)
  const once = advanceRun(start, 120)
  expect(stepped.seconds).toBe(120)
  expect(stepped.now.suctionLineTemp).toBeCloseTo(once.now.suctionLineTemp!, 6)
  expect(stepped.now.liquidPressure).toBeCloseTo(once.now.liquidPressure!, 0)
})

test('a warm room is pulled down over hours, and the same run gives the same values', () => {
  const space = usualSpace(simulator)!
  const warm = { ...question, conditions: { ...question.conditions, returnAirTemp: f(86) } }
  const hour = (hours: number) => advanceRun(beginRun(simulator, warm, { space }), hours * 3600)
  const [one, two] = [hour(1), hour(2)]
  expect(one.now.returnAirTemp!).toBeLessThan(f(86))
  expect(two.now.returnAirTemp!).toBeLessThan(one.now.returnAirTemp!)
  expect(two.now.returnAirTemp!).toBeGreaterThan(f(65))
  expect(hour(1).now).toEqual(one.now)
})

test('a box pulls down faster than a house, a unit that does not pump lets it warm', () => {
  const unit: UnitPlate = { kind: 'walk-in-cooler', refrigerant: 'R-404A', metering: 'txv', receiver: true }
  const box = simulatorOf(unit)
  const warm = { unit, mode: 'cooling', conditions: { boxTemp: f(50) } } as const
  const space = usualSpace(box)!
  const good = advanceRun(beginRun(box, warm, { space }), 1800)
  expect(f(50) - good.now.boxTemp!).toBeGreaterThan(3)
  const worn = { ...warm, faults: [{ fault: 'compressor-not-pumping', severity: 0.9 }] } as const
  const bad = advanceRun(beginRun(box, worn, { space }), 1800)
  expect(bad.now.boxTemp!).toBeGreaterThan(good.now.boxTemp! + 2)
})

test('a pool has no space that changes in a visit', () => {
  expect(
    usualSpace(simulatorOf({ kind: 'pool-heat-pump', refrigerant: 'R-410A', metering: 'txv' })),
  ).toBeUndefined()
})
