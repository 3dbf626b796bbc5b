import { seededRandom } from '@/core/base/numeric/random'
import { type Activity, MACHINES, type Problem, type Stretch } from '@/core/repair/schedule/model'

export type Shape = {
  readonly least: number
  readonly most: number
  readonly people: number
  readonly days: number
}

const DAY = 1440
const HORIZON_DAYS = 4

/**
 * A problem like a day's work, drawn from a seed: a chain of stages as on a circuit, tasks that float beside it, machines, one
 * opening; nights, breaks, rain, deliveries.
 */
export function drawnProblem(seed: number, { least, most, people, days }: Shape): Problem {
  const random = seededRandom(seed)
  const whole = (from: number, to: number) => from + Math.floor(random() * (to - from + 1))
  const pick = <T>(all: readonly T[]): T => all[whole(0, all.length - 1)]!
  const size = whole(least, most)
  const isOpen = random() < 0.7
  const [opens, closes] = [Math.floor(size * 0.3), Math.floor(size * 0.55)]
  const activities: Activity[] = []
  for (let i = 0; i < size; i += 1) {
    const isFloating = random() < 0.35
    const earlier = (count: number) => [
      ...new Set(
        Array.from(
          { length: Math.min(i, count) },
          () => `a${whole(isFloating ? 0 : Math.max(0, i - 4), i - 1)}`,
        ),
      ),
    ]
    const [first, ...rest] = i === 0 ? [] : earlier(whole(1, 3))
    const after = first === undefined ? [] : [first, ...rest]
    const alongside = after.length > 1 && random() < 0.3 ? [after.pop()!] : []
    activities.push({
      id: `a${i}`,
      handsOn: whole(3, 30),
      unattended: random() < 0.4 ? whole(10, 60) : 0,
      ...(random() < 0.45 ? { machine: pick(MACHINES) } : {}),
      after,
      ...(alongside.length > 0 ? { alongside } : {}),
      ...(random() < 0.1 ? { notBefore: whole(30, 300) } : {}),
      ...(isOpen && i >= opens && i < closes && !isFloating ? { opening: 0 } : {}),
    })
  }
  const nights = Array.from({ length: HORIZON_DAYS }, (_x, day): Stretch => ({
    from: day * DAY + 780,
    to: (day + 1) * DAY,
  }))
  const breaks = Array.from({ length: HORIZON_DAYS }, (_x, day): Stretch => {
    const from = day * DAY + whole(180, 270)
    return { from, to: from + 30 }
  })
  const rain = Array.from({ length: days > 0 ? whole(0, 2) : 0 }, (): Stretch => {
    const from = whole(0, 500)
    return { from, to: from + whole(30, 240) }
  })
  return {
    activities,
    people,
    idle: days > 0 ? breaks : [],
    closed: days > 0 ? nights : [],
    shut: days > 0 ? [...nights, ...rain] : [],
    still: days > 0 && random() < 0.4 ? nights : [],
    horizon: HORIZON_DAYS * DAY,
  }
}

/** Forty cases whose optima are stored: one to three people, four days in ten without breaks, rain and nights. */
const FORTY = Array.from({ length: 40 }, (_x, i) => ({
  seed: i + 1,
  shape: { least: 25, most: 40, people: 1 + (i % 3), days: i % 5 < 2 ? 0 : 1 },
}))
/** Twenty more of 41 tasks and two people, those among them that no search ends. */
const LARGE = Array.from({ length: 20 }, (_x, i) => ({
  seed: 1001 + i,
  shape: { least: 41, most: 41, people: 2, days: (i + 1) % 5 < 2 ? 0 : 1 },
}))
export const STORED_CASES = [...FORTY, ...LARGE]
