'use client'
import { LOG_KINDS } from '@/core/repair/logs/kinds'
import type { LogPurpose } from '@/core/record/readings/logPurposes'
import { taskRow } from '@/core/repair/plan/tasks/tasks'
import { PurposePane } from '../logs/PurposePane'
import { usePurpose } from '../logs/usePurpose'
import type { InstrumentProps } from './instrumentProps'
import { WriteWeight } from './WriteWeight'

function OwnLog({ purpose, ...props }: InstrumentProps & { purpose: LogPurpose }) {
  const { pane, own, facts } = usePurpose(props, purpose)
  const view = own && LOG_KINDS[purpose].judge(own, facts)
  return (
    <>
      <PurposePane {...pane} view={view} />
      <WriteWeight
        job={props.job}
        change={props.change}
        purpose={purpose}
        log={pane.log}
        moved={view?.moved}
      />
    </>
  )
}

/** The log that a task keeps, judged by its kind, and its weight where it is one. */
export function LogPane(props: InstrumentProps) {
  const { log } = taskRow(props.step.task.id)
  return log && <OwnLog {...props} purpose={log} />
}
