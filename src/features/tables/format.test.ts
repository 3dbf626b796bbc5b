import { isTool, TOOLS } from './tools'
import { showKelvin, showPressure } from './format'

describe('pressures as gauges show them', () => {
  test.each([
    [914_922, 'psig', 101_325, '118.0 psig'],
    [914_922, 'psia', 101_325, '132.7 psia'],
    [914_922, 'kPag', 101_325, '814 kPag'],
    [914_922, 'barg', 101_325, '8.14 barg'],
    [66.66, 'micron', 101_325, '500 micron'],
    [914_922, 'psig', 82_000, '120.8 psig'],
  ] as const)('%f Pa in %s over %f Pa: %s', (pascals, unit, atmosphere, text) => {
    expect(showPressure(pascals, unit, atmosphere)).toBe(text)
  })
  test('below local atmosphere psig turns into inches of vacuum', () => {
    expect(showPressure(67_461, 'psig', 101_325)).toBe('10.0 inHgVac')
    expect(showPressure(81_000, 'psig', 80_000)).toBe('0.1 psig')
  })
})

test.each([
  [273.15, 'F', '32.0 F'],
  [273.15, 'C', '0.0 C'],
  [300, 'K', '300.0 K'],
] as const)('%f K in %s: %s', (kelvin, unit, text) => expect(showKelvin(kelvin, unit)).toBe(text))

test('tools are known by their words, each once', () => {
  expect(TOOLS.every(({ id }) => isTool(id))).toBe(true)
  expect(isTool('nonsense')).toBe(false)
  expect(new Set(TOOLS.map(({ id }) => id)).size).toBe(TOOLS.length)
})
