/** A hose or a valve core on the way from the system to the pump. SI. */
export type Hose = {
  /** inner diameter, m */
  readonly bore: number
  readonly length: number
}

/** [physics] viscosity of air at 20 C, Pa s; conductance of a long tube for air in molecular flow, m/s (Knudsen). */
const AIR_VISCOSITY = 1.82e-5
const MOLECULAR_TUBE = 121
/** [physics] an opening conducts 116 m/s times its area for air at 20 C. */
const MOLECULAR_OPENING = 116

/** [memory] a valve core in its fitting passes air like a short tube of this size. */
export const VALVE_CORE: Hose = { bore: 0.0022, length: 0.008 }

/**
 * Conductance of a round tube for air, m3/s: viscous with d^4 / length x mean pressure, molecular with d^3 / length,
 * and never more than its opening [physics: Poiseuille, Knudsen].
 * @param meanPressure Pa
 */
export function hoseConductance({ bore, length }: Hose, meanPressure: number): number {
  const viscous = (Math.PI * bore ** 4 * meanPressure) / (128 * AIR_VISCOSITY * length)
  const tube = (MOLECULAR_TUBE * bore ** 3) / length
  const opening = MOLECULAR_OPENING * (Math.PI / 4) * bore ** 2
  return viscous + 1 / (1 / tube + 1 / opening)
}

/** Several pieces in a row, m3/s. */
export const inSeries = (pieces: readonly Hose[], meanPressure: number): number =>
  1 / pieces.reduce((sum, piece) => sum + 1 / hoseConductance(piece, meanPressure), 0)

/** Several ways side by side, each a row of pieces, m3/s. */
export const inParallel = (ways: readonly (readonly Hose[])[], meanPressure: number): number =>
  ways.reduce((sum, way) => sum + inSeries(way, meanPressure), 0)
