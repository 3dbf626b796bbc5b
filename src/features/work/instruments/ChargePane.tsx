'use client'
import { PurposePane } from '../logs/PurposePane'
import { usePurpose } from '../logs/usePurpose'
import { viewCharge } from '../logs/viewCharge'
import type { InstrumentProps } from './instrumentProps'
import { WriteWeight } from './WriteWeight'

/** What went in, what is to go, how fast; cylinder after cylinder. */
export function ChargePane(props: InstrumentProps) {
  const { charge } = props.answer.plan
  const { pane, own } = usePurpose(props, 'weigh-in')
  const view = own && viewCharge(own, props.unit, charge?.total ?? 0, charge?.isExact ?? false)
  return (
    <>
      <PurposePane {...pane} view={view} />
      <WriteWeight job={props.job} change={props.change} field="charged" log={pane.log} moved={view?.moved} />
    </>
  )
}
