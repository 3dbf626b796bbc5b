'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import useMediaQuery from '@mui/material/useMediaQuery'
import { useState } from 'react'
import { setArrival, setPlatePart, setTitle } from '@/core/record/edits/headEdits'
import { isBoxKind } from '@/core/record/equipment/kinds'
import { elevationSchema } from '@/core/record/equipment/unit'
import { WEATHERS, WORK_PLACES } from '@/core/record/records/head'
import { AutosaveField } from '@/ui/AutosaveField'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { QuantityField } from '@/ui/QuantityField'
import { IS_WIDE } from '@/ui/theme/theme'
import type { StageProps } from '../shared/stageProps'
import { Equipment } from './Equipment'
import { FirstThings } from './FirstThings'
import { Nameplate } from './Nameplate'
import { Section } from './parts'
import { SeenOnArrival } from './SeenOnArrival'
import { UnitHistory } from './UnitHistory'

type CallProps = Pick<StageProps, 'job' | 'change'>

/** How long and in what weather one can work. */
function WorkWindow({
  arrival,
  isBox,
  change,
}: { arrival: StageProps['job']['arrival']; isBox: boolean } & Pick<CallProps, 'change'>) {
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
        helperText="Rain, closing time, dark: the day is planned by it"
        slotProps={{ inputLabel: { shrink: true } }}
        onSave={(workUntil) => change(setArrival({ workUntil: workUntil || undefined }))}
      />
      <AutosaveField
        type="time"
        label={isBox ? 'Goods keep until' : 'The space is bearable until'}
        value={arrival?.goodsUntil ?? ''}
        slotProps={{ inputLabel: { shrink: true } }}
        onSave={(goodsUntil) => change(setArrival({ goodsUntil: goodsUntil || undefined }))}
      />
      <ChoiceChips
        label="Where you work"
        values={WORK_PLACES}
        labels={{ roof: 'on the roof', attic: 'in the attic', 'crawl-space': 'in a crawl space' }}
        value={arrival?.place}
        onChange={(word) => void change(setArrival({ place: WORK_PLACES.find((each) => each === word) }))}
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
        value={yesNo(arrival?.previousBurnout)}
        onChange={(word) =>
          void change(setArrival({ previousBurnout: word === undefined ? undefined : word === 'yes' }))
        }
      />
      <ChoiceChips
        label="Compressor changed before"
        values={['yes', 'no']}
        value={yesNo(arrival?.previousCompressor)}
        onChange={(word) =>
          void change(
            setArrival({
              previousCompressor: word === undefined ? undefined : word === 'yes',
              ...(word === 'yes' ? {} : { previousCompressorWhen: undefined }),
            }),
          )
        }
      />
      {arrival?.previousCompressor && (
        <AutosaveField
          label="When it was changed"
          value={arrival.previousCompressorWhen ?? ''}
          onSave={(text) => change(setArrival({ previousCompressorWhen: text || undefined }))}
        />
      )}
      <AutosaveField label="Access" value={arrival?.access ?? ''} onSave={save('access')} />
      <WorkWindow arrival={arrival} isBox={isBoxKind({ kind: job.unit.kind ?? 'other' })} change={change} />
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

const yesNo = (is: boolean | undefined) => (is === undefined ? undefined : is ? 'yes' : 'no')

/** The call, the site and what was done before. */
function Left({ job, change }: CallProps) {
  return (
    <Box sx={{ display: 'grid', gap: 3, alignContent: 'start' }}>
      <Complaint job={job} change={change} />
      <UnitHistory job={job} change={change} />
    </Box>
  )
}

function Middle(props: StageProps) {
  const { job, unit, change } = props
  return (
    <Box sx={{ display: 'grid', gap: 3, alignContent: 'start' }}>
      <Section title="Equipment">
        <Equipment plate={job.unit} unit={unit} change={change} />
      </Section>
      <SeenOnArrival {...props} />
    </Box>
  )
}

/** On a phone five things are asked first; the rest is one tap away. */
function Narrow(props: StageProps) {
  const { job, unit, change } = props
  const [all, setAll] = useState(false)
  return (
    <Box sx={{ p: 2, display: 'grid', gap: 3 }}>
      {all ? (
        <>
          <Middle {...props} />
          <Nameplate unit={unit} change={change} />
          <Left job={job} change={change} />
        </>
      ) : (
        <FirstThings job={job} change={change} />
      )}
      <Button variant="outlined" color="inherit" aria-expanded={all} onClick={() => setAll(!all)}>
        {all ? 'Only what is asked first' : 'Whole plate, site, history, what is seen'}
      </Button>
    </Box>
  )
}

/** Unit and nameplate, complaint, site, what is seen; unknown is a valid answer everywhere. */
export function ArriveStage(props: StageProps) {
  const { job, unit, change } = props
  const isWide = useMediaQuery(IS_WIDE, { noSsr: true })
  if (!isWide) return <Narrow {...props} />
  return (
    <Box sx={{ p: 2, display: 'grid', gap: 3, gridTemplateColumns: '1fr 1fr 1fr' }}>
      <Left job={job} change={change} />
      <Middle {...props} />
      <Nameplate unit={unit} change={change} />
    </Box>
  )
}
