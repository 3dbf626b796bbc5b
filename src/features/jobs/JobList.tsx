'use client'
import { useUnits } from '@/ui/units'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { formatDistance } from 'date-fns'
import dynamic from 'next/dynamic'
import Link from 'next/link'
import { memo, useEffect, useRef, useState } from 'react'
import type { JobIndexRow } from '@/data/database'
import { STAGE_LABELS } from '../shared/stageNames'
import { titleOf, unitLine } from '@/core/report/jobText'

/** Fetched when jobs are chosen instead of opened. */
const Checkbox = dynamic(() => import('@mui/material/Checkbox'), { ssr: false })

const LINE = {
  display: 'grid',
  gridTemplateColumns: { xs: '1fr auto', md: '1fr 160px 180px' },
  columnGap: 2,
  alignItems: 'center',
  minHeight: 64,
  px: 2,
  py: 1,
  color: 'text.primary',
  textDecoration: 'none',
  flex: 1,
  minWidth: 0,
  '&:hover': { bgcolor: 'background.paper' },
} as const

type LineProps = {
  job: JobIndexRow
  now: number
  /** undefined: jobs are opened, not chosen */
  chosen: boolean | undefined
  onChoose: (id: string) => void
}

const JobLine = memo(function JobLine({ job, now, chosen, onChoose }: LineProps) {
  const { id, summary, progress, updatedAt } = job
  const { say } = useUnits()
  return (
    <Box
      component="li"
      sx={{ borderBottom: 1, borderColor: 'divider', display: 'flex', alignItems: 'center' }}
    >
      {chosen !== undefined && (
        <Checkbox
          checked={chosen}
          onChange={() => onChoose(id)}
          slotProps={{ input: { 'aria-label': `Choose ${titleOf(summary)}` } }}
          sx={{ width: 48, height: 48 }}
        />
      )}
      <Box
        component={Link}
        href={`/job/${encodeURIComponent(id)}/${progress}`}
        // ten thousand links would each fetch a page ahead
        prefetch={false}
        sx={LINE}
      >
        <span>
          <Typography component="span" sx={{ fontWeight: 650, fontSize: '1.1rem', display: 'block' }}>
            {titleOf(summary)}
          </Typography>
          <Typography component="span" sx={{ color: 'text.secondary', fontSize: '0.95rem' }}>
            {[summary.siteName, say(unitLine(summary)), summary.complaint].filter(Boolean).join(' · ')}
          </Typography>
        </span>
        <Typography component="span" sx={{ color: 'primary.main', fontWeight: 650 }}>
          {STAGE_LABELS[progress]}
        </Typography>
        <Typography component="span" sx={{ color: 'text.secondary', display: { xs: 'none', md: 'block' } }}>
          {formatDistance(new Date(updatedAt), now, { addSuffix: true })}
        </Typography>
      </Box>
    </Box>
  )
})

/** Lines that are drawn at once; more come as one scrolls to them. */
const WINDOW = 40

/** Calls when the end of the list comes into sight. */
function useAtEnd(onEnd: () => void) {
  const end = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (!end.current || typeof IntersectionObserver === 'undefined') return
    const observer = new IntersectionObserver(([entry]) => entry?.isIntersecting && onEnd())
    observer.observe(end.current)
    return () => observer.disconnect()
  }, [onEnd])
  return end
}

function More({ left, onMore }: { left: number; onMore: () => void }) {
  const end = useAtEnd(onMore)
  return (
    <Box ref={end} sx={{ display: 'flex', justifyContent: 'center' }}>
      <Button color="inherit" onClick={onMore}>
        Show more of {left.toLocaleString('en')}
      </Button>
    </Box>
  )
}

type Props = {
  jobs: readonly JobIndexRow[]
  now: number
  chosen: ReadonlySet<string> | undefined
  onChoose: (id: string) => void
}

/** A window of the jobs, longer as one goes down. */
export function JobList({ jobs, now, chosen, onChoose }: Props) {
  const [size, setSize] = useState(WINDOW)
  const shown = jobs.slice(0, size)
  return (
    <>
      <Box
        component="ul"
        aria-label="Jobs"
        sx={{ listStyle: 'none', m: 0, p: 0, borderTop: 1, borderColor: 'divider' }}
      >
        {shown.map((job) => (
          <JobLine key={job.id} job={job} now={now} chosen={chosen?.has(job.id)} onChoose={onChoose} />
        ))}
      </Box>
      {jobs.length > shown.length && (
        <More key={size} left={jobs.length - shown.length} onMore={() => setSize(size + WINDOW)} />
      )}
    </>
  )
}
