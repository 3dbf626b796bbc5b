import type { LogHead, LogVerdict } from '../../record/records/log'
import { isOpening } from './told'
import type { Verdicts } from './verdicts'

/** How a log stands, as a list or a report tells it. */
export type LogWord = {
  readonly mark: '●' | '△' | '⬣' | '○'
  readonly word: string
  readonly sentence: string
  /** moment of it */
  readonly at: string
}

function ofVerdict(verdict: LogVerdict): Pick<LogWord, 'mark' | 'word'> {
  if (isOpening(verdict)) return { mark: '●', word: 'passed' }
  if (verdict.limit === 'failed') return { mark: '⬣', word: 'not passed' }
  if (verdict.limit === 'borderline') return { mark: '△', word: 'borderline' }
  return verdict.limit === 'passed'
    ? { mark: '⬣', word: 'within its limit, and not passed' }
    : { mark: '△', word: 'not finished' }
}

/** What is told of a log of the work: what its judge says of its samples, else what was said of it before. */
export function logWord(log: LogHead, verdict: Verdicts[string] | undefined): LogWord {
  const { startedAt, said } = log
  if (log.samples === undefined)
    return { mark: '○', word: 'being written', sentence: 'End the log.', at: startedAt }
  if (verdict !== undefined && verdict !== 'no-samples')
    return { ...ofVerdict(verdict), sentence: verdict.sentence, at: verdict.at }
  if (said)
    return { mark: '○', word: 'said before, without its samples', sentence: said.sentence, at: said.at }
  return { mark: '○', word: 'not judged', sentence: 'It holds no samples.', at: startedAt }
}
