/**
 * One name for each temperature of a boiling or condensing refrigerant, everywhere: with glide they lie several degrees
 * apart, and "condensing" alone would be any of them.
 */
export const SATURATION_NAMES = {
  evaporatingDew: 'Evaporating dew',
  evaporatingMean: 'Evaporating mean',
  condensingBubble: 'Condensing bubble',
  condensingMean: 'Condensing mean',
} as const
