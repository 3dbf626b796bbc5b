import type { DayRow } from './workDay'

/** The tasks in the order in which they begin: one order for the drawing, its list, the run sheet and what comes next. */
export const orderOf = (rows: readonly Pick<DayRow, 'id' | 'start' | 'end'>[]): string[] =>
  [...rows].sort((a, b) => a.start - b.start || a.end - b.end).map(({ id }) => id)

/**
 * Tasks in an order of the day; one that has no time in it stays behind the task that it stood behind.
 * @param order ids as they begin
 */
export function inOrder<T extends { readonly id: string }>(
  tasks: readonly T[],
  order: readonly string[],
): T[] {
  const places = new Map(order.map((id, i) => [id, i]))
  let place = -1
  const placed = tasks.map((task, i) => {
    place = places.get(task.id) ?? place
    return { task, place, i, isTimed: places.has(task.id) }
  })
  return placed
    .sort((a, b) => a.place - b.place || Number(b.isTimed) - Number(a.isTimed) || a.i - b.i)
    .map(({ task }) => task)
}
