import { toSI } from '../../base/units/convert'
import type { DryerCore, DryerModel, DryerPlace } from './dryerModel'
import { UNITS } from '../../base/units/units'
import {
  blockHolds,
  coreOver,
  coreWanted,
  type DryerNeed,
  lineReverses,
  pressureNeeded,
  tonsOn,
  usableWater,
  WATER_MARGIN,
} from './dryerNeed'

/** What a rule says of a dryer: its figures, whether it holds. */
export type Judged = { readonly rule: DryerRuleId; readonly holds: boolean; readonly sentence: string }

type DryerRuleId = 'pressure' | 'flow' | 'tons' | 'water' | 'core' | 'old' | 'room' | 'appliance'

type Rule = {
  readonly id: DryerRuleId
  readonly applies: DryerPlace | 'both'
  /** a capacity can be met by two in parallel or in time; what is not one never can */
  readonly isCapacity?: true
  /** undefined: the rule has nothing to say here */
  readonly judge: (dryer: DryerModel, need: DryerNeed) => { holds: boolean; sentence: string } | undefined
}

const grams = (kg: number) => (kg * 1000).toPrecision(kg * 1000 < 1 ? 1 : 2)
const CORE_NAMES: Readonly<Record<DryerCore, string>> = {
  sieve: 'sieve',
  blend: 'sieve and alumina',
  'high-acid': 'alumina-rich',
}
/** [practice] an appliance bears no more than this share of its plate in a larger dryer. */
const APPLIANCE_SHARE = 0.08
/** [practice] of a dirty one: a filter that holds its dirt is worth the liquid, which is weighed in. */
const DIRTY_APPLIANCE_SHARE = 0.15

/** The smallest block that is sold, in^3. */
const SMALLEST = 3

/** The rules of handbook 06, each with its figures. */
const DRYER_RULES: readonly Rule[] = [
  {
    id: 'pressure',
    applies: 'both',
    judge: (dryer, need) => {
      const needed = pressureNeeded(need)
      return {
        holds: dryer.pressure >= needed,
        sentence: `stands ${dryer.pressure.toFixed(0)} psig, ${needed.toFixed(0)} psig wanted for ${need.refrigerant}`,
      }
    },
  },
  {
    id: 'flow',
    applies: 'liquid',
    judge: (dryer, { unit }) => {
      const reverses = lineReverses(unit)
      if (!reverses && dryer.flow === 'one-way') return { holds: true, sentence: 'one-way: mind the arrow' }
      return {
        holds: reverses === (dryer.flow === 'bi-flow'),
        sentence: reverses
          ? `${dryer.flow}: the liquid line reverses with the mode`
          : 'bi-flow is not needed: this line flows one way',
      }
    },
  },
  {
    id: 'tons',
    applies: 'both',
    isCapacity: true,
    judge: (dryer, need) => {
      const tons = tonsOn(dryer, need)
      return {
        holds: tons >= need.size.tons.value,
        sentence: `carries ${tons.toPrecision(2)} tons on ${need.refrigerant} at its drop limit, ${need.size.tons.value.toPrecision(2)} tons needed`,
      }
    },
  },
  {
    id: 'water',
    applies: 'liquid',
    isCapacity: true,
    judge: (dryer, { water, refrigerant }) => {
      const usable = usableWater(dryer, refrigerant)
      return {
        holds: usable >= WATER_MARGIN * water.likely,
        sentence: `takes ${grams(usable)} g of water at half its rating, ${grams(WATER_MARGIN * water.likely)} g wanted`,
      }
    },
  },
  {
    id: 'core',
    applies: 'both',
    judge: (dryer, need) => {
      const wanted = coreWanted(need, dryer.place)
      const over = coreOver(dryer, need)
      const isTooMuch = over > 1 && dryer.flow === 'one-way'
      return {
        holds: over >= 0 && !isTooMuch,
        sentence: isTooMuch
          ? `${CORE_NAMES[dryer.core]} core gives away water that it would hold`
          : `${CORE_NAMES[dryer.core]} core, ${CORE_NAMES[wanted]} wanted for the class`,
      }
    },
  },
  {
    id: 'old',
    applies: 'liquid',
    judge: (dryer, { unit }) => {
      const old = unit.oldDryer?.cubicInches
      return old === undefined
        ? undefined
        : { holds: dryer.block >= old, sentence: `block ${dryer.block} in³, the old one had ${old}` }
    },
  },
  {
    id: 'room',
    applies: 'liquid',
    judge: (dryer, need) => {
      const room = roomOf(need)
      return room === undefined
        ? undefined
        : {
            holds: dryer.length <= room,
            sentence: `${dryer.length.toFixed(1)} in long, room for ${room.toFixed(1)}`,
          }
    },
  },
  {
    id: 'appliance',
    applies: 'both',
    judge: (dryer, { size, unit, refrigerant, contamination: { contents } }) => {
      if (!size.isAppliance.value) return undefined
      if (dryer.place === 'suction')
        return { holds: false, sentence: 'a few ounces of charge bear no suction dryer' }
      const old = unit.oldDryer?.cubicInches ?? 0
      const share = blockHolds(dryer.block - old, refrigerant) / size.chargeGuess.value
      const most = contents.debris || contents.wax ? DIRTY_APPLIANCE_SHARE : APPLIANCE_SHARE
      return {
        holds: share <= most || dryer.block <= SMALLEST,
        sentence: `the larger block takes about ${(100 * Math.max(share, 0)).toFixed(0)} % of the plate charge`,
      }
    },
  },
]

/** Length of line in which a dryer must fit, inches. */
const roomOf = ({ unit }: DryerNeed): number | undefined =>
  unit.oldDryer?.room && toSI(unit.oldDryer.room) / UNITS.in.si

/** Every rule that has something to say of a dryer here. */
export const judgeDryer = (dryer: DryerModel, need: DryerNeed): Judged[] =>
  DRYER_RULES.filter(({ applies }) => applies === 'both' || applies === dryer.place).flatMap(
    ({ id, judge }): Judged[] => {
      const told = judge(dryer, need)
      return told ? [{ rule: id, ...told }] : []
    },
  )

const CAPACITIES = new Set(DRYER_RULES.filter(({ isCapacity }) => isCapacity).map(({ id }) => id))

/** Whether only capacity is missing: two of it, or one after the other, would do. */
export const lacksOnlyCapacity = (judged: readonly Judged[]): boolean =>
  judged.every(({ rule, holds }) => holds || CAPACITIES.has(rule))
