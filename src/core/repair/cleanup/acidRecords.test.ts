import { readData } from '../../record/records/kind'
import { type AcidTest, REPAIR } from '../../record/records/repair'
import { emptyJob } from '../../record/job/job'
import { addAcidTest, removeAcidTest, setAcidNumber, takeBackAcidTest } from '../../record/edits/repairEdits'
import type { Edit } from '../../record/edits/edit'
import { acidSigns, isAcidNegative, isOilTested } from './acidEvidence'
import { acidFound } from '../../record/job/acidTests'
import { cleanupRecord } from './record'

const test_ = (
  kind: AcidTest['kind'],
  hour: number,
  says: Pick<AcidTest, 'result' | 'acidNumber'>,
): AcidTest => ({
  id: `${kind}-${hour}`,
  at: `2026-11-27T${String(hour).padStart(2, '0')}:00:00.000Z`,
  kind,
  ...says,
})
const record = (acidTests: readonly AcidTest[], observations = {}) =>
  cleanupRecord({
    unit: { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' },
    observations,
    previousBurnout: false,
    faults: [],
    repair: { acidTests: [...acidTests] },
  })

describe('tests for acid are records of their own (handbook 06)', () => {
  test('the latest of each kind speaks, whatever the order in the list', () => {
    const found = acidFound(
      record([
        test_('oil-kit', 15, { result: 'weak' }),
        test_('oil-kit', 9, { result: 'strong' }),
        test_('strip', 8, { result: 'negative' }),
        test_('lab', 10, { acidNumber: 0.12 }),
      ]),
    )
    expect(found).toEqual({ strip: 'negative', oil: 'weak', number: 0.12 })
  })
  test('a strip and a kit are both evidence; the word of a set stands until a record says otherwise', () => {
    const both = record([
      test_('strip', 8, { result: 'negative' }),
      test_('oil-kit', 9, { result: 'strong' }),
    ])
    const said = acidSigns(both).map(({ sentence }) => sentence)
    expect(said).toContain('The acid test of the oil is strong.')
    expect(said).toContain('The acid test of the refrigerant is negative: weak evidence, the oil holds more.')
    const bySet = { acidTest: 'weak', acidTestKind: 'oil-kit' }
    expect(acidFound(record([], bySet)).oil).toBe('weak')
    expect(acidFound(record([test_('oil-kit', 9, { result: 'negative' })], bySet)).oil).toBe('negative')
    expect(acidFound(record([test_('strip', 9, { result: 'negative' })], bySet)).oil).toBe('weak')
  })
  test('a negative strip beside an oil that is acid frees no charge; the oil alone does', () => {
    expect(isAcidNegative(record([test_('strip', 8, { result: 'negative' })]))).toBe(true)
    expect(
      isAcidNegative(
        record([test_('strip', 8, { result: 'negative' }), test_('oil-kit', 9, { result: 'weak' })]),
      ),
    ).toBe(false)
    expect(isOilTested(record([test_('strip', 8, { result: 'negative' })]))).toBe(false)
    expect(isOilTested(record([test_('lab', 8, { acidNumber: 0.01 })]))).toBe(true)
  })
  test('one that says nothing is refused; records of before open', () => {
    expect(
      readData(REPAIR, 4, { acidTests: [{ id: 'a', at: '2026-11-27T08:00:00.000Z', kind: 'lab' }] }).ok,
    ).toBe(false)
    expect(readData(REPAIR, 3, { acidNumber: 0.1 })).toMatchObject({ ok: true, data: { acidNumber: 0.1 } })
  })
  test('edits: each with its moment; a figure that is typed over within ten minutes stays one test', () => {
    let ids = 0
    let job = emptyJob({ kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' })
    const at = (minute: number, made: Edit) => {
      const now = new Date(Date.parse('2026-11-27T08:00:00Z') + minute * 60_000).toISOString()
      job = made(job, { now, newId: () => `t${++ids}` }) as typeof job
    }
    at(0, addAcidTest({ kind: 'strip', result: 'negative' }))
    for (const [minute, figure] of [
      [1, 0.1],
      [2, 0.12],
      [10.9, 0.14],
      [11, 0.2],
    ] as const)
      at(minute, setAcidNumber(figure))
    expect(job.repair?.acidTests?.map(({ kind, acidNumber }) => [kind, acidNumber])).toEqual([
      ['strip', undefined],
      ['lab', 0.14],
      ['lab', 0.2],
    ])
    // emptied in the field: the last one goes, whatever the screen knew of it
    at(19, takeBackAcidTest('lab'))
    expect(job.repair?.acidTests).toHaveLength(2)
    for (const id of ['t1', 't2']) at(20, removeAcidTest(id))
    expect(job.repair).toBeUndefined()
    at(21, takeBackAcidTest('lab'))
    // a figure from before tests had their moments is typed over, and gone once the field is emptied
    job = { ...job, repair: { acidNumber: 0.12 } }
    at(22, setAcidNumber(0.2))
    expect(job.repair?.acidNumber).toBeUndefined()
    at(23, takeBackAcidTest('lab'))
    expect(job.repair).toBeUndefined()
  })
})
