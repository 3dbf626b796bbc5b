import { gaussian, type RandomSource } from '../base/numeric/random'
import { instrumentError } from '../record/readings/instrumentError'
import type { Reading } from '../record/readings/schema'
import { type InstrumentKind, type ReadingKey, readingRow } from '../record/readings/vocabulary'
import { differenceToKelvin, fromKelvin, fromPascals, fromSI, toPascals } from '../base/units/convert'
import type { QuantityKind, Unit } from '../base/units/units'

type InstrumentRow = {
  /** standard deviation of repeated readings of one instrument, SI; a share of the value where `relative` */
  readonly repeatability: number
  readonly relative?: boolean
  /** time constant with which it follows, s */
  readonly lag: number
}

/** Repeatability of handbook 02 and lags [memory]: a clamp warms with its pipe, a wet bulb with its wick. */
export const INSTRUMENT_ROWS: Readonly<Record<InstrumentKind, InstrumentRow>> = {
  gauge: { repeatability: toPascals({ value: 0.1, unit: 'psia' }), lag: 1 },
  clamp: { repeatability: differenceToKelvin(0.3, 'F'), lag: 12 },
  thermometer: { repeatability: differenceToKelvin(0.2, 'F'), lag: 15 },
  'wet-bulb': { repeatability: differenceToKelvin(0.3, 'F'), lag: 40 },
  hygrometer: { repeatability: 0.005, lag: 30 },
  manifold: { repeatability: differenceToKelvin(0.4, 'F'), lag: 12 },
  meter: { repeatability: 0.004, relative: true, lag: 1 },
  ohmmeter: { repeatability: 0.005, relative: true, lag: 1 },
  'flow-hood': { repeatability: 0.02, relative: true, lag: 5 },
}

/** [practice] a stated error is a limit more than a deviation. */
const DEVIATION_OF_LIMIT = 0.5

/** One instrument: how far it is off, in its own standard deviations, the same for all its readings. */
export type Instrument = { readonly name: string; readonly kind: InstrumentKind; readonly offset: number }

/**
 * What an instrument shows of a true value: its own offset and the scatter of one reading.
 * @param si true value, SI; pressures absolute
 * @returns SI, before the display rounds it
 */
export function measure(
  instrument: Instrument,
  key: ReadingKey,
  si: number,
  atmosphere: number,
  random: RandomSource,
): number {
  const { repeatability, relative } = INSTRUMENT_ROWS[instrument.kind]
  const offset = instrument.offset * DEVIATION_OF_LIMIT * instrumentError(key, si, atmosphere)
  const scatter = gaussian(random) * repeatability * (relative ? Math.abs(si) : 1)
  return si + offset + scatter
}

/** Value of a first-order lag after some seconds: what an instrument shows of a changed temperature or pressure. */
export const lagged = (shown: number, target: number, seconds: number, lag: number): number =>
  target + (shown - target) * Math.exp(-seconds / lag)

/** Taps that one instrument serves in turn; every other tap has its own. */
const SHARED: Partial<Record<ReadingKey, string>> = {
  suctionPressure: 'low gauge',
  evaporatorPressure: 'low gauge',
  standingPressure: 'low gauge',
  standingSuctionPressure: 'low gauge',
  standingLiquidPressure: 'high gauge',
  suctionDryerInPressure: 'low gauge',
  suctionDryerOutPressure: 'low gauge',
  liquidPressure: 'high gauge',
  dischargePressure: 'high gauge',
  dryerOutPressure: 'high gauge',
  dryerInTemp: 'dryer clamp',
  dryerOutTemp: 'dryer clamp',
  liquidLineTemp: 'liquid clamp',
  meteringInletTemp: 'liquid clamp',
  rvSuctionInTemp: 'valve clamp',
  rvSuctionOutTemp: 'valve clamp',
  rvDischargeTemp: 'valve clamp',
  rvHotOutTemp: 'valve clamp',
  waterInTemp: 'water clamp',
  waterOutTemp: 'water clamp',
}

/** A technician's instruments, each met for the first time when it is used; the same seed gives the same bag. */
export function toolBag(random: RandomSource): (key: ReadingKey) => Instrument {
  const met = new Map<string, Instrument>()
  return (key) => {
    const kind = readingRow(key).instrument
    const name = SHARED[key] ?? `${kind} ${key}`
    const known = met.get(name)
    if (known) return known
    const instrument: Instrument = { name, kind, offset: gaussian(random) }
    met.set(name, instrument)
    return instrument
  }
}

/** How finely each quantity is shown, in the unit shown. */
const SHOWN: Readonly<Partial<Record<QuantityKind, { readonly unit: Unit; readonly digits: number }>>> = {
  pressure: { unit: 'psig', digits: 1 },
  temperature: { unit: 'F', digits: 1 },
  current: { unit: 'A', digits: 2 },
  voltage: { unit: 'V', digits: 1 },
  resistance: { unit: 'ohm', digits: 2 },
  capacitance: { unit: 'uF', digits: 1 },
  humidity: { unit: '%', digits: 0 },
  flow: { unit: 'cfm', digits: 0 },
}

/** A value as its display shows it. @throws Error for kinds that no instrument shows (a programmer's mistake) */
export function display(key: ReadingKey, si: number, atmosphere: number): Pick<Reading, 'value' | 'unit'> {
  const { kind } = readingRow(key)
  const shown = SHOWN[kind]
  if (!shown) throw new Error(`no instrument shows ${kind}`)
  const { unit, digits } = shown
  const value =
    kind === 'pressure'
      ? fromPascals(si, 'psig', atmosphere)
      : kind === 'temperature'
        ? fromKelvin(si, 'F')
        : fromSI(si, unit)
  return { value: Number(value.toFixed(digits)), unit }
}
