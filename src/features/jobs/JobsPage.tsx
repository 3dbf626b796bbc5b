'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { formatDistanceToNow } from 'date-fns'
import dynamic from 'next/dynamic'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useCallback, useEffect, useState, useSyncExternalStore } from 'react'
import { database } from '@/data/shared'
import { isoNow } from '@/core/base/units/instants'
import { systemClock } from '@/data/clock'
import type { JobIndexRow } from '@/data/database'
import { addJob, blankJob, listJobs } from '@/data/jobs'
import { whenOpen } from '@/data/health'
import { BeginDialog, BeginJob, type Begun } from './BeginJob'
import { addDemo, DemoButton } from './DemoButton'
import { useSwept } from '../shared/record/useSwept'
import { BEGINNINGS, type Beginning, begun } from '@/core/record/job/begin'
import type { Stage } from '@/core/record/job/stages'
import { policyOf } from '@/core/record/policy/policy'
import { readSettings, writeSetting } from '@/data/settings'
import { ImportButton } from '../shared/files/ImportButton'
import type { ImportMessage } from '../shared/files/importFile'
import { ImportMessages } from '../shared/files/ImportMessages'
import { storeSentence } from '../shared/storage/storeSentence'
import { useLive } from '../shared/storage/useLive'
import { DisplayButton } from '../shared/display/DisplayButton'
import { STAGE_LABELS } from '../shared/stageNames'
import { titleOf, unitLine } from '../shared/jobText'

const StorageDialog = dynamic(() => import('./StorageDialog').then((file) => file.StorageDialog), {
  ssr: false,
})

/** The stage at which each beginning opens. */
const FIRST_STAGE: Readonly<Record<Beginning, Stage>> = {
  circuit: 'measure',
  standing: 'measure',
  bench: 'diagnose',
}

const never = () => () => undefined

/** Whether the page answers taps: until the script runs, a tap on a button would be lost. */
const useIsLive = () =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  )

/** On a demo server, a browser that never saw Orzo starts with the demo jobs; once only. */
function useDemoOffer(offerDemo: boolean, storing: (work: Promise<unknown>) => void) {
  useEffect(() => {
    if (!offerDemo) return
    const offer = async () => {
      const db = database()
      if (!(await whenOpen(db))) return
      if ((await readSettings(db)).demoOffered) return
      await addDemo()
      await writeSetting(db, 'demoOffered', true)
    }
    storing(offer())
  }, [offerDemo, storing])
}

function JobLine({ job: { id, summary, progress, updatedAt } }: { job: JobIndexRow }) {
  return (
    <Box component="li" sx={{ borderBottom: 1, borderColor: 'divider' }}>
      <Box
        component={Link}
        href={`/job/${encodeURIComponent(id)}/${progress}`}
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr auto', md: '1fr 160px 180px' },
          columnGap: 2,
          alignItems: 'center',
          minHeight: 64,
          px: 2,
          py: 1,
          color: 'text.primary',
          textDecoration: 'none',
          '&:hover': { bgcolor: 'background.paper' },
        }}
      >
        <span>
          <Typography component="span" sx={{ fontWeight: 650, fontSize: '1.1rem', display: 'block' }}>
            {titleOf(summary)}
          </Typography>
          <Typography component="span" sx={{ color: 'text.secondary', fontSize: '0.95rem' }}>
            {unitLine(summary)}
            {summary.complaint ? ` · ${summary.complaint}` : ''}
          </Typography>
        </span>
        <Typography component="span" sx={{ color: 'primary.main', fontWeight: 650 }}>
          {STAGE_LABELS[progress]}
        </Typography>
        <Typography component="span" sx={{ color: 'text.secondary', display: { xs: 'none', md: 'block' } }}>
          {formatDistanceToNow(new Date(updatedAt), { addSuffix: true })}
        </Typography>
      </Box>
    </Box>
  )
}

type HeaderProps = {
  live: boolean
  onNew: () => void
  onMessages: (messages: readonly ImportMessage[]) => void
}

function Header({ live, onNew, onMessages }: HeaderProps) {
  const [backing, setBacking] = useState(false)
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
      <Box sx={{ flex: 1, minWidth: 220 }}>
        <Typography variant="h1" sx={{ fontSize: '2rem' }}>
          Orzo
        </Typography>
        <Typography sx={{ color: 'text.secondary' }}>
          One broken circuit at a time: readings, proof, repair, record.
        </Typography>
      </Box>
      <Button component={Link} href="/tables/saturation" color="inherit">
        Tables
      </Button>
      <Button variant="contained" disabled={!live} onClick={onNew}>
        New job
      </Button>
      <ImportButton label="Import" onMessages={onMessages} />
      <Button color="inherit" disabled={!live} onClick={() => setBacking(true)}>
        Backup
      </Button>
      <DisplayButton />
      {backing && <StorageDialog onClose={() => setBacking(false)} />}
    </Box>
  )
}

/** All jobs of this browser. */
export function JobsPage({ offerDemo }: { offerDemo: boolean }) {
  const router = useRouter()
  const { swept, problem } = useSwept()
  const jobs = useLive(() => (swept ? listJobs(database()) : undefined), [swept])
  const [messages, setMessages] = useState<readonly ImportMessage[]>([])
  const storing = useCallback((work: Promise<unknown>) => {
    work.catch((error: Error) => setMessages([{ good: false, text: `Not stored: ${storeSentence(error)}` }]))
  }, [])
  useDemoOffer(offerDemo, storing)
  const demo = jobs?.filter((job) => job.demo === 1) ?? []
  const live = useIsLive()
  const [beginning, setBeginning] = useState(false)
  const start = async ({ broken, kind }: Begun) => {
    const blank = blankJob(isoNow(systemClock), policyOf((await readSettings(database())).policy))
    const { id } = await addJob(database(), begun(blank, broken, kind))
    const stage = broken === undefined ? 'arrive' : FIRST_STAGE[BEGINNINGS[broken].at]
    router.push(`/job/${encodeURIComponent(id)}/${stage}`)
  }
  const onBegin = (what: Begun) => {
    setBeginning(false)
    storing(start(what))
  }
  return (
    <Box component="main" sx={{ maxWidth: 1080, mx: 'auto', p: { xs: 1.5, md: 3 }, display: 'grid', gap: 2 }}>
      <Header live={live} onNew={() => setBeginning(true)} onMessages={setMessages} />
      {problem && <Alert severity="warning">{problem}</Alert>}
      <ImportMessages messages={messages} onClose={() => setMessages([])} />
      <Box
        component="ul"
        aria-label="Jobs"
        sx={{ listStyle: 'none', m: 0, p: 0, borderTop: 1, borderColor: 'divider' }}
      >
        {jobs?.map((job) => (
          <JobLine key={job.id} job={job} />
        ))}
      </Box>
      {(jobs === undefined || jobs.length === 0) && (
        // keeps its place until the list is known: what stands below must not move away under a finger
        <Box sx={{ px: { md: 2 }, display: 'grid', gap: 2, visibility: jobs ? 'visible' : 'hidden' }}>
          <BeginJob onBegin={onBegin} disabled={!live} />
          <Typography sx={{ color: 'text.secondary' }}>
            Three taps to the first reading: what is broken, which kind of unit, the place on the drawing.
            Four readings already give an answer. Or look at the demo jobs.
          </Typography>
        </Box>
      )}
      {beginning && <BeginDialog onBegin={onBegin} onClose={() => setBeginning(false)} />}
      <DemoButton demo={demo} live={live} storing={storing} />
    </Box>
  )
}
