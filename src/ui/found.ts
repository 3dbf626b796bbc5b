/** Text without what people leave out when they look for it: "r22" finds "R-22". */
const bare = (text: string) => text.toLowerCase().replace(/[^a-z0-9]+/g, '')

/** How well a label answers what was typed: all of it, its number or its beginning, the beginning of a word, somewhere. */
function rank(label: string, wanted: string): number {
  const whole = bare(label)
  const parts = label.toLowerCase().split(/[^a-z0-9]+/)
  if (whole === wanted || parts.includes(wanted)) return 0
  if (whole.startsWith(wanted)) return 1
  if (parts.some((part) => part.startsWith(wanted))) return 2
  return whole.includes(wanted) ? 3 : Infinity
}

/**
 * The options that answer what was typed, the best first, equal ones in their own order: "22" finds R-22 before R-422D.
 * @param typed nothing typed finds everything
 */
export function found<T>(options: readonly T[], labelOf: (option: T) => string, typed: string): T[] {
  const wanted = bare(typed)
  if (wanted === '') return [...options]
  return options
    .map((option) => ({ option, rank: rank(labelOf(option), wanted) }))
    .filter((each) => each.rank < Infinity)
    .sort((a, b) => a.rank - b.rank)
    .map(({ option }) => option)
}
