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

/** The shape of a decay, where looks and time show one. */
export const knownFit = ({ points, ceiling }: DecayQuestion): KnownFit =>
  fitDecay(points, ceiling) ?? 'too-few'
