'use client'
import type { Suspect } from '@/core/answer/diagnose'
import type { Stage } from '@/core/record/job/stages'
import { type PlanView, usePlanView } from '../shared/address/usePlanView'
import { believed } from '../shared/SuspectNotes'
import type { StageProps } from '../shared/stageProps'

type Peek = { readonly label: string; readonly value: string }

/** What stands beside each view of the plan. */
const BESIDE_PLAN: Readonly<Record<PlanView, string>> = {
  'clean-up': 'Time, what is inside',
  refrigerant: 'Time',
  parts: 'Time, what is also replaced',
  day: 'Time',
}

/** What stands on the phone's bar while the answer is folded away. */
export function usePeek(stage: Stage, { diagnosis, suspect, answer: { asks } }: StageProps): Peek {
  const [view] = usePlanView()
  if (stage === 'plan') return { label: BESIDE_PLAN[view], value: '' }
  if (stage === 'work') return { label: 'Clocks, gates, when it is done', value: '' }
  const shown = stage === 'diagnose' ? suspect : (diagnosis.suspects[0] as Suspect)
  if (asks.length > 0) return { label: 'Choose what the plate says', value: '' }
  // nothing stands before a sound circuit
  const hasGate = stage === 'diagnose' && shown.fault !== 'healthy'
  const label = hasGate ? `Gate: ${shown.label}` : shown.label
  return { label, value: believed(shown) }
}
