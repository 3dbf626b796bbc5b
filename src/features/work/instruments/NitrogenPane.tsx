'use client'
import Typography from '@mui/material/Typography'
import { useUnits } from '@/ui/units'
import { LOG_KINDS } from '@/core/repair/logs/kinds'
import { limitSentence } from '@/core/repair/logs/testLimit'
import { PurposePane } from '../logs/PurposePane'
import { usePurpose } from '../logs/usePurpose'
import type { InstrumentProps } from './instrumentProps'

/** The limit of what is connected, beside each step in which nitrogen goes in. */
export function NitrogenLimit({ answer }: Pick<InstrumentProps, 'answer'>) {
  const { testPressure } = answer.plan
  const { say } = useUnits()
  if (!testPressure) return null
  return (
    <Typography data-limit sx={{ fontWeight: 650 }}>
      △ {say(limitSentence(testPressure))}
    </Typography>
  )
}

/** Nitrogen in the circuit: its limit, its pressure as it is read, and what that says. */
export function NitrogenPane(props: InstrumentProps) {
  const { pane, own, facts } = usePurpose(props, 'pressure-test')
  const last = own?.samples.time.at(-1) ?? 0
  const since = own && pane.log.isOpen ? (props.now - Date.parse(own.head.startedAt)) / 1000 : last
  const view = own && LOG_KINDS['pressure-test'].judge(own, facts, { now: Math.max(since, last) })
  return (
    <>
      <NitrogenLimit answer={props.answer} />
      <PurposePane {...pane} view={view} />
    </>
  )
}
