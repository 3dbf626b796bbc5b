import { instantOf, isAtOrBefore } from '../../base/units/instants'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Mode, Observations, Readings, ReadingSet } from '../../record/readings/schema'
import { isIced } from '../../record/readings/iced'
import { stood } from '../../record/readings/atRest'
import { latestWords } from '../../record/job/words'
import { isOfAnyMode } from '../../record/readings/lasting'
import { withEarlier } from '../../record/readings/merge'
import { withPlaces } from '../../record/readings/ohmPlaces'
import type { VetoId } from '../../safety/vetoes'
import { holdingVetoes } from '../vetoes/holding'
import type { GateRecord } from './gate'
import { assess, type Assessment } from '../evidence/assess'

/** The mode in which running values count: that of the set looked at, else of the last set that ran. */
export function modeOfProof(sets: readonly ReadingSet[], looked?: ReadingSet): Mode {
  if (looked && looked.mode !== 'off') return looked.mode
  return sets.findLast(({ mode }) => mode !== 'off')?.mode ?? 'off'
}

/** Values of a running circuit count in their own mode, and while the same refrigerant is inside. */
function readingsFor(
  { mode, readings, refrigerant, observations }: ReadingSet,
  wanted: Pick<ReadingSet, 'mode' | 'refrigerant'>,
  said: readonly [until: Observations, later: Observations],
): Readings {
  const placed = withPlaces(readings, ...said)
  const counts = mode === wanted.mode && refrigerant === wanted.refrigerant && !isIced(observations)
  return counts
    ? placed
    : (Object.fromEntries(Object.entries(placed).filter(([key]) => isOfAnyMode(key))) as Readings)
}

/** Words of all sets; ice that was thawed since is no word of what was read later. */
function wordsOfAll(sets: readonly ReadingSet[]): Observations {
  const all = latestWords(sets)
  if (!isIced(all) || isIced(sets.at(-1)?.observations)) return all
  const { evaporatorCoil: _thawed, ...others } = all
  return others
}

/**
 * What all sets put on record together: standing readings and words of any mode, running values of one mode. A later
 * reading or word replaces an earlier one.
 * @param sets in the order in which they were taken
 */
export function mergedSet(sets: readonly ReadingSet[], mode: Mode): ReadingSet {
  const refrigerant = sets.at(-1)?.refrigerant
  const inside = refrigerant ? { refrigerant } : {}
  const all = latestWords(sets)
  return {
    mode,
    ...inside,
    readings: sets
      .map((set, i) => readingsFor(set, { mode, refrigerant }, [latestWords(sets.slice(0, i + 1)), all]))
      .reduce(withEarlier, {}),
    observations: wordsOfAll(sets),
  }
}

/** The sets that were taken before a repair was decided; all of them where nothing says when. */
export function setsBefore<S extends ReadingSet>(sets: readonly S[], at: string | undefined): readonly S[] {
  const limit = instantOf(at)
  if (limit === undefined) return sets
  const before = sets.filter((set) => isAtOrBefore(set.at, limit))
  return before.length > 0 ? before : sets
}

/** Up to when, by the mode of which set, and the states that hold where they are known already. */
type RecordOptions = {
  readonly at?: string | undefined
  readonly looked?: ReadingSet | undefined
  readonly holding?: readonly VetoId[] | undefined
}

/** Runs that are looked at for what the compressor does: the last ones with pressures on both sides. */
const MOST_RUNS = 6
const showsPump = ({ mode, observations = {}, readings }: ReadingSet): boolean =>
  !stood({ mode, observations }) &&
  readings.suctionPressure !== undefined &&
  (readings.liquidPressure ?? readings.dischargePressure) !== undefined

/**
 * All sets up to a moment, read as one: what a cause of death is looked for in.
 * @param at the moment of the decision; undefined for now
 * @param looked the set that is looked at: its mode counts
 * @throws OrzoError not-loaded when the refrigerant's table is not in memory
 */
export function wholeOf(
  unit: UnitPlate,
  sets: readonly ReadingSet[],
  { at, looked }: Pick<RecordOptions, 'at' | 'looked'> = {},
): Assessment {
  const before = setsBefore(sets, at)
  return assess(unit, mergedSet(before, modeOfProof(before, looked)))
}

/**
 * The one record on which gates and causes are judged: all sets up to a moment.
 * @param at the moment of the decision; undefined for now
 * @param looked the set that is looked at: its mode is the gate's own
 * @param holding states of the table of vetoes; read from the sets where not given
 * @throws OrzoError not-loaded when the refrigerant's table is not in memory
 */
export function recordOf(
  unit: UnitPlate,
  sets: readonly ReadingSet[],
  { at, looked, holding }: RecordOptions = {},
): Assessment & GateRecord {
  const before = setsBefore(sets, at)
  const mode = modeOfProof(before, looked)
  const ran = before.filter((set) => set.mode === mode && showsPump(set)).slice(-MOST_RUNS)
  return {
    ...wholeOf(unit, sets, { at, looked }),
    runs: ran.map((set) => assess(unit, set)),
    holding: holding ?? holdingVetoes(unit, before),
  }
}
