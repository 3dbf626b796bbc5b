import { type Basis, basisOf, guess } from '../../base/known/known'
import { isBoxKind, isPipedOnSite } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Charge } from '../charge/charge'
import type { RefrigerantPath } from '../charge/refrigerantPath'
import type { Contamination } from '../cleanup/contamination'
import type { PlanPart } from './parts/planParts'
import type { PlanTask } from './planTasks'
import { COMPRESSORS } from './tasks/tasks'

/** What one way takes. Minutes; kg to bring, undefined where it is not known. */
export type WayCost = {
  readonly handsOn: number
  readonly unattended: number
  /** parts that are bought to order */
  readonly parts: readonly string[]
  readonly refrigerant: number | undefined
  /** from the table of usual times, not from a plan of tasks */
  readonly isEstimate: boolean
  /** how what it is counted from is known */
  readonly basis: Basis
}

/** A new unit beside the repair of the old one. */
export type UnitSwap = {
  readonly of: 'condensing unit' | 'whole unit'
  readonly repair: WayCost
  readonly swap: WayCost
  /** what of the old one stays */
  readonly stays: readonly string[]
  /** what speaks for the new unit on this job */
  readonly reasons: readonly string[]
  readonly isBetter: boolean
}

/** What the comparison is made from. */
export type SwapPlan = {
  readonly tasks: readonly Pick<PlanTask, 'id' | 'handsOn' | 'unattended' | 'refused' | 'basis'>[]
  readonly parts: readonly Pick<PlanPart, 'label' | 'struck' | 'days'>[]
  readonly charge: Pick<Charge, 'total' | 'guess'> | undefined
  readonly contamination: Pick<Contamination, 'contents'>
  readonly faults: readonly unknown[]
  readonly refrigerantPath: Pick<RefrigerantPath, 'recovered'>
}
type SwapFacts = {
  readonly unit: UnitPlate
  readonly failedBefore: boolean
  /** the same job planned with a new condensing unit, or with a new compressor */
  readonly planned: (way: 'condensing-unit' | 'like-for-like') => SwapPlan
}

/** [practice] hands-on minutes of a unit that is changed whole, out and in, charged at the factory. */
const WHOLE = { appliance: 90, package: 360 } as const
/** [practice] a tenth less work decides alone; two other reasons do together. */
const LESS_WORK = 0.9
const ENOUGH_REASONS = 2
/** Refrigerants that are no longer made for new equipment in most places. [memory] */
const PHASED_OUT: readonly string[] = ['R-22', 'R-12']

const sum = (all: readonly number[]) => all.reduce((total, each) => total + each, 0)

function costOf({ tasks, parts, charge, refrigerantPath }: SwapPlan): WayCost {
  const done = tasks.filter(({ refused }) => !refused)
  const isOwn = refrigerantPath.recovered === 'reuse-in-same-equipment'
  return {
    handsOn: sum(done.map(({ handsOn }) => handsOn[1])),
    unattended: sum(done.map(({ unattended }) => unattended?.[1] ?? 0)),
    parts: parts.filter(({ struck, days }) => !struck && days !== undefined).map(({ label }) => label),
    refrigerant: isOwn ? 0 : charge?.total?.value,
    isEstimate: false,
    basis: basisOf(...done.map(({ basis }) => basis), charge?.total ?? charge?.guess),
  }
}

const wholeUnit = (unit: UnitPlate): WayCost => ({
  handsOn: isBoxKind(unit) ? WHOLE.appliance : WHOLE.package,
  unattended: 0,
  parts: ['the unit, charged at the factory'],
  refrigerant: 0,
  isEstimate: true,
  basis: guess('usual hours of a unit that is changed whole'),
})

const STAYS = {
  'condensing unit': [
    'the evaporator, where its valve suits refrigerant and tons',
    'the line set, blown out, where its sizes suit',
    'control wiring, disconnect, pad or frame',
  ],
  'whole unit': ['ducts, curb or niche', 'supply, disconnect, control wiring', 'drain'],
} as const

function reasonsOf(repair: SwapPlan, { unit, failedBefore }: SwapFacts): string[] {
  const { contamination, faults } = repair
  return [
    ...(contamination.contents.acid === 'strong'
      ? ['burnout: a new unit brings clean coil, oil, accumulator and compressor at once']
      : []),
    ...(failedBefore ? ['its compressor failed before'] : []),
    ...(PHASED_OUT.includes(unit.refrigerant) ? [`${unit.refrigerant} gets expensive`] : []),
    ...(faults.length > 1 ? [`${faults.length} faults on one unit`] : []),
  ]
}

/**
 * A new unit beside the repair, where a compressor is changed: hours, parts, refrigerant, what stays (handbook 07).
 * @returns undefined where no compressor is changed
 */
export function unitSwapOf(plan: SwapPlan, facts: SwapFacts): UnitSwap | undefined {
  const swaps = plan.tasks.filter(({ id }) => COMPRESSORS.includes(id))
  if (swaps.length === 0) return undefined
  const isSplit = isPipedOnSite(facts.unit)
  const isSwapPlanned = swaps.some(({ id }) => id === 'swapCondensingUnit')
  const repaired = isSwapPlanned ? facts.planned('like-for-like') : plan
  const repair = costOf(repaired)
  const swap = isSplit
    ? costOf(isSwapPlanned ? plan : facts.planned('condensing-unit'))
    : wholeUnit(facts.unit)
  const isLess = swap.handsOn <= repair.handsOn * LESS_WORK
  const reasons = [...(isLess ? ['less work'] : []), ...reasonsOf(repaired, facts)]
  const of = isSplit ? 'condensing unit' : 'whole unit'
  return { of, repair, swap, stays: STAYS[of], reasons, isBetter: isLess || reasons.length >= ENOUGH_REASONS }
}
