import { temperatureColour } from '@/core/drawing/temperatureColour'
import { THEMES } from '@/core/record/settings/settings'
import { TOKENS } from './tokens'

type Rgb = readonly [number, number, number]
const fromHex = (hex: string): Rgb =>
  [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16)) as unknown as Rgb
const fromRgb = (text: string): Rgb => text.match(/\d+/g)!.map(Number) as unknown as Rgb

/** [std] relative luminance and contrast ratio of WCAG 2.2. */
function luminance(rgb: Rgb): number {
  const [r, g, b] = rgb.map((byte) => {
    const share = byte / 255
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4
  }) as unknown as Rgb
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}
function contrast(a: Rgb, b: Rgb): number {
  const [dark, light] = [luminance(a), luminance(b)].sort((x, y) => x - y) as [number, number]
  return (light + 0.05) / (dark + 0.05)
}

describe.each(THEMES)('%s', (name) => {
  const tokens = TOKENS[name]
  test.each(['paper', 'raised', 'copperWash'] as const)('words and readings on %s', (ground) => {
    const on = fromHex(tokens[ground])
    expect(contrast(fromHex(tokens.ink), on)).toBeGreaterThan(7)
    expect(contrast(fromHex(tokens.quiet), on)).toBeGreaterThan(4.5)
    expect(contrast(fromHex(tokens.copper), on)).toBeGreaterThan(4.5)
    expect(contrast(fromHex(tokens.error), on)).toBeGreaterThan(4.5)
  })
  test('words on copper', () => {
    expect(contrast(fromHex(tokens.onCopper), fromHex(tokens.copper))).toBeGreaterThan(4.5)
  })
  test('a temperature stands out from the ground from the coldest to the hottest', () => {
    const lift = Number(tokens.lift.replace('%', '')) / 100
    for (let kelvin = 230; kelvin <= 400; kelvin += 5) {
      const mixed = fromRgb(temperatureColour(kelvin)).map((c) => 255 * lift + (1 - lift) * c)
      expect(contrast(mixed as unknown as Rgb, fromHex(tokens.paper))).toBeGreaterThan(4.3)
    }
  })
})
