import { OBSERVATION_KEYS, observationRow } from './observations'
import { quantitySchema } from '../../base/units/quantitySchema'
import { readingSetSchema } from './schema'
import { isReadingKey, READING_KEYS, readingRow } from './vocabulary'

const accepts = (readings: unknown, observations?: unknown) =>
  readingSetSchema.safeParse({ mode: 'cooling', readings, ...(observations ? { observations } : {}) })

describe('vocabulary', () => {
  /** Handbook 02, the keys by group: the vocabulary of files must not drift from it. */
  const HANDBOOK_KEYS = [
    'suctionPressure liquidPressure dischargePressure dryerOutPressure suctionDryerInPressure suctionDryerOutPressure',
    'standingPressure evaporatorPressure lowCutIn lowCutOut suctionLineTemp evaporatorOutletTemp liquidLineTemp',
    'dryerInTemp dryerOutTemp meteringInletTemp meteringOutletTemp dischargeLineTemp compressorShellTemp',
    'rvDischargeTemp rvHotOutTemp rvSuctionInTemp rvSuctionOutTemp outdoorAirTemp returnAirTemp returnAirWetBulb',
    'returnAirHumidity supplyAirTemp supplyAirWetBulb boxTemp waterInTemp waterOutTemp airflow voltageL1L2 voltageL2L3',
    'voltageL3L1 voltageRunning ampsL1 ampsL2 ampsL3 compressorAmps outdoorFanAmps indoorFanAmps inrushAmps ohmsCR ohmsCS',
    'ohmsRS ohmsT1T2 ohmsT2T3 ohmsT3T1 ohmsToGround runCapacitance startCapacitance capacitorVolts capacitorAmps',
    'crankcaseHeaterOhms crankcaseHeaterAmps solenoidVolts solenoidVoltsNoLoad solenoidOhms contactorVoltageDrop',
    // handbook 13: both sides at rest, figures as the instrument shows them
    'standingSuctionPressure standingLiquidPressure superheatShown subcoolingShown splitShown overAmbientShown',
  ].flatMap((line) => line.split(' '))

  test('holds every reading key of the handbook and no other', () => {
    expect([...READING_KEYS].sort()).toEqual([...HANDBOOK_KEYS].sort())
  })
  test('each key has its own label', () => {
    const labels = READING_KEYS.map((key) => readingRow(key).label)
    expect(new Set(labels).size).toBe(labels.length)
  })
  test('inherited names are no reading keys', () => {
    expect(isReadingKey('suctionPressure')).toBe(true)
    expect(isReadingKey('toString')).toBe(false)
    expect(isReadingKey('__proto__')).toBe(false)
  })
  test.each([
    ['frostPattern', 'distributor-tubes'],
    ['frostPattern', 'after-dryer'],
    ['compressorState', 'hums-and-trips'],
    ['sightGlass', 'full-no-flow'],
    ['oilStain', 'valve-stem'],
    ['oilAppearance', 'burnt-smell'],
    ['bulbState', 'lost-charge-feel'],
    ['warmValveResponse', 'flow-returned'],
    ['servicePortState', 'front-seated'],
    ['openConditions', 'coastal'],
  ] as const)('observation %s knows the word %s', (key, word) => {
    expect(observationRow(key).values).toContain(word)
    expect(accepts({}, { [key]: word }).success).toBe(true)
  })
})

describe('readings', () => {
  test.each([
    ['a plain reading', { suctionPressure: { value: 118, unit: 'psig' } }],
    ['vacuum', { suctionPressure: { value: 10, unit: 'inHgVac' } }],
    ['kelvin', { liquidLineTemp: { value: 300, unit: 'K' } }],
    ['negative temperature', { boxTemp: { value: -12.5, unit: 'F' } }],
    [
      'everything that can be told of a reading',
      {
        suctionLineTemp: {
          value: 56,
          unit: 'F',
          at: '2026-05-04T09:30:00Z',
          source: 'probe',
          instrument: 'clamp 2',
          note: 'in the sun',
        },
      },
    ],
  ])('%s is taken', (_name, readings) => expect(accepts(readings).success).toBe(true))

  test.each([
    ['unknown key', { suctionPresure: { value: 1, unit: 'psig' } }, 'Unrecognized key'],
    ['unit of another quantity', { suctionPressure: { value: 1, unit: 'F' } }, 'is not one of psig'],
    ['text for a number', { suctionPressure: { value: '118', unit: 'psig' } }, 'is not a number'],
    ['below a perfect vacuum', { suctionPressure: { value: -20, unit: 'psig' } }, 'perfect vacuum'],
    ['below absolute zero', { liquidLineTemp: { value: -500, unit: 'F' } }, 'absolute zero'],
    ['negative amps', { compressorAmps: { value: -1, unit: 'A' } }, 'negative'],
    ['no date', { suctionPressure: { value: 1, unit: 'psig', at: 'yesterday' } }, 'no date'],
    ['unknown source', { suctionPressure: { value: 1, unit: 'psig', source: 'guess' } }, 'Invalid option'],
  ])('%s is refused', (_name, readings, message) => {
    const result = accepts(readings)
    expect(result.success).toBe(false)
    expect(result.error?.issues[0]?.message).toContain(message)
  })

  test('words outside the list and negative hours are refused', () => {
    expect(accepts({}, { frostPattern: 'everywhere' }).error?.issues[0]?.message).toContain(
      'is not one of none',
    )
    expect(accepts({}, { hoursOpenToAir: -1 }).error?.issues[0]?.message).toContain('negative')
    expect(accepts({}, { hoursOpenToAir: 30 }).success).toBe(true)
  })
  test('every observation takes each of its words', () => {
    for (const key of OBSERVATION_KEYS) {
      for (const word of observationRow(key).values) expect(accepts({}, { [key]: word }).success).toBe(true)
    }
  })
  test('a difference may be negative, a length may not', () => {
    expect(quantitySchema('temperatureDifference').safeParse({ value: -3, unit: 'F' }).success).toBe(true)
    expect(quantitySchema('length').safeParse({ value: -3, unit: 'm' }).success).toBe(false)
  })
})
