import { levenbergMarquardt } from 'ml-levenberg-marquardt'

/** One look at the vacuum gauge with the valve to the pump shut. s from the shutting, Pa. */
export type DecayPoint = { readonly seconds: number; readonly pascals: number }

/** What makes a vacuum rise. */
export const DECAY_CAUSES = ['tight', 'leak', 'moisture', 'both'] as const
export type DecayCause = (typeof DECAY_CAUSES)[number]

/** A curve: P0 + rate t + amount (1 - e^(-t / settling)). Pa, Pa/s, s. */
export type DecayCurve = {
  readonly start: number
  readonly rate: number
  readonly amount: number
  readonly settling: number
}

export type DecayFit = {
  /** what it is; undefined where the log does not tell yet */
  readonly cause: DecayCause | undefined
  readonly likeliest: DecayCause
  /** of one */
  readonly chances: Readonly<Record<DecayCause, number>>
  readonly curve: DecayCurve
  readonly seconds: number
}

/** [practice] a wet film settles in one to several minutes; what settles slower looks like a leak until it is watched longer. */
const SETTLING = { least: 40, usual: 115, most: 400 } as const
/** Looks that a verdict needs, and the time: with less no shape is seen. */
const LEAST_POINTS = 8
const LEAST_SECONDS = 150
/** A verdict is given from this chance on: few are wrong then, and few wait (docs/work.md). */
const SURE = 0.75
/** [practice] scatter of a gauge below which a log is not believed, of its reading. */
const LEAST_SCATTER = 0.01
const ITERATIONS = 60

export const decayAt = ({ start, rate, amount, settling }: DecayCurve, seconds: number): number =>
  start + rate * seconds + amount * (1 - Math.exp(-seconds / settling))

type Shape = { readonly rises: boolean; readonly settles: boolean }
const SHAPES: Readonly<Record<DecayCause, Shape>> = {
  tight: { rises: false, settles: false },
  leak: { rises: true, settles: false },
  moisture: { rises: false, settles: true },
  both: { rises: true, settles: true },
}

/** Rises over the whole log as shares of the start: a smaller one is none. */
const RISES = logSteps(1, 14, 10)
/** What the leak makes of the rise where both are at work; less of either is a trace that the noise hides. */
const PARTS = [0.3, 0.4, 0.5, 0.6, 0.7] as const
const SETTLINGS = logSteps(SETTLING.least, SETTLING.most, 9)
/** How far the time of a film strays from the usual, as a logarithm. */
const SETTLING_SPREAD = 0.45

function logSteps(from: number, to: number, count: number): number[] {
  return Array.from({ length: count }, (_step, i) => from * (to / from) ** (i / (count - 1)))
}

/** Logarithms of the readings at their times: a vacuum gauge errs by a share of what it shows. */
type Log = { readonly time: readonly number[]; readonly log: readonly number[]; readonly seconds: number }

/** One way a curve may run, its rise and its amount as shares of the start. */
type Cell = { readonly rise: number; readonly amount: number; readonly settling: number }
type Scored = Cell & { readonly start: number; readonly weight: number }

/** How far a curve is from the usual before anything is read: log of its weight. */
const expected = ({ amount, settling }: Cell): number =>
  amount === 0 ? 0 : -((Math.log(settling / SETTLING.usual) / SETTLING_SPREAD) ** 2) / 2

/** How well a curve fits where only its start is free: log of the likelihood with the scatter integrated out. */
function weigh({ time, log, seconds }: Log, cell: Cell): Scored {
  const away = log.map((each, i) => {
    const at = time[i] as number
    const share = 1 + (cell.rise * at) / seconds + cell.amount * (1 - Math.exp(-at / cell.settling))
    return each - Math.log(share)
  })
  const mean = away.reduce((sum, each) => sum + each, 0) / away.length
  const left = away.reduce((sum, each) => sum + (each - mean) ** 2, 0)
  const freedom = away.length - 1
  const weight = (-freedom / 2) * Math.log(left / freedom + LEAST_SCATTER ** 2) + expected(cell)
  return { ...cell, start: Math.exp(mean), weight }
}

/** Every curve of a shape; each is as likely as any other before it is compared. */
function cellsOf({ rises, settles }: Shape): Cell[] {
  const parts = rises && settles ? PARTS : rises ? [1] : [0]
  const totals = rises || settles ? RISES : [0]
  const settlings = settles ? SETTLINGS : [SETTLING.usual]
  return totals.flatMap((total) =>
    parts.flatMap((part) =>
      settlings.map((settling) => ({ rise: total * part, amount: total * (1 - part), settling })),
    ),
  )
}
const CELLS = Object.fromEntries(DECAY_CAUSES.map((cause) => [cause, cellsOf(SHAPES[cause])])) as Record<
  DecayCause,
  Cell[]
>

/** What all curves of a shape weigh before anything is read. */
const massOf = (cells: readonly Cell[]): number =>
  cells.reduce((sum, cell) => sum + Math.exp(expected(cell)), 0)

type Weight = { readonly best: Scored; readonly log: number }

/** Likelihood of a shape: the mean over its curves. @param ceiling highest plateau that water can make, Pa */
function shapeWeight(log: Log, cause: DecayCause, ceiling: number): Weight {
  const all = CELLS[cause].map((cell) => weigh(log, cell))
  const possible = all.filter(({ start, amount }) => start * (1 + amount) <= ceiling || amount === 0)
  const cells = possible.length > 0 ? possible : all
  const best = cells.reduce((a, b) => (b.weight > a.weight ? b : a))
  const sum = cells.reduce((total, { weight }) => total + Math.exp(weight - best.weight), 0)
  return { best, log: possible.length > 0 ? best.weight + Math.log(sum / massOf(CELLS[cause])) : -Infinity }
}

/** The curve of a shape by least squares of the logarithms, begun at the best of the coarse ones. */
function fitted({ time, log, seconds }: Log, shape: Shape, from: Scored): DecayCurve {
  const begin = [
    from.start,
    shape.rises ? (from.rise * from.start) / seconds : 0,
    shape.settles ? from.amount * from.start : 0,
    from.settling,
  ]
  const free = [true, shape.rises, shape.settles, shape.settles]
  const pick = (values: readonly number[]) => values.filter((_each, i) => free[i])
  const whole = (values: readonly number[]): DecayCurve => {
    let next = 0
    const [start, rate, amount, settling] = begin.map((value, i) =>
      free[i] ? (values[next++] as number) : value,
    )
    return { start: start!, rate: rate!, amount: amount!, settling: settling! }
  }
  const most = begin[0]! * 1e3
  const { parameterValues } = levenbergMarquardt(
    { x: [...time], y: [...log] },
    (values) => {
      const curve = whole(values)
      return (at) => Math.log(Math.max(decayAt(curve, at), 1e-3))
    },
    {
      initialValues: pick(begin),
      minValues: pick([begin[0]! / 10, 0, 0, SETTLING.least]),
      maxValues: pick([begin[0]! * 10, most / seconds, most, SETTLING.most]),
      // steps of the derivative in the size of each value
      gradientDifference: pick(begin).map((value) => Math.max(Math.abs(value) * 1e-4, 1e-9)),
      damping: 0.01,
      maxIterations: ITERATIONS,
      errorTolerance: 1e-10,
    },
  )
  const curve = whole(parameterValues)
  return isFinite(Object.values(curve).reduce((sum, each) => sum + each, 0)) ? curve : whole(pick(begin))
}

/** Looks of a long log brought together: this many are enough for a shape. */
const MOST_POINTS = 120

function thinned(points: readonly DecayPoint[]): Log {
  const known = points.filter(({ pascals, seconds }) => pascals > 0 && Number.isFinite(seconds))
  const width = Math.ceil(known.length / MOST_POINTS)
  const bins = Array.from({ length: Math.ceil(known.length / width) }, (_bin, i) =>
    known.slice(i * width, (i + 1) * width),
  )
  const mean = (bin: readonly DecayPoint[], of: (point: DecayPoint) => number) =>
    bin.reduce((sum, point) => sum + of(point), 0) / bin.length
  const first = known[0]?.seconds ?? 0
  return {
    time: bins.map((bin) => mean(bin, ({ seconds }) => seconds - first)),
    log: bins.map((bin) => mean(bin, ({ pascals }) => Math.log(pascals))),
    seconds: (known.at(-1)?.seconds ?? 0) - first,
  }
}

/**
 * Leak, moisture, both or neither: the curves P0, P0 + r t, Pinf - (Pinf - P0) e^(-t / tau) and the two together are fitted
 * to a decay and weighed against each other (handbook 08) [physics].
 * @param points in order of time; silent ones left out
 * @param ceiling vapour pressure of water at the coldest place, Pa: no moisture stands above it
 * @returns undefined for too few looks
 */
export function fitDecay(points: readonly DecayPoint[], ceiling = Infinity): DecayFit | undefined {
  const log = thinned(points)
  if (log.time.length < LEAST_POINTS || !(log.seconds > 0)) return undefined
  const weights = DECAY_CAUSES.map((cause) => shapeWeight(log, cause, ceiling))
  const top = Math.max(...weights.map((each) => each.log))
  const total = weights.reduce((sum, each) => sum + Math.exp(each.log - top), 0)
  const chanceOf = (i: number) => Math.exp((weights[i] as Weight).log - top) / total
  const chances = Object.fromEntries(DECAY_CAUSES.map((cause, i) => [cause, chanceOf(i)])) as Record<
    DecayCause,
    number
  >
  const likeliest = DECAY_CAUSES.reduce((a, b) => (chances[b] > chances[a] ? b : a))
  const best = weights[DECAY_CAUSES.indexOf(likeliest)] as Weight
  const curve = fitted(log, SHAPES[likeliest], best.best)
  const isLong = log.seconds >= LEAST_SECONDS
  return {
    cause: isLong && chances[likeliest] >= SURE ? likeliest : undefined,
    likeliest,
    chances,
    curve,
    seconds: log.seconds,
  }
}
