'use client'
import Box from '@mui/material/Box'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { ReactNode } from 'react'
import type { Job } from '@/core/job/job'
import { COMPRESSOR_TYPES, HEAT_REJECTIONS, METERINGS, UNIT_KINDS, type UnitPlate } from '@/core/job/unit'
import { isFlammable, OILS, REFRIGERANT_NAMES, refrigerantRow } from '@/core/refrigerants/catalogue'
import { coverage, mainMode } from '@/core/targets/profiles'
import { AutosaveField } from '@/ui/AutosaveField'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { QuantityField } from '@/ui/QuantityField'
import type { StageProps } from '../job/stageProps'
import { KIND_LABELS, METERING_LABELS } from '../jobs/jobText'
import { numberSaver, type PlateChange } from './numberSaver'

type Part = { unit: UnitPlate; change: PlateChange }

function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" sx={{ display: 'grid', gap: 1.5, alignContent: 'start' }}>
      <Typography variant="h2">{title}</Typography>
      {children}
    </Box>
  )
}

function Choice<T extends string>({
  label,
  value,
  values,
  labels,
  onChange,
}: {
  label: string
  value: T | ''
  values: readonly T[]
  labels?: Readonly<Record<T, string>>
  onChange: (value: T) => void
}) {
  return (
    <TextField select label={label} value={value} onChange={(event) => onChange(event.target.value as T)}>
      {values.map((each) => (
        <MenuItem key={each} value={each} sx={{ minHeight: 48 }}>
          {labels?.[each] ?? each}
        </MenuItem>
      ))}
    </TextField>
  )
}

function Equipment({ unit, change }: Part) {
  const covered = coverage(unit, mainMode(unit))
  const safety = refrigerantRow(unit.refrigerant).safety
  return (
    <Section title="Equipment">
      <Choice
        label="Kind"
        value={unit.kind}
        values={UNIT_KINDS}
        labels={KIND_LABELS}
        onChange={(kind) => change((u) => ({ ...u, kind }))}
      />
      <Choice
        label="Refrigerant"
        value={unit.refrigerant}
        values={REFRIGERANT_NAMES}
        onChange={(refrigerant) => change((u) => ({ ...u, refrigerant }))}
      />
      {isFlammable(unit.refrigerant) && (
        <Typography sx={{ color: 'error.main' }}>
          ⬣ {unit.refrigerant} is {safety}, flammable: rated tools and detector, ventilation, no ignition
          source.
        </Typography>
      )}
      <Choice
        label="Metering device"
        value={unit.metering}
        values={METERINGS}
        labels={METERING_LABELS}
        onChange={(metering) => change((u) => ({ ...u, metering }))}
      />
      <Choice
        label="Heat leaves through"
        value={unit.heatRejection ?? ''}
        values={HEAT_REJECTIONS}
        onChange={(heatRejection) => change((u) => ({ ...u, heatRejection }))}
      />
      {!covered.covered && <Typography sx={{ color: 'text.secondary' }}>△ {covered.reason}</Typography>}
    </Section>
  )
}

function Ratings({ unit, change }: Part) {
  const save = numberSaver(change)
  const decimal = { htmlInput: { inputMode: 'decimal' as const } }
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
      <AutosaveField
        label="Tons"
        value={String(unit.nominalTons ?? '')}
        onSave={save('nominalTons')}
        slotProps={decimal}
      />
      <AutosaveField label="SEER" value={String(unit.seer ?? '')} onSave={save('seer')} slotProps={decimal} />
      <AutosaveField
        label="Volts"
        value={String(unit.power?.volts ?? '')}
        onSave={save('power', 'volts')}
        slotProps={decimal}
      />
      <Choice
        label="Phase"
        value={unit.power?.phase ? (String(unit.power.phase) as '1' | '3') : ''}
        values={['1', '3'] as const}
        onChange={(phase) => change((u) => ({ ...u, power: { ...u.power, phase: phase === '1' ? 1 : 3 } }))}
      />
      <AutosaveField
        label="Rated load amps"
        value={String(unit.power?.rla ?? '')}
        onSave={save('power', 'rla')}
        slotProps={decimal}
      />
      <AutosaveField
        label="Locked rotor amps"
        value={String(unit.power?.lra ?? '')}
        onSave={save('power', 'lra')}
        slotProps={decimal}
      />
    </Box>
  )
}

function Nameplate({ unit, change }: Part) {
  return (
    <Section title="Nameplate">
      <Ratings unit={unit} change={change} />
      <QuantityField
        label="Factory charge"
        kind="mass"
        defaultUnit="lb"
        value={unit.factoryCharge}
        onChange={(factoryCharge) => change((u) => ({ ...u, factoryCharge }))}
      />
      <QuantityField
        label="Target subcooling"
        kind="temperatureDifference"
        defaultUnit="F"
        value={unit.targetSubcooling}
        onChange={(targetSubcooling) => change((u) => ({ ...u, targetSubcooling }))}
      />
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
        <Choice
          label="Compressor"
          value={unit.compressor?.type ?? ''}
          values={COMPRESSOR_TYPES}
          onChange={(type) => change((u) => ({ ...u, compressor: { ...u.compressor, type } }))}
        />
        <Choice
          label="Oil"
          value={unit.compressor?.oil ?? ''}
          values={OILS}
          onChange={(oil) => change((u) => ({ ...u, compressor: { ...u.compressor, oil } }))}
        />
      </Box>
      <ChoiceChips
        label="Receiver"
        values={['yes', 'no']}
        value={unit.receiver === undefined ? undefined : unit.receiver ? 'yes' : 'no'}
        onChange={(word) =>
          change((u) => ({ ...u, receiver: word === undefined ? undefined : word === 'yes' }))
        }
      />
    </Section>
  )
}

function Complaint({ job, change }: Pick<StageProps, 'job' | 'change'>) {
  const { arrival } = job
  const save = (key: 'complaint' | 'since' | 'doneBefore' | 'seen' | 'access') => (text: string) => {
    change((current: Job) => ({ ...current, arrival: { ...current.arrival, [key]: text || undefined } }))
    return undefined
  }
  return (
    <Section title="Call and site">
      <AutosaveField
        label="Job name"
        value={job.title ?? ''}
        onSave={(text) => {
          change((current) => ({ ...current, title: text || undefined }))
          return undefined
        }}
      />
      <AutosaveField
        label="Complaint"
        value={arrival?.complaint ?? ''}
        onSave={save('complaint')}
        multiline
        minRows={2}
      />
      <AutosaveField label="Since when" value={arrival?.since ?? ''} onSave={save('since')} />
      <AutosaveField label="Done before" value={arrival?.doneBefore ?? ''} onSave={save('doneBefore')} />
      <ChoiceChips
        label="Burnout on this circuit before"
        values={['yes', 'no']}
        value={arrival?.previousBurnout === undefined ? undefined : arrival.previousBurnout ? 'yes' : 'no'}
        onChange={(word) =>
          change((current) => ({
            ...current,
            arrival: { ...current.arrival, previousBurnout: word === undefined ? undefined : word === 'yes' },
          }))
        }
      />
      <AutosaveField label="Seen on arrival" value={arrival?.seen ?? ''} onSave={save('seen')} />
      <AutosaveField label="Access" value={arrival?.access ?? ''} onSave={save('access')} />
      <AutosaveField
        label="Site"
        value={job.unit.site?.name ?? ''}
        onSave={(text) => {
          change((current) => ({
            ...current,
            unit: { ...current.unit, site: { ...current.unit.site, name: text || undefined } },
          }))
          return undefined
        }}
      />
      <QuantityField
        label="Site elevation"
        kind="length"
        defaultUnit="ft"
        value={job.unit.site?.elevation}
        onChange={(elevation) =>
          change((current) => ({
            ...current,
            unit: { ...current.unit, site: { ...current.unit.site, elevation } },
          }))
        }
      />
    </Section>
  )
}

/** Unit and nameplate, complaint, site; unknown is a valid answer everywhere. */
export function ArriveStage({ job, change }: StageProps) {
  const changeUnit: PlateChange = (recipe) =>
    change((current) => ({ ...current, unit: recipe(current.unit) }))
  return (
    <Box sx={{ p: 2, display: 'grid', gap: 3, gridTemplateColumns: { xs: '1fr', md: '1fr 1fr 1fr' } }}>
      <Complaint job={job} change={change} />
      <Equipment unit={job.unit} change={changeUnit} />
      <Nameplate unit={job.unit} change={changeUnit} />
    </Box>
  )
}
