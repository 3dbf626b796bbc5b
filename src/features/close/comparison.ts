import { contextOf, diagnose, type Diagnosis } from '@/core/answer/diagnose'
import { verdict, type Verdict } from '@/core/diagnosis/evidence/sentence'
import { FEATURE_KEYS, featureRow, type FeatureKey } from '@/core/diagnosis/evidence/features'
import type { Job } from '@/core/record/job/job'
import { percent } from '@/ui/percent'
import {
  type Display,
  showDifference,
  showPressureDrop,
  showShare,
  showTemperature,
} from '@/core/base/units/show'

export type Cell = { readonly text: string; readonly verdict: Verdict }
export type ComparisonRow = {
  readonly key: FeatureKey
  readonly label: string
  readonly target: string
  readonly cells: readonly (Cell | undefined)[]
  /** second less first, with its sign */
  readonly change: string | undefined
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

/** Differences are told as differences, also of temperatures. */
function changeOf(key: FeatureKey, diagnoses: readonly Diagnosis[], display: Display): string | undefined {
  const [first, second] = diagnoses.map((diagnosis) => diagnosis.judged[key]?.measured.value)
  if (first === undefined || second === undefined) return undefined
  const change = second - first
  const text =
    featureRow(key).kind === 'temperature' ? showDifference(change, display) : show(key, change, display)
  return change > 0 && !text.startsWith('0 ') ? `+${text}` : text
}

/** Two sets side by side (first and last where not said), every judged quantity a row; nothing without a set. */
export function compareSets(
  job: Job,
  display: Display,
  ends: readonly number[] = [0, job.readingSets.length - 1],
): Comparison {
  const sets = [...new Set(ends)].flatMap((index) => job.readingSets[index] ?? [])
  const diagnoses = sets.map((set) => diagnose(job.unit, set, display, contextOf(job)))
  const rows = FEATURE_KEYS.flatMap((key): ComparisonRow[] => {
    const cells = diagnoses.map((diagnosis) => cellOf(diagnosis, key, display))
    const target = diagnoses.map((diagnosis) => diagnosis.judged[key]?.target).findLast(Boolean)
    return target && cells.some(Boolean)
      ? [
          {
            key,
            label: featureRow(key).label,
            target: show(key, target.value, display),
            cells,
            change: changeOf(key, diagnoses, display),
          },
        ]
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
