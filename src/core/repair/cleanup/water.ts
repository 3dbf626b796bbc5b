import { type Basis, basisOf } from '../../base/known/known'
import { TRIPLE_POINT, WATER_GAS } from '../../physics/air/waterConstants'
import { waterVapourPressure } from '../../physics/air/psychrometrics'
import { type CircuitSize, ROOM_KELVIN } from './circuitSize'
import { DRAINED, DRAINED_GUESS } from './drained'
import { exposureOf, type Range } from './exposure'
import { OIL_ROWS } from './oils'
import type { CleanupRecord } from './record'
import { type Side, SIDES, type WaterAsFound, waterAsFound } from './waterFound'

/** What is done against water: oil changes, nitrogen sweeps, hours of vacuum with warmth. */
export type WaterWork = { readonly oilChanges: number; readonly sweeps: number; readonly hours: number }

/** One line of the ledger, kg: low, likely, high. */
export type WaterLine = {
  readonly id: WaterLineId
  readonly label: string
  /** in a few words, for a drawing */
  readonly short: string
  readonly kg: Range
}
type WaterLineId = 'before' | 'entered' | 'free' | 'freshOil' | 'oilChange' | 'sweep' | 'boiled' | 'vacuum'

export type WaterLedger = {
  readonly sources: readonly WaterLine[]
  readonly sinks: readonly WaterLine[]
  readonly total: Range
  readonly removed: Range
  /** what is left for the dryer */
  readonly remainder: Range
  readonly work: WaterWork
  /** parts of water in a million of oil, as found and after the work */
  readonly ppmFound: Range
  readonly ppmLeft: Range
  /** minutes in which boiling water leaves, likely */
  readonly boilMinutes: number
  /** how what it is calculated from is known */
  readonly basis: Basis
}

/** [memory] what a small pump draws through hoses without cores while water boils at 32 F, m3/s. */
const PUMPED = 0.001
/** [physics] mass that leaves while it boils, kg an hour. */
const BOILED_AN_HOUR = (3600 * PUMPED * waterVapourPressure(TRIPLE_POINT)) / (WATER_GAS * ROOM_KELVIN)
/** [memory] share of the oil that lies as a film, hours in which film and sump give up their water under vacuum. */
const FILM_SHARE = 0.2
const FILM_HOURS = 4
const SUMP_HOURS = 48

/** Share of dissolved water that a vacuum takes out of the oil in some hours. [memory], handbook 06: hardly from a cold sump */
const vacuumShare = (hours: number): number =>
  FILM_SHARE * (1 - Math.exp(-hours / FILM_HOURS)) + (1 - FILM_SHARE) * (1 - Math.exp(-hours / SUMP_HOURS))

type Moves = Readonly<Record<Exclude<WaterLineId, 'before' | 'entered' | 'free'>, number>> & {
  readonly left: number
  readonly dissolvedLeft: number
}

/** One side of the balance: each step takes from what is there, at the humidity that has set in. */
function balance(
  found: WaterAsFound,
  size: CircuitSize,
  { oilChanges, sweeps, hours }: WaterWork,
  side: Side,
): Moves {
  const { capacity } = found
  const { fresh } = OIL_ROWS[size.oil.value]
  let [dissolved, free] = [found.before + found.entered, found.free]
  let [oilChange, freshOil, sweep] = [0, 0, 0]
  for (let i = 0; i < oilChanges; i++) {
    const taken = (dissolved * capacity.oil * DRAINED[side]) / capacity.all
    const brought = size.oilMass.value * DRAINED[side] * fresh * 1e-6
    oilChange += taken
    freshOil += brought
    dissolved += brought - taken
  }
  for (let i = 0; i < sweeps; i++) {
    // over free water the gas is saturated; a sweep carries what the gas holds, no more
    const carried = capacity.gas * (free > 0 ? 1 : Math.min(dissolved / capacity.all, 1))
    const ofFree = Math.min(carried, free)
    free -= ofFree
    dissolved -= Math.min(carried - ofFree, dissolved)
    sweep += carried
  }
  const boiled = Math.min(free, BOILED_AN_HOUR * hours)
  free -= boiled
  const gas = (dissolved * capacity.gas) / capacity.all
  const vacuum = gas + (dissolved - gas) * vacuumShare(hours - boiled / BOILED_AN_HOUR)
  return {
    oilChange,
    freshOil,
    sweep,
    boiled,
    vacuum,
    left: dissolved - vacuum + free,
    dissolvedLeft: dissolved - vacuum,
  }
}

const plural = (count: number, one: string) => `${count} ${one}${count === 1 ? '' : 's'}`
const rangeOf = (pick: (side: Side) => number): Range => ({
  low: pick('low'),
  likely: pick('likely'),
  high: pick('high'),
})

/**
 * Grams in against grams out (handbook 06), each with its low, likely and high side. Sums agree on every side.
 * @param work what is done; times in hours, counts whole
 */
export function waterLedger(record: CleanupRecord, size: CircuitSize, work: WaterWork): WaterLedger {
  const found = Object.fromEntries(SIDES.map((side) => [side, waterAsFound(record, size, side)])) as Record<
    Side,
    WaterAsFound
  >
  const moves = Object.fromEntries(
    SIDES.map((side) => [side, balance(found[side], size, work, side)]),
  ) as Record<Side, Moves>
  const line = (id: WaterLineId, short: string, label: string, pick: (side: Side) => number): WaterLine => ({
    id,
    short,
    label,
    kg: rangeOf(pick),
  })
  const isThere = ({ kg }: WaterLine) => SIDES.some((side) => kg[side] > 0)
  const exposure = exposureOf(record)
  const supply = rangeOf((side) => found[side].supply)
  const { fresh } = OIL_ROWS[size.oil.value]
  const was = ppmText(found.likely, size)
  const sources = [
    line(
      'before',
      `was ${was.replace(/^.* at /, '')}`,
      `in oil, gas and walls before, ${was}`,
      (side) => found[side].before,
    ),
    line('entered', 'let in by air', enteredText(supply.likely, found.likely), (side) => found[side].entered),
    line('free', 'free water', 'free water', (side) => found[side].free),
    line('freshOil', 'fresh oil', `brought by fresh oil, ${fresh} ppm`, (side) => moves[side].freshOil),
  ].filter(isThere)
  const boilMinutes = (60 * moves.likely.boiled) / BOILED_AN_HOUR
  const [changes, sweeps] = [plural(work.oilChanges, 'oil change'), plural(work.sweeps, 'sweep')]
  const sinks = [
    line('oilChange', changes, changes, (side) => moves[side].oilChange),
    line('sweep', sweeps, `${sweeps} with nitrogen, vapour only`, (side) => moves[side].sweep),
    line(
      'boiled',
      'boiled off',
      `boiled off in ${Math.ceil(boilMinutes)} min of vacuum`,
      (side) => moves[side].boiled,
    ),
    line(
      'vacuum',
      `${hoursText(work.hours)} vacuum`,
      `${hoursText(work.hours)} of vacuum: gas, film, sump`,
      (side) => moves[side].vacuum,
    ),
  ].filter(isThere)
  const sum = (lines: readonly WaterLine[]) =>
    rangeOf((side) => lines.reduce((all, { kg }) => all + kg[side], 0))
  return {
    sources,
    sinks,
    total: sum(sources),
    removed: sum(sinks),
    remainder: rangeOf((side) => moves[side].left),
    work,
    ppmFound: rangeOf((side) => found[side].ppm),
    ppmLeft: rangeOf(
      (side) => (moves[side].dissolvedLeft / found[side].capacity.all) * OIL_ROWS[size.oil.value].saturated,
    ),
    boilMinutes,
    basis: basisOf(
      size.oilMass,
      size.volume,
      exposure?.time,
      exposure?.weather,
      work.oilChanges > 0 ? DRAINED_GUESS : undefined,
    ),
  }
}

const ppmText = ({ before, capacity }: WaterAsFound, { oil }: CircuitSize) =>
  `${oil.value} at ${Math.round((before / capacity.all) * OIL_ROWS[oil.value].saturated)} ppm`

const hoursText = (hours: number) => (hours < 1 ? `${Math.round(hours * 60)} min` : `${hours} h`)

function enteredText(supply: number, { entered }: WaterAsFound): string {
  const grams = (kg: number) => `${(kg * 1000).toFixed(kg < 0.001 ? 2 : 1)} g`
  return entered < supply
    ? `let in by air: it stops at the humidity outside, of ${grams(supply)} that breathed through`
    : 'let in by air'
}
