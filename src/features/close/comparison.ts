import { contextOf, diagnose, type Diagnosis } from '@/core/diagnose/diagnose'
import { verdict, type Verdict } from '@/core/diagnose/sentence'
import { FEATURE_KEYS, featureRow, type FeatureKey } from '@/core/diagnose/features'
import type { Job } from '@/core/job/job'
import { percent } from '@/ui/percent'
import { type Display, showDifference, showPressureDrop, showShare, showTemperature } from '@/core/units/show'

export type Cell = { readonly text: string; readonly verdict: Verdict }
export type ComparisonRow = {
  readonly key: FeatureKey
  readonly label: string
  readonly target: string
  readonly cells: readonly (Cell | undefined)[]
}
export type Comparison = {
  readonly headings: readonly string[]
  readonly verdicts: readonly string[]
  readonly rows: readonly ComparisonRow[]
}

const show = (key: FeatureKey, value: number, display: Display): string => {
  const { kind } = featureRow(key)
  if (kind === 'temperature') return showTemperature(value, display)
  if (kind === 'temperatureDifference') return showDifference(value, display)
  return kind === 'share' ? showShare(value) : showPressureDrop(value, display)
}

function cellOf(diagnosis: Diagnosis, key: FeatureKey, display: Display): Cell | undefined {
  const judged = diagnosis.judged[key]
  return (
    judged && {
      text: show(key, judged.measured.value, display),
      verdict: verdict(judged.measured, judged.target),
    }
  )
}

/** First and last set side by side, every judged quantity a row; nothing without a set. */
export function compareSets(job: Job, display: Display): Comparison {
  const ends =
    job.readingSets.length > 1 ? [job.readingSets[0], job.readingSets.at(-1)] : job.readingSets.slice(0, 1)
  const sets = ends.flatMap((set) => (set ? [set] : []))
  const diagnoses = sets.map((set) => diagnose(job.unit, set, display, contextOf(job)))
  const rows = FEATURE_KEYS.flatMap((key): ComparisonRow[] => {
    const cells = diagnoses.map((diagnosis) => cellOf(diagnosis, key, display))
    const target = diagnoses.map((diagnosis) => diagnosis.judged[key]?.target).findLast(Boolean)
    return target && cells.some(Boolean)
      ? [{ key, label: featureRow(key).label, target: show(key, target.value, display), cells }]
      : []
  })
  return {
    headings: sets.map((set, i) => set.label ?? `set ${i + 1}`),
    verdicts: diagnoses.map(({ suspects: [leader] }) =>
      leader ? `${leader.label} ${percent(leader.probability)}` : '',
    ),
    rows,
  }
}
