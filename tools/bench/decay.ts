import { percent } from './draws'
import { seededRandom } from '../../src/core/base/numeric/random'
import { type DecayJudged, judgeDecay } from '../../src/core/repair/logs/judgeDecay'
import { knownFit } from '../../src/core/repair/logs/decayFit'
import type { LogCause } from '../../src/core/record/records/log'
import { waterVapourPressure } from '../../src/core/physics/air/psychrometrics'
import { isOpening } from '../../src/core/repair/logs/told'
import { type Cadence, WORLD_CAUSES, type WorldCause, type WorldLog, worldLog } from './decayWorld'

/** What the judge says of decay tests of another model: which gates open, which causes are named, by cause and by kind of log. */

const MICRON = 0.133322
const LOGS = Number(process.argv[2] ?? 120)
const LIMITS = { target: 500 * MICRON, limit: 1000 * MICRON, minutes: 10, school: 'field' as const }
const KINDS: readonly (readonly [Cadence, number])[] = [
  ['typed', 10],
  ['stream', 10],
  ['typed', 20],
  ['stream', 20],
]
const SAID: readonly LogCause[] = ['dry-enough', 'leak', 'moisture', 'both', 'open']

type Said = { readonly log: WorldLog; readonly judged: DecayJudged }

const share = (of: readonly Said[], what: (said: Said) => boolean) =>
  `${percent(of.filter(what).length, of.length)} of ${of.length}`

let [asked, milliseconds] = [0, 0]
function said(log: WorldLog): Said {
  const start = performance.now()
  // the ceiling as the job has it: water at 65 F
  const fit = knownFit({ points: log.points, ceiling: waterVapourPressure(291.5) })
  milliseconds += performance.now() - start
  asked += 1
  const looks = log.points.map(({ seconds, pascals }) => ({ seconds, value: pascals }))
  return { log, judged: judgeDecay(looks, LIMITS, fit) }
}

function table(all: readonly Said[]): void {
  for (const cause of WORLD_CAUSES) {
    const own = all.filter(({ log }) => log.cause === cause)
    const counts = SAID.map(
      (each) => `${each} ${percent(own.filter(({ judged }) => judged.cause === each).length, own.length)}`,
    )
    console.log(`  ${cause.padEnd(10)} ${counts.join('  ')}`)
  }
}

const overLimit = ({ log }: Said) => log.truth(LIMITS.minutes * 60) > LIMITS.limit
const isLeak = ({ log }: Said) => log.leakRate >= 10 && log.cause === 'leak'
const is =
  (...causes: readonly WorldCause[]) =>
  ({ log }: Said) =>
    causes.includes(log.cause)
const says =
  (...causes: readonly LogCause[]) =>
  ({ judged }: Said) =>
    causes.includes(judged.cause)

const seeds = (process.argv[3] ?? '2701,2702,2703').split(',').map(Number)
const all: Said[] = []
for (const [cadence, minutes] of KINDS) {
  const own = seeds.flatMap((seed) => {
    const random = seededRandom(seed * 100 + minutes + (cadence === 'typed' ? 1 : 0))
    return WORLD_CAUSES.flatMap((cause) =>
      Array.from({ length: LOGS }, () => said(worldLog(cause, cadence, minutes, random))),
    )
  })
  console.log(`${cadence}, ${minutes} min: ${own.length} logs`)
  table(own)
  all.push(...own)
}
const leaks = all.filter(isLeak)
console.log(
  `leaks over the limit that pass: ${leaks.filter((each) => overLimit(each) && isOpening(each.judged)).length} of ${leaks.filter(overLimit).length}`,
)
console.log(
  `leaks from 10 microns a minute called dry or moisture: ${share(leaks, says('dry-enough', 'moisture'))}`,
)
const twenty = leaks.filter(({ log }) => log.minutes >= 20)
console.log(`their cause open at 20 min: ${share(twenty, says('open'))}`)
console.log(
  `tight or outgassing called leak: ${share(all.filter(is('tight', 'outgassing', 'trace')), says('leak', 'both'))}`,
)
console.log(
  `water called both: ${share(all.filter(is('water')), says('both'))}; called leak: ${share(all.filter(is('water')), says('leak'))}`,
)
const sparse = all.filter(({ log }) => log.cadence === 'typed' && log.minutes === 10)
console.log(`open in sparse logs of ten minutes: ${share(sparse, says('open'))}`)
console.log(`${(milliseconds / asked).toFixed(1)} ms a fit`)
