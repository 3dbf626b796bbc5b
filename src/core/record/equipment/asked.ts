import { OrzoError } from '../../base/errors/orzoError'
import type { Observations, Readings } from '../readings/schema'
import { isCircuitWord } from '../readings/observations'
import { type ReadingKey, readingRow } from '../readings/vocabulary'
import type { Plate, UnitPlate } from './unit'

/** What decides how a reading is understood; none of it is ever presumed. */
const ASKED_FIELDS = ['refrigerant', 'metering', 'kind'] as const
export type AskedField = (typeof ASKED_FIELDS)[number]

type Taken = {
  readonly readings: Readings
  readonly observations?: Observations | undefined
}

const keysOf = ({ readings }: Taken) => Object.keys(readings) as ReadingKey[]
const isPressure = (key: ReadingKey) => readingRow(key).kind === 'pressure'

const hasPressure = (sets: readonly Taken[]) => sets.some((set) => keysOf(set).some(isPressure))
const speaksOfCircuit = (sets: readonly Taken[]) =>
  sets.some(
    (set) =>
      keysOf(set).some((key) => readingRow(key).place !== 'electrical') ||
      Object.keys(set.observations ?? {}).some(isCircuitWord),
  )

/** What is not known of a plate. */
export const unknownOf = (plate: Plate): AskedField[] =>
  ASKED_FIELDS.filter((field) => plate[field] === undefined)

const NEEDED: Readonly<Record<AskedField, (sets: readonly Taken[]) => boolean>> = {
  refrigerant: hasPressure,
  metering: speaksOfCircuit,
  kind: () => true,
}

/** What the plate does not tell and the readings cannot be understood without. */
export const asksOf = (plate: Plate, sets: readonly Taken[]): AskedField[] =>
  unknownOf(plate).filter((field) => NEEDED[field](sets))

/** A unit to draw and to walk round where its plate is silent: nothing that `asksOf` names may be told of it. */
const STAND_IN = { kind: 'other', refrigerant: 'R-410A', metering: 'txv' } as const

const withStandIns = ({ kind, refrigerant, metering, ...rest }: Plate): UnitPlate => ({
  ...rest,
  kind: kind ?? STAND_IN.kind,
  refrigerant: refrigerant ?? STAND_IN.refrigerant,
  metering: metering ?? STAND_IN.metering,
})

/** The unit as far as it is known, filled up so that it can be drawn; a full plate stays the same object. */
export const drawnUnit = (plate: Plate): UnitPlate =>
  unknownOf(plate).length === 0 ? (plate as UnitPlate) : withStandIns(plate)

/** A set without what cannot be understood of it: pressures of an unknown refrigerant. */
export function understood<T extends Taken>(plate: Plate, set: T): T {
  if (plate.refrigerant !== undefined || !hasPressure([set])) return set
  const readings = Object.fromEntries(
    Object.entries(set.readings).filter(([key]) => !isPressure(key as ReadingKey)),
  )
  return { ...set, readings }
}

/** @throws OrzoError bad-document for a plate that does not tell what a computation needs */
export function knownUnit(plate: Plate): UnitPlate {
  const missing = unknownOf(plate)
  if (missing.length === 0) return plate as UnitPlate
  throw new OrzoError(
    'bad-document',
    `The plate does not tell ${missing.join(', ')}: write unit.${missing[0]} into the file, as on the plate.`,
  )
}
