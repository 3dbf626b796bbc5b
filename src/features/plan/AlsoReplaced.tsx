'use client'
import { ALSO_IDS } from '@/core/record/records/decision'
import { alsoFor, alsoRow } from '@/core/repair/plan/alsoReplaced'
import type { Plan } from '@/core/repair/plan/plan'
import { toggleAlso } from '@/core/record/edits/decisionEdits'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { alsoReplaced } from '@/core/record/job/decisions'
import { ChoiceChips } from '@/ui/ChoiceChips'
import type { StageProps } from '../shared/stageProps'

const LABELS: Readonly<Record<string, string>> = Object.fromEntries(
  ALSO_IDS.map((id) => [id, alsoRow(id).label]),
)

/** Parts that are changed in the same go without a fault of their own: the valve after debris, a contactor, cores. */
export function AlsoReplaced({
  job,
  unit,
  change,
  plan,
}: Pick<StageProps, 'job' | 'change'> & { unit: UnitPlate; plan: Plan }) {
  const chosen = alsoReplaced(job)
  const offered = new Set([...alsoFor(unit, plan), ...chosen])
  return (
    <ChoiceChips
      label={plan.opens ? 'Also replaced while it is open' : 'Also replaced in the same go'}
      values={[...offered]}
      labels={LABELS}
      value={undefined}
      also={chosen}
      onChange={(word) => {
        const part = ALSO_IDS.find((id) => id === word)
        if (part) void change(toggleAlso(part))
      }}
    />
  )
}
