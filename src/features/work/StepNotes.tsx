'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useState } from 'react'
import { noteStep, pinPhoto, together } from '@/core/record/edits/workEdits'
import type { SheetStep } from '@/core/repair/work/runSheet'
import { AutosaveField } from '@/ui/AutosaveField'
import { PhotoButton } from '../shared/photos/PhotoButton'
import { usePhoto } from '../shared/photos/usePhoto'
import type { StageProps } from '../shared/stageProps'

type Props = Pick<StageProps, 'job' | 'change'> & { step: SheetStep }

function Thumb({ jobId, id, name, onOff }: { jobId: string; id: string; name: string; onOff: () => void }) {
  const address = usePhoto(jobId, id)
  return (
    <Box component="li" sx={{ display: 'grid', gap: 0.5 }}>
      {address ? (
        // a picture from this browser's own store: nothing is fetched or resized for it
        // eslint-disable-next-line @next/next/no-img-element
        <img
          src={address}
          alt={name}
          style={{ width: 96, height: 72, objectFit: 'cover', borderRadius: 4 }}
        />
      ) : (
        <Box sx={{ width: 96, height: 72, border: 1, borderColor: 'divider' }} />
      )}
      <Button size="small" color="inherit" onClick={onOff}>
        Take off
      </Button>
    </Box>
  )
}

/** What is remembered of a step: words, and photos that are made small and kept with the job. */
export function StepNotes({ job, change, step }: Props) {
  const [problems, setProblems] = useState<readonly string[]>([])
  const id = step.task.id
  const photos = (step.record?.photos ?? []).flatMap(
    (each) => job.attachments.find((photo) => photo.id === each) ?? [],
  )
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      {problems.length > 0 && (
        <Alert severity="error" sx={{ whiteSpace: 'pre-line' }} onClose={() => setProblems([])}>
          {problems.join('\n')}
        </Alert>
      )}
      <Box data-note sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
        <AutosaveField
          label="Note to this step"
          value={step.record?.note ?? ''}
          onSave={(text) => change(noteStep(id, text))}
          multiline
        />
        <PhotoButton
          jobId={job.id}
          label="Photo"
          testId="step-photo"
          onProblems={setProblems}
          onAdded={(ids) => change(together(...ids.map((photo) => pinPhoto(id, photo, true))))}
        />
      </Box>
      {photos.length > 0 && (
        <Box
          component="ul"
          aria-label="Photos of this step"
          sx={{ listStyle: 'none', m: 0, p: 0, display: 'flex', flexWrap: 'wrap', gap: 1 }}
        >
          {photos.map((photo) => (
            <Thumb
              key={photo.id}
              jobId={job.id}
              id={photo.id}
              name={photo.caption || photo.name}
              onOff={() => void change(pinPhoto(id, photo.id, false))}
            />
          ))}
        </Box>
      )}
    </Box>
  )
}
