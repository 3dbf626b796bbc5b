import { documentOf } from '../job/rounds'
import { diffJobs } from '../job/assemble'
import { emptyJob, type Job } from '../job/job'
import { readJobText, writeJobText } from '../job/readJob'
import { DEFAULT_POLICY } from '../policy/policy'
import { SAMPLE_DRYER as OWN } from '../records/sampleDryer'
import type { Edit } from './edit'
import { considerDryers, setCylinder, setJobPolicy, setRepair, setStarted, takePolicy } from './repairEdits'

const NOW = '2026-05-04T09:00:00.000Z'
const stamp = { now: NOW, newId: () => 'id' }
const start: Job = emptyJob({ kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }, DEFAULT_POLICY)
const after = (...edits: Edit[]): Job => edits.reduce((job, edit) => edit(job, stamp), start)
test('figures of the repair: written, taken away, and the record goes with the last of them', () => {
  const job = after(
    setRepair({ acidNumber: 0.12, way: 'pump-down' }),
    setCylinder({ tare: { value: 27, unit: 'lb' } }),
    setStarted(true),
  )
  expect(job.repair).toEqual({
    acidNumber: 0.12,
    way: 'pump-down',
    cylinder: { tare: { value: 27, unit: 'lb' } },
    startedAt: NOW,
  })
  const gone = [
    setRepair({ acidNumber: undefined, way: undefined }),
    setCylinder({ tare: undefined }),
    setStarted(false),
  ].reduce((each, edit) => edit(each, stamp), job)
  expect(Object.keys(gone)).not.toContain('repair')
})
const diff = (before: Job, after: Job) => diffJobs(documentOf(before), documentOf(after))
test('one change is one record', () => {
  const job = after(setRepair({ acidNumber: 0.1 }))
  expect(diff(job, setRepair({ acidNumber: 0.2 })(job, stamp)).map(({ kind, id }) => [kind, id])).toEqual([
    ['repair', 'only'],
  ])
  expect(diff(start, considerDryers([OWN])(start, stamp)).map(({ kind, id }) => [kind, id])).toEqual([
    ['dryer', 'own-9'],
  ])
})
test('own dryers are copied: a later change of the store changes no job; fewer take the others out', () => {
  const mine = structuredClone(OWN)
  const job = after(considerDryers([mine, { ...mine, id: 'e' }]))
  mine.tons = 99
  expect(job.dryers.map(({ tons }) => tons)).toEqual([4.5, 4.5])
  expect(considerDryers([OWN])(job, stamp).dryers.map(({ id }) => id)).toEqual(['own-9'])
})
test('policy: one answer by hand, or all of the company', () => {
  expect(after(setJobPolicy('evacuation', 'always-triple')).policy).toEqual({
    ...DEFAULT_POLICY,
    evacuation: 'always-triple',
  })
  expect(after(takePolicy({ ...DEFAULT_POLICY, decayTime: 'always-5' })).policy?.decayTime).toBe('always-5')
})
test('file: repair and dryers come back exactly, an older file without them reads', () => {
  const job = after(setRepair({ oilOut: { value: 710, unit: 'mL' } }), considerDryers([OWN]))
  expect(readJobText(writeJobText(documentOf(job)))).toEqual({ ok: true, job: documentOf(job) })
  const { dryers: _dryers, repairs: _repairs, ...old } = documentOf(job)
  const read = readJobText(JSON.stringify(old))
  expect(read.ok && read.job.dryers).toEqual([])
  const bad = readJobText(JSON.stringify({ ...job, repair: { acidNumber: 60 } }))
  expect(bad.ok).toBe(false)
})
