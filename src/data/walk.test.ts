import 'fake-indexeddb/auto'
import { runs, seedOf } from '../../tools/run/propertyRuns'
import { createAnswerer } from '@/core/answer/answer'
import { loadFor } from '@/core/answer/load'
import { seededRandom } from '@/core/base/numeric/random'
import type { RefrigerantName } from '@/core/physics/refrigerants/catalogue'
import { decide, takeBack } from '@/core/record/edits/decisionEdits'
import { type Edit } from '@/core/record/edits/edit'
import { type DocumentEdit, inRound } from '@/core/record/edits/inRound'
import { observe } from '@/core/record/edits/readingEdits'
import { beginRound } from '@/core/record/edits/roundEdits'
import { addSet } from '@/core/record/edits/setEdits'
import * as work from '@/core/record/edits/workEdits'
import { decided } from '@/core/record/job/decisions'
import { emptyJob, type KnownJob, type StoredDocument } from '@/core/record/job/job'
import { knownJob } from '@/core/record/job/known'
import { documentOf, roundsOf, viewOf } from '@/core/record/job/rounds'
import { roundOf } from '@/core/record/records/kinds'
import { COVER } from '@/core/record/state/offParts'
import { withRefrigerants } from '@/core/record/state/refrigerants'
import { unitState } from '@/core/record/state/unitState'
import { planOf } from '@/core/repair/plan/basis'
import type { Plan } from '@/core/repair/plan/plan'
import { effectsOf } from '@/core/repair/plan/tasks/tasks'
import { workBegan } from '@/core/repair/plan/workBegan'
import { gatesOf } from '@/core/repair/work/gates'
import { holdingNow } from '@/core/repair/work/holdingNow'
import { runSheet } from '@/core/repair/work/runSheet'
import { takenOffList } from '@/core/repair/work/takenOff'
import { holdingVetoes } from '@/core/diagnosis/vetoes/holding'
import type { SuspectId } from '@/core/diagnosis/faults/faults'
import type { VetoId } from '@/core/safety/vetoes'
import { OrzoDatabase } from './database'
import { addJob } from './jobs'
import { changeDocument, getDocument } from './records'
import { recordStep, redo, undo } from './undo'

/**
 * Jobs of several repairs, worked in random order with undo, reload and changed decisions, beside a model of how the unit
 * stands that shares nothing with the code: what each task does to a circuit is told again here.
 */
const WALKS = runs(60, 500)
const SEED = seedOf(25)
const STEPS = 26
const START = Date.parse('2026-11-27T08:00:00Z')
const MINUTE = 60_000

type Inside = 'found' | 'emptied' | 'nitrogen' | 'pressed' | 'pumped' | 'air' | 'charged' | 'mixed'
type Told = { begin?: Inside; end?: Inside | 'charge'; coverOff?: true; coverOn?: true }
/** What a technician would say that each task does to the circuit. */
const TOLD: Readonly<Record<string, Told>> = {
  setUp: {},
  confirm: {},
  lockOut: {},
  recover: { end: 'emptied' },
  sweep: { begin: 'nitrogen' },
  swapValve: { begin: 'air' },
  swapCompressor: { begin: 'air', coverOff: true },
  swapLiquidDryer: { begin: 'air' },
  partsIn: {},
  pressureTest: { begin: 'pressed' },
  bubbleJoints: {},
  evacuate: { begin: 'pumped' },
  decayTest: {},
  weighIn: { end: 'charge' },
  closeCover: { coverOn: true },
  swapContactor: {},
  settle: {},
  closeUp: {},
}
const TASKS = Object.keys(TOLD)
const FAULTS = [
  'txv-underfeeding',
  'plugged-liquid-dryer',
  'contactor-failed',
  'condenser-fouled',
  'undercharge',
]
const GAS: readonly Inside[] = ['nitrogen', 'pressed', 'air', 'mixed']

type Pass = { begins: number[]; end?: number; open?: boolean; skipped?: boolean }
type ModelRound = {
  id: string
  at: number
  passes: Record<string, Pass[]>
  goesIn?: RefrigerantName
  bled?: number
  started?: true
}
type CoverWord = { at: number; is: 'on' | 'off' }
type Model = {
  rounds: ModelRound[]
  /** by the bench, and by the taken-off list of each round */
  words: Record<string, CoverWord>
  list: Record<string, CoverWord[]>
  sets: { id: string; at: number }[]
}

/** How the unit stands by the model: inside, cover, what it holds, at a moment. */
function modelState({ rounds, words, list }: Model, until = Infinity) {
  const events: {
    at: number
    turn: number
    act: (now: { inside: Inside; cover?: string; holds: string }) => void
  }[] = []
  const add = (at: number, act: (typeof events)[number]['act']) =>
    void events.push({ at, turn: events.length, act })
  for (const { passes, goesIn, bled } of rounds) {
    for (const [task, all] of Object.entries(passes)) {
      const { begin, end, coverOff, coverOn } = TOLD[task]!
      for (const pass of all) {
        for (const at of pass.begins)
          add(at, (now) => {
            if (begin) now.inside = begin
            if (coverOff) now.cover = 'off'
          })
        if (pass.end !== undefined)
          add(pass.end, (now) => {
            if (end === 'charge') {
              now.inside = GAS.includes(now.inside) ? 'mixed' : 'charged'
              now.holds = goesIn ?? now.holds
            } else if (end && !GAS.includes(now.inside) && now.inside !== 'pumped') now.inside = end
            if (coverOn) now.cover = 'on'
          })
      }
    }
    if (bled !== undefined)
      add(bled, (now) => {
        if (now.inside === 'pressed') now.inside = 'nitrogen'
      })
  }
  for (const word of [...Object.values(words), ...Object.values(list).flat()])
    add(word.at, (now) => {
      now.cover = word.is
    })
  const now: { inside: Inside; cover?: string; holds: string } = { inside: 'found', holds: 'R-22' }
  for (const { act } of events.filter(({ at }) => at <= until).sort((a, b) => a.at - b.at || a.turn - b.turn))
    act(now)
  return now
}

/** The states of the table that the model knows of. */
const modelVetoes = (model: Model): Readonly<Partial<Record<VetoId, boolean>>> => {
  const { inside, cover } = modelState(model)
  return {
    evacuated: inside === 'pumped',
    'gas-inside': GAS.includes(inside),
    'under-nitrogen': inside === 'pressed',
    'cover-off': cover === 'off',
  }
}

const UNIT = {
  kind: 'package-ac',
  refrigerant: 'R-22',
  metering: 'txv',
  nominalTons: 3,
  factoryCharge: { value: 7.5, unit: 'lb' },
  power: { phase: 1, volts: 230 },
  compressor: { type: 'scroll', oil: 'POE' },
  designPressures: { high: { value: 450, unit: 'psig' }, low: { value: 250, unit: 'psig' } },
} as const

/** One walk: the job in its store, the model, and what undo takes back. */
class Walk {
  db: OrzoDatabase
  at = START
  model: Model
  readonly #random: () => number
  #before: Model[] = []
  #after: Model[] = []
  #looked = 'only'
  readonly seen: Record<string, number> = {}
  readonly #plans = new Map<string, Plan>()

  readonly id: string

  constructor(seed: number) {
    this.id = `walk-${seed}`
    this.#random = seededRandom(seed)
    this.db = new OrzoDatabase(`walk-${seed}`)
    this.model = {
      rounds: [{ id: 'only', at: START, passes: {} }],
      words: {},
      list: {},
      sets: [],
    }
  }

  #pick<T>(from: readonly T[]): T {
    return from[Math.floor(this.#random() * from.length)] as T
  }

  async begin() {
    const job = {
      ...emptyJob(UNIT),
      id: this.id,
      createdAt: new Date(START).toISOString(),
      updatedAt: new Date(START).toISOString(),
    }
    await addJob(this.db, job)
    this.at += MINUTE
    await changeDocument(this.db, this.id, inRound(addSet('set-0')), this.#clock())
    this.model.sets.push({ id: 'set-0', at: this.at })
  }

  document = async (): Promise<StoredDocument> => (await getDocument(this.db, this.id))!
  #clock = () => ({ now: () => this.at, zone: () => 'UTC' })

  /** A change of the store and of the model; only where it may be none the store is allowed to stay as it is. */
  async #change(edit: DocumentEdit, told: (model: Model) => void, mayBeNone = false) {
    this.at += MINUTE
    const { changes } = await changeDocument(this.db, this.id, edit, this.#clock())
    expect(mayBeNone || changes.length > 0).toBe(true)
    if (changes.length === 0) return
    recordStep(this.id, changes, this.at)
    this.#before.push(structuredClone(this.model))
    this.#after = []
    told(this.model)
  }

  #round = () => this.model.rounds.find(({ id }) => id === this.#looked)!
  #in = (edit: Edit) => inRound(edit, this.#looked)

  #begin = async (task: string) => {
    const goesIn = task === 'weighIn' ? this.#pick(['R-22', 'R-407C'] as const) : undefined
    await this.#change(
      this.#in(
        work.beginStep(task, 10, {
          ...(goesIn ? { refrigerant: goesIn } : {}),
          starts: task === 'settle',
        }),
      ),
      () => {
        const round = this.#round()
        for (const all of Object.values(round.passes))
          for (const pass of all) if (pass.open) pass.open = false
        const all = (round.passes[task] ??= [{ begins: [] }])
        const pass = all.at(-1)!
        // somebody who is at it already does not begin it once more
        const wasOpen = all.length > 0 && this.#openBefore(task)
        if (!wasOpen) pass.begins.push(this.at)
        pass.open = true
        delete pass.end
        delete pass.skipped
        if (goesIn) round.goesIn = goesIn
        if (task === 'settle') round.started = true
      },
      true,
    )
  }
  #openBefore(task: string): boolean {
    const before = this.#before.at(-1)?.rounds.find(({ id }) => id === this.#looked)
    return before?.passes[task]?.at(-1)?.open === true
  }

  #done = (task: string) =>
    this.#change(this.#in(work.finishStep(task)), () => {
      const all = (this.#round().passes[task] ??= [{ begins: [] }])
      const pass = all.at(-1)!
      pass.end = this.at
      pass.open = false
      delete pass.skipped
      // what was never begun is done in one moment
      if (pass.begins.length === 0) pass.begins = []
    })

  #acts: readonly (readonly [weight: number, name: string, act: () => Promise<void>])[] = [
    [6, 'begin', () => this.#begin(this.#pick(TASKS))],
    [
      7,
      'work',
      async () => {
        const task = this.#pick(TASKS)
        await this.#begin(task)
        await this.#done(task)
      },
    ],
    [
      2,
      'repeat',
      async () => {
        const begun = Object.keys(this.#round().passes)
        if (begun.length === 0) return
        const task = this.#pick(begun)
        await this.#change(this.#in(work.repeatStep(task)), () => {
          const all = this.#round().passes[task]!
          all.at(-1)!.open = false
          all.push({ begins: [] })
        })
      },
    ],
    [
      1,
      'reopen',
      async () => {
        const over = Object.entries(this.#round().passes).filter(([, all]) => all.at(-1)!.end !== undefined)
        if (over.length === 0) return
        const [task] = this.#pick(over)
        await this.#change(this.#in(work.reopenStep(task)), () => {
          delete this.#round().passes[task]!.at(-1)!.end
        })
      },
    ],
    [
      2,
      'cover by the list',
      async () => {
        const is = this.#pick(['on', 'off'] as const)
        const row = { what: COVER, label: 'Terminal cover' }
        await this.#change(this.#in(work.markTaken(row, is === 'on' ? 'back' : 'off')), () => {
          // a row that says back has said off before; off again takes the back away
          const words = this.model.list[this.#looked] ?? []
          const offs = words.filter((word) => word.is === 'off').slice(-1)
          this.model.list[this.#looked] =
            is === 'off' ? [{ at: this.at, is }] : [...offs, { at: this.at, is }]
        })
      },
    ],
    [
      2,
      'cover by the bench',
      async () => {
        const is = this.#pick(['on', 'off'] as const)
        const { id } = this.model.sets.at(-1)!
        await this.#change(this.#in(observe(id, 'terminalCover', is)), () => {
          this.model.words[id] = { at: this.at, is }
        })
      },
    ],
    [
      2,
      'bled',
      () =>
        this.#change(this.#in(work.setBled(true)), () => {
          this.#round().bled = this.at
        }),
    ],
    [
      2,
      'set',
      async () => {
        const id = `set-${this.model.sets.length}-${this.at}`
        await this.#change(this.#in(addSet(id)), () => void this.model.sets.push({ id, at: this.at }))
      },
    ],
    [3, 'decide', () => this.#change(this.#in(decide(this.#pick(FAULTS), undefined)), () => undefined)],
    [
      1,
      'take back',
      async () => {
        const view = viewOf(await this.document(), this.#looked)
        const all = decided(view)
        if (all.length > 0) await this.#change(this.#in(takeBack(this.#pick(all).fault)), () => undefined)
      },
    ],
    [
      1,
      'round',
      async () => {
        if (this.model.rounds.length >= 3) return
        const id = `round-${this.model.rounds.length + 1}-${this.at}`
        await this.#change(inRound(beginRound(id, 'found')), (model) => {
          model.rounds.push({ id, at: this.at, passes: {} })
        })
        this.#looked = id
        await this.#startsShut()
      },
    ],
    [
      1,
      'look',
      async () => {
        this.#looked = this.#pick(this.model.rounds).id
      },
    ],
    [
      2,
      'undo',
      async () => {
        const before = this.#before.pop()
        if (!before) return
        this.at += MINUTE
        await undo(this.db, this.id, this.#clock())
        this.#after.push(this.model)
        this.model = before
        this.#lookAgain()
      },
    ],
    [
      1,
      'redo',
      async () => {
        const after = this.#after.pop()
        if (!after) return
        this.at += MINUTE
        await redo(this.db, this.id, this.#clock())
        this.#before.push(this.model)
        this.model = after
        this.#lookAgain()
      },
    ],
    [
      1,
      'reload',
      async () => {
        this.db.close()
        this.db = new OrzoDatabase(this.db.name)
      },
    ],
  ]

  /** What was looked at may be gone with an undo. */
  #lookAgain() {
    if (!this.model.rounds.some(({ id }) => id === this.#looked)) this.#looked = this.model.rounds.at(-1)!.id
  }

  async act(): Promise<string> {
    const all = this.#acts.flatMap((row) => Array.from({ length: row[0] }, () => row))
    const [, name, act] = this.#pick(all)
    await act()
    this.seen[name] = (this.seen[name] ?? 0) + 1
    return name
  }

  #job = (document: StoredDocument, round: string): KnownJob =>
    withRefrigerants(knownJob(viewOf(document, round)), effectsOf)

  /** A plan costs more than all else: it is the same while what it is made from is. */
  #plan(job: KnownJob): Plan {
    const faults = decided(job).map(({ fault }) => fault as SuspectId)
    const sets = job.readingSets.map(({ id }) => id)
    const key = JSON.stringify([
      faults,
      job.round,
      workBegan(job),
      sets,
      job.repair?.refrigerantTo,
      unitState(job, effectsOf),
    ])
    const known = this.#plans.get(key) ?? planOf(job, faults)
    this.#plans.set(key, known)
    return known
  }

  #scene(job: KnownJob) {
    const plan = this.#plan(job)
    const state = unitState(job, effectsOf)
    const vetoes = holdingVetoes(job.unit, job.readingSets, state)
    const holding = holdingNow({ unit: job.unit, vetoes, state, plan, began: workBegan(job) })
    const tasks = decided(job).length > 0 ? plan.tasks : []
    return { job, tasks, state, holding, verdicts: {} }
  }

  /** A round begins with nothing of the others: each gate of its plan is shut. */
  async #startsShut() {
    const document = await this.document()
    const job = this.#job(document, this.#looked)
    const plan = planOf({ ...job, decisions: [] }, ['txv-underfeeding'])
    const scene = { ...this.#scene(job), tasks: plan.tasks }
    const gates = plan.tasks
      .flatMap((task) => gatesOf(scene, task))
      .filter(({ id }) => id !== 'not-put-back' && id !== 'over-weight')
    expect(gates.filter(({ isOpen }) => isOpen)).toEqual([])
  }

  async check(whole: boolean) {
    const document = await this.document()
    // the document is the sum of its views, whichever round is looked at
    for (const { id } of roundsOf(document)) {
      const again = documentOf(viewOf(document, id))
      expect(new Set(again.steps.map((step) => step.id))).toEqual(
        new Set(document.steps.map((step) => step.id)),
      )
      expect(again.runs).toHaveLength(document.runs.length)
    }
    expect(roundsOf(document).map(({ id }) => id)).toEqual(this.model.rounds.map(({ id }) => id))
    const told = modelVetoes(this.model)
    const { cover, holds } = modelState(this.model)
    for (const { id, passes, started } of this.model.rounds) {
      const job = this.#job(document, id)
      const scene = this.#scene(job)
      const sheet = runSheet(scene, this.at)
      this.#nothingHidden(passes, [...sheet.steps, ...sheet.unplanned])
      for (const [veto, holdsNow] of Object.entries(told))
        expect([id, veto, scene.holding.includes(veto as VetoId)]).toEqual([id, veto, holdsNow])
      const tasks = [...scene.tasks.map((task) => task.id), ...job.steps.map(({ task }) => task)]
      const line = takenOffList({ ...scene, tasks }).find(({ what }) => what === COVER)
      expect(line?.state === 'off').toBe(cover === 'off')
      expect(scene.state.refrigerant).toBe(holds)
      expect(job.repair?.startedAt !== undefined).toBe(started === true)
      expect(document.steps.filter((step) => roundOf(step) === id).length).toBe(job.steps.length)
    }
    this.#setsAreOfTheirTime(document)
    if (whole) this.#answerAgrees(document)
  }

  #nothingHidden(passes: ModelRound['passes'], shown: ReturnType<typeof runSheet>['steps']) {
    for (const [task, all] of Object.entries(passes)) {
      const step = shown.find((each) => each.task.id === task)
      const last = all.at(-1)!
      const isOnRecord = all.length > 1 || last.begins.length > 0 || last.end !== undefined
      expect([task, step !== undefined]).toEqual([task, isOnRecord])
      if (!step) continue
      expect([task, step.state === 'done']).toEqual([task, last.end !== undefined])
      expect([task, step.earlier.map(({ doneAt }) => doneAt !== undefined)]).toEqual([
        task,
        all.slice(0, -1).map(({ end }) => end !== undefined),
      ])
    }
  }

  #setsAreOfTheirTime(document: StoredDocument) {
    const job = this.#job(document, this.#looked)
    for (const { id, at } of this.model.sets) {
      const set = job.readingSets.find((each) => each.id === id)!
      expect([id, set.refrigerant ?? 'R-22']).toEqual([id, modelState(this.model, at).holds])
    }
  }

  /** The answer that Diagnose and Measure show holds the same states as the run sheet. */
  #answerAgrees(document: StoredDocument) {
    const job = viewOf(document, this.#looked)
    const answer = createAnswerer().whole({ job })
    for (const [veto, holdsNow] of Object.entries(modelVetoes(this.model)))
      expect([veto, answer.vetoes.includes(veto as VetoId)]).toEqual([veto, holdsNow])
    expect(answer.state).toEqual(
      JSON.parse(JSON.stringify(this.#scene(this.#job(document, this.#looked)).state)),
    )
  }
}

const seen: Record<string, number> = {}
beforeAll(() => loadFor(knownJob(emptyJob(UNIT)).unit))

test.each(Array.from({ length: WALKS }, (_v, i) => SEED * 1000 + i))('walk %i', async (seed) => {
  const walk = new Walk(seed)
  await walk.begin()
  const path: string[] = []
  try {
    for (let i = 0; i < STEPS; i += 1) {
      path.push(await walk.act())
      await walk.check(i === STEPS - 1)
    }
  } catch (error) {
    throw new Error(`after ${path.join(', ')}: ${(error as Error).message}`, { cause: error })
  } finally {
    for (const [name, times] of Object.entries(walk.seen)) seen[name] = (seen[name] ?? 0) + times
    await walk.db.delete()
  }
})

test('every kind of change was tried, rounds and undo among them', () => {
  for (const name of [
    'begin',
    'work',
    'repeat',
    'reopen',
    'bled',
    'set',
    'decide',
    'take back',
    'round',
    'undo',
    'redo',
  ])
    expect([name, (seen[name] ?? 0) > 5]).toEqual([name, true])
})
