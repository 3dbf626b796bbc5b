import type { QuantityKind } from '../../base/units/units'
import { isReadingKey, READING_KEYS, type ReadingKey, readingRow } from './vocabulary'

type ChannelRow = {
  readonly label: string
  /** on a chart and in a list */
  readonly short: string
  readonly kind: QuantityKind
  /** the instrument that shows it */
  readonly instrument: 'gauge' | 'clamp' | 'scale' | 'micron-gauge'
}

/** What is logged while a circuit is emptied, tested, evacuated and filled: no reading of a running unit. */
const WORK_CHANNELS = {
  cylinderWeight: {
    label: 'Cylinder on the scale',
    short: 'Cylinder',
    kind: 'mass',
    instrument: 'scale',
  },
  circuitPressure: {
    label: 'Pressure in the circuit',
    short: 'Circuit',
    kind: 'pressure',
    instrument: 'gauge',
  },
  testPressure: {
    label: 'Nitrogen in the circuit',
    short: 'Nitrogen',
    kind: 'pressure',
    instrument: 'gauge',
  },
  gasTemp: {
    label: 'Pipe where the gas is',
    short: 'Gas',
    kind: 'temperature',
    instrument: 'clamp',
  },
  systemVacuum: {
    label: 'Vacuum at the system, far from the pump',
    short: 'System',
    kind: 'pressure',
    instrument: 'micron-gauge',
  },
  spaceNow: {
    label: 'Space, or what the unit works on',
    short: 'Space',
    kind: 'temperature',
    instrument: 'clamp',
  },
  pumpVacuum: {
    label: 'Vacuum at the pump',
    short: 'Pump',
    kind: 'pressure',
    instrument: 'micron-gauge',
  },
} as const satisfies Record<string, ChannelRow>

export type WorkChannel = keyof typeof WORK_CHANNELS
export const WORK_CHANNEL_KEYS = Object.keys(WORK_CHANNELS) as WorkChannel[]
const isWorkChannel = (word: string): word is WorkChannel => Object.hasOwn(WORK_CHANNELS, word)

/** What a column of a log can be: a reading of the unit, or what is watched while it is worked on. */
export type ChannelKey = ReadingKey | WorkChannel
export const CHANNEL_KEYS: readonly ChannelKey[] = [...READING_KEYS, ...WORK_CHANNEL_KEYS]
export const isChannelKey = (word: string): word is ChannelKey => isWorkChannel(word) || isReadingKey(word)

/** Names and quantity of a channel. */
export const channelRow = (key: ChannelKey): Pick<ChannelRow, 'label' | 'short' | 'kind'> =>
  isWorkChannel(key) ? WORK_CHANNELS[key] : readingRow(key)

/** Names, quantity and instrument of a channel of the work. */
export const workChannelRow = (key: WorkChannel): ChannelRow => WORK_CHANNELS[key]
