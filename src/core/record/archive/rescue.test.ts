import { documentOf } from '../job/rounds'
import { emptyJob, type StoredJob } from '../job/job'
import { partsOf } from '../job/assemble'
import { chunksOf } from '../logs/samples'
import { recordKey } from '../records/envelope'
import { rescue } from './rescue'

const AT = '2026-05-04T09:30:00.000Z'
const JOB: StoredJob = {
  ...emptyJob({ kind: 'walk-in-cooler', refrigerant: 'R-448A', metering: 'txv' }),
  id: 'job-1',
  createdAt: AT,
  updatedAt: AT,
  title: 'Lodge cooler',
  logs: [
    {
      id: 'log',
      name: 'Decay',
      startedAt: AT,
      source: 'file',
      channels: [{ key: 'suctionPressure', unit: 'psig' }],
    },
  ],
  attachments: [{ id: 'photo', name: 'Plate', type: 'image/jpeg', size: 3 }],
}
const rows = (job: StoredJob) =>
  partsOf(documentOf(job)).map(({ kind, id, order, data }) => ({
    key: recordKey(job.id, kind, id),
    jobId: job.id,
    kind,
    id,
    order,
    version: 1,
    rev: 1,
    clock: 1,
    device: 'd',
    at: AT,
    data,
  }))
const samples = { time: Float64Array.of(0, 1, 2), values: [Float64Array.of(60, 61, 62)] }

test('jobs with samples and photos are put together from rows, in whatever order these lie', () => {
  const logChunks = chunksOf(samples, 2)
    .reverse()
    .map((chunk) => ({ ...chunk, jobId: 'job-1', logId: 'log' }))
  const blobs = [{ id: 'photo', jobId: 'job-1', type: 'image/jpeg', bytes: Uint8Array.of(1, 2, 3) }]
  const { jobs, contents } = rescue({ records: rows(JOB).reverse(), logChunks, blobs }, AT)
  expect(jobs).toEqual([
    { job: documentOf(JOB), files: { logs: { log: samples }, photos: { photo: Uint8Array.of(1, 2, 3) } } },
  ])
  expect(contents).toEqual({ at: AT, settings: [], aside: [], unread: [], store: [] })
})

test('rows of version 1, settings, and what cannot be read come along', () => {
  const old = {
    ...JOB,
    version: 1,
    round: undefined,
    rounds: undefined,
    id: 'old',
    logs: undefined,
    attachments: undefined,
    decisions: undefined,
    ticks: undefined,
  }
  const later = { ...rows(JOB)[0]!, key: 'job-1/later/x', kind: 'later', id: 'x' }
  const { jobs, contents } = rescue(
    {
      jobs: [
        { id: 'old', job: JSON.parse(JSON.stringify(old)) as unknown },
        { id: 'broken', job: { no: 'job' } },
      ],
      records: [later, 'no row', { key: 'half' }],
      settings: [{ key: 'theme', value: 'cellar' }],
    },
    AT,
  )
  expect(jobs.map(({ job }) => job.id)).toEqual(['old'])
  expect(contents.settings).toEqual([{ key: 'theme', value: 'cellar' }])
  expect(contents.aside.map(({ id }) => id)).toEqual(['broken'])
  expect(contents.unread).toEqual([later])
})

test('nothing gives an empty backup', () => expect(rescue({}, AT).jobs).toEqual([]))
