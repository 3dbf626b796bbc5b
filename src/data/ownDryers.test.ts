import { systemClock } from './clock'
import { SAMPLE_DRYER as OWN } from '@/core/record/records/sampleDryer'
import { OrzoDatabase } from './database'
import { listOwnDryers, putOwnDryers, removeOwnDryer } from './ownDryers'

let db: OrzoDatabase
let count = 0
beforeEach(() => {
  count += 1
  db = new OrzoDatabase(`own-dryers-${count}`)
})
afterEach(() => db.delete())

test('written, listed by name, written over, taken out', async () => {
  await putOwnDryers(db, [OWN, { ...OWN, id: 'b', label: 'a block' }], systemClock)
  expect((await listOwnDryers(db)).map(({ label }) => label)).toEqual(['a block', 'van block 9'])
  await putOwnDryers(db, [{ ...OWN, tons: 5 }], systemClock)
  expect((await listOwnDryers(db))[1]).toEqual({ ...OWN, tons: 5 })
  await removeOwnDryer(db, 'own-9')
  expect((await listOwnDryers(db)).map(({ id }) => id)).toEqual(['b'])
})

test('two tabs write two dryers: both stay; of one the later stays', async () => {
  await Promise.all([
    putOwnDryers(db, [OWN], systemClock),
    putOwnDryers(db, [{ ...OWN, id: 'other' }], systemClock),
    putOwnDryers(db, [{ ...OWN, tons: 6 }], systemClock),
  ])
  const all = await listOwnDryers(db)
  expect(all.map(({ id }) => id).sort()).toEqual(['other', 'own-9'])
})

test('all or none: a bad one among good ones names its place', async () => {
  await expect(putOwnDryers(db, [OWN, { ...OWN, id: 'c', block: -1 }], systemClock)).rejects.toThrow(
    /block is not above zero/,
  )
  expect(await listOwnDryers(db)).toEqual([])
})
