import { attempt } from '../../base/errors/orzoError'
import { differenceToKelvin, fromPascals, toKelvin, toPascals } from '../../base/units/convert'
import { rounded } from '../../base/units/show'
import type { TemperatureUnit } from '../../base/units/units'
import { saturationPressure } from '../../physics/refrigerants/saturation'
import { siteAtmosphere } from '../../record/equipment/circumstances'
import { hasLiquidValve, isBoxKind } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Flag } from '../../record/readings/flags'
import type { Snapshot } from '../../record/readings/snapshot'
import type { ReadingKey } from '../../record/readings/vocabulary'
import { controlOf } from './control'

/** Pressures to set a low-pressure control to, Pa over the air around it. */
type LowPressureSetting = {
  /** the most that the cut-in may be: above it the unit does not start again */
  readonly highestCutIn: number
  /** the most that the cut-out may be: above it the box does not grow cold */
  readonly highestCutOut: number
  readonly cutIn: number
  readonly cutOut: number
  /** what limits the cut-in, in words */
  readonly limitedBy: string
  /** no cut-in is low enough for the weather and yet far enough above the cut-out */
  readonly isImpossible: boolean
}

const psi = (value: number) => toPascals({ value, unit: 'psia' })
/** [practice] handbook 13: the cut-in lies below its limit, the cut-out a few psi above 0, apart enough not to short-cycle. */
const MARGIN = psi(2)
const CUT_OUT = psi(3)
const LEAST_APART = psi(8)
/** [practice] handbook 03: a coil evaporates 10-15 F below its box. */
const BOX_DIFFERENCE = differenceToKelvin(12, 'F')

/** [practice] what a walk-in box is kept at where no setpoint is written down, F. */
const USUAL_SETPOINTS: { readonly [K in UnitPlate['kind']]?: number } = {
  'walk-in-cooler': 35,
  'walk-in-freezer': -5,
}

type At = Pick<Snapshot, 'atmosphere' | 'values'>

/** Coldest outdoor air at the site: as written down, else as measured now; K. */
function coldestOutdoor({ control }: UnitPlate, at: At): number | undefined {
  const written = control?.coldestOutdoor
  if (written) return toKelvin({ value: written.value, unit: written.unit as TemperatureUnit })
  return at.values.outdoorAirTemp?.value
}

/**
 * The pressures that fit this box, refrigerant and weather (handbook 13): cut-in below saturation at the warm limit of the
 * box and, with a pump-down outdoors, below saturation at the coldest outdoor air; cut-out low enough to reach the setpoint
 * and a few psi above 0.
 * @returns undefined for what cools no box, or where no setpoint is written down
 */
function lowPressureSetting(unit: UnitPlate, at: At): LowPressureSetting | undefined {
  const control = controlOf(unit)
  if (!isBoxKind(unit) || !control) return undefined
  const found = attempt(() => {
    const gauge = (kelvin: number) => saturationPressure(unit.refrigerant, 'dew', kelvin) - at.atmosphere
    const warm = gauge(control.setpoint + control.differential)
    const outdoor = hasLiquidValve(unit) ? coldestOutdoor(unit, at) : undefined
    const cold = outdoor === undefined ? Infinity : gauge(outdoor)
    const highestCutIn = Math.min(warm, cold)
    const highestCutOut = gauge(control.setpoint - BOX_DIFFERENCE)
    const cutOut = Math.min(CUT_OUT, highestCutOut)
    return {
      highestCutIn,
      highestCutOut,
      cutIn: highestCutIn - MARGIN,
      cutOut,
      limitedBy: cold < warm ? 'the coldest outdoor air' : 'the warm limit of the box',
      isImpossible: highestCutIn - MARGIN - cutOut < LEAST_APART,
    }
  })
  return found.ok ? found.value : undefined
}

const shown = (gaugePascals: number) => `${rounded(fromPascals(gaugePascals, 'psia'), 1)} psig`

/** What to set, in a sentence. */
function settingSentence(setting: LowPressureSetting): string {
  const { cutIn, cutOut, limitedBy, highestCutIn, isImpossible } = setting
  const limit = `Saturation at ${limitedBy} is ${shown(highestCutIn)}.`
  return isImpossible
    ? `${limit} No setting starts it again there and keeps the cut-out a few psi above 0 without short cycles: use a heated or floating head control, or start it by a time or temperature control.`
    : `${limit} Set the cut-in to ${shown(cutIn)} or less, the cut-out to about ${shown(cutOut)}.`
}

/** A walk-in whose setpoint nobody wrote down, at the usual one. */
function atUsualSetpoint(
  unit: UnitPlate,
): { readonly unit: UnitPlate; readonly setpoint: number } | undefined {
  const setpoint = USUAL_SETPOINTS[unit.kind]
  if (setpoint === undefined || unit.control?.setpoint) return undefined
  return {
    setpoint,
    unit: { ...unit, control: { ...unit.control, setpoint: { value: setpoint, unit: 'F' } } },
  }
}

/**
 * The pair to set a low-pressure control to for this box and refrigerant. Where no setpoint is written down, a walk-in's usual
 * one is taken and the sentence says so.
 * @returns undefined for what cools no box, and for a reach-in without a setpoint
 */
export function lowPressureAdvice(unit: UnitPlate): string | undefined {
  const assumed = atUsualSetpoint(unit)
  const setting = lowPressureSetting(assumed?.unit ?? unit, { atmosphere: siteAtmosphere(unit), values: {} })
  if (!setting) return undefined
  const told = settingSentence(setting)
  return assumed ? `Assumed, as no setpoint is on record: box at ${assumed.setpoint} F. ${told}` : told
}

type Rule = {
  readonly keys: readonly ReadingKey[]
  readonly breaks: (cutIn: number | undefined, cutOut: number | undefined, s: LowPressureSetting) => boolean
  readonly says: string
}

const RULES: readonly Rule[] = [
  {
    keys: ['lowCutIn'],
    breaks: (cutIn, _cutOut, { highestCutIn }) => cutIn !== undefined && cutIn > highestCutIn,
    says: 'The cut-in lies above what the circuit can reach on its own: it will not start again.',
  },
  {
    keys: ['lowCutOut'],
    breaks: (_cutIn, cutOut) => cutOut !== undefined && cutOut < 0,
    says: 'The cut-out lies in vacuum: a leak then draws air.',
  },
  {
    keys: ['lowCutOut'],
    breaks: (_cutIn, cutOut, { highestCutOut }) => cutOut !== undefined && cutOut > highestCutOut,
    says: 'The cut-out stops it before the box is cold.',
  },
  {
    keys: ['lowCutIn', 'lowCutOut'],
    breaks: (cutIn, cutOut) => cutIn !== undefined && cutOut !== undefined && cutIn - cutOut < LEAST_APART,
    says: 'Cut-in and cut-out lie so near that it short-cycles.',
  },
]

/** Settings of a low-pressure control that do not fit, each with the pressures to set. */
export function lowPressureFlags(unit: UnitPlate, at: Snapshot): Flag[] {
  const setting = lowPressureSetting(unit, at)
  const gauge = (key: ReadingKey) => {
    const value = at.values[key]?.value
    return value === undefined ? undefined : value - at.atmosphere
  }
  const [cutIn, cutOut] = [gauge('lowCutIn'), gauge('lowCutOut')]
  if (!setting || (cutIn === undefined && cutOut === undefined)) return []
  const broken = RULES.filter(({ breaks }) => breaks(cutIn, cutOut, setting))
  return broken.map(({ keys, says }) => ({
    id: 'low-pressure-control',
    keys,
    sentence: `${says} ${settingSentence(setting)}`,
  }))
}
