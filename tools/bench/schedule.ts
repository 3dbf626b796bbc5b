// How near to the optimum the time plan comes, and how long it takes: npm run -s bench:schedule
import { viewOf } from '@/core/record/job/rounds'
import { readFileSync } from 'node:fs'
import { planWork } from '@/core/repair/day/workDay'
import { planOf } from '@/core/repair/plan/basis'
import { loadRefrigerants } from '@/core/physics/refrigerants/tables'
import { REFRIGERANT_NAMES } from '@/core/physics/refrigerants/catalogue'
import { decidedFaults } from '@/core/answer/repairedFaults'
import { readJobText } from '@/core/record/job/readJob'
import type { KnownJob } from '@/core/record/job/job'
import { solve } from '@/core/repair/schedule/solve'
import { drawnProblem, STORED_CASES } from '../schedule/cases'

type Optimum = { readonly seed: number; readonly finish: number }
const OPTIMA = JSON.parse(readFileSync('tools/schedule/optima.json', 'utf8')) as Optimum[]
const AT_ONCE = { moves: 60, states: 1500 }

const middle = (all: readonly number[]) => [...all].sort((a, b) => a - b)[Math.floor(all.length / 2)] ?? 0
const percent = (share: number) => `${(share * 100).toFixed(2)} %`

function timed<T>(work: () => T): { readonly value: T; readonly ms: number } {
  const from = performance.now()
  const value = work()
  return { value, ms: performance.now() - from }
}

/** Gap to the stored optimum and time, over all cases, for one effort. */
function judge(name: string, effort?: typeof AT_ONCE) {
  const rows = STORED_CASES.map(({ seed, shape }) => {
    const { value, ms } = timed(() => solve(drawnProblem(seed, shape), effort))
    return {
      gap: value.finish / OPTIMA.find((each) => each.seed === seed)!.finish - 1,
      ms,
      isProven: value.isProven,
    }
  })
  const gaps = rows.map(({ gap }) => gap)
  const times = rows.map(({ ms }) => ms)
  console.log(
    `${name}: gap median ${percent(middle(gaps))}, largest ${percent(Math.max(...gaps))}; proven ${rows.filter(({ isProven }) => isProven).length} of ${rows.length}; median ${middle(times).toFixed(0)} ms, longest ${Math.max(...times).toFixed(0)} ms`,
  )
}

// the first calls pay for compiling
for (const { seed, shape } of STORED_CASES.slice(0, 4)) solve(drawnProblem(seed, shape))
judge('25 to 40 tasks, searched to the end')
judge('the same, what is shown at once after a drag', AT_ONCE)

await loadRefrigerants(REFRIGERANT_NAMES)
const read = readJobText(readFileSync('examples/plans/13-compressor-and-valve.json', 'utf8'))
if (!read.ok) throw new Error('the example does not read')
const job = viewOf(read.job) as KnownJob
const plan = planOf(job, decidedFaults(job))
const moved = { ...plan, day: { ...plan.day, notBefore: { gainAccess: '2026-11-27T09:40' } } }
planWork(plan)
const whole = timed(() => planWork(plan))
const again = Array.from({ length: 15 }, () => timed(() => planWork(moved, AT_ONCE)).ms)
console.log(
  `a burnout with ${plan.tasks.length} tasks, with half and nine in ten: ${whole.ms.toFixed(0)} ms; planned anew after a drag: median ${middle(again).toFixed(0)} ms, longest ${Math.max(...again).toFixed(0)} ms`,
)

/** Typical jobs with nothing set, beside the hours of handbook 01. */
const SPANS = [
  ['valve, all recovered', '04-valve-sweat', '4-5'],
  ['valve by pump-down', '05-valve-flare-pump-down', '3-4'],
  ['dryer', '09-dryer', '3-4'],
  ['reversing valve', '08-reversing-valve', '4-6'],
  ['compressor', '01-compressor', '4-6'],
  ['burnout, compressor and valve', '13-compressor-and-valve', '-'],
] as const
const hours = (minutes: number | undefined) => (minutes === undefined ? 'never' : (minutes / 60).toFixed(2))
for (const [name, file, span] of SPANS) {
  const reading = readJobText(readFileSync(`examples/plans/${file}.json`, 'utf8'))
  if (!reading.ok) throw new Error(`${file} does not read`)
  const typical = viewOf(reading.job) as KnownJob
  const day = planWork({ ...planOf(typical, decidedFaults(typical)), day: { crew: 1 } })
  console.log(
    `${name}: half ${hours(day.p50)} h, nine in ten ${hours(day.p90)} h, bars ${hours(day.finish)} h; handbook ${span} h`,
  )
}
