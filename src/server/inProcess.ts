import { EventEmitter } from 'node:events'
import { type Ask, answerText } from './answerText'
import type { Thread } from './pool'

/** A thread of tests: the same code, in this process. */
class InProcess extends EventEmitter {
  postMessage({ ask, text }: { ask: Ask; text: string }) {
    answerText(ask, text).then(
      (answered) => this.emit('message', answered),
      (error: unknown) => this.emit('error', error),
    )
  }
  terminate() {
    this.removeAllListeners()
  }
}

export const startThread = (): Thread => new InProcess()
