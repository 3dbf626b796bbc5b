'use client'
import EditOutlined from '@mui/icons-material/EditOutlined'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import IconButton from '@mui/material/IconButton'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import { type ReactNode, useState } from 'react'
import { MODES, type Mode, type ReadingSet } from '@/core/record/readings/schema'
import type { StageProps } from '../job/stageProps'
import { SetDialog } from './SetDialog'
import { addSet, withSet } from './sets'

/** More sets than these are chosen from a list. */
const MOST_SIDE_BY_SIDE = 2

export const setName = (set: ReadingSet, index: number) =>
  `${set.label ?? `set ${index + 1}`}${set.branch === undefined ? '' : `, branch ${set.branch}`}`

function WhichSet({ job, setIndex, chooseSet }: StageProps) {
  if (job.readingSets.length < 2) return null
  if (job.readingSets.length > MOST_SIDE_BY_SIDE)
    return (
      <TextField
        select
        label="Reading set"
        value={setIndex}
        onChange={({ target }) => chooseSet(Number(target.value))}
        sx={{ width: 170 }}
      >
        {job.readingSets.map((each, index) => (
          <MenuItem key={index} value={index}>
            {setName(each, index)}
          </MenuItem>
        ))}
      </TextField>
    )
  return (
    <ToggleButtonGroup
      exclusive
      value={setIndex}
      aria-label="Reading set"
      onChange={(_event, index: number | null) => index !== null && chooseSet(index)}
    >
      {job.readingSets.map((each, index) => (
        <ToggleButton key={index} value={index} sx={{ px: 1.25 }}>
          {setName(each, index)}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  )
}

/** Which set is looked at, its mode, and a new one. */
export function SetBar({ children, ...props }: StageProps & { children?: ReactNode }) {
  const { job, set, setIndex, chooseSet, change } = props
  const [editing, setEditing] = useState(false)
  const now = () => new Date().toISOString()
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
              change((current) => addSet(current, now()))
              chooseSet(job.readingSets.length)
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
        onChange={(_event, mode: Mode | null) =>
          mode && change((current) => withSet(current, setIndex, now(), (each) => ({ ...each, mode })))
        }
      >
        {MODES.map((mode) => (
          <ToggleButton key={mode} value={mode} sx={{ px: 1.25 }}>
            {mode}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {children}
      {editing && <SetDialog {...props} onClose={() => setEditing(false)} />}
    </Box>
  )
}
