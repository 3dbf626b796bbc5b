import { gaussian, type RandomSource } from './random'

/** A point among standard normal deviates, what it stands for, and the log of how well that fits what was seen. */
export type Member<T> = { readonly deviates: readonly number[]; readonly of: T; readonly log: number }

export type Annealing<T> = {
  readonly dimensions: number
  readonly members: number
  /** how often each member is moved at each temperature */
  readonly moves: number
  readonly evaluate: (deviates: readonly number[]) => { readonly of: T; readonly log: number }
}

/** Share of the members that stay effective from one temperature to the next. */
const EFFECTIVE = 0.5
const BISECTIONS = 20
/** Steps of the temperature at most; the last one goes the whole way, however badly all of them fit. */
const MOST_STEPS = 40
/** Log of the likelihood of what cannot be. */
const WORST = -1e9
/** A move is never a multiple of those before it. */
const JITTER = 0.02

const priorOf = (deviates: readonly number[]) => -deviates.reduce((sum, each) => sum + each ** 2, 0) / 2

/** Effective number of members whose weights are these logs (Kish). */
function effective(logs: readonly number[]): number {
  const top = logs.reduce((most, each) => Math.max(most, each), -Infinity)
  const weights = logs.map((each) => Math.exp(each - top))
  const sum = weights.reduce((total, each) => total + each, 0)
  return sum ** 2 / weights.reduce((total, each) => total + each ** 2, 0)
}

/** The farthest inverse temperature, up to one, at which enough members still count. */
function nextHeat<T>(all: readonly Member<T>[], heat: number): number {
  const at = (next: number) => effective(all.map(({ log }) => (next - heat) * log))
  if (at(1) >= EFFECTIVE * all.length) return 1
  let [low, high] = [heat, 1]
  for (let round = 0; round < BISECTIONS; round += 1) {
    const middle = (low + high) / 2
    if (at(middle) >= EFFECTIVE * all.length) low = middle
    else high = middle
  }
  return low
}

/** As many members again, each as often as its weight asks for (systematic resampling). */
function resampled<T>(all: readonly Member<T>[], power: number, random: RandomSource): Member<T>[] {
  const top = all.reduce((most, { log }) => Math.max(most, log), -Infinity)
  const weights = all.map(({ log }) => Math.exp((log - top) * power))
  const step = weights.reduce((sum, each) => sum + each, 0) / all.length
  let [at, sum] = [-1, 0]
  const first = random()
  return all.map((_member, i) => {
    while (sum <= (first + i) * step && at < all.length - 1) sum += weights[(at += 1)] as number
    return all[Math.max(at, 0)] as Member<T>
  })
}

/** One pass of Metropolis moves along differences of other members (differential evolution). */
function moved<T>(
  all: readonly Member<T>[],
  { dimensions, evaluate }: Annealing<T>,
  heat: number,
  random: RandomSource,
): Member<T>[] {
  const usual = 2.38 / Math.sqrt(2 * dimensions)
  const other = () => all[Math.floor(random() * all.length)] as Member<T>
  return all.map((member) => {
    const [a, b] = [other().deviates, other().deviates]
    const length = usual * (0.3 + random())
    const deviates = member.deviates.map(
      (each, i) => each + length * ((a[i] as number) - (b[i] as number)) + JITTER * gaussian(random),
    )
    const { of, log } = evaluate(deviates)
    const gain = heat * (log - member.log) + priorOf(deviates) - priorOf(member.deviates)
    return Math.log(1 - random()) < gain ? { deviates, of, log } : member
  })
}

/**
 * What may be, given what was seen: members drawn from standard normal deviates, brought by and by to those that fit
 * (sequential Monte Carlo with tempering). Each of those that come back is as likely as any other.
 */
export function anneal<T>(annealing: Annealing<T>, random: RandomSource): Member<T>[] {
  const { members, dimensions, moves } = annealing
  // what cannot be calculated fits nothing
  const evaluate: typeof annealing.evaluate = (deviates) => {
    const { of, log } = annealing.evaluate(deviates)
    return { of, log: Number.isFinite(log) ? log : WORST }
  }
  let all: Member<T>[] = Array.from({ length: members }, () => {
    const deviates = Array.from({ length: dimensions }, () => gaussian(random))
    return { deviates, ...evaluate(deviates) }
  })
  for (let [heat, step] = [0, 1]; heat < 1; step += 1) {
    const next = step >= MOST_STEPS ? 1 : nextHeat(all, heat)
    all = resampled(all, next - heat, random)
    heat = next
    for (let move = 0; move < moves; move += 1) all = moved(all, { ...annealing, evaluate }, heat, random)
  }
  return all
}
