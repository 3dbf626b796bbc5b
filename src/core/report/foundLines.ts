import { decidedText, overrideTexts, causesText } from './decided'
import { line, type ReportSection, section, written } from './line'
import { isNothingRead } from './nothingRead'
import type { RoundScene } from './scene'

/** What the circuit showed when it was found. */
function found({ job, answer }: RoundScene): string | undefined {
  const leader = answer.asks.length === 0 ? answer.ranking.suspects[0] : undefined
  if (!leader || isNothingRead(job)) return undefined
  return `${leader.label}. ${leader.evidence.find(({ direction }) => direction === 'for')?.sentence ?? ''}`.trim()
}

/** What was found and decided, on which proof or by whose word. */
export function foundSection(scene: RoundScene): ReportSection | undefined {
  const { job, answer } = scene
  const { decisionStates } = answer
  return section('found', 'Found and decided', [
    line('Found', found(scene)),
    ...decisionStates.map((each) => line('Decided', decidedText(each))),
    line('Cause of death', causesText(job)),
    ...overrideTexts(decisionStates).map((reason) => written('Without full proof because', reason)),
  ])
}
