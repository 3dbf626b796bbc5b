import { attempt, type OrzoError } from '../../base/errors/orzoError'
import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import { differenceToKelvin, toKelvin, toPascals, toSI } from '../../base/units/convert'
import type { PressureUnit, TemperatureUnit } from '../../base/units/units'
import { instrumentError } from './instrumentError'
import type { AlsoSeen, Mode, Observations, Reading, Readings, ReadingSet } from './schema'
import { READING_KEYS, type ReadingKey, readingRow } from './vocabulary'

/** A value in SI with its standard error. */
export type Measured = { readonly value: number; readonly error: number }

/** A reading set at one place, in SI: what computation works on. */
export type Snapshot = {
  readonly refrigerant: RefrigerantName
  /** local atmospheric pressure, Pa */
  readonly atmosphere: number
  readonly mode: Mode
  readonly values: { readonly [K in ReadingKey]?: Measured }
  readonly raw: Readings
  readonly observations: Observations
  /** further places of what is seen at several */
  readonly also: AlsoSeen
  /** readings that could not be converted, with the reason */
  readonly refused: readonly { readonly key: ReadingKey; readonly error: OrzoError }[]
}

/** [memory] how many times its instrument's error a reading may be off when the technician doubts it. */
export const DOUBTFUL_ERRORS = 4

function siOf(key: ReadingKey, reading: Reading, atmosphere: number): number {
  const { kind } = readingRow(key)
  if (kind === 'pressure') return toPascals(reading as { value: number; unit: PressureUnit }, atmosphere)
  if (kind === 'temperature') return toKelvin(reading as { value: number; unit: TemperatureUnit })
  if (kind === 'temperatureDifference')
    return differenceToKelvin(reading.value, reading.unit as TemperatureUnit)
  return toSI(reading)
}

/**
 * Converts a reading set to SI at its site; a reading that cannot be converted is left out and named.
 * @param refrigerant of the plate; what the set names as inside stands over it
 */
export function takeSnapshot(set: ReadingSet, refrigerant: RefrigerantName, atmosphere: number): Snapshot {
  const values: { [K in ReadingKey]?: Measured } = {}
  const refused: { key: ReadingKey; error: OrzoError }[] = []
  for (const key of READING_KEYS) {
    const reading = set.readings[key]
    if (!reading) continue
    const si = attempt(() => siOf(key, reading, atmosphere))
    if (!si.ok) refused.push({ key, error: si.error })
    else {
      const doubt = reading.doubtful ? DOUBTFUL_ERRORS : 1
      values[key] = { value: si.value, error: doubt * instrumentError(key, si.value, atmosphere) }
    }
  }
  return {
    refrigerant: set.refrigerant ?? refrigerant,
    atmosphere,
    mode: set.mode,
    values,
    raw: set.readings,
    observations: set.observations ?? {},
    also: set.also ?? {},
    refused,
  }
}
