'use client'
import { PurposePane } from '../logs/PurposePane'
import { usePurpose } from '../logs/usePurpose'
import { viewTest } from '../logs/viewTest'
import { BledPane, BubblesPane } from './BubblesPane'
import type { InstrumentProps } from './instrumentProps'

/** Steps, settling, the clock; the change corrected for temperature, the smallest leak it could see; bubbles. */
export function TestPane(props: InstrumentProps) {
  const { pane, own } = usePurpose(props, 'pressure-test')
  const last = own?.samples.time.at(-1) ?? 0
  const since = own && pane.log.isOwn ? (props.now - Date.parse(own.head.startedAt)) / 1000 : last
  const view = own && viewTest(own, props.unit, props.answer.plan, Math.max(since, last))
  return (
    <>
      <PurposePane {...pane} view={view} />
      <BubblesPane {...props} />
      <BledPane {...props} />
    </>
  )
}
