import { attempt } from '@/core/base/errors/orzoError'
import { type Clock, isoNow } from '@/core/base/units/instants'
import type { Stamp } from '@/core/record/edits/edit'
import type { DocumentEdit } from '@/core/record/edits/inRound'
import type { StoredDocument } from '@/core/record/job/job'

/** An edit that the store would not take, with the moment and the ids that it has whenever it is made. */
export type Held = { readonly edit: DocumentEdit; readonly stamp: Stamp }

/** Ids that come in the same order each time the edit is made, so that what it added stays the same thing. */
function steadyIds(newId: () => string): () => () => string {
  const ids: string[] = []
  return () => {
    let next = 0
    return () => {
      ids[next] ??= newId()
      next += 1
      return ids[next - 1] as string
    }
  }
}

/** Holds an edit at its moment. */
export function hold(edit: DocumentEdit, clock: Pick<Clock, 'now'>, newId: () => string): Held {
  const now = isoNow(clock)
  const ids = steadyIds(newId)
  return { edit: (job, { now: at }) => edit(job, { now: at, newId: ids() }), stamp: { now, newId } }
}

/** The job with what waits to be stored: what was typed stays on screen. An edit whose place is gone is left out. */
export const withHeld = (job: StoredDocument, held: readonly Held[]): StoredDocument =>
  held.reduce((now, { edit, stamp }) => {
    const made = attempt(() => edit(now, stamp) as StoredDocument)
    return made.ok ? made.value : now
  }, job)
