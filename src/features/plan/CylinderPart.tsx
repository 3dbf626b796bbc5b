'use client'
import { useUnits } from '@/ui/units'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { fromKelvin } from '@/core/base/units/convert'
import { setClosing } from '@/core/record/edits/listEdits'
import { setCylinder } from '@/core/record/edits/repairEdits'
import type { Plan } from '@/core/repair/plan/plan'
import { basisOf } from '@/core/base/known/known'
import { Assumed } from '@/ui/Assumed'
import { AskEntries } from '../shared/unit/entryFields'
import { QuantityField } from '@/ui/QuantityField'
import type { StageProps } from '../shared/stageProps'
import { More } from './More'

type Props = Pick<StageProps, 'job' | 'change' | 'display'> & { plan: Plan }

const FIELDS = [
  ['capacity', 'Water it holds, stamped', 'mass', 'lb'],
  ['tare', 'Tare', 'mass', 'lb'],
  ['gross', 'Scale now', 'mass', 'lb'],
  ['hottest', 'Hottest place it will stand', 'temperature', 'F'],
] as const

const WEIGHT = { 'as-plate': '●', short: '△', over: '△' } as const

/** How much the recovery cylinder still takes, and what the weight that came out says. */
export function CylinderPart({ job, change, display, plan: { recovery } }: Props) {
  const { cylinder, isDedicated, weight, unjudged, guess, sentences } = recovery
  const { temperature } = display
  const { mass, say } = useUnits()
  const room = `${mass(cylinder.room)}${cylinder.net === undefined ? ' when empty' : ' left'}`
  return (
    <section aria-labelledby="cylinder-title">
      <Typography id="cylinder-title" variant="h2">
        Cylinder: {cylinder.state === 'over' ? '⬣ over its limit' : room}
        {cylinder.count > 1 && `, ${cylinder.count} are needed`}
      </Typography>
      <Typography sx={{ fontSize: '0.95rem' }}>
        {cylinder.state === 'nearly-full' && '△ More than seven tenths full. '}
        Limit {mass(cylinder.limit)}
        {cylinder.grossLimit !== undefined && `, ${mass(cylinder.grossLimit)} on the scale`}
        {cylinder.isLimitedByHeat ? ', by the heat of its place' : say(', 80 % at 77 F')}
        {cylinder.fullAt !== undefined &&
          `; liquid-full at ${fromKelvin(cylinder.fullAt, temperature).toFixed(0)} ${temperature}`}
        .{isDedicated && ' Burnt: a cylinder of its own, marked.'}{' '}
        <Assumed basis={basisOf(cylinder.basis, guess)} of="Cylinder" />
      </Typography>
      {sentences.length > 1 && !isDedicated && <Typography>⬣ {sentences[0]}</Typography>}
      {weight && (
        <Typography>
          {WEIGHT[weight.verdict]} {mass(weight.recovered)} of {mass(weight.expected)} came out.{' '}
          {weight.sentence}
        </Typography>
      )}
      {unjudged && (
        <>
          <Typography>△ {unjudged}</Typography>
          <AskEntries job={job} change={change} asks={guess.asks} />
        </>
      )}
      <More label="Scale and cylinder" open={job.repair?.cylinder !== undefined}>
        <Box sx={{ display: 'grid', gap: 1.5, pt: 1 }}>
          <QuantityField
            label="Recovered"
            kind="mass"
            defaultUnit="lb"
            value={job.closing?.recovered}
            onChange={(recovered) => void change(setClosing({ recovered }))}
          />
          {FIELDS.map(([key, label, kind, unit]) => (
            <QuantityField
              key={key}
              label={label}
              kind={kind}
              defaultUnit={unit}
              value={job.repair?.cylinder?.[key]}
              onChange={(value) => void change(setCylinder({ [key]: value }))}
            />
          ))}
        </Box>
      </More>
    </section>
  )
}
