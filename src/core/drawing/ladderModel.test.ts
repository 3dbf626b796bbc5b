import { diagnose } from '../answer/diagnose'
import type { UnitPlate } from '../record/equipment/unit'
import type { Readings } from '../record/readings/schema'
import { differenceFromKelvin, fromKelvin } from '../base/units/convert'
import { ladderModel } from './ladderModel'
import { spanTexts } from './spanText'

const f = (value: number) => ({ value, unit: 'F' as const })
const psig = (value: number) => ({ value, unit: 'psig' as const })
const R410A: UnitPlate = { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }
const READINGS: Readings = {
  suctionPressure: psig(88),
  liquidPressure: psig(350),
  suctionLineTemp: f(66),
  liquidLineTemp: f(86),
  outdoorAirTemp: f(88),
  returnAirTemp: f(75),
  supplyAirTemp: f(66),
  dryerInTemp: f(86),
  dryerOutTemp: f(85.5),
}
const modelOf = (readings: Readings, unit = R410A) =>
  ladderModel(diagnose(unit, { mode: 'cooling', readings }))

test('rungs are ordered from hot to cold, derived and measured together', () => {
  const { rungs } = modelOf(READINGS)
  expect(rungs.map(({ kelvin }) => kelvin)).toEqual(rungs.map(({ kelvin }) => kelvin).sort((a, b) => b - a))
  expect(rungs.map(({ id }) => id)).toEqual(
    expect.arrayContaining(['condensingMean', 'evaporatingMean', 'suctionLineTemp']),
  )
  expect(rungs.find(({ id }) => id === 'condensingMean')!.derived).toBe(true)
  expect(rungs.find(({ id }) => id === 'outdoorAirTemp')!.derived).toBe(false)
})

test('each span joins the rungs it is the gap of', () => {
  const { spans, rungs } = modelOf(READINGS)
  const superheat = spans.find(({ id }) => id === 'superheat')!
  expect(superheat.to).toBeCloseTo(rungs.find(({ id }) => id === 'suctionLineTemp')!.kelvin, 6)
  const subcooling = spans.find(({ id }) => id === 'subcooling')!
  expect(subcooling.to).toBeCloseTo(rungs.find(({ id }) => id === 'liquidLineTemp')!.kelvin, 6)
  for (const { from, to, measured } of spans)
    expect(Math.abs(Math.abs(to - from) - Math.abs(measured.value))).toBeLessThan(1e-9)
})

test('verdicts follow the target; a dryer without a drop is not told', () => {
  const { spans } = modelOf(READINGS)
  const verdicts = Object.fromEntries(spans.map(({ id, verdict }) => [id, verdict]))
  expect(verdicts).toMatchObject({
    superheat: 'above',
    subcooling: 'above',
    temperatureSplit: 'below',
    evaporatorDifference: 'above',
  })
  expect(verdicts.dryerDrop).toBeUndefined()
  expect(
    modelOf({ ...READINGS, dryerOutTemp: f(60) }).spans.find(({ id }) => id === 'dryerDrop')!.verdict,
  ).toBe('above')
})

test('a target that is a temperature is restated as a gap from the rung below it', () => {
  const over = modelOf(READINGS).spans.find(({ id }) => id === 'condensingOverAmbient')!
  expect(differenceFromKelvin(over.target!.value, 'F')).toBeCloseTo(18, 6)
})

test('a glide is a thick rung from bubble to dew; R-410A is thin', () => {
  const blend = modelOf(
    { suctionPressure: psig(63), liquidPressure: psig(260) },
    { ...R410A, refrigerant: 'R-407C' },
  ).rungs
  const evaporating = blend.find(({ id }) => id === 'evaporatingMean')!
  const condensing = blend.find(({ id }) => id === 'condensingMean')!
  expect(fromKelvin(evaporating.kelvin, 'F')).toBeCloseTo(39.9, 0)
  expect(fromKelvin(condensing.kelvin, 'F')).toBeCloseTo(110, 0)
  expect(differenceFromKelvin(evaporating.kelvin - evaporating.glideTo!, 'F')).toBeGreaterThan(8)
  expect(condensing.glideTo!).toBeGreaterThan(condensing.kelvin)
  expect(modelOf(READINGS).rungs.find(({ id }) => id === 'evaporatingMean')!.glideTo).toBeUndefined()
})

test('without readings there is nothing on it', () => expect(modelOf({})).toEqual({ rungs: [], spans: [] }))

test('a span tells value, error, verdict, target, its source and its formula', () => {
  const superheat = modelOf(READINGS).spans.find(({ id }) => id === 'superheat')!
  const texts = spanTexts(superheat, { temperature: 'F' })
  expect(texts).toMatchObject({ value: '41 F', verdict: 'above' })
  expect(texts.whole).toMatch(
    /^Superheat 41 F ±1, above\. Target 13 F ±6: .* \[practice\]\. suction line - dew\(suction pressure\)\.$/,
  )
  expect(spanTexts(superheat, { temperature: 'C' }).value).toBe('23 C')
})
