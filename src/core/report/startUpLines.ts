import { instantOf } from '../base/units/instants'
import { fullMomentIn } from '../base/units/siteTime'
import { showQuantity } from '../base/units/compound'
import { durationText } from '../base/units/wall'
import { acidTestText } from '../record/job/acidTests'
import { isThrough, startLines } from '../repair/work/firstStart'
import { heaterHours } from '../repair/work/heater'
import { otherMode } from '../repair/work/otherMode'
import { retestRows } from '../repair/work/retests'
import { totalTurns, turnsText } from '../repair/work/startUp'
import { line, lowerFirst, type ReportSection, section } from './line'
import type { RoundScene } from './scene'

const at = ({ job }: RoundScene, moment: string) => fullMomentIn(moment, job.unit.site?.zone)

/** Points of the first start that were gone through; those that are not, by name. */
function firstStartText({ job, known, work, state, now }: RoundScene): string | undefined {
  if (job.repair?.startedAt === undefined) return undefined
  const all = startLines({ unit: known.unit, tasks: work.tasks, state })
  const open = all.filter((each) => !isThrough(each, { run: job.run, state, now }))
  if (all.length === 0) return undefined
  const done = `${all.length - open.length} of ${all.length} points gone through`
  return open.length === 0
    ? done
    : `${done}; not ticked: ${open.map(({ label }) => lowerFirst(label)).join('; ')}`
}

/** Both modes of a heat pump after the start. */
function modesText({ known, job }: RoundScene): string | undefined {
  const other = otherMode({ ...job, unit: known.unit })
  if (!other || job.repair?.startedAt === undefined) return undefined
  if (other.left.length === 0) return 'cooling and heating measured after the start'
  const left = other.left.join(' and ')
  return other.bookedFor ? `${left} booked for ${other.bookedFor}` : `${left} not measured after the start`
}

/** A pull-down that was written by hand. */
function pullDownText({ job }: RoundScene): string | undefined {
  const { from, reached, target, startedAt, endedAt } = job.run?.pullDown ?? {}
  if (!from || !reached) return undefined
  const minutes =
    startedAt && endedAt ? Math.round((Date.parse(endedAt) - Date.parse(startedAt)) / 60_000) : 0
  return `${showQuantity(from)} to ${showQuantity(reached)}${minutes > 0 ? ` in ${durationText(minutes)}` : ''}${target ? `, set to ${showQuantity(target)}` : ''}`
}

function trimText({ job }: RoundScene): string {
  return (job.run?.trims ?? [])
    .map(({ what, mass, out }) => `${what}${mass ? ` ${out ? 'out' : 'in'} ${showQuantity(mass)}` : ''}`)
    .join('; ')
}

/** Tests that were made again after the start. */
const retestText = (scene: RoundScene): string =>
  retestRows(scene.answer.plan, scene.job.repair, scene.job.run, scene.now)
    .flatMap(({ what, known }) =>
      known?.doneAt ? [`${what}, ${at(scene, known.doneAt)}: ${known.result ?? 'no result written'}`] : [],
    )
    .join('; ')

/** First start, both modes, pull-down, trims, tests for acid. */
export function startUpSection(scene: RoundScene): ReportSection | undefined {
  const { job } = scene
  const { run, repair } = job
  const turns = run?.turns ?? []
  const hours = heaterHours(run?.heater ?? [], instantOf(repair?.startedAt))
  return section('start-up', 'Start-up', [
    line('Started', repair?.startedAt && at(scene, repair.startedAt)),
    line('First start', firstStartText(scene)),
    line('Crankcase heater', hours > 0 ? `${hours.toFixed(1)} h of power` : undefined),
    line('Modes', modesText(scene)),
    line('Pull-down', pullDownText(scene)),
    line('Valve stem', turns.length > 0 ? turnsText(totalTurns(turns)) : undefined),
    line('Steps of the trim', trimText(scene)),
    line(
      'Tests for acid',
      (repair?.acidTests ?? []).map((test) => `${at(scene, test.at)} ${acidTestText(test)}`).join('; '),
    ),
    line('Tests after the start', retestText(scene)),
  ])
}
