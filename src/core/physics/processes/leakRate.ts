import { GAS_CONSTANT } from '../../base/numeric/gasConstant'
import { OrzoError } from '../../base/errors/orzoError'
import type { RefrigerantName } from '../refrigerants/catalogue'
import { saturationTemperature } from '../refrigerants/saturation'
import { tableOf } from '../refrigerants/tables'

/** [physics] viscosity of nitrogen and of air near 75 F, Pa s; air's is 2 % more, which is far inside the other errors. */
const NITROGEN_VISCOSITY = 1.78e-5
/** [memory] viscosity of a saturated refrigerant vapour at 40 F and how it grows with temperature; by fluid +-15 %. */
const VAPOUR_VISCOSITY = 1.22e-5
const VISCOSITY_KELVIN = 277.6
const VISCOSITY_EXPONENT = 1.9
/** [practice] a leak is told for this temperature of the gas. */
const ROOM = 297
const YEAR = 365.25 * 86_400

/** Gas that crosses a wall, Pa m3/s, from a change of pressure in a closed volume. */
export const throughputOf = (volume: number, pascalsPerSecond: number): number => volume * pascalsPerSecond

/** A leak that was seen or could have been, by the gas and the pressures at which it was looked for. SI, absolute. */
export type SeenLeak = {
  /** Pa m3/s of nitrogen or air */
  readonly throughput: number
  readonly inside: number
  readonly outside: number
}

/** Viscous flow through a fine leak goes with the difference of the squared pressures [physics: Poiseuille for a gas]. */
const drive = (a: number, b: number) => Math.abs(a * a - b * b)

function vapourViscosity(refrigerant: RefrigerantName, running: number): number {
  const kelvin = saturationTemperature(refrigerant, 'dew', running)
  return VAPOUR_VISCOSITY * (kelvin / VISCOSITY_KELVIN) ** VISCOSITY_EXPONENT
}

/**
 * The same hole with refrigerant vapour in it at running pressure, kg a year: (P1^2 - P2^2) / viscosity, times the molar mass.
 * @param running Pa absolute in the unit at the place of the leak; atmosphere Pa
 * @throws OrzoError out-of-range where the test had no pressure difference, or outside the refrigerant's table; not-loaded
 */
export function refrigerantLeak(
  { throughput, inside, outside }: SeenLeak,
  refrigerant: RefrigerantName,
  running: number,
  atmosphere: number,
): number {
  const tested = drive(inside, outside)
  if (!(tested > 0))
    throw new OrzoError(
      'out-of-range',
      'There was no pressure difference in this test: check its pressure and unit.',
    )
  const ratio = drive(running, atmosphere) / tested
  const thinner = NITROGEN_VISCOSITY / vapourViscosity(refrigerant, running)
  const molesPerSecond = (throughput * ratio * thinner) / (GAS_CONSTANT * ROOM)
  return molesPerSecond * tableOf(refrigerant).molarMass * YEAR
}
