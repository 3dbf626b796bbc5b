import { temperatureColour } from '@/core/drawing/temperatureColour'
import { INK } from '../theme/tokens'

/** The colour of a temperature in K, lifted from the ground of the theme in force, for drawings. */
export const temperatureInk = (kelvin: number): string =>
  `color-mix(in srgb, white ${INK.lift}, ${temperatureColour(kelvin)})`
