import { runs } from '../../../tools/run/propertyRuns'
import { silentJob, somePlaces, VERDICTS, withFigure } from '../../../tools/run/silentPlates'
import { planOf } from '../repair/plan/basis'
import { planJson } from './planJson'

/** The search for a day takes most of the time: one that its tasks settle stands in its place. */
jest.mock('../repair/day/planDay', () => ({
  dayQuestionOf: (plan: object) => plan,
  planDay: ({ tasks }: { tasks: readonly { id: string; handsOn: readonly number[] }[] }) => ({
    people: 1,
    calendar: { isDated: false, origin: 0 },
    handsOn: tasks.reduce((sum, { handsOn }) => sum + (handsOn[1] ?? 0), 0),
    unattended: 0,
    visits: [],
    later: [],
    rows: [],
  }),
}))

type Json = unknown
const isObject = (value: Json): value is Record<string, Json> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const idOf = (value: Json): string | undefined =>
  isObject(value) && (value.id ?? value.place ?? value.hours) !== undefined
    ? String(value.id ?? value.place ?? value.hours)
    : undefined
const isGuess = (value: Json): boolean => isObject(value) && value.source === 'assumed'

/** Graph edges and general rules: they tell the order of what is listed, no figure and no sentence of this unit. */
const STRUCTURE = ['after', 'alongside', 'meanwhile', 'needs', 'rules', 'basis', 'sources', 'policy']

/** Places whose value differs though nothing there says that it is assumed. */
function unmarked(before: Json, now: Json, at = '', marked = false): string[] {
  if (marked) return []
  if (Array.isArray(before) && Array.isArray(now)) {
    const ids = [...before, ...now].map(idOf)
    if (ids.length > 0 && ids.every((id) => id !== undefined))
      return [...new Set(ids)].flatMap((id) =>
        unmarked(
          before.find((each) => idOf(each) === id),
          now.find((each) => idOf(each) === id),
          `${at}[${id}]`,
          marked,
        ),
      )
    return JSON.stringify(before) === JSON.stringify(now) ? [] : [at]
  }
  const either = isObject(before) ? before : now
  const hasMark = [before, now].some((each) => isObject(each) && isGuess(each.basis))
  if (hasMark) return []
  if (
    isObject(either) &&
    (isObject(before) || before === undefined) &&
    (isObject(now) || now === undefined)
  ) {
    if (before === undefined || now === undefined) return [`${at} (there or not)`]
    const sources = isObject(before.sources) ? before.sources : {}
    return Object.keys({ ...before, ...(now as object) })
      .filter((key) => !STRUCTURE.includes(key))
      .flatMap((key) =>
        unmarked(before[key], (now as Record<string, Json>)[key], `${at}.${key}`, isGuess(sources[key])),
      )
  }
  return before === now ? [] : [`${at}: ${JSON.stringify(before)} -> ${JSON.stringify(now)}`]
}

test('a silent plate: whatever follows from an assumed figure says so, and no verdict rests on one', () => {
  const wrong = new Map<string, number>()
  let changed = 0
  for (let seed = 1; seed <= runs(200, 2000); seed++) {
    const { job, fault } = silentJob(seed)
    const json = () => planJson(planOf(job, [fault]))
    const before = json()
    expect(JSON.stringify(before)).not.toMatch(VERDICTS)
    for (const place of somePlaces(job.unit, seed))
      for (const factor of [0.5, 2]) {
        const now = withFigure(place, factor, json)
        if (JSON.stringify(now) === JSON.stringify(before)) continue
        changed += 1
        for (const path of unmarked(before, now)) {
          const key = `${place.name}: ${path.replace(/\d+(\.\d+)?/g, '#')}`
          wrong.set(key, (wrong.get(key) ?? 0) + 1)
        }
      }
  }
  expect([...wrong].map(([key, count]) => `${count} x ${key}`)).toEqual([])
  expect(changed).toBeGreaterThan(500)
})
