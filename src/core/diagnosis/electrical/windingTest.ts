import { isThreePhase } from '../../record/equipment/kinds'
import type { Snapshot } from '../../record/readings/snapshot'
import type { Finding } from './finding'
import { nameTerminals } from './singlePhase'
import { allOf, type Judge, ohmsAt } from './testResult'
import { judgeThreePhase } from './threePhase'

const isHot = ({ observations: { compressorShell } }: Snapshot): boolean | undefined =>
  compressorShell === undefined ? undefined : compressorShell === 'hot'
/** Marked pins, in the order of the unmarked ones: the pairs AB, BC, CA are C-R, R-S, S-C. */
const MARKED = { A: 'C', B: 'R', C: 'S' } as const
/** Which pattern of opens and sums three resistances make. */
function windingWord(values: readonly number[], finding: Finding, common: boolean): string {
  const open = values.filter((value) => !Number.isFinite(value)).length
  if (open === values.length) return 'all-open'
  if (open > 1) return common ? 'common-leg-open' : 'one-leg-open'
  return finding.verdict === 'good' || finding.verdict === 'unclear' ? 'good' : 'unbalanced'
}

/** The three pairs of a motor: their pattern, and what it means. */
export const windings: Judge = (unit, at) => {
  const three = allOf([ohmsAt(at, 'ohmsT1T2'), ohmsAt(at, 'ohmsT2T3'), ohmsAt(at, 'ohmsT3T1')])
  if (three) {
    const [t1t2, t2t3, t3t1] = three as [number, number, number]
    const finding = judgeThreePhase({ t1t2, t2t3, t3t1 }, isHot(at))
    return { word: windingWord(three, finding, false), finding }
  }
  const one = allOf([ohmsAt(at, 'ohmsCR'), ohmsAt(at, 'ohmsCS'), ohmsAt(at, 'ohmsRS')])
  if (!one || isThreePhase(unit)) return undefined
  const [cr, cs, rs] = one as [number, number, number]
  const { finding } = nameTerminals({ AB: cr, CA: cs, BC: rs }, isHot(at), MARKED)
  const isCommon = !Number.isFinite(cr) && !Number.isFinite(cs)
  return { word: windingWord(one, finding, isCommon), finding }
}
