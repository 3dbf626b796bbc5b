import type { PressureUnit } from '../../base/units/units'
import { differenceToKelvin, toPascals } from '../../base/units/convert'
import type { Reading } from './schema'
import { type InstrumentKind, type ReadingKey, readingRow } from './vocabulary'

/** [memory] instrument errors of handbook 02, taken as one standard deviation. */
const CLAMP_KELVIN = differenceToKelvin(1, 'F')
const CLAMP_REPEATABILITY_KELVIN = differenceToKelvin(0.3, 'F')
const GAUGE_SHARE = 0.01
const GAUGE_LEAST_PASCALS = toPascals({ value: 0.5, unit: 'psia' })
const GAUGE_REPEATABILITY_PASCALS = toPascals({ value: 0.1, unit: 'psia' })
/** [memory] a clamp and a gauge behind one figure: the clamp's error and about 0.6 F of saturation. */
const SHOWN_KELVIN = differenceToKelvin(1.2, 'F')
const METER_SHARE = 0.02
const FLOW_SHARE = 0.1
const OHM_SHARE = 0.02
const OHM_LEAST = 0.2
const HUMIDITY_POINTS = 0.03

const ERROR_OF: Record<InstrumentKind, (si: number, gaugePascals: number) => number> = {
  gauge: (_si, gaugePascals) => Math.max(GAUGE_SHARE * Math.abs(gaugePascals), GAUGE_LEAST_PASCALS),
  clamp: () => CLAMP_KELVIN,
  thermometer: () => CLAMP_KELVIN,
  'wet-bulb': () => CLAMP_KELVIN,
  hygrometer: () => HUMIDITY_POINTS,
  meter: (si) => METER_SHARE * Math.abs(si),
  ohmmeter: (si) => Math.max(OHM_SHARE * Math.abs(si), OHM_LEAST),
  manifold: () => SHOWN_KELVIN,
  'flow-hood': (si) => FLOW_SHARE * Math.abs(si),
}

/**
 * Standard error of a reading in SI (Pa, K, A ...).
 * @param si the reading's SI value; for pressures absolute Pa
 * @param atmosphere local atmospheric pressure, Pa: a gauge errs by a share of what it shows, not of the absolute pressure
 */
export function instrumentError(key: ReadingKey, si: number, atmosphere: number): number {
  return ERROR_OF[readingRow(key).instrument](si, si - atmosphere)
}

/** Error of a difference of two pressures: repeatability when one gauge read both, else both accuracies. Pa. */
export function pressureDropError(first: Reading, second: Reading, atmosphere: number): number {
  if (first.instrument && first.instrument === second.instrument)
    return GAUGE_REPEATABILITY_PASCALS * Math.SQRT2
  const error = (reading: Reading) =>
    instrumentError(
      'suctionPressure',
      toPascals(reading as { value: number; unit: PressureUnit }, atmosphere),
      atmosphere,
    )
  return Math.hypot(error(first), error(second))
}

/** Error of a difference of two temperatures, K: repeatability when one instrument read both. */
export function temperatureDropError(first: Reading, second: Reading): number {
  const same = first.instrument !== undefined && first.instrument === second.instrument
  return (same ? CLAMP_REPEATABILITY_KELVIN : CLAMP_KELVIN) * Math.SQRT2
}
