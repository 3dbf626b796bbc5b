import type { UnitPlate } from '../equipment/unit'

/** What comes off for the work and must be back before the end; some only on some units. [practice] */
type OffPart = { readonly label: string; readonly on?: (unit: UnitPlate) => boolean }

/** One row a part; the ids are stored and never change, whatever the label says. */
const OFF_PARTS = {
  'access-panels-and-their-screws': { label: 'Access panels and their screws' },
  'caps-of-the-service-ports': { label: 'Caps of the service ports' },
  'valve-cores': { label: 'Valve cores' },
  'bulb-of-the-expansion-valve-its-strap-and-insulation': {
    label: 'Bulb of the expansion valve, its strap and insulation',
  },
  'equaliser-of-the-expansion-valve': { label: 'Equaliser of the expansion valve' },
  'terminal-cover-of-the-compressor': { label: 'Terminal cover of the compressor' },
  'crankcase-heater': {
    label: 'Crankcase heater',
    on: ({ crankcaseHeater }) => crankcaseHeater !== undefined,
  },
  'sensor-on-the-discharge-line': { label: 'Sensor on the discharge line' },
  'feet-and-sound-jacket-of-the-compressor': { label: 'Feet and sound jacket of the compressor' },
  'coil-of-the-reversing-valve': { label: 'Coil of the reversing valve' },
  'sensors-and-straps-on-the-lines-of-the-reversing-valve': {
    label: 'Sensors and straps on the lines of the reversing valve',
  },
  'coil-of-the-solenoid-valve': { label: 'Coil of the solenoid valve' },
  'magnet-that-holds-the-solenoid-open-or-its-wire-at-the-elect': {
    label: 'Magnet that holds the solenoid open, or its wire at the electronic valve',
  },
  'insulation-of-the-lines-that-were-cut': { label: 'Insulation of the lines that were cut' },
  'line-straps-and-clamps': { label: 'Line straps and clamps' },
  'belt-of-the-fan': { label: 'Belt of the fan' },
  'flue-or-gas-line': { label: 'Flue or gas line' },
} as const satisfies Record<string, OffPart>

export type OffId = keyof typeof OFF_PARTS
export const OFF_IDS = Object.keys(OFF_PARTS) as OffId[]
export const isOffId = (word: string): word is OffId => Object.hasOwn(OFF_PARTS, word)
export const offLabel = (id: OffId): string => OFF_PARTS[id].label
/** Whether a unit has such a part. */
export const hasOffPart = (id: OffId, unit: UnitPlate): boolean =>
  (OFF_PARTS as Record<OffId, OffPart>)[id].on?.(unit) ?? true

/** The cover of the compressor's terminals: bench, list and vetoes mean the same one. */
export const COVER: OffId = 'terminal-cover-of-the-compressor'
