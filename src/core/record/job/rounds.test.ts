import { decide } from '../edits/decisionEdits'
import { type Edit } from '../edits/edit'
import { inRound } from '../edits/inRound'
import { addAttachment, setClosing, tick } from '../edits/listEdits'
import { setRepair } from '../edits/repairEdits'
import { beginRound, dropRound, setRoundReason } from '../edits/roundEdits'
import { addSet } from '../edits/setEdits'
import { beginStep, finishStep, markTaken, setBubbled } from '../edits/workEdits'
import { decided } from './decisions'
import { emptyJob, type JobDocument } from './job'
import { partsOf } from './assemble'
import { readJobText, writeJobText } from './readJob'
import { documentOf, isRoundOver, roundsOf, viewOf } from './rounds'
import { setsOfRound } from './setsOfRound'
import { summaryOf } from './summary'

const START = Date.parse('2026-11-27T08:00:00Z')
const UNIT = { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' } as const
let minute = 0
const change = (document: JobDocument, edit: Edit, round?: string): JobDocument => {
  minute += 1
  const now = new Date(START + minute * 60_000).toISOString()
  return inRound(edit, round)(document, { now, newId: () => `id-${minute}` })
}
const apply = (document: JobDocument, edits: readonly Edit[], round?: string) =>
  edits.reduce((now, edit) => change(now, edit, round), document)

const empty = () =>
  documentOf({
    ...emptyJob(UNIT),
    createdAt: new Date(START).toISOString(),
    readingSets: [{ id: 'found', at: new Date(START).toISOString(), mode: 'cooling', readings: {} }],
  })
const first = () =>
  apply(empty(), [
    decide('txv-underfeeding', undefined),
    beginStep('recover', 10),
    finishStep('recover'),
    tick('part:valve', true),
    setRepair({ valvesTight: true }),
    setBubbled(true),
    markTaken({ what: 'valve-cores', label: 'Valve cores' }, 'off'),
    beginStep('settle', 10, { starts: true }),
    addSet('after'),
  ])
const second = () => {
  const begun = change(first(), beginRound('two', 'return'))
  return apply(
    begun,
    [
      decide('txv-underfeeding', undefined),
      decide('undercharge', undefined),
      beginStep('recover', 10),
      finishStep('recover'),
      tick('part:valve', true),
      markTaken({ what: 'valve-cores', label: 'Valve cores' }, 'off'),
      setClosing({ note: 'again' }),
      addSet('later'),
    ],
    'two',
  )
}

describe('a round has its own', () => {
  test('ids of the first are as they always were, those of a later one are its own', () => {
    const ids = partsOf(second()).map(({ kind, id }) => `${kind}/${id}`)
    expect(new Set(ids).size).toBe(ids.length)
    expect(ids).toEqual(
      expect.arrayContaining([
        'decision/txv-underfeeding',
        'decision/two.txv-underfeeding',
        'step/recover',
        'step/two.recover',
        'tick/part:valve',
        'tick/two/part:valve',
        'takenOff/valve-cores',
        'takenOff/two.valve-cores',
        'repair/only',
        'run/only',
        'closing/two',
        'round/two',
      ]),
    )
  })
  test('decisions, steps, logs and figures of one are not in the view of the other; sets are in both', () => {
    const [one, two] = ['only', 'two'].map((id) => viewOf(second(), id))
    expect(decided(one!).map(({ fault }) => fault)).toEqual(['txv-underfeeding'])
    expect(decided(two!).map(({ fault }) => fault)).toEqual(['txv-underfeeding', 'undercharge'])
    expect(one!.repair).toMatchObject({ valvesTight: true })
    expect(two!.repair).toBeUndefined()
    expect([one!.run?.bubbledAt !== undefined, two!.run]).toEqual([true, undefined])
    expect([one!.closing, two!.closing?.note]).toEqual([undefined, 'again'])
    expect(two!.readingSets.map(({ id }) => id)).toEqual(['found', 'after', 'later'])
  })
  test('what is changed in one leaves every record of the other the same object', () => {
    const before = second()
    const after = apply(before, [beginStep('sweep', 4), setClosing({ note: 'x' })], 'two')
    for (const list of ['steps', 'decisions', 'ticks', 'takenOff', 'repairs', 'runs'] as const) {
      const own = before[list].filter((each) => each.round === undefined)
      for (const record of own) expect(after[list]).toContain(record)
    }
  })
  test('without a round that is named, the last that began is changed; one that is gone is not made up', () => {
    expect(change(second(), setRepair({ acidNumber: 1 })).repairs).toMatchObject([
      { valvesTight: true },
      { acidNumber: 1, round: 'two' },
    ])
    expect(viewOf(second(), 'no-such').round).toBe('two')
  })
})

describe('the document and its views', () => {
  test('one is made of the other, whichever round is looked at', () => {
    const document = second()
    for (const { id } of roundsOf(document)) {
      const again = documentOf(viewOf(document, id))
      const ids = (of: JobDocument) =>
        partsOf(of)
          .map((part) => `${part.kind}/${part.id}`)
          .sort()
      expect(ids(again)).toEqual(ids(document))
      for (const list of ['steps', 'decisions', 'repairs', 'runs', 'closings'] as const)
        expect([...again[list]]).toEqual(expect.arrayContaining([...document[list]]))
    }
  })
  test('a job of one round holds nothing beside, and its lists stay the same objects', () => {
    const document = first()
    const view = viewOf(document)
    expect(view.others).toBeUndefined()
    expect(view.steps).toBe(document.steps)
    expect(documentOf(view)).toEqual(document)
  })
  test('a record in which nothing is left goes', () => {
    const emptied = change(second(), setClosing({ note: undefined }), 'two')
    expect(emptied.closings).toEqual([])
  })
  test('version 3 comes back exactly with two rounds', () => {
    const document = second()
    expect(readJobText(writeJobText(document))).toEqual({ ok: true, job: document })
    expect(summaryOf(viewOf(document))).toEqual(summaryOf(viewOf(document, 'only')))
  })
  test('a kind that is newer than this Orzo reads is refused with its place', () => {
    const text = writeJobText(second()).replace('"set": 3', '"set": 9')
    expect(readJobText(text)).toMatchObject({
      ok: false,
      code: 'newer-version',
      problems: [{ path: 'kinds.set' }],
    })
    const wrong = writeJobText(second(), { 'set/found': { order: 1 } as never })
    expect(readJobText(wrong)).toMatchObject({ ok: false, code: 'invalid' })
  })
})

describe('which sets speak for a round', () => {
  const ids = (document: JobDocument, round: string) =>
    setsOfRound(viewOf(document, round)).map(({ id }) => id)
  test('once the unit ran again what was read before it says nothing of what is inside', () => {
    expect(ids(second(), 'two')).toEqual(['after', 'later'])
    expect(ids(second(), 'only')).toEqual(['found', 'after'])
  })
  test('found during the work, before it ran, they speak for both', () => {
    const underway = apply(empty(), [decide('txv-underfeeding', undefined), beginStep('recover', 10)])
    const begun = change(change(underway, beginRound('two', 'found')), addSet('later'), 'two')
    expect(ids(begun, 'two')).toEqual(['found', 'later'])
  })
})

describe('a round begins and ends', () => {
  test('it is over with its last step, or once it is closed in another way; taken back it is not', () => {
    const ended = apply(first(), [beginStep('closeUp', 10), finishStep('closeUp')])
    expect(isRoundOver(viewOf(first()))).toBe(false)
    expect(isRoundOver(viewOf(ended))).toBe(true)
    expect(roundsOf(ended)[0]?.closedAt).toBeDefined()
    expect(isRoundOver(viewOf(change(first(), setClosing({ proven: 'not-proven-today' }))))).toBe(true)
    expect(isRoundOver(viewOf(change(ended, beginRound('two', 'found'))))).toBe(false)
  })
  test('one in which nothing stands can go, another one cannot; why it began can be said anew', () => {
    const begun = change(first(), beginRound('two', 'found'))
    expect(change(begun, dropRound, 'two').rounds).toEqual([])
    expect(change(second(), dropRound, 'two').rounds).toHaveLength(1)
    expect(change(first(), dropRound).steps).toHaveLength(2)
    expect(change(begun, setRoundReason('return'), 'two').rounds).toMatchObject([
      { id: 'two', why: 'return' },
    ])
    expect(change(begun, beginRound('two', 'return')).rounds).toHaveLength(1)
  })
  test('photos and sets belong to the job', () => {
    const photo = { id: 'p', name: 'p.jpg', type: 'image/jpeg', size: 1 } as const
    expect(viewOf(change(second(), addAttachment(photo), 'only'), 'two').attachments).toEqual([photo])
  })
})
