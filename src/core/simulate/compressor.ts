import { fixedPoint } from '../base/numeric/fixedPoint'
import type { RefrigerantName } from '../physics/refrigerants/catalogue'
import { gasEnthalpyOfEntropy, gasOfEnthalpy, type Isobar } from '../physics/refrigerants/vapour'
import type { Compressor } from './hardware'
import { cornersAtPressure, qualityOf } from './saturations'
import { homogeneousDensity } from './twoPhase'

/** What enters a compressor. */
export type Suction = { readonly pressure: number; readonly enthalpy: number; readonly isobar: Isobar }

/** Where it pumps to. */
export type Discharge = { readonly pressure: number; readonly isobar: Isobar }

export type CompressorDuty = {
  /** net flow out of the discharge port, kg/s */
  readonly massFlow: number
  /** electric power, W, and heat the shell gives to the air around */
  readonly power: number
  readonly shellHeat: number
  readonly dischargeEnthalpy: number
  readonly dischargeTemperature: number
  readonly dischargeDensity: number
}

/** [physics] gas chokes in a leak path when the low side is under about 0.55 of the high side. */
const CHOKED_SHARE = 0.55
const LEAST_EFFICIENCY = 0.42
const LEAST_FILL = 0.02
const MOST_LEAK_SHARE = 0.95
const MOST_SHELL_SHARE = 0.9

/** Gas through a leak path from the high to the low side, kg/s. */
export function leakFlow(area: number, density: number, high: number, low: number): number {
  const drop = high - Math.max(low, CHOKED_SHARE * high)
  return drop <= 0 ? 0 : area * Math.sqrt(2 * density * drop)
}

type Inlet = { readonly density: number; readonly entropy: number }

/** Density and entropy of what enters the cylinder; wet gas counts as a homogeneous mixture. */
function inletState(name: RefrigerantName, { pressure, isobar }: Suction, enthalpy: number): Inlet {
  const { dew, dewTemperature } = isobar
  if (enthalpy >= dew.enthalpy) return gasOfEnthalpy(isobar, enthalpy)
  const at = cornersAtPressure(name, pressure)
  return {
    density: homogeneousDensity(at.liquidDensity, at.vapourDensity, qualityOf(at, enthalpy)),
    entropy: dew.entropy + (enthalpy - dew.enthalpy) / dewTemperature,
  }
}

const filling = (c: Compressor, ratio: number) =>
  Math.max(1 + c.clearance - c.clearance * ratio ** (1 / c.exponent), LEAST_FILL)

const efficiency = (c: Compressor, ratio: number) =>
  Math.max(c.peakEfficiency * (1 - c.efficiencyFall * Math.log(ratio / c.peakRatio) ** 2), LEAST_EFFICIENCY)

/**
 * What a compressor moves and takes, given what its discharge is believed to be: gas that leaks back inside has that
 * enthalpy and mixes hot into the suction. A state is consistent where the returned enthalpy repeats the given one.
 * @param ambient air round the shell, K
 */
export function compressorDuty(
  name: RefrigerantName,
  compressor: Compressor,
  suction: Suction,
  discharge: Discharge,
  dischargeEnthalpy: number,
  ambient: number,
): CompressorDuty {
  const ratio = Math.max(discharge.pressure / suction.pressure, 1)
  const swept = compressor.displacement * filling(compressor, ratio)
  const out = gasOfEnthalpy(discharge.isobar, dischargeEnthalpy)
  const leak = leakFlow(compressor.leakArea, out.density, discharge.pressure, suction.pressure)
  const own = inletState(name, suction, suction.enthalpy)
  const share = Math.min(leak / (swept * own.density), MOST_LEAK_SHARE)
  const mixed = share + compressor.suctionWarming * (1 - share)
  const enthalpy = suction.enthalpy + mixed * (dischargeEnthalpy - suction.enthalpy)
  const inlet = mixed > 0 ? inletState(name, suction, enthalpy) : own
  const total = swept * inlet.density
  const massFlow = Math.max(total - leak, total * LEAST_FILL)
  const ideal = Math.max(gasEnthalpyOfEntropy(discharge.isobar, inlet.entropy) - enthalpy, 0)
  const power = (total * ideal) / efficiency(compressor, ratio)
  const warm = Math.max(compressor.shellLoss * (out.temperature - ambient), 0)
  const shellHeat = Math.min(warm, MOST_SHELL_SHARE * power)
  return {
    massFlow,
    power,
    shellHeat,
    dischargeEnthalpy: suction.enthalpy + (power - shellHeat) / massFlow,
    dischargeTemperature: out.temperature,
    dischargeDensity: out.density,
  }
}

/** J/kg: a usual rise to begin with, and how well the discharge enthalpy must repeat. */
const FIRST_RISE = 40_000
const GOOD_ENOUGH = 0.01

/** A compressor at two pressures with its discharge settled. */
export function runCompressor(
  name: RefrigerantName,
  compressor: Compressor,
  suction: Suction,
  discharge: Discharge,
  ambient: number,
): CompressorDuty {
  const duty = (guess: number) => compressorDuty(name, compressor, suction, discharge, guess, ambient)
  const first = suction.enthalpy + FIRST_RISE
  return duty(fixedPoint(first, (guess) => duty(guess).dischargeEnthalpy, GOOD_ENOUGH))
}
