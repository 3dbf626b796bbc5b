import type { Draft } from 'immer'
import { inOrder } from '../logs/looks'
import type { LogHead, LogMark } from '../records/log'
import { type Edit, edit } from './edit'

/** When something happened: ms, or now where nothing is said. */
type When = { readonly at?: number | undefined }

const editLog = (id: string, change: (log: Draft<LogHead>, now: number) => void): Edit =>
  edit((job, { now }) => {
    const log = job.logs.find((each) => each.id === id)
    if (log) change(log, Date.parse(now))
  })

/** Seconds of a moment in a log; a log that began later begins then, and what stands in it keeps its moments. */
function secondsAt(log: Draft<LogHead>, at: number): number {
  const seconds = (at - Date.parse(log.startedAt)) / 1000
  if (seconds >= 0) return seconds
  log.startedAt = new Date(at).toISOString()
  for (const each of [...(log.looks ?? []), ...(log.marks ?? [])]) each.seconds -= seconds
  return 0
}

/** Puts looks and marks in order, and counts the looks of a log that is ended. */
function settled(log: Draft<LogHead>): void {
  if (!log.looks) return
  log.looks = inOrder(log.looks) as typeof log.looks
  if (log.samples !== undefined) log.samples = log.looks.length
}
const sortMarks = (log: Draft<LogHead>) => {
  log.marks = [...(log.marks ?? [])].sort((a, b) => a.seconds - b.seconds)
}

/** Writes down a look, now or at another moment. @param values in the units of the channels, null where not read */
export const addLook = (id: string, values: readonly (number | null)[], { at }: When = {}): Edit =>
  edit((job, { now, newId }) => {
    const log = job.logs.find((each) => each.id === id)
    if (!log?.looks) return
    const seconds = secondsAt(log, at ?? Date.parse(now))
    log.looks.push({ id: newId(), seconds, values: [...values] })
    settled(log)
  })

/** Corrects a look: its values, its moment, or both. */
export const changeLook = (
  id: string,
  lookId: string,
  { values, at }: When & { readonly values?: readonly (number | null)[] },
): Edit =>
  editLog(id, (log) => {
    const look = log.looks?.find((each) => each.id === lookId)
    if (!look) return
    if (values) look.values = [...values]
    if (at !== undefined) {
      const seconds = secondsAt(log, at)
      look.seconds = seconds
    }
    settled(log)
  })

/** Takes a look out of a log. */
export const removeLook = (id: string, lookId: string): Edit =>
  editLog(id, (log) => {
    if (!log.looks) return
    log.looks = log.looks.filter((each) => each.id !== lookId)
    settled(log)
  })

/** Something happens in a log, now or at another moment. */
export const markLog = (id: string, mark: Omit<LogMark, 'seconds'>, { at }: When = {}): Edit =>
  editLog(id, (log, now) => {
    const isTyped = log.looks !== undefined
    // a log of instruments keeps its beginning: its samples stand beside it
    const seconds = isTyped
      ? secondsAt(log, at ?? now)
      : Math.max(0, ((at ?? now) - Date.parse(log.startedAt)) / 1000)
    log.marks = [...(log.marks ?? []), { ...mark, seconds }]
    sortMarks(log)
  })

const isMark =
  ({ what, seconds, text }: LogMark) =>
  (other: LogMark) =>
    other.what === what && other.seconds === seconds && other.text === text

/** Takes a mark out of a log. */
export const removeMark = (id: string, mark: LogMark): Edit =>
  editLog(id, (log) => {
    const at = (log.marks ?? []).findIndex(isMark(mark))
    if (at >= 0) log.marks = log.marks!.filter((_each, i) => i !== at)
  })

/** Puts a mark at another moment. */
export const moveMark = (id: string, mark: LogMark, at: number): Edit =>
  editLog(id, (log) => {
    const own = (log.marks ?? []).find(isMark(mark))
    if (!own) return
    const seconds = log.looks ? secondsAt(log, at) : Math.max(0, (at - Date.parse(log.startedAt)) / 1000)
    own.seconds = seconds
    sortMarks(log)
  })

/** Ends a log that was typed; it can still be corrected. */
export const endTyped = (id: string): Edit =>
  editLog(id, (log) => {
    if (log.looks) log.samples = log.looks.length
  })
