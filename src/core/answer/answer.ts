import { DEFAULT_DISPLAY, type Display } from '../base/units/show'
import { askChecks } from '../diagnosis/checks/nextCheck'
import { assess, type Assessment } from '../diagnosis/evidence/assess'
import { branchWord } from '../diagnosis/evidence/branches'
import type { BranchWord } from '../diagnosis/evidence/branchWords'
import { dependsOnMetering } from '../diagnosis/faults/applies'
import { isSuspect, type SuspectId } from '../diagnosis/faults/faults'
import { GATE_IDS } from '../diagnosis/faults/gateIds'
import type { History } from '../diagnosis/faults/priors'
import { type Cause, causesOf, killsCompressor } from '../diagnosis/proof/causes'
import { type ProofGate, judgeGate } from '../diagnosis/proof/gates'
import { recordOf } from '../diagnosis/proof/record'
import { type DecisionState, decisionStatesOf } from '../diagnosis/proof/decisionState'
import { decided } from '../record/job/decisions'
import { type AskedField, asksOf } from '../record/equipment/asked'
import type { UnitPlate } from '../record/equipment/unit'
import { firstMode } from '../record/job/begin'
import type { Job, KnownJob } from '../record/job/job'
import { legibleJob } from '../record/job/known'
import { setsOfRound } from '../record/job/setsOfRound'
import { latestWords } from '../record/job/words'
import { withFindings } from '../record/job/findings'
import type { ReadingSet } from '../record/readings/schema'
import type { Arrival } from '../record/records/head'
import type { JobSet } from '../record/records/set'
import { withRefrigerants } from '../record/state/refrigerants'
import { unitState } from '../record/state/unitState'
import type { UnitState } from '../record/state/unit'
import { circuitReadings } from '../repair/charge/circuitReadings'
import { type LogSamples, type Verdicts, verdictsOf } from '../repair/logs/verdicts'
import type { LogFacts } from '../repair/logs/kinds'
import { planBasis, planInput } from '../repair/plan/basis'
import { type Plan, planRepair } from '../repair/plan/plan'
import { effectsOf } from '../repair/plan/tasks/tasks'
import { proofsOf } from '../repair/plan/proofs'
import { besideSeen, type Ranking, type Suspect, suspectsOf, rankSet, type RankedSet } from './diagnose'
import { decidedFaults, suspectToRepair } from './repairedFaults'
import { type StandingTold, tellStanding } from '../diagnosis/standing/standingSentence'
import { holdingVetoes } from '../diagnosis/vetoes/holding'
import type { VetoId } from '../safety/vetoes'
import { type HistoryRecords, historyOf, isAfterRepair, repairedAt } from './history'
import { memo } from './memo'

/** What is asked: a job, the set that is looked at, and the units of the sentences. */
export type Question = {
  readonly job: Job
  /** undefined: the last set; before the first reading, an empty one */
  readonly setId?: string | undefined
  /** of the ended logs of the work; one that is not here is not judged yet */
  readonly samples?: LogSamples
  readonly display?: Display | undefined
}

/** Everything that is computed of a job, from one state of it. */
export type Answer = {
  /** what the plate does not tell and the readings need: while any is asked, ranking and plan are not to be told */
  readonly asks: readonly AskedField[]
  readonly assessment: Assessment
  readonly ranking: Ranking
  /** what the set tells of a circuit at rest */
  readonly standing: StandingTold | undefined
  /** states of the table of vetoes that hold, over all sets */
  readonly vetoes: readonly VetoId[]
  /** how the unit stands now */
  readonly state: UnitState
  /** every gate, judged on the one record of all sets, by its id */
  readonly gates: readonly ProofGate[]
  readonly causes: readonly Cause[]
  readonly decisionStates: readonly DecisionState[]
  /** what the plan is for */
  readonly faults: readonly SuspectId[]
  readonly plan: Plan
  /** the unit as the plan found it: converted, where it was */
  readonly planUnit: UnitPlate
  /** what the judges say of the ended logs of the work */
  readonly verdicts: Verdicts
}

/** Before the first reading there is an empty set to look at. */
const emptySet = (job: Pick<Job, 'unit' | 'arrival'>): ReadingSet => ({ mode: firstMode(job), readings: {} })

/** The set that is looked at. */
export const lookedAt = (job: Pick<Job, 'unit' | 'readingSets' | 'arrival'>, setId?: string): ReadingSet =>
  job.readingSets.find(({ id }) => id === setId) ?? job.readingSets.at(-1) ?? emptySet(job)

const NO_ARRIVAL: Arrival = {}
const NO_SETS: readonly JobSet[] = []
const NO_SAMPLES: LogSamples = {}

/** A list that is the same list while nothing in it changed: what depends on it is not computed again. */
function keptWhileSame<A extends unknown[], T>(make: (...input: A) => readonly T[]) {
  let kept: readonly T[] = []
  return (...input: A): readonly T[] => {
    const made = make(...input)
    const isSame = made.length === kept.length && made.every((each, i) => each === kept[i])
    if (!isSame) kept = made
    return kept
  }
}

/** A value that is the same object while it says the same. */
function sameWhileEqual<A extends unknown[], T>(make: (...input: A) => T) {
  let [kept, text]: [T | undefined, string] = [undefined, '']
  return (...input: A): T => {
    const made = make(...input)
    const now = JSON.stringify(made)
    if (kept !== undefined && now === text) return kept
    ;[kept, text] = [made, now]
    return made
  }
}

/** What of a job says how the unit stands. */
type StateOf = Parameters<typeof planBasis>[0]
const STATE_KEYS = [
  'unit',
  'readingSets',
  'steps',
  'takenOff',
  'rounds',
  'round',
  'createdAt',
  'run',
  'repair',
  'others',
] as const satisfies readonly (keyof StateOf)[]
const stateOf = (job: KnownJob): StateOf =>
  Object.fromEntries(STATE_KEYS.map((key) => [key, job[key]])) as Pick<KnownJob, (typeof STATE_KEYS)[number]>

type HistoryStep = (records: HistoryRecords) => History

/** Steps that an answer is made of, each keyed by what it depends on. */
function stepsOf() {
  const assessed = memo(assess)
  const branched = memo(branchWord)
  const rankedSet = memo((assessment: Assessment, branch: BranchWord | undefined, history: History) =>
    rankSet(assessment, branch, history),
  )
  const named = memo((assessment: Assessment, all: RankedSet, history: History, display: Display) =>
    suspectsOf(assessment, all, history, display),
  )
  const asked = memo((assessment: Assessment, { ranked, items }: RankedSet, holding: readonly VetoId[]) =>
    askChecks(assessment, besideSeen(ranked), items, holding),
  )
  const standing = memo(({ standing: at, snapshot }: Assessment, display: Display) =>
    at ? tellStanding(at, snapshot, display) : undefined,
  )
  const found = sameWhileEqual(memo(withFindings<ReadingSet>))
  const [asFound, afterRepair] = [false, true].map((isRepaired) =>
    sameWhileEqual(memo((records: HistoryRecords) => historyOf(records, isRepaired))),
  ) as [HistoryStep, HistoryStep]
  const state = sameWhileEqual(memo((records: StateOf) => unitState(records, effectsOf)))
  const vetoes = keptWhileSame(
    memo((unit: UnitPlate, sets: readonly JobSet[], now: UnitState) => holdingVetoes(unit, sets, now)),
  )
  const basis = sameWhileEqual(memo((records: StateOf) => planBasis(records)))
  const gates = memo(
    (unit: UnitPlate, sets: readonly JobSet[], looked: ReadingSet, holding: readonly VetoId[]) => {
      const record = recordOf(unit, sets, { looked, holding })
      return GATE_IDS.map((id) => judgeGate(id, record))
    },
  )
  const causes = memo(
    (job: Pick<KnownJob, 'unit' | 'readingSets' | 'arrival' | 'repair'>, at: string | undefined) =>
      causesOf(job, at),
  )
  const decisionStates = memo((job: Pick<KnownJob, 'unit' | 'readingSets' | 'decisions'>) =>
    decisionStatesOf(job as KnownJob),
  )
  const readings = sameWhileEqual(memo(circuitReadings))
  const proofs = sameWhileEqual(
    memo((job: Pick<KnownJob, 'unit' | 'readingSets' | 'decisions'>, faults: readonly SuspectId[]) =>
      proofsOf(job as KnownJob, faults),
    ),
  )
  const plan = memo(planRepair)
  const verdicts = sameWhileEqual(
    memo((logs: Parameters<typeof verdictsOf>[0], samples: LogSamples, facts: LogFacts) =>
      verdictsOf(logs, samples, facts),
    ),
  )
  return {
    found,
    asFound,
    afterRepair,
    state,
    basis,
    readings,
    proofs,
    assessed,
    branched,
    rankedSet,
    named,
    asked,
    standing,
    vetoes,
    gates,
    causes,
    decisionStates,
    plan,
    verdicts,
  }
}
type Steps = ReturnType<typeof stepsOf>

/** The leading suspect of each set, kept while unit, history and set stay the same. */
function leaders() {
  const kept = new Map<string, (...input: Parameters<typeof leader>) => SuspectId | undefined>()
  return (
    unit: UnitPlate,
    set: JobSet,
    sets: readonly JobSet[],
    repairedAt: number | undefined,
    history: History,
  ) => {
    const known = kept.get(set.id) ?? memo(leader)
    kept.set(set.id, known)
    const found = withFindings(set, sets, repairedAt)
    return known(unit, found, set.branch === undefined ? NO_SETS : sets, history)
  }
}

function leader(unit: UnitPlate, set: JobSet, sets: readonly JobSet[], history: History) {
  const assessment = assess(unit, set)
  return rankSet(assessment, branchWord(unit, assessment, set, sets), history).ranked[0]?.hypothesis.suspect
}

/** When a compressor's repair was decided: what was read later says nothing of its death. */
const deathDecidedAt = (job: Job) =>
  decided(job).find(({ fault }) => isSuspect(fault) && killsCompressor(fault))?.at

/** Whether a suspect is one whatever feeds the coil: nothing is said of a metering device that nobody named. */
const isOfAnyMetering = ({ fault, also }: Suspect): boolean =>
  [fault, ...(also ? [also] : [])].every((each) => !dependsOnMetering(each))

function rankingOf(
  steps: Steps,
  job: KnownJob,
  set: ReadingSet,
  assessment: Assessment,
  display: Display,
  knowsMetering: boolean,
  holding: readonly VetoId[],
  history: History,
): Ranking {
  const sets = set.branch === undefined ? NO_SETS : job.readingSets
  const branch = set.branch === undefined ? undefined : steps.branched(job.unit, assessment, set, sets)
  const rankedSet = steps.rankedSet(assessment, branch, history)
  const suspects = steps.named(assessment, rankedSet, history, display)
  return {
    suspects: knowsMetering ? suspects : suspects.filter(isOfAnyMetering),
    ...steps.asked(assessment, rankedSet, holding),
  }
}

/** What is known so far; the last one holds everything. */
export type Partly = Pick<Answer, 'assessment' | 'asks'> & Partial<Answer>

/**
 * Answers questions about jobs, one after another. Each step is computed only when something that it depends on changed: a
 * tick ranks nothing.
 */
export function createAnswerer() {
  const steps = stepsOf()
  const leaderOf = leaders()

  /**
   * One answer in steps, so that a newer question can be heard in between: arithmetic first, ranking, then the rest.
   * @throws OrzoError not-loaded when the tables of the unit are not in memory
   */
  function* inSteps({
    job: asked,
    setId,
    samples = NO_SAMPLES,
    display = DEFAULT_DISPLAY,
  }: Question): Generator<Partly, Answer> {
    const asks = asksOf(asked.unit, asked.readingSets)
    const job: KnownJob = withRefrigerants(legibleJob(asked), effectsOf)
    const { unit, readingSets: allSets, decisions, arrival = NO_ARRIVAL } = job
    const readingSets = setsOfRound(job)
    const records = stateOf(job)
    const state = steps.state(records)
    const lastRepairAt = repairedAt(job.steps, state.fixes)
    const set = steps.found(lookedAt(job, setId), readingSets, lastRepairAt)
    const assessment = steps.assessed(unit, set)
    yield { asks, assessment }
    const vetoes = steps.vetoes(unit, allSets, state)
    const knowsMetering = asked.unit.metering !== undefined
    const ofHistory: HistoryRecords = {
      arrival: job.arrival,
      decisions,
      ...(job.others ? { others: job.others } : {}),
    }
    const historyAt = (each: ReadingSet) =>
      isAfterRepair(each, lastRepairAt) ? steps.afterRepair(ofHistory) : steps.asFound(ofHistory)
    const ranking = rankingOf(steps, job, set, assessment, display, knowsMetering, vetoes, historyAt(set))
    const gates = steps.gates(unit, readingSets, set, vetoes)
    const standing = steps.standing(assessment, display)
    yield { asks, assessment, ranking, standing, vetoes, state, gates }
    const named = decidedFaults(job)
    const faults =
      named.length > 0
        ? named
        : [
            suspectToRepair({ readingSets }, (each) =>
              leaderOf(unit, each, readingSets, lastRepairAt, historyAt(each)),
            ),
          ]
    yield { asks, assessment, ranking, standing, vetoes, state, gates, faults }
    const basis = steps.basis(records)
    const plan = steps.plan(
      planInput(job, basis, {
        observations: latestWords(readingSets),
        faults,
        readings: steps.readings(basis.unit, basis.sets),
        proofs: steps.proofs({ unit, readingSets, decisions }, faults),
      }),
    )
    const { logs, rounds, round, run } = job
    const facts = { unit: basis.unit, plan, pump: run?.pump, pullDown: run?.pullDown }
    return {
      asks,
      assessment,
      ranking,
      standing,
      vetoes,
      state,
      gates,
      causes: steps.causes({ unit, readingSets, arrival, repair: job.repair }, deathDecidedAt(job)),
      decisionStates: steps.decisionStates({ unit, readingSets, decisions }),
      faults,
      plan,
      planUnit: basis.unit,
      verdicts: steps.verdicts({ logs, rounds, round }, samples, facts),
    }
  }

  /** The whole answer at once. @throws OrzoError not-loaded when the tables of the unit are not in memory */
  function whole(question: Question): Answer {
    const running = inSteps(question)
    for (;;) {
      const next = running.next()
      if (next.done) return next.value
    }
  }
  return { inSteps, whole }
}
