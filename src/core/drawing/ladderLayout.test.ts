import fc from 'fast-check'
import { assignLanes, scaleFor, spreadLabels, tickStep } from './ladderLayout'
import { temperatureColour } from './temperatureColour'

const kelvins = fc.array(fc.double({ min: 230, max: 380, noNaN: true }), { minLength: 1, maxLength: 20 })
const SEED = { seed: 1750, numRuns: 400 }

describe('scale', () => {
  test('is exact: equal differences are equal distances, hot at the top', () => {
    fc.assert(
      fc.property(kelvins, (values) => {
        const scale = scaleFor(values, 600)
        const linear = values.filter((kelvin) => kelvin < scale.breakAbove)
        const perKelvin = (600 - scale.top) / (scale.hottest - scale.coldest)
        for (const kelvin of linear) {
          const expected = scale.top + (scale.hottest - kelvin) * perKelvin
          expect(Math.abs(scale.y(kelvin) - expected)).toBeLessThan(0.5)
          expect(scale.y(kelvin)).toBeGreaterThanOrEqual(scale.top)
          expect(scale.y(kelvin)).toBeLessThanOrEqual(600)
        }
      }),
      SEED,
    )
  })
  test('a lone hot rung stands above the break, and says so', () => {
    const scale = scaleFor([270, 280, 290, 300, 355], 600)
    expect(scale.breakAbove).toBe(355)
    expect(scale.y(355)).toBeLessThan(scale.top)
    expect(scale.hottest).toBeLessThan(310)
    expect(scaleFor([270, 280, 290, 300, 312], 600).breakAbove).toBe(Infinity)
  })
  test('the same value given twice changes nothing', () => {
    expect(scaleFor([270, 280, 300, 355, 355], 600).breakAbove).toBe(355)
  })
  test('without a reading it still is a scale', () => {
    const scale = scaleFor([], 600)
    expect(scale.hottest - scale.coldest).toBeGreaterThan(30)
  })
})

describe('labels', () => {
  test('keep their order, never overlap, stay inside, for up to 20 rungs', () => {
    fc.assert(
      fc.property(kelvins, (values) => {
        const scale = scaleFor(values, 620)
        const wanted = values.map(scale.y).sort((a, b) => a - b)
        const placed = spreadLabels(wanted, 31, 620)
        const gap = Math.min(31, 620 / values.length)
        placed.forEach((y, i) => {
          expect(y).toBeGreaterThanOrEqual(gap / 2 - 1e-6)
          expect(y).toBeLessThanOrEqual(620 - gap / 2 + 1e-6)
          if (i > 0) expect(y - placed[i - 1]!).toBeGreaterThanOrEqual(gap - 1e-6)
        })
      }),
      SEED,
    )
  })
  test('stay where they want to be when there is room', () => {
    expect(spreadLabels([50, 120, 300], 30, 600)).toEqual([50, 120, 300])
  })
  test('two at one place move apart evenly', () => {
    expect(spreadLabels([300, 300], 30, 600)).toEqual([285, 315])
  })
})

describe('lanes', () => {
  const stretches = fc.array(
    fc
      .tuple(fc.double({ min: 0, max: 500, noNaN: true }), fc.double({ min: 5, max: 200, noNaN: true }))
      .map(([top, height]) => ({ top, bottom: top + height })),
    { maxLength: 9 },
  )
  test('stretches that overlap never share a lane', () => {
    fc.assert(
      fc.property(stretches, (all) => {
        const lanes = assignLanes(all)
        all.forEach((a, i) =>
          all.slice(0, i).forEach((b, j) => {
            if (a.top < b.bottom && b.top < a.bottom) expect(lanes[i]).not.toBe(lanes[j])
          }),
        )
      }),
      SEED,
    )
  })
  test('what does not overlap shares the first lane', () => {
    expect(
      assignLanes([
        { top: 0, bottom: 10 },
        { top: 10, bottom: 20 },
        { top: 5, bottom: 15 },
      ]),
    ).toEqual([0, 0, 1])
  })
})

test.each([
  [100, 600, 10],
  [30, 600, 5],
  [200, 300, 50],
])('ticks over %i degrees on %i px every %i', (span, height, step) =>
  expect(tickStep(span, height)).toBe(step),
)

/** WCAG relative luminance contrast with the paper. */
function contrastOnPaper(colour: string): number {
  const channels = (colour.match(/\d+/g) ?? []).map(Number)
  const luminance = (rgb: readonly number[]) => {
    const linear = rgb.map((value) =>
      value / 255 <= 0.03928 ? value / 255 / 12.92 : ((value / 255 + 0.055) / 1.055) ** 2.4,
    )
    return 0.2126 * linear[0]! + 0.7152 * linear[1]! + 0.0722 * linear[2]!
  }
  return (luminance([247, 242, 232]) + 0.05) / (luminance(channels) + 0.05)
}

test('every temperature colour stands out on paper as a line (AA asks 3:1; numbers are in ink)', () => {
  for (let kelvin = 230; kelvin <= 400; kelvin += 1)
    expect(contrastOnPaper(temperatureColour(kelvin))).toBeGreaterThan(4.3)
})
test('cold and hot differ, and colour does not jump', () => {
  expect(temperatureColour(250)).not.toBe(temperatureColour(360))
  expect(temperatureColour(200)).toBe('rgb(38 84 96)')
  expect(temperatureColour(500)).toBe('rgb(150 42 20)')
})
