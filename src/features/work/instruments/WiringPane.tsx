'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { addLead, setLead } from '@/core/record/edits/workEdits'
import type { MappedLead } from '@/core/record/records/run'
import { AutosaveField } from '@/ui/AutosaveField'
import type { InstrumentProps } from './instrumentProps'

const COLUMNS = [
  ['wire', 'Lead'],
  ['before', 'Was at'],
  ['after', 'Now at'],
] as const
type Column = (typeof COLUMNS)[number][0]

function LeadRow({ lead, change }: { lead: MappedLead } & Pick<InstrumentProps, 'change'>) {
  return (
    <Box component="li" sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 1fr auto', gap: 0.75, py: 0.5 }}>
      {COLUMNS.map(([column, label]) => (
        <AutosaveField
          key={column}
          label={label}
          size="small"
          value={lead[column] ?? ''}
          slotProps={{ htmlInput: { 'aria-label': `${label}, ${lead.wire}` } }}
          // a lead keeps its name: it is taken off the map by its button
          onSave={(text) =>
            column === 'wire' && text.trim() === ''
              ? 'Name the lead, or remove it.'
              : change(
                  setLead(lead.id, { [column]: text.trim() || undefined } as Partial<Record<Column, string>>),
                )
          }
        />
      ))}
      <Button
        color="inherit"
        aria-label={`Remove lead ${lead.wire}`}
        onClick={() => void change(setLead(lead.id, { wire: '' }))}
      >
        Remove
      </Button>
    </Box>
  )
}

/** Terminal to wire, before and after: what was changed can be read and undone. */
export function WiringPane({ job, change }: InstrumentProps) {
  const [wire, setWire] = useState('')
  const leads = job.run?.wiring ?? []
  const open = leads.filter(({ before, after }) => before !== undefined && after === undefined).length
  const add = () => {
    if (wire.trim() === '') return
    void change(addLead({ wire: wire.trim() }))
    setWire('')
  }
  return (
    <Box component="section" aria-label="Wiring map">
      <Typography sx={{ fontWeight: 650 }}>
        Wiring map{leads.length > 0 && `, ${leads.length} lead${leads.length === 1 ? '' : 's'}`}
        {open > 0 && `, ${open} off`}
      </Typography>
      <Box component="ul" aria-label="Leads" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {leads.map((lead) => (
          <LeadRow key={lead.id} lead={lead} change={change} />
        ))}
      </Box>
      <Box
        component="form"
        sx={{ display: 'flex', gap: 1, alignItems: 'center', maxWidth: 420 }}
        onSubmit={(event) => {
          event.preventDefault()
          add()
        }}
      >
        <TextField
          label="Lead: colour or mark"
          size="small"
          fullWidth
          value={wire}
          onChange={(event) => setWire(event.target.value)}
        />
        <Button type="submit" variant="outlined" disabled={wire.trim() === ''}>
          Add
        </Button>
      </Box>
    </Box>
  )
}
