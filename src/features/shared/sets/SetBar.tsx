'use client'
import { setName } from '@/core/report/setName'
import EditOutlined from '@mui/icons-material/EditOutlined'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import IconButton from '@mui/material/IconButton'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import { type ReactNode, useState } from 'react'
import { MODES, type Mode } from '@/core/record/readings/schema'
import type { StageProps } from '../stageProps'
import { Choice } from '@/ui/Choice'
import { SetDialog } from './SetDialog'
import { addSet, setMode } from '@/core/record/edits/setEdits'
import { randomWord } from '@/data/newId'

/** More sets than these are chosen from a list. */
const MOST_SIDE_BY_SIDE = 2

function WhichSet({ job, setId, chooseSet }: StageProps) {
  if (job.readingSets.length < 2) return null
  if (job.readingSets.length > MOST_SIDE_BY_SIDE)
    return (
      <Box sx={{ width: 190 }}>
        <Choice
          label="Reading set"
          value={setId ?? ''}
          values={job.readingSets.map(({ id }) => id)}
          labels={Object.fromEntries(job.readingSets.map((each, i) => [each.id, setName(each, i)]))}
          onChange={chooseSet}
        />
      </Box>
    )
  return (
    <ToggleButtonGroup
      exclusive
      value={setId}
      aria-label="Reading set"
      onChange={(_event, id: string | null) => id !== null && chooseSet(id)}
    >
      {job.readingSets.map((each, index) => (
        <ToggleButton key={each.id} value={each.id} sx={{ px: 1.25 }}>
          {setName(each, index)}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  )
}

/** What was inside at this set, where it is not what the plate says: its readings are judged by it. */
function Inside({ set, job }: StageProps) {
  if (set.refrigerant === undefined || set.refrigerant === job.unit.refrigerant) return null
  return (
    <Typography component="span" data-inside sx={{ fontWeight: 650 }}>
      {set.refrigerant} inside
    </Typography>
  )
}

/** Which set is looked at, its mode, and a new one. */
export function SetBar({ children, ...props }: StageProps & { children?: ReactNode }) {
  const { job, set, setId, chooseSet, change } = props
  const [editing, setEditing] = useState(false)
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, px: 1.5, py: 1, alignItems: 'center' }}>
      <WhichSet {...props} />
      {job.readingSets.length > 0 && (
        <>
          <IconButton aria-label="Edit this set" onClick={() => setEditing(true)}>
            <EditOutlined />
          </IconButton>
          <Button
            color="inherit"
            onClick={() => {
              const id = randomWord()
              void change(addSet(id)).then((stored) => stored && chooseSet(id))
            }}
          >
            + New set
          </Button>
        </>
      )}
      <ToggleButtonGroup
        exclusive
        value={set.mode}
        aria-label="Mode"
        onChange={(_event, mode: Mode | null) => mode && void change(setMode(setId, mode))}
      >
        {MODES.map((mode) => (
          <ToggleButton key={mode} value={mode} sx={{ px: 1.25 }}>
            {mode}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Inside {...props} />
      {children}
      {editing && <SetDialog {...props} onClose={() => setEditing(false)} />}
    </Box>
  )
}
