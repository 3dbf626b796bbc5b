'use client'
import Box from '@mui/material/Box'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { format } from 'date-fns'
import { useLiveQuery } from 'dexie-react-hooks'
import Link from 'next/link'
import { database } from '@/data/database'
import { listJobs, type StoredJob } from '@/data/jobs'
import { decidedText } from '../close/decided'
import { titleOf } from '../jobs/jobText'
import { jobsOfUnit, platesToCopy } from './history'
import { type PlatePart, Section } from './parts'

/** What was done to this unit before, as far as this browser knows; and the plate of another unit to start from. */
export function UnitHistory({ job, change }: { job: StoredJob } & Pick<PlatePart, 'change'>) {
  const all = useLiveQuery(() => listJobs(database()), []) ?? []
  const before = jobsOfUnit(job, all)
  const plates = platesToCopy(job, all)
  const copy = (id: string) => {
    const other = plates.find((each) => each.id === id)
    if (other) change((unit) => ({ ...other.unit, name: unit.name, site: unit.site ?? other.unit.site }))
  }
  return (
    <Section title="This unit before">
      {before.length === 0 ? (
        <Typography sx={{ color: 'text.secondary' }}>
          No other job here carries this unit’s name. A compressor that fails again within a year or two is
          another job than a first failure: ask.
        </Typography>
      ) : (
        <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {before.map((other) => (
            <li key={other.id}>
              <Link
                href={`/job/${encodeURIComponent(other.id)}/close`}
                style={{ display: 'block', minHeight: 48, padding: '6px 0', color: 'inherit' }}
              >
                {format(new Date(other.createdAt), 'd MMM yyyy')}:{' '}
                {other.arrival?.complaint ?? titleOf(other)}
                <Typography
                  component="span"
                  sx={{ display: 'block', color: 'text.secondary', fontSize: '0.9rem' }}
                >
                  {[decidedText(other), other.closing?.replaced].filter(Boolean).join('. ') ||
                    'nothing decided'}
                </Typography>
              </Link>
            </li>
          ))}
        </Box>
      )}
      {plates.length > 0 && (
        <TextField
          select
          label="Copy the plate of"
          value=""
          helperText="Replaces this plate; undo brings it back."
          onChange={({ target }) => copy(target.value)}
        >
          {plates.map((other) => (
            <MenuItem key={other.id} value={other.id} sx={{ minHeight: 48 }}>
              {titleOf(other)}
            </MenuItem>
          ))}
        </TextField>
      )}
    </Section>
  )
}
