import type { WorkerClient } from '@/threads/protocol'
import type { SourceEvent } from './source'

/** What is heard of a bench. */
type Heard = { listen: (send: (events: SourceEvent[]) => void) => void }
type Method<A extends readonly unknown[] = never, R = unknown> = (...args: A) => R

/** A bench at the other end of a line: the same calls, each with a promise. */
export type Remote<B> = {
  readonly [K in keyof B]: B[K] extends Method<infer A, infer R> ? (...args: A) => Promise<Awaited<R>> : never
}

/** What the worker of a bench can be asked: to call one of its methods, and to tell what it hears. */
export function benchHandlers<B extends Heard>(bench: B) {
  return {
    async *call({ method, args }: { readonly method: keyof B; readonly args: readonly unknown[] }) {
      const own = bench[method] as Method<unknown[]>
      return await own.apply(bench, [...args])
    },
    /** Events as they come, without an end. */
    async *listen(_nothing: undefined): AsyncGenerator<SourceEvent[], never> {
      let waiting: SourceEvent[] = []
      let wake = () => undefined as void
      bench.listen((events) => {
        waiting.push(...events)
        wake()
      })
      for (;;) {
        if (waiting.length === 0) await new Promise<void>((resolve) => (wake = resolve))
        const events = waiting
        waiting = []
        yield events
      }
    },
  }
}

/** The bench behind a client. Listening has no promise: it goes on while the worker lives. */
export function remoteBench<B extends Heard>(
  client: WorkerClient<ReturnType<typeof benchHandlers<B>>>,
): Remote<B> {
  const calls = new Map<string, (...args: unknown[]) => Promise<unknown>>()
  const listen = async (send: (events: SourceEvent[]) => void) => {
    // it ends with its worker, which is no failure
    void client.ask('listen', undefined, { onStep: send }).catch(() => undefined)
  }
  return new Proxy({} as Remote<B>, {
    get: (_target, name) => {
      if (name === 'listen') return listen
      // what is awaited is asked whether it is a promise
      if (typeof name === 'symbol' || name === 'then') return undefined
      const known =
        calls.get(name) ?? ((...args: unknown[]) => client.ask('call', { method: name as keyof B, args }))
      calls.set(name, known)
      return known
    },
  })
}
