import type { LogHead } from '../records/log'
import { METRIC_UNITS, US_UNITS } from '../../base/units/system'
import { SEA_LEVEL_PASCALS } from '../../base/units/atmosphere'
import { curveText, shownLog } from './shownLog'

const head = {
  channels: [
    { key: 'testPressure', unit: 'psig' },
    { key: 'gasTemp', unit: 'F' },
    { key: 'systemVacuum', unit: 'micron' },
  ],
} as unknown as Pick<LogHead, 'channels'>
const column = (...values: number[]) => Float64Array.from(values)
const samples = {
  time: column(0, 600, 1200, 1320),
  values: [column(0, 235, NaN, 235), column(75, 50, 32, 32), column(20_000, 900, 330, 321)],
}

// by the definitions of the units: 235 psi = 16.20 bar, (75 - 32) / 1.8 = 23.9 C
test('a log is drawn in the chosen units, gaps stay gaps, a vacuum stays in microns', () => {
  const shown = shownLog(head, samples, METRIC_UNITS, SEA_LEVEL_PASCALS)
  expect(shown.head.channels.map(({ unit }) => unit)).toEqual(['barg', 'C', 'micron'])
  const [bar, celsius, vacuum] = shown.samples.values.map((each) =>
    [...each].map((value) => Number(value.toFixed(2)) + 0),
  )
  expect(bar).toEqual([0, 16.2, NaN, 16.2])
  expect(celsius).toEqual([23.89, 10, 0, 0])
  expect(vacuum).toEqual([20_000, 900, 330, 321])
  expect(shownLog(head, samples, METRIC_UNITS, SEA_LEVEL_PASCALS).samples).toBe(shown.samples)
  expect(shownLog(head, samples, US_UNITS, SEA_LEVEL_PASCALS).samples).toBe(samples)
})

test('a curve tells its result: last figure, minutes, the way it goes', () => {
  expect(curveText(head, samples, 2)).toBe('System 321 microns after 22 minutes, steady')
  expect(curveText(head, { time: column(0, 60), values: [column(10, 20)] }, 0)).toBe(
    'Nitrogen 20 psig after 1 minute, steady',
  )
  const fall = { time: column(0, 600, 900, 1200), values: [column(400, 300, 200, 100)] }
  expect(curveText(head, fall, 0)).toBe('Nitrogen 100 psig after 20 minutes, falling')
  expect(curveText(head, { time: column(), values: [column()] }, 0)).toBe('')
})

test('a log of two hundred thousand samples is told as well', () => {
  const count = 200_000
  const long = {
    time: Float64Array.from({ length: count }, (_v, i) => i),
    values: [Float64Array.from({ length: count }, (_v, i) => i)],
  }
  expect(curveText(head, long, 0)).toMatch(/ rising$/)
})
