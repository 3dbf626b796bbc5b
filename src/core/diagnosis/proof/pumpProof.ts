import { attempt } from '../../base/errors/orzoError'
import { differenceToKelvin } from '../../base/units/convert'
import { saturationPressure } from '../../physics/refrigerants/saturation'
import type { Assessment } from '../evidence/assess'
import type { GateRecord } from './gate'

/** [practice] two runs are two conditions when their condensing temperatures lie so far apart. */
const APART = differenceToKelvin(5, 'F')
/** [practice] this unit's own amps when it was well, and how far below them plainly tells. */
const PLAINLY_BELOW_NORMAL = 0.85

/** The least ratio that a sound compressor makes at this unit's expected saturations [physics]. */
function leastRatio({ unit, targets }: Pick<Assessment, 'unit' | 'targets'>): number | undefined {
  const { evaporatingMean: low, condensingMean: high } = targets
  if (!low || !high) return undefined
  const found = attempt(
    () =>
      saturationPressure(unit.refrigerant, 'bubble', high.value - high.tolerance) /
      saturationPressure(unit.refrigerant, 'dew', low.value + low.tolerance),
  )
  return found.ok ? found.value : undefined
}

/** Whether the pressures lie closer than a sound compressor leaves them. */
export function isRatioLow(run: Pick<Assessment, 'unit' | 'targets' | 'derived'>): boolean {
  const least = leastRatio(run)
  const ratio = run.derived.compressionRatio
  return least !== undefined && ratio !== undefined && ratio.value < least
}

function areAmpsLow({ unit, snapshot, targets }: Assessment): boolean {
  const { rla, normalAmps } = unit.power ?? {}
  const amps = snapshot.values.compressorAmps?.value
  if (amps === undefined) return false
  if (normalAmps !== undefined) return amps < PLAINLY_BELOW_NORMAL * normalAmps
  const target = targets.ampsShare
  return rla !== undefined && target !== undefined && amps / rla < target.value - target.tolerance
}

const condensing = ({ derived }: Assessment) => derived.condensingMean?.value ?? NaN

/** Amps and ratio below this unit's expected ones at two conditions: what shows it where no valve can be shut. */
export function isWeakAtTwoConditions({ runs }: GateRecord): boolean {
  const weak = runs.filter((run) => isRatioLow(run) && areAmpsLow(run))
  return weak.some((first) => weak.some((other) => condensing(other) - condensing(first) >= APART))
}
