import { MessageChannel as Channel } from 'node:worker_threads'
import { OrzoError } from '@/core/base/errors/orzoError'
import { clientTo, type Handlers, type Port, serve, Superseded } from './protocol'

let ports: { close: () => void }[] = []

/** A client and its worker, joined by a real channel. */
function joined<H extends Handlers>(handlers: H) {
  const started = jest.fn()
  const client = clientTo<H>(() => {
    started()
    const { port1, port2 } = new Channel()
    ports.push(port1, port2)
    serve(port2 as unknown as Port, handlers)
    port2.start()
    port1.start()
    return port1 as unknown as Port
  })
  return { client, started }
}
afterEach(() => {
  ports.forEach((port) => port.close())
  ports = []
})

async function* counting(until: number) {
  for (let i = 1; i < until; i++) yield i
  return until
}

test('a call answers in steps and ends with the whole; the worker is started once', async () => {
  const { client, started } = joined({ count: counting })
  const steps: number[] = []
  expect(await client.ask('count', 4, { onStep: (value: number) => void steps.push(value) })).toBe(4)
  expect(steps).toEqual([1, 2, 3])
  expect(await client.ask('count', 1)).toBe(1)
  expect(started).toHaveBeenCalledTimes(1)
})

test('a newer call on the same channel supersedes the older one; another channel goes on', async () => {
  const { client } = joined({ count: counting })
  const first = client.ask('count', 1000, { channel: 'answer' })
  const other = client.ask('count', 50, { channel: 'other' })
  const second = client.ask('count', 3, { channel: 'answer' })
  await expect(first).rejects.toThrow(Superseded)
  expect(await second).toBe(3)
  expect(await other).toBe(50)
})

test('errors arrive with their sentence and code; what is not served is told', async () => {
  const { client } = joined({
    async *fail() {
      throw new OrzoError('not-loaded', 'The properties are not loaded yet.')
    },
  })
  await expect(client.ask('fail', undefined)).rejects.toMatchObject({
    code: 'not-loaded',
    message: 'The properties are not loaded yet.',
  })
  await expect(client.ask('nothing' as 'fail', undefined)).rejects.toThrow(/not served/)
})

test('a worker that breaks fails what waited, and the next call starts another', async () => {
  const listeners: Record<string, (event: unknown) => void> = {}
  const start = jest.fn(() => ({
    postMessage: () => undefined,
    addEventListener: (type: string, listener: (event: never) => void) => {
      listeners[type] = listener as (event: unknown) => void
    },
  }))
  const client = clientTo<Handlers>(start as never)
  const waiting = client.ask('x', 1 as never)
  listeners.error!({})
  await expect(waiting).rejects.toThrow(/broke off/)
  void client.ask('x', 2 as never).catch(() => undefined)
  expect(start).toHaveBeenCalledTimes(2)
})
