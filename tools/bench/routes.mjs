/**
 * How the server answers while it is asked for heavy plans, printed as JSON: time of /api/health every tenth of a second while
 * eight plans of 200 sets are asked for at once, and memory of the server before, during and after. Needs a build.
 */
import { readFileSync } from 'node:fs'
import { setTimeout as wait } from 'node:timers/promises'
import { startServer } from './server.mjs'

const PORT = 3133
const PLANS = 8
const SETS = 200
const BUDGET = { healthMs: 200 }
/** Threads end after ten seconds without a question. */
const AFTER = 14_000

const { base, stop } = await startServer(PORT)

const job = JSON.parse(readFileSync('examples/plugged-dryer.orzo.json', 'utf8'))
const [set] = job.readingSets
const readingsOf = ({ readings }, i) =>
  Object.fromEntries(
    Object.entries(readings).map(([key, { value, unit }]) => [key, { value: value * (1 + i / 1e4), unit }]),
  )
const body = JSON.stringify({
  ...job,
  // each set is another one: nothing is answered from what was computed for the one before
  readingSets: Array.from({ length: SETS }, (_set, i) => ({
    ...set,
    id: `set-${i}`,
    readings: readingsOf(set, i),
  })),
})

async function health() {
  const start = performance.now()
  const answer = await (await fetch(`${base}/api/health`)).json()
  return { ms: performance.now() - start, memory: answer.memory }
}
async function plan() {
  const start = performance.now()
  const response = await fetch(`${base}/api/plan`, { method: 'POST', body })
  await response.text()
  return { status: response.status, ms: Math.round(performance.now() - start) }
}

// the first answer of a server opens its route
await health()
const before = (await health()).memory
let open = true
const plans = Promise.all(Array.from({ length: PLANS }, plan)).finally(() => (open = false))
const seen = []
while (open) {
  seen.push(await health())
  await wait(100)
}
const answered = await plans
const during = Math.max(...seen.map(({ memory }) => memory))
await wait(AFTER)
const after = (await health()).memory
const times = seen.map(({ ms }) => ms).sort((a, b) => a - b)
console.log(
  JSON.stringify(
    {
      plans: answered,
      health: {
        asked: times.length,
        medianMs: Number(times[Math.floor(times.length / 2)].toFixed(1)),
        worstMs: Number(times.at(-1).toFixed(1)),
        budgetMs: BUDGET.healthMs,
      },
      memoryMb: { before, during, after },
    },
    null,
    2,
  ),
)
stop()
