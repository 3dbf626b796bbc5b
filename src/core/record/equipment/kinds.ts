import type { Mode } from '../readings/schema'
import type { Plate, UnitKind, UnitPlate } from './unit'

type Medium = 'air' | 'water'

/** What is the same on every unit of a kind. */
export type KindFacts = {
  /** it cools a box: a walk-in or a reach-in */
  readonly box: boolean
  readonly reversingValve: boolean
  /** a solenoid valve in the liquid line is usual */
  readonly liquidValve: boolean
  /** what takes the heat where the plate is silent */
  readonly rejectsTo: Medium
  /** the mode in which it does its main work */
  readonly mainMode: 'cooling' | 'heating'
  /** a pool heater gives its heat to water and takes it from air, whatever the plate says */
  readonly heatsPool: boolean
  /** its lines are made on site */
  readonly pipedOnSite: boolean
}

const PLAIN: KindFacts = {
  box: false,
  reversingValve: false,
  liquidValve: false,
  rejectsTo: 'air',
  mainMode: 'cooling',
  heatsPool: false,
  pipedOnSite: false,
}
const SPLIT = { pipedOnSite: true } as const
const HEAT_PUMP: KindFacts = { ...PLAIN, reversingValve: true }
const BOX: KindFacts = { ...PLAIN, box: true }

/** One row a kind. */
const KIND_FACTS: Readonly<Record<UnitKind, KindFacts>> = {
  'split-ac': { ...PLAIN, ...SPLIT },
  'package-ac': PLAIN,
  'split-heat-pump': { ...HEAT_PUMP, ...SPLIT },
  'package-heat-pump': HEAT_PUMP,
  'water-source-heat-pump': { ...HEAT_PUMP, rejectsTo: 'water' },
  'pool-heat-pump': { ...HEAT_PUMP, mainMode: 'heating', heatsPool: true },
  'walk-in-cooler': { ...BOX, ...SPLIT, liquidValve: true },
  'walk-in-freezer': { ...BOX, ...SPLIT, liquidValve: true },
  'reach-in': BOX,
  other: PLAIN,
}

const factsOf = ({ kind }: Pick<UnitPlate, 'kind'>): KindFacts => KIND_FACTS[kind]

/** Whether the unit cools a box: a walk-in or a reach-in. */
export const isBoxKind = (unit: Pick<UnitPlate, 'kind'>): boolean => factsOf(unit).box

/** Whether refrigerant lines are made on site: their length is the job's own. */
export const isPipedOnSite = (unit: Pick<UnitPlate, 'kind'>): boolean => factsOf(unit).pipedOnSite

/** Whether it heats and cools by turns: both modes are proven. A pool heater turns for its defrost alone. */
export const runsBothWays = (unit: UnitPlate): boolean => {
  const { reversingValve, heatsPool } = factsOf(unit)
  return reversingValve && !heatsPool
}

/** Whether it is a box that is piped on site: a walk-in, which runs by a pressure control. */
export const isWalkIn = (unit: Pick<UnitPlate, 'kind'>): boolean => isBoxKind(unit) && isPipedOnSite(unit)

/** Whether the unit has a reversing valve. */
export const hasReversingValve = (unit: UnitPlate): boolean => factsOf(unit).reversingValve

/** Whether a solenoid valve in the liquid line is usual. */
export const hasLiquidValve = (unit: UnitPlate): boolean => factsOf(unit).liquidValve

/** Whether the plate says three phases; silence counts as one. */
export const isThreePhase = (unit: UnitPlate): boolean => unit.power?.phase === 3

/** Whether the outer coil is served by water: a condenser in cooling, an evaporator in heating. */
export const isWaterCooled = (unit: UnitPlate): boolean =>
  (unit.heatRejection ?? factsOf(unit).rejectsTo) === 'water'

/** Whether a coil of the unit stands in water: the outer one, or that of a pool heater. */
export const hasWaterCoil = (unit: UnitPlate): boolean => factsOf(unit).heatsPool || isWaterCooled(unit)

/** The mode in which a unit does its main work; cooling while its kind is not known. */
export const mainMode = ({ kind = 'other' }: Pick<Plate, 'kind'>): 'cooling' | 'heating' =>
  factsOf({ kind }).mainMode

/** What takes the heat from the condenser, by mode: the coils of a heat pump swap their roles. */
export function condenserMedium(unit: UnitPlate, mode: Mode): Medium {
  if (factsOf(unit).heatsPool) return 'water'
  return mode === 'heating' ? 'air' : isWaterCooled(unit) ? 'water' : 'air'
}

/** What gives heat to the evaporator. */
export const evaporatorMedium = (unit: UnitPlate, mode: Mode): Medium =>
  mode === 'heating' && !factsOf(unit).heatsPool && isWaterCooled(unit) ? 'water' : 'air'
