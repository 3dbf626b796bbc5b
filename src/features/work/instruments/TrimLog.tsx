'use client'
import { useSiteClock } from '@/ui/siteClock'
import { useUnits } from '@/ui/units'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { TypedQuantity } from '@/core/base/units/compound'
import { toSI } from '@/core/base/units/convert'
import { showDifference } from '@/core/base/units/show'
import { durationText } from '@/core/base/units/wall'
import { pounds } from '@/core/base/units/weightText'
import { addTrim, removeTrim } from '@/core/record/edits/workEdits'
import type { Trim } from '@/core/record/records/run'
import { finalCharge, finalChargeText } from '@/core/repair/work/finalCharge'
import { finishBy } from '@/core/repair/work/finishBy'
import { trimLines } from '@/core/repair/work/startUp'
import { QuantityField } from '@/ui/QuantityField'
import { afterStart } from './afterStart'
import type { InstrumentProps } from './instrumentProps'

const OTHERS = ['half a turn in', 'half a turn out', 'airflow changed', 'cylinder changed'] as const
type Step = Pick<Trim, 'what' | 'mass' | 'out'>

/** Refrigerant in or out by the scale, any amount. */
function Weight({ onAdd }: { onAdd: (step: Step) => void }) {
  const [mass, setMass] = useState<TypedQuantity>()
  const add = (out: boolean) => {
    if (!mass) return
    const what = `${pounds(toSI(mass))} ${out ? 'out' : 'in'}`
    onAdd({ what, mass: mass as NonNullable<Trim['mass']>, ...(out ? { out: true } : {}) })
    setMass(undefined)
  }
  const isWeight = mass !== undefined && mass.value > 0
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, alignItems: 'center', py: 0.5 }}>
      <Box sx={{ width: 240 }}>
        <QuantityField label="By the scale" kind="mass" defaultUnit="oz" value={mass} onChange={setMass} />
      </Box>
      <Button variant="outlined" disabled={!isWeight} onClick={() => add(false)}>
        Went in
      </Button>
      <Button variant="outlined" disabled={!isWeight} onClick={() => add(true)}>
        Came out
      </Button>
    </Box>
  )
}

/** What finishes it while it runs, by what the metering device allows, and where that stands. */
function FinishText(props: InstrumentProps) {
  const { say } = useUnits()
  const { unit, set, diagnosis } = props
  const { isAfter, superheat, subcooling } = afterStart(props)
  const { sentence, isThere } = finishBy(unit, {
    superheat,
    subcooling,
    condensing: isAfter ? diagnosis.derived.condensingMean?.value : undefined,
    glass: isAfter ? set.observations?.sightGlass : undefined,
    targets: diagnosis.targets,
  })
  const mark = isThere === undefined ? '○' : isThere ? '●' : '△'
  return (
    <Typography data-finish={isThere ?? 'unread'} aria-live="polite">
      {mark} {say(sentence)}
    </Typography>
  )
}

/** What is inside now, as far as the scale tells. */
function Sum({ job, answer }: Pick<InstrumentProps, 'job' | 'answer'>) {
  const { opens, isPart } = answer.plan
  const total = finalCharge(job, opens && !isPart)
  const { say } = useUnits()
  if (!total) return null
  return <Typography data-final-charge>Charge: {say(finalChargeText(total))}.</Typography>
}

/** The trim, one step at a time: weights in and out, turns, and what each step did. */
export function TrimLog(props: InstrumentProps) {
  const { time } = useSiteClock()
  const { job, change, display, now } = props
  const { say } = useUnits()
  const { superheat, subcooling } = afterStart(props)
  const lines = trimLines(job.run?.trims ?? [], { at: now, superheat, subcooling })
  const did = (kelvin: number | undefined, word: string) =>
    kelvin === undefined
      ? ''
      : `, ${word} ${kelvin >= 0 ? '+' : '−'}${showDifference(Math.abs(kelvin), display, 1)}`
  const add = (step: Step) =>
    void change(
      addTrim({
        ...step,
        ...(superheat === undefined ? {} : { superheat }),
        ...(subcooling === undefined ? {} : { subcooling }),
      }),
    )
  return (
    <Box component="section" aria-label="Trim">
      <Typography sx={{ fontWeight: 650 }}>Trim, one step at a time</Typography>
      <FinishText {...props} />
      <Weight onAdd={add} />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, py: 0.5 }}>
        {OTHERS.map((what) => (
          <Button key={what} variant="outlined" onClick={() => add({ what })}>
            {what}
          </Button>
        ))}
      </Box>
      <Box component="ol" aria-label="Steps of the trim" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {lines.map(({ id, at, what, superheatBy, subcoolingBy, waited }) => (
          <Box
            component="li"
            key={id}
            sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1 }}
          >
            <span>
              {time(at)} {say(what)}
              {did(superheatBy, 'superheat')}
              {did(subcoolingBy, 'subcooling')}
              {waited !== undefined && `, ${durationText(waited)} later`}
            </span>
            <Button
              color="inherit"
              aria-label={`Remove: ${say(what)} at ${time(at)}`}
              onClick={() => void change(removeTrim(id))}
            >
              Remove
            </Button>
          </Box>
        ))}
      </Box>
      <Sum job={job} answer={props.answer} />
    </Box>
  )
}
