import { HOUR, MINUTE } from '../../base/units/time'
import type { Repair } from '../../record/records/repair'
import type { Retest, Run } from '../../record/records/run'
import type { Plan } from '../plan/plan'

/** A test that is due some hours after the first start. */
export type RetestRow = Pick<Retest, 'id' | 'of' | 'dueAt'> & {
  readonly hours: number
  readonly what: string
  readonly known: Retest | undefined
  readonly state: 'ahead' | 'due' | 'running' | 'done'
  /** minutes that the kit still needs; undefined while none runs */
  readonly kitLeft: number | undefined
}

/** [practice] an acid kit is read after some minutes, a moisture indicator after it settled. */
const KIT_MINUTES = { acid: 5, moisture: 60 } as const
/** [practice] a moisture indicator tells the truth half a day after the start. */
const MOISTURE_HOURS = 12

const WHAT = {
  acid: 'Oil tested again for acid',
  moisture: 'Moisture indicator read again, at running temperature',
} as const

/** Acid and moisture tests after the start, each with its own clock; none before it ran. */
export function retestRows(
  { contamination }: Pick<Plan, 'contamination'>,
  repair: Repair | undefined,
  run: Run | undefined,
  now: number,
): RetestRow[] {
  const started = repair?.startedAt
  if (started === undefined) return []
  const wanted: readonly (readonly ['acid' | 'moisture', number])[] = [
    ...contamination.acid.retestHours.map((hours) => ['acid', hours] as const),
    ...(contamination.contents.wet ? [['moisture', MOISTURE_HOURS] as const] : []),
  ]
  return wanted
    .map(([of, hours]): RetestRow => {
      const id = `${of}-${hours}`
      const due = Date.parse(started) + hours * HOUR
      const known = run?.retests?.find((each) => each.id === id)
      const kitLeft =
        known?.startedAt && !known.doneAt
          ? KIT_MINUTES[of] - (now - Date.parse(known.startedAt)) / MINUTE
          : undefined
      const state = known?.doneAt ? 'done' : known?.startedAt ? 'running' : now >= due ? 'due' : 'ahead'
      return { id, of, hours, what: WHAT[of], dueAt: new Date(due).toISOString(), known, state, kitLeft }
    })
    .sort((a, b) => a.hours - b.hours)
}
