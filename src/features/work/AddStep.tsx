'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { addOwnStep, addTaken, together } from '@/core/record/edits/workEdits'
import { ADDED_KINDS, type AddedKind } from '@/core/repair/plan/tasks/own'
import { randomWord } from '@/data/newId'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { useKept } from '../shared/display/useKept'
import type { StageProps } from '../shared/stageProps'

const KIND_LABELS: Readonly<Record<AddedKind, string>> = {
  closed: 'circuit stays closed',
  opens: 'opens the circuit',
  flame: 'uses a flame on it',
}

type Props = Pick<StageProps, 'change'> & {
  /** id of the job */
  job: string
  /** the task after which it stands, and its label */
  after: { readonly id: string; readonly label: string } | undefined
  onAdded: (task: string) => void
}

/** A step that no plan knows: what is done, what it does to the circuit, what it takes off. */
export function AddStep({ job, change, after, onAdded }: Props) {
  // half typed, it stays when one leaves in the middle
  const [open, setOpen] = useKept(`own step open ${job}`, false)
  const [label, setLabel] = useKept(`own step label ${job}`, '')
  const [kind, setKind] = useKept<AddedKind>(`own step kind ${job}`, 'closed')
  const [off, setOff] = useKept(`own step off ${job}`, '')
  const add = async () => {
    const task = `own-${kind}-${randomWord()}`
    const taken = off.trim() === '' ? [] : [addTaken(off.trim())]
    if (!(await change(together(addOwnStep(task, label.trim(), after?.id), ...taken)))) return
    setLabel('')
    setOff('')
    setKind('closed')
    setOpen(false)
    onAdded(task)
  }
  if (!open)
    return (
      <Button variant="outlined" sx={{ minHeight: 48, justifySelf: 'start' }} onClick={() => setOpen(true)}>
        Add a step of your own
      </Button>
    )
  return (
    <Box
      component="form"
      aria-label="A step of your own"
      sx={{
        display: 'grid',
        gap: 1.5,
        maxWidth: 600,
        border: 1,
        borderColor: 'divider',
        borderRadius: 1,
        p: 1.5,
      }}
      onSubmit={(event) => {
        event.preventDefault()
        if (label.trim() !== '') void add()
      }}
    >
      {after && <Typography>After: {after.label}</Typography>}
      <TextField
        autoFocus
        label="What is done"
        value={label}
        onChange={({ target }) => setLabel(target.value)}
        slotProps={{ htmlInput: { maxLength: 200 } }}
      />
      <ChoiceChips
        label="What it does"
        values={ADDED_KINDS}
        labels={KIND_LABELS}
        value={kind}
        onChange={(word) => setKind(ADDED_KINDS.find((each) => each === word) ?? 'closed')}
      />
      <TextField
        label="What it takes off, if anything"
        value={off}
        onChange={({ target }) => setOff(target.value)}
        slotProps={{ htmlInput: { maxLength: 200 } }}
      />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button type="submit" variant="contained" disabled={label.trim() === ''} sx={{ minHeight: 48 }}>
          Add it
        </Button>
        <Button color="inherit" onClick={() => setOpen(false)} sx={{ minHeight: 48 }}>
          Cancel
        </Button>
      </Box>
    </Box>
  )
}
