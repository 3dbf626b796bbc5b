'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { QuantityKind, Unit } from '@/core/base/units/units'
import { REFRIGERANT_NAMES, type RefrigerantName } from '@/core/physics/refrigerants/catalogue'
import { DRYER_FLOWS, DRYER_JOINTS } from '@/core/record/equipment/unit'
import { type Dryer, DRYER_CORES, DRYER_FORMS, DRYER_PLACES } from '@/core/record/records/dryer'
import { randomWord } from '@/data/newId'
import { Choice } from '@/ui/Choice'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { QuantityField } from '@/ui/QuantityField'
import { draftOf, type DryerDraft, EMPTY_DRAFT, readDraft } from './dryerDraft'

const CHIPS = [
  ['place', 'Place', DRYER_PLACES],
  ['flow', 'Flow', DRYER_FLOWS],
  ['core', 'Core', DRYER_CORES],
  ['form', 'Form', DRYER_FORMS],
  ['joint', 'Joints', DRYER_JOINTS],
] as const
const CORE_LABELS = { sieve: 'sieve', blend: 'sieve and alumina', 'high-acid': 'alumina-rich' }

const TEXTS = [
  ['label', 'Name', 'As it is called in your store.'],
  ['block', 'Block, in³', 'Volume of block or beads.'],
  ['connections', 'Connections', 'Outside diameters: 0.375 in; 12.7 mm'],
  ['tons', 'Tons', 'At 1 psi; suction dryers at 2 psi.'],
  ['onVan', 'On the van', 'How many. A dryer at hand is preferred.'],
] as const

const MEASURES = [
  ['pressure', 'Working pressure', 'pressure', 'psig'],
  ['waterR22', 'Water in R-22', 'mass', 'g'],
  ['waterOther', 'Water in R-410A and POE', 'mass', 'g'],
  ['length', 'Length, end to end', 'length', 'in'],
] as const satisfies readonly (readonly [keyof DryerDraft, string, QuantityKind, Unit])[]

type Props = {
  dryer: Dryer | undefined
  onSave: (dryer: Dryer) => void
  onClose: () => void
}

/** One own dryer, as its label and its maker's sheet say. */
export function DryerDialog({ dryer, onSave, onClose }: Props) {
  const [draft, setDraft] = useState<DryerDraft>(() => (dryer ? draftOf(dryer) : EMPTY_DRAFT))
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({})
  const set = (part: Partial<DryerDraft>) => setDraft((now) => ({ ...now, ...part }))
  const save = () => {
    const read = readDraft(draft, randomWord())
    if (read.ok) onSave(read.dryer)
    else setProblems(read.problems)
  }
  return (
    <Dialog open onClose={onClose} aria-labelledby="dryer-title" fullWidth maxWidth="sm">
      <DialogTitle id="dryer-title">{dryer ? 'Change a dryer' : 'Add a dryer'}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1.5, pt: '8px !important' }}>
        <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>
          {TEXTS.map(([key, label, help]) => (
            <TextField
              key={key}
              label={label}
              value={draft[key] ?? ''}
              error={problems[key] !== undefined}
              helperText={problems[key] ?? help}
              onChange={(event) => set({ [key]: event.target.value })}
            />
          ))}
          {MEASURES.map(([key, label, kind, unit]) => (
            <Box key={key}>
              <QuantityField
                label={label}
                kind={kind}
                defaultUnit={unit}
                value={draft[key]}
                onChange={(value) => set({ [key]: value })}
              />
              {problems[key] && (
                <Typography role="alert" sx={{ color: 'error.main', fontSize: '0.9rem' }}>
                  {label}: {problems[key]}
                </Typography>
              )}
            </Box>
          ))}
          <Choice<RefrigerantName>
            label="Tons are told for"
            value={draft.tonsFor ?? 'R-22'}
            values={REFRIGERANT_NAMES}
            onChange={(tonsFor) => set({ tonsFor })}
          />
        </Box>
        {CHIPS.map(([key, label, values]) => (
          <ChoiceChips
            key={key}
            label={label}
            values={values}
            value={draft[key]}
            labels={key === 'core' ? CORE_LABELS : { 'one-way': 'one-way', 'bi-flow': 'bi-flow' }}
            onChange={(word) => set({ [key]: word })}
          />
        ))}
        {Object.keys(problems).length > 0 && (
          <Typography role="alert" sx={{ color: 'error.main' }}>
            Not stored yet:{' '}
            {Object.entries(problems)
              .map(([key, message]) => `${key} ${message}`)
              .join('; ')}
            .
          </Typography>
        )}
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Cancel
        </Button>
        <Button variant="contained" onClick={save}>
          Store
        </Button>
      </DialogActions>
    </Dialog>
  )
}
