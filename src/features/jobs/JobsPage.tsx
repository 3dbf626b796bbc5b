'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import dynamic from 'next/dynamic'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useCallback, useDeferredValue, useEffect, useMemo, useState, useSyncExternalStore } from 'react'
import { database } from '@/data/shared'
import { isoNow } from '@/core/base/units/instants'
import { systemClock } from '@/data/clock'
import type { JobIndexRow } from '@/data/database'
import { addJob, blankJob } from '@/data/jobs'
import { whenOpen } from '@/data/health'
import { listOwnDryers } from '@/data/ownDryers'
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
import { DisplayButton } from '../shared/display/DisplayButton'
import { useJobRows } from '../shared/jobs/useJobRows'
import { useKept } from '../shared/display/useKept'
import { useNow } from '../shared/display/useNow'
import { EVERYTHING, findJobs, isSearching, placesIn, type Wanted } from '@/core/record/job/listing'
import { JobList } from './JobList'
import { useRemoval } from './useRemoval'

const StorageDialog = dynamic(() => import('./StorageDialog').then((file) => file.StorageDialog), {
  ssr: false,
})

/** Comes a moment after the rows; its place is kept. */
const FindBar = dynamic(() => import('./FindBar').then((file) => file.FindBar), {
  ssr: false,
  loading: () => <Box sx={{ minHeight: { xs: 184, md: 56 } }} />,
})

/** Fetched when several are chosen; its place is kept, so that no row moves under a finger. */
const ChosenBar = dynamic(() => import('./ChosenBar').then((file) => file.ChosenBar), {
  ssr: false,
  loading: () => <Box sx={{ minHeight: { xs: 104, md: 48 } }} />,
})

/** The stage at which each beginning opens. */
const FIRST_STAGE: Readonly<Record<Beginning, Stage>> = {
  circuit: 'measure',
  standing: 'measure',
  bench: 'diagnose',
  verdict: 'diagnose',
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

/** What stands beside the jobs. */
const BESIDE = [
  ['/tables/saturation', 'Tables'],
  ['/store', 'Store'],
  ['/settings', 'Settings'],
] as const

type HeaderProps = {
  live: boolean
  onNew: () => void
  onMessages: (messages: readonly ImportMessage[]) => void
}

function Header({ live, onNew, onMessages }: HeaderProps) {
  const [backing, setBacking] = useState(false)
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
      <Box sx={{ flex: 1, minWidth: { xs: 80, sm: 220 } }}>
        <Typography variant="h1" sx={{ fontSize: '2rem' }}>
          Orzo
        </Typography>
        <Typography sx={{ color: 'text.secondary', display: { xs: 'none', sm: 'block' } }}>
          One broken circuit at a time: readings, proof, repair, record.
        </Typography>
      </Box>
      {BESIDE.map(([href, label]) => (
        <Button key={href} component={Link} href={href} color="inherit">
          {label}
        </Button>
      ))}
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

/** Starts a job and goes where it begins. */
function useBegin(storing: (work: Promise<unknown>) => void) {
  const router = useRouter()
  const start = async ({ broken, kind }: Begun) => {
    const blank = blankJob(isoNow(systemClock), policyOf((await readSettings(database())).policy))
    const dryers = await listOwnDryers(database())
    const { id } = await addJob(database(), { ...begun(blank, broken, kind), dryers })
    const stage = broken === undefined ? 'arrive' : FIRST_STAGE[BEGINNINGS[broken].at]
    router.push(`/job/${encodeURIComponent(id)}/${stage}`)
  }
  return (what: Begun) => storing(start(what))
}

type FoundProps = {
  rows: readonly JobIndexRow[]
  onRemove: (ids: readonly string[]) => void
  storing: (work: Promise<unknown>) => void
}

/** The jobs that are looked for, to be opened or chosen. */
function Found({ rows, onRemove, storing }: FoundProps) {
  const [wanted, setWanted] = useKept<Wanted>('jobs wanted', EVERYTHING)
  const [chosen, setChosen] = useState<ReadonlySet<string>>()
  const now = useNow()
  const places = useMemo(() => placesIn(rows), [rows])
  // what is typed leads; a long list follows when there is time
  const sought = useDeferredValue(wanted)
  const found = useMemo(() => findJobs(rows, sought, now, systemClock.zone()), [rows, sought, now])
  const choose = useCallback(
    (id: string) =>
      setChosen((before = new Set()) => {
        const next = new Set(before)
        if (!next.delete(id)) next.add(id)
        return next
      }),
    [],
  )
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <FindBar wanted={wanted} places={places} onChange={setWanted} />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1 }}>
        <Typography role="status" sx={{ flex: 1, color: 'text.secondary', px: { md: 2 } }}>
          {isSearching(sought) ? `${found.length} of ${rows.length} jobs` : `${rows.length} jobs`}
        </Typography>
        {chosen === undefined && (
          <Button color="inherit" onClick={() => setChosen(new Set())}>
            Choose several
          </Button>
        )}
      </Box>
      {chosen && (
        <ChosenBar
          jobs={found}
          chosen={chosen}
          onChosen={setChosen}
          onRemove={onRemove}
          onDone={() => setChosen(undefined)}
          storing={storing}
        />
      )}
      <JobList key={JSON.stringify(sought)} jobs={found} now={now} chosen={chosen} onChoose={choose} />
      {found.length === 0 && (
        <Button color="inherit" onClick={() => setWanted(EVERYTHING)}>
          Nothing answers this: show all jobs
        </Button>
      )}
    </Box>
  )
}

/** All jobs of this browser. */
export function JobsPage({ offerDemo }: { offerDemo: boolean }) {
  const { swept, problem } = useSwept()
  const { rows, known } = useJobRows(swept)
  const [messages, setMessages] = useState<readonly ImportMessage[]>([])
  const [beginning, setBeginning] = useState(false)
  const storing = useCallback((work: Promise<unknown>) => {
    work.catch((error: Error) => setMessages([{ good: false, text: `Not stored: ${storeSentence(error)}` }]))
  }, [])
  useDemoOffer(offerDemo, storing)
  const removal = useRemoval(storing)
  const begin = useBegin(storing)
  const live = useIsLive()
  const onBegin = (what: Begun) => {
    setBeginning(false)
    begin(what)
  }
  return (
    <Box component="main" sx={{ maxWidth: 1080, mx: 'auto', p: { xs: 1.5, md: 3 }, display: 'grid', gap: 2 }}>
      <Header live={live} onNew={() => setBeginning(true)} onMessages={setMessages} />
      {problem && <Alert severity="warning">{problem}</Alert>}
      <ImportMessages messages={messages} onClose={() => setMessages([])} />
      {removal.message}
      {rows.length > 0 ? (
        <Found rows={rows} onRemove={removal.remove} storing={storing} />
      ) : (
        // keeps its place until the list is known: what stands below must not move away under a finger
        <Box sx={{ px: { md: 2 }, display: 'grid', gap: 2, visibility: known ? 'visible' : 'hidden' }}>
          <BeginJob onBegin={onBegin} disabled={!live} />
          <Typography sx={{ color: 'text.secondary' }}>
            No jobs yet. Three taps to the first reading: what is broken, which kind of unit, the place on the
            drawing. Four readings already give an answer. Or look at the demo jobs.
          </Typography>
        </Box>
      )}
      {beginning && <BeginDialog onBegin={onBegin} onClose={() => setBeginning(false)} />}
      <DemoButton
        demo={rows.filter((job) => job.demo === 1)}
        live={live}
        onRemove={removal.remove}
        storing={storing}
      />
    </Box>
  )
}
