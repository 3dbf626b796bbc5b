import { type Basis, basisOf } from '../../base/known/known'
import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import type { Policy } from '../../record/policy/policy'
import { type AcidLedger, acidLedger, withCores } from './acid'
import { type CircuitSize, circuitSize } from './circuitSize'
import { classify, type Contamination, isWet } from './contamination'
import type { DryerModel } from './dryerModel'
import { type DryerNeed, usableWater, WATER_MARGIN } from './dryerNeed'
import { type DryerChoice, chooseDryers } from './dryers'
import type { CleanupRecord } from './record'
import { type WaterLedger, waterLedger, type WaterWork } from './water'

/** What a circuit is cleaned with, from what is known of its inside. */
export type Cleanup = {
  readonly contamination: Contamination
  readonly size: CircuitSize
  readonly water: WaterLedger
  readonly acid: AcidLedger
  readonly dryers: readonly DryerChoice[]
  readonly oilChanges: number
  /** what the work against acid and water rests on */
  readonly basis: Basis
  /** whether the likely rest of the water finds room, and whether the high side does too; kg that are missing */
  readonly closes: boolean
  readonly closesHigh: boolean
  readonly missing: number
  /** kg of water that the chosen dryer is asked to hold at most */
  readonly room: number
  readonly need: DryerNeed
}

export type CleanupInput = {
  readonly record: CleanupRecord
  readonly policy: Policy
  /** what goes in at the end */
  readonly refrigerant: RefrigerantName
  readonly own?: readonly DryerModel[]
  /** a circuit that stays closed gets no dryer and no oil */
  readonly opens?: boolean
}

/** [practice] handbook 01: likely hours of a clean and of a wet evacuation. */
const CLEAN_HOURS = 0.6
const WET_HOURS = 4

/** What is done against water, the least first; each is more than the one before. [practice] */
const WET_WORK: readonly WaterWork[] = [
  { oilChanges: 1, sweeps: 3, hours: WET_HOURS },
  { oilChanges: 1, sweeps: 4, hours: WET_HOURS },
  { oilChanges: 2, sweeps: 4, hours: WET_HOURS },
  { oilChanges: 2, sweeps: 5, hours: 8 },
  { oilChanges: 3, sweeps: 6, hours: 8 },
  { oilChanges: 3, sweeps: 6, hours: 24 },
]
const CLEAN_WORK: WaterWork = { oilChanges: 0, sweeps: 1, hours: CLEAN_HOURS }
const TRIPLE_WORK: WaterWork = { oilChanges: 0, sweeps: 3, hours: 2 }

function worksFor(contamination: Contamination, policy: Policy): readonly WaterWork[] {
  if (isWet(contamination)) return WET_WORK
  return contamination.triple || policy.evacuation === 'always-triple' ? [TRIPLE_WORK] : [CLEAN_WORK]
}

const roomIn = (choice: DryerChoice | undefined, refrigerant: RefrigerantName): number =>
  choice?.chosen ? usableWater(choice.chosen.dryer, refrigerant) / WATER_MARGIN : 0

/**
 * Class, ledgers and dryers together: the least work against water after which the dryer that the class asks for holds
 * twice the rest. Where no work is enough, the largest work and the best dryer stand, with what is missing.
 * @throws OrzoError not-loaded, out-of-range
 */
export function planCleanup({ record, policy, refrigerant, own = [], opens = true }: CleanupInput): Cleanup {
  const size = circuitSize(record.unit)
  const contamination = classify(record, size)
  const acid = acidLedger(record, contamination)
  const works = opens ? worksFor(contamination, policy) : [CLEAN_WORK]
  const tried = works.map((work) => {
    const oilChanges = opens ? Math.max(work.oilChanges, acid.changes) : 0
    const water = waterLedger(record, size, { ...work, oilChanges })
    const need: DryerNeed = {
      unit: record.unit,
      refrigerant,
      size,
      contamination,
      water: water.remainder,
      waterBasis: water.basis,
      policy,
      previousBurnout: record.previousBurnout,
    }
    return { water, need, oilChanges }
  })
  // the size that class and tons ask for, before water is looked at: work goes on until that one is enough
  const dryOf = ({ need }: (typeof tried)[number]): DryerNeed => ({ ...need, water: NO_WATER })
  const usual = tried[0] && chooseDryers(dryOf(tried[0]), own)[0]
  const enough = tried.find(({ water }) => water.remainder.likely <= roomIn(usual, refrigerant))
  const { water, need, oilChanges } = (enough ?? tried.at(-1)) as (typeof tried)[number]
  const dryers = opens ? chooseDryers(need, own) : []
  const room = roomIn(dryers[0], refrigerant)
  const cores = dryers.flatMap(({ chosen }) => chosen?.dryer ?? [])
  return {
    contamination,
    size,
    water,
    acid: withCores(acid, cores, size),
    dryers,
    oilChanges,
    basis: basisOf(
      contamination.basis,
      acid.changes > 0 ? acid.basis : undefined,
      wetBasis(contamination, water, size),
    ),
    closes: water.remainder.likely <= room,
    closesHigh: water.remainder.high <= room * WATER_MARGIN,
    missing: Math.max(water.remainder.likely - room, 0),
    room,
    need,
  }
}

/** How much is done against water rests on its ledger where there is some to deal with. */
const wetBasis = (contamination: Contamination, water: WaterLedger, size: CircuitSize): Basis | undefined =>
  isWet(contamination) ? basisOf(water.basis, size.tons, size.isAppliance) : undefined

const NO_WATER = { low: 0, likely: 0, high: 0 } as const
