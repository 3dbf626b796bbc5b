import { type Basis, basisOf, isAssumed, type Known, whereItDecides } from '../../base/known/known'
import { SEA_LEVEL_PASCALS } from '../../base/units/atmosphere'
import { fromPascals, toKelvin } from '../../base/units/convert'
import { UNITS } from '../../base/units/units'
import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import { saturationPressure } from '../../physics/refrigerants/saturation'

/** How deep a circuit is recovered before it is opened. */
export type RecoveryDepth = {
  readonly pressureClass: 'low' | 'medium' | 'high' | 'very-high'
  /** Pa absolute */
  readonly pascals: number
  /** what a gauge zeroed at the site shows: psig, or inHg below the local atmosphere */
  readonly shown: string
  /** a small factory-sealed appliance may be judged by the share of its charge instead */
  readonly appliance: string | undefined
  /** assumed where a guess at the charge decides it */
  readonly basis: Basis
}

/** Class by saturation at 104 F, psia [std: 40 CFR 82.152, from memory]. */
const CLASS_KELVIN = toKelvin({ value: 104, unit: 'F' })
const CLASSES = [
  { name: 'low', upTo: 45 },
  { name: 'medium', upTo: 170 },
  { name: 'high', upTo: 355 },
  { name: 'very-high', upTo: Number.POSITIVE_INFINITY },
] as const

/** Vacuum below a standard atmosphere, inHg, for less than 200 lb and for more [std: 40 CFR 82.156 Table 1, from memory]. */
const VACUUM = { medium: [10, 15], high: [0, 10], 'very-high': [0, 0] } as const
const LARGE_CHARGE = 200 * UNITS.lb.si
/** [std: 40 CFR 82.156, from memory] low pressure: 25 mmHg absolute. */
const LOW_PRESSURE = 25 * 133.322
/** [std: 40 CFR 82.156, from memory] a small appliance holds five pounds or less, sealed at the factory. */
const SMALL_APPLIANCE = 5 * UNITS.lb.si
const SMALL_APPLIANCE_TEXT =
  'Small appliance: 90 % of its charge with a compressor that works, 80 % without, or 4 inHg of vacuum.'

function shownAs(pascals: number, atmosphere: number): string {
  const below = fromPascals(pascals, 'inHgVac', atmosphere)
  return below < 0.05 ? '0 psig' : `${below.toFixed(1)} inHg of vacuum on a gauge zeroed here`
}

/** [memory] a guess at the charge errs by less than this factor. */
const GUESS_FACTOR = 4
/** Which side of both limits a charge lies on: all that the depth asks of it. */
const sideOf = (charge: number) => `${charge < LARGE_CHARGE} ${charge <= SMALL_APPLIANCE}`
/** A guess that lies far from both limits decides nothing. */
const depthBasis = (charge: Known<number>): Basis =>
  isAssumed(charge)
    ? basisOf(
        whereItDecides(charge, () =>
          [1 / GUESS_FACTOR, 1, GUESS_FACTOR].map((factor) => sideOf(charge.value * factor)),
        ),
      )
    : basisOf(charge)

/**
 * Depth before opening for a refrigerant and a charge at an elevation. The table is for a standard atmosphere: at height a
 * local gauge shows less; 0 psig is the local atmosphere.
 * @param weight plate and lines, kg; atmosphere local, Pa; isAppliance factory-sealed
 */
export function recoveryDepth(
  refrigerant: RefrigerantName,
  weight: Known<number>,
  atmosphere: number,
  isAppliance: boolean,
): RecoveryDepth {
  const charge = weight.value
  const psia = fromPascals(saturationPressure(refrigerant, 'bubble', CLASS_KELVIN), 'psia')
  const pressureClass = CLASSES.find(({ upTo }) => psia <= upTo)?.name ?? 'very-high'
  const inches = pressureClass === 'low' ? 0 : (VACUUM[pressureClass][charge < LARGE_CHARGE ? 0 : 1] ?? 0)
  const wanted =
    pressureClass === 'low'
      ? LOW_PRESSURE
      : inches === 0
        ? atmosphere
        : SEA_LEVEL_PASCALS - inches * UNITS.inHgVac.si
  const pascals = Math.min(wanted, atmosphere)
  return {
    pressureClass,
    pascals,
    shown: shownAs(pascals, atmosphere),
    basis: depthBasis(weight),
    appliance: isAppliance && charge <= SMALL_APPLIANCE ? SMALL_APPLIANCE_TEXT : undefined,
  }
}
