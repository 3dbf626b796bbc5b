'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { instantOf } from '@/core/base/units/instants'
import { MINUTE } from '@/core/base/units/time'
import { durationText } from '@/core/base/units/wall'
import type { Run } from '@/core/record/records/run'
import { setRun } from '@/core/record/edits/workEdits'
import { LOG_KINDS } from '@/core/repair/logs/kinds'
import { QuantityField } from '@/ui/QuantityField'
import { PurposePane } from '../logs/PurposePane'
import { usePurpose } from '../logs/usePurpose'
import type { InstrumentProps } from './instrumentProps'

/** One that was timed without looks stays as it was written down. */
function timedBefore(pull: Run['pullDown']): string | undefined {
  const [from, to] = [instantOf(pull?.startedAt), instantOf(pull?.endedAt)]
  if (from === undefined) return undefined
  return to === undefined
    ? 'Timed before, its end is not on record.'
    : `Timed before: took ${durationText((to - from) / MINUTE)}.`
}

/** The pull-down: what the space is set to, what it shows as it comes there, the curve and what it says. */
export function PullDownPart(props: InstrumentProps) {
  const { job, change, unit } = props
  const before = timedBefore(job.run?.pullDown)
  const { pane, own, facts } = usePurpose(props, 'pull-down')
  return (
    <Box component="section" aria-label="Pull-down to the setting" sx={{ display: 'grid', gap: 1 }}>
      <Typography sx={{ fontWeight: 650 }}>Pull-down</Typography>
      {before && <Typography>{before}</Typography>}
      <Box sx={{ width: 240, maxWidth: '100%' }}>
        <QuantityField
          label="Set to"
          kind="temperature"
          defaultUnit="F"
          value={job.run?.pullDown?.target ?? unit.control?.setpoint}
          onChange={(target) => void change(setRun({ pullDown: { ...job.run?.pullDown, target } }))}
        />
      </Box>
      <PurposePane {...pane} view={own && LOG_KINDS['pull-down'].judge(own, facts)} />
    </Box>
  )
}
