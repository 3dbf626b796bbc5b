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
import type { ReadingSet } from '@/core/record/readings/schema'
import { AutosaveField } from '@/ui/AutosaveField'
import type { StageProps } from '../job/stageProps'
import { withoutSet, withSet } from './sets'

/** Evaporators of one circuit that the list offers; a file may hold up to twelve. */
const BRANCHES = [1, 2, 3, 4] as const

/** Name of a set, what was different, its branch; conditions that changed; taking it out. */
export function SetDialog({
  job,
  set,
  setIndex,
  chooseSet,
  change,
  onClose,
}: StageProps & { onClose: () => void }) {
  const edit = (recipe: (each: ReadingSet) => ReadingSet) =>
    change((current) => withSet(current, setIndex, new Date().toISOString(), recipe))
  const save = (key: 'label' | 'note') => (text: string) => {
    edit((each) => ({ ...each, [key]: text || undefined }))
    return undefined
  }
  const remove = () => {
    change((current) => withoutSet(current, setIndex))
    chooseSet(Math.max(setIndex - 1, 0))
    onClose()
  }
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="set-title">
      <DialogTitle id="set-title">This reading set</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1.5 }}>
        <Box sx={{ pt: 1 }}>
          <AutosaveField label="Name of the set" value={set.label ?? ''} onSave={save('label')} />
        </Box>
        <AutosaveField
          label="What was changed since the set before"
          value={set.note ?? ''}
          onSave={save('note')}
          multiline
        />
        <TextField
          select
          label="Branch"
          value={set.branch ?? ''}
          helperText="Which evaporator of several on one circuit"
          onChange={({ target }) =>
            edit((each) => ({ ...each, branch: target.value === '' ? undefined : Number(target.value) }))
          }
        >
          <MenuItem value="">whole circuit</MenuItem>
          {BRANCHES.map((branch) => (
            <MenuItem key={branch} value={branch}>
              branch {branch}
            </MenuItem>
          ))}
        </TextField>
        <Box>
          <Button
            variant="outlined"
            onClick={() => edit((each) => ({ ...each, changedAt: new Date().toISOString() }))}
          >
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
