import { type Basis, basisOf, fact, guess, isAssumed } from '../../base/known/known'
import { fromPascals, toKelvin, toPascals } from '../../base/units/convert'
import type { PressureUnit } from '../../base/units/units'
import { saturationPressure } from '../../physics/refrigerants/saturation'
import { siteAtmosphere } from '../../record/equipment/circumstances'
import type { Policy } from '../../record/policy/policy'
import type { UnitPlate } from '../../record/equipment/unit'

/** How far the nitrogen goes up, Pa over the air, and why no further. */
export type TestPressure = {
  readonly gauge: number
  /** the lowest of what is connected, Pa over the air */
  readonly limit: number
  /** whose limit it is */
  readonly of: string
  /** assumed where the plate says nothing: a common value, to be looked up */
  readonly isAssumed: boolean
  readonly basis: Basis
  /** pressures at which one stops and listens, Pa over the air */
  readonly steps: readonly number[]
  readonly sentence: string
}

const psi = (value: number) => toPascals({ value, unit: 'psia' })
/** [practice] handbook 07: many leaks show at the first steps and nitrogen is saved. */
const STEPS = [5, 25, 50].map(psi)
/** [practice] handbook 11: near the plate's limit leaves this share of it; the moderate school stops here. */
const NEAR = 0.95
const MODERATE = psi(200)

/** [practice] handbook 07: what is put in where the plate says nothing; small splits of the dense refrigerants take more. */
export const USUAL_LIMITS = {
  old: { low: psi(150), high: psi(250) },
  dense: { low: psi(250), high: psi(400) },
} as const
/** Saturation at 104 F above which a refrigerant counts as dense: R-410A, R-32, R-454B. */
const DENSE = psi(300)
const AT_104 = toKelvin({ value: 104, unit: 'F' })
const usualOf = ({ refrigerant }: UnitPlate) =>
  saturationPressure(refrigerant, 'bubble', AT_104) > DENSE ? USUAL_LIMITS.dense : USUAL_LIMITS.old

/** [practice] a gauge errs by this much; the day may warm by 10 F until it is read again (handbook 07). */
const GAUGE_ERROR = psi(1)
const WARMING = 10 / 1.8 / 297
/** Pa over the air that stay below a limit when the gauge errs and the gas warms. */
const safeBelow = (limit: number, atmosphere: number) =>
  (limit - GAUGE_ERROR - WARMING * atmosphere) / (1 + WARMING)

type Section = { readonly of: string; readonly limit: number; readonly basis: Basis }

function plateLimit({ designPressures }: UnitPlate, side: 'high' | 'low'): number | undefined {
  const written = designPressures?.[side]
  if (!written) return undefined
  // a plate writes gauge pressure; the air drops out
  const zero = toPascals({ value: 0, unit: written.unit as PressureUnit })
  return toPascals({ value: written.value, unit: written.unit as PressureUnit }) - zero
}

/** Sections that the test reaches, each with its limit. */
function sections(unit: UnitPlate, isPart: boolean, dryers: readonly Section[]): Section[] {
  const usual = usualOf(unit)
  const low = plateLimit(unit, 'low')
  const side = (name: 'high' | 'low'): Section => {
    const limit = plateLimit(unit, name)
    if (limit !== undefined)
      return { of: `${name} side of the plate`, limit, basis: fact('plate', 'design pressures') }
    // a high side is never lower than the low side's plate (handbook 07)
    const isByLow = name === 'high' && low !== undefined && low > usual.high
    return {
      of: isByLow
        ? 'high side, no lower than the low side of the plate'
        : `${name} side, usual for ${unit.refrigerant}`,
      limit: isByLow ? low : usual[name],
      basis: guess(`a ${name} side as usual for ${unit.refrigerant}`, 'designPressures'),
    }
  }
  // behind a shut receiver valve stands the low side alone
  return [side('low'), ...(isPart ? [] : [side('high')]), ...dryers]
}

const shown = (pascals: number) => `${fromPascals(pascals, 'psia').toFixed(0)} psig`

/**
 * The pressure of the test: below the lowest limit of the sections that are connected, by the error of the gauge and the warming
 * of the day (handbook 07, 11).
 * @param isPart only the isolated part is tested
 * @param dryers working pressures of the dryers that go in, Pa over the air
 */
export function testPressureOf(
  unit: UnitPlate,
  policy: Policy,
  isPart: boolean,
  dryers: readonly number[],
): TestPressure {
  const parts = dryers.map((limit): Section => ({
    of: 'the new dryer',
    limit,
    basis: fact('plate', 'the dryer'),
  }))
  const all = sections(unit, isPart, parts)
  const lowest = all.reduce((a, b) => (b.limit < a.limit ? b : a))
  const most = safeBelow(lowest.limit, siteAtmosphere(unit))
  const wanted = Math.min(policy.testPressure === 'moderate' ? MODERATE : lowest.limit * NEAR, most)
  const step = psi(5)
  const gauge = Math.floor(wanted / step) * step
  const steps = policy.pressureSteps === 'steps' ? STEPS.filter((each) => each < gauge) : []
  return {
    gauge,
    limit: lowest.limit,
    of: lowest.of,
    isAssumed: isAssumed(lowest.basis),
    // a guess that is not the lowest decides as well: it would be, were it lower
    basis: basisOf(...all.map(({ basis }) => basis)),
    steps: [...steps, gauge],
    sentence: `${[...steps, gauge].map((each) => fromPascals(each, 'psia').toFixed(0)).join(', ')} psig; limit ${shown(lowest.limit)}, ${lowest.of}${isAssumed(lowest.basis) ? ': not on the plate, look it up' : ''}.`,
  }
}
