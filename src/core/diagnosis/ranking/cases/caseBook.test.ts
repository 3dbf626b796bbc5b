import type { UnitPlate } from '../../../record/equipment/unit'
import { FEATURE_KEYS } from '../../evidence/features'
import { bookOf, fromByte, loadCaseBooks, openBook, type StoredBook, toByte } from './caseBook'
import { classOf, UNIT_CLASSES } from './unitClass'

const plate = (part: Partial<UnitPlate> = {}): UnitPlate => ({
  kind: 'split-ac',
  refrigerant: 'R-410A',
  metering: 'txv',
  ...part,
})

test.each([
  [plate(), 'cooling', 'comfort-valve'],
  [plate({ metering: 'capillary' }), 'cooling', 'comfort-fixed'],
  [plate({ kind: 'water-source-heat-pump' }), 'cooling', 'comfort-water'],
  [plate({ kind: 'water-source-heat-pump' }), 'heating', 'heating-water'],
  [plate({ kind: 'walk-in-cooler' }), 'cooling', 'box-valve'],
  [plate({ kind: 'walk-in-freezer', receiver: true }), 'cooling', 'box-receiver'],
  [plate({ kind: 'reach-in', metering: 'capillary' }), 'cooling', 'box-fixed'],
  [plate({ kind: 'split-heat-pump' }), 'heating', 'heating-valve'],
  [plate({ kind: 'split-heat-pump', metering: 'fixed-orifice' }), 'heating', 'heating-fixed'],
  [plate({ kind: 'pool-heat-pump' }), 'heating', 'heating-pool'],
  [plate(), 'heating', undefined],
  [plate(), 'off', undefined],
  [plate({ kind: 'other' }), 'cooling', undefined],
] as const)('%o in %s is of class %s', (unit, mode, expected) => {
  expect(classOf(unit, mode)).toBe(expected)
})

test('a deviation survives its byte to a twentieth near the band, and stays ordered far from it', () => {
  for (const deviation of [-1.5, -0.3, 0, 0.04, 0.8, 2]) {
    expect(Math.abs(fromByte(toByte(deviation)) - deviation)).toBeLessThan(0.06)
  }
  expect(fromByte(toByte(40))).toBeGreaterThan(fromByte(toByte(30)))
  expect(fromByte(toByte(1e6))).toBeLessThan(120)
  expect(fromByte(toByte(undefined))).toBeNaN()
})

describe('the books', () => {
  const SAMPLE: Readonly<Record<(typeof UNIT_CLASSES)[number], readonly [UnitPlate, 'cooling' | 'heating']>> =
    {
      'comfort-valve': [plate(), 'cooling'],
      'comfort-fixed': [plate({ metering: 'fixed-orifice' }), 'cooling'],
      'comfort-water': [plate({ kind: 'water-source-heat-pump' }), 'cooling'],
      'box-valve': [plate({ kind: 'walk-in-cooler' }), 'cooling'],
      'box-receiver': [plate({ kind: 'walk-in-cooler', receiver: true }), 'cooling'],
      'box-fixed': [plate({ kind: 'reach-in', metering: 'capillary' }), 'cooling'],
      'heating-valve': [plate({ kind: 'split-heat-pump' }), 'heating'],
      'heating-fixed': [plate({ kind: 'split-heat-pump', metering: 'fixed-orifice' }), 'heating'],
      'heating-water': [plate({ kind: 'water-source-heat-pump' }), 'heating'],
      'heating-pool': [plate({ kind: 'pool-heat-pump' }), 'heating'],
    }
  test.each(UNIT_CLASSES)('%s: its features are known, sound units lie near their bands', (unitClass) => {
    const [unit, mode] = SAMPLE[unitClass]
    const book = bookOf(unit, mode)!
    expect(book.unitClass).toBe(unitClass)
    expect(book.features).toEqual(FEATURE_KEYS)
    const healthy = book.suspects.get('healthy')!
    expect(healthy.count).toBeGreaterThanOrEqual(100)
    for (const key of ['evaporatingMean', 'condensingMean', 'superheat'] as const) {
      const column = book.features.indexOf(key)
      const values = Array.from(
        { length: healthy.count },
        (_v, i) => healthy.deviations[i * book.features.length + column]!,
      )
      const mean = values.reduce((a, b) => a + b, 0) / values.length
      expect([key, Math.abs(mean) < 1.6]).toEqual([key, true])
    }
    expect(Math.max(...healthy.severities)).toBe(0)
    expect(book.suspects.get('undercharge')!.severities.at(-1)).toBeGreaterThan(0.9)
  })
  test('loading twice is no harm; an unknown class and a damaged book are refused with a sentence', async () => {
    await loadCaseBooks(plate())
    await loadCaseBooks(plate({ kind: 'other' }))
    const stored: StoredBook = {
      unitClass: 'comfort-valve',
      features: ['a', 'b'],
      tolerances: [1, 1],
      suspects: {},
    }
    expect(openBook(stored).suspects.size).toBe(0)
    expect(() => openBook({ ...stored, unitClass: 'boats' })).toThrow(/no class of units/)
    const damaged = { severities: btoa('ab'), deviations: btoa('abc'), frostPattern: '', sightGlass: '' }
    expect(() => openBook({ ...stored, suspects: { undercharge: damaged } })).toThrow(/incomplete/)
  })
})
