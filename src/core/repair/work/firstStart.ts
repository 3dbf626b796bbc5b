import { hasLiquidValve, hasWaterCoil } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'

/** A point of the first start after a change (handbook 09). */
type StartPoint = {
  readonly id: string
  readonly label: string
  readonly on: (unit: UnitPlate) => boolean
}

const always = () => true

/** [practice] handbook 09, in the order in which they are gone through. */
export const FIRST_START: readonly StartPoint[] = [
  {
    id: 'warm',
    label: 'Crankcase heater on for its hours, or the shell warm',
    on: ({ crankcaseHeater }) => crankcaseHeater !== undefined,
  },
  { id: 'rotation', label: 'Rotation right: phase sequence read', on: ({ power }) => power?.phase === 3 },
  { id: 'valves', label: 'Every service valve open, tags off', on: always },
  {
    id: 'solenoids',
    label: 'Solenoids and electronic valves released',
    on: (unit) => hasLiquidValve(unit) || unit.metering === 'eev',
  },
  { id: 'water', label: 'Water flows', on: hasWaterCoil },
  { id: 'gauges', label: 'Gauges on, amps clamp on', on: always },
  { id: 'disconnect', label: 'One stands at the disconnect', on: always },
  {
    id: 'limits',
    label:
      'Stop limits written: amps over RLA, head over the plate, suction under 0, oil foaming away, noise',
    on: always,
  },
  { id: 'oil', label: 'Oil of a new compressor counted against what is left in the circuit', on: always },
]
