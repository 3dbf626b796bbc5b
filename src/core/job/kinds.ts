import type { UnitPlate } from './unit'

const BOXES: readonly UnitPlate['kind'][] = ['walk-in-cooler', 'walk-in-freezer', 'reach-in']

/** Whether the unit cools a box: a walk-in or a reach-in. */
export const isBoxKind = (unit: UnitPlate): boolean => BOXES.includes(unit.kind)

/** Whether the plate says three phases; silence counts as one. */
export const isThreePhase = (unit: UnitPlate): boolean => unit.power?.phase === 3
