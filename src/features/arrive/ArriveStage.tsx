'use client'
import { mainMode } from '@/core/record/equipment/kinds'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { type Job, WEATHERS } from '@/core/record/job/job'
import { asksFor } from '@/core/record/equipment/plateFields'
import { HEAT_REJECTIONS, METERINGS, UNIT_KINDS } from '@/core/record/equipment/unit'
import { isFlammable, REFRIGERANT_NAMES, refrigerantRow } from '@/core/physics/refrigerants/catalogue'
import { coverage } from '@/core/diagnosis/targets/profiles'
import { AutosaveField } from '@/ui/AutosaveField'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { QuantityField } from '@/ui/QuantityField'
import type { StageProps } from '../job/stageProps'
import { KIND_LABELS, METERING_LABELS } from '../jobs/jobText'
import { Nameplate } from './Nameplate'
import type { PlateChange } from './numberSaver'
import { Choice, type PlatePart, Section } from './parts'
import { SeenOnArrival } from './SeenOnArrival'
import { UnitHistory } from './UnitHistory'

function Equipment({ unit, change }: PlatePart) {
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
      {asksFor(unit, 'heatRejection') && (
        <Choice
          label="Heat leaves through"
          value={unit.heatRejection ?? ''}
          values={HEAT_REJECTIONS}
          onChange={(heatRejection) => change((u) => ({ ...u, heatRejection }))}
        />
      )}
      <AutosaveField
        label="Unit name or number"
        value={unit.name ?? ''}
        onSave={(text) => {
          change((u) => ({ ...u, name: text || undefined }))
          return undefined
        }}
      />
      {!covered.covered && <Typography sx={{ color: 'text.secondary' }}>△ {covered.reason}</Typography>}
    </Section>
  )
}

type CallProps = Pick<StageProps, 'job' | 'change'>

/** How long and in what weather one can work. */
function WorkWindow({ job: { arrival }, change }: CallProps) {
  return (
    <>
      <ChoiceChips
        label="Weather in the next hours"
        values={WEATHERS}
        value={arrival?.weather}
        onChange={(word) =>
          change((current) => ({
            ...current,
            arrival: { ...current.arrival, weather: WEATHERS.find((each) => each === word) },
          }))
        }
      />
      <AutosaveField
        type="time"
        label="Work can go on until"
        value={arrival?.workUntil ?? ''}
        helperText="Rain, closing time, dark"
        slotProps={{ inputLabel: { shrink: true } }}
        onSave={(workUntil) => {
          change((current) => ({
            ...current,
            arrival: { ...current.arrival, workUntil: workUntil || undefined },
          }))
          return undefined
        }}
      />
    </>
  )
}

function Complaint({ job, change }: CallProps) {
  const { arrival } = job
  const save = (key: 'complaint' | 'since' | 'doneBefore' | 'access') => (text: string) => {
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
      <AutosaveField label="Access" value={arrival?.access ?? ''} onSave={save('access')} />
      <WorkWindow job={job} change={change} />
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

/** Unit and nameplate, complaint, site, what is seen; unknown is a valid answer everywhere. */
export function ArriveStage(props: StageProps) {
  const { job, change } = props
  const changeUnit: PlateChange = (recipe) =>
    change((current) => ({ ...current, unit: recipe(current.unit) }))
  return (
    <Box sx={{ p: 2, display: 'grid', gap: 3, gridTemplateColumns: { xs: '1fr', md: '1fr 1fr 1fr' } }}>
      <Box sx={{ display: 'grid', gap: 3, alignContent: 'start' }}>
        <Complaint job={job} change={change} />
        <UnitHistory job={job} change={changeUnit} />
      </Box>
      <Box sx={{ display: 'grid', gap: 3, alignContent: 'start' }}>
        <Equipment unit={job.unit} change={changeUnit} />
        <SeenOnArrival {...props} />
      </Box>
      <Nameplate unit={job.unit} change={changeUnit} />
    </Box>
  )
}
