import type { UnitPlate } from '../../record/equipment/unit'
import type { Mode } from '../../record/readings/schema'
import type { Item, WordItem } from '../evidence/items'
import { SEEN_PARTS, type SeenPart, seenPart } from '../faults/seenParts'
import type { FaultId, SuspectId } from '../faults/faults'
import type { History } from '../faults/priors'
import { type Components, faultsIn, leavesCircuitSound, mixComponents, type Prepared } from './components'
import type { Ranked } from './weigh'
import { hypothesesBefore, rankRows } from './weigh'
import { explainsWord } from './wordChances'

/** [practice] a part that somebody saw broken is broken, but for a slip of the finger. */
const SEEN_CHANCE = 0.98

/** A fault that was seen, with what it can cause. */
type Seen = { readonly fault: FaultId; readonly causes: readonly FaultId[] }

const partsOf = (items: readonly Item[]): SeenPart[] =>
  items.flatMap((item) =>
    item.type === 'word'
      ? [item.word, ...(item.further ?? [])].flatMap((word) => seenPart(item.key, word) ?? [])
      : [],
  )

/** The faults that the words name, and those that were said to be seen, each once, as far as the unit can have them. */
function seenOf(items: readonly Item[], rows: readonly Prepared[], known: readonly FaultId[]): Seen[] {
  const single = new Set<SuspectId>(
    rows.flatMap(({ hypothesis: { also, suspect } }) => (also ? [] : [suspect])),
  )
  const found = new Map<FaultId, readonly FaultId[]>()
  for (const { faults, causes } of partsOf(items)) {
    const fault = faults.find((each) => single.has(each))
    if (fault) found.set(fault, [...(found.get(fault) ?? []), ...causes])
  }
  for (const fault of known.filter((each) => single.has(each)))
    found.set(
      fault,
      found.get(fault) ?? SEEN_PARTS.find(({ faults }) => faults.includes(fault))?.causes ?? [],
    )
  return [...found].map(([fault, causes]) => ({ fault, causes }))
}

/** Whether a word follows from what was seen: it names the part, or the part or what that causes makes it likelier. */
function isExplained({ key, word, further = [] }: WordItem, seen: readonly Seen[]): boolean {
  const words = [word, ...further]
  return (
    words.some((each) => seenPart(key, each) !== undefined) ||
    seen.some(({ fault, causes }) =>
      [fault, ...causes].some((suspect) => words.every((each) => explainsWord(suspect, key, each))),
    )
  )
}

/** [practice] of units with one fault, how many have a second one that is not its consequence. */
const SECOND_SHARE = 0.2
const isNothing = ({ hypothesis }: Prepared): boolean => hypothesis.suspect === 'healthy'

/** No plug and no lead explains what the windings read at the compressor's own terminals. */
const isOfTerminals = ({ key }: WordItem, items: readonly Item[]): boolean =>
  key === 'windings' && items.some((item) => item.key === 'windingsAtTerminals')

/**
 * What else may be there, beside what was seen: each with the circuit that the seen fault leaves, where the other leaves it
 * sound; "healthy" says that there is nothing else.
 */
function rowsBeside(rows: readonly Prepared[], seen: readonly Seen[]): Prepared[] {
  const gone = new Set<string>(seen.flatMap(({ fault, causes }) => [fault, ...causes]))
  const disturbs = rows.find(
    ({ hypothesis }) =>
      !hypothesis.also &&
      seen.some(({ fault }) => fault === hypothesis.suspect) &&
      !leavesCircuitSound(hypothesis),
  )
  const left = rows.filter(({ hypothesis }) => !faultsIn(hypothesis).some((fault) => gone.has(fault)))
  const others = left.reduce((sum, row) => sum + (isNothing(row) ? 0 : row.prior), 0)
  return left.map((row) => ({
    ...row,
    prior: isNothing(row) ? 1 - SECOND_SHARE : (SECOND_SHARE * row.prior) / others,
    components:
      disturbs && leavesCircuitSound(row.hypothesis)
        ? mixed(disturbs.components, row.components)
        : row.components,
  }))
}

/** [practice] what was seen shows in the circuit, as often as not so far that the readings tell it. */
const SHOWS = 0.6

const mixes = new WeakMap<Components, WeakMap<Components, Components>>()

/** The circuit that a seen fault leaves, or one that does not show it yet; made once for each two. */
function mixed(seen: Components, sound: Components): Components {
  const known = mixes.get(seen) ?? new WeakMap<Components, Components>()
  mixes.set(seen, known)
  const mix = known.get(sound) ?? mixComponents(seen, sound, SHOWS)
  known.set(sound, mix)
  return mix
}

/** A row that was weighed by some of the items, with what it would say of the others; those are told of no suspect but the seen one. */
function overAll(
  row: Ranked,
  items: readonly Item[],
  kept: readonly Item[],
  alone: Ranked | undefined,
): Ranked {
  const itemLogs = Float64Array.from(items, (item, k) => {
    const at = kept.indexOf(item)
    return at === -1 ? (alone?.itemLogs[k] ?? 0) : (row.itemLogs[at] as number)
  })
  return { ...row, itemLogs, weighedBy: kept }
}

/**
 * Ranks the hypotheses of a unit. What is seen outranks any pattern (handbook 13): a part that a word names leads with near
 * certainty and explains what it can cause and no more; the rest is ranked beside it, and those probabilities sum to one.
 * @throws OrzoError not-loaded when loadCaseBooks was not awaited before
 */
export function rank(unit: UnitPlate, mode: Mode, items: readonly Item[], history: History = {}): Ranked[] {
  const rows = hypothesesBefore(unit, mode, history)
  const all = rankRows(rows, unit, mode, items)
  const seen = seenOf(items, rows, history.seenFaults ?? [])
  if (seen.length === 0) return all
  const leaders = seen.flatMap(({ fault }) =>
    all.filter(({ hypothesis }) => hypothesis.suspect === fault && !hypothesis.also),
  )
  const kept = items.filter(
    (item) => item.type === 'feature' || isOfTerminals(item, items) || !isExplained(item, seen),
  )
  const rest = rankRows(rowsBeside(rows, seen), unit, mode, kept)
  const alone = new Map(all.map((row) => [row.hypothesis.id, row]))
  return [
    ...leaders.map((row): Ranked => ({ ...row, probability: SEEN_CHANCE, seen: true })),
    ...rest.map((row) => overAll(row, items, kept, alone.get(row.hypothesis.id))),
  ]
}
