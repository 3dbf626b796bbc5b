'use client'
import { Choice } from '@/ui/Choice'
import { mainMode } from '@/core/record/equipment/kinds'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { setArrival, setPlate, setPlatePart, setTitle } from '@/core/record/edits/headEdits'
import { WEATHERS } from '@/core/record/records/head'
import { asksFor } from '@/core/record/equipment/plateFields'
import { elevationSchema, HEAT_REJECTIONS, METERINGS, UNIT_KINDS } from '@/core/record/equipment/unit'
import { isFlammable, REFRIGERANT_NAMES, refrigerantRow } from '@/core/physics/refrigerants/catalogue'
import { coverage } from '@/core/diagnosis/targets/profiles'
import { AutosaveField } from '@/ui/AutosaveField'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { QuantityField } from '@/ui/QuantityField'
import type { StageProps } from '../shared/stageProps'
import { KIND_LABELS, METERING_LABELS } from '../shared/jobText'
import { Nameplate } from './Nameplate'
import { type PlatePart, Section } from './parts'
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
        onChange={(kind) => void change(setPlate({ kind }))}
      />
      <Choice
        label="Refrigerant"
        value={unit.refrigerant}
        values={REFRIGERANT_NAMES}
        onChange={(refrigerant) => void change(setPlate({ refrigerant }))}
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
        onChange={(metering) => void change(setPlate({ metering }))}
      />
      {asksFor(unit, 'heatRejection') && (
        <Choice
          label="Heat leaves through"
          value={unit.heatRejection ?? ''}
          values={HEAT_REJECTIONS}
          onChange={(heatRejection) => void change(setPlate({ heatRejection }))}
        />
      )}
      <AutosaveField
        label="Unit name or number"
        value={unit.name ?? ''}
        onSave={(text) => change(setPlate({ name: text || undefined }))}
      />
      {!covered.covered && <Typography sx={{ color: 'text.secondary' }}>△ {covered.reason}</Typography>}
    </Section>
  )
}

type CallProps = Pick<StageProps, 'job' | 'change'>

/** How long and in what weather one can work. */
function WorkWindow({
  arrival,
  change,
}: { arrival: StageProps['job']['arrival'] } & Pick<CallProps, 'change'>) {
  return (
    <>
      <ChoiceChips
        label="Weather in the next hours"
        values={WEATHERS}
        value={arrival?.weather}
        onChange={(word) => void change(setArrival({ weather: WEATHERS.find((each) => each === word) }))}
      />
      <AutosaveField
        type="time"
        label="Work can go on until"
        value={arrival?.workUntil ?? ''}
        helperText="Rain, closing time, dark"
        slotProps={{ inputLabel: { shrink: true } }}
        onSave={(workUntil) => change(setArrival({ workUntil: workUntil || undefined }))}
      />
    </>
  )
}

function Complaint({ job, change }: CallProps) {
  const { arrival } = job
  const save = (key: 'complaint' | 'since' | 'doneBefore' | 'access') => (text: string) =>
    change(setArrival({ [key]: text || undefined }))
  return (
    <Section title="Call and site">
      <AutosaveField label="Job name" value={job.title ?? ''} onSave={(text) => change(setTitle(text))} />
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
          void change(setArrival({ previousBurnout: word === undefined ? undefined : word === 'yes' }))
        }
      />
      <AutosaveField label="Access" value={arrival?.access ?? ''} onSave={save('access')} />
      <WorkWindow arrival={arrival} change={change} />
      <AutosaveField
        label="Site"
        value={job.unit.site?.name ?? ''}
        onSave={(text) => change(setPlatePart('site', { name: text || undefined }))}
      />
      <QuantityField
        label="Site elevation"
        kind="length"
        defaultUnit="ft"
        value={job.unit.site?.elevation}
        schema={elevationSchema}
        onChange={(elevation) => void change(setPlatePart('site', { elevation }))}
      />
    </Section>
  )
}

/** Unit and nameplate, complaint, site, what is seen; unknown is a valid answer everywhere. */
export function ArriveStage(props: StageProps) {
  const { job, change } = props
  return (
    <Box sx={{ p: 2, display: 'grid', gap: 3, gridTemplateColumns: { xs: '1fr', md: '1fr 1fr 1fr' } }}>
      <Box sx={{ display: 'grid', gap: 3, alignContent: 'start' }}>
        <Complaint job={job} change={change} />
        <UnitHistory job={job} change={change} />
      </Box>
      <Box sx={{ display: 'grid', gap: 3, alignContent: 'start' }}>
        <Equipment unit={job.unit} change={change} />
        <SeenOnArrival {...props} />
      </Box>
      <Nameplate unit={job.unit} change={change} />
    </Box>
  )
}
