'use client'
import { LOG_KINDS } from '@/core/repair/logs/kinds'
import { PurposePane } from '../logs/PurposePane'
import { useDecayFit } from '../logs/useFits'
import { usePurpose } from '../logs/usePurpose'
import type { InstrumentProps } from './instrumentProps'

/** The rise with the valve shut: leak, moisture, both, how sure; the limit of the policy. */
export function DecayPane(props: InstrumentProps) {
  const { pane, own, facts } = usePurpose(props, 'decay')
  const given = useDecayFit(pane.log.head?.id ?? 'none', own, facts)
  return <PurposePane {...pane} view={own && LOG_KINDS.decay.judge(own, facts, given)} />
}
