'use client'
import type { ComponentType } from 'react'
import type { InstrumentId } from '@/core/repair/plan/tasks/row'
import { taskRow } from '@/core/repair/plan/tasks/tasks'
import { useTables } from '../../shared/tables/useTables'
import type { InstrumentProps } from './instrumentProps'
import { BledPane, BubblesPane } from './BubblesPane'
import { AcidPane } from './AcidPane'
import { DecayPane } from './DecayPane'
import { FirstStartList } from './FirstStartList'
import { LeakLoop } from './LeakLoop'
import { LogPane } from './LogPane'
import { OilPane } from './OilPane'
import { ProofPane } from './ProofPane'
import { PullPane } from './PullPane'
import { RetestPane } from './RetestPane'
import { StartPane } from './StartPane'
import { WiringPane } from './WiringPane'
import { NitrogenLimit, NitrogenPane } from './NitrogenPane'

/** A pane for each instrument that a step can have. */
const PANES: Readonly<Record<InstrumentId, ComponentType<InstrumentProps>>> = {
  log: LogPane,
  'nitrogen-limit': NitrogenLimit,
  nitrogen: NitrogenPane,
  bubbles: BubblesPane,
  bleed: BledPane,
  'leak-loop': LeakLoop,
  acid: AcidPane,
  pull: PullPane,
  decay: DecayPane,
  oil: OilPane,
  'start-list': FirstStartList,
  start: StartPane,
  retest: RetestPane,
  proof: ProofPane,
  wiring: WiringPane,
}

/** The instruments of a step; none where hands are all that it needs. */
export function StepInstruments(props: InstrumentProps) {
  const { goesIn } = props.answer.plan.refrigerantPath
  const names = [...new Set([props.unit.refrigerant, ...(goesIn ? [goesIn] : [])])]
  const { ready } = useTables(names)
  if (!ready) return null
  return taskRow(props.step.task.id).instruments.map((id) => {
    const Pane = PANES[id]
    return <Pane key={id} {...props} />
  })
}
