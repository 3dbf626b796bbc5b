import { type ErrorCode, OrzoError } from '@/core/base/errors/orzoError'

/**
 * One protocol for every worker: a call answers in steps and ends with a result or an error; a newer call on the same
 * channel supersedes the older one.
 */
type Call = { readonly id: number; readonly name: string; readonly input: unknown; readonly channel?: string }
type Sent = { readonly name: string; readonly message: string; readonly code?: ErrorCode }
type Reply = { readonly id: number } & (
  | { readonly type: 'step' | 'done'; readonly value: unknown }
  | { readonly type: 'failed'; readonly error: Sent }
  | { readonly type: 'superseded' }
)

/** The end of a line of messages: a worker, its scope, or a port in tests. */
export type Port = {
  postMessage: (message: unknown, options?: { transfer?: Transferable[] }) => void
  addEventListener: (type: 'message', listener: (event: MessageEvent) => void) => void
}

/** What a worker can be asked: each yields what is known so far and returns the whole. */
export type Handlers = Readonly<Record<string, (input: never) => AsyncGenerator<unknown, unknown>>>
type InputOf<F> = F extends (input: infer I) => unknown ? I : never
type StepOf<F> = F extends (input: never) => AsyncGenerator<infer S, unknown> ? S : never
type ResultOf<F> = F extends (input: never) => AsyncGenerator<unknown, infer R> ? R : never

/** Lets messages in between two steps; a timer would be clamped to 4 ms. */
function breath(): Promise<void> {
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel()
    port1.onmessage = () => {
      port1.close()
      resolve()
    }
    port2.postMessage(undefined)
  })
}

const sentError = (error: unknown): Sent =>
  error instanceof OrzoError
    ? { name: error.name, message: error.message, code: error.code }
    : { name: 'Error', message: error instanceof Error ? error.message : String(error) }

/** Answers calls in a worker. */
export function serve(port: Port, handlers: Handlers): void {
  const latest = new Map<string, number>()
  const run = async ({ id, name, input, channel }: Call) => {
    const reply = (message: Omit<Extract<Reply, { type: 'step' | 'done' }>, 'id'>) =>
      port.postMessage({ id, ...message })
    const isSuperseded = () => channel !== undefined && latest.get(channel) !== id
    try {
      const handler = handlers[name]
      if (!handler) throw new Error(`${name} is not served here`)
      const steps = handler(input as never)
      for (;;) {
        const step = await steps.next()
        if (step.done) return reply({ type: 'done', value: step.value })
        reply({ type: 'step', value: step.value })
        await breath()
        if (isSuperseded()) return port.postMessage({ id, type: 'superseded' })
      }
    } catch (error) {
      port.postMessage({ id, type: 'failed', error: sentError(error) })
    }
  }
  port.addEventListener('message', ({ data }: MessageEvent<Call>) => {
    // a port to another worker is no call
    if (data.name === undefined) return
    if (data.channel !== undefined) latest.set(data.channel, data.id)
    void run(data)
  })
}

type Waiting = {
  readonly onStep: ((value: unknown) => void) | undefined
  readonly resolve: (value: unknown) => void
  readonly reject: (error: Error) => void
}

/** A call that a newer one took the place of; not an error of anybody's. */
export class Superseded extends Error {
  override name = 'Superseded'
}

type Asking<S> = {
  readonly channel?: string
  readonly onStep?: (value: S) => void
  /** buffers that go over to the worker instead of being copied */
  readonly transfer?: readonly ArrayBufferLike[]
}
/** The way to what handlers answer: each call typed by its own handler. */
export type WorkerClient<H extends Handlers> = {
  readonly ask: <K extends keyof H & string>(
    name: K,
    input: InputOf<H[K]>,
    asking?: Asking<StepOf<H[K]>>,
  ) => Promise<ResultOf<H[K]>>
}

const received = ({ name, message, code }: Sent): Error =>
  name === 'OrzoError' && code ? new OrzoError(code, message) : new Error(message)

/**
 * The way to a worker, started when it is first needed; one that breaks fails what waited and is started again.
 * @param start makes the worker
 */
export function clientTo<H extends Handlers>(
  start: () => Port & { terminate?: () => void },
): WorkerClient<H> {
  let port: (Port & { terminate?: () => void }) | undefined
  let count = 0
  const waiting = new Map<number, Waiting>()
  const hear = ({ data }: MessageEvent<Reply>) => {
    const call = waiting.get(data.id)
    if (!call) return
    if (data.type === 'step') return call.onStep?.(data.value)
    waiting.delete(data.id)
    if (data.type === 'done') call.resolve(data.value)
    else call.reject(data.type === 'failed' ? received(data.error) : new Superseded())
  }
  const broken = () => {
    port?.terminate?.()
    port = undefined
    const error = new Error('The computation broke off: change a reading or reload the page.')
    for (const call of waiting.values()) call.reject(error)
    waiting.clear()
  }
  const opened = () => {
    if (port) return port
    port = start()
    port.addEventListener('message', hear)
    ;(port as unknown as EventTarget).addEventListener('error', broken)
    return port
  }
  return {
    ask: <K extends keyof H & string>(
      name: K,
      input: InputOf<H[K]>,
      { channel, onStep, transfer = [] }: Asking<StepOf<H[K]>> = {},
    ) =>
      new Promise<ResultOf<H[K]>>((resolve, reject) => {
        count += 1
        waiting.set(count, {
          onStep: onStep as Waiting['onStep'],
          resolve: resolve as Waiting['resolve'],
          reject,
        })
        const call: Call = { id: count, name, input, ...(channel === undefined ? {} : { channel }) }
        opened().postMessage(call, { transfer: [...transfer] as Transferable[] })
      }),
  }
}

/**
 * The same questions answered in place, where there are no workers (tests, old browsers).
 * @param load fetches the code when it is first needed
 */
export function clientInPlace<H extends Handlers>(load: () => Promise<H>): WorkerClient<H> {
  let loaded: Promise<H> | undefined
  return {
    ask: async <K extends keyof H & string>(
      name: K,
      input: InputOf<H[K]>,
      { onStep }: Asking<StepOf<H[K]>> = {},
    ) => {
      loaded ??= load()
      const steps = (await loaded)[name]!(input as never)
      for (;;) {
        const step = await steps.next()
        if (step.done) return step.value as ResultOf<H[K]>
        onStep?.(step.value as StepOf<H[K]>)
      }
    },
  }
}
