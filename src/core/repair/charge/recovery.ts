import { askSentence, isAssumed, type Known } from '../../base/known/known'
import { percent } from '../../base/units/percent'
import { toSI } from '../../base/units/convert'
import { isFlammable } from '../../physics/refrigerants/catalogue'
import { siteAtmosphere } from '../../record/equipment/circumstances'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Closing } from '../../record/records/closing'
import type { Repair } from '../../record/records/repair'
import type { Observations } from '../../record/readings/schema'
import { type Contamination, isBurnout } from '../cleanup/contamination'
import { type CylinderFill, cylinderFill } from './cylinderFill'
import type { RestInside } from './restInside'
import { type RecoveryDepth, recoveryDepth } from './recoveryDepth'

/** What came out against what should be in it. kg */
export type WeightOut = {
  readonly recovered: number
  readonly expected: number
  /** of one */
  readonly share: number
  readonly verdict: 'as-plate' | 'short' | 'over'
  readonly sentence: string
}

export type Recovery = {
  /** what should be in it by plate and lines, kg; undefined where the plate charge is not known */
  readonly expected: Known<number> | undefined
  /** the same, or a guess at it: chooses cylinder and depth, judges nothing */
  readonly guess: Known<number>
  readonly cylinder: CylinderFill
  readonly depth: RecoveryDepth
  readonly isDedicated: boolean
  /** vapour that is left, kg, where no liquid is */
  readonly vapour: Known<number> | undefined
  readonly weight: WeightOut | undefined
  /** why what came out is not judged, and what would settle it */
  readonly unjudged: string | undefined
  readonly sentences: readonly string[]
}

export type RecoveryInput = {
  readonly unit: UnitPlate
  readonly contamination: Contamination
  readonly repair: Repair
  readonly closing: Closing | undefined
  readonly observations: Observations
  /** what a full circuit holds by plate and lines, kg, where that is known, and a guess */
  readonly expected: Known<number> | undefined
  readonly guess: Known<number>
  readonly inside: RestInside
  /** vapour that is left, kg, where no liquid is */
  readonly vapour: Known<number> | undefined
  /** only a part is emptied: what comes out says nothing of the charge */
  readonly isPart: boolean
}

/** [practice] a machine leaves a few per cent: within a tenth it is the plate's charge. */
const SHORT = 0.9
const OVER = 1.1

/**
 * What the weight that came out says of the charge (handbook 07).
 * @param whole plate and lines, kg
 * @returns undefined where that is not known, or rests on a guess: nothing is short or over against it
 */
export function weightOut(recovered: number, whole: Known<number> | undefined): WeightOut | undefined {
  if (!whole || isAssumed(whole)) return undefined
  const expected = whole.value
  const share = recovered / expected
  const verdict = share < SHORT ? 'short' : share > OVER ? 'over' : 'as-plate'
  const sentence = {
    short: `${percent(1 - share)} of plate and lines is missing: there is a leak to find before the charge goes in.`,
    over: `${percent(share - 1)} more than plate and lines: overcharged, or something else is in it.`,
    'as-plate': 'As the plate and the lines say: it did not leak.',
  }[verdict]
  return { recovered, expected, share, verdict, sentence }
}

/** What is asked where the weight that came out is not judged; undefined where it is. */
export const unjudgedWeight = (whole: Known<number> | undefined, guess: Known<number>): string | undefined =>
  whole && !isAssumed(whole) ? undefined : askSentence(guess, 'what came out is told against it')

const EMPTY =
  'Nothing to recover, but prove it: two readings, one a side, and a search for cold spots. What is left is recovered.'
const VAPOUR =
  'No liquid is left, and it is not empty: the vapour is recovered and weighed before any nitrogen goes in.'
const FROSTED =
  'Frost on the accumulator or crankcase: liquid is still boiling off. Warm it with water or a heater, never a flame; wait, recover again, then sweep.'
const DEDICATED = 'Burnt refrigerant: a cylinder of its own, marked.'
const FLAMMABLE = 'Flammable: a machine and a cylinder rated for it, no ignition source.'
const RISE = 'When the machine stops, watch: a rise means that liquid is left.'

/** What the cylinder must take, kg. */
const comesOut = ({ inside, guess, vapour }: RecoveryInput): number =>
  inside === 'nothing' ? 0 : inside === 'vapour' ? (vapour ?? guess).value : guess.value

/** Cylinder, depth, weight and what is left of a recovery. */
export function recoveryOf(input: RecoveryInput): Recovery {
  const { unit, contamination, repair, closing, observations, expected, guess, inside, isPart, vapour } =
    input
  const recovered = closing?.recovered && toSI(closing.recovered)
  const isDedicated = isBurnout(contamination)
  // of a part, or of what a leak left, the weight says nothing of the charge
  const isJudged = recovered !== undefined && !isPart && inside === 'charge'
  return {
    expected,
    guess,
    vapour,
    cylinder: cylinderFill(unit.refrigerant, comesOut(input), repair.cylinder),
    depth: recoveryDepth(unit.refrigerant, guess, siteAtmosphere(unit), unit.kind === 'reach-in'),
    isDedicated,
    weight: isJudged ? weightOut(recovered, expected) : undefined,
    unjudged: isJudged ? unjudgedWeight(expected, guess) : undefined,
    sentences:
      inside === 'nothing'
        ? [EMPTY]
        : [
            ...(inside === 'vapour' ? [VAPOUR] : []),
            ...(observations.frostLeft === 'frosted' ? [FROSTED] : []),
            ...(isDedicated ? [DEDICATED] : []),
            ...(isFlammable(unit.refrigerant) ? [FLAMMABLE] : []),
            RISE,
          ],
  }
}
