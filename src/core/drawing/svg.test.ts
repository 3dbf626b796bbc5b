import { type PlotModel, plotSvg, roundStep } from './plotSvg'
import { drawing, element, words } from './svg'
import { ladderSvg } from './ladderSvg'
import type { LadderModel } from './ladderModel'

test('signs of markup in words are escaped, what has no value is left out', () => {
  expect(words('a < b & "c"', 1, 2, 3)).toBe(
    '<text x="1" y="2" font-size="3">a &lt; b &amp; &quot;c&quot;</text>',
  )
  expect(element('line', { x1: 1.23456, stroke: undefined })).toBe('<line x1="1.23"/>')
  expect(drawing(10, 20, ['<g/>'])).toMatch(/^<svg .*viewBox="0 0 10 20".*><g\/><\/svg>$/)
})

test.each([
  [10, 5, 2],
  [100, 6, 20],
  [0.7, 6, 0.2],
  [1000, 1, 1000],
])('ticks over %d, at most %d: every %d', (range, most, step) =>
  expect(roundStep(range, most)).toBeCloseTo(step, 9),
)

const model = (more: Partial<PlotModel> = {}): PlotModel => ({
  title: 'Decay test',
  yTitle: 'System, microns',
  isLogarithmic: false,
  curves: [
    { label: 'System', points: Array.from({ length: 500 }, (_look, i) => ({ x: i / 60, y: 300 + i })) },
    {
      label: 'Pump',
      points: [
        { x: 0, y: 100 },
        { x: 1, y: NaN },
        { x: 2, y: 120 },
      ],
    },
  ],
  levels: [{ label: 'field limit', value: 1000 }],
  marks: [
    { minute: 1, label: 'shut' },
    { minute: 1.1, label: 'too near to be written' },
  ],
  ...more,
})
const PAPER = { width: 260, height: 150 }

test('one path for each curve, however long; a gap stays a gap', () => {
  const svg = plotSvg(model(), PAPER)
  const paths = svg.match(/<path d="([^"]*)"/g) ?? []
  expect(paths).toHaveLength(2)
  expect(paths[0]!.match(/M/g)).toHaveLength(1)
  expect(paths[1]!.match(/M/g)).toHaveLength(2)
})
test('levels and marks are written, a mark beside another is a line only', () => {
  const svg = plotSvg(model(), PAPER)
  for (const word of ['field limit', 'shut', 'System, microns', 'minutes', 'Pump'])
    expect(svg).toContain(`>${word}<`)
  expect(svg).not.toContain('too near')
})
test('a pull is drawn over powers of ten; nothing and zero draw no curve and no wrong figure', () => {
  const points = [20_000, 2000, 200, 0].map((y, x) => ({ x, y }))
  const svg = plotSvg(model({ isLogarithmic: true, curves: [{ label: 'System', points }] }), PAPER)
  expect(svg).toContain('>10,000<')
  expect(svg).not.toMatch(/NaN|Infinity/)
  const empty = plotSvg(model({ curves: [{ label: 'System', points: [] }], levels: [] }), PAPER)
  expect(empty).not.toMatch(/NaN|Infinity/)
  const flat = plotSvg(
    model({
      curves: [
        {
          label: 'S',
          points: [
            { x: 0, y: 5 },
            { x: 1, y: 5 },
          ],
        },
      ],
      levels: [],
    }),
    PAPER,
  )
  expect(flat).not.toMatch(/NaN|Infinity/)
})

const span = (id: 'superheat' | 'subcooling' | 'dryerDrop', from: number, to: number) => ({
  id,
  label: id,
  formula: '',
  from,
  to,
  measured: { value: Math.abs(to - from), error: 0.5 },
})
const LADDER: LadderModel = {
  rungs: [
    { id: 'a', label: 'Condensing', kelvin: 313, error: 0.5, derived: true },
    { id: 'b', label: 'A rung with a very long name', kelvin: 300, error: 0.5, derived: false },
    { id: 'c', label: 'Evaporating', kelvin: 278, error: 0.5, derived: true, glideTo: 280 },
  ],
  spans: [span('superheat', 278, 284), span('subcooling', 313, 308), span('dryerDrop', 279, 285)],
}
test('a ladder on paper holds every rung with its figure and every span, drawn or in words', () => {
  const svg = ladderSvg(LADDER, { width: 260, height: 300, display: { temperature: 'F' } })
  for (const word of ['Condensing', '103.7', 'Evaporating', '40.7', '11 F', '9 F'])
    expect(svg).toContain(word)
  for (const { label } of LADDER.spans) expect(svg).toContain(label)
  expect(svg).not.toMatch(/NaN|Infinity/)
})
