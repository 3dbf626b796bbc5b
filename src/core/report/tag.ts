import { fullDateIn } from '../base/units/siteTime'
import { latestPass } from '../record/job/passes'
import { LAST_TASK } from '../record/job/lastTask'
import { roundLookedAt } from '../record/job/rounds'
import { madeFor } from '../record/equipment/madeFor'
import { finalChargeText } from '../repair/work/finalCharge'
import { totalTurns, turnsText } from '../repair/work/startUp'
import { summaryOf } from '../record/job/summary'
import { type FollowUp, followUps, followUpText } from './followUps'
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
export const endedAt = ({ job }: Pick<RoundScene, 'job'>): string =>
  roundLookedAt(job).closedAt ?? latestPass(job.steps, LAST_TASK)?.doneAt ?? job.updatedAt

/** What is in it now: by the round that charged it, else by the plan that was carried out. */
export function refrigerantNow({ job, known, answer }: RoundScene): string {
  const charged = roundLookedAt(job).refrigerant
  const isCharged = job.closing?.charged !== undefined
  return charged ?? (isCharged ? answer.plan.refrigerantPath.goesIn : undefined) ?? known.unit.refrigerant
}

const nextDue = (all: readonly FollowUp[]): string | undefined => all[0] && followUpText(all[0])

/** The panel tag: what the next technician wants to know before anything is opened. */
export function tagOf(scene: RoundScene): Tag {
  const { job, known, answer } = scene
  const { plan } = answer
  const charge = chargeOf(scene)
  const turns = job.run?.turns ?? []
  const [from, to] = [madeFor(known.unit), refrigerantNow(scene)]
  const isWorked = job.steps.length > 0 || job.closing !== undefined
  const oil = plan.opens && isWorked && plan.oil.isMeasured ? oilText(plan) : plan.oil.goesIn
  return {
    title: titleOf(summaryOf(job)),
    converted: from === to ? undefined : { from, to },
    lines: [
      line('Date', fullDateIn(endedAt(scene), job.unit.site?.zone)),
      line('Refrigerant', to),
      line('Charge', charge ? finalChargeText(charge) : 'not weighed'),
      line('Oil', oil, plan.oil.kind),
      ...(['liquid', 'suction'] as const).map((place) =>
        isDryerIn(scene, place)
          ? line(place === 'liquid' ? 'Liquid dryer' : 'Suction dryer', dryerText(plan, place))
          : undefined,
      ),
      line('Valve stem', turns.length > 0 ? turnsText(totalTurns(turns)) : undefined),
      written('Settings', job.closing?.settings),
      line('Next', nextDue(followUps(scene))),
    ].filter((each) => each !== undefined),
  }
}

/** Everything on a tag as plain text: what its QR code carries, as no server holds the job. */
export const tagText = ({ title, lines }: Tag): string =>
  [
    title,
    ...lines.map(({ name, value, note }) => `${name}: ${[value, note].filter(Boolean).join(' ')}`),
  ].join('\n')
