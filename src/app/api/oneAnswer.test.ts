import { readFileSync, mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { type Answer, createAnswerer } from '@/core/answer/answer'
import { seededRandom } from '@/core/base/numeric/random'
import { jobMembers } from '@/core/record/archive/jobArchive'
import { packZip } from '@/core/record/archive/zip'
import { FAULT_IDS } from '@/core/diagnosis/faults/faults'
import * as decisions from '@/core/record/edits/decisionEdits'
import type { Edit } from '@/core/record/edits/edit'
import { addLog, setClosing } from '@/core/record/edits/listEdits'
import { observe, putReading } from '@/core/record/edits/readingEdits'
import { setJobPolicy, setRepair } from '@/core/record/edits/repairEdits'
import { addSet, setMode } from '@/core/record/edits/setEdits'
import { setDay } from '@/core/record/edits/dayEdits'
import * as work from '@/core/record/edits/workEdits'
import type { Job } from '@/core/record/job/job'
import { readJobText, writeJobText } from '@/core/record/job/readJob'
import { documentOf, viewOf } from '@/core/record/job/rounds'
import type { Samples } from '@/core/record/logs/samples'
import { TASK_IDS, taskEffects } from '@/core/repair/plan/tasks/tasks'
import { DeltaReceiver, DeltaSender } from '@/threads/delta'
import { answerHandlers } from '@/workers/answerHandlers'
import { scheduleClient } from '@/workers/scheduleClient'
import { runDoor } from '../../../tools/orzo/run'
import { POST as diagnoseRoute } from './diagnose/route'
import { POST as planRoute } from './plan/route'

jest.mock('@/server/startThread', () => jest.requireActual('@/server/inProcess'))

const EXAMPLES = path.resolve(__dirname, '../../../examples')
const SEQUENCES = process.env.SOAK ? 1500 : 300
/** Every so many sequences the answer is also asked of the headless door and the routes, which plan a day each time. */
const DOORS = { diagnose: 10, plan: 30 } as const

/** A job is changed in so many sequences, then the same page is given another one. */
const LONG = 10
const STARTS = ['04-valve-sweat', '01-compressor', '08-reversing-valve', '12-leak-and-dryer', '07-capillary']

function exampleAt(i: number): Job {
  const name = `plans/${STARTS[i % STARTS.length]}.json`
  const reading = readJobText(readFileSync(path.join(EXAMPLES, name), 'utf8'))
  if (!reading.ok) throw new Error(`${name} is no job`)
  return { ...viewOf(reading.job), id: 'walked' }
}

/** The worker's own handlers, as a page asks them for hours: only what changed goes over, as a copy. */
function livingPage() {
  const handlers = answerHandlers(scheduleClient)
  const [jobs, logs] = [new DeltaSender<Job>(), new DeltaSender<Readonly<Record<string, Samples>>>()]
  const heard = new DeltaReceiver<Answer>()
  return async (job: Job, samples: Readonly<Record<string, Samples>>): Promise<Answer> => {
    const call = structuredClone({ line: 'a', job: jobs.send(job), samples: logs.send(samples) })
    const steps = handlers.answer(call)
    for (;;) {
      const { done, value } = await steps.next()
      const told = heard.receive(structuredClone(value))
      if (done) return told
    }
  }
}

const parsed = (value: unknown): unknown => JSON.parse(JSON.stringify(value))
const fileOf = (job: Job) => writeJobText(documentOf(job))
/** The same job as it comes out of a file. */
function throughFile(job: Job): Job {
  const reading = readJobText(fileOf(job))
  if (!reading.ok) throw new Error(JSON.stringify(reading))
  return viewOf(reading.job)
}

/** One user who types, decides, works and logs at random. */
class Hands {
  readonly samples: Record<string, Samples> = {}
  readonly #random: () => number
  #ids = 0
  #at = Date.parse('2026-11-27T08:00:00Z')

  constructor(seed: number) {
    this.#random = seededRandom(seed)
  }
  #pick<T>(all: readonly T[]): T {
    return all[Math.floor(this.#random() * all.length)] as T
  }
  #log(): Edit {
    const id = `log-${(this.#ids += 1)}`
    const [from, to] = [200 + 400 * this.#random(), 300 + 1200 * this.#random()]
    const count = this.#random() < 0.2 ? 0 : 2 + Math.floor(30 * this.#random())
    const time = Float64Array.from({ length: count }, (_look, i) => i * 30)
    const values = [
      time.map((_seconds, i) => from + ((to - from) * i) / Math.max(count - 1, 1)),
      time.map(() => NaN),
    ]
    this.samples[id] = { time, values }
    return addLog({
      id,
      name: 'Decay test',
      startedAt: new Date(this.#at).toISOString(),
      source: 'hand',
      purpose: 'decay',
      channels: [
        { key: 'systemVacuum', unit: 'micron' },
        { key: 'pumpVacuum', unit: 'micron' },
      ],
      marks: [{ seconds: 0, what: 'valve-shut' }],
      samples: count,
    })
  }
  #edit(job: Job): Edit {
    const setId = this.#pick([undefined, ...job.readingSets.map(({ id }) => id)])
    const task = this.#pick(TASK_IDS)
    const fault = this.#pick(FAULT_IDS)
    return this.#pick<() => Edit>([
      () => putReading(setId, 'suctionPressure', { value: 60 + 90 * this.#random(), unit: 'psig' }),
      () => putReading(setId, 'liquidPressure', { value: 200 + 200 * this.#random(), unit: 'psig' }),
      () => putReading(setId, 'suctionLineTemp', { value: 40 + 40 * this.#random(), unit: 'F' }),
      () => putReading(setId, 'liquidLineTemp', { value: 70 + 40 * this.#random(), unit: 'F' }),
      () => observe(setId, 'acidTest', this.#pick(['negative', 'strong', undefined])),
      () => addSet(`set-${(this.#ids += 1)}`),
      () => setMode(setId, this.#pick(['cooling', 'off'])),
      () => decisions.decide(fault, undefined),
      () => decisions.setOverride(fault, this.#pick(['seen today by both of us', ''])),
      () => decisions.takeBack(this.#pick(job.decisions)?.fault ?? fault),
      () => work.beginStep(task, 10, { starts: taskEffects(task).starts === true }),
      () => work.finishStep(task),
      () => work.skipStep(task, 'no time left today'),
      () => setJobPolicy('decayLimit', this.#pick(['field-1000', 'strict-500'])),
      () => setRepair({ acidNumber: Number((0.2 * this.#random()).toFixed(3)) }),
      () => setClosing({ recovered: { value: 5, unit: 'lb' } }),
      () => setDay({ crew: this.#pick([1, 2]) }),
      () => this.#log(),
    ])()
  }
  /** Some changes, one after another. */
  sequence(job: Job): Job {
    let now = job
    for (let left = 1 + Math.floor(5 * this.#random()); left > 0; left -= 1) {
      this.#at += 60_000
      const stamp = { now: new Date(this.#at).toISOString(), newId: () => `id-${(this.#ids += 1)}` }
      now = this.#edit(now)(now, stamp)
    }
    return now
  }
}

test('one living answerer after many sequences of changes says what a fresh one, the headless door and the routes say', async () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'orzo-one-'))
  const ask = livingPage()
  const hands = new Hands(26)
  let job = exampleAt(0)
  for (let i = 0; i < SEQUENCES; i += 1) {
    if (i % LONG === 0) job = exampleAt(i / LONG)
    job = throughFile(hands.sequence(job))
    const living = await ask(job, { ...hands.samples })
    const fresh = createAnswerer().whole({ job, samples: hands.samples })
    expect(parsed(living)).toEqual(parsed(fresh))

    const where = path.join(folder, 'job.orzo.json')
    writeFileSync(where, fileOf(job))
    const post = () => new Request('http://localhost/api', { method: 'POST', body: fileOf(job) })
    if (i % DOORS.diagnose === 0) {
      const door = parsed(runDoor(['diagnose', where])) as { suspects: { fault: string }[] }
      expect(await (await diagnoseRoute(post())).json()).toEqual(door)
      const archive = path.join(folder, 'job.orzo.zip')
      writeFileSync(
        archive,
        packZip(
          jobMembers(documentOf(job), { logs: hands.samples, photos: {} }),
          Date.parse('2026-11-27T08:00:00Z'),
        ),
      )
      const judged = parsed(runDoor(['judge', archive])) as { log: string; limit: string; sentence: string }[]
      for (const { log, limit, sentence } of judged) {
        const verdict = living.verdicts[log]
        if (verdict !== 'no-samples') expect([limit, sentence]).toEqual([verdict!.limit, verdict!.sentence])
      }
    }
    if (i % DOORS.plan === 0) {
      const door = parsed(runDoor(['plan', where])) as { faults: string[]; tasks: { id: string }[] }
      expect(await (await planRoute(post())).json()).toEqual(door)
      expect(door.faults).toEqual(living.plan.faults)
      expect(door.tasks.map(({ id }) => id)).toEqual(living.plan.tasks.map(({ id }) => id))
    }
  }
}, 600_000)
