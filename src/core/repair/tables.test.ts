import { recorded } from '../../../tools/run/recorded'
import { ACID_SIGNS } from './cleanup/acidEvidence'
import { DRAINED } from './cleanup/drained'
import { DRYER_CATALOGUE } from './cleanup/dryerCatalogue'
import { OIL_ROWS } from './cleanup/oils'
import { SIZE_ROWS } from './cleanup/sizeRows'
import { USUAL } from './cleanup/usual'
import { WATER_SIGNS } from './cleanup/waterEvidence'
import { PART_IDS, partRow } from './plan/parts/catalogue'
import { REMEDIES } from './plan/remedies'
import { TASK_IDS, taskRow } from './plan/tasks/tasks'
import { USUAL_LIMITS } from './plan/testPressure'

/** Handbook 06, the generic sizes: block in^3, tons for R-22 at 1 psi, water in grams for R-22 and R-410A. */
const HANDBOOK_SIZES = [
  [3, 1, 2, 1.5, 1.2],
  [5, 2, 3, 2.8, 2.2],
  [8, 3, 5, 5, 4],
  [16, 5, 8, 10, 8],
  [30, 8, 12, 19, 15],
  [41, 12, 18, 27, 21],
] as const

test('the dryer catalogue holds the sizes of handbook 06; an acid-rich core water x 0.6', () => {
  for (const [block, least, most, waterR22, waterOther] of HANDBOOK_SIZES) {
    const of = (core: string) =>
      DRYER_CATALOGUE.filter((each) => each.place === 'liquid' && each.block === block && each.core === core)
    for (const sieve of of('sieve')) {
      expect(sieve.tons).toBeGreaterThanOrEqual(least)
      expect(sieve.tons).toBeLessThanOrEqual(most)
      expect([sieve.waterR22, sieve.waterOther]).toEqual([waterR22, waterOther])
    }
    for (const rich of of('high-acid')) expect(rich.waterR22).toBeCloseTo(0.6 * waterR22, 9)
    expect(of('sieve').length).toBeGreaterThan(0)
  }
})

/** Whatever stands in a table of figures changes in two places, on purpose. */
const TABLES: Readonly<Record<string, unknown>> = {
  dryers: DRYER_CATALOGUE,
  acidSigns: ACID_SIGNS.map(({ sentence, chances, asks, isStrip, ofOil }) => ({
    sentence,
    chances,
    asks,
    isStrip,
    ofOil,
  })),
  waterSigns: WATER_SIGNS.map(({ sentence, chances, wet }) => ({ sentence, chances, wet })),
  oils: OIL_ROWS,
  sizes: SIZE_ROWS,
  usual: USUAL,
  drained: DRAINED,
  limits: USUAL_LIMITS,
  parts: PART_IDS.map((id) => [id, partRow(id)]),
  remedies: REMEDIES,
  tasks: TASK_IDS.map((id) => [id, taskRow(id)]),
}

test.each(Object.keys(TABLES))('%s: its figures are the ones on record', (name) => {
  const now = `${JSON.stringify(TABLES[name], null, 1)}\n`
  expect(now).toBe(recorded(__dirname, `tables/${name}.json`, now))
})
