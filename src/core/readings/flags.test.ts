import type { RefrigerantName } from '../refrigerants/catalogue'
import { derive } from './derive'
import { findFlags } from './flags'
import type { Mode, Observations, Readings } from './schema'
import { takeSnapshot } from './snapshot'

const f = (value: number) => ({ value, unit: 'F' as const })
const psig = (value: number) => ({ value, unit: 'psig' as const })

type Case = { readings: Readings; mode?: Mode; observations?: Observations; refrigerant?: RefrigerantName }

const flagsOf = ({ readings, mode = 'cooling', observations, refrigerant = 'R-22' }: Case) => {
  const at = takeSnapshot({ mode, readings, ...(observations ? { observations } : {}) }, refrigerant, 101_325)
  return findFlags(at, derive(at))
}

/** A sound set: R-22 at 38/110 F. */
const SOUND: Readings = {
  suctionPressure: psig(66),
  liquidPressure: psig(226),
  suctionLineTemp: f(50),
  liquidLineTemp: f(99),
  outdoorAirTemp: f(85),
  returnAirTemp: f(75),
  returnAirWetBulb: f(62),
  supplyAirTemp: f(55),
  dischargeLineTemp: f(170),
}

test('a sound set raises no flag', () => expect(flagsOf({ readings: SOUND })).toEqual([]))

const RAISED: readonly (readonly [string, Readings])[] = [
  ['negative-superheat', { suctionLineTemp: f(34) }],
  ['negative-subcooling', { liquidLineTemp: f(116) }],
  ['liquid-colder-than-outdoor', { liquidLineTemp: f(78) }],
  ['supply-colder-than-evaporating', { supplyAirTemp: f(30) }],
  ['discharge-cooler-than-condensing', { dischargeLineTemp: f(95) }],
  ['pressures-crossed', { suctionPressure: psig(240) }],
  ['not-pumping', { suctionPressure: psig(215), suctionLineTemp: f(120) }],
  ['wet-bulb-above-dry-bulb', { returnAirWetBulb: f(80) }],
  ['standing-pressure-off', { standingPressure: psig(200) }],
  ['unit-slip', { returnAirTemp: { value: 75, unit: 'C' } }],
  ['outside-table', { liquidPressure: psig(900) }],
]

test.each(RAISED)('%s is raised, names its reading and says what to do', (id, change) => {
  const flags = flagsOf({ readings: { ...SOUND, ...change } })
  const flag = flags.find((each) => each.id === id)
  expect(flag).toBeDefined()
  expect(flag!.keys.length).toBeGreaterThan(0)
  expect(Object.keys({ ...SOUND, ...change })).toEqual(expect.arrayContaining([...flag!.keys]))
  expect(flag!.sentence).toMatch(/[a-z].*\.$/)
})

test('small differences inside the instruments error raise nothing', () => {
  expect(flagsOf({ readings: { ...SOUND, liquidLineTemp: f(84.5) } })).toEqual([])
  expect(flagsOf({ readings: { ...SOUND, returnAirWetBulb: f(75.5) } })).toEqual([])
})

test('equal pressures are no flag with the compressor off', () => {
  const readings = { suctionPressure: psig(140), liquidPressure: psig(141) }
  expect(flagsOf({ readings, mode: 'off' }).map(({ id }) => id)).not.toContain('not-pumping')
  expect(flagsOf({ readings, observations: { compressorState: 'off' } }).map(({ id }) => id)).not.toContain(
    'not-pumping',
  )
  expect(flagsOf({ readings }).map(({ id }) => id)).toContain('not-pumping')
})

test('a reading that local air makes impossible is named, the others still count', () => {
  const at = takeSnapshot(
    {
      mode: 'cooling',
      readings: { suctionPressure: { value: 29, unit: 'inHgVac' }, liquidPressure: psig(226) },
    },
    'R-22',
    82_000,
  )
  expect(at.values.suctionPressure).toBeUndefined()
  expect(at.values.liquidPressure).toBeDefined()
  expect(findFlags(at, derive(at))[0]).toMatchObject({ keys: ['suctionPressure'], id: 'out-of-range' })
})
