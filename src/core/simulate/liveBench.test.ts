import { seededRandom } from '../base/numeric/random'
import { toKelvin } from '../base/units/convert'
import { beginLive, type LiveBench, placeProbe, readLive, stepLive } from './liveBench'
import { fitsTap, LIVE_PROBES } from './liveProbes'
import { simulateSteady } from './steady'

const f = (value: number) => toKelvin({ value, unit: 'F' })
const QUESTION = {
  unit: { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv', nominalTons: 3 },
  mode: 'cooling',
  conditions: { outdoorAirTemp: f(85), returnAirTemp: f(76), returnAirWetBulb: f(63) },
  faults: [],
} as const

const begin = () => beginLive(QUESTION, seededRandom(410))
const read = (bench: LiveBench, id: string) => readLive(bench, [id], seededRandom(1))[0]!.value

test('in the open a gauge shows nothing, a clamp the air, the meter no current', () => {
  const bench = begin()
  expect(Math.abs(read(bench, 'gauge-low'))).toBeLessThan(1.5)
  expect(Math.abs(read(bench, 'clamp-1') - 85)).toBeLessThan(3)
  expect(read(bench, 'meter')).toBeCloseTo(0, 6)
  expect(read(bench, 'micron')).toBeGreaterThan(700_000)
})

test('a placed probe starts where the unit stood and settles to what the circuit does', () => {
  let bench = placeProbe(placeProbe(begin(), 'gauge-low', 'suctionPressure'), 'clamp-1', 'suctionLineTemp')
  bench = stepLive(bench, 2)
  const early = read(bench, 'gauge-low')
  for (let i = 0; i < 120; i += 1) bench = stepLive(bench, 5)
  const late = read(bench, 'gauge-low')
  expect(early).toBeGreaterThan(late + 20)
  const truth = simulateSteady(bench.run.simulator, bench.run.question)
  expect(bench.shown['gauge-low']! / (bench.run.now.suctionPressure ?? 0)).toBeCloseTo(1, 3)
  expect(bench.run.now.suctionLineTemp! - bench.shown['clamp-1']!).toBeLessThan(1)
  expect(truth.atmosphere).toBe(bench.atmosphere)
})

test('the same seed gives the same stream', () => {
  const stream = () =>
    readLive(stepLive(placeProbe(begin(), 'meter', 'compressorAmps'), 3), ['meter'], seededRandom(9))
  expect(stream()).toEqual(stream())
})

test('probes fit the taps of their kind only', () => {
  const [gauge] = LIVE_PROBES
  expect(fitsTap(gauge!, 'suctionPressure')).toBe(true)
  expect(fitsTap(gauge!, 'liquidLineTemp')).toBe(false)
  expect(LIVE_PROBES.filter((each) => fitsTap(each, 'compressorAmps')).map(({ id }) => id)).toEqual(['meter'])
  expect(LIVE_PROBES.filter((each) => fitsTap(each, 'voltageL1L2'))).toEqual([])
})
