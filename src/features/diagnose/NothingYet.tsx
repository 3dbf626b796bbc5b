'use client'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { JobAnchor } from '../shared/address/JobAnchor'
import type { StageProps } from '../shared/stageProps'

/** Before anything is read nothing is condemned: the first reading is offered instead. */
export function NothingReadYet({ job, diagnosis, openTap }: StageProps) {
  const first = diagnosis.nextChecks.find(({ taps }) => taps.length > 0)
  return (
    <section aria-labelledby="gate-title">
      <Typography id="gate-title" variant="h2" gutterBottom>
        Nothing is read yet
      </Typography>
      <Typography sx={{ mb: 1 }}>The list shows how often each is found; every reading moves it.</Typography>
      <Button
        component={JobAnchor}
        jobId={job.id}
        page="measure"
        variant="contained"
        sx={{ minHeight: 48 }}
        onClick={() => openTap(first?.taps[0])}
      >
        {first
          ? `Begin: ${first.label.charAt(0).toLowerCase()}${first.label.slice(1)}`
          : 'Take the first reading'}
      </Button>
    </section>
  )
}

/** A sound circuit has no part to condemn. */
export const NothingToCondemn = ({ suspect }: Pick<StageProps, 'suspect'>) => (
  <section aria-labelledby="gate-title">
    <Typography id="gate-title" variant="h2" gutterBottom>
      {suspect.label}
    </Typography>
    <Typography>
      No part is condemned for it and nothing is repaired. What speaks against it stands beside.
    </Typography>
  </section>
)
