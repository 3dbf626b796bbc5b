import { median, percent } from './draws'
import { seededRandom } from '../../src/core/base/numeric/random'
import { type Forecast, forecastPull } from '../../src/core/physics/processes/forecast'
import { type DrawnPull, drawnPull } from './pulls'
import { worldPull } from './pullWorld'

/** Forecasts of pulls of two models that are not the forecast's own: how near, how wide, how often it cannot tell or errs on "never". */

const PULLS = Number(process.argv[2] ?? 100)
const SEEDS = (process.argv[3] ?? '911').split(',').map(Number)
const NEAR = 0.25
const SHARES = [1 / 3, 1 / 2, 2 / 3, 0.9] as const
const TOLD = [20, 40, 60] as const

let [asked, milliseconds] = [0, 0]
function forecast({ guess, points, target }: DrawnPull, seconds: number): Forecast {
  const seen = points.filter((point) => point.seconds <= seconds)
  const start = performance.now()
  const answer = forecastPull(guess, seen, target)
  milliseconds += performance.now() - start
  asked += 1
  return answer
}

type Asked = { readonly pull: DrawnPull & { readonly arrival: number }; readonly answer: Forecast }
const off = ({ pull, answer: { seconds } }: Asked) => Math.abs((seconds ?? Infinity) / pull.arrival - 1)
const isInside = ({ pull: { arrival }, answer: { range } }: Asked) =>
  range[0] <= arrival && (range[1] ?? Infinity) >= arrival

function row(share: number, all: readonly Asked[]): string {
  const told = all.filter(({ answer }) => answer.isTold)
  const never = all.filter(({ answer }) => answer.isTold && answer.seconds === undefined)
  const within = (of: readonly Asked[]) => percent(of.filter((each) => off(each) <= NEAR).length, of.length)
  const wet = told.filter(({ pull }) => pull.isWet)
  const dry = told.filter(({ pull }) => !pull.isWet)
  return [
    `seen ${(share * 100).toFixed(0).padStart(3)} %: within 25 % ${within(told)} (dry ${within(dry)}, wet ${within(wet)})`,
    `cannot tell ${percent(all.length - told.length, all.length)}`,
    `inside its range ${percent(all.filter(isInside).length, all.length)}`,
    `false never ${percent(never.length, all.length)}`,
    `median off ${(100 * median(told.map(off))).toFixed(1)} %`,
  ].join(', ')
}

function report(name: string, pulls: readonly DrawnPull[]): void {
  const arriving = pulls.filter((pull): pull is Asked['pull'] => pull.arrival !== undefined)
  const lost = pulls.filter(({ arrival }) => arrival === undefined)
  const minutes = median(arriving.map(({ arrival }) => arrival)) / 60
  console.log(
    `${name}: ${pulls.length} pulls, ${arriving.length} get there (median ${minutes.toFixed(1)} min), ${lost.length} never`,
  )
  for (const share of SHARES)
    console.log(
      `  ${row(
        share,
        arriving.map((pull) => ({ pull, answer: forecast(pull, share * pull.arrival) })),
      )}`,
    )
  const toldNever = TOLD.map((at) =>
    percent(
      lost.filter((pull) => {
        const { isTold, seconds } = forecast(pull, at * 60)
        return isTold && seconds === undefined
      }).length,
      lost.length,
    ),
  )
  console.log(`  never: told after ${TOLD.join(', ')} min ${toldNever.join(', ')}`)
}

for (const seed of SEEDS) {
  const [first, second] = [seededRandom(seed), seededRandom(seed + 1)]
  report(
    `second model, seed ${seed}`,
    Array.from({ length: PULLS }, () => drawnPull(first)),
  )
  report(
    `third model, seed ${seed}`,
    Array.from({ length: PULLS }, () => worldPull(second)),
  )
}
console.log(`${(milliseconds / asked).toFixed(0)} ms a forecast`)
