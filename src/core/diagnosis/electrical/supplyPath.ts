/** A point of the way from the supply to a load, in that order. */
export type PathPoint = {
  readonly id: string
  readonly label: string
  /** how often the part just before this point is the fault, relative [practice] */
  readonly weight: number
}

export type Tested = Readonly<Record<string, 'live' | 'dead'>>

export type PathResult = {
  /** the point to test next; undefined when the fault lies between two neighbours or nothing is dead */
  readonly next: PathPoint | undefined
  /** points that are proven live without being tested: everything upstream of a live one */
  readonly proven: readonly string[]
  /** the stretch in which the fault lies, as far as is known */
  readonly between: { readonly live: PathPoint | undefined; readonly dead: PathPoint } | undefined
  readonly done: boolean
}

/** The way of line volts to a compressor. */
export const COMPRESSOR_PATH: readonly PathPoint[] = [
  { id: 'disconnect-line', label: 'Disconnect, line side', weight: 1 },
  { id: 'disconnect-load', label: 'Disconnect, load side (fuses)', weight: 3 },
  { id: 'contactor-line', label: 'Contactor, line side', weight: 1 },
  { id: 'contactor-load', label: 'Contactor, load side', weight: 5 },
  { id: 'compressor-leads', label: 'Compressor leads', weight: 1 },
]
/** The way of control volts to a contactor coil. */
export const CONTROL_PATH: readonly PathPoint[] = [
  { id: 'transformer', label: 'Transformer secondary', weight: 3 },
  { id: 'thermostat-call', label: 'Call at the unit’s terminal strip', weight: 4 },
  { id: 'pressure-switches', label: 'After the pressure switches', weight: 4 },
  { id: 'time-delay', label: 'After the time delay', weight: 2 },
  { id: 'contactor-coil', label: 'Contactor coil', weight: 2 },
]

/** Point that splits what is left most evenly by weight. */
function evenSplit(path: readonly PathPoint[], from: number, to: number): PathPoint | undefined {
  const inner = path.slice(from + 1, to)
  if (inner.length === 0) return undefined
  const total = path.slice(from + 1, to + 1).reduce((sum, { weight }) => sum + weight, 0)
  let passed = 0
  let best: { point: PathPoint; off: number } | undefined
  for (const point of inner) {
    passed += point.weight
    const off = Math.abs(passed - total / 2)
    if (!best || off < best.off) best = { point, off }
  }
  return best?.point
}

/**
 * The fewest points from the load backwards: the load first; a live point proves everything upstream, a dead one puts the
 * fault before it; then the point that splits the rest most evenly.
 */
export function nextPoint(path: readonly PathPoint[], tested: Tested): PathResult {
  const lastLive = path.findLastIndex(({ id }) => tested[id] === 'live')
  const firstDead = path.findIndex(({ id }, i) => i > lastLive && tested[id] === 'dead')
  const proven = path.slice(0, Math.max(lastLive, 0)).map(({ id }) => id)
  const load = path.at(-1)
  if (lastLive === path.length - 1) return { next: undefined, proven, between: undefined, done: true }
  if (firstDead === -1) return { next: load, proven, between: undefined, done: false }
  const dead = path[firstDead] as PathPoint
  const next = evenSplit(path, lastLive, firstDead)
  return { next, proven, between: { live: path[lastLive], dead }, done: next === undefined }
}
