import { type Display, showDifference } from '../base/units/show'
import type { LadderSpan } from './ladderModel'

export type SpanTexts = {
  readonly value: string
  readonly error: string
  readonly verdict: string
  readonly whole: string
}

/** What is written on a span, and the whole sentence for a screen reader and the pointer. */
export function spanTexts(span: LadderSpan, display: Display): SpanTexts {
  const { measured, target, verdict, label, formula } = span
  const value = showDifference(measured.value, display)
  const error = `±${showDifference(measured.error, display).split(' ')[0]}`
  if (!target || !verdict)
    return { value, error, verdict: '', whole: `${label} ${value} ${error}. ${formula}.` }
  const aim = `${showDifference(target.value, display)} ±${showDifference(target.tolerance, display).split(' ')[0]}`
  return {
    value,
    error,
    verdict,
    whole: `${label} ${value} ${error}, ${verdict}. Target ${aim}: ${target.source} [${target.tag}]. ${formula}.`,
  }
}
