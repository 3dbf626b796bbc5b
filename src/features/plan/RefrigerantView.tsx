'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Plan } from '@/core/repair/plan/plan'
import { Figure, Figures } from '@/ui/Figure'
import { NumberTable } from '@/ui/NumberTable'
import { kilograms, pounds } from '@/core/base/units/weightText'
import { fluidOunces, millilitres } from '../shared/planText'
import type { StageProps } from '../shared/stageProps'
import { Access } from './Access'
import { CylinderPart } from './CylinderPart'
import { Columns, More, Sentences } from './More'
import { OilPart } from './OilPart'
import { PathPart } from './PathPart'

type Props = Pick<StageProps, 'job' | 'change' | 'display'> & { plan: Plan }

const RECOVERED = {
  'reuse-in-same-equipment': 'goes back',
  reclaim: 'to reclaim',
  nothing: 'nothing in it',
} as const
const PATHS = {
  keep: 'kept',
  convert: 'converted',
  'back-to-listed': 'back to what is listed',
  'replace-unit': 'replace the unit',
} as const
const WAYS = {
  'recover-all': 'Recover all',
  'pump-down': 'Pump down',
  isolate: 'Isolate',
} as const

function Answer({ plan }: { plan: Plan }) {
  const { charge, refrigerantPath: path, access, oil } = plan
  return (
    <Figures>
      <Figure
        label="Charge"
        value={charge ? pounds(charge.total) : plan.opens ? 'none' : 'stays'}
        note={
          charge
            ? `${kilograms(charge.total)}${charge.isExact ? ', by weight alone' : ''}${charge.isPlateAssumed ? ', plate assumed' : ''}`
            : plan.opens
              ? 'nothing may go in'
              : 'the circuit stays closed'
        }
      />
      <Figure label="Goes in" value={path.goesIn ?? '⬣ nothing'} note={PATHS[path.path]} />
      <Figure
        label="Recovered charge"
        value={plan.opens ? RECOVERED[path.recovered] : 'stays'}
        note={plan.opens ? WAYS[access.chosen] : 'the circuit stays closed'}
      />
      <Figure
        label="Oil in"
        value={oil.refill > 0 ? fluidOunces(oil.refill) : 'stays'}
        note={
          oil.refill > 0
            ? `${oil.goesIn}, ${millilitres(oil.refill)}${oil.isMeasured ? '' : ' likely'}`
            : `${oil.kind}, ${fluidOunces(oil.plate)} by the plate`
        }
      />
    </Figures>
  )
}

const TRIM = { 'as-calculated': '●', trimmed: '△', questioned: '⬣' } as const

function ChargePart({ plan: { charge } }: { plan: Plan }) {
  if (!charge) return null
  const { lines, total, missing, trim, finish, cylinder } = charge
  return (
    <section aria-labelledby="charge-title">
      <Typography id="charge-title" variant="h2">
        Charge, {charge.refrigerant}
      </Typography>
      <NumberTable
        caption="Charge by its parts"
        words={[0]}
        head={['Part', 'lb oz', 'g']}
        rows={[
          ...lines.map(({ id, label, kg, isAllowance }) => ({
            key: id,
            cells: [isAllowance ? `allowance: ${label}` : label, pounds(kg), (kg * 1000).toFixed(0)],
          })),
          {
            key: 'total',
            cells: ['weigh in', <b key="t">{pounds(total)}</b>, <b key="g">{(total * 1000).toFixed(0)}</b>],
          },
        ]}
      />
      {missing.length > 0 && <Typography>△ Not known: {missing.join('; ')}.</Typography>}
      {trim && (
        <Typography>
          {TRIM[trim.verdict]} {pounds(trim.charged)} went in. {trim.sentence}
        </Typography>
      )}
      {cylinder && <Typography>△ {cylinder}</Typography>}
      <More label="How it goes in, and what has the last word">
        <Sentences all={finish} />
      </More>
    </section>
  )
}

/** Charge, path, recovery and oil: the answer first, its arithmetic below. */
export function RefrigerantView(props: Props) {
  const { plan } = props
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2 }}>
      <Box>
        <Answer plan={plan} />
        {plan.refrigerantPath.path !== 'keep' &&
          plan.refrigerantPath.reasons.map((reason) => (
            <Typography key={reason}>
              {plan.refrigerantPath.path === 'convert' ? '△' : '⬣'} {reason}
            </Typography>
          ))}
      </Box>
      <Columns
        left={
          <>
            <ChargePart plan={plan} />
            <OilPart {...props} />
          </>
        }
        right={
          <>
            <Access {...props} />
            <CylinderPart {...props} />
          </>
        }
      />
      <PathPart {...props} />
    </Box>
  )
}
