import { EventEmitter } from 'node:events'
import { Worker } from 'node:worker_threads'
import { ROUTE_LIMITS } from './limits'
import { AnswerPool, type Thread } from './pool'

/** A thread that answers when it is told to. */
class Hand extends EventEmitter {
  readonly asked: string[] = []
  ended = false
  postMessage({ text }: { text: string }) {
    this.asked.push(text)
  }
  terminate() {
    this.ended = true
  }
  answer() {
    this.emit('message', { json: `"${this.asked.at(-1)}"` })
  }
}

function pool(limits: Partial<ConstructorParameters<typeof AnswerPool>[1]> = {}) {
  const threads: Hand[] = []
  const start = () => {
    const hand = new Hand()
    threads.push(hand)
    return hand satisfies Thread
  }
  const few = { threads: 1, waiting: 2, ofOneClient: 3, answerTime: 1000, idleTime: 100, ...limits }
  const reported: string[] = []
  const answers = new AnswerPool(start, few, ({ message }) => void reported.push(message))
  return { threads, reported, pool: answers }
}

beforeEach(() => void jest.useFakeTimers())
afterEach(() => void jest.useRealTimers())

test('one is computed, the others wait in their order and use the same thread', async () => {
  const { threads, pool: answers } = pool()
  const all = ['a', 'b', 'c'].map((text, i) => answers.ask('plan', text, `client ${i}`))
  expect(answers.state).toEqual({ computing: 1, waiting: 2, idle: 0 })
  for (let i = 0; i < 3; i += 1) {
    threads[0]!.answer()
    await all[i]
  }
  expect(await Promise.all(all)).toEqual([{ json: '"a"' }, { json: '"b"' }, { json: '"c"' }])
  expect(threads).toHaveLength(1)
})

test('so many wait; one more is sent away, and taken when there is room again', async () => {
  const { threads, pool: answers } = pool()
  const first = answers.ask('plan', 'a', 'x')
  void answers.ask('plan', 'b', 'y')
  void answers.ask('plan', 'c', 'z')
  expect(await answers.ask('plan', 'd', 'u')).toEqual({ none: 'server-has-many' })
  threads[0]!.answer()
  await first
  void answers.ask('plan', 'd', 'u')
  expect(answers.state).toEqual({ computing: 1, waiting: 2, idle: 0 })
})

test('so many of one client; another one still gets its turn', async () => {
  const { pool: answers } = pool({ waiting: 9 })
  for (const text of ['a', 'b', 'c']) void answers.ask('plan', text, 'x')
  expect(await answers.ask('plan', 'd', 'x')).toEqual({ none: 'client-has-many' })
  void answers.ask('plan', 'd', 'y')
  expect(answers.state).toEqual({ computing: 1, waiting: 3, idle: 0 })
})

test('an answer has its time: just below it is waited for, then the thread ends and the next question gets a new one', async () => {
  const { threads, pool: answers } = pool()
  const [slow, next] = [answers.ask('plan', 'a', 'x'), answers.ask('plan', 'b', 'x')]
  jest.advanceTimersByTime(999)
  expect(threads[0]!.ended).toBe(false)
  jest.advanceTimersByTime(1)
  expect(await slow).toEqual({ none: 'too-long' })
  expect(threads[0]!.ended).toBe(true)
  threads[1]!.answer()
  expect(await next).toEqual({ json: '"b"' })
})

test.each([
  ['ERR_WORKER_OUT_OF_MEMORY', 'too-much-memory'],
  [undefined, 'broke'],
])('a thread that fails with %s is replaced', async (code, none) => {
  const { threads, reported, pool: answers } = pool()
  const [bad, next] = [answers.ask('plan', 'a', 'x'), answers.ask('plan', 'b', 'x')]
  threads[0]!.emit('error', Object.assign(new Error('no'), { code }))
  expect(await bad).toEqual({ none })
  expect(reported).toEqual(['no'])
  threads[1]!.answer()
  expect(await next).toEqual({ json: '"b"' })
})

test('nobody waits any more: what waited is forgotten, what is computed is stopped', async () => {
  const { threads, pool: answers } = pool()
  const [first, second] = [new AbortController(), new AbortController()]
  const computed = answers.ask('plan', 'a', 'x', first.signal)
  const waits = answers.ask('plan', 'b', 'x', second.signal)
  second.abort()
  expect(await waits).toEqual({ none: 'gone' })
  first.abort()
  expect(await computed).toEqual({ none: 'gone' })
  expect(threads[0]!.ended).toBe(true)
  expect(answers.state).toEqual({ computing: 0, waiting: 0, idle: 0 })
})

test('a thread that has nothing to do ends after a while, and not while it is used', async () => {
  const { threads, pool: answers } = pool()
  const first = answers.ask('plan', 'a', 'x')
  threads[0]!.answer()
  await first
  jest.advanceTimersByTime(99)
  const second = answers.ask('plan', 'b', 'x')
  jest.advanceTimersByTime(99)
  expect(threads[0]!.ended).toBe(false)
  threads[0]!.answer()
  await second
  jest.advanceTimersByTime(100)
  expect(threads[0]!.ended).toBe(true)
  expect(answers.state.idle).toBe(0)
})

const fail = (error: Error) => {
  throw error
}

test('a thread that cannot be started is told, and the next question is tried again', async () => {
  const reported: string[] = []
  let isBroken = true
  const hand = new Hand()
  const limits = { threads: 1, waiting: 2, ofOneClient: 3, answerTime: 1000, idleTime: 100 }
  const answers = new AnswerPool(
    () => {
      if (isBroken) throw new Error('no thread')
      return hand
    },
    limits,
    ({ message }) => void reported.push(message),
  )
  expect(await answers.ask('plan', 'a', 'x')).toEqual({ none: 'broke' })
  expect(reported).toEqual(['no thread'])
  isBroken = false
  const next = answers.ask('plan', 'b', 'x')
  hand.answer()
  expect(await next).toEqual({ json: '"b"' })
})

test('where no thread can be started, nobody behind it waits for ever', async () => {
  const first = new Hand()
  let starts = 0
  const limits = { threads: 1, waiting: 2, ofOneClient: 3, answerTime: 1000, idleTime: 100 }
  const reported: string[] = []
  const answers = new AnswerPool(
    () => {
      starts += 1
      if (starts > 1) throw new Error('no thread')
      return first
    },
    limits,
    ({ message }) => void reported.push(message),
  )
  const all = ['a', 'b', 'c'].map((text) => answers.ask('plan', text, 'x'))
  first.emit('error', new Error('gone'))
  expect(await Promise.all(all)).toEqual([{ none: 'broke' }, { none: 'broke' }, { none: 'broke' }])
  expect(reported).toEqual(['gone', 'no thread', 'no thread'])
  expect(answers.state).toEqual({ computing: 0, waiting: 0, idle: 0 })
})

test('what breaks a thread that rests is told too, and it is used no more', async () => {
  const { threads, reported, pool: answers } = pool()
  const asked = answers.ask('plan', 'a', 'x')
  threads[0]!.answer()
  await asked
  threads[0]!.emit('error', new Error('died resting'))
  expect(reported).toEqual(['died resting'])
  expect(threads[0]!.ended).toBe(true)
  void answers.ask('plan', 'b', 'x')
  expect(threads).toHaveLength(2)
})

const ECHO =
  "const { parentPort } = require('node:worker_threads'); parentPort.on('message', ({ text }) => parentPort.postMessage({ json: text }))"

test('a real thread answers one question after another, and what goes away leaves it usable', async () => {
  jest.useRealTimers()
  let started = 0
  const limits = { threads: 1, waiting: 9, ofOneClient: 9, answerTime: 20_000, idleTime: 1000 }
  const answers = new AnswerPool(
    () => {
      started += 1
      return new Worker(ECHO, { eval: true })
    },
    limits,
    fail,
  )
  for (const text of ['a', 'b', 'c']) expect(await answers.ask('plan', text, 'x')).toEqual({ json: text })
  expect(started).toBe(1)
  expect(await Promise.all(['d', 'e'].map((text) => answers.ask('plan', text, 'x')))).toEqual([
    { json: 'd' },
    { json: 'e' },
  ])
  expect(started).toBe(1)
})

test.each([
  [1, 1],
  [2, 1],
  [4, 3],
  [16, 4],
])('of %d cores %d compute', (cores, threads) => expect(ROUTE_LIMITS.threads(cores)).toBe(threads))
