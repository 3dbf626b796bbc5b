import { renderHook, waitFor } from '@testing-library/react'
import type { ReadingSet } from '@/core/record/readings/schema'
import { buildDemoJobs } from '@/data/demo'
import { useDiagnosis } from './useDiagnosis'

const jobs = buildDemoJobs(new Date('2026-05-04T09:30:00.000Z'))
const job = jobs.find(({ id }) => id === 'demo-control-room')!
const found = job.readingSets[0]!

test('ranks in place where there is no worker, and follows the set; targets and flags are there at once', async () => {
  const { result, rerender } = renderHook(({ set }: { set: ReadingSet }) => useDiagnosis(job, set, 'F'), {
    initialProps: { set: found },
  })
  expect(result.current.suspects[0]!.fault).toBe('txv-underfeeding')
  const stopped: ReadingSet = {
    ...found,
    observations: { compressorState: 'trips-breaker', breaker: 'trips' },
  }
  rerender({ set: stopped })
  // Arithmetic does not wait for the ranking.
  expect(result.current.flags.map(({ id }) => id)).toContain('compressor-not-running')
  await waitFor(() =>
    expect(['compressor-grounded', 'wire-rubbed-to-ground']).toContain(result.current.suspects[0]!.fault),
  )
})

test('speaks the unit that is asked for', async () => {
  const { result, rerender } = renderHook(({ unit }: { unit: 'F' | 'C' }) => useDiagnosis(job, found, unit), {
    initialProps: { unit: 'F' as 'F' | 'C' },
  })
  rerender({ unit: 'C' })
  await waitFor(() =>
    expect(result.current.suspects[0]!.evidence.map(({ sentence }) => sentence).join(' ')).toMatch(
      / C above| C below/,
    ),
  )
})
