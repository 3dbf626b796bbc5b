'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { format } from 'date-fns'
import { markRetest, setRetestResult } from '@/core/record/edits/workEdits'
import { type RetestRow, retestRows } from '@/core/repair/work/retests'
import { AutosaveField } from '@/ui/AutosaveField'
import { leftText } from '../stateWords'
import type { InstrumentProps } from './instrumentProps'

const WORDS: Readonly<Record<RetestRow['state'], string>> = {
  ahead: '○ ahead',
  due: '△ due',
  running: '◔ running',
  done: '● done',
}

/** Acid and moisture tests after the start: when they are due, the clock of the kit, what they said. */
export function RetestPane({ job, change, answer, now }: InstrumentProps) {
  const rows = retestRows(answer.plan, job.repair, job.run, now)
  if (rows.length === 0) return null
  return (
    <Box component="section" aria-label="Tests after the start">
      <Typography sx={{ fontWeight: 650 }}>Tests after the start</Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {rows.map((row) => (
          <Box
            component="li"
            key={row.id}
            data-retest={row.id}
            data-state={row.state}
            sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', py: 0.5 }}
          >
            <Typography sx={{ flex: 1, minWidth: 220 }}>
              {WORDS[row.state]} {row.what}, {format(new Date(row.dueAt), 'EEE d MMM HH:mm')}
              {row.kitLeft !== undefined && `: ${leftText(row.kitLeft)}`}
            </Typography>
            {(row.state === 'due' || row.state === 'ahead') && (
              <Button variant="outlined" onClick={() => void change(markRetest(row, 'startedAt'))}>
                Start the kit’s clock
              </Button>
            )}
            {row.state === 'running' && (
              <Button variant="outlined" onClick={() => void change(markRetest(row, 'doneAt'))}>
                Read
              </Button>
            )}
            {row.known && (
              <AutosaveField
                label="What it says"
                value={row.known.result ?? ''}
                onSave={(text) => change(setRetestResult(row, text))}
              />
            )}
          </Box>
        ))}
      </Box>
    </Box>
  )
}
