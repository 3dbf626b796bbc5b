'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { AutosaveField } from '@/ui/AutosaveField'
import type { StageProps } from '../stageProps'
import { REFRIGERANT_NAMES } from '@/core/physics/refrigerants/catalogue'
import {
  markConditionsChanged,
  removeSet,
  setBranch,
  setLabel,
  setNote,
  setRefrigerant,
} from '@/core/record/edits/setEdits'

/** Evaporators of one circuit that the list offers; a file may hold up to twelve. */
const BRANCHES = [1, 2, 3, 4] as const

type InsideProps = Pick<StageProps, 'set' | 'setId' | 'change' | 'saidRefrigerant' | 'unit'>

/** What was inside: it follows from what was charged until then, unless the technician knows better. */
function InsideField({ set, setId, change, saidRefrigerant, unit }: InsideProps) {
  const follows = saidRefrigerant === undefined ? `: ${set.refrigerant ?? unit.refrigerant}` : ''
  return (
    <TextField
      select
      label="Refrigerant inside"
      value={saidRefrigerant ?? ''}
      helperText="This set and later ones are judged by it, until another is charged"
      onChange={({ target: { value } }) =>
        void change(
          setRefrigerant(
            setId,
            REFRIGERANT_NAMES.find((name) => name === value),
          ),
        )
      }
    >
      <MenuItem value="">as charged until then{follows}</MenuItem>
      {REFRIGERANT_NAMES.map((name) => (
        <MenuItem key={name} value={name}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  )
}

/** Name of a set, what was different, its branch; conditions that changed; taking it out. */
export function SetDialog({
  job,
  set,
  setId,
  chooseSet,
  change,
  saidRefrigerant,
  unit,
  onClose,
}: StageProps & { onClose: () => void }) {
  const save = (make: typeof setLabel) => (text: string) => change(make(setId, text))
  const remove = () => {
    const at = job.readingSets.findIndex(({ id }) => id === setId)
    if (setId !== undefined) void change(removeSet(setId))
    chooseSet(job.readingSets[at - 1]?.id)
    onClose()
  }
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="set-title">
      <DialogTitle id="set-title">This reading set</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1.5 }}>
        <Box sx={{ pt: 1 }}>
          <AutosaveField label="Name of the set" value={set.label ?? ''} onSave={save(setLabel)} />
        </Box>
        <AutosaveField
          label="What was changed since the set before"
          value={set.note ?? ''}
          onSave={save(setNote)}
          multiline
        />
        <TextField
          select
          label="Branch"
          value={set.branch ?? ''}
          helperText="Which evaporator of several on one circuit"
          onChange={({ target }) =>
            void change(setBranch(setId, target.value === '' ? undefined : Number(target.value)))
          }
        >
          <MenuItem value="">whole circuit</MenuItem>
          {BRANCHES.map((branch) => (
            <MenuItem key={branch} value={branch}>
              branch {branch}
            </MenuItem>
          ))}
        </TextField>
        <InsideField {...{ set, setId, change, saidRefrigerant, unit }} />
        <Box>
          <Button variant="outlined" onClick={() => void change(markConditionsChanged(setId))}>
            Conditions changed now
          </Button>
          <Typography sx={{ color: 'text.secondary', fontSize: '0.9rem', mt: 0.5 }}>
            Fan, load, mode or charge changed: what was read before is greyed until it is read again.
          </Typography>
        </Box>
      </DialogContent>
      <DialogActions>
        <Button color="error" onClick={remove} disabled={job.readingSets.length === 0} sx={{ mr: 'auto' }}>
          Remove this set
        </Button>
        <Button variant="contained" onClick={onClose}>
          Done
        </Button>
      </DialogActions>
    </Dialog>
  )
}
