import { compareSets, type Comparison } from '../answer/comparison'
import type { Display } from '../base/units/show'
import { roundLookedAt } from '../record/job/rounds'
import { setsOfRound } from '../record/job/setsOfRound'
import { type ClosePoint, closePoints, type Outcome, outcomeOf, outcomeText } from './closePoints'
import { type FollowUp, followUps, followUpText } from './followUps'
import { foundSection } from './foundLines'
import { line, lowerFirst, type ReportSection, section, written } from './line'
import { logSection } from './logLines'
import { ownerSections } from './ownerLines'
import { refrigerantSection } from './refrigerantLines'
import { jobRounds, REASON_NAMES, roundName } from './roundText'
import type { RoundScene } from './scene'
import { type SetPair, setPairs } from './setPairs'
import { startUpSection } from './startUpLines'
import { wentInSection } from './wentIn'
import { workSection } from './workLines'

/** Two sets side by side, at like conditions or told what is otherwise. */
export type PairReport = {
  readonly title: string
  readonly conditions: string
  readonly comparison: Comparison
  /** of the sets that are compared */
  readonly setIds: readonly string[]
}

/** One repair, written from its records. */
export type RoundReport = {
  readonly id: string
  /** "Repair 1: 4 May, expansion valve underfeeding"; undefined where there is one only */
  readonly name: string | undefined
  readonly points: readonly ClosePoint[]
  readonly outcome: Outcome
  readonly outcomeText: string
  readonly sections: readonly ReportSection[]
  readonly pairs: readonly PairReport[]
  /** why there is no pair */
  readonly noPair: string | undefined
  readonly owner: readonly ReportSection[]
  readonly followUps: readonly FollowUp[]
}

function conditionsText({ before, unlike }: SetPair): string {
  if (!before) return 'It did not run when it was found'
  return unlike.length === 0 ? 'At like conditions' : `Not at like conditions: ${unlike.join('; ')}`
}

function pairReport({ known, job }: RoundScene, pair: SetPair, display: Display): PairReport {
  const { before, after } = pair
  const setIds = [...(before ? [before.id] : []), after.id]
  return {
    title: `${before ? 'Before and after' : 'After the repair'}, ${after.mode}`,
    conditions: conditionsText(pair),
    comparison: compareSets(
      { unit: known.unit, arrival: job.arrival, readingSets: known.readingSets },
      display,
      setIds,
    ),
    setIds,
  }
}

function noPairText({ job }: RoundScene): string {
  const running = setsOfRound(job).filter(({ mode }) => mode !== 'off')
  if (running.length === 0) return 'No set of a running unit is on record.'
  return 'No set after the repair, in the mode of one before it, is on record.'
}

/** What stands at the end: how it was shown, what is due, what is missing or was passed. */
function endSection(scene: RoundScene, points: readonly ClosePoint[], due: readonly FollowUp[]) {
  const { closing } = scene.job
  return section('end', 'Result', [
    line('Proof', outcomeText(scene, points)),
    ...points.flatMap(({ state, name, missing }) =>
      state === 'missing' ? [line(`Not on record: ${lowerFirst(name)}`, missing.join('; '))] : [],
    ),
    // what was passed at its step stands with the work
    ...points.flatMap(({ id, state, name, override }) =>
      state === 'overridden' && closing?.overrides?.some((each) => each.point === id)
        ? [written(`Passed in writing: ${lowerFirst(name)}`, `“${override}”`)]
        : [],
    ),
    written('Not done, and should be', closing?.notDone),
    ...due.map((each) => line('Due', followUpText(each))),
    written('Note', closing?.note),
  ])
}

/** One repair as a report tells it. @throws OrzoError not-loaded */
export function roundReport(scene: RoundScene, display: Display): RoundReport {
  const { job } = scene
  const rounds = jobRounds(job)
  const at = rounds.findIndex(({ id }) => id === job.round)
  const pairs = scene.isKnown
    ? setPairs({ job: scene.known as RoundScene['job'] }, display).map((pair) =>
        pairReport(scene, pair, display),
      )
    : []
  const points = closePoints(scene, pairs.at(-1)?.comparison.leaders.at(-1))
  const due = followUps(scene)
  const several = rounds.length > 1
  return {
    id: job.round,
    name: several ? `Repair ${at + 1}: ${roundName(job, rounds[at]!)}` : undefined,
    points,
    outcome: outcomeOf(scene, points),
    outcomeText: outcomeText(scene, points),
    sections: [
      several ? section('why', 'Why', [line('Why', REASON_NAMES[roundLookedAt(job).why])]) : undefined,
      foundSection(scene),
      wentInSection(scene),
      refrigerantSection(scene),
      logSection(scene),
      startUpSection(scene),
      workSection(scene),
      endSection(scene, points, due),
    ].filter((each) => each !== undefined),
    pairs,
    noPair: pairs.length > 0 ? undefined : noPairText(scene),
    owner: ownerSections(scene),
    followUps: due,
  }
}
