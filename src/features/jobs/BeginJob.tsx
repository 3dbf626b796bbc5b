'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Typography from '@mui/material/Typography'
import dynamic from 'next/dynamic'
import { useState } from 'react'
import type { Plate } from '@/core/record/equipment/unit'
import { type Beginning, BEGINNINGS } from '@/core/record/job/begin'
import { BROKEN, type Broken } from '@/core/record/records/head'

/** Comes with the second question: the first one must be there at once. */
const AskField = dynamic(() => import('../shared/unit/AskUnit').then((file) => file.AskField), { ssr: false })

/** What is broken and, where it was said, the kind of the unit. */
export type Begun = { readonly broken: Broken | undefined; readonly kind: Plate['kind'] }

const LEADS_TO: Readonly<Record<Beginning, string>> = {
  circuit: 'the circuit, running',
  standing: 'the circuit at rest',
  bench: 'the electrical bench',
  verdict: 'the verdict: what, by whom, when',
}

type Props = { onBegin: (begun: Begun) => void; disabled?: boolean }

const BIG = { minHeight: 64, justifyContent: 'flex-start', textAlign: 'left', px: 2 } as const

/** Two taps: what is broken, which kind of unit; both can be left open. */
export function BeginJob({ onBegin, disabled = false }: Props) {
  const [broken, setBroken] = useState<Broken | 'other'>()
  const begin = (kind: Plate['kind']) => onBegin({ broken: broken === 'other' ? undefined : broken, kind })
  if (broken === undefined)
    return (
      <Box role="group" aria-labelledby="broken-title" sx={{ display: 'grid', gap: 1 }}>
        <Typography variant="h2" id="broken-title">
          What is broken?
        </Typography>
        <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>
          {BROKEN.map((each) => (
            <Button
              key={each}
              variant="outlined"
              color="inherit"
              disabled={disabled}
              onClick={() => setBroken(each)}
              sx={BIG}
            >
              <span>
                <strong>{BEGINNINGS[each].complaint}</strong>
                <Typography
                  component="span"
                  sx={{ display: 'block', color: 'text.secondary', fontSize: '0.9rem' }}
                >
                  begins at {LEADS_TO[BEGINNINGS[each].at]}
                </Typography>
              </span>
            </Button>
          ))}
          <Button
            variant="outlined"
            color="inherit"
            disabled={disabled}
            onClick={() => setBroken('other')}
            sx={BIG}
          >
            Something else
          </Button>
        </Box>
      </Box>
    )
  return (
    <Box sx={{ display: 'grid', gap: 1.5, justifyItems: 'start' }}>
      <AskField field="kind" value={undefined} onChange={(kind) => begin(kind as Plate['kind'])} />
      <Button color="inherit" onClick={() => begin(undefined)}>
        Not known yet
      </Button>
    </Box>
  )
}

/** The same over a list that is not empty. */
export function BeginDialog({ onBegin, onClose }: Props & { onClose: () => void }) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="new-job" fullWidth maxWidth="sm">
      <DialogTitle id="new-job">New job</DialogTitle>
      <DialogContent>
        <BeginJob onBegin={onBegin} />
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Cancel
        </Button>
      </DialogActions>
    </Dialog>
  )
}
