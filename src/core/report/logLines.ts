import { fullMomentIn } from '../base/units/siteTime'
import { samplesOfLooks } from '../record/logs/looks'
import { countOf, type Samples } from '../record/logs/samples'
import { passOf } from '../record/job/passes'
import type { LogHead } from '../record/records/log'
import type { LogPurpose } from '../record/readings/logPurposes'
import { aimOf } from '../repair/logs/judgeCharge'
import { LOG_KINDS } from '../repair/logs/kinds'
import { logWord } from '../repair/logs/logWord'
import type { ChargeSetup } from '../repair/logs/tellCharge'
import { line, type ReportSection, section } from './line'
import type { RoundScene } from './scene'

export type WorkLogHead = LogHead & { readonly purpose: LogPurpose }

/** The logs of the work that were ended, in the order of time. */
export const endedLogs = ({ job }: Pick<RoundScene, 'job'>): WorkLogHead[] =>
  job.logs
    .flatMap((log) =>
      log.purpose !== undefined && log.samples !== undefined ? [{ ...log, purpose: log.purpose }] : [],
    )
    .sort((a, b) => Date.parse(a.startedAt) - Date.parse(b.startedAt))

/** What a log holds; undefined where its samples are not here. */
export function samplesOf({ samples }: Pick<RoundScene, 'samples'>, log: LogHead): Samples | undefined {
  const own = samplesOfLooks(log) ?? samples[log.id]
  return own && countOf(own) > 0 ? own : undefined
}

/** Which pass of its task a log belongs to, where there were several. */
export function passText({ job }: Pick<RoundScene, 'job'>, { step }: LogHead): string {
  const own = job.steps.find(({ id }) => id === step)
  const several = own && job.steps.filter(({ task }) => task === own.task).length > 1
  return several ? `, pass ${passOf(own)}` : ''
}

/** What a log came to: figures and limits; without its samples only that they are missing. */
function resultText(scene: RoundScene, log: WorkLogHead): string {
  const verdict = scene.answer.verdicts[log.id]
  const samples = samplesOf(scene, log)
  if (!samples || verdict === undefined || verdict === 'no-samples') return 'its samples are not on record'
  return LOG_KINDS[log.purpose].result({ head: log, samples }, scene.facts, verdict)
}

/** A weight that nothing known can be held against. */
function isUnjudged({ facts, answer }: RoundScene, { purpose, id }: WorkLogHead): boolean {
  if (purpose !== 'weigh-in' || answer.verdicts[id] === undefined) return false
  return aimOf(LOG_KINDS[purpose].context(facts) as ChargeSetup) === undefined
}

/** Each log as its result. */
const logLines = (scene: RoundScene) =>
  endedLogs(scene).map((log) => {
    const { word: said, at } = logWord(log, scene.answer.verdicts[log.id])
    const word = isUnjudged(scene, log) ? 'not judged, the charge is not known' : said
    return line(
      `${LOG_KINDS[log.purpose].name}${passText(scene, log)}`,
      `${fullMomentIn(at, scene.job.unit.site?.zone)} ${word}: ${resultText(scene, log)}`,
    )
  })

/** What the instruments showed while it was emptied, tested, dried and filled. */
export function logSection(scene: RoundScene): ReportSection | undefined {
  const { run, repair, unit } = scene.job
  const leaks = (repair?.leaks ?? []).map(({ place, repair: how, part, joints }) =>
    [place, how, part, joints && `${joints} ${joints === 1 ? 'joint' : 'joints'}`].filter(Boolean).join(', '),
  )
  return section('tests', 'Recovery, tightness, vacuum, charge', [
    ...logLines(scene),
    line('Joints bubbled', run?.bubbledAt && fullMomentIn(run.bubbledAt, unit.site?.zone)),
    line('Leaks found by the test', leaks.join('; ')),
  ])
}
