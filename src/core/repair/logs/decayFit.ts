import { Digest } from '../../base/numeric/digest'
import { type DecayPoint, fitDecay } from '../../physics/processes/decay'
import { decayLooks, type KnownFit } from './judgeDecay'
import { pointsOf, type WorkLog } from './series'

/** What the fit of a decay is made from. s, Pa */
export type DecayQuestion = { readonly points: readonly DecayPoint[]; readonly ceiling: number }

/** The looks of a decay as its fit wants them. @param ceiling Pa: no moisture stands above it */
export function decayQuestion(
  log: WorkLog,
  { atmosphere, ceiling }: { readonly atmosphere: number; readonly ceiling: number },
): DecayQuestion {
  return { points: pointsOf(decayLooks(log, atmosphere)), ceiling }
}

/** Shapes that were asked for last: a fit takes some hundredths of a second, and one log is asked about again and again. */
const KEPT = 32
const kept = new Map<string, KnownFit>()

/** The shape of a decay, where looks and time show one. */
export function knownFit({ points, ceiling }: DecayQuestion): KnownFit {
  const figures = [ceiling, ...points.flatMap(({ seconds, pascals }) => [seconds, pascals])]
  const key = new Digest().numbers(Float64Array.from(figures)).end()
  const known = kept.get(key) ?? fitDecay(points, ceiling) ?? 'too-few'
  kept.delete(key)
  kept.set(key, known)
  if (kept.size > KEPT) kept.delete(kept.keys().next().value as string)
  return known
}
