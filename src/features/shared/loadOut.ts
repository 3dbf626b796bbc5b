import type { Plan } from '@/core/repair/plan/plan'

/** What to measure, count or photograph before leaving: by suspect, and each point of a part that nobody has read yet. */
export function leavingList({ beforeLeaving, parts }: Plan): string[] {
  const open = parts
    .filter(({ struck }) => !struck)
    .flatMap(({ label, match }) =>
      match
        .filter(({ wanted }) => wanted === undefined)
        .map((point) => ({ label, point: point.label.toLowerCase() })),
    )
  const byPart = [...new Set(open.map(({ label }) => label))].map(
    (label) =>
      `${label}: ${open
        .filter((each) => each.label === label)
        .map(({ point }) => point)
        .join(', ')}`,
  )
  return [...beforeLeaving, ...byPart]
}
