import { differenceToKelvin } from '../../base/units/convert'
import type { Derived } from '../../record/readings/derive'
import type { FeatureKey } from './features'

/** [practice] with more subcooling than this liquid loses pressure without cooling: the pressure drop decides. */
export const MUCH_SUBCOOLING = differenceToKelvin(15, 'F')
/** [memory] a drop in temperature that shows nothing is then that uncertain, half widths of its band. */
const HIDDEN_ERROR = 3.5
/** Above this a drop shows all the same. */
const SHOWS_FROM = 1

/**
 * How uncertain a dryer's drop is beyond its clamps, half widths: 60 to 130 psi hide behind much subcooling (handbook 13), so
 * none to be felt says little then; 0 where little is hidden, and for every other feature.
 */
export function hiddenError(key: FeatureKey, deviation: number, { subcooling }: Derived): number {
  const isHidden =
    key === 'dryerDrop' &&
    deviation < SHOWS_FROM &&
    subcooling !== undefined &&
    subcooling.value > MUCH_SUBCOOLING
  return isHidden ? HIDDEN_ERROR : 0
}
