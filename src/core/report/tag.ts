import { fullDateIn } from '../base/units/siteTime'
import { latestPass } from '../record/job/passes'
import { LAST_TASK } from '../record/job/lastTask'
import { roundLookedAt } from '../record/job/rounds'
import { madeFor } from '../record/equipment/madeFor'
import { finalChargeText } from '../repair/work/finalCharge'
import { totalTurns, turnsText } from '../repair/work/startUp'
import { summaryOf } from '../record/job/summary'
import { byDay, followUps, followUpText } from './followUps'
import { titleOf } from './jobText'
import { line, type ReportLine, written } from './line'
import { chargeOf } from './refrigerantLines'
import type { RoundScene } from './scene'
import { dryerText, isDryerIn, oilText } from './wentIn'

/** What hangs inside the panel. */
export type Tag = {
  readonly title: string
  readonly lines: readonly ReportLine[]
  /** what the unit was made for, where it holds another refrigerant now */
  readonly converted: { readonly from: string; readonly to: string } | undefined
}

/** When the repair ended: its last step, else the last change of the job. */
const endedAt = ({ job }: Pick<RoundScene, 'job'>): string =>
  roundLookedAt(job).closedAt ?? latestPass(job.steps, LAST_TASK)?.doneAt ?? job.updatedAt

/** What went into it in a repair: by its record, else by the plan that was carried out; else what it held before. */
export function refrigerantOf({ job, answer }: RoundScene): string {
  const charged = roundLookedAt(job).refrigerant
  const isCharged = job.closing?.charged !== undefined
  return (
    charged ?? (isCharged ? answer.plan.refrigerantPath.goesIn : undefined) ?? answer.planUnit.refrigerant
  )
}

type Scenes = readonly [RoundScene, ...RoundScene[]]
const lastOf = (scenes: Scenes): RoundScene => scenes.at(-1) as RoundScene

/** What is told by the newest repair that has it. */
function newest<T>(scenes: Scenes, pick: (scene: RoundScene) => T | undefined): T | undefined {
  for (const scene of [...scenes].reverse()) {
    const value = pick(scene)
    if (value !== undefined) return value
  }
  return undefined
}

/** The charge since the circuit was last filled as a whole: that, and what was added in later repairs. */
function chargeText(scenes: Scenes): string | undefined {
  const all = scenes.flatMap((scene) => chargeOf(scene) ?? [])
  const whole = all.findLastIndex(({ isWhole }) => isWhole)
  return all.slice(Math.max(whole, 0)).map(finalChargeText).join('; then ')
}

const isWorked = ({ job }: RoundScene) => job.steps.length > 0 || job.closing !== undefined
const changedOil = (scene: RoundScene) =>
  scene.answer.plan.opens && isWorked(scene) && scene.answer.plan.oil.isMeasured
    ? oilText(scene.answer.plan)
    : undefined

const turnsOf = ({ job }: RoundScene) =>
  job.run?.turns && job.run.turns.length > 0 ? turnsText(totalTurns(job.run.turns)) : undefined

/** Letters that have room on a tag and in its code; the whole stands in the report. */
const MOST_SETTINGS = 160
const MOST_TITLE = 60
const shortened = (text: string, most: number): string =>
  text.length <= most ? text : `${text.slice(0, most - 1).trimEnd()}…`

const settingsOf = (scenes: Scenes): string =>
  scenes.flatMap((scene) => scene.job.closing?.settings ?? []).join('; ')

/** What is due next of all repairs. */
const nextDue = (scenes: Scenes): string | undefined => {
  const [first] = scenes.flatMap((scene) => followUps(scene)).sort(byDay)
  return first && followUpText(first)
}

/**
 * The panel tag: what the next technician wants to know before anything is opened. Of a job of several repairs each line is
 * told by the newest one that has it.
 * @param scenes of all repairs, the first one first
 */
export function tagOf(scenes: Scenes): Tag {
  const last = lastOf(scenes)
  const { job, known, answer, state } = last
  const [from, to] = [madeFor(known.unit), state.refrigerant]
  const ended = newest(scenes, (scene) => (isWorked(scene) ? endedAt(scene) : undefined)) ?? endedAt(last)
  return {
    title: shortened(titleOf(summaryOf(job)), MOST_TITLE),
    converted: from === to ? undefined : { from, to },
    lines: [
      line('Date', fullDateIn(ended, job.unit.site?.zone)),
      line('Refrigerant', to),
      line('Charge', chargeText(scenes) || 'not weighed'),
      line('Oil', newest(scenes, changedOil) ?? answer.plan.oil.goesIn, answer.plan.oil.kind),
      ...(['liquid', 'suction'] as const).map((place) =>
        line(
          place === 'liquid' ? 'Liquid dryer' : 'Suction dryer',
          newest(scenes, (scene) =>
            isDryerIn(scene, place) ? dryerText(scene.answer.plan, place) : undefined,
          ),
        ),
      ),
      line('Valve stem', newest(scenes, turnsOf)),
      written('Settings', shortened(settingsOf(scenes), MOST_SETTINGS)),
      line('Next', nextDue(scenes)),
    ].filter((each) => each !== undefined),
  }
}

/** Everything on a tag as plain text: what its QR code carries, as no server holds the job. */
export const tagText = ({ title, lines }: Tag): string =>
  [
    title,
    ...lines.map(({ name, value, note }) => `${name}: ${[value, note].filter(Boolean).join(' ')}`),
  ].join('\n')
