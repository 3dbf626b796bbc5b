import { wallMinutes, wallText } from '../../base/units/wall'
import { dayPartOf, dayTaskOf, type DayTask } from '../day/activities'
import type { DayQuestion } from '../day/planDay'
import type { Plan } from '../plan/plan'
import type { PlannedDay } from '../plan/plannedDay'
import type { RunSheet, SheetStep } from './runSheet'

/** Minutes hands-on that a task still takes: never less than one. */
const left = (likely: number, hands: number) => Math.max(1, Math.round(likely - hands))

const LATER: readonly SheetStep['state'][] = ['waits', 'blocked', 'ready', 'paused', 'hands', 'running']

/** A task with what is left of it. */
function rest({ task, state, hands, minutesLeft }: SheetStep, over: ReadonlySet<string>): DayTask {
  const { unattended, handsOn, after, alongside, second, ...same } = dayTaskOf(task)
  const isRunning = state === 'running'
  const own = isRunning ? 1 : left(handsOn[1], hands)
  const alone = isRunning ? Math.max(0, Math.ceil(minutesLeft ?? 0)) : undefined
  return {
    ...same,
    handsOn: isRunning
      ? [1, 1, 1]
      : [Math.min(own, left(handsOn[0], hands)), own, Math.max(own, left(handsOn[2], hands))],
    ...(alone !== undefined
      ? { unattended: [alone, alone, alone] as const }
      : unattended
        ? { unattended }
        : {}),
    // what was lifted is lifted
    ...(second && hands < second ? { second: Math.ceil(second - hands) } : {}),
    after: after.filter((each) => !over.has(each)),
    alongside: alongside.filter((each) => !over.has(each)),
  }
}

/** What was said on arrival holds for that day alone. */
function daySaidFor(day: PlannedDay, nowWall: string): PlannedDay {
  const isThatDay = day.start === undefined || day.start.slice(0, 10) === nowWall.slice(0, 10)
  if (isThatDay) return day
  const { wetFrom: _wet, until: _until, goodsUntil: _goods, weather: _weather, ...same } = day
  return same
}

/**
 * What is left of the day as a question of its own: tasks that are over are gone, what runs or was begun keeps its rest, and
 * it begins now.
 * @param nowWall the clock on the wall of the site, "2026-11-27T10:40"
 */
export function restOfDay(
  { parts, day }: Pick<Plan, 'parts' | 'day'>,
  sheet: RunSheet,
  nowWall: string,
): DayQuestion {
  const open = sheet.steps.filter(({ state }) => LATER.includes(state))
  const over = new Set<string>(
    sheet.steps.filter(({ state }) => !LATER.includes(state)).map(({ task }) => task.id),
  )
  const minutes = wallMinutes(nowWall)
  return {
    tasks: open.map((step) => rest(step, over)),
    parts: parts.map((part) => ({
      ...dayPartOf(part),
      needs: part.needs.filter((each) => !over.has(each)),
    })),
    later: [],
    day: { ...daySaidFor(day, nowWall), start: minutes === undefined ? nowWall : wallText(minutes) },
  }
}
