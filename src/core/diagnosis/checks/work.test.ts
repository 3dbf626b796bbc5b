import { CHECK_IDS, type CheckId } from './checks'
import { differentWork, isGeneric, workOf } from './work'

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
