'use client'
import { LOG_KINDS } from '@/core/repair/logs/kinds'
import type { LogPurpose } from '@/core/record/readings/logPurposes'
import { taskRow } from '@/core/repair/plan/tasks/tasks'
import { PurposePane } from '../logs/PurposePane'
import { usePurpose } from '../logs/usePurpose'
import type { InstrumentProps } from './instrumentProps'

function OwnLog({ purpose, ...props }: InstrumentProps & { purpose: LogPurpose }) {
  const { pane, own, facts } = usePurpose(props, purpose)
  return <PurposePane {...pane} view={own && LOG_KINDS[purpose].judge(own, facts)} />
}

/** The log that a task keeps, where its kind needs nothing beside it. */
export function LogPane(props: InstrumentProps) {
  const { log } = taskRow(props.step.task.id)
  return log && <OwnLog {...props} purpose={log} />
}
