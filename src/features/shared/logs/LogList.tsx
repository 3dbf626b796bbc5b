'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import dynamic from 'next/dynamic'
import { useState } from 'react'
import { channelRow } from '@/core/record/readings/channels'
import type { LogHead } from '@/core/record/records/log'
import { extentOf, readSamples, removalOf } from '@/data/logs'
import { database } from '@/data/shared'
import { filesClient } from '@/workers/filesClient'
import { ConfirmDialog } from '@/ui/ConfirmDialog'
import { type ClockText, useSiteClock } from '@/ui/siteClock'
import { saveBlob } from '@/ui/saveBlob'
import { slugOf } from '@/core/base/units/slug'
import { durationText } from '@/core/base/units/wall'
import { useInAddress } from '../address/useAddress'
import { changesOf } from '../record/changes'
import { storeSentence } from '../storage/storeSentence'
import { useLive } from '../storage/useLive'

const LogDialog = dynamic(() => import('./LogView').then(({ LogView }) => LogView), { ssr: false })

type LineProps = {
  jobId: string
  log: LogHead
  recording: boolean
  isLooked: boolean
  onLook: (on: boolean) => void
  onProblem: (text: string) => void
}

/** "4 May 09:30 · 12 min · 720 samples" */
function extentText(
  log: LogHead,
  extent: { samples: number; seconds: number },
  recording: boolean,
  moment: ClockText,
): string {
  if (extent.samples === 0)
    return recording
      ? 'being recorded'
      : 'its samples are not in this browser: import the .orzo.zip file of this job'
  const state = recording ? ', being recorded' : log.samples === undefined ? ', broken off' : ''
  return [
    log.undated ? 'its file told no date' : moment(log.startedAt),
    extent.seconds < 60 ? `${Math.round(extent.seconds)} s` : durationText(extent.seconds / 60),
    `${extent.samples} samples${state}`,
  ].join(' · ')
}

async function saveCsv(jobId: string, log: LogHead): Promise<void> {
  const samples = await readSamples(database(), jobId, log)
  const table = await filesClient().ask('table', { log, samples })
  saveBlob(table, `${slugOf(log.name, 60) || 'log'}.csv`)
}

function LogLine({ jobId, log, recording, isLooked, onLook, onProblem }: LineProps) {
  const { moment } = useSiteClock()
  const extent = useLive(() => extentOf(database(), jobId, log), [jobId, log])
  const [isAsking, setAsking] = useState(false)
  const told = (work: Promise<void>) =>
    work.catch((error: Error) => onProblem(`${log.name}: ${storeSentence(error)}`))
  const isThere = extent !== undefined && extent.samples > 0
  return (
    <Box component="li" data-log={log.id} sx={{ borderBottom: 1, borderColor: 'divider', py: 1 }}>
      <Typography sx={{ fontWeight: 650, overflowWrap: 'anywhere' }}>{log.name}</Typography>
      <Typography sx={{ color: 'text.secondary', fontSize: '0.95rem' }}>
        {extent && extentText(log, extent, recording, moment)}
        <br />
        {log.channels.map(({ key }) => channelRow(key).short).join(', ')}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, mt: 0.5 }}>
        <Button variant="outlined" disabled={!isThere} onClick={() => onLook(true)}>
          Look
        </Button>
        <Button variant="outlined" disabled={!isThere} onClick={() => void told(saveCsv(jobId, log))}>
          Save as CSV
        </Button>
        <Button color="error" disabled={recording} onClick={() => setAsking(true)}>
          Remove
        </Button>
      </Box>
      {isLooked && isThere && <LogDialog jobId={jobId} log={log} onClose={() => onLook(false)} />}
      {isAsking && (
        <ConfirmDialog
          title="Remove this log?"
          doLabel="Remove"
          onClose={() => setAsking(false)}
          onDo={() => void changesOf(jobId).change(removalOf(log.id))}
        >
          “{log.name}” and its samples go; Undo has it back. Readings that were taken from it stay.
        </ConfirmDialog>
      )}
    </Box>
  )
}

type Props = {
  jobId: string
  logs: readonly LogHead[]
  /** id of the log that is being recorded in this tab */
  recording?: string | undefined
}

/** The logs of a job: what each holds, a look at it, its samples as a table, and taking it out. */
export function LogList({ jobId, logs, recording }: Props) {
  const [problem, setProblem] = useState<string>()
  const [looked, setLooked] = useInAddress<string>('log', '')
  if (logs.length === 0) return null
  return (
    <Box>
      {problem && (
        <Alert severity="error" onClose={() => setProblem(undefined)}>
          {problem}
        </Alert>
      )}
      <Box component="ul" aria-label="Logs" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {logs.map((log) => (
          <LogLine
            key={log.id}
            jobId={jobId}
            log={log}
            recording={log.id === recording}
            isLooked={log.id === looked}
            onLook={(on) => setLooked(on ? log.id : '')}
            onProblem={setProblem}
          />
        ))}
      </Box>
    </Box>
  )
}
