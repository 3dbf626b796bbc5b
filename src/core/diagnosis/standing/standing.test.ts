import { siteAtmosphere } from '../../record/equipment/circumstances'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Observations, Readings } from '../../record/readings/schema'
import { takeSnapshot } from '../../record/readings/snapshot'
import { vapourAt } from '../../physics/refrigerants/vapour'
import { saturatedDensity } from '../../physics/refrigerants/saturation'
import { chargeShare } from './chargeShare'
import { standingCircuit, type StandingState } from './standingCircuit'
import { standingSentence, tellStanding } from './standingSentence'

const f = (value: number) => ({ value, unit: 'F' as const })
const psig = (value: number) => ({ value, unit: 'psig' as const })
const SPLIT: UnitPlate = { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }
const COOLER: UnitPlate = { kind: 'walk-in-cooler', refrigerant: 'R-404A', metering: 'txv' }

const at = (
  unit: UnitPlate,
  readings: Readings,
  observations: Observations = {},
  mode: 'off' | 'cooling' = 'off',
) => takeSnapshot({ mode, readings, observations }, unit.refrigerant, siteAtmosphere(unit))
const judged = (
  unit: UnitPlate,
  readings: Readings,
  observations: Observations = {},
  mode: 'off' | 'cooling' = 'off',
) => standingCircuit(unit, at(unit, readings, observations, mode))

// [std: saturation from the property tables] R-410A: 217 psig at 75 F, 254 at 85 F.
test.each<readonly [string, UnitPlate, Readings, StandingState | undefined]>([
  [
    'at saturation of the only place',
    SPLIT,
    { standingPressure: psig(254), outdoorAirTemp: f(85) },
    'liquid',
  ],
  [
    '3 F below it is within the tolerance',
    SPLIT,
    { standingPressure: psig(243), outdoorAirTemp: f(85) },
    'liquid',
  ],
  ['far below it', SPLIT, { standingPressure: psig(150), outdoorAirTemp: f(85) }, 'vapour-only'],
  [
    'below the weather alone: a cooler side that was not read may hold liquid',
    SPLIT,
    { standingPressure: psig(180), outdoorAirTemp: f(85) },
    undefined,
  ],
  [
    'saturation of the colder room counts, not of the weather',
    SPLIT,
    { standingPressure: psig(205), outdoorAirTemp: f(95), returnAirTemp: f(72) },
    'liquid',
  ],
  [
    'above what the warmest place can make',
    SPLIT,
    { standingPressure: psig(310), outdoorAirTemp: f(85), returnAirTemp: f(72) },
    'over',
  ],
  ['about nothing', SPLIT, { standingPressure: psig(0.5), outdoorAirTemp: f(85) }, 'empty'],
  [
    'below the air',
    SPLIT,
    { standingPressure: { value: 12, unit: 'inHgVac' }, outdoorAirTemp: f(85) },
    'vacuum',
  ],
])('%s: %s', (_name, unit, readings, state) => {
  expect(judged(unit, readings)?.state).toBe(state)
})

test('without a temperature only the lack of liquid is told', () => {
  expect(judged(SPLIT, { standingPressure: psig(0) })?.state).toBe('empty')
  expect(judged(SPLIT, { standingPressure: psig(0) })?.sections[0]?.share).toBeUndefined()
  expect(judged(SPLIT, { standingPressure: psig(150) })).toBeUndefined()
})

test('a running circuit has no standing pressure; a pressure read while it stands is that of its side', () => {
  const readings: Readings = { suctionPressure: psig(0), liquidPressure: psig(0.4), outdoorAirTemp: f(85) }
  expect(judged(SPLIT, readings, { compressorState: 'running' }, 'cooling')).toBeUndefined()
  expect(judged(SPLIT, readings, {}, 'cooling')).toBeUndefined()
  const dead = judged(SPLIT, readings, { compressorState: 'off' }, 'cooling')
  expect(dead).toMatchObject({ state: 'empty', isLost: true })
  expect(dead?.sections.map(({ section }) => section)).toEqual(['circuit'])
})

test('a side that a valve shuts off speaks for itself alone', () => {
  const low: Readings = { standingSuctionPressure: psig(4), boxTemp: f(38), outdoorAirTemp: f(80) }
  expect(judged(COOLER, low)).toMatchObject({ state: undefined, isLost: false })
  expect(judged(SPLIT, low)).toMatchObject({ state: 'vapour-only', isLost: true })
  expect(judged(SPLIT, low, { servicePortState: 'front-seated' })).toMatchObject({ isLost: false })
  const snapshot = at(COOLER, low)
  const told = tellStanding(standingCircuit(COOLER, snapshot)!, snapshot, { temperature: 'F' })
  expect(told.open).toMatch(/read it too/)
  expect(told.next).toBeUndefined()
})

test('the share is inner volume x vapour density over the plate charge [physics]', () => {
  const kelvin = 297.04
  const pascals = 500_000
  const ratio = vapourAt('R-22', pascals, kelvin).density / saturatedDensity('R-22', 'bubble', kelvin)
  expect(chargeShare('R-22', pascals, kelvin)?.likely).toBeCloseTo(ratio / 0.25, 6)
  // The share falls with pressure down to nothing, below the refrigerant's table as well.
  const shares = [500_000, 200_000, 50_000, 5_000, 100].map(
    (each) => chargeShare('R-22', each, kelvin)!.likely,
  )
  expect([...shares].sort((a, b) => b - a)).toEqual(shares)
  expect(shares.at(-1)).toBeLessThan(0.001)
})

test('sentences speak in the units of the reader', () => {
  const unit = { ...SPLIT, factoryCharge: { value: 4, unit: 'kg' as const } }
  const snapshot = at(unit, { standingPressure: psig(100), outdoorAirTemp: f(77) })
  const said = standingSentence(standingCircuit(unit, snapshot)!, snapshot, { temperature: 'C' })
  expect(said).toMatch(
    /^It stands at 689 kPa gauge; R-410A at 25 C \(outdoor\) saturates at 1\d{3} kPa gauge/,
  )
  expect(said).toMatch(/\d\.\d\d to \d\.\d\d kg/)
})

test('each side is compared with the place where its liquid can lie', () => {
  const snapshot = at(COOLER, {
    standingSuctionPressure: psig(5),
    standingLiquidPressure: psig(189),
    boxTemp: f(38),
    outdoorAirTemp: f(85),
  })
  const { sections } = tellStanding(standingCircuit(COOLER, snapshot)!, snapshot, { temperature: 'F' })
  expect(sections.map(({ sentence }) => sentence.replace(/ saturates.*/, ''))).toEqual([
    'The low side stands at 5.0 psig; R-404A at 38 F (box)',
    'The high side stands at 189 psig; R-404A at 85 F (outdoor)',
  ])
})
