import { absoluteHumidity } from '../../physics/air/psychrometrics'
import type { CircuitSize } from './circuitSize'
import { type Contamination, isWet } from './contamination'
import type { CleanupRecord } from './record'

/** One line of the ledger: kilograms of water with the standard error of the estimate. */
type WaterLine = { readonly label: string; readonly kg: number; readonly error: number }

export type WaterLedger = {
  readonly sources: readonly WaterLine[]
  readonly sinks: readonly WaterLine[]
  /** what comes in, what sweeps and oil take out, and what is left for the dryer; kg */
  readonly total: number
  readonly removed: number
  readonly remainder: number
  readonly error: number
  readonly sweeps: number
  readonly oilChanges: number
}

const ROOM_KELVIN = 297.04 // 75 F
/** [physics] a breathing circuit exchanges about delta-T / T of its gas a day; handbook 06: 5-8 %. */
const EXCHANGE_PER_DAY = 0.065
const HOURS_PER_DAY = 24
/** [practice] relative humidity of the air by the word chosen for the weather. */
const HUMIDITY = { dry: 0.3, humid: 0.75, rain: 1, coastal: 0.85 } as const
/** [memory] water in oil by mass: new, in need of action, and saturated; handbook 06. */
const OIL_PPM = {
  POE: { dry: 50, moist: 100, wet: 500, saturated: 2000 },
  PVE: { dry: 50, moist: 200, wet: 1500, saturated: 6000 },
  mineral: { dry: 30, moist: 40, wet: 65, saturated: 80 },
  alkylbenzene: { dry: 30, moist: 40, wet: 65, saturated: 80 },
} as const
/** [memory] free water where it was seen or where rain fell in, kg. */
const FREE_WATER = 0.003
const FREE_WATER_IN_RAIN = 0.008
const ERROR_SHARE = 0.5
/** [practice] share of the oil that leaves when a hermetic is tipped; handbook 06: 60-85 %. */
const OIL_DRAINED = 0.7
/** [memory] what a small pump draws through hoses without cores, m3/s, while water boils at 4,600 microns (32 F). */
const PUMPED = 0.001
const BOILING_PASCALS = 611
const WATER_GAS_CONSTANT = 461.52
/** [practice] likely time of a wet evacuation, handbook 01. */
const WET_VACUUM_SECONDS = 240 * 60
/** [practice] sweeps with nitrogen: one as the short form, three for a wet circuit. */
const SWEEPS = { dry: 1, wet: 3 } as const

/** [physics] vapour mass drawn off while water boils, kg/s. */
const BOIL_RATE = (PUMPED * BOILING_PASCALS) / (WATER_GAS_CONSTANT * ROOM_KELVIN)

const line = (label: string, kg: number): WaterLine => ({ label, kg, error: ERROR_SHARE * kg })

function oilState({ observations }: CleanupRecord, wet: boolean): keyof (typeof OIL_PPM)['POE'] {
  if (observations.oilAppearance === 'milky') return 'saturated'
  if (wet) return 'wet'
  return observations.moistureIndicator === 'caution' ? 'moist' : 'dry'
}

function freeWater({ observations }: CleanupRecord): number {
  if (observations.openConditions === 'rain' && (observations.hoursOpenToAir ?? 0) >= 1)
    return FREE_WATER_IN_RAIN
  return observations.warmValveResponse === 'flow-returned' ? FREE_WATER : 0
}

const oilPpm = (record: CleanupRecord, size: CircuitSize, wet: boolean): number =>
  OIL_PPM[size.oil][oilState(record, wet)]

const waterInOil = (record: CleanupRecord, size: CircuitSize, wet: boolean): number =>
  size.oilMass * oilPpm(record, size, wet) * 1e-6

function sourcesOf(record: CleanupRecord, size: CircuitSize, wet: boolean): WaterLine[] {
  const { hoursOpenToAir = 0, openConditions = 'humid' } = record.observations
  const exchanges = 1 + (EXCHANGE_PER_DAY * hoursOpenToAir) / HOURS_PER_DAY
  const air = size.volume * absoluteHumidity(ROOM_KELVIN, HUMIDITY[openConditions]) * exchanges
  return [
    line(`air that entered, ${exchanges.toFixed(2)} fillings`, air),
    line(`water in the ${size.oil} oil, ${oilPpm(record, size, wet)} ppm`, waterInOil(record, size, wet)),
    line('free water', freeWater(record)),
  ].filter(({ kg }) => kg > 0)
}

/**
 * Grams in against grams out (handbook 06). A sweep takes vapour only, at most volume x saturated
 * vapour density; what is left must fit the dryer.
 */
export function waterLedger(
  record: CleanupRecord,
  contamination: Contamination,
  size: CircuitSize,
  oilChanges: number,
): WaterLedger {
  const wet = isWet(contamination)
  const sources = sourcesOf(record, size, wet)
  const total = sources.reduce((sum, { kg }) => sum + kg, 0)
  const error = Math.hypot(...sources.map((source) => source.error))
  const sweeps = wet ? SWEEPS.wet : SWEEPS.dry
  const inOil = waterInOil(record, size, wet)
  const byOil = inOil * (1 - (1 - OIL_DRAINED) ** oilChanges)
  const boiled = wet ? Math.min(freeWater(record), BOIL_RATE * WET_VACUUM_SECONDS) : 0
  const vapour = sweeps * size.volume * absoluteHumidity(ROOM_KELVIN, 1)
  const bySweeps = Math.max(Math.min(vapour, total - byOil - boiled), 0)
  const sinks = [
    ...(oilChanges > 0 ? [line(`${oilChanges} oil change${oilChanges > 1 ? 's' : ''}`, byOil)] : []),
    ...(boiled > 0
      ? [
          line(
            `free water boiled off in a warm vacuum, about ${Math.ceil(boiled / BOIL_RATE / 60)} min`,
            boiled,
          ),
        ]
      : []),
    line(`${sweeps} nitrogen sweep${sweeps > 1 ? 's' : ''}, vapour only`, bySweeps),
  ]
  const removed = byOil + boiled + bySweeps
  return {
    sources,
    sinks,
    total,
    removed,
    remainder: Math.max(total - removed, 0),
    error,
    sweeps,
    oilChanges,
  }
}
