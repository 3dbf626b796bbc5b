'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { overrideClose } from '@/core/record/edits/listEdits'
import { isReason } from '@/core/record/job/decisions'
import type { ClosePlace, ClosePoint } from '@/core/report/closePoints'
import { AutosaveField } from '@/ui/AutosaveField'
import { goToPlace, PlaceButton } from '../shared/place/PlaceButton'
import type { StageProps } from '../shared/stageProps'
import { fieldId } from './fieldId'

type Props = Pick<StageProps, 'job' | 'change'> & { points: readonly ClosePoint[] }

/** Brings a field of this page under the hand. */
function goToField(field: string): void {
  const element = document.getElementById(fieldId(field))
  element?.scrollIntoView({ block: 'center' })
  element?.focus()
}

function Place({ place, jobId }: { place: ClosePlace | undefined; jobId: string }) {
  if (!place) return null
  if (place.at !== 'close') return <PlaceButton place={place} onOpen={(to) => goToPlace(jobId, to)} />
  return (
    <Button variant="outlined" sx={{ minHeight: 48, mt: 0.5 }} onClick={() => goToField(place.field)}>
      Go to the field
    </Button>
  )
}

/** A reason that is too short passes nothing, and says so. */
const reasonHelp = (reason: string): string | undefined =>
  reason !== '' && !isReason(reason)
    ? 'Say in some words why: fewer than eight letters pass nothing.'
    : undefined

function Point({ point, job, change }: { point: ClosePoint } & Pick<Props, 'job' | 'change'>) {
  const { id, name, missing, state, canOverride, override, place } = point
  const own = job.closing?.overrides?.find((each) => each.point === id)?.reason ?? ''
  const isPassedElsewhere = state === 'overridden' && own === ''
  const [isAsked, setAsked] = useState(false)
  const [isOpen, setOpen] = useState(false)
  // what was written stays in sight, also while it is typed anew
  if ((isAsked || own !== '') && !isOpen) setOpen(true)
  return (
    <Box
      component="li"
      data-close-point={id}
      data-state={state}
      sx={{ py: 1, borderBottom: 1, borderColor: 'divider' }}
    >
      <Typography sx={{ fontWeight: 650 }}>
        {state === 'missing' ? '△' : '○'} {name}
      </Typography>
      <Typography sx={{ color: 'text.secondary' }}>
        {state === 'missing' ? 'Not on record: ' : 'Passed in writing; not on record: '}
        {missing.join('; ')}
      </Typography>
      {isPassedElsewhere && <Typography>“{override}”</Typography>}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <Place place={place} jobId={job.id} />
        {canOverride && !isPassedElsewhere && !isOpen && (
          <Button
            color="inherit"
            aria-label={`Pass in writing: ${name}`}
            sx={{ minHeight: 48 }}
            onClick={() => setAsked(true)}
          >
            Pass in writing
          </Button>
        )}
      </Box>
      {canOverride && !isPassedElsewhere && isOpen && (
        <AutosaveField
          label={`Why without: ${name}`}
          value={own}
          autoFocus={isAsked}
          onSave={(text) => change(overrideClose(id, text))}
          helperText={reasonHelp(own)}
          size="small"
          fullWidth
          multiline
          sx={{ mt: 1 }}
        />
      )}
    </Box>
  )
}

/** What the job is not closed for, each with where it is done, or passed in writing. */
export function Missing({ job, change, points }: Props) {
  const open = points.filter(({ state }) => state !== 'met')
  const met = points.length - open.length
  return (
    <Box component="section" aria-labelledby="missing-title">
      <Typography id="missing-title" variant="h2">
        Before it is closed
      </Typography>
      <Typography data-met={met}>
        {open.length === 0
          ? `● All ${points.length} points are on record.`
          : `${met} of ${points.length} points are on record.`}
      </Typography>
      {open.length > 0 && (
        <Box component="ul" aria-label="Points that are not on record" sx={{ listStyle: 'none', p: 0, m: 0 }}>
          {open.map((point) => (
            <Point key={point.id} point={point} job={job} change={change} />
          ))}
        </Box>
      )}
    </Box>
  )
}
