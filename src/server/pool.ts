import type { Answered, Ask } from './answerText'
import type { ROUTE_LIMITS } from './limits'

/** What the pool needs of a thread. */
export type Thread = {
  postMessage(question: { ask: Ask; text: string }): void
  on(event: 'message', hear: (answered: Answered) => void): unknown
  on(event: 'error', hear: (error: Error & { code?: string }) => void): unknown
  off(event: 'message', hear: (answered: Answered) => void): unknown
  off(event: 'error', hear: (error: Error) => void): unknown
  terminate(): unknown
}

/** Why there is no answer. */
export type NoAnswer =
  'client-has-many' | 'server-has-many' | 'too-long' | 'too-much-memory' | 'broke' | 'gone'
export type Outcome = Answered | { readonly none: NoAnswer }

/** As `ROUTE_LIMITS` says, with the number of threads on this machine. */
type Limits = {
  readonly [
    K in keyof Pick<typeof ROUTE_LIMITS, 'waiting' | 'ofOneClient' | 'answerTime' | 'idleTime' | 'threads'>
  ]: number
}
type Question = {
  readonly ask: Ask
  readonly text: string
  readonly client: string
  readonly signal: AbortSignal | undefined
  readonly settle: (outcome: Outcome) => void
}

const OUT_OF_MEMORY = 'ERR_WORKER_OUT_OF_MEMORY'

/** Answers questions in threads, so many at once; the others wait in their order, or are sent away. */
export class AnswerPool {
  readonly #start: () => Thread
  readonly #limits: Limits
  readonly #report: (error: Error) => void
  readonly #waiting: Question[] = []
  readonly #computed = new Set<Question>()
  /** threads that stand ready, and how each is taken up again */
  readonly #idle = new Map<Thread, () => void>()

  /** @param report hears what broke a thread: a fault of this program */
  constructor(start: () => Thread, limits: Limits, report: (error: Error) => void) {
    this.#start = start
    this.#limits = limits
    this.#report = report
  }

  /** How many questions are computed and wait, and how many threads stand ready. */
  get state(): { computing: number; waiting: number; idle: number } {
    return { computing: this.#computed.size, waiting: this.#waiting.length, idle: this.#idle.size }
  }

  /**
   * Asks for an answer.
   * @param client who asks; each has so many questions at once
   * @param signal ends the question when nobody waits for it any more
   */
  ask(ask: Ask, text: string, client: string, signal?: AbortSignal): Promise<Outcome> {
    const ofClient = [...this.#waiting, ...this.#computed].filter((each) => each.client === client).length
    if (ofClient >= this.#limits.ofOneClient) return Promise.resolve({ none: 'client-has-many' })
    const isFree = this.#computed.size < this.#limits.threads
    if (!isFree && this.#waiting.length >= this.#limits.waiting)
      return Promise.resolve({ none: 'server-has-many' })
    return new Promise((settle) => {
      const question: Question = { ask, text, client, signal, settle }
      signal?.addEventListener('abort', () => this.#leave(question), { once: true })
      this.#waiting.push(question)
      this.#next()
    })
  }

  /** One who waited went away; a question that is computed is ended by its own listener. */
  #leave(question: Question) {
    const at = this.#waiting.indexOf(question)
    if (at === -1) return
    this.#waiting.splice(at, 1)
    question.settle({ none: 'gone' })
  }

  #next() {
    while (this.#computed.size < this.#limits.threads) {
      const question = this.#waiting.shift()
      if (!question) return
      const thread = this.#thread()
      if (thread) this.#compute(question, thread)
      else question.settle({ none: 'broke' })
    }
  }

  /** One that stands ready, else a new one; undefined where none can be started. */
  #thread(): Thread | undefined {
    const [ready] = this.#idle
    if (!ready) return this.#started()
    const [thread, wake] = ready
    wake()
    return thread
  }

  #started(): Thread | undefined {
    try {
      return this.#start()
    } catch (error) {
      this.#report(error as Error)
      return undefined
    }
  }

  #compute(question: Question, thread: Thread) {
    this.#computed.add(question)
    const end = (outcome: Outcome, isGood: boolean) => {
      if (!this.#computed.delete(question)) return
      clearTimeout(timer)
      question.signal?.removeEventListener('abort', leave)
      thread.off('message', answer)
      thread.off('error', fail)
      if (isGood) this.#rest(thread)
      else void thread.terminate()
      question.settle(outcome)
      this.#next()
    }
    const answer = (answered: Answered) => end(answered, true)
    const fail = (error: Error & { code?: string }) => {
      this.#report(error)
      end({ none: error.code === OUT_OF_MEMORY ? 'too-much-memory' : 'broke' }, false)
    }
    const leave = () => end({ none: 'gone' }, false)
    const timer = setTimeout(() => end({ none: 'too-long' }, false), this.#limits.answerTime)
    question.signal?.addEventListener('abort', leave)
    thread.on('message', answer)
    thread.on('error', fail)
    thread.postMessage({ ask: question.ask, text: question.text })
  }

  /** A thread that has nothing to do ends after a while, and gives its memory back. */
  #rest(thread: Thread) {
    const wake = () => {
      clearTimeout(ending)
      thread.off('error', fail)
      this.#idle.delete(thread)
    }
    const drop = () => {
      wake()
      void thread.terminate()
    }
    const fail = (error: Error) => {
      this.#report(error)
      drop()
    }
    const ending = setTimeout(drop, this.#limits.idleTime)
    // a server that ends does not wait for it
    ending.unref()
    thread.on('error', fail)
    this.#idle.set(thread, wake)
  }
}
