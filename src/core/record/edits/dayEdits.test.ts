import { documentOf } from '../job/rounds'
import { diffJobs } from '../job/assemble'
import { emptyJob, type Job, jobSchema } from '../job/job'
import type { Edit } from './edit'
import {
  addOwnPart,
  addStretch,
  editPart,
  noteTook,
  pinTask,
  removeOwnPart,
  removeStretch,
  setDay,
  setMatch,
  setQuote,
  setStretch,
  setTaskMinutes,
} from './dayEdits'

const JOB = emptyJob({ kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' })
const STAMP = { now: '2026-11-26T08:00:00Z', newId: () => 'new1' }
const after = (...edits: readonly Edit[]): Job => edits.reduce((job, each) => each(job, STAMP), JOB as Job)

test.each<readonly [string, readonly Edit[], Job['day']]>([
  ['fields', [setDay({ crew: 2, start: '2026-11-27T08:00' })], { crew: 2, start: '2026-11-27T08:00' }],
  [
    'a dragged task',
    [pinTask('recover', '2026-11-27T09:00')],
    { notBefore: { recover: '2026-11-27T09:00' } },
  ],
  ['typed minutes', [setTaskMinutes('recover', [5, 8, 12])], { minutes: { recover: [5, 8, 12] } }],
  [
    'what it took',
    [noteTook('recover', { planned: 40, actual: 55 })],
    { took: { recover: { planned: 40, actual: 55 } } },
  ],
  [
    'rain, one taken back',
    [
      addStretch('rain', { from: '2026-11-27T09:00', to: '2026-11-27T10:00' }),
      addStretch('rain', { from: '2026-11-27T13:00', to: '2026-11-27T14:00' }),
      removeStretch('rain', 0),
    ],
    { rain: [{ from: '2026-11-27T13:00', to: '2026-11-27T14:00' }] },
  ],
  [
    'an end of rain past the other one: its length stays',
    [
      addStretch('rain', { from: '2026-11-27T10:00', to: '2026-11-27T12:00' }),
      setStretch('rain', 0, 'from', '2026-11-27T13:00'),
      setStretch('rain', 0, 'to', '2026-11-27T18:00'),
    ],
    { rain: [{ from: '2026-11-27T13:00', to: '2026-11-27T18:00' }] },
  ],
  [
    'a break typed from its end',
    [addStretch('breaks', { from: '12:00', to: '12:30' }), setStretch('breaks', 0, 'to', '11:00')],
    { breaks: [{ from: '10:30', to: '11:00' }] },
  ],
  [
    'a quote',
    [setQuote({ askedAt: '2026-11-20T10:00' }), setQuote({ answer: 'given', by: 'the warden' })],
    { quote: { askedAt: '2026-11-20T10:00', answer: 'given', by: 'the warden' } },
  ],
  [
    'a part and its points',
    [editPart('part:tags', { struck: true }), setMatch('part:valve', 'offered', 'capacity', '3 tons')],
    { parts: { 'part:tags': { struck: true }, 'part:valve': { offered: { capacity: '3 tons' } } } },
  ],
  ['a line of one’s own', [addOwnPart('long ladder')], { ownParts: [{ id: 'new1', label: 'long ladder' }] }],
])('%s', (_name, edits, day) => {
  const job = after(...edits)
  expect(job.day).toEqual(day)
  expect(jobSchema.safeParse(documentOf(job)).success).toBe(true)
  expect(diffJobs(documentOf(JOB), documentOf(job)).map(({ kind, id }) => [kind, id])).toEqual([
    ['day', 'only'],
  ])
})

test('what is taken back leaves no day behind', () => {
  const job = after(
    setDay({ crew: 2 }),
    pinTask('recover', '2026-11-27T09:00'),
    addOwnPart('ladder'),
    setMatch('part:valve', 'wanted', 'capacity', '3 tons'),
    editPart('part:tags', { struck: true }),
    setQuote({ answer: 'given' }),
    addStretch('breaks', { from: '12:00', to: '12:30' }),
    setDay({ crew: undefined }),
    pinTask('recover', undefined),
    removeOwnPart('new1'),
    setMatch('part:valve', 'wanted', 'capacity', ''),
    editPart('part:tags', { struck: undefined }),
    setQuote({ answer: undefined }),
    removeStretch('breaks', 0),
  )
  expect(job.day).toBeUndefined()
  expect(diffJobs(documentOf(JOB), documentOf(job))).toEqual([])
})
