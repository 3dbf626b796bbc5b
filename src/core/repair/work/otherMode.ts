import { instantOf } from '../../base/units/instants'
import { runsBothWays } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Job } from '../../record/job/job'

type Way = 'cooling' | 'heating'
const WAYS: readonly Way[] = ['cooling', 'heating']

/** Which modes of a heat pump are measured after the start, and for which day the other one is booked (handbook 09). */
export type OtherMode = {
  /** modes that no set after the start shows */
  readonly left: readonly Way[]
  /** the day on which what is left is proven */
  readonly bookedFor: string | undefined
}

type ModeJob = Pick<Job, 'readingSets' | 'repair' | 'run'> & { readonly unit: UnitPlate }

/** @returns undefined where the unit runs one way only; before the start nothing of it is shown */
export function otherMode({ unit, readingSets, repair, run }: ModeJob): OtherMode | undefined {
  const start = instantOf(repair?.startedAt)
  if (!runsBothWays(unit)) return undefined
  const shown = readingSets
    .filter(
      ({ at, readings }) =>
        start !== undefined && (instantOf(at) ?? -Infinity) >= start && Object.keys(readings).length > 0,
    )
    .map(({ mode }) => mode)
  return { left: WAYS.filter((way) => !shown.includes(way)), bookedFor: run?.otherModeOn }
}

/** What is missing before both modes are proven or booked. */
export function otherModeLacks(job: ModeJob): readonly string[] {
  const other = otherMode(job)
  if (!other || other.left.length === 0 || other.bookedFor !== undefined) return []
  if (other.left.length === WAYS.length) return ['a set in each mode, or the day for the other one']
  return [`a set in ${other.left.join()}, or the day for which it is booked`]
}
