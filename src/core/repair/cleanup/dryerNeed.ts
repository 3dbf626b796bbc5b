import type { Basis } from '../../base/known/known'
import { toKelvin, toSI } from '../../base/units/convert'
import { convertValue } from '../../base/units/convertValue'
import { UNITS } from '../../base/units/units'
import { type RefrigerantName, refrigerantRow } from '../../physics/refrigerants/catalogue'
import { saturatedState } from '../../physics/refrigerants/saturation'
import { hasReversingValve, isBoxKind } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Policy } from '../../record/policy/policy'
import { DRYER_CORES } from '../../record/records/dryer'
import type { CircuitSize } from './circuitSize'
import { type Contamination, isAcid, isBurnout, isWet } from './contamination'
import type { DryerCore, DryerModel, DryerPlace } from './dryerModel'
import type { Range } from './exposure'
import { SIZE_ROWS } from './sizeRows'

/** What a dryer must do on this circuit. */
export type DryerNeed = {
  readonly unit: UnitPlate
  /** what the circuit will be charged with */
  readonly refrigerant: RefrigerantName
  readonly size: CircuitSize
  readonly contamination: Contamination
  /** water left for the dryer, kg, and how that is known */
  readonly water: Range
  readonly waterBasis: Basis
  /** water asks for work of its own: by caution, or by the grams of the ledger */
  readonly isWaterWorked: boolean
  readonly policy: Policy
  readonly previousBurnout: boolean
}

/** [practice] handbook 06: half of the rating is usable, and twice the remainder is wanted. */
const USABLE_SHARE = 0.5
export const WATER_MARGIN = 2
/** [memory] a line under R-410A and its like needs this working pressure, any other this, psig. */
const NEEDED_HIGH = 600
const NEEDED_STANDARD = 400
const RATING_EVAPORATING = toKelvin({ value: 40, unit: 'F' })
const LIQUID_KELVIN = toKelvin({ value: 100, unit: 'F' })
/** [memory] most that a suction dryer may drop while it cleans up, psi; handbook 06. */
const SUCTION_LIMITS = { comfort: 2, cooler: 1.5, freezer: 0.75 } as const
/** Limit at which generic suction sizes are told, psi. */
const SUCTION_RATED = 2

/** Drop at which a suction dryer is too small or full, psi, by application. [memory] */
export const suctionLimit = ({ kind }: UnitPlate): number =>
  kind === 'walk-in-freezer'
    ? SUCTION_LIMITS.freezer
    : isBoxKind({ kind } as UnitPlate)
      ? SUCTION_LIMITS.cooler
      : SUCTION_LIMITS.comfort

/** Whether the liquid line at the dryer flows both ways: a heat pump's, whatever feeds the coil, but for check valves round it. */
export const lineReverses = (unit: UnitPlate): boolean =>
  hasReversingValve(unit) && unit.oldDryer?.checkValves !== true

const evaporating = ({ kind }: UnitPlate) => toKelvin({ value: SIZE_ROWS[kind].evaporating, unit: 'F' })

const liquidStrength = (name: RefrigerantName, from: number) => {
  const liquid = saturatedState(name, 'bubble', LIQUID_KELVIN)
  return (saturatedState(name, 'dew', from).enthalpy - liquid.enthalpy) * Math.sqrt(liquid.density)
}
const vapourStrength = (name: RefrigerantName, from: number, limit: number) => {
  const vapour = saturatedState(name, 'dew', from)
  const effect = vapour.enthalpy - saturatedState(name, 'bubble', LIQUID_KELVIN).enthalpy
  return effect * Math.sqrt(vapour.density * limit)
}

type Where = Pick<DryerNeed, 'unit' | 'refrigerant'>

/** What a circuit makes of rated tons, by place and by what they are told for. [physics] */
function tonsShare(place: DryerPlace, tonsFor: RefrigerantName, { unit, refrigerant }: Where): number {
  return place === 'liquid'
    ? liquidStrength(refrigerant, evaporating(unit)) / liquidStrength(tonsFor, RATING_EVAPORATING)
    : vapourStrength(refrigerant, evaporating(unit), suctionLimit(unit)) /
        vapourStrength(tonsFor, RATING_EVAPORATING, SUCTION_RATED)
}

/** Shares that were calculated for a plate: sixty dryers of a list ask for the same two. */
const shares = new WeakMap<UnitPlate, Map<string, number>>()

/**
 * Tons that a dryer carries on this circuit at its drop limit: refrigerating effect x root of density, against what its
 * tons are told for [physics].
 */
export function tonsOn(dryer: Pick<DryerModel, 'place' | 'tons' | 'tonsFor'>, where: Where): number {
  const known = shares.get(where.unit) ?? new Map<string, number>()
  shares.set(where.unit, known)
  const key = `${dryer.place} ${dryer.tonsFor} ${where.refrigerant}`
  const share = known.get(key) ?? tonsShare(dryer.place, dryer.tonsFor, where)
  known.set(key, share)
  return dryer.tons * share
}

/** Usable water of a dryer on a refrigerant, kg: half of its rating. */
export const usableWater = (dryer: DryerModel, refrigerant: RefrigerantName): number =>
  ((refrigerant === 'R-22' ? dryer.waterR22 : dryer.waterOther) * USABLE_SHARE) / 1000

/** Working pressure that a dryer must stand, psig: the plate's design pressure, or by refrigerant. */
export function pressureNeeded({ unit, refrigerant }: Pick<DryerNeed, 'unit' | 'refrigerant'>): number {
  const design = unit.designPressures?.high
  const usual = refrigerantRow(refrigerant).highPressureClass ? NEEDED_HIGH : NEEDED_STANDARD
  if (!design) return usual
  const plate = convertValue(design, 'psig')
  return Math.max(plate, refrigerantRow(refrigerant).highPressureClass ? NEEDED_HIGH : 0)
}

/** Core that a class asks for (handbook 06). */
export function coreWanted(
  { contamination }: Pick<DryerNeed, 'contamination'>,
  place: DryerPlace,
): DryerCore {
  if (isBurnout(contamination) || contamination.contents.wax) return 'high-acid'
  if (isAcid(contamination) || contamination.contents.debris) return 'blend'
  return place === 'suction' ? 'blend' : 'sieve'
}

/**
 * Sizes up that the class asks for. An appliance of a few ounces keeps the small block, but for dirt: what a capillary would catch
 * is caught by a larger filter (handbook 06). Water that only the ledger tells asks for what its grams ask for.
 */
export function stepsByClass({
  contamination,
  size,
  isWaterWorked,
}: Pick<DryerNeed, 'contamination' | 'size' | 'isWaterWorked'>): number {
  const { debris, wax } = contamination.contents
  if (size.isAppliance.value) return debris || wax ? 1 : 0
  if ((isWet(contamination) && isWaterWorked) || isBurnout(contamination)) return 2
  return isAcid(contamination) || debris || wax ? 1 : 0
}

/** Size of the line at the dryer, inches: of the old dryer, or of the liquid line; undefined where neither is written. */
export const lineSize = ({ oldDryer, lineSet }: UnitPlate, place: DryerPlace): number | undefined => {
  const size = place === 'suction' ? lineSet?.vapour : (oldDryer?.connection ?? lineSet?.liquid)
  return size && toSI(size) / UNITS.in.si
}

/** How many cores a dryer's lies above the one that the class asks for; below zero it is too weak. */
export const coreOver = (dryer: DryerModel, need: Pick<DryerNeed, 'contamination'>): number =>
  DRYER_CORES.indexOf(dryer.core) - DRYER_CORES.indexOf(coreWanted(need, dryer.place))

/** [memory] a block lets this share of its volume fill. */
const BLOCK_FILL = 0.5

/** What fills a block, m3. */
export const blockVolume = (block: number): number => block * UNITS.in.si ** 3 * BLOCK_FILL

/** Liquid that a block holds at 100 F, kg [physics] but for its fill. */
export const blockHolds = (block: number, refrigerant: RefrigerantName): number =>
  blockVolume(block) * saturatedState(refrigerant, 'bubble', LIQUID_KELVIN).density
