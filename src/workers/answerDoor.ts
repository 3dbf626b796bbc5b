import type { answerHandlers as AnswerHandlers } from './answerHandlers'
import { type Asking, type Door, doorTo } from './protocol'

let door: Door | undefined

/** The same questions answered in place, where there are no workers (tests, old browsers); the code comes when it is needed. */
const inPlace: Door = {
  ask: async <R>(name: string, input: unknown, { onStep }: Asking = {}) => {
    const { answerHandlers } = await import('./answerHandlers')
    placed ??= answerHandlers()
    const steps = placed[name as keyof typeof placed](input as never) as AsyncGenerator<unknown, unknown>
    for (;;) {
      const step = await steps.next()
      if (step.done) return step.value as R
      onStep?.(step.value as never)
    }
  },
}
let placed: ReturnType<typeof AnswerHandlers> | undefined

/** The way to everything that is computed of a job, away from the screen's thread. */
export function answerDoor(): Door {
  if (typeof Worker === 'undefined') return inPlace
  door ??= doorTo(() => new Worker(new URL('./answer.worker.ts', import.meta.url), { type: 'module' }))
  return door
}
