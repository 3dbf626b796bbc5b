import type { Draft } from 'immer'
import { clockMinutes, MINUTES_A_DAY, wallMinutes, wallText } from '../../base/units/wall'
import type { Job } from '../job/job'
import type { Day, PartEdit, Quote } from '../records/day'
import { type Edit, edit, put, putAll } from './edit'

type Values<T> = { readonly [K in keyof T]?: T[K] | undefined }

/** Changes the day; one in which nothing is left is taken away. */
const editDay = (change: (day: Draft<Day>) => void): Edit =>
  edit((job: Draft<Job>) => {
    const day = { ...job.day }
    change(day)
    if (Object.keys(day).length > 0) job.day = day
    else delete job.day
  })

/** Writes fields of the day; undefined takes one away. */
export const setDay = (values: Values<Day>): Edit => editDay((day) => putAll(day, values))

type Tables = 'notBefore' | 'minutes' | 'took'

/** Writes one row of a table by task; undefined takes it away, and the table with its last row. */
function row<K extends Tables>(table: K, id: string, value: NonNullable<Day[K]>[string] | undefined): Edit {
  return editDay((day) => {
    const rows: Record<string, unknown> = { ...day[table] }
    put(rows, id, value)
    put(day, table, Object.keys(rows).length > 0 ? (rows as Day[K]) : undefined)
  })
}

/** A task never begins earlier than a moment of the wall clock: where it was dragged to. */
export const pinTask = (id: string, wall: string | undefined): Edit => row('notBefore', id, wall)

/** Low, likely and high minutes of a task on this job. */
export const setTaskMinutes = (
  id: string,
  minutes: readonly [low: number, likely: number, high: number] | undefined,
): Edit => row('minutes', id, minutes && [...minutes])

/** What a task took, beside what was planned. */
export const noteTook = (
  id: string,
  took: { readonly planned: number; readonly actual: number } | undefined,
): Edit => row('took', id, took)

/** Rain that is forecast, a break: one more line, or one less by its place. */
export const addStretch = (
  table: 'rain' | 'breaks',
  stretch: { readonly from: string; readonly to: string },
): Edit =>
  editDay((day) => {
    day[table] = [...(day[table] ?? []), { ...stretch }]
  })
export const removeStretch = (table: 'rain' | 'breaks', index: number): Edit =>
  editDay((day) => {
    const left = (day[table] ?? []).filter((_each, i) => i !== index)
    put(day, table, left.length > 0 ? left : undefined)
  })

/** A moment or a time of day moved by some minutes; a time of day stays inside its day. */
function moved(text: string, minutes: number): string {
  const wall = wallMinutes(text)
  if (wall !== undefined) return wallText(wall + minutes)
  const clock = Math.min(MINUTES_A_DAY - 1, Math.max(0, clockMinutes(text) + minutes))
  return `${String(Math.floor(clock / 60)).padStart(2, '0')}:${String(clock % 60).padStart(2, '0')}`
}
const lengthOf = ({ from, to }: { readonly from: string; readonly to: string }) =>
  (wallMinutes(to) ?? clockMinutes(to)) - (wallMinutes(from) ?? clockMinutes(from))

/** Types one end of a stretch over; where it passes the other end, that one goes along and the length stays. */
export const setStretch = (
  table: 'rain' | 'breaks',
  index: number,
  side: 'from' | 'to',
  value: string,
): Edit =>
  editDay((day) => {
    day[table] = (day[table] ?? []).map((each, i) => {
      if (i !== index) return each
      const next = { ...each, [side]: value }
      if (next.from < next.to) return next
      return side === 'from'
        ? { from: value, to: moved(value, lengthOf(each)) }
        : { from: moved(value, -lengthOf(each)), to: value }
    })
  })

/** Writes how the quote stands. */
export const setQuote = (values: Values<Quote>): Edit =>
  editDay((day) => {
    const quote = { ...day.quote }
    putAll(quote, values)
    put(day, 'quote', Object.keys(quote).length > 0 ? quote : undefined)
  })

/** Changes one line of the load-out list. */
export const editPart = (id: string, values: Values<PartEdit>): Edit =>
  editDay((day) => {
    const part = { ...day.parts?.[id] }
    putAll(part, values)
    const parts = { ...day.parts }
    put(parts, id, Object.keys(part).length > 0 ? part : undefined)
    put(day, 'parts', Object.keys(parts).length > 0 ? parts : undefined)
  })

/** What a part must match at one point, or what a substitute offers there. */
export const setMatch = (id: string, side: 'wanted' | 'offered', point: string, text: string): Edit =>
  editDay((day) => {
    const part = { ...day.parts?.[id] }
    const points = { ...part[side] }
    put(points, point, text || undefined)
    put(part, side, Object.keys(points).length > 0 ? points : undefined)
    const parts = { ...day.parts }
    put(parts, id, Object.keys(part).length > 0 ? part : undefined)
    put(day, 'parts', Object.keys(parts).length > 0 ? parts : undefined)
  })

/** Adds a line of one's own to the load-out list. */
export const addOwnPart = (label: string): Edit =>
  edit((job, { newId }) => {
    const day = { ...job.day }
    day.ownParts = [...(day.ownParts ?? []), { id: newId(), label }]
    job.day = day
  })

/** Takes a line of one's own off again. */
export const removeOwnPart = (id: string): Edit =>
  editDay((day) => {
    const left = (day.ownParts ?? []).filter((each) => each.id !== id)
    put(day, 'ownParts', left.length > 0 ? left : undefined)
  })
