/** log of a sum of exponentials, without overflow; -Infinity for none. */
export function logSumExp(logs: readonly number[]): number {
  let peak = -Infinity
  for (const value of logs) if (value > peak) peak = value
  if (peak === -Infinity) return -Infinity
  let sum = 0
  for (const value of logs) sum += Math.exp(value - peak)
  return peak + Math.log(sum)
}

/** Shares that sum to one, from log weights. */
export function normaliseLogs(logs: readonly number[]): number[] {
  const total = logSumExp(logs)
  return logs.map((value) => Math.exp(value - total))
}
