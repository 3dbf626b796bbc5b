'use client'
import { LOG_KINDS } from '@/core/repair/logs/kinds'
import { PurposePane } from '../logs/PurposePane'
import { usePurpose } from '../logs/usePurpose'
import type { InstrumentProps } from './instrumentProps'
import { WriteWeight } from './WriteWeight'

/** Weight and pressure against time, the cylinder, the rise after the stop, what the weight says. */
export function RecoveryPane(props: InstrumentProps) {
  const { pane, own, facts } = usePurpose(props, 'recovery')
  const view = own && LOG_KINDS.recovery.judge(own, facts)
  return (
    <>
      <PurposePane {...pane} view={view} />
      <WriteWeight
        job={props.job}
        change={props.change}
        field="recovered"
        log={pane.log}
        moved={view?.moved}
      />
    </>
  )
}
