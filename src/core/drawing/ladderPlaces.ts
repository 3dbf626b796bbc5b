import { assignLanes, type Scale } from './ladderLayout'
import type { LadderModel, LadderSpan } from './ladderModel'

/** All temperatures that a ladder shows, K. */
export const kelvinsOf = ({ rungs, spans }: LadderModel): number[] => [
  ...rungs.flatMap((rung) => [rung.kelvin, rung.glideTo ?? rung.kelvin]),
  ...spans.map(({ to }) => to),
]

/** Room that the text of a span needs, pixels. */
const SPAN_TEXT_HEIGHT = 62

/** Where each span stands: its bracket by temperature, its lane so that no text meets another. */
export function placeSpans(spans: readonly LadderSpan[], scale: Scale) {
  const stretches = spans.map((span) => {
    const [top, bottom] = [scale.y(Math.max(span.from, span.to)), scale.y(Math.min(span.from, span.to))]
    const middle = Math.min(
      Math.max((top + bottom) / 2, SPAN_TEXT_HEIGHT / 2),
      scale.height - SPAN_TEXT_HEIGHT / 2,
    )
    return {
      middle,
      top: Math.min(top, middle - SPAN_TEXT_HEIGHT / 2),
      bottom: Math.max(bottom, middle + SPAN_TEXT_HEIGHT / 2),
    }
  })
  const lanes = assignLanes(stretches)
  return spans.map((span, i) => ({ span, middle: stretches[i]?.middle ?? 0, lane: lanes[i] ?? 0 }))
}
