import {
  type Display,
  showDifference,
  showPressureDrop,
  showShare,
  showTemperature,
} from '../base/units/show'
import { FEATURE_KEYS, type FeatureKey, featureRow } from '../diagnosis/evidence/features'
import { verdict, type Verdict } from '../diagnosis/evidence/sentence'
import type { KnownJob } from '../record/job/job'
import { contextOf, type Diagnosis, diagnose } from './diagnose'

type Cell = { readonly text: string; readonly verdict: Verdict }
type ComparisonRow = {
  readonly key: FeatureKey
  readonly label: string
  readonly target: string
  readonly cells: readonly (Cell | undefined)[]
  /** second less first, with its sign */
  readonly change: string | undefined
}
export type Comparison = {
  readonly headings: readonly string[]
  /** who leads each set */
  readonly leaders: readonly { readonly label: string; readonly probability: number }[]
  readonly rows: readonly ComparisonRow[]
  /** what a ladder of each set is drawn from */
  readonly pictures: readonly Picture[]
}
export type Picture = Pick<Diagnosis, 'snapshot' | 'derived' | 'targets'>

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

/**
 * Two sets side by side (first and last where not said), every judged quantity a row; nothing without a set.
 * @param ids of the sets
 * @throws OrzoError not-loaded when the tables of the unit are not in memory
 */
export function compareSets(
  job: Pick<KnownJob, 'unit' | 'arrival' | 'readingSets'>,
  display: Display,
  ids: readonly (string | undefined)[] = [job.readingSets[0]?.id, job.readingSets.at(-1)?.id],
): Comparison {
  const numbered = job.readingSets.map((set, i) => ({ set, name: set.label ?? `set ${i + 1}` }))
  const chosen = [...new Set(ids)].flatMap((id) => numbered.find(({ set }) => set.id === id) ?? [])
  const diagnoses = chosen.map(({ set }) => diagnose(job.unit, set, display, contextOf(job)))
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
    headings: chosen.map(({ name }) => name),
    leaders: diagnoses.flatMap(({ suspects: [leader] }) =>
      leader ? [{ label: leader.label, probability: leader.probability }] : [],
    ),
    rows,
    pictures: diagnoses.map(({ snapshot, derived, targets }) => ({ snapshot, derived, targets })),
  }
}
