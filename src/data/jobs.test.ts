import { US_UNITS } from '@/core/base/units/system'
import { documentOf } from '@/core/record/job/rounds'
import { seededRandom } from '@/core/base/numeric/random'
import { type JobProblem, readJobText, readJobValue, writeJobText } from '@/core/record/job/readJob'
import { diagnoseJob } from '@/core/answer/diagnoseJob'
import { OrzoDatabase } from './database'
import { buildDemoJobs } from '../demo/buildDemo'
import { addDemoJobs } from '../demo/demoJobs'
import { DEMO_JOBS } from '../demo/observatory'
import { setArrival, setTitle } from '@/core/record/edits/headEdits'
import type { Edit } from '@/core/record/edits/edit'
import type { StoredJob } from '@/core/record/job/job'
import { knownJob } from '@/core/record/job/known'
import { createAnswerer } from '@/core/answer/answer'
import type { LogVerdict } from '@/core/record/records/log'
import { isOpening } from '@/core/repair/logs/told'
import { planOf } from '@/core/repair/plan/basis'
import { progressOf, STAGES } from '@/core/record/job/stages'
import { readSettingRows } from '@/core/record/settings/settings'
import { importJob, type ImportOutcome } from './importing'
import { readSamples } from './logs'
import { addIfAbsent, addJob, blankJob, listJobs, removeJob, removeJobs } from './jobs'
import { newJobId } from './newId'
import { changeJob as change, getDocument, getJob } from './records'
import { readSettings, writeSetting } from './settings'
import { displayUnits } from '@/core/record/settings/displayUnits'

const NOW = '2026-05-04T09:30:00.000Z'
const LATER = '2026-05-04T10:30:00.000Z'
let db: OrzoDatabase
let count = 0
const changeJob = (of: OrzoDatabase, id: string, edit: Edit, now: string) =>
  change(of, id, edit, { now: () => Date.parse(now), zone: () => 'UTC' })

beforeEach(() => {
  count += 1
  db = new OrzoDatabase(`test-${count}`)
})
afterEach(async () => {
  await db.delete()
})

const fileOf = (job: StoredJob) => writeJobText(documentOf(job))

type Imported = ImportOutcome | { readonly outcome: 'refused'; readonly problems: readonly JobProblem[] }
/** A file's text as it comes in: read, then stored. */
async function importJobText(into: OrzoDatabase, text: string, now: string): Promise<Imported> {
  const reading = readJobText(text)
  if (!reading.ok) return { outcome: 'refused', problems: reading.problems }
  return importJob(into, reading.job, now)
}

const allJobs = async () => Promise.all((await listJobs(db)).map(({ id }) => getJob(db, id)))
const everything = async () => JSON.stringify(await allJobs())

describe('jobs', () => {
  test('a new job is stored and found again after reopening', async () => {
    const job = await addJob(db, blankJob(NOW))
    db.close()
    const again = new OrzoDatabase(db.name)
    expect(await getJob(again, job.id)).toEqual(job)
    expect(readJobValue(await getDocument(again, job.id)).ok).toBe(true)
    again.close()
    await db.open()
  })
  test('the list starts with the one changed last', async () => {
    const first = await addJob(db, blankJob(NOW))
    await addJob(db, blankJob(NOW))
    await changeJob(db, first.id, setTitle('changed'), LATER)
    expect((await listJobs(db))[0]).toMatchObject({
      id: first.id,
      summary: { title: 'changed' },
      updatedAt: LATER,
    })
  })
  test('two changes at the same moment both stay', async () => {
    const { id } = await addJob(db, blankJob(NOW))
    await Promise.all([
      changeJob(db, id, setTitle('a title'), LATER),
      changeJob(db, id, setArrival({ complaint: 'warm' }), LATER),
    ])
    expect(await getJob(db, id)).toMatchObject({ title: 'a title', arrival: { complaint: 'warm' } })
  })
  test('a cleared field leaves no key behind', async () => {
    const { id } = await addJob(db, { ...blankJob(NOW), title: 'x' })
    await changeJob(db, id, setTitle(''), LATER)
    expect(Object.keys((await getJob(db, id))!)).not.toContain('title')
  })
  test('a change that would make the document invalid is refused and changes nothing', async () => {
    const { id } = await addJob(db, blankJob(NOW))
    const before = await everything()
    await expect(changeJob(db, id, setTitle('x'.repeat(3000)), LATER)).rejects.toThrow('title')
    expect(await everything()).toBe(before)
  })
  test('changing a removed job says so', async () => {
    const { id } = await addJob(db, blankJob(NOW))
    await removeJob(db, id)
    await expect(changeJob(db, id, setTitle('x'), LATER)).rejects.toThrow('no longer here')
  })
  test('ids do not repeat', () => {
    expect(new Set(Array.from({ length: 500 }, newJobId)).size).toBe(500)
  })
})

describe('import', () => {
  const sample = (): StoredJob => buildDemoJobs(new Date(NOW))[0]!
  test('into an empty browser every field is equal', async () => {
    const job = sample()
    expect(await importJobText(db, fileOf(job), LATER)).toEqual({ outcome: 'added', id: job.id })
    expect(await getJob(db, job.id)).toEqual(job)
  })
  test('the same file twice adds nothing', async () => {
    await importJobText(db, fileOf(sample()), LATER)
    const before = await everything()
    expect((await importJobText(db, fileOf(sample()), LATER)).outcome).toBe('already-here')
    expect(await everything()).toBe(before)
  })
  test('another state of a job is kept beside it', async () => {
    const job = sample()
    await importJobText(db, fileOf(job), LATER)
    const result = await importJobText(db, fileOf({ ...job, title: 'edited elsewhere' }), LATER)
    expect(result.outcome).toBe('added-beside')
    expect((await getJob(db, job.id))!.title).toBe(job.title)
    expect((await listJobs(db)).map(({ summary }) => summary.title)).toContain('edited elsewhere')
  })
  test('a file without id and times gets them', async () => {
    const bare = {
      format: 'orzo.job',
      version: 1,
      unit: { kind: 'other', refrigerant: 'R-22', metering: 'txv' },
      readingSets: [],
    }
    await importJobText(db, JSON.stringify(bare), LATER)
    expect((await allJobs())[0]).toMatchObject({
      createdAt: LATER,
      updatedAt: LATER,
      id: expect.stringMatching(/^job-/),
    })
  })
  test('500 seeded mutations: a valid job comes in, or a message; what was there never changes', async () => {
    const kept = buildDemoJobs(new Date(NOW))[1]!
    await addJob(db, kept)
    const random = seededRandom(500)
    const text = fileOf(sample())
    let refused = 0
    for (let i = 0; i < 500; i++) {
      const at = Math.floor(random() * text.length)
      const length = Math.floor(random() * 4)
      const mutated =
        text.slice(0, at) + String.fromCharCode(33 + Math.floor(random() * 90)) + text.slice(at + length)
      const before = (await listJobs(db)).length
      const result = await importJobText(db, mutated, LATER)
      const after = await listJobs(db)
      if (result.outcome === 'refused') {
        refused += 1
        expect(result.problems[0]!.message.length).toBeGreaterThan(5)
        expect(after.length).toBe(before)
      } else {
        expect(readJobValue(await getDocument(db, result.id)).ok).toBe(true)
        if (result.outcome !== 'already-here') await removeJob(db, result.id)
      }
      expect(await getJob(db, kept.id)).toEqual(kept)
    }
    expect(refused).toBeGreaterThan(100)
    expect(refused).toBeLessThan(500)
  })
})

describe('demo jobs', () => {
  const jobs = buildDemoJobs(new Date(NOW))
  test('are a dozen valid documents in all stages, at 1,750 m', () => {
    expect(jobs).toHaveLength(12)
    expect(new Set(jobs.map(progressOf))).toEqual(new Set(STAGES))
    for (const job of jobs) {
      const document = documentOf(job)
      expect(readJobValue(document)).toEqual({ ok: true, job: document })
      expect(job.unit.site?.elevation).toEqual({ value: 1750, unit: 'm' })
    }
  })
  test('are the same for the same moment', () => expect(buildDemoJobs(new Date(NOW))).toEqual(jobs))
  test.each([
    ['demo-control-room', 0, 'txv-underfeeding'],
    ['demo-lodge', 0, 'reversing-valve-leaking-through'],
    ['demo-exhibit-hall', 0, 'plugged-liquid-dryer'],
    ['demo-exhibit-hall', 1, 'healthy'],
    ['demo-cafe-freezer', 0, 'charge-lost'],
    ['demo-sample-fridge', 0, 'capillary-plugged'],
    ['demo-dome', 0, 'compressor-grounded'],
    ['demo-spectrograph', 0, 'txv-underfeeding'],
    ['demo-spectrograph', 1, 'healthy'],
    ['demo-gatehouse', 0, 'start-gear-failed'],
    ['demo-gatehouse', 1, 'healthy'],
  ])('%s, set %i: %s leads', (id, index, fault) => {
    const job = jobs.find((each) => each.id === id)!
    expect(diagnoseJob(knownJob(job), index).suspects[0]!.fault).toBe(fault)
  })
  test('two have two faults, each of which stands in the first three', () => {
    const pairs = DEMO_JOBS.filter(({ sets }) => sets.some(({ faults }) => faults?.length === 2))
    expect(pairs).toHaveLength(2)
    for (const { id, sets } of pairs) {
      const { suspects } = diagnoseJob(knownJob(jobs.find((each) => each.id === id)!), 0)
      const named = suspects.slice(0, 3).flatMap(({ fault, also }) => [fault, also])
      for (const { fault } of sets[0]!.faults!) expect(named).toContain(fault)
    }
  })
  test('one is closed with every log of its day, each passed, with its samples in the store', async () => {
    await addDemoJobs(db, new Date(NOW))
    const job = (await getJob(db, 'demo-spectrograph'))!
    const samples = Object.fromEntries(
      await Promise.all(job.logs.map(async (log) => [log.id, await readSamples(db, job.id, log)] as const)),
    )
    const { verdicts } = createAnswerer().whole({ job, samples })
    expect(job.logs.map(({ id, purpose }) => [purpose, isOpening(verdicts[id] as LogVerdict)])).toEqual(
      ['recovery', 'pressure-test', 'evacuation', 'decay', 'weigh-in'].map((purpose) => [purpose, true]),
    )
    for (const log of job.logs) {
      const { time, values } = await readSamples(db, job.id, log)
      expect(time).toHaveLength(log.samples!)
      expect(values[0]!.every(Number.isFinite)).toBe(true)
    }
    expect(job.steps.every(({ doneAt }) => doneAt !== undefined)).toBe(true)
    expect(planOf(knownJob(job), ['txv-underfeeding']).proofs.map(({ missing }) => missing)).toEqual([[]])
    expect(job.closing?.charged?.value).toBeGreaterThan(7)
    expect(Date.parse(job.readingSets[1]!.at!)).toBeGreaterThan(Date.parse(job.repair!.startedAt!))
  })
  test('one is in the middle of its work: recovered, a step is on', () => {
    const job = jobs.find(({ id }) => id === 'demo-dome')!
    expect(job.logs.map(({ purpose }) => purpose)).toEqual(['recovery'])
    expect(job.steps.at(-1)).toMatchObject({ id: 'swapCompressor', spans: [{ from: expect.any(String) }] })
  })
  test('come all or none: a page that goes away in between leaves no half of them', async () => {
    const [first, second] = buildDemoJobs(new Date(NOW)) as [StoredJob, StoredJob]
    const both = [first, { ...second, title: 'x'.repeat(3000) }].map((job) => ({ job, chunks: [] }))
    await expect(addIfAbsent(db, both)).rejects.toThrow('title')
    expect(await listJobs(db)).toEqual([])
    const adding = addDemoJobs(db, new Date(NOW))
    const seen = new Set<number>()
    for (let more = true; more;) {
      seen.add(await db.jobIndex.count())
      more =
        (await Promise.race([adding.then(() => 'done'), new Promise((next) => setTimeout(next))])) !== 'done'
    }
    expect([...seen].every((count) => count === 0 || count === 12)).toBe(true)
    expect(await listJobs(db)).toHaveLength(12)
  })
  test('come and go without touching other jobs', async () => {
    const own = await addJob(db, blankJob(NOW))
    await addDemoJobs(db, new Date(NOW))
    await changeJob(db, 'demo-lodge', setTitle('edited'), LATER)
    await addDemoJobs(db, new Date(NOW))
    expect((await getJob(db, 'demo-lodge'))!.title).toBe('edited')
    expect(await listJobs(db)).toHaveLength(13)
    await removeJobs(db, await db.jobIndex.where('demo').equals(1).primaryKeys())
    expect((await listJobs(db)).map(({ id }) => id)).toEqual([own.id])
  })
})

describe('settings', () => {
  test('start in F and psig, remember what is chosen, ignore what makes no sense', async () => {
    expect(displayUnits(await readSettings(db))).toEqual({
      temperature: 'F',
      pressure: 'psig',
      system: US_UNITS,
      chosen: {},
    })
    await writeSetting(db, 'temperatureUnit', 'C')
    await writeSetting(db, 'pressureUnit', 'barg')
    expect(displayUnits(await readSettings(db))).toEqual({
      temperature: 'C',
      pressure: 'barg',
      system: { ...US_UNITS, temperature: 'C', pressure: 'barg' },
      chosen: {},
    })
    await writeSetting(db, 'pressureUnit', 'inHgVac')
    expect(displayUnits(await readSettings(db)).pressure).toBe('psig')
    const rows = (settings: Record<string, unknown>) =>
      readSettingRows(Object.entries(settings).map(([key, value]) => ({ key, value })))
    expect(rows({ temperatureUnit: 'Réaumur', pressureUnit: 'F', other: 1 })).toEqual({})
    expect(rows({ unitsChosen: { mass: 'kg', voltage: 'psig' } })).toEqual({ unitsChosen: { mass: 'kg' } })
    expect(rows({ unitsChosen: 'broken', tapOrder: 'null', screenOn: 7 })).toEqual({})
  })
  test('what an earlier Orzo kept as text is read: yes, JSON, orders with readings it does not know', () => {
    expect(
      readSettingRows([
        { key: 'demoOffered', value: 'yes' },
        { key: 'screenOn', value: 'no' },
        { key: 'unitsChosen', value: '{"mass":"kg","voltage":"psig"}' },
        { key: 'tapOrder', value: '{"split-ac":["boxTemp","no-such"],"no-kind":[]}' },
      ]),
    ).toEqual({
      demoOffered: true,
      screenOn: false,
      unitsChosen: { mass: 'kg' },
      tapOrder: { 'split-ac': ['boxTemp'] },
    })
  })
})
