import { isBoxKind } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Day } from '../../record/records/day'
import type { Arrival } from '../../record/records/head'

/** The day as it is planned: what was typed for it, and what was said on arrival. Clocks are those of its first day. */
export type PlannedDay = Day & {
  /** rain or a storm begins: the circuit is closed by then, and no more opened that day */
  readonly wetFrom?: string
  /** work ends that day: closing time, dark */
  readonly until?: string
  /** goods or people bear it until then */
  readonly goodsUntil?: string
  readonly weather?: Arrival['weather']
}

const WET: readonly Arrival['weather'][] = ['rain-expected', 'storm-expected']

/** What was said on arrival joins the day; what was typed for the day itself stands before it. */
export function plannedDay(
  day: Day | undefined,
  arrival: Arrival | undefined,
  unit: Pick<UnitPlate, 'kind'>,
): PlannedDay {
  const { weather, workUntil, goodsUntil } = arrival ?? {}
  const isWet = WET.includes(weather)
  return {
    ...day,
    ...(weather ? { weather } : {}),
    // the hour is that of the rain where rain is expected, else that of the building or the light
    ...(workUntil ? (isWet ? { wetFrom: workUntil } : { until: workUntil }) : {}),
    ...(goodsUntil && !day?.deadline
      ? { goodsUntil, deadlineOf: day?.deadlineOf ?? (isBoxKind(unit) ? 'goods' : 'space') }
      : {}),
  }
}
