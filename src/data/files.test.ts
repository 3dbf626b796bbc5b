import { SAMPLE_DRYER as OWN } from '@/core/record/records/sampleDryer'
import type { JobFiles } from '@/core/record/archive/jobArchive'
import type { Samples } from '@/core/record/logs/samples'
import type { Attachment } from '@/core/record/records/attachment'
import { readJobText, writeJobText } from '@/core/record/job/readJob'
import type { LogHead, LogVerdict } from '@/core/record/records/log'
import { readBeside, readWholeJob, restoreBeside } from './archive'
import { listOwnDryers, putOwnDryers } from './ownDryers'
import { OrzoDatabase } from './database'
import { importJob } from './importing'
import { addJob, blankJob, listJobs, removeJob } from './jobs'
import { extentOf, LogWriter, readSamples, removalOf, storeLog, storeVerdict, sweepRemovedLogs } from './logs'
import { readPhoto, removeStoredPhoto, storePhoto } from './photos'
import { changeDocument, getJob } from './records'
import { deviceOf, readSettings, writeSetting } from './settings'
import { recordStep, undo, undoable } from './undo'

const NOW = '2026-05-04T09:30:00.000Z'
const CLOCK = { now: () => Date.parse(NOW), zone: () => 'UTC' }
const HEAD: LogHead = {
  id: 'log-1',
  name: 'Evacuation',
  startedAt: NOW,
  source: 'instruments',
  channels: [
    { key: 'suctionPressure', unit: 'psig' },
    { key: 'suctionLineTemp', unit: 'F' },
  ],
}
const PHOTO: Attachment = { id: 'photo-1', name: 'Plate', type: 'image/jpeg', size: 5 }
const BYTES = Uint8Array.of(255, 216, 255, 1, 2)
const samplesOf = (count: number): Samples => ({
  time: Float64Array.from({ length: count }, (_s, i) => i),
  values: [new Float64Array(count).fill(118), Float64Array.from({ length: count }, (_s, i) => i / 3)],
})
const plain = ({ time, values }: Samples) => [time, ...values].map((column) => Array.from(column))

let db: OrzoDatabase
let jobId: string
let count = 0
beforeEach(async () => {
  count += 1
  db = new OrzoDatabase(`files-${count}`)
  jobId = (await addJob(db, blankJob(NOW))).id
})
afterEach(() => db.delete())

const stored = async (table: 'logChunks' | 'blobs') => db[table].count()

describe('logs', () => {
  test('a recorded log is stored sample by sample, read back whole, and told in the job when it ends', async () => {
    const writer = await LogWriter.begin(db, jobId, HEAD, CLOCK)
    for (let i = 0; i < 2500; i += 1) {
      writer.append(i, [118, i / 3])
      if (i % 100 === 7) await writer.flush()
    }
    expect(await extentOf(db, jobId, HEAD)).toEqual({ samples: 2408, seconds: 2407 })
    expect((await getJob(db, jobId))!.logs).toEqual([HEAD])
    await writer.end(CLOCK)
    expect((await getJob(db, jobId))!.logs).toEqual([{ ...HEAD, samples: 2500 }])
    expect(plain(await readSamples(db, jobId, HEAD))).toEqual(plain(samplesOf(2500)))
    expect((await db.logChunks.toArray()).map((row) => [row.index, row.count, row.sealed])).toEqual([
      [0, 1024, 1],
      [1, 1024, 1],
      [2, 452, 1],
    ])
    expect(undoable(jobId)).toEqual({ undo: false, redo: false })
  })
  test('what a judge said is kept beside its log: no step of undo, not in a file, and taken from none', async () => {
    const verdict: LogVerdict = {
      digest: 'a',
      by: 'b',
      at: NOW,
      limit: 'passed',
      missing: [],
      sentence: 'It passes.',
    }
    await storeLog(db, jobId, { ...HEAD, purpose: 'decay' }, samplesOf(3), CLOCK)
    await storeVerdict(db, jobId, HEAD.id, verdict, CLOCK)
    expect((await getJob(db, jobId))!.logs).toMatchObject([{ verdict }])
    expect(undoable(jobId)).toEqual({ undo: false, redo: false })
    const { job, files } = (await readWholeJob(db, jobId))!
    const text = writeJobText(job)
    expect(JSON.parse(text)).toMatchObject({ logs: [{ said: { sentence: 'It passes.' } }] })
    expect(text).not.toContain('"verdict"')
    const forged = text.replace(
      '"said": {',
      '"verdict": {"digest":"a","by":"b","limit":"passed","missing":[],',
    )
    for (const each of [text, forged]) {
      const reading = readJobText(each)
      if (!reading.ok) throw new Error(JSON.stringify(reading))
      expect(reading.job.logs).toMatchObject([{ said: { sentence: 'It passes.' } }])
      expect(reading.job.logs[0]!.verdict).toBeUndefined()
      // nor is the job another one because it was judged here meanwhile
      expect(await importJob(db, reading.job, NOW, files)).toMatchObject({ outcome: 'already-here' })
    }
  })
  test('a flush writes the open chunk and nothing else, whatever stands before it', async () => {
    const writer = await LogWriter.begin(db, jobId, HEAD, CLOCK)
    for (let i = 0; i < 3000; i += 1) writer.append(i, [1, 2])
    await writer.flush()
    const put = jest.spyOn(db.logChunks, 'bulkPut')
    writer.append(3000, [1, 2])
    await writer.flush()
    await writer.flush()
    expect(put).toHaveBeenCalledTimes(1)
    expect(put.mock.calls[0]![0]).toHaveLength(1)
  })
  test('a store that refuses loses nothing: the next flush writes it', async () => {
    const writer = await LogWriter.begin(db, jobId, HEAD, CLOCK)
    const put = jest.spyOn(db.logChunks, 'bulkPut').mockRejectedValueOnce(new Error('full'))
    for (let i = 0; i < 1500; i += 1) writer.append(i, [118, i / 3])
    await expect(writer.flush()).rejects.toThrow('full')
    expect(await stored('logChunks')).toBe(0)
    put.mockRestore()
    await writer.flush()
    expect(plain(await readSamples(db, jobId, HEAD))).toEqual(plain(samplesOf(1500)))
  })
  test('a log that was removed in another window is given no orphans', async () => {
    const writer = await LogWriter.begin(db, jobId, HEAD, CLOCK)
    writer.append(0, [1, 2])
    await changeDocument(db, jobId, removalOf(HEAD.id), CLOCK)
    await expect(writer.flush()).rejects.toThrow('no longer here')
    expect(await stored('logChunks')).toBe(0)
  })
  test('a log that is removed is had back with its samples; a day later they go, those of another stay; the job takes all', async () => {
    await storeLog(db, jobId, HEAD, samplesOf(2000), CLOCK)
    await storeLog(db, jobId, { ...HEAD, id: 'log-2' }, samplesOf(3), CLOCK)
    const { changes } = await changeDocument(db, jobId, removalOf(HEAD.id), CLOCK)
    recordStep(jobId, changes, CLOCK.now())
    expect((await getJob(db, jobId))!.logs.map(({ id, samples }) => [id, samples])).toEqual([['log-2', 3]])
    await sweepRemovedLogs(db, CLOCK.now() + 23 * 3_600_000)
    await undo(db, jobId, CLOCK)
    expect((await getJob(db, jobId))!.logs).toHaveLength(2)
    expect(plain(await readSamples(db, jobId, HEAD))).toEqual(plain(samplesOf(2000)))
    await changeDocument(db, jobId, removalOf(HEAD.id), CLOCK)
    await sweepRemovedLogs(db, CLOCK.now() + 25 * 3_600_000)
    expect(await stored('logChunks')).toBe(1)
    await storePhoto(db, jobId, PHOTO, BYTES, CLOCK)
    await removeJob(db, jobId)
    expect([await stored('logChunks'), await stored('blobs'), await db.records.count()]).toEqual([0, 0, 0])
  })
  test('a head that is refused leaves no samples', async () => {
    await expect(storeLog(db, jobId, { ...HEAD, channels: [] }, samplesOf(5), CLOCK)).rejects.toThrow(
      'channel',
    )
    expect(await stored('logChunks')).toBe(0)
  })
})

describe('photos', () => {
  test('stand and fall with their bytes', async () => {
    await storePhoto(db, jobId, PHOTO, BYTES, CLOCK)
    expect((await getJob(db, jobId))!.attachments).toEqual([PHOTO])
    expect(Array.from((await readPhoto(db, jobId, PHOTO.id))!.bytes)).toEqual(Array.from(BYTES))
    await removeStoredPhoto(db, jobId, PHOTO.id, CLOCK)
    expect((await getJob(db, jobId))!.attachments).toEqual([])
    expect(await stored('blobs')).toBe(0)
  })
})

describe('a whole job', () => {
  const filled = async () => {
    await storeLog(db, jobId, HEAD, samplesOf(1500), CLOCK)
    await storePhoto(db, jobId, PHOTO, BYTES, CLOCK)
    return (await readWholeJob(db, jobId))!
  }
  test('is read with samples and bytes, and comes into an empty browser the same', async () => {
    const { job, files } = await filled()
    const other = new OrzoDatabase(`files-other-${count}`)
    expect(await importJob(other, job, NOW, files)).toEqual({ outcome: 'added', id: jobId })
    const again = (await readWholeJob(other, jobId))!
    expect(again.job).toEqual(job)
    expect(plain(again.files.logs[HEAD.id]!)).toEqual(plain(samplesOf(1500)))
    expect(Array.from(again.files.photos[PHOTO.id]!)).toEqual(Array.from(BYTES))
    await other.delete()
  })
  test('that is here without its samples and photos is completed; a second time adds nothing', async () => {
    const { job, files } = await filled()
    await removeJob(db, jobId)
    expect(await importJob(db, job, NOW)).toMatchObject({ outcome: 'added' })
    expect(await importJob(db, job, NOW, files)).toMatchObject({ outcome: 'completed' })
    expect(await importJob(db, job, NOW, files)).toMatchObject({ outcome: 'already-here' })
    expect([await stored('logChunks'), await stored('blobs')]).toEqual([2, 1])
  })
  test('in another state comes beside, with samples of its own', async () => {
    const { job, files } = await filled()
    const result = await importJob(db, { ...job, title: 'elsewhere' }, NOW, files)
    expect(result.outcome).toBe('added-beside')
    expect([await stored('logChunks'), await stored('blobs')]).toEqual([4, 2])
    expect(await listJobs(db)).toHaveLength(2)
  })
})

describe('what belongs to no job', () => {
  const unreadRow = {
    kind: 'later',
    id: 'x',
    order: 1,
    version: 1,
    rev: 1,
    clock: 9,
    device: 'd',
    at: NOW,
    data: 1,
  }
  test('comes back where nothing stands yet: settings, rows kept aside, records of a newer Orzo', async () => {
    await writeSetting(db, 'theme', 'cellar')
    await deviceOf(db)
    await db.aside.put({ id: 'old', at: NOW, reason: 'x', row: { id: 'old' } })
    await db.records.put({ ...unreadRow, key: `${jobId}/later/x`, jobId })
    await putOwnDryers(db, [OWN], CLOCK)
    const { job, files } = (await readWholeJob(db, jobId)) as unknown as {
      job: never
      files: JobFiles
    }
    const contents = JSON.parse(JSON.stringify(await readBeside(db, NOW))) as never
    const other = new OrzoDatabase(`files-restore-${count}`)
    await writeSetting(other, 'textSize', 'large')
    await importJob(other, job, NOW, files)
    expect(await restoreBeside(other, contents)).toEqual({ settings: 1, aside: 1, unread: 1, store: 1 })
    expect(await readSettings(other)).toMatchObject({ theme: 'cellar', textSize: 'large' })
    expect((await readSettings(other)).device).not.toBe((await readSettings(db)).device)
    await writeSetting(other, 'theme', 'sunlight')
    expect(await restoreBeside(other, contents)).toEqual({ settings: 0, aside: 0, unread: 0, store: 0 })
    expect((await readSettings(other)).theme).toBe('sunlight')
    expect(await listOwnDryers(other)).toEqual([OWN])
    await other.delete()
  })
})
