import { seededRandom } from '../../src/core/base/numeric/random'
import { type Forecast, forecastPull } from '../../src/core/physics/processes/forecast'
import { type DrawnPull, drawnPull } from './pulls'

/** Forecasts of pulls by a model that is not the forecast's own: how far off, from a third of the way on. */

const PULLS = 200
const NEAR = 0.25
const SHARES = [1 / 3, 1 / 2, 2 / 3, 0.9] as const

const percent = (part: number, whole: number) => `${((100 * part) / Math.max(whole, 1)).toFixed(1)} %`
const seenUntil = ({ points }: DrawnPull, seconds: number) =>
  points.filter((point) => point.seconds <= seconds)
const median = (all: readonly number[]) => [...all].sort((a, b) => a - b)[Math.floor(all.length / 2)] ?? NaN

const random = seededRandom(Number(process.argv[2] ?? 508))
const pulls = Array.from({ length: PULLS }, () => drawnPull(random))
const arriving = pulls.filter(({ arrival }) => arrival !== undefined)
const lost = pulls.filter(({ arrival }) => arrival === undefined)
console.log(
  `${PULLS} pulls to 500 microns: ${arriving.length} get there, ${lost.length} never; median ${(median(arriving.map(({ arrival }) => arrival!)) / 60).toFixed(1)} min`,
)
let [calls, milliseconds] = [0, 0]
/** Arrival that is forecast after each of some times, s. */
function asked(pull: DrawnPull, times: readonly number[]): Forecast[] {
  return times.map((seconds) => {
    const start = performance.now()
    const forecast = forecastPull(pull.guess, seenUntil(pull, seconds), pull.target)
    milliseconds += performance.now() - start
    calls += 1
    return forecast
  })
}
const answers = arriving.map((pull) =>
  asked(
    pull,
    SHARES.map((share) => share * pull.arrival!),
  ),
)
SHARES.forEach((share, at) => {
  const offs = arriving.map((pull, i) => {
    const { seconds } = answers[i]![at]!
    return seconds === undefined ? Infinity : Math.abs(seconds / pull.arrival! - 1)
  })
  const wet = offs.filter((_off, i) => arriving[i]!.water > 0)
  const dry = offs.filter((_off, i) => arriving[i]!.water === 0)
  const within = (all: readonly number[]) => percent(all.filter((off) => off <= NEAR).length, all.length)
  const inside = answers.filter((all, i) => {
    const [from, to] = all[at]!.range
    return from <= arriving[i]!.arrival! && (to ?? Infinity) >= arriving[i]!.arrival!
  })
  console.log(
    `seen ${(share * 100).toFixed(0).padStart(3)} %: within 25 % ${within(offs)} (dry ${within(dry)}, wet ${within(wet)}), median off ${(100 * median(offs)).toFixed(1)} %, said never ${offs.filter((off) => off === Infinity).length}, inside its range ${percent(inside.length, answers.length)}`,
  )
})
const TOLD = [10, 20, 40, 60] as const
const told = lost.map((pull) =>
  asked(
    pull,
    TOLD.map((minutes) => minutes * 60),
  ).map(({ seconds }) => seconds === undefined),
)
console.log(
  `never: told after ${TOLD.join(', ')} min ${TOLD.map((_minutes, i) => percent(told.filter((each) => each[i]).length, told.length)).join(', ')}`,
)
console.log(`${(milliseconds / calls).toFixed(2)} ms a forecast`)
