import { differenceToKelvin } from '../../base/units/convert'
import { isBoxKind } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Flag } from '../../record/readings/flags'
import type { Measured, Snapshot } from '../../record/readings/snapshot'

/** [practice] half of what superheat gains between the coil outlet and the compressor: what it may be off where nobody said where. */
const HALF_GAIN = { box: differenceToKelvin(7.5, 'F'), comfort: differenceToKelvin(2, 'F') } as const
/** [practice] what a liquid line gains or loses between the condenser and the valve. */
const LINE_CHANGE = differenceToKelvin(3, 'F')

const wider = ({ value, error }: Measured, by: number): Measured => ({ value, error: Math.hypot(error, by) })
const halfGain = (unit: UnitPlate) => (isBoxKind(unit) ? HALF_GAIN.box : HALF_GAIN.comfort)
const isHeld = ({ metering }: UnitPlate) => metering === 'txv' || metering === 'eev'

/**
 * Superheat as an instrument shows it, as that at the compressor (handbook 13: it was shown somewhere, and the target differs).
 * @returns undefined where it was shown at the coil outlet of a valve, which has a target of its own; wider where nobody said
 * where, and where a fixed device was read at the coil
 */
export function shownAtCompressor(unit: UnitPlate, at: Snapshot): Measured | undefined {
  const shown = at.values.superheatShown
  const { superheatShownAt: place } = at.observations
  if (!shown || place === 'compressor') return shown
  if (place === undefined) return wider(shown, halfGain(unit))
  return isHeld(unit) ? undefined : wider(shown, halfGain(unit))
}

/** Superheat as an instrument shows it at the coil outlet of a valve. */
export const shownAtCoil = (unit: UnitPlate, at: Snapshot): Measured | undefined =>
  at.observations.superheatShownAt === 'coil-outlet' && isHeld(unit) ? at.values.superheatShown : undefined

/**
 * Subcooling as an instrument shows it, as that which the unit's target speaks of: behind the receiver where there is one,
 * else at the condenser outlet.
 */
export function shownSubcooling(unit: UnitPlate, at: Snapshot): Measured | undefined {
  const shown = at.values.subcoolingShown
  const { subcoolingShownAt: place } = at.observations
  if (!shown) return undefined
  if (place === 'valve-inlet') return wider(shown, LINE_CHANGE)
  const isBehind = place === 'receiver-outlet'
  // ahead of the receiver another figure is right, and there is no target for it
  if (place !== undefined && isBehind !== (unit.receiver === true)) return undefined
  return shown
}

/** What is asked where a figure was written as shown and not where. */
export function shownWhereFlags({ values, observations }: Snapshot): Flag[] {
  if (!values.superheatShown || observations.superheatShownAt !== undefined) return []
  return [
    {
      id: 'shown-where',
      keys: ['superheatShown'],
      sentence:
        'Superheat was written as shown, but not where: at the coil outlet and at the compressor other figures are right. Say where it was shown.',
    },
  ]
}
