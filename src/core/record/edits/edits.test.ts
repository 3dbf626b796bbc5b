import { decided, decisionOn, isReason } from '../job/decisions'
import { documentOf } from '../job/rounds'
import { latestWords } from '../job/words'
import { repeated } from './readingEdits'
import { emptyJob, type Job } from '../job/job'
import { progressOf, stageStates } from '../job/stages'
import { assembleJob, diffJobs, partsOf } from '../job/assemble'
import { readJobText, writeJobText } from '../job/readJob'
import { RECORD_KINDS } from '../records/kinds'
import { recordKey } from '../records/envelope'
import type { Edit } from './edit'
import * as decisions from './decisionEdits'
import * as head from './headEdits'
import * as lists from './listEdits'
import * as readings from './readingEdits'
import * as sets from './setEdits'

const NOW = '2026-05-04T09:00:00.000Z'
let count = 0
const stamp = { now: NOW, newId: () => `id-${++count}` }
const start: Job = emptyJob({ kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' })
const after = (...edits: Edit[]): Job => edits.reduce((job, edit) => edit(job, stamp), start)
const psig = (value: number) => ({ value, unit: 'psig' as const })

beforeEach(() => {
  count = 0
})

describe('head', () => {
  test('title and arrival; empty takes away, "no" is an answer, an empty arrival goes', () => {
    const job = after(head.setTitle('dome'), head.setArrival({ complaint: 'warm', previousBurnout: false }))
    expect(job).toMatchObject({ title: 'dome', arrival: { complaint: 'warm', previousBurnout: false } })
    const cleared = head.setArrival({ complaint: '', previousBurnout: undefined })(
      head.setTitle('')(job, stamp),
      stamp,
    )
    expect(Object.keys(cleared)).not.toContain('title')
    expect(Object.keys(cleared)).not.toContain('arrival')
  })
  test('plate fields and parts; the rest of the job stays the same objects', () => {
    const job = after(head.setPlate({ nominalTons: 3 }), head.setPlatePart('power', { rla: 14, volts: 230 }))
    expect(job.unit).toMatchObject({ nominalTons: 3, power: { rla: 14, volts: 230 } })
    expect(job.readingSets).toBe(start.readingSets)
    const less = head.setPlatePart('power', { rla: undefined, volts: undefined })(job, stamp)
    expect(Object.keys(less.unit)).not.toContain('power')
  })
  test('a copied plate keeps the own name and site', () => {
    const mine = after(head.setPlate({ name: 'unit 2' }), head.setPlatePart('site', { name: 'dome' }))
    const other = { ...start.unit, name: 'unit 1', refrigerant: 'R-22' as const, site: { name: 'lodge' } }
    expect(head.copyPlate(other)(mine, stamp).unit).toEqual({
      ...other,
      name: 'unit 2',
      site: { name: 'dome' },
    })
  })
})

describe('sets and readings', () => {
  test('the first reading makes the first set, the second goes into it', () => {
    const job = after(
      readings.putReading(undefined, 'suctionPressure', psig(118)),
      readings.putReading(undefined, 'liquidPressure', psig(350)),
    )
    expect(job.readingSets).toEqual([
      {
        id: 'id-1',
        at: NOW,
        label: 'as found',
        mode: 'cooling',
        readings: {
          suctionPressure: { ...psig(118), at: NOW, source: 'typed' },
          liquidPressure: { ...psig(350), at: NOW, source: 'typed' },
        },
      },
    ])
  })
  test('a note that was written while the tap was open stays with what is typed next', () => {
    const first = after(readings.putReading(undefined, 'suctionPressure', psig(118)))
    const id = first.readingSets[0]!.id
    const noted = readings.noteReading(id, 'suctionPressure', 'port leaks')(first, stamp)
    const typed = readings.putReading(
      id,
      'suctionPressure',
      psig(120),
      first.readingSets[0]!.readings.suctionPressure,
    )(noted, stamp)
    expect(typed.readingSets[0]!.readings.suctionPressure).toMatchObject({ value: 120, note: 'port leaks' })
    const cleared = readings.noteReading(id, 'suctionPressure', '')(typed, stamp)
    const again = readings.putReading(
      id,
      'suctionPressure',
      psig(121),
      typed.readingSets[0]!.readings.suctionPressure,
    )(cleared, stamp)
    expect(again.readingSets[0]!.readings.suctionPressure?.note).toBeUndefined()
  })
  test('a change reaches its own set only', () => {
    const two = after(sets.addSet('b'), sets.addSet('c'))
    const changed = sets.setLabel('b', 'warm')(two, stamp)
    expect(changed.readingSets.map(({ label }) => label)).toEqual(['as found', 'warm', 'set 3'])
    expect(changed.readingSets[2]).toBe(two.readingSets[2])
  })
  test('a set that was removed elsewhere is told, not made anew', () => {
    const two = after(sets.addSet('b'))
    expect(() => sets.setNote('gone', 'x')(two, stamp)).toThrow(/removed in another window/)
    expect(() => readings.putReading('gone', 'boxTemp', undefined)(start, stamp)).toThrow(/removed/)
  })
  test('mode, note, branch, changed conditions, removal', () => {
    const job = after(
      sets.addSet('b'),
      sets.setMode('b', 'heating'),
      sets.setNote('b', 'filter changed'),
      sets.setBranch('b', 2),
      sets.markConditionsChanged('b'),
    )
    expect(job.readingSets[1]).toMatchObject({
      mode: 'heating',
      note: 'filter changed',
      branch: 2,
      changedAt: NOW,
    })
    expect(sets.setBranch('b', undefined)(job, stamp).readingSets[1]).not.toHaveProperty('branch')
    expect(sets.removeSet('b')(job, stamp).readingSets).toHaveLength(1)
  })
  test('the set after a decision is the proof; a pool heater begins heating', () => {
    expect(after(decisions.decide('undercharge', undefined), sets.addSet('b')).readingSets[1]).toMatchObject({
      id: 'b',
      label: 'after repair',
    })
    const pool = emptyJob({ ...start.unit, kind: 'pool-heat-pump' })
    expect(
      sets
        .addSet('b')(pool, stamp)
        .readingSets.map(({ mode }) => mode),
    ).toEqual(['heating', 'heating'])
  })
  test('doubt and note on a reading; none where there is no reading', () => {
    const job = after(
      readings.putReading(undefined, 'boxTemp', { value: 40, unit: 'F' }),
      readings.markDoubtful(undefined, 'boxTemp', true),
      readings.noteReading(undefined, 'boxTemp', 'door open'),
      readings.markDoubtful(undefined, 'suctionPressure', true),
      readings.noteReading(undefined, 'suctionPressure', 'x'),
    )
    expect(job.readingSets[0]!.readings).toEqual({
      boxTemp: { value: 40, unit: 'F', at: NOW, source: 'typed', doubtful: true, note: 'door open' },
    })
    const less = readings.markDoubtful(undefined, 'boxTemp', false)(job, stamp)
    expect(less.readingSets[0]!.readings.boxTemp).not.toHaveProperty('doubtful')
    expect(readings.putReading(undefined, 'boxTemp', undefined)(job, stamp).readingSets[0]!.readings).toEqual(
      {},
    )
  })
  test('a reading typed over another keeps it in its history', () => {
    const job = after(
      readings.replaceReading(undefined, 'ohmsCR', { value: 1, unit: 'ohm' }),
      readings.replaceReading(undefined, 'ohmsCR', { value: 2, unit: 'ohm' }),
    )
    expect(job.readingSets[0]!.readings.ohmsCR).toMatchObject({ value: 2, before: [{ value: 1 }] })
  })
  test('words: observed and taken back; what is inside is one answer over all sets', () => {
    const job = after(
      readings.observe(undefined, 'acidTest', 'weak'),
      sets.addSet('b'),
      readings.observe('b', 'sightGlass', 'clear'),
    )
    expect(latestWords(job.readingSets)).toEqual({ acidTest: 'weak', sightGlass: 'clear' })
    const changed = readings.observeLatest('acidTest', 'strong')(job, stamp)
    expect(changed.readingSets.map(({ observations }) => observations?.acidTest)).toEqual([
      undefined,
      'strong',
    ])
    expect(changed.readingSets[0]).not.toHaveProperty('observations')
    expect(latestWords(readings.observeLatest('acidTest', undefined)(changed, stamp).readingSets)).toEqual({
      sightGlass: 'clear',
    })
  })
  test('a point steps from untested to live to dead and back; the load side is a word of the diagnosis too', () => {
    const step = readings.togglePoint(undefined, 'contactor-load')
    const live = after(step)
    expect(live.readingSets[0]).toMatchObject({
      points: { 'contactor-load': 'live' },
      observations: { loadVolts: 'live' },
    })
    const dead = step(live, stamp)
    expect(dead.readingSets[0]!.observations).toEqual({ loadVolts: 'dead' })
    const back = step(dead, stamp)
    expect(back.readingSets[0]).not.toHaveProperty('points')
    expect(back.readingSets[0]).not.toHaveProperty('observations')
    expect(after(readings.togglePoint(undefined, 'transformer')).readingSets[0]).not.toHaveProperty(
      'observations',
    )
  })
})

describe('decisions', () => {
  test('several on one job, each with its reason; circuit and electrical together', () => {
    const job = after(
      decisions.setOverride('txv-underfeeding', 'head cut through'),
      decisions.decide('txv-underfeeding', undefined),
      decisions.decide('contactor-failed', undefined),
    )
    expect(decided(job)).toEqual([
      {
        id: 'txv-underfeeding',
        fault: 'txv-underfeeding',
        state: 'decided',
        at: NOW,
        override: 'head cut through',
      },
      { id: 'contactor-failed', fault: 'contactor-failed', state: 'decided', at: NOW },
    ])
    // the reason of one fault is not that of another
    expect(decisionOn(job, 'contactor-failed')?.override).toBeUndefined()
  })
  test('taken back, the reason stays as a draft; without a reason nothing stays', () => {
    const job = after(
      decisions.setOverride('undercharge', 'seen'),
      decisions.decide('undercharge', undefined),
      decisions.takeBack('undercharge'),
      decisions.decide('overcharge', undefined),
      decisions.takeBack('overcharge'),
    )
    expect(job.decisions).toEqual([
      { id: 'undercharge', fault: 'undercharge', state: 'draft', override: 'seen' },
    ])
    expect(decisions.setOverride('undercharge', '')(job, stamp).decisions).toEqual([])
  })
  test('both of a pair are decided and taken back in one change', () => {
    const pair = ['condenser-fouled', 'undercharge']
    const job = after(decisions.decideAll(pair.map((fault) => ({ fault, gate: undefined }))))
    expect(decided(job).map(({ fault }) => fault)).toEqual(pair)
    expect(decisions.takeAllBack(pair)(job, stamp).decisions).toEqual([])
  })
  test('causes from before faults had names go along with the first decision, a reason is nobody’s', () => {
    const noted: Job = {
      ...start,
      decisions: [{ id: 'unnamed', state: 'draft', override: 'x', causes: ['moisture'] }],
    }
    expect(decisions.decide('compressor-grounded', undefined)(noted, stamp).decisions).toEqual([
      { id: 'unnamed', state: 'draft', override: 'x' },
      {
        id: 'compressor-grounded',
        fault: 'compressor-grounded',
        state: 'decided',
        at: NOW,
        causes: ['moisture'],
      },
    ])
  })
  test.each([
    ['', false],
    [' ', false],
    ['... .', false],
    ['seen', false],
    ['dryer cut open, full of beads', true],
    ['сгорела обмотка', true],
  ])('"%s" is a reason: %s', (text, isOne) => expect(isReason(text)).toBe(isOne))
  test('causes: several, "unknown" alone, with the checks made', () => {
    const toggle = (cause: string) => decisions.toggleCause('compressor-grounded', cause)
    const causes = (job: Job) => decisionOn(job, 'compressor-grounded')?.causes
    expect(causes(after(toggle('moisture'), toggle('contactor')))).toEqual(['moisture', 'contactor'])
    expect(causes(after(toggle('moisture'), toggle('unknown')))).toEqual(['unknown'])
    expect(causes(after(toggle('unknown'), toggle('moisture')))).toEqual(['moisture'])
    expect(causes(after(toggle('moisture'), toggle('moisture')))).toBeUndefined()
    expect(after(decisions.setCausesChecked('compressor-grounded', 'oil')).decisions[0]?.causesChecked).toBe(
      'oil',
    )
  })
})

describe('lists', () => {
  test('ticks on and off by key; old ones go once they were told', () => {
    const job = after(
      lists.tick('task:setUp', true),
      lists.tick('task:setUp', true),
      lists.tick('part:x', true),
    )
    expect(job.ticks).toEqual([
      { key: 'task:setUp', at: NOW },
      { key: 'part:x', at: NOW },
    ])
    expect(lists.tick('task:setUp', false)(job, stamp).ticks).toEqual([{ key: 'part:x', at: NOW }])
    const old: Job = { ...start, ticks: [{ key: 'position:part-2' }, { key: 'task:setUp' }] }
    expect(lists.dropOldTicks(old, stamp).ticks).toEqual([{ key: 'task:setUp' }])
  })
  test('a point of the closing is passed with a reason, in another one’s place, and taken back', () => {
    const passed = after(
      lists.overrideClose('recovered', ' no scale '),
      lists.overrideClose('charged', 'no scale either'),
      lists.overrideClose('recovered', 'the scale was wet'),
    )
    expect(passed.closing?.overrides).toEqual([
      { point: 'charged', reason: 'no scale either', at: NOW },
      { point: 'recovered', reason: 'the scale was wet', at: NOW },
    ])
    const back = [lists.overrideClose('charged', ''), lists.overrideClose('recovered', '  ')]
    expect(back.reduce((job, edit) => edit(job, stamp), passed).closing).toBeUndefined()
  })
  test('the closing record, logs and photos', () => {
    const log = {
      id: 'l',
      name: 'x.csv',
      startedAt: NOW,
      source: 'file' as const,
      channels: [{ key: 'suctionPressure' as const, unit: 'psig' as const }],
    }
    const photo = { id: 'p', name: 'plate.jpg', type: 'image/jpeg' as const, size: 3 }
    const job = after(
      lists.setClosing({ note: 'done', proven: 'proven' }),
      lists.addLog(log),
      lists.sealLog('l', 7),
      lists.addAttachment(photo),
      lists.setCaption('p', 'plate'),
    )
    expect(job).toMatchObject({
      closing: { note: 'done', proven: 'proven' },
      logs: [{ ...log, samples: 7 }],
      attachments: [{ ...photo, caption: 'plate' }],
    })
    const less = [
      lists.removeLog('l'),
      lists.removeAttachment('p'),
      lists.setClosing({ note: undefined, proven: undefined }),
    ]
    expect(less.reduce((current, edit) => edit(current, stamp), job)).toEqual(start)
  })
})

const diff = (before: Job, after: Job) => diffJobs(documentOf(before), documentOf(after))

describe('a job as records', () => {
  const full = after(
    head.setTitle('dome'),
    sets.addSet('b'),
    readings.observe('b', 'oilStain', 'joint'),
    decisions.decide('undercharge', undefined),
    lists.tick('task:setUp', true),
    lists.setClosing({ note: 'x' }),
  )
  const rows = partsOf(documentOf(full)).map(({ kind, id, order, data }) => ({
    row: {
      key: recordKey('j', kind, id),
      jobId: 'j',
      kind,
      id,
      order,
      version: RECORD_KINDS[kind].version,
      rev: 1,
      clock: 1,
      device: 'd',
      at: NOW,
      data,
    },
    data,
  }))
  test('is taken apart and put together equal, in order, whatever the order of the rows', () => {
    const job = assembleJob('j', NOW, [...rows].reverse())
    expect(job).toEqual({ ...documentOf(full), id: 'j', createdAt: NOW, updatedAt: NOW })
    expect(assembleJob('j', NOW, rows.slice(1))).toBeUndefined()
  })
  test('put together again, what did not change stays the same object', () => {
    const first = assembleJob('j', NOW, rows)!
    const again = assembleJob('j', NOW, rows, first)!
    expect(again.readingSets).toBe(first.readingSets)
    expect(again.unit).toBe(first.unit)
  })
  test('an edit changes one record; a tick no set', () => {
    expect(diff(full, lists.tick('part:x', true)(full, stamp)).map(({ kind, id }) => [kind, id])).toEqual([
      ['tick', 'part:x'],
    ])
    expect(diff(full, readings.observe('b', 'oilStain', 'none')(full, stamp)).map(({ id }) => id)).toEqual([
      'b',
    ])
    expect(diff(full, sets.removeSet('b')(full, stamp))).toMatchObject([{ id: 'b', after: undefined }])
    expect(diff(full, structuredClone(full))).toEqual([])
  })
  test('its file comes back exactly', () => {
    expect(readJobText(writeJobText(documentOf(full)))).toEqual({ ok: true, job: documentOf(full) })
  })
})

test('stages and progress follow what is on record', () => {
  const states = (job: Job) => Object.fromEntries(stageStates(job).map((state) => [state.stage, state]))
  expect(states(start).diagnose!.blocked).toBe('needs readings')
  expect(states(start).plan!.blocked).toBe('needs a suspect')
  const steps: readonly (readonly [Edit, string])[] = [
    [head.setTitle('x'), 'arrive'],
    [head.setArrival({ complaint: 'warm' }), 'measure'],
    [readings.putReading(undefined, 'suctionPressure', psig(118)), 'diagnose'],
    [decisions.decide('undercharge', undefined), 'plan'],
    [lists.setClosing({ proven: 'proven' }), 'close'],
  ]
  let job = start
  for (const [edit, progress] of steps) {
    job = edit(job, stamp)
    expect(progressOf(job)).toBe(progress)
  }
  expect(states(job).close!.done).toBe(true)
})

test('the same value measured again later is a second measurement, typed again at once it is none', () => {
  const first = { value: 1e9, unit: 'ohm' as const, at: '2026-07-01T10:00:00Z' }
  const again = (at: string) => repeated({ ...first, at, source: 'typed' }, first).before
  expect(again('2026-07-01T10:00:20Z')).toBeUndefined()
  expect(again('2026-07-01T10:30:00Z')).toEqual([{ value: 1e9, unit: 'ohm', at: first.at }])
})
