import { workScene } from '../../../../tools/run/workScene'
import { loadRefrigerants } from '../../physics/refrigerants/tables'
import { setQuote } from '../../record/edits/dayEdits'
import { decide } from '../../record/edits/decisionEdits'
import type { Edit } from '../../record/edits/edit'
import * as edits from '../../record/edits/workEdits'
import { emptyJob, type KnownJob } from '../../record/job/job'
import { readJobText } from '../../record/job/readJob'
import { planOf } from '../plan/basis'
import { recordTask } from './beginning'
import { startLines } from './firstStart'
import { sheetTasks } from './ownSteps'
import { runSheet } from './runSheet'

beforeAll(() => loadRefrigerants(['R-410A']))

const START = Date.parse('2026-11-27T08:00:00Z')
const UNIT = {
  kind: 'split-ac',
  refrigerant: 'R-410A',
  metering: 'txv',
  nominalTons: 3,
  factoryCharge: { value: 7.5, unit: 'lb' },
} as const

let ids = 0
const when =
  (minute: number, edit: Edit): Edit =>
  (job) =>
    edit(job, { now: new Date(START + minute * 60_000).toISOString(), newId: () => `id-${++ids}` })
const apply = (job: KnownJob, ...all: Edit[]): KnownJob =>
  all.reduce<KnownJob>((now, edit) => when(0, edit)(now, undefined as never) as KnownJob, job)
const decided = (...all: Edit[]) => apply(emptyJob(UNIT), decide('txv-underfeeding', undefined), ...all)
const sheetOf = (job: KnownJob, minute = 60) =>
  runSheet(workScene(job, planOf(job, ['txv-underfeeding'])), START + minute * 60_000)
const stepOf = (job: KnownJob, id: string) => sheetOf(job).steps.find(({ task }) => task.id === id)

describe('steps of one’s own', () => {
  const drain = edits.addOwnStep('own-closed-a', 'Clear the condensate drain', 'gainAccess')
  const trap = edits.addOwnStep('own-closed-b', 'Fit a trap', 'gainAccess')
  const cut = edits.addOwnStep('own-flame-c', 'Cut the old strainer out', 'gainAccess')

  test('stand behind the task after which they were put, in the order in which they were added; else at the end', () => {
    const labels = sheetOf(
      decided(drain, trap, edits.addOwnStep('own-closed-d', 'Sweep the roof', undefined)),
    ).steps.map(({ task }) => task.label)
    const at = labels.findIndex((label) => label.startsWith('Gain access'))
    expect(labels.slice(at + 1, at + 3)).toEqual(['Clear the condensate drain', 'Fit a trap'])
    expect(labels.at(-1)).toBe('Sweep the roof')
  })
  test('one that leaves the circuit closed waits for nothing', () => {
    expect(stepOf(decided(drain), 'own-closed-a')).toMatchObject({ state: 'ready', gates: [], waitsFor: [] })
  })
  test('one that opens, or uses a flame, has the gates and cautions of any that does', () => {
    const step = stepOf(decided(cut), 'own-flame-c')!
    expect(step.state).toBe('blocked')
    expect(step.gates.map(({ id, isOpen }) => [id, isOpen])).toEqual([
      ['not-approved', false],
      ['not-recovered', false],
      ['not-swept', false],
    ])
    expect(step.task.cautions.join()).toMatch(/No flame on a circuit with refrigerant/)
    const opens = stepOf(
      decided(edits.addOwnStep('own-opens-e', 'Look into the strainer', undefined)),
      'own-opens-e',
    )!
    expect(opens.gates.map(({ id }) => id)).toEqual(['not-approved', 'not-recovered'])
  })
  test('one that opens after the pressure test makes it void', () => {
    const bubbled = [edits.beginStep('pressureTest', 9), when(5, edits.setBubbled(true))]
    const before = sheetOf(decided(...bubbled))
    const missing = (sheet: typeof before) =>
      sheet.steps.find(({ task }) => task.id === 'evacuate')!.gates.find(({ id }) => id === 'not-tested')!
        .missing
    expect(missing(before)).not.toContain('every joint bubbled')
    const opened = decided(...bubbled, cut, when(9, edits.beginStep('own-flame-c', 5)))
    expect(missing(sheetOf(opened))).toContain('every joint bubbled')
  })
  test('no plan recovers before it: a closed repair keeps it shut until the circuit is shown to be empty', () => {
    const opens = edits.addOwnStep('own-opens-f', 'Look into the strainer', undefined)
    const closed = apply(
      emptyJob(UNIT),
      decide('start-gear-failed', undefined),
      setQuote({ answer: 'given' }),
      opens,
    )
    const step = (job: KnownJob) =>
      runSheet(workScene(job, planOf(job, ['start-gear-failed'])), START).steps.find(
        ({ task }) => task.id === 'own-opens-f',
      )!
    expect(step(closed).state).toBe('blocked')
    expect(
      step(closed)
        .gates.find(({ id }) => id === 'not-recovered')!
        .missing.join(),
    ).toMatch(/refrigerant out of it/)
    const inside = (contents: 'air' | 'vapour') => {
      const scene = workScene(closed, planOf(closed, ['start-gear-failed']))
      const section = { ...scene.state.sections.low, contents }
      const state = { ...scene.state, sections: { high: section, low: section, compressor: section } }
      return runSheet({ ...scene, state }, START).steps.find(({ task }) => task.id === 'own-opens-f')!
    }
    expect(inside('vapour').state).toBe('blocked')
    expect(inside('air').state).toBe('ready')
    // what the gate of the start asks for then, the list of the start shows
    const asked = startLines({
      unit: closed.unit,
      tasks: sheetTasks(planOf(closed, ['start-gear-failed']).tasks, closed.steps),
      state: { off: {} },
    })
    expect(asked.map(({ id }) => id)).toContain('valves')
  })
  test('counts until it is over; one at which nobody worked goes again', () => {
    const job = decided(drain)
    const { done, steps } = sheetOf(job)
    expect(sheetOf(apply(job, recordTask({ id: 'own-closed-a' }, undefined))).done).toBe(done + 1)
    expect(sheetOf(apply(job, edits.removeOwnStep('own-closed-a'))).steps).toHaveLength(steps.length - 1)
    const worked = apply(job, edits.beginStep('own-closed-a', 5), edits.removeOwnStep('own-closed-a'))
    expect(sheetOf(worked).steps).toHaveLength(steps.length)
  })
  test('done once more it keeps what it is', () => {
    const again = decided(drain, edits.beginStep('own-closed-a', 5), edits.repeatStep('own-closed-a'))
    expect(stepOf(again, 'own-closed-a')).toMatchObject({ task: { label: 'Clear the condensate drain' } })
  })
  test('survive export and import', () => {
    const job = decided(drain, cut, recordTask({ id: 'own-closed-a' }, undefined))
    expect(job.steps).toHaveLength(2)
    expect(job.steps[0]).toMatchObject({ own: { label: 'Clear the condensate drain', after: 'gainAccess' } })
    const text = JSON.stringify({
      format: 'orzo.job',
      version: 3,
      unit: UNIT,
      readingSets: [],
      steps: job.steps,
    })
    const reading = readJobText(text)
    expect(reading.ok && reading.job.steps).toEqual(job.steps)
  })
})

describe('done in another order', () => {
  test('is written down without leaving who is at another step', () => {
    const job = decided(edits.beginStep('setUp', 10), when(4, recordTask({ id: 'gainAccess' }, undefined)))
    expect(stepOf(job, 'setUp')).toMatchObject({ state: 'hands' })
    expect(stepOf(job, 'gainAccess')).toMatchObject({ state: 'done', hands: 0 })
  })
  test('with what belongs to its beginning: what went in, the first start', () => {
    const job = decided(
      setQuote({ answer: 'given' }),
      when(7, recordTask({ id: 'weighIn' }, 'R-410A')),
      when(9, recordTask({ id: 'settle' }, undefined)),
    )
    expect(job.repair?.startedAt).toBe('2026-11-27T08:09:00.000Z')
    expect(sheetOf(job).steps.find(({ task }) => task.id === 'settle')).toMatchObject({ state: 'done' })
  })
})
