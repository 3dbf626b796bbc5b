import { viewOf } from '../record/job/rounds'
import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { wallText } from '../base/units/wall'
import type { KnownJob } from '../record/job/job'
import { readJobText } from '../record/job/readJob'
import { type DayPlan, dayQuestionOf, planDay } from '../repair/day/planDay'
import type { Plan } from '../repair/plan/plan'
import { planOf } from '../repair/plan/basis'
import { decidedFaults } from '../answer/repairedFaults'

const FOLDER = 'examples/plans'
const NAMES = readdirSync(FOLDER)
  .filter((name) => name.endsWith('.json'))
  .map((name) => name.replace(/\.json$/, ''))
/** Write them anew with UPDATE_PLANS=1, then read them by hand (docs/day.md). */
const isWritten = process.env.UPDATE_PLANS === '1'

const minutes = (three: readonly number[] | undefined) => (three ? three.join('/') : '')

function taskLines({ tasks }: Plan, day: DayPlan): string[] {
  const number = new Map(tasks.map(({ id }, i) => [id, i + 1]))
  return tasks.map((task) => {
    const row = day.rows.find(({ id }) => id === task.id)
    const at = row ? wallText(day.calendar.origin + row.start).slice(5) : 'not planned'
    const waits = [
      ...task.after.map((id) => String(number.get(id))),
      ...task.alongside.map((id) => `beside ${number.get(id)}`),
    ]
    const marks = [task.opens && 'open', task.flame && 'flame', task.machine].filter(Boolean).join(', ')
    const hurts = task.hazards.length > 0 ? [`     hurts: ${task.hazards.join(', ')}`] : []
    const then = task.fails?.minutes ? [`     if it fails: ${minutes(task.fails.minutes)}`] : []
    return [
      `${String(number.get(task.id)).padStart(2)} ${at} ${task.id} [${minutes(task.handsOn)}${task.unattended ? ` + ${minutes(task.unattended)}` : ''}] after ${waits.join(', ') || 'nothing'}${marks ? `; ${marks}` : ''}`,
      ...hurts,
      ...then,
      ...task.notes.map((note) => `     ${note}`),
      ...(task.refused ? [`     REFUSED ${task.refused}`] : []),
    ].join('\n')
  })
}

function digest(job: KnownJob): string {
  const plan = planOf(job, decidedFaults(job))
  const day = planDay(dayQuestionOf(plan))
  const at = (minute: number | undefined) =>
    minute === undefined ? 'never' : wallText(day.calendar.origin + minute)
  const parts = plan.parts.map(({ id, label, quantity, match, hold }) => {
    const points = match.map(({ label: name, wanted }) => `${name.toLowerCase()} ${wanted ?? '?'}`).join(', ')
    return `- ${id.replace('part:', '')}: ${label}${quantity ? ` x ${quantity}` : ''}${points ? ` (${points})` : ''}${hold ? ` HOLD ${hold}` : ''}`
  })
  return [
    `${plan.faults.join(', ')}; class ${plan.contamination.class}; way ${plan.opens ? plan.access.chosen : 'closed'}`,
    plan.approval.sentence,
    plan.testPressure ? `test: ${plan.testPressure.sentence}` : 'no test',
    `finish ${at(day.finish)} (${day.isProven ? 'proven' : `bound ${at(day.bound)}`}), half ${at(day.p50)}, nine in ten ${at(day.p90)}; runs ${at(day.running?.likely)}; visits ${day.visits.length}`,
    day.open ? `open ${at(day.open.from)} to ${at(day.open.to)}` : 'not opened',
    ...(day.problem ? [day.problem] : []),
    '',
    ...taskLines(plan, day),
    '',
    ...parts,
    '',
    ...plan.rules.map(({ id, holds }) => `${holds ? 'keeps' : 'BREAKS'} ${id}`),
    ...plan.returns.map(
      ({ hours, sentence, tasks }) =>
        `returns after ${hours} h: ${sentence}: ${tasks.map(({ id }) => id).join(' ')}`,
    ),
    '',
  ].join('\n')
}

test.each(NAMES)('%s', (name) => {
  const read = readJobText(readFileSync(`${FOLDER}/${name}.json`, 'utf8'))
  if (!read.ok) throw new Error(JSON.stringify(read))
  const text = digest(viewOf(read.job) as KnownJob)
  const file = `${FOLDER}/${name}.txt`
  if (isWritten) writeFileSync(file, text)
  expect(text).toBe(readFileSync(file, 'utf8'))
  expect(text).not.toMatch(/BREAKS|REFUSED|NaN|undefined/)
})

test('one of each replaced part, two with several faults, one empty, one flammable', () => {
  const all = NAMES.map((name) => readFileSync(`${FOLDER}/${name}.txt`, 'utf8')).join('\n')
  for (const id of [
    'swapCompressor',
    'pistonToScroll',
    'swapCondensingUnit',
    'swapValve ',
    'swapValveFlare',
    'swapHeader',
    'swapCapillary',
    'swapReversingValve',
    'swapLiquidDryer',
    'swapSolenoid',
    'swapControl',
    'repairCoil',
    'proveEmpty',
    'sweepFlammable',
  ])
    expect(all).toContain(id)
  expect(NAMES.length).toBeGreaterThanOrEqual(12)
})
