'use client'
import { setArrival } from '@/core/record/edits/headEdits'
import { firstAsked } from '@/core/record/equipment/plateFields'
import { AutosaveField } from '@/ui/AutosaveField'
import type { StageProps } from '../shared/stageProps'
import { HeatLeaves, Known } from './Equipment'
import { FactoryCharge, Receiver, Setpoint, Tons } from './plateParts'
import { Section } from './parts'

const PARTS = {
  nominalTons: Tons,
  factoryCharge: FactoryCharge,
  setpoint: Setpoint,
  receiver: Receiver,
  heatRejection: HeatLeaves,
} as const

/** What this kind of unit needs first: kind, refrigerant, metering device and the two that decide most. */
export function FirstThings({ job, change }: Pick<StageProps, 'job' | 'change'>) {
  return (
    <Section title="First">
      <AutosaveField
        label="Complaint"
        value={job.arrival?.complaint ?? ''}
        onSave={(text) => change(setArrival({ complaint: text || undefined }))}
        multiline
      />
      <Known plate={job.unit} change={change} />
      {firstAsked(job.unit).map((field) => {
        const Part = PARTS[field]
        return <Part key={field} plate={job.unit} change={change} />
      })}
    </Section>
  )
}
