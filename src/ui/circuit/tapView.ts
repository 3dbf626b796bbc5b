import type { ReadingKey } from '@/core/record/readings/vocabulary'

/** What a live probe says of itself. */
type LiveState = 'moving' | 'settled' | 'lost'

/** What a tap shows, ready to be written; the same on the drawing and in the list. */
export type TapView = {
  readonly key: ReadingKey
  readonly label: string
  readonly short: string
  /** value and unit as stored or streamed; undefined until read */
  readonly value: string | undefined
  readonly unit: string | undefined
  /** "±1.0 F" */
  readonly error: string | undefined
  /** "4 min" */
  readonly age: string | undefined
  /** asked for by a next check */
  readonly wanted: boolean
  /** a sanity flag concerns it */
  readonly flagged: boolean
  readonly doubtful: boolean
  /** read before the conditions changed */
  readonly stale: boolean
  readonly live: LiveState | undefined
  /** "rising", "falling" */
  readonly trend: string | undefined
}

type Mark = { readonly sign: string; readonly words: string }

/** Marks in the order of urgency: shape and word, never colour alone. */
export function marksOf(tap: TapView): Mark[] {
  const marks: readonly (readonly [boolean, string, string])[] = [
    [tap.live === 'lost', '✕', 'connection lost, last value'],
    [tap.flagged, '⚠', 'check it'],
    [tap.doubtful, '?', 'doubtful'],
    [tap.live === 'settled', '●', 'settled'],
    [tap.live === 'moving', '~', tap.trend ?? 'moving'],
    [tap.stale, '◷', 'taken before conditions changed'],
    [tap.wanted && tap.value === undefined, '◆', 'tells most'],
  ]
  return marks.flatMap(([on, sign, words]) => (on ? [{ sign, words }] : []))
}

/** The whole tap in words, for a screen reader. */
export function tapSentence(tap: TapView): string {
  const reading =
    tap.value === undefined
      ? 'not read'
      : [
          `${tap.value} ${tap.unit ?? ''}`.trim(),
          tap.error?.replace('±', 'plus or minus '),
          tap.age && (/\d/.test(tap.age) ? `${tap.age} ago` : tap.age),
        ]
          .filter(Boolean)
          .join(', ')
  return [`${tap.label}: ${reading}`, ...marksOf(tap).map(({ words }) => words)].join(', ')
}
