import { absoluteHumidity } from '../../physics/air/psychrometrics'
import { type CircuitSize, ROOM_KELVIN } from './circuitSize'
import { type Exposure, exposureOf, type Range } from './exposure'
import { OIL_ROWS, type OilRow } from './oils'
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
  const inOil = oilMass.value * OIL_ROWS[oil.value].saturated * PER_MILLION
  const gas = volume.value * absoluteHumidity(ROOM_KELVIN, 1)
  const wall = volume.value * WALL
  return { oil: inOil, gas, wall, all: inOil + gas + wall }
}

/** Shares of saturation where the oil itself shows water, and where free water stood over it. [memory], handbook 06 */
const MILKY: Range = { low: 0.7, likely: 0.9, high: 1 }
const UNDER_FREE_WATER: Range = { low: 0.75, likely: 1, high: 1 }

const partOf = (ppm: Range, { saturated }: OilRow): Range => ({
  low: Math.min(ppm.low / saturated, 1),
  likely: Math.min(ppm.likely / saturated, 1),
  high: Math.min(ppm.high / saturated, 1),
})

/** Shares of saturation by what the indicator says, of each oil by its own figures: never less for a wetter word. [memory] */
const BY_INDICATOR = {
  dry: (oil: OilRow) => partOf({ low: 0.4 * oil.fresh, likely: 0.8 * oil.fresh, high: 1.5 * oil.fresh }, oil),
  none: (oil: OilRow) => partOf({ low: 0.5 * oil.fresh, likely: oil.fresh, high: 2 * oil.fresh }, oil),
  caution: (oil: OilRow) => partOf({ low: oil.fresh, likely: oil.moist, high: 2.5 * oil.moist }, oil),
  wet: (oil: OilRow) => partOf({ low: oil.moist, likely: oil.wet, high: 3 * oil.wet }, oil),
} as const

/** Water that was seen standing in the circuit; a washed-out indicator is one (handbook 13). */
export const isWaterStanding = ({
  observations: { waterFound, moistureIndicator },
}: CleanupRecord): boolean =>
  waterFound === 'drops' || waterFound === 'runs-out' || moistureIndicator === 'unreadable'

function freeOf(record: CleanupRecord): Range | undefined {
  const { waterFound, openConditions, hoursOpenToAir = 0 } = record.observations
  if (waterFound === 'runs-out') return RUNS_OUT
  if (openConditions === 'rain' && hoursOpenToAir >= 1) return IN_RAIN
  return isWaterStanding(record) ? DROPS : undefined
}

/** Share of saturation of the oil as it was before any opening that is told. */
function shareBefore(record: CleanupRecord, size: CircuitSize, side: Side): number {
  const { observations, repair, faults } = record
  const row = OIL_ROWS[size.oil.value]
  if (repair.oilWater !== undefined) {
    const error = side === 'low' ? 1 - LAB_ERROR : side === 'high' ? 1 + LAB_ERROR : 1
    return Math.min((repair.oilWater * error) / row.saturated, 1)
  }
  if (freeOf(record)) return UNDER_FREE_WATER[side]
  if (observations.oilAppearance === 'milky') return MILKY[side]
  const isIce =
    observations.warmValveResponse === 'flow-returned' || faults.includes('moisture-freeze-at-valve')
  const isWet = observations.moistureIndicator === 'wet' || observations.copperPlating === 'yes' || isIce
  const { moistureIndicator } = observations
  const says = isWet
    ? 'wet'
    : moistureIndicator === 'caution' || moistureIndicator === 'dry'
      ? moistureIndicator
      : 'none'
  return BY_INDICATOR[says](row)[side]
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
export function waterAsFound(
  record: CleanupRecord,
  size: CircuitSize,
  side: Side,
  exposure = exposureOf(record),
): WaterAsFound {
  const capacity = capacityOf(size)
  const before = shareBefore(record, size, side) * capacity.all
  const { supply, entered } = exposure
    ? enteredBy(exposure, size, capacity, before, side)
    : { supply: 0, entered: 0 }
  const free = ((freeOf(record)?.[side] ?? 0) * size.volume.value) / 1000
  const share = Math.min((before + entered) / capacity.all, 1)
  return {
    capacity,
    before,
    supply,
    entered,
    free,
    share,
    ppm: share * OIL_ROWS[size.oil.value].saturated,
  }
}

function enteredBy(
  { fillings, humidity }: Exposure,
  size: Pick<CircuitSize, 'volume'>,
  capacity: Capacity,
  before: number,
  side: Side,
): { supply: number; entered: number } {
  const supply = fillings[side] * size.volume.value * absoluteHumidity(ROOM_KELVIN, humidity[side])
  const room = Math.max(humidity[side] * capacity.all - before, 0)
  return { supply, entered: Math.min(supply, room) }
}
