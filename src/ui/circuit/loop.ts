import {
  condenserMedium,
  evaporatorMedium,
  hasReversingValve,
  isBoxKind,
} from '@/core/record/equipment/kinds'
import { isUsual } from '@/core/record/equipment/observable'
import type { UnitPlate } from '@/core/record/equipment/unit'
import type { Mode } from '@/core/record/readings/schema'

/** What stands on the liquid line, in the order of flow. */
export type LiquidPart =
  'service-valve' | 'head-pressure-valve' | 'receiver' | 'dryer' | 'sight-glass' | 'solenoid' | 'metering'
/** What stands on the suction line, in the order of flow. */
export type SuctionPart = 'suction-dryer' | 'accumulator'

export type CoilMedium = 'outdoor-air' | 'room-air' | 'water' | 'box'
export type CoilView = { readonly name: string; readonly role: string; readonly medium: CoilMedium }

/** What of a unit the drawing shows, in the roles of its mode. */
export type Loop = {
  readonly condenser: CoilView
  readonly evaporator: CoilView
  readonly liquid: readonly LiquidPart[]
  readonly suction: readonly SuctionPart[]
  /** unknown: nobody said what feeds the coil */
  readonly metering: UnitPlate['metering'] | 'unknown'
  readonly reversingValve: boolean
  readonly heating: boolean
  /** off: nothing flows */
  readonly flows: boolean
}

const condenserView = (unit: UnitPlate, mode: Mode): CoilView => {
  const water = condenserMedium(unit, mode) === 'water'
  const role = mode === 'off' ? 'rejects heat when running' : 'rejects heat'
  if (unit.kind === 'pool-heat-pump') return { name: 'Pool water coil', role, medium: 'water' }
  if (mode === 'heating') return { name: 'Indoor coil', role, medium: 'room-air' }
  return water
    ? { name: 'Water coil', role, medium: 'water' }
    : { name: hasReversingValve(unit) ? 'Outdoor coil' : 'Condenser', role, medium: 'outdoor-air' }
}

const evaporatorView = (unit: UnitPlate, mode: Mode): CoilView => {
  const role = mode === 'off' ? 'takes heat when running' : 'takes heat'
  if (isBoxKind(unit)) return { name: 'Evaporator in the box', role, medium: 'box' }
  if (evaporatorMedium(unit, mode) === 'water') return { name: 'Water coil', role, medium: 'water' }
  if (mode === 'heating' || unit.kind === 'pool-heat-pump')
    return { name: 'Outdoor coil', role, medium: 'outdoor-air' }
  return { name: hasReversingValve(unit) ? 'Indoor coil' : 'Evaporator', role, medium: 'room-air' }
}

const WALK_INS: readonly UnitPlate['kind'][] = ['walk-in-cooler', 'walk-in-freezer']

/** The loop of a unit in a mode, from its plate. */
export function loopOf(unit: UnitPlate, mode: Mode, metering: Loop['metering'] = unit.metering): Loop {
  const liquid: readonly (readonly [LiquidPart, boolean])[] = [
    ['head-pressure-valve', unit.headPressureControl === true],
    ['receiver', unit.receiver === true],
    ['service-valve', true],
    ['dryer', true],
    ['solenoid', WALK_INS.includes(unit.kind)],
    ['sight-glass', isUsual(unit, 'sightGlass')],
    ['metering', true],
  ]
  return {
    condenser: condenserView(unit, mode),
    evaporator: evaporatorView(unit, mode),
    liquid: liquid.flatMap(([part, there]) => (there ? [part] : [])),
    suction: unit.accumulator ? ['suction-dryer', 'accumulator'] : ['suction-dryer'],
    metering,
    reversingValve: hasReversingValve(unit),
    heating: mode === 'heating',
    flows: mode !== 'off',
  }
}
