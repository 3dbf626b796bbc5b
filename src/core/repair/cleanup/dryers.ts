import { type Basis, basisOf, computed, type Known, known, whereItDecides } from '../../base/known/known'
import { isAcid, isWet } from './contamination'
import { scaledRange } from './exposure'
import { blockLadder, DRYER_CATALOGUE } from './dryerCatalogue'
import type { DryerModel, DryerPlace } from './dryerModel'
import {
  blockHolds,
  coreOver,
  type DryerNeed,
  lineSize,
  stepsByClass,
  tonsOn,
  usableWater,
  WATER_MARGIN,
} from './dryerNeed'
import { type Judged, judgeDryer, lacksOnlyCapacity } from './dryerRules'

/** A dryer with everything that was said of it. */
export type JudgedDryer = {
  readonly dryer: DryerModel
  readonly judged: readonly Judged[]
  /** lines that need a reducer, inches */
  readonly reducer?: { readonly from: number; readonly to: number }
}

/** What is done where no single dryer is enough. */
type DryerWays = {
  /** how many side by side carry tons and water */
  readonly parallel: number
  /** how many, one after another, hold the water */
  readonly visits: number
  readonly sentences: readonly string[]
}

export type DryerChoice = {
  readonly place: DryerPlace
  /** the best that fits; on the parts list even where it alone is not enough */
  readonly chosen: JudgedDryer | undefined
  /** what else is needed, where one is not enough */
  readonly ways: DryerWays | undefined
  /** other dryers that would do, the best first */
  readonly others: readonly JudgedDryer[]
  readonly refused: readonly JudgedDryer[]
  /** sizes that the class and the policy go up */
  readonly steps: number
  /** liquid that the new one holds and that the old one held, kg; liquid dryers only */
  readonly holds: number
  readonly oldHeld: Known<number> | undefined
  /** how what it was chosen by is known, and how the figures of its reasons are */
  readonly basis: Basis
  readonly figures: Basis
}

const MOST_OTHERS = 4

/** The refrigerant in which generic capacities are rated. */
export const DRYER_RATING_REFRIGERANT = 'R-22'

/** [practice] how much worse a choice is, in powers of e of block size: larger than wanted, a core that gives away water, a reducer, not on the van. */
const WORSE = { smaller: 3, core: 0.3, reducer: 0.12, notOnVan: 0.02, generic: 0.01 } as const
/** Sizes closer than this take the same line, inches. */
const SAME_SIZE = 0.04

function reducerOf(dryer: DryerModel, line: number | undefined): JudgedDryer['reducer'] {
  if (line === undefined || dryer.connections.some((size) => Math.abs(size - line) < SAME_SIZE))
    return undefined
  const nearest = [...dryer.connections].sort((a, b) => Math.abs(a - line) - Math.abs(b - line))[0]
  return nearest === undefined ? undefined : { from: line, to: nearest }
}

function badness({ dryer, reducer }: JudgedDryer, need: DryerNeed, wanted: number): number {
  const over = coreOver(dryer, need)
  const size = Math.log(dryer.block / wanted)
  return (
    (size < 0 ? -size * WORSE.smaller : size) +
    Math.max(over, 0) * WORSE.core +
    (reducer ? WORSE.reducer : 0) +
    (dryer.own ? (dryer.onVan > 0 ? 0 : WORSE.notOnVan) : WORSE.generic + WORSE.notOnVan)
  )
}

/** The size that is some steps above another on the ladder of sizes that are sold. */
function stepsAbove(block: number, steps: number, place: DryerPlace): number {
  const ladder = blockLadder(place)
  const at = ladder.findIndex((each) => each >= block)
  return ladder[Math.min((at < 0 ? ladder.length - 1 : at) + steps, ladder.length - 1)] ?? block
}

/** By the class; at least one where the company's policy says so (handbook 11). */
const stepsOf = (need: DryerNeed, place: DryerPlace) =>
  place === 'suction'
    ? 0
    : Math.max(
        stepsByClass(need),
        need.policy.liquidDryer === 'one-size-up' && !need.size.isAppliance.value ? 1 : 0,
      )

/** The block that a sound circuit of these tons takes: the smallest of the list that carries them, never below the old one. */
function baseBlock(need: DryerNeed, place: DryerPlace): number {
  const fits = DRYER_CATALOGUE.find(
    (dryer) => dryer.place === place && tonsOn(dryer, need) >= need.size.tons.value,
  )
  return fits?.block ?? blockLadder(place).at(-1) ?? 0
}

const isBigEnough = (judged: readonly Judged[]) => judged.every(({ holds }) => holds)

/** The dryers of the list and of the store, with all that the rules say. */
function judgeAll(place: DryerPlace, need: DryerNeed, own: readonly DryerModel[]): JudgedDryer[] {
  const line = lineSize(need.unit, place)
  return [...own, ...DRYER_CATALOGUE]
    .filter((dryer) => dryer.place === place)
    .map((dryer) => {
      const reducer = reducerOf(dryer, line)
      return { dryer, judged: judgeDryer(dryer, need), ...(reducer ? { reducer } : {}) }
    })
}

/** How many of a dryer carry the tons side by side, and hold the water one after another. */
function waysFor({ dryer }: JudgedDryer, need: DryerNeed): DryerWays {
  const tons = Math.ceil(need.size.tons.value / tonsOn(dryer, need))
  const water = Math.ceil((WATER_MARGIN * need.water.likely) / usableWater(dryer, need.refrigerant))
  return {
    parallel: Math.max(tons, 1),
    visits: dryer.place === 'liquid' ? Math.max(Math.ceil(water / Math.max(tons, 1)), 1) : 1,
    sentences: [
      ...(tons > 1
        ? [`${tons} in parallel carry the tons; or a replaceable-core shell of the maker for this size`]
        : []),
      ...(water > tons && dryer.place === 'liquid'
        ? [
            `${Math.ceil(water / tons)} after one another hold the water: a change on a return visit, that opening with its own test and vacuum`,
            'or two in parallel now, a longer warm vacuum, more of the oil out',
          ]
        : []),
    ],
  }
}

/** Liquid in the dryer that comes out, kg; nothing where none was fitted, undefined where nobody wrote it down. */
function oldHeldOf({ unit: { oldDryer }, refrigerant }: DryerNeed): Known<number> | undefined {
  if (oldDryer?.none) return known(0, 'typed', 'no dryer was fitted')
  const old = oldDryer?.cubicInches
  return old === undefined ? undefined : known(blockHolds(old, refrigerant), 'typed', 'the old dryer')
}

type Ranked = { readonly all: readonly JudgedDryer[]; readonly fitting: readonly JudgedDryer[] }

/** The block that is wanted: by tons, sizes up and the old dryer. */
const wantedBlock = (need: DryerNeed, place: DryerPlace): number =>
  Math.max(
    stepsAbove(baseBlock(need, place), stepsOf(need, place), place),
    (place === 'liquid' ? need.unit.oldDryer?.cubicInches : undefined) ?? 0,
  )

/** Every dryer judged, and those that fit, the best first. */
function rank(place: DryerPlace, need: DryerNeed, own: readonly DryerModel[]): Ranked {
  const all = judgeAll(place, need, own)
  const wanted = wantedBlock(need, place)
  const fitting = all
    .filter(({ judged }) => isBigEnough(judged))
    .sort((a, b) => badness(a, need, wanted) - badness(b, need, wanted))
  return { all, fitting }
}

/** The best that fits, or else the largest that lacks capacity alone. */
function bestOf({ all, fitting }: Ranked): JudgedDryer | undefined {
  if (fitting[0]) return fitting[0]
  const lacking = all.filter(({ judged }) => lacksOnlyCapacity(judged))
  return lacking.sort((a, b) => b.dryer.tons - a.dryer.tons || b.dryer.block - a.dryer.block)[0]
}

/** [memory] water by a guess at the inside errs by less than this factor. */
const WATER_FACTOR = 4

/** How the water is known, where another amount within its error would choose another dryer, or more of them. */
const waterThatDecides = (
  place: DryerPlace,
  need: DryerNeed,
  own: readonly DryerModel[],
): Basis | undefined =>
  place === 'liquid'
    ? whereItDecides(need.waterBasis, () =>
        [1 / WATER_FACTOR, 1, WATER_FACTOR].map((factor) => {
          const ranked = rank(place, { ...need, water: scaledRange(need.water, factor) }, own)
          return `${bestOf(ranked)?.dryer.id} ${ranked.fitting.length > 0}`
        }),
      )
    : undefined

/** The choice for one place. */
function choose(place: DryerPlace, need: DryerNeed, own: readonly DryerModel[]): DryerChoice {
  const ranked = rank(place, need, own)
  const { all, fitting } = ranked
  const chosen = bestOf(ranked)
  return {
    place,
    chosen,
    ways: fitting.length > 0 || !chosen ? undefined : waysFor(chosen, need),
    others: fitting.slice(1, 1 + MOST_OTHERS),
    refused: all.filter(({ judged }) => !isBigEnough(judged)),
    steps: stepsOf(need, place),
    holds: chosen && place === 'liquid' ? blockHolds(chosen.dryer.block, need.refrigerant) : 0,
    oldHeld: place === 'liquid' ? oldHeldOf(need) : computed(0),
    basis: basisOf(
      need.size.tons,
      need.size.isAppliance,
      need.contamination.basis,
      waterThatDecides(place, need, own),
    ),
    figures: basisOf(need.size.tons, need.size.isAppliance, need.contamination.basis, need.waterBasis),
  }
}

/** Whether a suction clean-up dryer goes in for a while: when acid or debris shows, or by policy (handbook 11). */
function wantsSuctionDryer({ contamination, policy, previousBurnout, size }: DryerNeed): boolean {
  if (size.isAppliance.value) return false
  return (
    isAcid(contamination) ||
    contamination.contents.debris ||
    (policy.suctionDryer === 'always-after-burnout' && previousBurnout) ||
    (policy.moistureSuctionDryer === 'acid-core' && isWet(contamination))
  )
}

/**
 * Liquid dryer always; suction dryer when acid or debris shows. Every dryer of the list and of the user's store is judged by every
 * rule, ranked, and told with its figures.
 * @param own dryers of the user's own store
 */
export function chooseDryers(need: DryerNeed, own: readonly DryerModel[] = []): DryerChoice[] {
  const places: DryerPlace[] = wantsSuctionDryer(need) ? ['liquid', 'suction'] : ['liquid']
  return places.map((place) => choose(place, need, own))
}
