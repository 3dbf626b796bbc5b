import { hasReversingValve } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Policy } from '../../record/policy/policy'
import { isFlammable, refrigerantRow } from '../../physics/refrigerants/catalogue'
import { saturatedState } from '../../physics/refrigerants/saturation'
import type { CircuitSize } from './circuitSize'
import { type Contamination, isAcid, isBurnout, isWet } from './contamination'
import {
  DRYER_CATALOGUE,
  type DryerCore,
  type DryerModel,
  type DryerPlace,
  HIGH_ACID_WATER_SHARE,
} from './dryerCatalogue'

export type DryerChoice = {
  readonly place: DryerPlace
  readonly chosen: DryerModel | undefined
  readonly reasons: readonly string[]
  readonly refused: readonly { readonly dryer: DryerModel; readonly reasons: readonly string[] }[]
  /** extra charge for the liquid that the dryer holds, kg; liquid dryers only */
  readonly extraCharge: number
}

/** What a dryer must do on this circuit. */
export type DryerNeed = {
  readonly unit: UnitPlate
  readonly size: CircuitSize
  readonly contamination: Contamination
  /** water left for the dryer, kg */
  readonly water: number
  readonly policy: Policy
  readonly previousBurnout: boolean
}

/** [practice] handbook 06: half of the rated water is usable, and twice the remainder is wanted. */
const USABLE_SHARE = 0.5
const WATER_MARGIN = 2
const CUBIC_INCH_M3 = 0.0254 ** 3
/** [memory] liquid held by a block, as a share of its volume. */
const LIQUID_SHARE = 0.5
const EVAPORATING = 277.6 // 40 F
const LIQUID = 310.9 // 100 F

/** The refrigerant in which dryer capacities are rated. */
export const DRYER_RATING_REFRIGERANT = 'R-22'

/** Refrigerating effect x root of liquid density: flow capacity of one dryer, relative to R-22. [physics] */
function flowFactor(unit: UnitPlate): number {
  const strength = (name: UnitPlate['refrigerant']) => {
    const liquid = saturatedState(name, 'bubble', LIQUID)
    return (saturatedState(name, 'dew', EVAPORATING).enthalpy - liquid.enthalpy) * Math.sqrt(liquid.density)
  }
  return strength(unit.refrigerant) / strength(DRYER_RATING_REFRIGERANT)
}

/** Usable water of a dryer on this refrigerant, kg. */
export function usableWater(dryer: DryerModel, unit: UnitPlate): number {
  const grams = unit.refrigerant === 'R-22' ? dryer.waterR22 : dryer.waterPOE
  const share = dryer.core === 'high-acid' ? HIGH_ACID_WATER_SHARE : 1
  return (grams * share * USABLE_SHARE) / 1000
}

function wantedCore({ contamination }: DryerNeed, place: DryerPlace): DryerCore {
  if (isBurnout(contamination) || contamination.class === 'waxed') return 'high-acid'
  if (isAcid(contamination) || contamination.class === 'debris') return 'blend'
  return place === 'suction' ? 'blend' : 'sieve'
}

/** On a split heat pump the liquid line flows both ways. */
const liquidLineReverses = (unit: UnitPlate) => hasReversingValve(unit) && unit.metering !== 'capillary'

type Rule = {
  readonly applies: DryerPlace | 'both'
  /** a reason to refuse, or undefined */
  readonly refuse: (dryer: DryerModel, need: DryerNeed) => string | undefined
}

const RULES: readonly Rule[] = [
  {
    applies: 'both',
    refuse: (dryer, { unit }) =>
      refrigerantRow(unit.refrigerant).highPressureClass && !dryer.highPressure
        ? `not rated for the pressure of ${unit.refrigerant}`
        : undefined,
  },
  {
    applies: 'liquid',
    refuse: (dryer, { unit }) =>
      liquidLineReverses(unit) && dryer.flow === 'one-way'
        ? 'one-way, and this liquid line reverses with the mode'
        : undefined,
  },
  {
    applies: 'liquid',
    refuse: (dryer, { unit }) =>
      !liquidLineReverses(unit) && dryer.flow === 'bi-flow'
        ? 'bi-flow is not needed: this line flows one way'
        : undefined,
  },
  {
    applies: 'both',
    refuse: (dryer, { unit, size }) => {
      const tons = dryer.tons * flowFactor(unit)
      return tons < size.tons
        ? `${tons.toFixed(1)} tons at its drop limit, ${size.tons} are needed`
        : undefined
    },
  },
  {
    applies: 'liquid',
    refuse: (dryer, { unit, water }) => {
      const usable = usableWater(dryer, unit)
      return usable < WATER_MARGIN * water
        ? `holds ${(usable * 1000).toFixed(1)} g of usable water, ${(WATER_MARGIN * water * 1000).toFixed(1)} g wanted`
        : undefined
    },
  },
  {
    applies: 'both',
    refuse: (dryer, need) => {
      const wanted = wantedCore(need, dryer.place)
      const rank: readonly DryerCore[] = ['sieve', 'blend', 'high-acid']
      const biFlowIsAllThereIs = dryer.place === 'liquid' && dryer.flow === 'bi-flow'
      if (biFlowIsAllThereIs || dryer.core === wanted) return undefined
      return rank.indexOf(dryer.core) < rank.indexOf(wanted)
        ? `${dryer.core} core: this class wants ${wanted}`
        : `${dryer.core} core gives away water capacity that is not needed here`
    },
  },
]

/** How many sizes above the smallest that fits (handbook 06 rule 5). */
const stepsByClass = ({ contamination }: DryerNeed) =>
  contamination.class === 'clean' ? 0 : isWet(contamination) || isBurnout(contamination) ? 2 : 1

/** By the class; at least one where the company's policy says so (handbook 11). */
const stepsUp = (need: DryerNeed) =>
  Math.max(stepsByClass(need), need.policy.liquidDryer === 'one-size-up' ? 1 : 0)

const reasonsAgainst = (dryer: DryerModel, need: DryerNeed): string[] =>
  RULES.filter((rule) => rule.applies === 'both' || rule.applies === dryer.place).flatMap(
    (rule) => rule.refuse(dryer, need) ?? [],
  )

function reasonsFor(dryer: DryerModel, need: DryerNeed, steps: number): string[] {
  const { unit, size, contamination } = need
  const tons = (dryer.tons * flowFactor(unit)).toFixed(1)
  const suction = dryer.place === 'suction'
  return [
    `${tons} tons on ${unit.refrigerant} at its drop limit, ${size.tons} needed`,
    ...(suction
      ? []
      : [
          `${(usableWater(dryer, unit) * 1000).toFixed(1)} g usable water for ${(need.water * 1000).toFixed(1)} g left after sweeps and oil`,
        ]),
    ...(steps > 0 && !suction
      ? [
          stepsByClass(need) > 0
            ? `${steps} size${steps > 1 ? 's' : ''} up for the class "${contamination.class}"`
            : 'one size up by policy',
        ]
      : []),
    ...(dryer.flow === 'bi-flow' ? ['bi-flow, because the line reverses with the mode'] : ['mind the arrow']),
    ...(suction && hasReversingValve(unit)
      ? ['between reversing valve and compressor, never in the line that becomes discharge']
      : []),
    ...(suction
      ? ['access valves on both sides for its drop; take it out when the acid test is negative']
      : ['every opening of the circuit gets a new liquid dryer']),
    ...(isFlammable(unit.refrigerant) ? ['flammable refrigerant: cut it out, never unsweat'] : []),
  ]
}

/** Extra charge for a bigger block, kg [physics]. */
function extraCharge(dryer: DryerModel, unit: UnitPlate): number {
  const density = saturatedState(unit.refrigerant, 'bubble', LIQUID).density
  return dryer.place === 'liquid' ? dryer.block * CUBIC_INCH_M3 * LIQUID_SHARE * density : 0
}

function choose(place: DryerPlace, need: DryerNeed): DryerChoice {
  const judged = DRYER_CATALOGUE.filter((dryer) => dryer.place === place).map((dryer) => ({
    dryer,
    reasons: reasonsAgainst(dryer, need),
  }))
  const fitting = judged.filter(({ reasons }) => reasons.length === 0).map(({ dryer }) => dryer)
  const steps = place === 'liquid' ? Math.min(stepsUp(need), fitting.length - 1) : 0
  const chosen = fitting[Math.max(steps, 0)]
  return {
    place,
    chosen,
    reasons: chosen
      ? reasonsFor(chosen, need, steps)
      : ["no generic size fits alone: use two in parallel, or the maker's replaceable-core shell"],
    refused: judged.filter(({ reasons }) => reasons.length > 0),
    extraCharge: chosen ? extraCharge(chosen, need.unit) : 0,
  }
}

/** Whether a suction clean-up dryer goes in for a while: when acid or debris shows, or by policy after a burnout (handbook 11). */
const wantsSuctionDryer = ({ contamination, policy, previousBurnout }: DryerNeed): boolean =>
  isAcid(contamination) ||
  contamination.class === 'debris' ||
  contamination.also.includes('debris') ||
  (policy.suctionDryer === 'always-after-burnout' && previousBurnout)

/** Liquid dryer always; suction dryer when acid or debris shows. */
export function chooseDryers(need: DryerNeed): DryerChoice[] {
  const places: DryerPlace[] = wantsSuctionDryer(need) ? ['liquid', 'suction'] : ['liquid']
  return places.map((place) => choose(place, need))
}
