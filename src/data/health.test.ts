import { OrzoDatabase } from './database'
import { readRawStores } from './rawStores'
import { guard, healthOf, rootName, watchHealth, whenOpen } from './health'

let count = 0
const name = () => `health-${(count += 1)}`

const rawOpen = (database: string, version: number) =>
  new Promise<IDBDatabase>((resolve, reject) => {
    const open = indexedDB.open(database, version)
    open.onupgradeneeded = () => open.result.createObjectStore(`made-at-${version}`)
    open.onsuccess = () => resolve(open.result)
    open.onerror = () => reject(open.error)
  })

const until = (is: () => boolean) =>
  new Promise<void>((done) => {
    const stop = watchHealth(() => {
      if (!is()) return
      stop()
      done()
    })
  })

function guarded(database: string) {
  const db = new OrzoDatabase(database)
  guard(db)
  return db
}

test('a store of this version is well', async () => {
  const db = guarded(name())
  expect(await whenOpen(db)).toBe(true)
  expect(healthOf(db)).toEqual({ state: 'well' })
  await db.delete()
})

test('a store of a newer Orzo is left alone', async () => {
  const database = name()
  const made = await rawOpen(database, 30)
  made.close()
  const db = guarded(database)
  expect(await whenOpen(db)).toBe(false)
  expect(healthOf(db)).toEqual({ state: 'newer' })
  const after = await rawOpen(database, 30)
  expect([...after.objectStoreNames]).toEqual(['made-at-30'])
  after.close()
  await expect(db.jobIndex.count()).rejects.toMatchObject({ name: 'DatabaseClosedError' })
})

test('a newer Orzo in another window closes this one for good', async () => {
  const database = name()
  const db = guarded(database)
  await whenOpen(db)
  const newer = await rawOpen(database, 30)
  expect(healthOf(db)).toEqual({ state: 'closed', by: 'newer' })
  await expect(db.jobIndex.count()).rejects.toMatchObject({ name: 'DatabaseClosedError' })
  newer.close()
})

test('data that another window removes is told', async () => {
  const database = name()
  const db = guarded(database)
  await whenOpen(db)
  await new Promise<void>((done) => {
    indexedDB.deleteDatabase(database).onsuccess = () => done()
  })
  expect(healthOf(db)).toEqual({ state: 'closed', by: 'removed' })
})

test('an older window that holds the store is told, and waited for', async () => {
  const database = name()
  // Dexie says so in the console too
  jest.spyOn(console, 'warn').mockImplementation(() => undefined)
  const older = await rawOpen(database, 10)
  const db = guarded(database)
  const blocked = until(() => healthOf(db).state === 'blocked')
  const opening = whenOpen(db)
  await blocked
  older.close()
  expect(await opening).toBe(true)
  expect(healthOf(db)).toEqual({ state: 'well' })
  await db.delete()
})

test('a store that does not open is told with what the browser said', async () => {
  const db = guarded(name())
  const open = jest
    .spyOn(db, 'open')
    .mockRejectedValueOnce(new DOMException('internal', 'UnknownError') as never)
  expect(await whenOpen(db)).toBe(false)
  expect(healthOf(db)).toMatchObject({ state: 'failed', error: { name: 'UnknownError' } })
  open.mockRestore()
})

test('what lies in a store is read at any version; a part that cannot be read is named, the rest given', async () => {
  const database = name()
  const made = await rawOpen(database, 30)
  made.transaction('made-at-30', 'readwrite').objectStore('made-at-30').put({ a: 1 }, 'k')
  made.close()
  expect(await readRawStores(database)).toEqual({ stores: { 'made-at-30': [{ a: 1 }] }, lost: [] })
  const reading = jest.spyOn(IDBObjectStore.prototype, 'getAll').mockImplementation(() => {
    throw new DOMException('damaged', 'DataError')
  })
  expect(await readRawStores(database)).toEqual({ stores: {}, lost: ['made-at-30'] })
  reading.mockRestore()
})

test.each([
  [new DOMException('x', 'QuotaExceededError'), 'QuotaExceededError'],
  [{ name: 'AbortError', inner: new DOMException('x', 'QuotaExceededError') }, 'QuotaExceededError'],
  [
    { name: 'BulkError', failures: [{ name: 'AbortError', inner: { name: 'QuotaExceededError' } }] },
    'QuotaExceededError',
  ],
  [new Error('x'), 'Error'],
])('what went wrong underneath %#', (error, expected) => expect(rootName(error)).toBe(expected))
