import { setArrival, setTitle } from '@/core/record/edits/headEdits'
import { addSet } from '@/core/record/edits/setEdits'
import { edit, type Edit } from '@/core/record/edits/edit'
import { inRound } from '@/core/record/edits/inRound'
import { addJob, blankJob } from '@/data/jobs'
import { getDocument } from '@/data/records'
import { database } from '@/data/shared'
import { undo, undoable } from '@/data/undo'
import { systemClock } from '@/data/clock'
import { changesOf } from './changes'
import { withHeld } from './held'

const NOW = '2026-05-04T09:30:00.000Z'
const full = () => new DOMException('no room', 'QuotaExceededError')

async function opened() {
  const { id } = await addJob(database(), blankJob(NOW))
  const own = changesOf(id)
  const changes = { ...own, change: (made: Edit) => own.change(inRound(made)) }
  const refuse = () => jest.spyOn(database().records, 'bulkPut').mockRejectedValue(full())
  const stored = async () => (await getDocument(database(), id))!
  const shown = async () => withHeld(await stored(), changes.get().held)
  return { id, changes, refuse, stored, shown }
}
afterEach(() => jest.restoreAllMocks())

test('changes are stored in the order in which they were made', async () => {
  const { changes, stored } = await opened()
  const results = ['a', 'ab', 'abc'].map((title) => changes.change(setTitle(title)))
  expect(await Promise.all(results)).toEqual([true, true, true])
  expect((await stored()).title).toBe('abc')
  expect(changes.get()).toEqual({ held: [], problem: undefined })
})

test('what the store does not take is held in order, shown, and stored once there is room, as one can undo', async () => {
  const { id, changes, refuse, stored, shown } = await opened()
  const refusing = refuse()
  expect(await changes.change(setTitle('dome'))).toBe(true)
  expect(await changes.change(setArrival({ access: 'ladder' }))).toBe(true)
  expect(changes.get().held).toHaveLength(2)
  expect(changes.get().problem).toMatch(/last 2 changes are not stored yet .*no room left/)
  expect(await shown()).toMatchObject({ title: 'dome', arrival: { access: 'ladder' } })
  expect((await stored()).title).toBeUndefined()
  refusing.mockRestore()
  await changes.retry()
  expect(changes.get()).toEqual({ held: [], problem: undefined })
  expect(await stored()).toMatchObject({ title: 'dome', arrival: { access: 'ladder' } })
  expect(undoable(id)).toEqual({ undo: true, redo: false })
  await undo(database(), id, systemClock)
  expect((await stored()).arrival).toBeUndefined()
})

test('the problem is told until the last change is stored', async () => {
  const { changes, refuse } = await opened()
  const refusing = refuse()
  await changes.change(setTitle('dome'))
  await changes.change(setArrival({ access: 'ladder' }))
  refusing.mockRestore()
  const seen: { held: number; told: boolean }[] = []
  const stop = changes.watch(() => {
    const { held, problem } = changes.get()
    seen.push({ held: held.length, told: problem !== undefined })
  })
  await changes.retry()
  stop()
  expect(seen).toEqual([
    { held: 1, told: true },
    { held: 0, told: false },
  ])
})

test('the next change stores what waits before it', async () => {
  const { changes, refuse, stored } = await opened()
  const refusing = refuse()
  await changes.change(setTitle('first'))
  refusing.mockRestore()
  await changes.change(setArrival({ complaint: 'warm' }))
  expect(await stored()).toMatchObject({ title: 'first', arrival: { complaint: 'warm' } })
  expect(changes.get().held).toEqual([])
})

test('what was added while it waits keeps its ids, however often it is shown and then stored', async () => {
  const { changes, refuse, shown, stored } = await opened()
  const refusing = refuse()
  const withNewId = edit((job, { newId, now }) => {
    job.readingSets.push({ id: newId(), at: now, mode: 'cooling', readings: {} })
  })
  await changes.change(withNewId)
  const [once, twice] = [await shown(), await shown()]
  expect(once.readingSets[0]!.id).toBe(twice.readingSets[0]!.id)
  refusing.mockRestore()
  await changes.retry()
  expect((await stored()).readingSets).toEqual(once.readingSets)
})

test('what makes no sense is told and not held; what stands behind it is stored', async () => {
  const { changes, stored } = await opened()
  const bad = changes.change(setTitle('x'.repeat(3000)))
  const good = changes.change(addSet('set-1'))
  expect(await Promise.all([bad, good])).toEqual([false, true])
  expect(changes.get().held).toEqual([])
  expect((await stored()).readingSets.map(({ id }) => id)).toContain('set-1')
})

test('the page asks before it is left while something waits, and only then', async () => {
  const { changes, refuse } = await opened()
  const leaving = () => {
    const event = new Event('beforeunload', { cancelable: true })
    dispatchEvent(event)
    return event.defaultPrevented
  }
  expect(leaving()).toBe(false)
  // on its way to the store
  const onItsWay = changes.change(setTitle('annex'))
  expect(leaving()).toBe(true)
  await onItsWay
  expect(leaving()).toBe(false)
  const refusing = refuse()
  await changes.change(setTitle('dome'))
  expect(leaving()).toBe(true)
  refusing.mockRestore()
  await changes.retry()
  expect(leaving()).toBe(false)
})
