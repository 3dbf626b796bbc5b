import { OIL_ROWS, oilOf } from './oils'
import type { CleanupRecord } from './record'

/** A sign of water in the circuit. */
export type WaterSign = {
  readonly sentence: string
  readonly seen: (record: CleanupRecord) => boolean
  /** how likely it is seen in a dry circuit, and in a wet one [practice] */
  readonly chances: readonly [dry: number, wet: number]
  /** the circuit is planned as wet where it is seen */
  readonly wet?: true
}

/** [practice] in rain an hour is enough. */
const HOURS_OPEN_WET_IN_RAIN = 1
/** [practice] handbook 11: longer than a day is pulled three times. */
export const HOURS_OPEN_TRIPLE = 24

const open = ({ observations }: CleanupRecord) => observations.hoursOpenToAir ?? 0

export const WATER_SIGNS: readonly WaterSign[] = [
  {
    sentence: 'The moisture indicator reads wet.',
    seen: ({ observations }) => observations.moistureIndicator === 'wet',
    chances: [0.02, 0.5],
    wet: true,
  },
  {
    sentence: 'The moisture indicator is washed out and unreadable: free water was there.',
    seen: ({ observations }) => observations.moistureIndicator === 'unreadable',
    chances: [0.02, 0.3],
    wet: true,
  },
  {
    sentence: 'The oil is milky.',
    seen: ({ observations }) => observations.oilAppearance === 'milky',
    chances: [0.005, 0.3],
    wet: true,
  },
  {
    sentence: 'Copper plating shows moisture over a long time.',
    seen: ({ observations }) => observations.copperPlating === 'yes',
    chances: [0.03, 0.3],
    wet: true,
  },
  {
    sentence: 'Hot water on the valve restored flow: ice.',
    seen: ({ observations }) => observations.warmValveResponse === 'flow-returned',
    chances: [0.02, 0.5],
    wet: true,
  },
  {
    sentence: 'Water was found in the circuit.',
    seen: ({ observations }) => observations.waterFound === 'drops' || observations.waterFound === 'runs-out',
    chances: [0.001, 0.3],
    wet: true,
  },
  {
    sentence: 'The circuit was open in rain.',
    seen: (record) => record.observations.openConditions === 'rain' && open(record) >= HOURS_OPEN_WET_IN_RAIN,
    chances: [0.05, 0.6],
    wet: true,
  },
  {
    sentence: 'The line ends lay unplugged for more than a day.',
    seen: (record) => record.observations.linesPlugged === 'unplugged' && open(record) > HOURS_OPEN_TRIPLE,
    chances: [0.05, 0.6],
    wet: true,
  },
  {
    sentence: 'The laboratory found more water in the oil than it may hold.',
    seen: ({ repair, unit }) => repair.oilWater !== undefined && repair.oilWater > OIL_ROWS[oilOf(unit)].act,
    chances: [0.02, 0.9],
    wet: true,
  },
  {
    sentence: 'The moisture indicator is between dry and wet.',
    seen: ({ observations }) => observations.moistureIndicator === 'caution',
    chances: [0.1, 0.35],
  },
  {
    sentence: 'The moisture indicator is dry.',
    seen: ({ observations }) => observations.moistureIndicator === 'dry',
    chances: [0.85, 0.15],
  },
]

/** The signs of water and of none that are on record. */
export const waterSigns = (record: CleanupRecord): WaterSign[] =>
  WATER_SIGNS.filter(({ seen }) => seen(record))
