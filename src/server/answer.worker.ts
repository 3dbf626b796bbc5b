import { parentPort } from 'node:worker_threads'
import { type Ask, answerText } from './answerText'

/** One question at a time: the pool asks the next one when it has this answer. */
parentPort?.on('message', ({ ask, text }: { ask: Ask; text: string }) => {
  void answerText(ask, text).then((answered) => parentPort?.postMessage(answered))
})
