import { percent } from '../../base/units/percent'
import { toSI } from '../../base/units/convert'
import { isFlammable } from '../../physics/refrigerants/catalogue'
import { siteAtmosphere } from '../../record/equipment/circumstances'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Closing } from '../../record/records/closing'
import type { Repair } from '../../record/records/repair'
import type { Observations } from '../../record/readings/schema'
import type { CircuitSize } from '../cleanup/circuitSize'
import { type Contamination, isBurnout } from '../cleanup/contamination'
import { type CylinderFill, cylinderFill } from './cylinderFill'
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
  /** what should be in it by plate and lines, kg */
  readonly expected: number
  readonly cylinder: CylinderFill
  readonly depth: RecoveryDepth
  readonly isDedicated: boolean
  readonly weight: WeightOut | undefined
  readonly sentences: readonly string[]
}

export type RecoveryInput = {
  readonly unit: UnitPlate
  readonly size: CircuitSize
  readonly contamination: Contamination
  readonly repair: Repair
  readonly closing: Closing | undefined
  readonly observations: Observations
  /** what a full circuit holds by plate and lines, kg */
  readonly expected: number
  readonly isEmpty: boolean
}

/** [practice] a machine leaves a few per cent: within a tenth it is the plate's charge. */
const SHORT = 0.9
const OVER = 1.1

/** What the weight that came out says of the charge (handbook 07). @param expected plate and lines, kg */
export function weightOut(recovered: number, expected: number): WeightOut {
  const share = recovered / expected
  const verdict = share < SHORT ? 'short' : share > OVER ? 'over' : 'as-plate'
  const sentence = {
    short: `${percent(1 - share)} of plate and lines is missing: there is a leak to find before the charge goes in.`,
    over: `${percent(share - 1)} more than plate and lines: overcharged, or something else is in it.`,
    'as-plate': 'As the plate and the lines say: it did not leak.',
  }[verdict]
  return { recovered, expected, share, verdict, sentence }
}

const EMPTY = 'Nothing to recover, but prove it: pressure, and a search for cold spots.'
const FROSTED =
  'Frost on the accumulator or crankcase: liquid is still boiling off. Warm it with water or a heater, never a flame; wait, recover again, then sweep.'
const DEDICATED = 'Burnt refrigerant: a cylinder of its own, marked.'
const FLAMMABLE = 'Flammable: a machine and a cylinder rated for it, no ignition source.'
const RISE = 'When the machine stops, watch: a rise means that liquid is left.'

/** Cylinder, depth, weight and what is left of a recovery. */
export function recoveryOf(input: RecoveryInput): Recovery {
  const { unit, size, contamination, repair, closing, observations, expected, isEmpty } = input
  const recovered = closing?.recovered && toSI(closing.recovered)
  const isDedicated = isBurnout(contamination)
  return {
    expected,
    cylinder: cylinderFill(unit.refrigerant, isEmpty ? 0 : expected, repair.cylinder),
    depth: recoveryDepth(unit.refrigerant, expected, siteAtmosphere(unit), unit.kind === 'reach-in'),
    isDedicated,
    weight: recovered !== undefined && size.charge > 0 ? weightOut(recovered, expected) : undefined,
    sentences: isEmpty
      ? [EMPTY]
      : [
          ...(observations.frostLeft === 'frosted' ? [FROSTED] : []),
          ...(isDedicated ? [DEDICATED] : []),
          ...(isFlammable(unit.refrigerant) ? [FLAMMABLE] : []),
          RISE,
        ],
  }
}
