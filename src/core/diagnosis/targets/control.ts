import { differenceToKelvin, toKelvin } from '../../base/units/convert'
import type { TemperatureUnit } from '../../base/units/units'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Snapshot } from '../../record/readings/snapshot'
import type { Target } from './target'

/** [practice] differential where none is written down. */
const USUAL_DIFFERENTIAL = differenceToKelvin(3, 'F')
/** [practice] a space is kept this near its control's band. */
const KEPT_WITHIN = differenceToKelvin(2, 'F')

/** What the control of the space is set to, K; undefined where no setpoint is written down. */
export function controlOf({ control }: UnitPlate): { setpoint: number; differential: number } | undefined {
  const { setpoint, differential } = control ?? {}
  if (!setpoint) return undefined
  return {
    setpoint: toKelvin({ value: setpoint.value, unit: setpoint.unit as TemperatureUnit }),
    differential: differential
      ? differenceToKelvin(differential.value, differential.unit as TemperatureUnit)
      : USUAL_DIFFERENTIAL,
  }
}

/** Where the space should stand by its own control: from the setpoint to the differential above it, in cooling. */
export function spaceTargetOf(unit: UnitPlate): Target | undefined {
  const control = controlOf(unit)
  return (
    control && {
      value: control.setpoint + control.differential / 2,
      tolerance: control.differential / 2 + KEPT_WITHIN,
      tag: 'nameplate',
      source: 'the setpoint and differential of its control',
    }
  )
}

/** The temperature that the control holds: of the box, else of the return air. */
export const spaceOf = ({ values }: Snapshot) => values.boxTemp ?? values.returnAirTemp

/**
 * Whether a compressor that is off is off because its control is satisfied: the space lies within setpoint and
 * differential, and nobody says that there is a call.
 */
export function isSatisfied(unit: UnitPlate, at: Snapshot): boolean {
  const { compressorState, callForOperation } = at.observations
  const [control, space] = [controlOf(unit), spaceOf(at)]
  if (compressorState !== 'off' || callForOperation === 'yes' || !control || !space) return false
  return at.mode === 'heating'
    ? space.value > control.setpoint - control.differential
    : space.value < control.setpoint + control.differential
}
