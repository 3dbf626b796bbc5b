import { createAnswerer } from '../answer/answer'
import type { Display } from '../base/units/show'
import type { StoredJob } from '../record/job/job'
import { setsOfRound } from '../record/job/setsOfRound'
import { summaryOf } from '../record/job/summary'
import type { LogSamples } from '../repair/logs/verdicts'
import { cautionsOf, isTask } from '../repair/plan/tasks/tasks'
import { DISCLAIMER, HAZARDS } from '../safety/cautions'
import { KIND_LABELS, titleOf, unitLine } from './jobText'
import { line, type ReportSection, section, upperFirst, written } from './line'
import { readingSections } from './readingLines'
import { type RoundReport, roundReport } from './roundReport'
import { type RoundScene, roundScene } from './scene'
import { type Tag, tagOf } from './tag'

/** A job as a record tells it: every repair, every set. */
export type JobReport = {
  readonly title: string
  readonly unitLine: string
  readonly head: ReportSection | undefined
  readonly rounds: readonly RoundReport[]
  readonly readings: readonly ReportSection[]
  /** of all repairs together: it hangs at the unit */
  readonly tag: Tag
  readonly hazards: string
  readonly disclaimer: string
}

export type ReportQuestion = {
  /** each repair as it sees the job, with what was inside at its sets; the first one first */
  readonly views: readonly StoredJob[]
  /** of the logs of all of them */
  readonly samples: LogSamples
  readonly display: Display
  /** ms */
  readonly now: number
}

/** Each repair with what is computed of it. @throws OrzoError not-loaded */
export const scenesOf = ({ views, samples, display, now }: ReportQuestion): RoundScene[] =>
  views.map((job) => {
    const answer = createAnswerer().whole({ job, samples, display, setId: setsOfRound(job)[0]?.id })
    return roundScene(job, { answer, samples, now })
  })

/** What the work held that can hurt, each in a word. */
function hazardsOf(scenes: readonly RoundScene[]): string {
  const tasks = scenes.flatMap(({ job }) => job.steps.map(({ task }) => task)).filter(isTask)
  const words = [...new Set(tasks.flatMap((id) => cautionsOf(id)))].map((id) => HAZARDS[id])
  return words.length === 0 ? '' : `${upperFirst(words.join('; '))}.`
}

/** The record of a job. @throws OrzoError not-loaded */
export function jobReport(question: ReportQuestion, scenes = scenesOf(question)): JobReport {
  const last = scenes.at(-1) as RoundScene
  const { job } = last
  const { unit, arrival } = job
  const { power, factoryCharge } = unit
  const plate = [
    power?.volts && `${power.volts} V`,
    power?.phase && `${power.phase} phase`,
    power?.rla && `RLA ${power.rla} A`,
    power?.lra && `LRA ${power.lra} A`,
    factoryCharge && `charge ${factoryCharge.value} ${factoryCharge.unit}`,
  ].filter(Boolean)
  return {
    title: titleOf(summaryOf(job)),
    unitLine: `${unit.kind ? KIND_LABELS[unit.kind] : 'Kind not known'}, ${unitLine(summaryOf(job))}`,
    head: section('head', 'Job', [
      written('Unit', unit.name),
      written('Site', unit.site?.name),
      line('Plate', plate.join(', ')),
      written('Complaint', arrival?.complaint),
      written('Done before', arrival?.doneBefore),
    ]),
    rounds: scenes.map((scene) => roundReport(scene, question.display)),
    readings: readingSections(last, last.known.readingSets),
    tag: tagOf(scenes as [RoundScene, ...RoundScene[]]),
    hazards: hazardsOf(scenes),
    disclaimer: DISCLAIMER,
  }
}
