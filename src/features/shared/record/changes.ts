import { OrzoError } from '@/core/base/errors/orzoError'
import type { Edit } from '@/core/record/edits/edit'
import type { DocumentEdit } from '@/core/record/edits/inRound'
import { systemClock } from '@/data/clock'
import { randomWord } from '@/data/newId'
import { changeDocument } from '@/data/records'
import { database } from '@/data/shared'
import { recordStep } from '@/data/undo'
import { keepData } from '../storage/keepData'
import { storeSentence } from '../storage/storeSentence'
import { type Held, hold } from './held'

/**
 * Makes an edit in the round that is looked at and stores it.
 * @returns false where it was refused because it makes no sense; true where it is stored, or held
 */
export type ChangeJob = (edit: Edit) => Promise<boolean>
/** Makes a change of the whole document and stores it. */
export type ChangeDocument = (edit: DocumentEdit) => Promise<boolean>

/** What of a job's changes is not stored, and why. */
export type Unstored = { readonly held: readonly Held[]; readonly problem: string | undefined }

const NOTHING: Unstored = { held: [], problem: undefined }

const waitingText = (count: number, error: Error) =>
  `${count === 1 ? 'The last change is' : `The last ${count} changes are`} not stored yet and stand only on this page: ${storeSentence(error)}`

type Entry = { readonly held: Held; readonly done: (good: boolean) => void }

/**
 * The changes of one job in this tab: each is stored at once, in order. What the store does not take is held, stays on
 * screen, and is tried again with the next change or when one asks for it. What is refused is told and not held.
 */
class JobChanges {
  readonly #jobId: string
  #queue: readonly Entry[] = []
  #running: Promise<void> | undefined
  #state: Unstored = NOTHING
  readonly #watchers = new Set<() => void>()

  constructor(jobId: string) {
    this.#jobId = jobId
  }

  readonly get = (): Unstored => this.#state

  readonly watch = (watcher: () => void): (() => void) => {
    this.#watchers.add(watcher)
    return () => this.#watchers.delete(watcher)
  }

  readonly change: ChangeDocument = (edit) =>
    new Promise((done) => {
      this.#queue = [...this.#queue, { held: hold(edit, systemClock, randomWord), done }]
      askBeforeLeaving()
      void this.retry()
    })

  /** Whether something is not stored: it is held, or on its way. */
  readonly isWaiting = (): boolean => this.#queue.length > 0

  /** Stores what waits. */
  readonly retry = (): Promise<void> => {
    this.#running ??= this.#storeAll()
    return this.#running
  }

  readonly tell = (problem: string | undefined): void => this.#set({ ...this.#state, problem })

  #set(state: Unstored) {
    const { held, problem } = this.#state
    // a change that was stored leaves nothing behind: the page is not drawn for that
    if (state.problem === problem && state.held.length === 0 && held.length === 0) return
    this.#state = state
    this.#watchers.forEach((watcher) => watcher())
  }

  async #storeAll(): Promise<void> {
    for (let entry = this.#queue[0]; entry; entry = this.#queue[0]) {
      const error = await this.#store(entry.held)
      if (error && !(error instanceof OrzoError)) {
        const held = this.#queue.map((each) => each.held)
        // whoever hears of it may change more at once: that is tried anew
        this.#running = undefined
        this.#set({ held, problem: waitingText(held.length, error) })
        this.#queue.forEach(({ done }) => done(true))
        return
      }
      this.#queue = this.#queue.slice(1)
      const held = this.#state.held.filter((each) => each !== entry.held)
      const waiting = held.length > 0 ? this.#state.problem : undefined
      this.#set({ held, problem: error ? `Not saved: ${error.message}` : waiting })
      entry.done(error === undefined)
    }
    this.#running = undefined
    askBeforeLeaving()
  }

  async #store({ edit, stamp }: Held): Promise<Error | undefined> {
    try {
      const clock = { ...systemClock, now: () => Date.parse(stamp.now) }
      const { changes, job } = await changeDocument(database(), this.#jobId, edit, clock)
      recordStep(this.#jobId, changes, systemClock.now())
      if (!job.demo) keepData()
      return undefined
    } catch (error) {
      return error as Error
    }
  }
}

const jobs = new Map<string, JobChanges>()

/** The changes of a job, kept while the tab lives: what waits is not lost by going to another page of Orzo. */
export function changesOf(jobId: string): JobChanges {
  const known = jobs.get(jobId) ?? new JobChanges(jobId)
  jobs.set(jobId, known)
  return known
}

const ask = (event: BeforeUnloadEvent) => event.preventDefault()

/** Leaving the page while something waits, or is on its way to the store, is asked about. */
function askBeforeLeaving() {
  const isWaiting = [...jobs.values()].some((changes) => changes.isWaiting())
  if (isWaiting) addEventListener('beforeunload', ask)
  else removeEventListener('beforeunload', ask)
}
