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
import { changesCompressor } from '../../diagnosis/faults/compressorChanged'
import { CLEAN_WORK, type Effort, effortOf, worksFor } from './effort'
import { hasOilPorts } from './oils'
import { type WaterLedger, waterLedger } from './water'

/** What a circuit is cleaned with, from what is known of its inside. */
export type Cleanup = {
  readonly contamination: Contamination
  readonly size: CircuitSize
  readonly water: WaterLedger
  readonly acid: AcidLedger
  readonly dryers: readonly DryerChoice[]
  /** changes of the oil on this visit; the oil of a new compressor is none of them */
  readonly oilChanges: number
  /** changes after it has run, on later visits */
  readonly laterChanges: number
  /** another compressor goes in, with its own oil: that is the first change (handbook 09) */
  readonly isSwap: boolean
  readonly effort: Effort
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
  const acid = acidLedger(record, contamination, size)
  const effort = effortOf(record, contamination)
  const isSwap = opens && changesCompressor(record.faults)
  // nobody drains what never ran: a tipped or new compressor gets its next change after it has run (handbook 09)
  const isRepeated = !isSwap && hasOilPorts(record.unit)
  const works = opens ? worksFor(contamination, effort, policy, isRepeated) : [CLEAN_WORK]
  const tried = works.map((work) => {
    const wanted = opens ? Math.max(work.oilChanges, acid.changes) : 0
    const oilChanges = isSwap ? 1 : isRepeated ? wanted : Math.min(wanted, 1)
    const water = waterLedger(record, size, { ...work, oilChanges })
    const need: DryerNeed = {
      unit: record.unit,
      refrigerant,
      size,
      contamination,
      water: water.remainder,
      waterBasis: water.basis,
      // sizes up where water asks for work: by caution, or by its grams
      isWaterWorked: effort.by === 'caution' || work.oilChanges > 0,
      policy,
      previousBurnout: record.previousBurnout,
    }
    return { water, need, oilChanges, wanted }
  })
  // the size that class and tons ask for, before water is looked at: work goes on until that one is enough
  const dryOf = ({ need }: (typeof tried)[number]): DryerNeed => ({ ...need, water: NO_WATER })
  const usual = tried[0] && chooseDryers(dryOf(tried[0]), own)[0]
  const enough = tried.find(({ water }) => water.remainder.likely <= roomIn(usual, refrigerant))
  const { water, need, oilChanges, wanted } = (enough ?? tried.at(-1)) as (typeof tried)[number]
  const dryers = opens ? chooseDryers(need, own) : []
  const room = roomIn(dryers[0], refrigerant)
  const cores = dryers.flatMap(({ chosen }) => chosen?.dryer ?? [])
  return {
    contamination,
    size,
    water,
    acid: withCores(acid, cores, size),
    dryers,
    oilChanges: isSwap ? 0 : oilChanges,
    laterChanges: Math.max(wanted - oilChanges, 0),
    isSwap,
    effort,
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
