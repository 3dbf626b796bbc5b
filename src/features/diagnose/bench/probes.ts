import type { Readings } from '@/core/record/readings/schema'
import { hasReversingValve, isThreePhase } from '@/core/record/equipment/kinds'
import type { ElectricalCaution } from '@/core/safety/electricalCautions'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { type ReadingKey, readingRow } from '@/core/record/readings/vocabulary'

/** Where on the drawing a probe can be put; units of the drawing. */
export type Probe = {
  readonly id: string
  readonly label: string
  readonly name: string
  readonly x: number
  readonly y: number
}

export const DRAWING = { width: 356, height: 560 } as const

const LINES_Y = 150
const MOTOR = { x: 105, y: 405, radius: 88 } as const
export const MOTOR_SHELL = MOTOR

const TERMINALS = [
  { x: 105, y: 347 },
  { x: 50, y: 432 },
  { x: 160, y: 432 },
] as const
const SINGLE_NAMES = [
  ['C', 'common'],
  ['R', 'run'],
  ['S', 'start'],
] as const
/** T2 stands on top, between the other two. */
const THREE_NAMES = ['T2', 'T1', 'T3'] as const

/** x of the wires, left to right. */
/** Which terminal each wire leads to, by its place in the list of terminals: a single-phase run winding hangs on L1, common on L2. */
export const fedBy = (unit: UnitPlate): readonly number[] => (isThreePhase(unit) ? [1, 0, 2] : [1, 0])

export const wiresOf = (unit: UnitPlate): readonly number[] =>
  isThreePhase(unit) ? [45, 105, 165] : [45, 165]

/** Probes of the lines, the motor's terminals and the shell. */
export function probesOf(unit: UnitPlate): Probe[] {
  const lines = wiresOf(unit).map((x, i) => ({
    id: `L${i + 1}`,
    label: `L${i + 1}`,
    name: `Line L${i + 1}`,
    x,
    y: LINES_Y,
  }))
  const terminals = TERMINALS.map(({ x, y }, i) => {
    const id = isThreePhase(unit) ? (THREE_NAMES[i] as string) : (SINGLE_NAMES[i]?.[0] as string)
    const name = isThreePhase(unit) ? `Terminal ${id}` : `Terminal ${SINGLE_NAMES[i]?.[1]}`
    return { id, label: id, name, x, y }
  })
  return [
    ...lines,
    ...terminals,
    { id: 'G', label: 'G', name: 'Bare copper on the shell', x: MOTOR.x, y: 515 },
  ]
}

/** Which reading stands between two probes; any motor terminal against the shell is the ground reading. */
const BETWEEN: Readonly<Record<string, ReadingKey>> = {
  'L1 L2': 'voltageL1L2',
  'L2 L3': 'voltageL2L3',
  'L1 L3': 'voltageL3L1',
  'T1 T2': 'ohmsT1T2',
  'T2 T3': 'ohmsT2T3',
  'T1 T3': 'ohmsT3T1',
  'C R': 'ohmsCR',
  'C S': 'ohmsCS',
  'R S': 'ohmsRS',
}

/** The reading between two probes, in either order; undefined where nothing is read. */
export function readingBetween(first: string, second: string): ReadingKey | undefined {
  if (first === second) return undefined
  const [a, b] = [first, second].sort() as [string, string]
  const others = [a, b].filter((id) => id !== 'G')
  if (others.length === 1) return /^(T|C$|R$|S$)/.test(others[0] as string) ? 'ohmsToGround' : undefined
  return BETWEEN[`${a} ${b}`]
}

/** The two probes of a reading, for the number written between them. */
export const probesBetween = (key: ReadingKey): readonly [string, string] | undefined => {
  const found = Object.entries(BETWEEN).find(([, each]) => each === key)?.[0]
  return found?.split(' ') as [string, string] | undefined
}

/** The three pairs of a motor's windings, in the order in which they are read. */
const WINDINGS: readonly (readonly ReadingKey[])[] = [
  ['ohmsCR', 'ohmsCS', 'ohmsRS'],
  ['ohmsT1T2', 'ohmsT2T3', 'ohmsT3T1'],
]

/** The pair that is read after one, where it was not read yet. */
export const nextWinding = (key: ReadingKey, readings: Readings): ReadingKey | undefined => {
  const pairs = WINDINGS.find((each) => each.includes(key)) ?? []
  return pairs.slice(pairs.indexOf(key) + 1).find((each) => readings[each] === undefined)
}

/** Amps are read by a clamp round one lead. */
export type Clamp = {
  readonly key: ReadingKey
  readonly label: string
  readonly x: number
  readonly y: number
}

const CLAMP_Y = 268

export const clampsOf = (unit: UnitPlate): Clamp[] =>
  isThreePhase(unit)
    ? wiresOf(unit).map((x, i) => ({ key: `ampsL${i + 1}` as ReadingKey, label: `A${i + 1}`, x, y: CLAMP_Y }))
    : [{ key: 'compressorAmps', label: 'A', x: wiresOf(unit)[0] as number, y: CLAMP_Y }]

/** A part beside the motor, with what is read on it. */
export type BenchPart = {
  readonly id: string
  readonly label: string
  readonly keys: readonly ReadingKey[]
  readonly y: number
}

export function partsOf(unit: UnitPlate): BenchPart[] {
  const rows: { id: string; label: string; keys: readonly ReadingKey[]; fits: boolean }[] = [
    { id: 'start', label: 'Start attempt', keys: ['inrushAmps', 'voltageRunning'], fits: true },
    {
      id: 'capacitor',
      label: 'Run capacitor',
      keys: ['runCapacitance', 'capacitorAmps', 'capacitorVolts'],
      fits: !isThreePhase(unit),
    },
    {
      id: 'heater',
      label: 'Crankcase heater',
      keys: ['crankcaseHeaterAmps', 'crankcaseHeaterOhms'],
      fits: true,
    },
    {
      id: 'coil',
      label: 'Reversing valve coil',
      keys: ['solenoidVolts', 'solenoidVoltsNoLoad', 'solenoidOhms'],
      fits: hasReversingValve(unit),
    },
  ]
  return rows
    .filter(({ fits }) => fits)
    .map(({ id, label, keys }, i) => ({ id, label, keys, y: 350 + 56 * i }))
}

/** What must hold before a reading is taken. */
export function cautionOf(key: ReadingKey, atOwnTerminals: boolean): ElectricalCaution {
  const { kind } = readingRow(key)
  if (key === 'ohmsToGround' && atOwnTerminals) return 'ownTerminals'
  return kind === 'resistance' || kind === 'capacitance' ? 'dead' : 'live'
}
