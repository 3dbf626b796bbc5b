import { asksFor } from '@/core/record/equipment/plateFields'
import type { Plate, UnitPlate } from '@/core/record/equipment/unit'
import type { Edit } from '@/core/record/edits/edit'
import { emptyJob } from '@/core/record/job/job'
import { type JobSummary, summaryOf } from '@/core/record/job/summary'
import { blankJob } from '@/data/jobs'
import { jobsOfUnit, platesToCopy } from './history'
import { numberSaver } from '../shared/unit/numberSaver'

const job = (
  id: string,
  name?: string,
  site?: string,
  title?: string,
): { id: string; summary: JobSummary } => {
  const blank = blankJob('2026-05-04T09:00:00Z')
  const unit: Plate = {
    ...blank.unit,
    ...(name ? { name } : {}),
    ...(site ? { site: { name: site } } : {}),
  }
  return { id, summary: summaryOf({ ...blank, unit, ...(title ? { title } : {}) }) }
}

describe('the same unit', () => {
  const all = [
    job('a', 'Dome fan coil 2', 'Observatory'),
    job('b', 'dome fan coil 2 ', 'observatory'),
    job('c', 'Dome fan coil 2', 'Harbour'),
    job('d', undefined, undefined, 'Dome fan coil'),
    job('e', undefined, undefined),
  ]
  test('is known by its name at its site, whatever the capitals', () => {
    expect(jobsOfUnit(all[0]!, all).map(({ id }) => id)).toEqual(['b'])
  })
  test('without a site named, the name alone tells; without a name nothing does', () => {
    expect(jobsOfUnit(job('x', 'Dome fan coil 2'), all).map(({ id }) => id)).toEqual(['a', 'b', 'c'])
    expect(jobsOfUnit(all[4]!, all)).toEqual([])
  })
  test('any other plate may be copied', () => {
    expect(platesToCopy(all[0]!, all).map(({ id }) => id)).toEqual(['b', 'c', 'd', 'e'])
  })
})

describe('what a kind is asked for', () => {
  const unit: UnitPlate = { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }
  test.each([
    ['seer', unit, true],
    ['seer', { ...unit, kind: 'reach-in' }, false],
    ['seer', { ...unit, kind: 'reach-in', seer: 14 }, true],
    ['receiver', unit, false],
    ['receiver', { ...unit, kind: 'walk-in-cooler' }, true],
    ['runCapacitor', { ...unit, power: { phase: 3 } }, false],
    ['accumulator', { ...unit, kind: 'split-heat-pump' }, true],
    ['targetSubcooling', { ...unit, metering: 'capillary' }, false],
    ['lineSet', { ...unit, kind: 'package-ac' }, false],
    ['heatRejection', { ...unit, kind: 'pool-heat-pump' }, false],
  ] as const)('%s on %j: %s', (field, plate, asked) => {
    expect(asksFor(plate as UnitPlate, field)).toBe(asked)
  })
})

describe('a plate number', () => {
  const apply = (text: string, ...place: Parameters<ReturnType<typeof numberSaver>>) => {
    let unit: Plate = {
      kind: 'split-ac',
      refrigerant: 'R-410A',
      metering: 'txv',
      crankcaseHeater: { volts: 230 },
    }
    const stamp = { now: '2026-05-04T09:00:00Z', newId: () => 'x' }
    const store = (edit: Edit) => void (unit = edit(emptyJob(unit), stamp).unit)
    const message = numberSaver(store)(...place)(text)
    return { unit, message }
  }
  test('is stored where it belongs, beside what stands there', () => {
    expect(apply('40', 'crankcaseHeater', 'watts').unit.crankcaseHeater).toEqual({ watts: 40, volts: 230 })
    expect(apply('3,5', 'nominalTons').unit.nominalTons).toBe(3.5)
    expect(apply('', 'crankcaseHeater', 'volts').unit.crankcaseHeater?.volts).toBeUndefined()
  })
  test.each([
    ['-3', /not above zero/],
    ['3x', /no number/],
  ])('"%s" is told and not stored', (text, message) => {
    const result = apply(text, 'power', 'rla')
    expect(result.message).toMatch(message)
    expect(result.unit.power).toBeUndefined()
  })
})
