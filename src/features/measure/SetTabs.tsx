'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import { MODES, type Mode } from '@/core/readings/schema'
import type { StageProps } from '../job/stageProps'
import { addSet, withSet } from './sets'

/** Evaporators of one circuit that the list offers; a file may hold up to twelve. */
const BRANCHES = [1, 2, 3, 4] as const

/** Which set is looked at, its mode, and a new one. */
export function SetTabs({ job, set, setIndex, chooseSet, change }: StageProps) {
  const now = () => new Date().toISOString()
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, px: 2, py: 1, alignItems: 'center' }}>
      {job.readingSets.length > 1 && (
        <ToggleButtonGroup
          exclusive
          value={setIndex}
          aria-label="Reading set"
          onChange={(_event, index: number | null) => index !== null && chooseSet(index)}
        >
          {job.readingSets.map((each, index) => (
            <ToggleButton key={`${index}-${each.at ?? ''}`} value={index} sx={{ px: 1.5 }}>
              {each.label ?? `set ${index + 1}`}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
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
          <ToggleButton key={mode} value={mode} sx={{ px: 1.5 }}>
            {mode}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {(job.readingSets.length > 1 || set.branch !== undefined) && (
        <TextField
          select
          label="Branch"
          value={set.branch ?? ''}
          onChange={({ target }) =>
            change((current) =>
              withSet(current, setIndex, now(), (each) => ({
                ...each,
                branch: target.value === '' ? undefined : Number(target.value),
              })),
            )
          }
          sx={{ width: 116 }}
        >
          <MenuItem value="">whole</MenuItem>
          {BRANCHES.map((branch) => (
            <MenuItem key={branch} value={branch}>
              branch {branch}
            </MenuItem>
          ))}
        </TextField>
      )}
      {job.readingSets.length > 0 && (
        <Button
          color="inherit"
          onClick={() => {
            change((current) => addSet(current, now()))
            chooseSet(job.readingSets.length)
          }}
        >
          + New set
        </Button>
      )}
    </Box>
  )
}
