import { demoScenes } from '../../../tools/run/demoScenes'
import type { StoredJob } from '../record/job/job'
import { documentOf, viewOf } from '../record/job/rounds'
import { createAnswerer } from '../answer/answer'
import { emptyJob } from '../record/job/job'
import { loadFor } from '../answer/load'
import type { Closing } from '../record/records/closing'
import { type AfterLeader, closePoints, outcomeOf, outcomeText } from './closePoints'
import { type RoundScene, roundScene } from './scene'
import { tagOf } from './tag'

/** A closed demo job as its records stand, to be hurt one by one. */
let closed: RoundScene
beforeAll(async () => {
  closed = (await demoScenes('demo-spectrograph'))[0]!.scenes[0]!
}, 120_000)

/** The same repair with other records, judged anew. */
function withRecords(change: Partial<StoredJob>): RoundScene {
  const job = { ...closed.job, ...change }
  const answer = createAnswerer().whole({ job, samples: closed.samples, display: { temperature: 'F' } })
  return roundScene(job, { answer, samples: closed.samples, now: closed.now })
}
const withClosing = (closing: Partial<Closing>): RoundScene =>
  withRecords({ closing: { ...closed.job.closing, ...closing } })
const HEALTHY = { label: 'Nothing wrong with the circuit', probability: 0.6 }
const VALVE = { label: 'Expansion valve underfeeding', probability: 0.3 }
const point = (scene: RoundScene, id: string, leader?: AfterLeader) =>
  closePoints(scene, leader).find((each) => each.id === id)
const missingIds = (scene: RoundScene) =>
  closePoints(scene)
    .filter(({ state }) => state === 'missing')
    .map(({ id }) => id)

test('a job with everything on record is proven', () => {
  const points = closePoints(closed, HEALTHY)
  expect(points.filter(({ state }) => state !== 'met')).toEqual([])
  expect(outcomeOf(closed, points)).toBe('proven')
  expect(outcomeText(closed, points)).toBe('Proven under load')
})

test('before anything is decided nothing is closed', async () => {
  const job = {
    ...emptyJob({ kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }),
    id: 'new',
    createdAt: '',
    updatedAt: '2026-11-20T10:00:00Z',
  }
  await loadFor(job.unit, job)
  const answer = createAnswerer().whole({ job })
  const scene = roundScene(job, { answer, samples: {}, now: Date.parse(job.updatedAt) })
  expect(missingIds(scene)).toEqual(['decided', 'proven'])
  expect(point(scene, 'decided')).toMatchObject({
    canOverride: false,
    place: { at: 'stage', stage: 'diagnose' },
  })
})

type Hurt = readonly [
  what: string,
  change: (job: StoredJob) => Partial<StoredJob>,
  missing: readonly string[],
]
const HURT: readonly Hurt[] = [
  ['no choice at the end', ({ closing }) => ({ closing: { ...closing, proven: undefined } }), ['proven']],
  [
    'no weight that came out',
    ({ closing }) => ({ closing: { ...closing, recovered: undefined } }),
    ['recovered'],
  ],
  ['no weight that went in', ({ closing }) => ({ closing: { ...closing, charged: undefined } }), ['charged']],
  [
    'something still off',
    ({ takenOff }) => ({
      takenOff: takenOff.map(({ backAt: _back, ...each }, i) =>
        i === 0 ? each : { ...each, ...(_back ? { backAt: _back } : {}) },
      ),
    }),
    ['not-put-back'],
  ],
  [
    'no decay on record',
    ({ logs }) => ({ logs: logs.filter(({ purpose }) => purpose !== 'decay') }),
    ['not-dry'],
  ],
  [
    'no pressure test',
    ({ logs }) => ({ logs: logs.filter(({ purpose }) => purpose !== 'pressure-test') }),
    ['not-tested'],
  ],
  [
    'no recovery log',
    ({ logs }) => ({ logs: logs.filter(({ purpose }) => purpose !== 'recovery') }),
    ['not-recovered'],
  ],
  ['no answer of the owner', () => ({ day: {} }), ['not-approved']],
  [
    'no set after the start',
    ({ readingSets }) => ({ readingSets: readingSets.slice(0, 1) }),
    ['not-proven', 'proven'],
  ],
  [
    'a step that was not done',
    ({ steps }) => ({ steps: steps.filter(({ task }) => task !== 'refit') }),
    ['steps'],
  ],
]

test.each(HURT)('%s is missing, and nothing else', (_what, change, missing) => {
  const scene = withRecords(change(closed.job))
  expect(missingIds(scene)).toEqual(missing)
  expect(outcomeOf(scene, closePoints(scene))).toBe('open')
  for (const id of missing) expect(point(scene, id)!.missing.join()).not.toBe('')
})

test('a flag proves nothing: chosen as proven without readings after the start is not proven', () => {
  const scene = withRecords({ readingSets: closed.job.readingSets.slice(0, 1) })
  expect(scene.job.closing?.proven).toBe('proven')
  const overridden = withRecords({
    readingSets: closed.job.readingSets.slice(0, 1),
    closing: {
      ...closed.job.closing,
      overrides: ['not-proven', 'proven'].map((id) => ({
        point: id,
        reason: 'no time left today',
        at: '2026-11-20T10:00:00Z',
      })),
    },
  })
  // the gate is passed in writing; the word "proven" is not
  expect(point(overridden, 'not-proven')?.state).toBe('overridden')
  expect(point(overridden, 'proven')?.state).toBe('missing')
  expect(outcomeOf(overridden, closePoints(overridden))).toBe('open')
})

test('not proven today stands with the day of its return reading, and without it does not', () => {
  const without = withClosing({ proven: 'not-proven-today' })
  expect(missingIds(without)).toEqual(['return'])
  const booked = withClosing({ proven: 'not-proven-today', returnOn: '2026-12-03' })
  const points = closePoints(booked)
  expect(outcomeOf(booked, points)).toBe('not-proven-today')
  expect(outcomeText(booked, points)).toBe('Not proven today, return reading on 2026-12-03')
})

const leading = (label: string, probability: number): AfterLeader => ({ label, probability })
test.each([
  ['what was decided, however little it leads', VALVE, 'missing'],
  ['nothing wrong', HEALTHY, 'met'],
  ['another fault, just below what it shows', leading('Overcharge', 0.499), 'met'],
  ['another fault, just at it', leading('Overcharge', 0.5), 'missing'],
  ['another fault, above it', leading('Overcharge', 0.9), 'missing'],
  ['nothing wrong, for sure', { ...HEALTHY, probability: 0.99 }, 'met'],
])('after the repair %s: %s', (_what, leader, state) => {
  expect(point(closed, 'still-there', leader)?.state).toBe(state)
})
test('where nothing is claimed to be proven, nothing is held against it', () => {
  expect(point(withClosing({ proven: 'not-proven-today' }), 'still-there', VALVE)).toBeUndefined()
})

test('a decision without full proof counts as passed in writing, and without its words as missing', () => {
  const states = (override: string | undefined): RoundScene => {
    const [state] = closed.answer.decisionStates
    const gate = { ...state!.gate!, met: false, missing: [{ id: 'bulb', label: 'Bulb located' }] }
    const decisionStates = [
      {
        ...state!,
        gate,
        state: override ? ('overridden' as const) : ('not-proven' as const),
        decision: { ...state!.decision, ...(override ? { override } : {}) },
      },
    ]
    return { ...closed, answer: { ...closed.answer, decisionStates } }
  }
  const passed = states('seen with the part in hand')
  expect(point(passed, 'proof')).toMatchObject({
    state: 'overridden',
    override: 'seen with the part in hand',
  })
  expect(outcomeText(passed, closePoints(passed))).toBe(
    'Proven under load, 1 point passed with a written reason',
  )
  expect(point(states(undefined), 'proof')).toMatchObject({
    state: 'missing',
    missing: ['expansion valve underfeeding: bulb located'],
  })
})

test.each([
  ['no valve', 'missing'],
  ['scale wet', 'overridden'],
  ['. . . . . . . .', 'missing'],
])('"%s" as a reason: %s', (reason, state) => {
  const scene = withRecords({
    closing: {
      ...closed.job.closing,
      recovered: undefined,
      overrides: [{ point: 'recovered', reason, at: '2026-11-20T10:00:00Z' }],
    },
  })
  expect(point(scene, 'recovered')?.state).toBe(state)
})

test('a gate that was passed at its step in writing is passed here with the same words', () => {
  const steps = closed.job.steps.map((step) =>
    step.task === 'weighIn'
      ? {
          ...step,
          overrides: [
            { gate: 'not-dry', reason: 'gauge dropped, decay seen by eye', at: '2026-11-20T10:00:00Z' },
          ],
        }
      : step,
  )
  const scene = withRecords({ steps, logs: closed.job.logs.filter(({ purpose }) => purpose !== 'decay') })
  expect(point(scene, 'not-dry')).toMatchObject({
    state: 'overridden',
    override: 'gauge dropped, decay seen by eye',
  })
  expect(outcomeText(scene, closePoints(scene))).toBe(
    'Proven under load, 1 point passed with a written reason',
  )
})

test('a word that an earlier Orzo passed and nobody asks for any more harms nothing', () => {
  const scene = withClosing({
    overrides: [{ point: 'long-gone', reason: 'it was asked once', at: '2026-11-20T10:00:00Z' }],
  })
  expect(missingIds(scene)).toEqual([])
})

test('what a later repair takes off, and what it lacks, says nothing of the one before', () => {
  const document = documentOf(closed.job)
  const panels = document.takenOff[0]!
  const later = '2026-11-18T08:00:00.000Z'
  const two = {
    ...document,
    rounds: [...document.rounds, { id: 'second', why: 'found' as const, at: later }],
    takenOff: [
      ...document.takenOff,
      {
        id: 'second.panels',
        round: 'second',
        what: panels.what,
        label: panels.label,
        offAt: '2026-11-18T09:00:00.000Z',
      },
    ],
  }
  const sceneOf = (round: string) => {
    const job = viewOf(two, round)
    const answer = createAnswerer().whole({ job, samples: closed.samples })
    return roundScene(job, { answer, samples: closed.samples, now: Date.parse('2026-11-19T08:00:00Z') })
  }
  const [first, second] = ['only', 'second'].map(sceneOf) as [RoundScene, RoundScene]
  expect(outcomeOf(first, closePoints(first))).toBe('proven')
  expect(outcomeOf(second, closePoints(second))).toBe('open')
  // what hangs at the unit tells of both: the charge and the dryer of the first
  const tag = tagOf([first, second])
  expect(tag.lines.find(({ name }) => name === 'Charge')?.value).toBe('7 lb 14.1 oz in it')
  expect(tag.lines.some(({ name }) => name === 'Liquid dryer')).toBe(true)
})
