import { addJob, blankJob, removeJob } from './jobs'
import { OrzoDatabase } from './database'
import { jobRows, signOf } from './jobRows'
import { changeJob } from './records'
import { setTitle } from '@/core/record/edits/headEdits'

const NAMES = Array.from({ length: 150 }, (_v, i) => `job ${i}`)
let db: OrzoDatabase
let names = 0
beforeEach(() => {
  names += 1
  db = new OrzoDatabase(`rows-${names}`)
})
afterEach(() => db.delete())

async function fill() {
  for (const [i, title] of NAMES.entries()) {
    // many of the same instant: none may be passed over between two pieces
    const at = new Date(Date.UTC(2026, 0, 1 + Math.floor(i / 70))).toISOString()
    await addJob(db, { ...blankJob(at), title })
  }
}
const titles = () =>
  jobRows(db)
    .get()
    .rows.map(({ summary }) => summary.title)

test('the first screen is there before the whole, and the whole has every job once', async () => {
  await fill()
  const seen: number[] = []
  const stop = jobRows(db).subscribe(() => seen.push(jobRows(db).get().rows.length))
  await jobRows(db).refresh()
  stop()
  expect(seen).toEqual([60, NAMES.length])
  expect([...titles()].sort()).toEqual([...NAMES].sort())
  expect(jobRows(db).get().whole).toBe(true)
})

test('a change, a new job and a removed one come without reading all again', async () => {
  await fill()
  const clock = { now: () => Date.parse('2026-06-01T09:00:00Z'), zone: () => 'UTC' }
  const rows = jobRows(db, clock)
  // from a device whose clock runs ahead: what is changed here after it must be seen all the same
  await addJob(db, { ...blankJob('2027-01-01T00:00:00Z'), title: 'ahead' })
  await rows.refresh()
  const { id } = rows.get().rows.at(-1)!
  await changeJob(db, id, setTitle('Dome'), clock)
  expect(await signOf(db)).toEqual({ count: NAMES.length + 1 })
  await rows.refresh()
  expect(titles()).toContain('Dome')
  await addJob(db, { ...blankJob('2026-06-02T09:00:00Z'), title: 'new' })
  await rows.refresh()
  expect(titles()).toEqual(expect.arrayContaining(['new', 'Dome', 'ahead']))
  await removeJob(db, id)
  await rows.refresh()
  expect(titles()).not.toContain('Dome')
  expect(titles()).toHaveLength(NAMES.length + 1)
  // an older one, as from a file, stands where it belongs
  await addJob(db, { ...blankJob('2020-01-01T00:00:00Z'), title: 'old' })
  await rows.refresh()
  expect(titles()).toContain('old')
})

describe('what changed since the last look', () => {
  const LOOKED = Date.parse('2026-06-01T09:00:00Z')
  const clock = { now: () => LOOKED, zone: () => 'UTC' }
  /** One job, looked at; then changed by another window at a moment, and looked at again. */
  async function seenAfter(changedAt: number) {
    await addJob(db, { ...blankJob('2026-01-01T00:00:00Z'), title: 'before' })
    const rows = jobRows(db, clock)
    await rows.refresh()
    const [row] = await db.jobIndex.toArray()
    const summary = { ...row!.summary, title: 'after' }
    await db.jobIndex.put({ ...row!, summary, updatedAt: new Date(changedAt).toISOString() })
    const all = jest.spyOn(db.jobIndex, 'orderBy')
    await rows.refresh()
    const read = all.mock.calls.length
    all.mockRestore()
    return { title: rows.get().rows[0]!.summary.title, whole: rows.get().whole, read }
  }
  test.each([
    [-1999, 'after'],
    [-2000, 'after'],
    [-2001, 'before'],
  ])('%i ms from the last look: the list says %s, and nothing else is read again', async (ms, title) => {
    expect(await seenAfter(LOOKED + ms)).toEqual({ title, whole: true, read: 0 })
  })
  test('the list is whole again after a change: the next change is no reason to read all either', async () => {
    await seenAfter(LOOKED)
    const all = jest.spyOn(db.jobIndex, 'orderBy')
    await addJob(db, { ...blankJob('2026-06-01T10:00:00Z'), title: 'new' })
    await jobRows(db, clock).refresh()
    expect(all).not.toHaveBeenCalled()
    expect(titles()).toEqual(expect.arrayContaining(['after', 'new']))
    all.mockRestore()
  })
})
