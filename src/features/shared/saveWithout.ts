import { setQuote } from '@/core/record/edits/dayEdits'
import { isReason } from '@/core/record/job/decisions'
import type { StageProps } from './stageProps'

/** Keeps why the work goes on without the owner's answer. @returns what is wrong with it, or whether it was stored */
export function saveWithout(text: string, change: StageProps['change']): string | ReturnType<typeof change> {
  const reason = text.trim()
  if (reason !== '' && !isReason(reason)) return 'Write why, in a few words: a letter is no reason.'
  return change(setQuote({ without: reason || undefined }))
}
