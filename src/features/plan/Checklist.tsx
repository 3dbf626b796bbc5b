'use client'
import Box from '@mui/material/Box'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import type { ReactNode } from 'react'

type Line = { readonly id: string; readonly label: string; readonly detail?: ReactNode }
type Props = {
  lines: readonly Line[]
  ticked: readonly string[]
  onTick: (id: string, on: boolean) => void
  ordered?: boolean
  label: string
}

/** Lines to tick off; what was ticked is kept with the job. */
export function Checklist({ lines, ticked, onTick, ordered, label }: Props) {
  return (
    <Box component={ordered ? 'ol' : 'ul'} aria-label={label} sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {lines.map((line, i) => (
        <Box component="li" key={line.id} sx={{ borderBottom: 1, borderColor: 'divider', py: 0.25 }}>
          <FormControlLabel
            sx={{ alignItems: 'center', m: 0, minHeight: 48, width: '100%' }}
            control={
              <Checkbox
                checked={ticked.includes(line.id)}
                onChange={(event) => onTick(line.id, event.target.checked)}
                sx={{ width: 48, height: 48, flexShrink: 0 }}
              />
            }
            label={`${ordered ? `${i + 1}. ` : ''}${line.label}`}
          />
          {line.detail && <Box sx={{ pl: 6, pb: 1, mt: -0.5 }}>{line.detail}</Box>}
        </Box>
      ))}
    </Box>
  )
}
