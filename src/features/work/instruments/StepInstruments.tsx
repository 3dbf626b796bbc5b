'use client'
import type { ComponentType } from 'react'
import type { TaskId } from '@/core/repair/plan/tasks/tasks'
import { useTables } from '../../shared/tables/useTables'
import type { InstrumentProps } from './instrumentProps'
import { BubblesPane } from './BubblesPane'
import { ChargePane } from './ChargePane'
import { DecayPane } from './DecayPane'
import { FirstStartList } from './FirstStartList'
import { OilPane } from './OilPane'
import { PullPane } from './PullPane'
import { RecoveryPane } from './RecoveryPane'
import { RetestPane } from './RetestPane'
import { StartPane } from './StartPane'
import { NitrogenLimit, NitrogenPane, TestPane } from './TestPane'

/** What is measured and logged in a step. */
const PANES: { readonly [T in TaskId]?: ComponentType<InstrumentProps> } = {
  recover: RecoveryPane,
  recoverRest: RecoveryPane,
  traceNitrogen: NitrogenPane,
  leakSearch: NitrogenPane,
  sweep: NitrogenLimit,
  sweepFlammable: NitrogenLimit,
  blowOut: NitrogenLimit,
  pressureTest: TestPane,
  bubbleJoints: BubblesPane,
  evacuate: PullPane,
  evacuatePart: PullPane,
  evacuateWet: PullPane,
  decayTest: DecayPane,
  weighIn: ChargePane,
  letIn: ChargePane,
  changeOil: OilPane,
  swapCompressor: OilPane,
  unlock: FirstStartList,
  settle: StartPane,
  closeUp: RetestPane,
}

/** The instruments of a step; none where hands are all that it needs. */
export function StepInstruments(props: InstrumentProps) {
  const { goesIn } = props.answer.plan.refrigerantPath
  const names = [...new Set([props.unit.refrigerant, ...(goesIn ? [goesIn] : [])])]
  const { ready } = useTables(names)
  const Pane = PANES[props.step.task.id]
  return Pane && ready ? <Pane {...props} /> : null
}
