'use client'
import { LOG_KINDS } from '@/core/repair/logs/kinds'
import { PurposePane } from '../logs/PurposePane'
import { usePurpose } from '../logs/usePurpose'
import { BledPane, BubblesPane } from './BubblesPane'
import type { InstrumentProps } from './instrumentProps'

/** Steps, settling, the clock; the change corrected for temperature, the smallest leak it could see; bubbles. */
export function TestPane(props: InstrumentProps) {
  const { pane, own, facts } = usePurpose(props, 'pressure-test')
  const last = own?.samples.time.at(-1) ?? 0
  const since = own && pane.log.isOwn ? (props.now - Date.parse(own.head.startedAt)) / 1000 : last
  const view = own && LOG_KINDS['pressure-test'].judge(own, facts, { now: Math.max(since, last) })
  return (
    <>
      <PurposePane {...pane} view={view} />
      <BubblesPane {...props} />
      <BledPane {...props} />
    </>
  )
}
