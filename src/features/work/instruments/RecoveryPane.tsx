'use client'
import { PurposePane } from '../logs/PurposePane'
import { usePurpose } from '../logs/usePurpose'
import { viewRecovery } from '../logs/viewRecovery'
import type { InstrumentProps } from './instrumentProps'
import { WriteWeight } from './WriteWeight'

/** Weight and pressure against time, the cylinder, the rise after the stop, what the weight says. */
export function RecoveryPane(props: InstrumentProps) {
  const { pane, own } = usePurpose(props, 'recovery')
  const view = own && viewRecovery(own, props.unit, props.answer.plan)
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
