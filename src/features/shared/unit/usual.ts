import { REFRIGERANT_NAMES } from '@/core/physics/refrigerants/catalogue'
import type { AskedField } from '@/core/record/equipment/asked'
import { METERINGS, UNIT_KINDS } from '@/core/record/equipment/unit'
import type { JobSummary } from '@/core/record/job/summary'

type Word<F extends AskedField> = NonNullable<JobSummary[F]>

/** [practice] what is met most, where this browser does not know better. */
const COMMON: { readonly [F in AskedField]: readonly Word<F>[] } = {
  refrigerant: ['R-410A', 'R-22', 'R-454B', 'R-134a', 'R-404A', 'R-32'],
  metering: METERINGS,
  kind: ['split-ac', 'split-heat-pump', 'package-ac', 'walk-in-cooler', 'walk-in-freezer', 'reach-in'],
}

const ALL: { readonly [F in AskedField]: readonly string[] } = {
  refrigerant: REFRIGERANT_NAMES,
  metering: METERINGS,
  kind: UNIT_KINDS,
}
export const everyOf = (field: AskedField): readonly string[] => ALL[field]

const MOST_OFFERED = 6

/** The few answers most used in the jobs of this browser, the most used first, filled up by what is common. */
export function usualOf(field: AskedField, jobs: readonly Pick<JobSummary, AskedField>[]): string[] {
  const counts = new Map<string, number>()
  for (const { [field]: word } of jobs) if (word) counts.set(word, (counts.get(word) ?? 0) + 1)
  const used = [...counts].sort((a, b) => b[1] - a[1]).map(([word]) => word)
  return [...new Set([...used, ...COMMON[field]])].slice(0, MOST_OFFERED)
}
