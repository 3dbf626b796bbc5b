import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import { derive } from './derive'
import { findFlags, staleKeys } from './flags'
import type { Mode, Observations, Reading, Readings } from './schema'
import { DOUBTFUL_ERRORS, takeSnapshot } from './snapshot'

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

const taken = (reading: Reading, minute: number): Reading => ({
  ...reading,
  at: new Date(Date.UTC(2026, 4, 4, 9, minute)).toISOString(),
})

describe('what a set may hold together (handbook 02)', () => {
  test('a reading over ten minutes older than the newest is stale; settings are not', () => {
    const readings = {
      suctionPressure: taken(psig(68), 0),
      lowCutIn: taken(psig(30), 0),
      liquidLineTemp: taken(f(110), 9),
      liquidPressure: taken(psig(226), 11),
    }
    expect(staleKeys(readings)).toEqual(['suctionPressure'])
    expect(flagsOf({ readings }).find(({ id }) => id === 'far-apart')?.keys).toEqual(['suctionPressure'])
  })
  test('what was read before the conditions changed is stale whatever its age', () => {
    const readings = { suctionPressure: taken(psig(68), 0), liquidPressure: taken(psig(226), 2) }
    expect(staleKeys(readings, '2026-05-04T09:01:00Z')).toEqual(['suctionPressure'])
    expect(staleKeys({ suctionPressure: psig(68) }, '2026-05-04T09:01:00Z')).toEqual([])
  })
  test('kPa typed as psi is no running circuit', () => {
    expect(flagsOf({ readings: { suctionPressure: psig(470) } }).map(({ id }) => id)).toContain(
      'pressure-slip',
    )
    expect(flagsOf({ readings: { suctionPressure: psig(68) } })).toEqual([])
    expect(flagsOf({ readings: { suctionPressure: psig(200) }, mode: 'off' })).toEqual([])
  })
  test('both sides at outdoor air with the compressor called running', () => {
    const readings = { suctionPressure: psig(132), liquidPressure: psig(134), outdoorAirTemp: f(75) }
    expect(flagsOf({ readings }).map(({ id }) => id)).toContain('at-ambient')
    expect(flagsOf({ readings, observations: { compressorState: 'off' } }).map(({ id }) => id)).not.toContain(
      'at-ambient',
    )
  })
})

test('a doubtful reading counts with a wider error', () => {
  const errorOf = (reading: Reading) =>
    takeSnapshot({ mode: 'cooling', readings: { liquidLineTemp: reading } }, 'R-22', 101_325).values
      .liquidLineTemp!.error
  expect(errorOf({ ...f(110), doubtful: true })).toBeCloseTo(DOUBTFUL_ERRORS * errorOf(f(110)), 9)
})

describe('what an instrument shows beside its own arithmetic', () => {
  const shown = (value: number) => ({ value, unit: 'F' as const })
  const disagreeing = (readings: Readings, mode: Mode = 'cooling') =>
    flagsOf({ readings: { ...SOUND, ...readings }, mode })
      .filter(({ id }) => id === 'shown-disagrees')
      .map(({ keys }) => keys[0])
  // SOUND: superheat 12 F, subcooling 11 F, split 20 F, condensing 25 F over outdoor air
  test.each([
    ['all agree', { superheatShown: shown(12), subcoolingShown: shown(11), splitShown: shown(20) }, []],
    ['within what both may err', { superheatShown: shown(14) }, []],
    ['another refrigerant in the instrument', { superheatShown: shown(25) }, ['superheatShown']],
    ['a poor clamp', { subcoolingShown: shown(2) }, ['subcoolingShown']],
    ['over ambient', { overAmbientShown: shown(40) }, ['overAmbientShown']],
    ['two at once', { splitShown: shown(9), superheatShown: shown(0) }, ['superheatShown', 'splitShown']],
  ] as const)('%s', (_name, readings, flagged) => {
    expect(disagreeing(readings as Readings)).toEqual(flagged)
  })
  test('a split is written without its sign; alone nothing can disagree', () => {
    const warm = { returnAirTemp: f(70), supplyAirTemp: f(95), splitShown: shown(25) }
    expect(disagreeing(warm, 'heating')).toEqual([])
    expect(flagsOf({ readings: { superheatShown: shown(40) } })).toEqual([])
  })
})

test('two sides at rest that do not read the same speak for themselves only', () => {
  const at = (low: number, high: number) =>
    flagsOf({
      readings: { standingSuctionPressure: psig(low), standingLiquidPressure: psig(high) },
      mode: 'off',
    }).map(({ id }) => id)
  expect(at(5, 180)).toEqual(['standing-sides-differ'])
  expect(at(180, 5)).toEqual(['standing-sides-differ'])
  expect(at(140, 141)).toEqual([])
})
