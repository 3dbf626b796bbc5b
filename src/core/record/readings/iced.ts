import type { Observations } from './schema'

/** A coil iced over is a symptom (handbook 13): what is read of a circuit that runs over ice says nothing of its fault. */
export const isIced = (observations: Observations | undefined): boolean =>
  observations?.evaporatorCoil === 'iced'
