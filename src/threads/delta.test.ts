import { seededRandom } from '@/core/base/numeric/random'
import { DeltaReceiver, DeltaSender } from './delta'

type Thing = {
  readonly name: string
  readonly rows: readonly { readonly n: number }[]
  readonly more?: object
}
/** What crosses between threads is a copy. */
const cross = <T>(value: T): T => structuredClone(value)

test('only what is another object goes over; what stayed is the same object on the other side', () => {
  const [sender, receiver] = [new DeltaSender<Thing>(), new DeltaReceiver<Thing>()]
  const first: Thing = { name: 'a', rows: [{ n: 1 }, { n: 2 }, { n: 3 }], more: { x: 1 } }
  const one = receiver.receive(cross(sender.send(first)))
  expect(one).toEqual(first)
  const second = { ...first, rows: [first.rows[0]!, { n: 9 }, first.rows[2]!] }
  const delta = sender.send(second)
  expect(delta.fields).toEqual({ rows: { rows: [0, { row: { n: 9 } }, 2] } })
  const two = receiver.receive(cross(delta))
  expect(two).toEqual(second)
  expect(two.rows[0]).toBe(one.rows[0])
  expect(two.more).toBe(one.more)
})
test('a field that is gone is gone, and one that is told in parts stays', () => {
  const [sender, receiver] = [new DeltaSender<Thing>(), new DeltaReceiver<Thing>()]
  receiver.receive(cross(sender.send({ name: 'a', rows: [], more: {} })))
  expect(receiver.receive(cross(sender.send({ name: 'a', rows: [] })))).toMatchObject({ more: undefined })
  expect(receiver.receive(cross(sender.sendPart({ name: 'b' })))).toMatchObject({ name: 'b', rows: [] })
})
test('an end that lost what was sent asks for the whole', () => {
  const sender = new DeltaSender<Thing>()
  sender.send({ name: 'a', rows: [] })
  const next = sender.send({ name: 'b', rows: [] })
  const fresh = new DeltaReceiver<Thing>()
  expect(() => fresh.receive(next)).toThrow(expect.objectContaining({ code: 'lost-base' }))
  sender.reset()
  expect(fresh.receive(sender.send({ name: 'b', rows: [] }))).toEqual({ name: 'b', rows: [] })
})
test('300 random changes of rows and fields arrive as they are', () => {
  const random = seededRandom(5)
  const [sender, receiver] = [new DeltaSender<Thing>(), new DeltaReceiver<Thing>()]
  let thing: Thing = { name: 'a', rows: [] }
  for (let i = 0; i < 300; i += 1) {
    const rows = thing.rows.filter(() => random() > 0.1)
    const moved = random() < 0.2 ? [...rows].reverse() : rows
    const added = random() < 0.5 ? [...moved, { n: i }] : moved
    thing = {
      name: random() < 0.2 ? `name ${i}` : thing.name,
      rows: added.map((row) => (random() < 0.1 ? { n: row.n + 1 } : row)),
      ...(random() < 0.5 ? { more: { i } } : {}),
    }
    const { more, ...rest } = receiver.receive(cross(sender.send(thing)))
    expect({ ...rest, ...(more ? { more } : {}) }).toEqual(thing)
  }
})
