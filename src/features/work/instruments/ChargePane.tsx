'use client'
import { LOG_KINDS } from '@/core/repair/logs/kinds'
import { PurposePane } from '../logs/PurposePane'
import { usePurpose } from '../logs/usePurpose'
import type { InstrumentProps } from './instrumentProps'
import { WriteWeight } from './WriteWeight'

/** What went in, what is to go, how fast; cylinder after cylinder. */
export function ChargePane(props: InstrumentProps) {
  const { pane, own, facts } = usePurpose(props, 'weigh-in')
  const view = own && LOG_KINDS['weigh-in'].judge(own, facts)
  return (
    <>
      <PurposePane {...pane} view={view} />
      <WriteWeight job={props.job} change={props.change} field="charged" log={pane.log} moved={view?.moved} />
    </>
  )
}
