import { CAUTIONS, HAZARDS } from './cautions'
import { type Act, refusals, VETO_IDS, vetoesOf, vetoSentence } from './vetoes'

test.each(VETO_IDS)('%s refuses each of its acts, alone and among others, and says until when', (id) => {
  const [row] = vetoesOf([id])
  expect(row!.id).toBe(id)
  for (const act of row!.never) {
    expect(refusals([act], [id]).map((each) => each.id)).toEqual([id])
    expect(refusals(['lift' as Act, act], [id]).map((each) => each.id)).toEqual([id])
  }
  expect(refusals(['lift' as Act], [id])).toEqual([])
  expect(refusals(row!.never, [])).toEqual([])
  expect(vetoSentence(row!).length).toBeGreaterThan(20)
})

test('every caution has its word', () => {
  expect(Object.keys(HAZARDS).sort()).toEqual(Object.keys(CAUTIONS).sort())
})
