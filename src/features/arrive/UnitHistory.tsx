'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { format } from 'date-fns'
import { JobAnchor } from '../shared/address/JobAnchor'
import { useEffect, useMemo, useState } from 'react'
import { database } from '@/data/shared'
import { getJob } from '@/data/records'
import { copyPlate } from '@/core/record/edits/headEdits'
import type { StoredJob } from '@/core/record/job/job'
import { summaryOf } from '@/core/record/job/summary'
import { Choice } from '@/ui/Choice'
import { answerClient } from '@/workers/answerClient'
import { decidedText } from '@/core/report/decided'
import { titleOf } from '@/core/report/jobText'
import { useJobRows } from '../shared/jobs/useJobRows'
import { useLive } from '../shared/storage/useLive'
import { jobsOfUnit, platesToCopy } from './history'
import { type PlatePart, Section } from './parts'

/** What was done to this unit before: the jobs, and what was decided in each. */
function useHistory(job: StoredJob) {
  const { rows: all } = useJobRows(true)
  const self = useMemo(() => ({ id: job.id, summary: summaryOf(job) }), [job])
  const ids = jobsOfUnit(self, all).map(({ id }) => id)
  const wanted = ids.join(' ')
  const before = useLive(
    async () =>
      (await Promise.all(wanted.split(' ').map((id) => getJob(database(), id)))).filter(
        (each) => each !== undefined,
      ),
    [wanted],
    [],
  )
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>({})
  useEffect(() => {
    if (before.length === 0) return
    let current = true
    answerClient()
      .ask('decisionStates', before)
      .then((found) => {
        const told = found.map((decisionStates, i) => [
          before[i]?.id,
          decisionStates.map(decidedText).join(' '),
        ])
        if (current) setTexts(Object.fromEntries(told) as Record<string, string>)
      })
      .catch((error: Error) => {
        if (current) setTexts(Object.fromEntries(before.map(({ id }) => [id, error.message])))
      })
    return () => {
      current = false
    }
  }, [before])
  return { before, texts, plates: platesToCopy(self, all) }
}

/** What was done to this unit before, as far as this browser knows; and the plate of another unit to start from. */
export function UnitHistory({ job, change }: { job: StoredJob } & Pick<PlatePart, 'change'>) {
  const { before, texts, plates } = useHistory(job)
  const copy = async (id: string) => {
    const other = await getJob(database(), id)
    if (other) void change(copyPlate(other.unit))
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
              <JobAnchor
                jobId={other.id}
                page="close"
                style={{ display: 'block', minHeight: 48, padding: '6px 0', color: 'inherit' }}
              >
                {format(new Date(other.createdAt), 'd MMM yyyy')}:{' '}
                {other.arrival?.complaint ?? titleOf(summaryOf(other))}
                <Typography
                  component="span"
                  sx={{ display: 'block', color: 'text.secondary', fontSize: '0.9rem' }}
                >
                  {[texts[other.id], other.closing?.replaced].filter(Boolean).join('. ') || 'nothing decided'}
                </Typography>
              </JobAnchor>
            </li>
          ))}
        </Box>
      )}
      {plates.length > 0 && (
        <>
          <Choice
            label="Copy the plate of"
            value=""
            values={plates.map(({ id }) => id)}
            labels={Object.fromEntries(plates.map(({ id, summary }) => [id, titleOf(summary)]))}
            onChange={(id) => void copy(id)}
          />
          <Typography sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
            Replaces this plate; undo brings it back.
          </Typography>
        </>
      )}
    </Section>
  )
}
