import { buildDemoJobs } from '@/data/demo'
import { percent } from '@/ui/percent'
import { numberSaver } from './arrive/numberSaver'
import { compareSets } from './close/comparison'
import { fileName } from './close/exportJob'
import { stageStates } from './job/stages'
import { titleOf, unitLine } from './jobs/jobText'
import { addSet, mergedObservations, withLatestObservation, withReading, withSet } from './measure/sets'
import { duration, grams, oilVolume } from './plan/text'
import type { UnitPlate } from '@/core/record/equipment/unit'

const NOW = '2026-05-04T09:30:00.000Z'
const jobs = buildDemoJobs(new Date(NOW))
const exhibit = jobs.find(({ id }) => id === 'demo-exhibit-hall')!
const water = jobs.find(({ id }) => id === 'demo-water-source')!

describe('sets', () => {
  test('the first reading of a job makes its first set', () => {
    const job = withSet(water, 0, NOW, (set) =>
      withReading(set, 'suctionPressure', { value: 118, unit: 'psig' }),
    )
    expect(job.readingSets).toEqual([
      {
        at: NOW,
        label: 'as found',
        mode: 'cooling',
        readings: { suctionPressure: { value: 118, unit: 'psig' } },
      },
    ])
  })
  test('a change reaches its own set only', () => {
    const job = withSet(exhibit, 1, NOW, (set) => ({ ...set, label: 'second' }))
    expect(job.readingSets.map(({ label }) => label)).toEqual(['as found', 'second'])
    expect(job.readingSets[0]).toBe(exhibit.readingSets[0])
  })
  test('a new set after a decision is the proof, and keeps the mode', () => {
    expect(addSet(exhibit, NOW).readingSets.at(-1)).toMatchObject({
      label: 'after repair',
      mode: 'cooling',
      readings: {},
    })
    expect(addSet({ ...exhibit, decision: undefined }, NOW).readingSets.at(-1)).toMatchObject({
      label: 'set 3',
    })
  })
  test('what is inside is one answer over all sets', () => {
    expect(mergedObservations(exhibit)).toMatchObject({ acidTest: 'weak', sightGlass: 'clear' })
    const changed = withLatestObservation(exhibit, 'acidTest', 'strong', NOW)
    expect(mergedObservations(changed).acidTest).toBe('strong')
    expect(changed.readingSets[0]!.observations!.acidTest).toBeUndefined()
    expect(
      mergedObservations(withLatestObservation(changed, 'acidTest', undefined, NOW)).acidTest,
    ).toBeUndefined()
  })
})

describe('stages', () => {
  test('show what is done and what blocks', () => {
    const states = Object.fromEntries(stageStates(water).map((state) => [state.stage, state]))
    expect(states.arrive!.done).toBe(true)
    expect(states.diagnose!.blocked).toBe('needs readings')
    expect(states.plan!.blocked).toBe('needs a suspect')
    expect(stageStates(exhibit).find(({ stage }) => stage === 'close')!.done).toBe(true)
  })
})

describe('comparison', () => {
  const comparison = compareSets(exhibit, { temperature: 'F' })
  test('puts first and last set side by side with verdicts', () => {
    expect(comparison.headings).toEqual(['as found', 'after repair'])
    const drop = comparison.rows.find(({ key }) => key === 'dryerDrop')!
    expect(drop.cells.map((cell) => cell!.verdict)).toEqual(['above', 'in band'])
    expect(comparison.verdicts[0]).toMatch(/Plugged liquid dryer/)
    expect(comparison.verdicts[1]).toMatch(/Nothing wrong/)
  })
  test('speaks Celsius when asked, and is empty without sets', () => {
    expect(compareSets(exhibit, { temperature: 'C' }).rows[0]!.target).toMatch(/ C$/)
    expect(compareSets(water, { temperature: 'F' })).toEqual({ headings: [], verdicts: [], rows: [] })
  })
})

describe('texts', () => {
  test.each([
    [45, '45 min'],
    [60, '1 h'],
    [438, '7 h 18 min'],
  ])('%i minutes: %s', (minutes, text) => expect(duration(minutes)).toBe(text))
  test.each([
    [0.48, '48 %'],
    [0.9999, '>99 %'],
    [0.0001, '<1 %'],
  ])('%f: %s', (share, text) => expect(percent(share)).toBe(text))
  test('grams and oil', () => {
    expect(grams(0.00015)).toBe('0.15 g')
    expect(oilVolume(0.001124)).toBe('1124 mL (38.0 floz)')
  })
  test('a job without a name is called by its kind; its line names refrigerant, device and elevation', () => {
    expect(titleOf({ ...water, title: '  ' })).toBe('Water-source heat pump, no name yet')
    expect(unitLine(water)).toBe('R-410A · expansion valve · 2 tons · 1750 m')
  })
  test('file names are plain', () => {
    expect(fileName(exhibit)).toBe('exhibit-hall-package-unit.orzo.json')
    expect(fileName({ ...exhibit, title: '../../ö' })).toBe('job.orzo.json')
  })
})

describe('plate numbers', () => {
  const trial = (field: Parameters<ReturnType<typeof numberSaver>>, text: string) => {
    let unit: UnitPlate = { kind: 'split-ac', refrigerant: 'R-22', metering: 'txv', nominalTons: 2 }
    const message = numberSaver((recipe) => void (unit = recipe(unit)))(...field)(text)
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
