'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { setCaption } from '@/core/record/edits/listEdits'
import type { Attachment } from '@/core/record/records/attachment'
import { systemClock } from '@/data/clock'
import { removeStoredPhoto } from '@/data/photos'
import { database } from '@/data/shared'
import { AutosaveField } from '@/ui/AutosaveField'
import { ConfirmDialog } from '@/ui/ConfirmDialog'
import type { ChangeJob } from '../record/changes'
import { storeSentence } from '../storage/storeSentence'
import { PhotoButton } from './PhotoButton'
import { usePhoto } from './usePhoto'

type PhotoProps = {
  jobId: string
  photo: Attachment
  change: ChangeJob
  onProblem: (problems: readonly string[]) => void
}

/** One photo: it opens whole in a page of its own. */
function Photo({ jobId, photo, change, onProblem }: PhotoProps) {
  const address = usePhoto(jobId, photo.id)
  const [asking, setAsking] = useState(false)
  const name = photo.caption || photo.name
  const remove = () =>
    void removeStoredPhoto(database(), jobId, photo.id, systemClock).catch((error: Error) =>
      onProblem([`${name}: ${storeSentence(error)}`]),
    )
  return (
    <Box component="li" data-photo={photo.id} sx={{ display: 'grid', gap: 0.75, alignContent: 'start' }}>
      {address ? (
        <a href={address} target="_blank" rel="noreferrer">
          {/* a picture from this browser's own store: nothing is fetched or resized for it */}
          {/* eslint-disable-next-line @next/next/no-img-element */}
          <img
            src={address}
            alt={name}
            style={{ width: '100%', height: 160, objectFit: 'cover', display: 'block', borderRadius: 4 }}
          />
        </a>
      ) : (
        <Box
          sx={{ height: 160, display: 'grid', placeItems: 'center', border: 1, borderColor: 'divider', p: 1 }}
        >
          <Typography sx={{ color: 'text.secondary', textAlign: 'center' }}>
            {address === '' && `${photo.name} is not in this browser: import the .orzo.zip file of this job`}
          </Typography>
        </Box>
      )}
      <AutosaveField
        label="What it shows"
        value={photo.caption ?? ''}
        onSave={(text) => change(setCaption(photo.id, text))}
        placeholder={photo.name}
      />
      <Button color="error" sx={{ justifySelf: 'start' }} onClick={() => setAsking(true)}>
        Remove
      </Button>
      {asking && (
        <ConfirmDialog
          title="Remove this photo?"
          doLabel="Remove"
          onClose={() => setAsking(false)}
          onDo={remove}
        >
          “{name}” goes from this browser; this cannot be undone.
        </ConfirmDialog>
      )}
    </Box>
  )
}

type Props = { jobId: string; photos: readonly Attachment[]; change: ChangeJob }

/** The photos of a job. */
export function Photos({ jobId, photos, change }: Props) {
  const [problems, setProblems] = useState<readonly string[]>([])
  return (
    <Box component="section" aria-labelledby="photos-title" sx={{ display: 'grid', gap: 1 }}>
      <Typography id="photos-title" variant="h2">
        Photos
      </Typography>
      {problems.length > 0 && (
        <Alert severity="error" sx={{ whiteSpace: 'pre-line' }} onClose={() => setProblems([])}>
          {problems.join('\n')}
        </Alert>
      )}
      {photos.length > 0 && (
        <Box
          component="ul"
          aria-label="Photos"
          sx={{
            listStyle: 'none',
            m: 0,
            p: 0,
            display: 'grid',
            gap: 2,
            gridTemplateColumns: 'repeat(auto-fill, minmax(200px, 1fr))',
          }}
        >
          {photos.map((photo) => (
            <Photo key={photo.id} jobId={jobId} photo={photo} change={change} onProblem={setProblems} />
          ))}
        </Box>
      )}
      <PhotoButton jobId={jobId} label="Add photos" testId="photo-file" onProblems={setProblems} />
    </Box>
  )
}
