/** Minutes: low, likely, high. */
export type Minutes = readonly [low: number, likely: number, high: number]

/** What a step takes: hands on, then by itself. */
export type TimedStep = { readonly handsOn: Minutes; readonly unattended?: Minutes }

export type Span = { readonly low: number; readonly likely: number; readonly high: number }
export type Schedule = {
  readonly handsOn: Span
  readonly unattended: Span
  /** from first to last step, one after another */
  readonly total: Span
  /** minutes that suffice nineteen times in twenty, if the steps vary on their own */
  readonly safe: number
}

const NONE: Minutes = [0, 0, 0]
/** [std: three-point estimate as in PERT] mean (l + 4m + h) / 6, standard deviation (h - l) / 6. */
const mean = ([low, likely, high]: Minutes) => (low + 4 * likely + high) / 6
const deviation = ([low, , high]: Minutes) => (high - low) / 6
/** One-sided 95 % point of the normal distribution. */
const SAFE_POINT = 1.645

function add(all: readonly Minutes[]): Span {
  const total = (index: 0 | 1 | 2) => all.reduce((sum, minutes) => sum + minutes[index], 0)
  return { low: total(0), likely: total(1), high: total(2) }
}

/** Adds up the steps of a plan. */
export function scheduleOf(tasks: readonly TimedStep[]): Schedule {
  const handsOn = tasks.map((task) => task.handsOn)
  const unattended = tasks.map((task) => task.unattended ?? NONE)
  const all = [...handsOn, ...unattended]
  const spread = Math.hypot(...all.map(deviation))
  const expected = all.reduce((sum, minutes) => sum + mean(minutes), 0)
  return {
    handsOn: add(handsOn),
    unattended: add(unattended),
    total: add(all),
    safe: Math.round(expected + SAFE_POINT * spread),
  }
}
