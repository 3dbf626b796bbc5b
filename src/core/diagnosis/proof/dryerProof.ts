import { attempt } from '../../base/errors/orzoError'
import { differenceToKelvin } from '../../base/units/convert'
import { saturationPressure } from '../../physics/refrigerants/saturation'
import { MUCH_SUBCOOLING } from '../evidence/hiddenDrop'
import type { GateRecord } from './gate'

/** [practice] over 3 F a dryer is replaced, under 2 F it is good. */
const REPLACE_OVER = differenceToKelvin(3, 'F')

/** What subcooled liquid can lose without a drop in temperature, Pa [physics]: R-410A at 110 F with 30 F about 130 psi. */
export function hiddenDrop({
  snapshot,
  derived,
}: Pick<GateRecord, 'snapshot' | 'derived'>): number | undefined {
  const { condensingBubble, subcooling } = derived
  if (!condensingBubble || !subcooling || subcooling.value <= 0) return undefined
  const found = attempt(
    () =>
      saturationPressure(snapshot.refrigerant, 'bubble', condensingBubble.value) -
      saturationPressure(snapshot.refrigerant, 'bubble', condensingBubble.value - subcooling.value),
  )
  return found.ok ? found.value : undefined
}

/** A pressure drop that would cool flashing liquid by 3 F, Pa. */
function pressureLimit({ snapshot, derived }: GateRecord): number {
  const at = derived.condensingBubble?.value
  const found = attempt(() =>
    at === undefined
      ? NaN
      : saturationPressure(snapshot.refrigerant, 'bubble', at) -
        saturationPressure(snapshot.refrigerant, 'bubble', at - REPLACE_OVER),
  )
  return found.ok ? found.value : NaN
}

export type DryerProof = 'restricted' | 'clear' | 'undecided'

/**
 * What the drop over the dryer shows. A drop in temperature shows only where the liquid flashes; with much subcooling the
 * pressure after it decides.
 * @returns undefined where no drop was measured
 */
export function dryerProof(record: GateRecord): DryerProof | undefined {
  const { derived, snapshot } = record
  const { liquidPressure, dryerOutPressure } = snapshot.values
  const drop = derived.dryerDrop?.value
  if (drop !== undefined && drop > REPLACE_OVER) return 'restricted'
  if (liquidPressure && dryerOutPressure) {
    const limit = pressureLimit(record)
    const byPressure = liquidPressure.value - dryerOutPressure.value
    if (!Number.isNaN(limit)) return byPressure > limit ? 'restricted' : 'clear'
  }
  if (drop === undefined) return undefined
  const subcooling = derived.subcooling?.value ?? snapshot.values.subcoolingShown?.value ?? 0
  return subcooling > MUCH_SUBCOOLING ? 'undecided' : 'clear'
}
