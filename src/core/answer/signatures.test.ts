import type { Metering, UnitPlate } from '../record/equipment/unit'
import { faultsOf } from '../diagnosis/faults/applies'
import { FEATURE_KEYS, type FeatureKey } from '../diagnosis/evidence/features'
import { FAULT_IDS, type FaultId, faultRow, isSuspect, suspectLabel } from '../diagnosis/faults/faults'
import { expectation, expectedShift, signatureOf } from '../diagnosis/ranking/handbookSigns'
import { SEEN_PARTS } from '../diagnosis/faults/seenParts'
import { studentT } from '../base/numeric/densities'
import { WORD_KEYS, wordsOf } from '../diagnosis/evidence/commonWords'
import { fullChances, isNamed, SEVERITIES, waysOf, wordChances } from '../diagnosis/ranking/wordChances'
import { TABLE_FAULTS } from '../diagnosis/faults/tableFaults'

const COLUMNS: readonly FeatureKey[] = [
  'evaporatingMean',
  'condensingMean',
  'superheat',
  'subcooling',
  'temperatureSplit',
  'ampsShare',
  'dischargeLineTemp',
]

/**
 * Signs of handbook 04, columns Ps Pd SH SC DT A Td; `.` where the row says nothing or either way.
 * "0/+" and "0/-" count as small shifts that way.
 */
const TABLE: readonly (readonly [FaultId, Metering, string])[] = [
  ['undercharge', 'txv', '- - + - - - +'],
  ['undercharge', 'fixed-orifice', '- - + - - - +'],
  ['overcharge', 'txv', '0 + 0 + 0 + +'],
  ['overcharge', 'fixed-orifice', '+ + - + - + -'],
  ['non-condensables', 'txv', '+ + 0 + - + +'],
  ['liquid-line-restriction', 'txv', '- - + + - - +'],
  ['plugged-liquid-dryer', 'txv', '- - + + - - +'],
  ['txv-underfeeding', 'txv', '- - + + - - +'],
  ['txv-lost-bulb-charge', 'txv', '- - + + - - +'],
  ['txv-inlet-screen-plugged', 'txv', '- - + + - - +'],
  ['txv-set-too-closed', 'txv', '- 0 + + - 0 0'],
  ['moisture-freeze-at-valve', 'txv', '- - + + - - +'],
  ['txv-overfeeding', 'txv', '+ + - - - + -'],
  ['txv-bulb-loose', 'txv', '+ 0 - 0 0 0 -'],
  ['fixed-orifice-plugged', 'fixed-orifice', '- - + + - - +'],
  ['fixed-orifice-oversized', 'fixed-orifice', '+ - - - - 0 -'],
  ['capillary-plugged', 'capillary', '- - + + - - +'],
  ['low-evaporator-airflow', 'txv', '- - 0 0 + - 0'],
  ['low-evaporator-airflow', 'fixed-orifice', '- - - 0 + - -'],
  ['high-load', 'txv', '+ + + 0 . + 0'],
  ['condenser-fouled', 'txv', '+ + - - - + +'],
  ['condenser-water-low-flow', 'txv', '+ + 0 0 - + +'],
  ['compressor-not-pumping', 'txv', '+ - + - - - .'],
  ['internal-relief-open', 'txv', '+ - + . - . +'],
  ['reversing-valve-leaking-through', 'txv', '+ - + - - - +'],
  ['reversing-valve-stuck-mid', 'txv', '+ - + - - - +'],
  ['suction-line-restriction', 'txv', '- - + 0 - - +'],
  ['head-pressure-control-stuck', 'txv', '- - + . - - 0'],
  ['wrong-or-mixed-refrigerant', 'txv', '. . . . - . .'],
]

const plate = (part: Partial<UnitPlate> = {}): UnitPlate => ({
  kind: 'split-ac',
  refrigerant: 'R-410A',
  metering: 'txv',
  ...part,
})
const signOf = (shift: number | undefined) =>
  shift === undefined ? '.' : shift > 0 ? '+' : shift < 0 ? '-' : '0'

const namesPart = (key: string) => SEEN_PARTS.some((each) => each.key === key)

describe('every fault pushes each column the way its row in handbook 04 says', () => {
  test.each(TABLE)('%s (%s)', (fault, metering, row) => {
    const signature = signatureOf(fault, plate({ metering }))
    const signs = COLUMNS.map((key) => signOf(expectedShift(signature?.[key], 0.5)))
    expect(signs.join(' ')).toBe(row)
  })
  test('no fault of the list is left out of the table', () => {
    expect(new Set(TABLE.map(([fault]) => fault))).toEqual(new Set(Object.keys(TABLE_FAULTS)))
  })
})

describe('degrees, not only signs', () => {
  test.each(['txv-lost-bulb-charge', 'moisture-freeze-at-valve', 'txv-inlet-screen-plugged'] as const)(
    '%s: a starved circuit runs hot, a nearly shut one goes cool',
    (fault) => {
      const { dischargeLineTemp, condensingMean } = signatureOf(fault, plate())!
      expect(expectedShift(dischargeLineTemp, 0.6)).toBeGreaterThan(1)
      expect(expectedShift(dischargeLineTemp, 1)).toBeLessThan(-1)
      expect(expectedShift(condensingMean, 1)).toBeLessThan(-3)
    },
  )
  test.each([
    ['plugged-liquid-dryer', 'dryerDrop'],
    ['liquid-line-restriction', 'liquidLineDrop'],
    ['reversing-valve-leaking-through', 'reversingValveRise'],
    ['reversing-valve-stuck-mid', 'reversingValveRise'],
    ['non-condensables', 'standingOverAmbient'],
    ['condenser-water-low-flow', 'waterRise'],
    ['suction-line-restriction', 'suctionDryerDrop'],
  ] as const)('%s has its tell in %s, growing with severity', (fault, key) => {
    const cell = signatureOf(fault, plate())![key]
    const shifts = SEVERITIES.map((severity) => expectedShift(cell, severity)!)
    expect(shifts.at(-1)).toBeGreaterThanOrEqual(5)
    expect(shifts).toEqual([...shifts].sort((a, b) => a - b))
  })
  test('no other fault claims a dryer drop but those in the liquid line', () => {
    const claiming = FAULT_IDS.filter(
      (fault) => (expectedShift(signatureOf(fault, plate())?.dryerDrop, 1) ?? 0) > 1,
    )
    expect(claiming).toEqual(['plugged-liquid-dryer'])
  })
})

describe('the table is sound', () => {
  test.each(FAULT_IDS)('%s', (fault) => {
    const row = faultRow(fault)
    expect(row.prior).toBeGreaterThan(0)
    expect(row.distinguishingSign.length).toBeGreaterThan(5)
    expect(fault).toMatch(/^[a-z]+(-[a-z]+)+$|^undercharge$|^overcharge$/)
    const tables = [row.observations ?? {}, ...(row.ways ?? []).map(({ observations }) => observations)]
    for (const [key, words] of tables.flatMap((table) => Object.entries(table))) {
      expect(WORD_KEYS).toContain(key)
      const known = wordsOf(key as (typeof WORD_KEYS)[number])
      for (const word of Object.keys(words)) expect(known).toContain(word)
    }
    expect(waysOf(fault).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9)
  })
  test('labels are unique, and only known ids are suspects', () => {
    const labels = [...FAULT_IDS, 'healthy' as const, 'unlisted' as const].map((id) => suspectLabel(id))
    expect(new Set(labels).size).toBe(labels.length)
    expect(isSuspect('healthy')).toBe(true)
    expect(isSuspect('constructor')).toBe(false)
  })
  test.each([
    [{ metering: 'capillary' as const }, 'capillary-plugged', 'txv-overfeeding'],
    [{ metering: 'eev' as const }, 'eev-fault', 'txv-lost-bulb-charge'],
    [{ power: { phase: 3 as const } }, 'phase-reversed', 'start-gear-failed'],
    [{ power: { phase: 1 as const } }, 'start-gear-failed', 'phase-reversed'],
    [{ receiver: true }, 'relief-plug-melted', 'head-pressure-control-stuck'],
    [{ kind: 'walk-in-freezer' as const }, 'defrost-failure', 'rv-coil-failed'],
    [{ kind: 'split-heat-pump' as const }, 'reversing-valve-leaking-through', 'fixed-orifice-plugged'],
    [{ heatRejection: 'water' as const }, 'condenser-water-low-flow', 'condenser-fouled'],
    [{ headPressureControl: true }, 'head-pressure-control-stuck', 'capillary-plugged'],
  ])('%o can have %s, not %s', (part, has, hasNot) => {
    const ids: readonly string[] = faultsOf(plate(part))
    expect(ids).toContain(has)
    expect(ids).not.toContain(hasNot)
  })
})

describe('likelihoods are probabilities', () => {
  test.each([0.2, 0.5, 3])('the density of a feature integrates to one at a spread of %d', (spread) => {
    let area = 0
    for (let z = -300; z < 300; z += 0.01) area += studentT(z, spread) * 0.01
    expect(area).toBeCloseTo(1, 3)
  })
  test('signs give a spread above zero in every column, and a sound circuit none of a shift', () => {
    for (const suspect of ['healthy', 'unlisted', 'undercharge', 'txv-lost-bulb-charge'] as const) {
      for (const key of FEATURE_KEYS) {
        for (const severity of [0.1, 0.6, 1]) {
          const { centre, spread } = expectation(suspect, signatureOf(suspect, plate()), key, severity)
          expect(spread).toBeGreaterThan(0.4)
          if (suspect === 'healthy') expect(centre).toBe(0)
        }
      }
    }
  })
  test('the words of every observation and test sum to one, none impossible', () => {
    for (const suspect of [...FAULT_IDS, 'healthy' as const, 'unlisted' as const]) {
      for (const key of WORD_KEYS) {
        for (const chances of wordChances([suspect], key)) {
          const values = Object.values(chances)
          expect(values.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9)
          // a word that names a part is hardly ever said by mistake
          expect(Math.min(...values)).toBeGreaterThan(namesPart(key) ? 0.00001 : 0.0005)
        }
      }
    }
  })
  test('what no table of a fault names reads as on a sound unit; what the circuit shows does not', () => {
    expect(isNamed(['compressor-grounded'], 'oilStain')).toBe(false)
    expect(wordChances(['compressor-grounded'], 'oilStain')).toEqual(wordChances(['healthy'], 'oilStain'))
    expect(wordChances(['txv-overfeeding'], 'reliefPlug')).toEqual(wordChances(['healthy'], 'reliefPlug'))
    const glass = (suspect: 'healthy' | 'txv-overfeeding') => wordChances([suspect], 'sightGlass')[5]!.clear!
    expect(glass('txv-overfeeding')).toBeLessThan(glass('healthy'))
  })
  test('ways of failing show different words', () => {
    const [coil, burnt, worn] = [0, 1, 2].map((way) =>
      fullChances('contactor-failed', 'contactorPoints', way),
    )
    expect(coil!['not-pulled-in']!).toBeGreaterThan(0.7)
    expect(burnt!.pitted!).toBeGreaterThan(0.7)
    expect(fullChances('contactor-failed', 'compressorState', 2).running!).toBeGreaterThan(0.6)
    expect(worn!.pitted!).toBeGreaterThan(0.4)
    for (const way of [0, 1, 2, 3])
      expect(isNamed(['supply-fault'], 'supply') && waysOf('supply-fault')[way]! > 0).toBe(true)
  })
  test('two faults at once show the words of both', () => {
    const bubbles = (ids: Parameters<typeof wordChances>[0]) =>
      wordChances(ids, 'sightGlass').at(-1)!.bubbles!
    const both = wordChances(['plugged-liquid-dryer', 'undercharge'], 'frostPattern').at(-1)!
    expect(both['after-dryer']!).toBeGreaterThan(0.3)
    expect(bubbles(['plugged-liquid-dryer', 'undercharge'])).toBeGreaterThan(
      bubbles(['plugged-liquid-dryer']),
    )
  })
})
