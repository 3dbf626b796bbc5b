import { GAS_CONSTANT } from '../../base/numeric/gasConstant'
import { OrzoError } from '../../base/errors/orzoError'

/**
 * Pressure of a closed volume of nitrogen after a change of temperature [physics: ideal gas at constant volume; within
 * 1 % for nitrogen up to 45 bar near room temperature].
 * @param pascals absolute; temperatures K
 * @throws OrzoError out-of-range for temperatures or pressures that are not above zero
 */
export function nitrogenPressureAt(pascals: number, from: number, to: number): number {
  if (!(pascals > 0 && from > 0 && to > 0)) {
    throw new OrzoError(
      'out-of-range',
      'Absolute pressure and temperatures must be above zero: check the units.',
    )
  }
  return (pascals * to) / from
}

/** A circuit under nitrogen. SI. */
export type NitrogenTest = {
  readonly volume: number
  /** moles inside */
  readonly amount: number
  /** area of the leak, m2; 0 when tight */
  readonly leakArea: number
}

const NITROGEN_MASS = 0.0280134
const AIR_MASS = 0.0289652
/** [physics] choked flow function of a diatomic gas, and the pressure ratio below which it chokes. */
const CHOKED = 0.6847
const CHOKING_RATIO = 0.5283
const STEP = 10

/** Fills a volume to an absolute pressure (Pa) at a temperature (K). */
export const fillNitrogen = (
  volume: number,
  pascals: number,
  kelvin: number,
  leakArea: number,
): NitrogenTest => ({
  volume,
  amount: (pascals * volume) / (GAS_CONSTANT * kelvin),
  leakArea,
})

export const testPressure = ({ amount, volume }: NitrogenTest, kelvin: number): number =>
  (amount * GAS_CONSTANT * kelvin) / volume

/** Share of the choked flow at a pressure ratio across the leak. */
function chokedShare(ratio: number): number {
  if (ratio <= CHOKING_RATIO) return 1
  return ratio >= 1 ? 0 : Math.sqrt((1 - ratio) / (1 - CHOKING_RATIO))
}

/**
 * Air that is drawn into a vacuum through a hole, at the speed of sound [physics].
 * @param leakArea m2; atmosphere Pa outside; kelvin of the air
 * @returns Pa m3/s
 */
export const inflowOfAir = (leakArea: number, atmosphere: number, kelvin: number): number =>
  leakArea * atmosphere * CHOKED * Math.sqrt((GAS_CONSTANT * kelvin) / AIR_MASS)

/**
 * The test after some seconds while the temperature of the gas follows a course.
 * @param temperatureAt K as a function of seconds since the start of this call; atmosphere Pa
 */
export function hold(
  test: NitrogenTest,
  seconds: number,
  temperatureAt: (seconds: number) => number,
  atmosphere: number,
): NitrogenTest {
  let { amount } = test
  for (let at = 0; at < seconds; at += STEP) {
    const kelvin = temperatureAt(at)
    const pascals = testPressure({ ...test, amount }, kelvin)
    const massFlow =
      test.leakArea *
      pascals *
      CHOKED *
      Math.sqrt(NITROGEN_MASS / (GAS_CONSTANT * kelvin)) *
      chokedShare(atmosphere / pascals)
    amount = Math.max(amount - (massFlow / NITROGEN_MASS) * Math.min(STEP, seconds - at), 0)
  }
  return { ...test, amount }
}
