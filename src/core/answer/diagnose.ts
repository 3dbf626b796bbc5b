import type { UnitPlate } from '../record/equipment/unit'
import type { ReadingSet } from '../record/readings/schema'
import { DEFAULT_DISPLAY, type Display } from '../base/units/show'
import type { Job } from '../record/job/job'
import type { BranchWord } from '../diagnosis/evidence/branchWords'
import { branchWord } from '../diagnosis/evidence/branches'
import { type History, type PriorFactor, priorFactor, toldOf } from '../diagnosis/faults/priors'
import { assess, type Assessment, itemsOf } from '../diagnosis/evidence/assess'
import { contributions, itemTotals } from '../diagnosis/ranking/contributions'
import { faultsIn } from '../diagnosis/ranking/components'
import { familyOf, type FamilyId } from '../diagnosis/faults/families'
import {
  type CircuitFaultId,
  type FaultId,
  faultRow,
  type SuspectId,
  suspectLabel,
  gateIdOf,
} from '../diagnosis/faults/faults'
import { type ProofGate, judgeGate } from '../diagnosis/proof/gates'
import { GATE_IDS } from '../diagnosis/faults/gateIds'
import type { Item } from '../diagnosis/evidence/items'
import { askChecks, type MindChanger, type NextCheck } from '../diagnosis/checks/nextCheck'
import type { Undivided } from '../diagnosis/checks/lookAlikes'
import { featureSentence, verdict, wordSentence } from '../diagnosis/evidence/sentence'
import { holdingVetoes } from '../diagnosis/vetoes/holding'
import type { VetoId } from '../safety/vetoes'
import { historyOf } from './history'
import { rank } from '../diagnosis/ranking/rank'
import type { Ranked } from '../diagnosis/ranking/weigh'

export type Evidence = {
  readonly key: string
  readonly direction: 'for' | 'against'
  /** natural log of the likelihood ratio against the other suspects, the other evidence known */
  readonly weight: number
  readonly sentence: string
}

export type Suspect = {
  readonly fault: SuspectId
  /** a second fault that is there at the same time */
  readonly also?: CircuitFaultId
  readonly label: string
  /** suspects of one family lead to the same next action */
  readonly family: FamilyId
  readonly probability: number
  readonly severity: number
  /** how often it is found before any reading, and what of kind and history moved that */
  readonly prior: { readonly share: number } & PriorFactor
  readonly evidence: readonly Evidence[]
  /** what tells it apart, in the trade's words */
  readonly distinguishingSign?: string
  /** it was seen: it leads, and the probabilities of the others sum to one without it */
  readonly seen?: true
  /** it was repaired on this unit before: its return is named before new suspects */
  readonly repairedBefore?: true
}

/** What is said of a set once it is ranked. */
export type Ranking = {
  readonly suspects: readonly Suspect[]
  readonly nextChecks: readonly NextCheck[]
  readonly mindChangers: readonly MindChanger[]
  /** two that look alike by what is on record; the first check splits them */
  readonly undivided?: Undivided
}

export type Diagnosis = Assessment &
  Ranking & { readonly vetoes: readonly VetoId[]; readonly gates: readonly ProofGate[] }

/** What names one suspect of a list: its fault, and the second of a pair. */
export const suspectKey = ({ fault, also }: Pick<Suspect, 'fault' | 'also'>): string =>
  also ? `${fault}+${also}` : fault

/** Evidence weaker than this changes nothing and is not told. */
const LEAST_WEIGHT = 0.05
/** Gates are shown for the parts of suspects at least this probable. */
const GATE_PROBABILITY = 0.1

/** What is known beside the set. */
export type Context = { readonly history?: History; readonly sets?: readonly ReadingSet[] }

/** The context that a job gives to sets that are compared: what was decided says nothing of one against another. */
export const contextOf = ({ arrival, readingSets }: Pick<Job, 'arrival' | 'readingSets'>): Context => ({
  history: historyOf({ arrival, decisions: [] }, false),
  sets: readingSets,
})

type Told = Pick<Assessment, 'judged' | 'tests' | 'standing' | 'snapshot'> & { readonly display: Display }

function sentenceOf(item: Item, told: Told, plain: boolean): string {
  const { judged, display } = told
  if (item.type === 'word') return wordSentence(item, told, display)
  const found = judged[item.key]
  if (!found) throw new Error(`${item.key} was ranked but not judged`)
  return featureSentence(item.key, found.measured, found.target, display, plain)
}

/** What a value in its band says of a sound circuit is said before one that strays. */
const strays = (item: Item, { judged }: Told): boolean => {
  const found = item.type === 'feature' ? judged[item.key] : undefined
  return found !== undefined && verdict(found.measured, found.target) !== 'in band'
}

/** What is said of an item, made once for all suspects: of a fault, and of a sound circuit. */
type Spoken = { readonly sentence: string; readonly plain: string; readonly strays: boolean }

const spokenOf = (items: readonly Item[], told: Told): ReadonlyMap<Item, Spoken> =>
  new Map(
    items
      .filter((item) => !('implied' in item))
      .map((item) => [
        item,
        {
          sentence: sentenceOf(item, told, false),
          plain: sentenceOf(item, told, true),
          strays: strays(item, told),
        },
      ]),
  )

/** What speaks for a suspect first, the strongest first; then what speaks against it. */
function evidenceOf(
  totals: Float64Array,
  self: Ranked,
  items: readonly Item[],
  spoken: ReadonlyMap<Item, Spoken>,
): Evidence[] {
  const sound = self.hypothesis.suspect === 'healthy'
  return contributions(totals, self, items)
    .flatMap(({ item, weight }) => {
      const said = spoken.get(item)
      const isExplained = self.weighedBy?.includes(item) === false
      if (!said || isExplained || Math.abs(weight) < LEAST_WEIGHT) return []
      const rank = weight < 0 ? 2 : sound && said.strays ? 1 : 0
      return [{ key: item.key, weight, rank, sentence: sound ? said.plain : said.sentence }]
    })
    .sort((a, b) => a.rank - b.rank)
    .map(({ key, weight, sentence }) => ({
      key,
      direction: weight > 0 ? 'for' : 'against',
      weight,
      sentence,
    }))
}

function labelOf({ hypothesis: { suspect, also } }: Ranked, mode: ReadingSet['mode']): string {
  const label = suspectLabel(suspect, mode)
  if (!also) return label
  const second = suspectLabel(also, mode)
  return `${label}, and ${second.charAt(0).toLowerCase()}${second.slice(1)}`
}

const signOf = (faults: readonly FaultId[]) =>
  faults.length === 0
    ? {}
    : { distinguishingSign: faults.map((fault) => faultRow(fault).distinguishingSign).join('; and ') }

function suspectOf(
  row: Ranked,
  mode: ReadingSet['mode'],
  evidence: readonly Evidence[],
): Omit<Suspect, 'prior'> {
  const { suspect, also } = row.hypothesis
  return {
    fault: suspect,
    ...(also ? { also } : {}),
    label: labelOf(row, mode),
    family: familyOf(suspect),
    probability: row.probability,
    severity: row.severity,
    evidence,
    ...(row.seen ? { seen: true } : {}),
    ...signOf(faultsIn(row.hypothesis)),
  }
}

/** The gates of the suspects that lead, the likeliest first. @param all every gate as it is judged */
export function gatesOfLeaders(suspects: readonly Suspect[], all: readonly ProofGate[]): ProofGate[] {
  const ids = suspects
    .filter(({ probability }) => probability >= GATE_PROBABILITY)
    .flatMap(({ fault, also }) => [fault, ...(also ? [also] : [])].flatMap((each) => gateIdOf(each) ?? []))
  return [...new Set(ids)].flatMap((id) => all.find(({ gate }) => gate === id) ?? [])
}

/** What is still asked: what was seen is known, the rest is not. */
export const besideSeen = (ranked: readonly Ranked[]): readonly Ranked[] => ranked.filter(({ seen }) => !seen)

/** A set ranked against every hypothesis, before anything is said of it. */
export type RankedSet = { readonly items: readonly Item[]; readonly ranked: readonly Ranked[] }

/**
 * Weighs a set that was read.
 * @param branch how its branch stands among the others of the circuit
 * @throws OrzoError not-loaded when loadCaseBooks was not awaited before
 */
export function rankSet(assessment: Assessment, branch: BranchWord | undefined, history: History): RankedSet {
  const items = itemsOf(assessment, branch)
  return { items, ranked: rank(assessment.unit, assessment.snapshot.mode, items, history) }
}

/** The suspects of a ranked set, each with its evidence in sentences. */
export function suspectsOf(
  assessment: Assessment,
  { items, ranked }: RankedSet,
  history: History,
  display: Display,
): Suspect[] {
  const { unit, snapshot } = assessment
  const totals = itemTotals(ranked, items)
  const spoken = spokenOf(items, { ...assessment, display })
  const isSeen = ranked.some(({ seen }) => seen)
  return ranked.map((row) => ({
    ...suspectOf(row, snapshot.mode, evidenceOf(totals, row, items, spoken)),
    ...(isSeen && row.hypothesis.suspect === 'healthy' ? { label: NOTHING_ELSE } : {}),
    prior: { share: row.prior, ...priorOf(row, unit, history) },
    ...(!row.hypothesis.also && history.repaired?.includes(row.hypothesis.suspect as FaultId)
      ? { repairedBefore: true as const }
      : {}),
  }))
}

/** Beside what was seen a sound circuit says that there is nothing else. */
const NOTHING_ELSE = 'Nothing else beside what was seen'

/** What moved a suspect before any reading: what others found, else kind and history. */
function priorOf({ hypothesis: { suspect, also } }: Ranked, unit: UnitPlate, history: History): PriorFactor {
  const told = also ? undefined : toldOf(suspect, history)
  return told ? { factor: 1, because: [told.because] } : priorFactor(suspect, unit, history)
}

/**
 * Ranks what may be wrong with a unit from one reading set.
 * Missing readings do not count; the suspects' probabilities sum to one.
 * @param display units of the sentences; Fahrenheit unless said otherwise
 * @param context what is known beside the set: history, and the other sets of the job for branches of one circuit
 * @throws OrzoError not-loaded when loadRefrigerants and loadCaseBooks were not awaited before
 */
export function diagnose(
  unit: UnitPlate,
  set: ReadingSet,
  display: Display = DEFAULT_DISPLAY,
  { history = {}, sets = [] }: Context = {},
): Diagnosis {
  const assessment = assess(unit, set)
  const rankedSet = rankSet(assessment, branchWord(unit, assessment, set, sets), history)
  const holding = holdingVetoes(unit, sets.includes(set) ? sets : [...sets, set])
  const suspects = suspectsOf(assessment, rankedSet, history, display)
  const gates = GATE_IDS.map((gate) => judgeGate(gate, { ...assessment, runs: [assessment], holding }))
  return {
    ...assessment,
    suspects,
    vetoes: holding,
    ...askChecks(assessment, besideSeen(rankedSet.ranked), rankedSet.items, holding),
    gates: gatesOfLeaders(suspects, gates),
  }
}
