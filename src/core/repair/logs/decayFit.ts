import { type DecayPoint, fitDecay } from '../../physics/processes/decay'
import { decayLooks, type KnownFit } from './judgeDecay'
import type { WorkLog } from './series'

/** What the fit of a decay is made from. s, Pa */
export type DecayQuestion = { readonly points: readonly DecayPoint[]; readonly ceiling: number }

/** [practice] a curve of this many looks shows its shape; more only take time. */
const MOST_POINTS = 2000

/** The looks of a decay as its fit wants them. @param ceiling Pa: no moisture stands above it */
export function decayQuestion(
  log: WorkLog,
  { atmosphere, ceiling }: { readonly atmosphere: number; readonly ceiling: number },
): DecayQuestion {
  const looks = decayLooks(log, atmosphere)
  const every = Math.max(1, Math.ceil(looks.length / MOST_POINTS))
  const points = looks
    .filter((_look, i) => i % every === 0 || i === looks.length - 1)
    .map(({ seconds, value }) => ({ seconds, pascals: value }))
  return { points, ceiling }
}

/** The shape of a decay, where looks and time show one. */
export const knownFit = ({ points, ceiling }: DecayQuestion): KnownFit =>
  fitDecay(points, ceiling) ?? 'too-few'
