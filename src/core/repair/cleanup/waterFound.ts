import { absoluteHumidity } from '../../physics/air/psychrometrics'
import { type CircuitSize, ROOM_KELVIN } from './circuitSize'
import { type Exposure, exposureOf, type Range } from './exposure'
import { OIL_ROWS } from './oils'
import type { CleanupRecord } from './record'

/** Which side of every estimate is taken. */
export type Side = keyof Range
export const SIDES = ['low', 'likely', 'high'] as const satisfies readonly Side[]

/** [memory] water film on the walls at saturation, kg a m3 of circuit. */
const WALL = 0.002
/** [memory] free water, g a m3 of circuit: where it was seen in drops, where rain fell in, where it runs out. */
const DROPS: Range = { low: 100, likely: 300, high: 600 }
const IN_RAIN: Range = { low: 200, likely: 800, high: 2000 }
const RUNS_OUT: Range = { low: 2000, likely: 5000, high: 12_000 }
const PER_MILLION = 1e-6
/** [practice] a laboratory figure. */
const LAB_ERROR = 0.1

/** What the circuit holds as humidity when saturated, kg: dissolved in oil, as gas, on the walls. */
export type Capacity = {
  readonly oil: number
  readonly gas: number
  readonly wall: number
  readonly all: number
}

/** Capacity of a circuit for water at 75 F. [physics] gas, [memory] oil and wall */
export function capacityOf({
  oilMass,
  oil,
  volume,
}: Pick<CircuitSize, 'oilMass' | 'oil' | 'volume'>): Capacity {
  const inOil = oilMass * OIL_ROWS[oil].saturated * PER_MILLION
  const gas = volume * absoluteHumidity(ROOM_KELVIN, 1)
  const wall = volume * WALL
  return { oil: inOil, gas, wall, all: inOil + gas + wall }
}

/** Humidity of the oil as shares of saturation, by what speaks of it. [memory], handbook 06 */
const SATURATION = {
  milky: { low: 0.6, likely: 0.8, high: 1 },
  freeWater: { low: 0.5, likely: 1, high: 1 },
  wet: { low: 0.05, likely: 0.2, high: 0.6 },
  caution: { low: 0.02, likely: 0.04, high: 0.1 },
  dry: { low: 0.008, likely: 0.016, high: 0.03 },
} as const satisfies Record<string, Range>
/** [memory] nothing speaks of it: as fresh oil, half to twice. */
const AS_FRESH: Range = { low: 0.5, likely: 1, high: 2 }

function freeOf({ observations }: CleanupRecord): Range | undefined {
  const { waterFound, openConditions, hoursOpenToAir = 0, moistureIndicator } = observations
  if (waterFound === 'runs-out') return RUNS_OUT
  if (openConditions === 'rain' && hoursOpenToAir >= 1) return IN_RAIN
  if (waterFound === 'drops' || moistureIndicator === 'unreadable') return DROPS
  return undefined
}

/** Share of saturation of the oil as it was before any opening that is told. */
function shareBefore(record: CleanupRecord, size: CircuitSize, side: Side): number {
  const { observations, repair, faults } = record
  const row = OIL_ROWS[size.oil]
  if (repair.oilWater !== undefined) {
    const error = side === 'low' ? 1 - LAB_ERROR : side === 'high' ? 1 + LAB_ERROR : 1
    return Math.min((repair.oilWater * error) / row.saturated, 1)
  }
  if (freeOf(record)) return SATURATION.freeWater[side]
  if (observations.oilAppearance === 'milky') return SATURATION.milky[side]
  const isIce =
    observations.warmValveResponse === 'flow-returned' || faults.includes('moisture-freeze-at-valve')
  if (observations.moistureIndicator === 'wet' || observations.copperPlating === 'yes' || isIce)
    return SATURATION.wet[side]
  if (observations.moistureIndicator === 'caution') return SATURATION.caution[side]
  return (row.fresh / row.saturated) * AS_FRESH[side]
}

/** Water in a circuit as it is found, one side of the estimates. kg */
export type WaterAsFound = {
  readonly capacity: Capacity
  /** dissolved, as gas and on the walls before it was opened */
  readonly before: number
  /** what the air could bring, and what stayed: never past the humidity of that air */
  readonly supply: number
  readonly entered: number
  readonly free: number
  /** share of saturation of what is not free */
  readonly share: number
  /** parts of water in a million of oil */
  readonly ppm: number
}

/**
 * Water that came in is the smaller of what the air could supply and what lies in equilibrium with its humidity
 * (handbook 06): a circuit that breathed for years holds no more than one that breathed for months.
 */
export function waterAsFound(record: CleanupRecord, size: CircuitSize, side: Side): WaterAsFound {
  const capacity = capacityOf(size)
  const before = shareBefore(record, size, side) * capacity.all
  const exposure = exposureOf(record)
  const { supply, entered } = exposure
    ? enteredBy(exposure, size, capacity, before, side)
    : { supply: 0, entered: 0 }
  const free = ((freeOf(record)?.[side] ?? 0) * size.volume) / 1000
  const share = Math.min((before + entered) / capacity.all, 1)
  return {
    capacity,
    before,
    supply,
    entered,
    free,
    share,
    ppm: share * OIL_ROWS[size.oil].saturated,
  }
}

function enteredBy(
  { fillings, humidity }: Exposure,
  size: Pick<CircuitSize, 'volume'>,
  capacity: Capacity,
  before: number,
  side: Side,
): { supply: number; entered: number } {
  const supply = fillings[side] * size.volume * absoluteHumidity(ROOM_KELVIN, humidity[side])
  const room = Math.max(humidity[side] * capacity.all - before, 0)
  return { supply, entered: Math.min(supply, room) }
}
