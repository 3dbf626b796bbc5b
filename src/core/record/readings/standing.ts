import type { ReadingKey } from './vocabulary'

/**
 * Readings that say the same whether the unit runs or stands, in whatever mode: settings, windings, supply, parts on the
 * meter, one start. All others belong to the mode in which they were read.
 */
const STANDING_READINGS: ReadonlySet<ReadingKey> = new Set<ReadingKey>([
  'standingPressure',
  'lowCutIn',
  'lowCutOut',
  'voltageL1L2',
  'voltageL2L3',
  'voltageL3L1',
  'voltageRunning',
  'inrushAmps',
  'ohmsCR',
  'ohmsCS',
  'ohmsRS',
  'ohmsT1T2',
  'ohmsT2T3',
  'ohmsT3T1',
  'ohmsToGround',
  'runCapacitance',
  'startCapacitance',
  'crankcaseHeaterOhms',
  'crankcaseHeaterAmps',
  'solenoidOhms',
])

/** Whether a reading holds in every mode. */
export const isStanding = (key: string): boolean => STANDING_READINGS.has(key as ReadingKey)
