import type { UnitPlate } from '../../record/equipment/unit'
import type { Readings } from '../../record/readings/schema'
import { diagnose } from '../../answer/diagnose'
import { CHECK_IDS, type CheckId } from './checks'
import { differentWork, isGeneric, workOf } from './work'

const f = (value: number) => ({ value, unit: 'F' as const })
const psig = (value: number) => ({ value, unit: 'psig' as const })
const UNIT: UnitPlate = { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }
const HIGH_AND_FULL: Readings = {
  suctionPressure: psig(122),
  liquidPressure: psig(470),
  suctionLineTemp: f(53),
  liquidLineTemp: f(103),
  outdoorAirTemp: f(85),
  returnAirTemp: f(76),
}
const checksOf = (readings: Readings, observations: object = {}): CheckId[] =>
  diagnose(UNIT, { mode: 'cooling', readings, observations }).nextChecks.map(({ check }) => check)

test.each([
  ['subcooling', 'clamp'],
  ['suctionPressure', 'gauge'],
  ['temperatureSplit', 'air'],
  ['compressorAmps', 'live'],
  ['windings', 'dead'],
  ['supply', 'live'],
  ['weighedCharge', 'open'],
  ['groundAtTerminals', 'open'],
  ['standingOverAmbient', 'at-rest'],
  ['oilStain', 'look'],
  ['pumpDownTest', 'try'],
  ['comesAndGoes', 'ask'],
] as const)('%s is work of the kind %s', (check, work) => expect(workOf(check)).toBe(work))

test('every check has a kind; few are questions that fit every complaint', () => {
  expect(CHECK_IDS.filter(isGeneric).sort()).toEqual(['callForOperation', 'comesAndGoes', 'compressorState'])
})

test('kinds come once before any comes twice, the best of each; the rest keeps its order', () => {
  const list = (...ids: CheckId[]) => ids.map((check) => ({ check }))
  const sorted = list('subcooling', 'superheat', 'suctionPressure', 'liquidPressure', 'oilStain')
  expect(differentWork(sorted, 3, 4)).toEqual(list('subcooling', 'suctionPressure', 'oilStain', 'superheat'))
  expect(differentWork(sorted.slice(0, 2), 3, 4)).toEqual(list('subcooling', 'superheat'))
  expect(differentWork([], 3, 4)).toEqual([])
})

test('high head over much subcooling: the standing test or the scales come before general questions', () => {
  const asked = checksOf(HIGH_AND_FULL)
  const firstQuestion = asked.findIndex(isGeneric)
  const split = asked.findIndex((check) => check === 'standingOverAmbient' || check === 'weighedCharge')
  expect(asked.length).toBeGreaterThan(2)
  expect(firstQuestion === -1 || (split !== -1 && split < firstQuestion)).toBe(true)
})

test('the three checks shown first are three kinds of work', () => {
  for (const readings of [HIGH_AND_FULL, { suctionPressure: psig(88), liquidPressure: psig(330) }, {}]) {
    const first = checksOf(readings as Readings).slice(0, 3)
    expect(new Set(first.map(workOf)).size).toBe(first.length)
  }
})
