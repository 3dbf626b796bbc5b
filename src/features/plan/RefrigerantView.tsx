'use client'
import { useUnits } from '@/ui/units'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Plan } from '@/core/repair/plan/plan'
import { Figure, Figures } from '@/ui/Figure'
import { NumberTable } from '@/ui/NumberTable'
import { entriesText } from '@/core/base/known/entries'
import type { Basis } from '@/core/base/known/known'
import { Assumed } from '@/ui/Assumed'
import { AskEntries } from '../shared/unit/entryFields'
import { kilograms, pounds } from '@/core/base/units/weightText'
import { fluidOunces, millilitres } from '@/core/report/planText'
import type { StageProps } from '../shared/stageProps'
import { Access } from './Access'
import { CylinderPart } from './CylinderPart'
import { Columns, More, Sentences } from './More'
import { OilPart } from './OilPart'
import { PathPart } from './PathPart'

type Props = Pick<StageProps, 'job' | 'change' | 'display'> & { plan: Plan }

const RECOVERED = {
  'reuse-in-same-equipment': 'refilled',
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

/** The charge as its figure: a charge that nobody knows has none. */
function chargeFigure({ charge, opens }: Plan): { value: string; note: string; basis?: Basis } {
  if (!charge) return opens ? { value: 'none', note: 'nothing may go in' } : CLOSED
  const { total, guess, isExact } = charge
  if (!total) return { value: 'not known', note: `enter ${entriesText(guess.asks)}` }
  return {
    value: pounds(total.value),
    note: `${kilograms(total.value)}${isExact ? ', by weight alone' : ''}`,
    basis: total,
  }
}
const CLOSED = { value: 'stays', note: 'the circuit stays closed' }

function oilFigure({ refill, plate, kind, goesIn, isMeasured }: Plan['oil']) {
  return refill.value > 0
    ? {
        value: fluidOunces(refill.value),
        note: `${goesIn}, ${millilitres(refill.value)}${isMeasured ? '' : ' likely'}`,
        basis: refill,
      }
    : { value: 'stays', note: `${kind.value}, ${fluidOunces(plate.value)} by the plate`, basis: plate }
}

function Answer({ plan }: { plan: Plan }) {
  const { refrigerantPath: path, access, oil } = plan
  return (
    <Figures>
      <Figure label="Charge" {...chargeFigure(plan)} />
      <Figure label="Goes in" value={path.goesIn ?? '⬣ nothing'} note={PATHS[path.path]} />
      <Figure
        label="Recovered charge"
        value={plan.opens ? RECOVERED[path.recovered] : 'stays'}
        note={plan.opens ? WAYS[access.chosen] : 'the circuit stays closed'}
      />
      <Figure label="Oil in" {...oilFigure(oil)} />
    </Figures>
  )
}

const TRIM = { 'as-calculated': '●', trimmed: '△', questioned: '⬣' } as const

function ChargePart({ plan: { charge }, job, change }: Props) {
  const { mass, system } = useUnits()
  if (!charge) return null
  const { lines, total, guess, missing, trim, unjudged, finish, cylinder } = charge
  return (
    <section aria-labelledby="charge-title">
      <Typography id="charge-title" variant="h2">
        Charge, {charge.refrigerant}
      </Typography>
      <NumberTable
        caption="Charge by its parts"
        words={[0]}
        head={system.mass === 'kg' ? ['Part', 'Weight'] : ['Part', 'lb oz', 'g']}
        rows={[
          ...lines.map(({ id, label, kg, basis, isAllowance }) => ({
            key: id,
            cells: [
              <span key="l">
                {isAllowance ? `allowance: ${label}` : label}{' '}
                <Assumed basis={kg === undefined ? undefined : basis} of={label} />
              </span>,
              kg === undefined ? 'not known' : mass(kg),
              ...(system.mass === 'kg' ? [] : [kg === undefined ? '–' : (kg * 1000).toFixed(0)]),
            ],
          })),
          {
            key: 'total',
            cells: total
              ? [
                  <span key="l">
                    weigh in <Assumed basis={total} of="Weigh in" />
                  </span>,
                  <b key="t">{mass(total.value)}</b>,
                  ...(system.mass === 'kg' ? [] : [<b key="g">{(total.value * 1000).toFixed(0)}</b>]),
                ]
              : ['weigh in', 'not known', '–'],
          },
        ]}
      />
      {missing.length > 0 && <Typography>△ Not known: {missing.join('; ')}.</Typography>}
      {unjudged && <Typography>△ {unjudged}</Typography>}
      <AskEntries job={job} change={change} asks={(total ?? guess).asks} />
      {trim && (
        <Typography>
          {TRIM[trim.verdict]} {mass(trim.charged)} went in. {trim.sentence}
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
            <ChargePart {...props} />
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
