import { type Basis, isAssumed } from '../../../base/known/known'
import { isThreePhase } from '../../../record/equipment/kinds'
import type { Day, PartEdit } from '../../../record/records/day'
import type { FoundLeak } from '../../../record/records/repair'
import { partKey } from '../../../record/records/tick'
import type { TaskId } from '../tasks/tasks'
import { type PartId, partRow, withDragged } from './catalogue'
import { type ConsumableFacts, consumablesOf } from './consumables'
import { tasksNeeding } from './taskParts'
import { compareMatch, type Fit, type MatchFacts, type MatchId, type MatchPoint, matchPoints } from './match'

/** A point of a part with what a substitute offers there. */
type ComparedPoint = MatchPoint & { readonly offered?: string; readonly fit: Fit }

/** One line of the load-out list. */
export type PlanPart = {
  /** what it is ticked by: stable while the part is the same */
  readonly id: string
  readonly label: string
  readonly why: string
  readonly quantity?: string
  /** what must match, checked before leaving and when it is collected */
  readonly match: readonly ComparedPoint[]
  /** tasks that cannot begin without it */
  readonly needs: readonly TaskId[]
  /** days until it is in hand where it is ordered, undefined for what the van carries */
  readonly days?: number
  /** when it is in hand, as typed */
  readonly arrives?: string
  /** why it is not bought yet */
  readonly hold?: string
  /** struck off by hand */
  readonly struck: boolean
  /** added by hand */
  readonly isOwn: boolean
  /** what it, or how much of it, is chosen by, where that is a guess */
  readonly basis?: Basis
}

export type PartsInput = {
  readonly parts: readonly PartId[]
  /** those of them that rest on a guess */
  readonly guessed: ReadonlyMap<PartId, Basis>
  readonly facts: MatchFacts
  /** undefined where the circuit stays closed */
  readonly consumables: ConsumableFacts | undefined
  /** why nothing that is bought for the repair is bought yet */
  readonly hold: string | undefined
  readonly day: Pick<Day, 'parts' | 'ownParts'>
  /** what comes with a new compressor of this machine */
  readonly kit?: readonly PartId[]
  /** leaks that a test found */
  readonly leaks?: readonly FoundLeak[]
}

/** A line before it was edited: its points without what a substitute offers. */
type BareLine = Omit<PlanPart, 'match'> & { readonly match: readonly MatchPoint[] }

function compared(points: readonly MatchPoint[], edit: PartEdit): ComparedPoint[] {
  return points.map((point) => {
    const wanted = edit.wanted?.[point.id] ?? point.wanted
    const offered = edit.offered?.[point.id]
    return {
      ...point,
      ...(wanted === undefined ? {} : { wanted }),
      ...(offered === undefined ? {} : { offered }),
      fit: compareMatch(point.id as MatchId, wanted, offered),
    }
  })
}

/** A line with what was changed of it by hand. */
function edited(line: BareLine, edit: PartEdit = {}): PlanPart {
  const { label, quantity, struck, arrives } = edit
  return {
    ...line,
    match: compared(line.match, edit),
    ...(label ? { label } : {}),
    ...(quantity ? { quantity } : {}),
    ...(arrives ? { arrives } : {}),
    struck: struck === true,
  }
}

function fromCatalogue(id: PartId, { facts, hold, guessed }: PartsInput): BareLine {
  const { label, match, days } = partRow(id)
  const basis = guessed.get(id)
  return {
    id: partKey(id),
    label,
    why: '',
    match: matchPoints(match, facts),
    needs: tasksNeeding(id),
    ...(basis ? { basis } : {}),
    ...(days === undefined ? {} : { days }),
    // what the van carries is not bought for this job
    ...(hold && days !== undefined ? { hold } : {}),
    struck: false,
    isOwn: false,
  }
}

const PLAIN = { match: [], needs: [], struck: false, isOwn: false } as const

/** What is fitted where a test found a leak. */
const leakPart = ({ id, place, part }: FoundLeak): BareLine[] =>
  part ? [{ ...PLAIN, id: partKey(`leak-${id}`), label: part, why: `leak found by the test: ${place}` }] : []

/** Parts by what they are, each once, as edited: a part keeps its key whatever else comes into the list. */
export function planParts(input: PartsInput): PlanPart[] {
  const { parts, facts, consumables, day, leaks = [] } = input
  const fitting = withDragged(parts, input.kit).filter(
    (id) => !(partRow(id).singlePhase && isThreePhase(facts.unit)),
  )
  const all: BareLine[] = [
    ...fitting.map((id) => fromCatalogue(id, input)),
    ...(consumables ? consumablesOf(consumables) : []).map(({ name, basis, ...line }): BareLine => ({
      ...PLAIN,
      id: partKey(name),
      ...line,
      ...(basis && isAssumed(basis) ? { basis } : {}),
    })),
    ...leaks.flatMap((leak) => leakPart(leak)),
    ...(day.ownParts ?? []).map(({ id, label, quantity }): BareLine => ({
      ...PLAIN,
      id: partKey(id),
      label,
      why: 'added by hand',
      ...(quantity ? { quantity } : {}),
      isOwn: true,
    })),
  ]
  return all
    .filter(({ id }, i) => all.findIndex((each) => each.id === id) === i)
    .map((line) => edited(line, day.parts?.[line.id]))
}
