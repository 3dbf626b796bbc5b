'use client'
import { LOG_KINDS } from '@/core/repair/logs/kinds'
import { PurposePane } from '../logs/PurposePane'
import { useForecast } from '../logs/useFits'
import { usePurpose } from '../logs/usePurpose'
import { PumpForm } from './PumpForm'
import type { InstrumentProps } from './instrumentProps'

/** The pull on a logarithmic scale: zones, boiling line, when it gets there, what a bigger hose would save, why it stands. */
export function PullPane(props: InstrumentProps) {
  const { pane, own, facts } = usePurpose(props, 'evacuation')
  const given = useForecast(pane.log.head?.id ?? 'none', own, facts)
  return (
    <>
      <PurposePane {...pane} view={own && LOG_KINDS.evacuation.judge(own, facts, given)} />
      <PumpForm job={props.job} change={props.change} />
    </>
  )
}
