import { buildDemoJobs } from '@/demo/buildDemo'
import { percent } from '@/ui/percent'
import { numberSaver } from './shared/unit/numberSaver'
import { compareSets } from '@/core/answer/comparison'
import { summaryOf } from '@/core/record/job/summary'
import type { Edit } from '@/core/record/edits/edit'
import { emptyJob } from '@/core/record/job/job'
import { fileName } from './shared/files/exportJob'
import { titleOf, unitLine } from '@/core/report/jobText'
import { durationText } from '@/core/base/units/wall'
import { kilograms, pounds } from '@/core/base/units/weightText'
import { fluidOunces, grams, millilitres } from '@/core/report/planText'
import { tells } from './shared/tells'
import { everyOf, usualOf } from './shared/unit/usual'
import { METERINGS } from '@/core/record/equipment/unit'
import { chance } from '@/core/base/units/chance'
import { knownJob } from '@/core/record/job/known'
import type { Plate } from '@/core/record/equipment/unit'

const NOW = '2026-05-04T09:30:00.000Z'
const jobs = buildDemoJobs(new Date(NOW)).map(knownJob)
const exhibit = jobs.find(({ id }) => id === 'demo-exhibit-hall')!
const water = jobs.find(({ id }) => id === 'demo-water-source')!

describe('comparison', () => {
  const comparison = compareSets(exhibit, { temperature: 'F' })
  test('puts first and last set side by side with verdicts', () => {
    expect(comparison.headings).toEqual(['as found', 'after repair'])
    const drop = comparison.rows.find(({ key }) => key === 'dryerDrop')!
    expect(drop.cells.map((cell) => cell!.verdict)).toEqual(['above', 'in band'])
    expect(comparison.leaders[0]!.label).toMatch(/Plugged liquid dryer/)
    expect(comparison.leaders[1]!.label).toMatch(/Nothing wrong/)
    expect(comparison.pictures).toHaveLength(2)
  })
  test('speaks Celsius when asked, and is empty without sets', () => {
    expect(compareSets(exhibit, { temperature: 'C' }).rows[0]!.target).toMatch(/ C$/)
    expect(compareSets(water, { temperature: 'F' })).toEqual({
      headings: [],
      leaders: [],
      rows: [],
      pictures: [],
    })
  })
})

describe('texts', () => {
  test.each([
    [45, '45 min'],
    [60, '1 h'],
    [438, '7 h 18 min'],
  ])('%i minutes: %s', (minutes, text) => expect(durationText(minutes)).toBe(text))
  test.each([
    [0.48, '48 %'],
    [0.9999, '>99 %'],
    [0.0001, '<1 %'],
  ])('%f: %s', (share, text) => expect(percent(share)).toBe(text))
  test.each([
    [0.0001, 'under 1 %'],
    [0.014, '1 %'],
    [0.096, '10 %'],
    [0.48, '50 %'],
    [0.873, '85 %'],
    [0.95, '95 %'],
    [0.951, 'over 95 %'],
    [0.9999, 'over 95 %'],
  ])('a chance of %f is worth "%s"', (share, text) => expect(chance(share)).toBe(text))
  test.each([
    [0.9, 'tells much'],
    [0.2, 'tells some'],
    [0.01, 'tells little'],
    [0, 'tells little'],
  ])('%f bit %s', (bits, text) => expect(tells(bits)).toBe(text))
  test('what is used most here is offered first, then what is common', () => {
    const used = [{ refrigerant: 'R-448A' }, { refrigerant: 'R-448A' }, { refrigerant: 'R-22' }, {}] as const
    expect(usualOf('refrigerant', used).slice(0, 3)).toEqual(['R-448A', 'R-22', 'R-410A'])
    expect(usualOf('metering', used)).toEqual(METERINGS)
    expect(everyOf('kind')).toEqual(expect.arrayContaining(usualOf('kind', used)))
  })
  test.each([
    [3.6049, '7 lb 15.2 oz', '3.60 kg'],
    [0.359139, '12.7 oz', '359 g'],
    [0.45359237, '1 lb 0.0 oz', '454 g'],
    [0.4535, '1 lb 0.0 oz', '454 g'],
    [-0.1, '−3.5 oz', '-100 g'],
    [0, '0.0 oz', '0 g'],
  ])('%f kg: %s, %s', (kg, trade, metric) => {
    expect(pounds(kg)).toBe(trade)
    expect(kilograms(kg)).toBe(metric)
  })
  test('grams and oil', () => {
    expect([grams(0.00015), grams(4.2e-6), grams(0), grams(0.0423)]).toEqual([
      '0.15 g',
      '4 mg',
      '0.00 g',
      '42.3 g',
    ])
    expect([fluidOunces(0.001124), millilitres(0.001124)]).toEqual(['38.0 fl oz', '1124 mL'])
  })
  test('a job without a name is called by its kind; its line names refrigerant, device and elevation', () => {
    expect(titleOf({ ...summaryOf(water), title: '  ' })).toBe('Water-source heat pump, no name yet')
    expect(unitLine(summaryOf(water))).toBe('R-410A · expansion valve · 2 tons · 1750 m')
  })
  test('file names are plain', () => {
    expect(fileName(exhibit)).toBe('exhibit-hall-package-unit.orzo.zip')
    expect(fileName({ ...exhibit, logs: [] })).toBe('exhibit-hall-package-unit.orzo.json')
    expect(fileName({ ...exhibit, logs: [], title: '../../ö' })).toBe('job.orzo.json')
  })
})

describe('plate numbers', () => {
  const trial = (field: Parameters<ReturnType<typeof numberSaver>>, text: string) => {
    let unit: Plate = { kind: 'split-ac', refrigerant: 'R-22', metering: 'txv', nominalTons: 2 }
    const stamp = { now: NOW, newId: () => 'x' }
    const store = (edit: Edit) => void (unit = edit(emptyJob(unit), stamp).unit)
    const message = numberSaver(store)(...field)(text)
    return { unit, message }
  }
  test('a good number is stored, a decimal comma is understood, empty clears', () => {
    expect(trial(['nominalTons'], '2,5').unit.nominalTons).toBe(2.5)
    expect(trial(['nominalTons'], '').unit.nominalTons).toBeUndefined()
    expect(trial(['power', 'rla'], '14.2').unit.power?.rla).toBe(14.2)
  })
  test.each(['abc', '-3', '0', '5000'])('"%s" is told and not stored', (text) => {
    const { unit, message } = trial(['nominalTons'], text)
    expect(message).toMatch(/number|above zero|more than/)
    expect(unit.nominalTons).toBe(2)
  })
})
