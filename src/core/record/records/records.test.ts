import { applyPatches, diffData, isSame, withoutUndefined } from './patches'
import { placeText } from './places'
import { defineKind, readData, type RecordKind } from './kind'
import { KIND_NAMES, type KindName, RECORD_KINDS } from './kinds'
import { SAMPLE_DRYER } from './sampleDryer'
import { isByPosition, keyOfOldTick, leaveKey, partKey } from './tick'

/** A record of each kind as it is stored now, and what its validator must refuse. */
const SAMPLES: Readonly<Record<KindName, readonly [good: object, bad: object, place: string]>> = {
  head: [
    { title: 'dome', unit: { kind: 'other', refrigerant: 'R-22', metering: 'txv' } },
    { unit: { kind: 'no-kind', refrigerant: 'R-22', metering: 'txv' } },
    'unit.kind',
  ],
  set: [
    { id: 'a', mode: 'cooling', readings: { suctionPressure: { value: 118, unit: 'psig' } } },
    { id: 'a', mode: 'cooling', readings: { suctionPressure: { value: 118, unit: 'F' } } },
    'readings.suctionPressure.unit',
  ],
  decision: [
    { id: 'undercharge', fault: 'undercharge', state: 'decided', at: '2026-05-04T09:00:00Z' },
    { id: 'undercharge', fault: 'undercharge', state: 'perhaps' },
    'state',
  ],
  repair: [{ acidNumber: 0.12 }, { acidNumber: 51 }, 'acidNumber'],
  day: [
    { crew: 2, start: '2026-11-27T08:00', rain: [{ from: '2026-11-27T10:00', to: '2026-11-27T12:00' }] },
    { crew: 2, rain: [{ from: '2026-11-27T12:00', to: '2026-11-27T10:00' }] },
    'rain[0]',
  ],
  run: [{ pump: { hose: '3/8', hoses: 2 } }, { pump: { hose: '1' } }, 'pump.hose'],
  step: [
    { id: 'recover', task: 'recover', spans: [{ from: '2026-11-27T08:00:00Z', to: '2026-11-27T08:20:00Z' }] },
    { id: 'recover', task: 'recover', spans: [{ from: '2026-11-27T08:30:00Z', to: '2026-11-27T08:20:00Z' }] },
    'spans[0]',
  ],
  takenOff: [
    { id: 'bulb', what: 'bulb', label: 'Bulb', offAt: '2026-11-27T08:00:00Z' },
    { id: 'bulb', what: 'bulb', label: 'Bulb', offAt: 'this morning' },
    'offAt',
  ],
  dryer: [SAMPLE_DRYER, { ...SAMPLE_DRYER, pressure: { value: 650, unit: 'in' } }, 'pressure.unit'],
  round: [
    { id: 'two', why: 'found', at: '2026-11-27T08:00:00Z', refrigerant: 'R-407C' },
    { id: 'two', why: 'because' },
    'why',
  ],
  tick: [{ key: 'task:setUp' }, { key: '' }, 'key'],
  closing: [
    {
      proven: 'proven',
      returnOn: '2026-12-03',
      settings: 'fan 3',
      overrides: [{ point: 'recovered', reason: 'no scale', at: '2026-11-20T10:00:00Z' }],
    },
    { proven: 'yes' },
    'proven',
  ],
  log: [
    {
      id: 'l',
      name: 'x.csv',
      startedAt: '2026-05-04T09:00:00Z',
      source: 'file',
      channels: [{ key: 'suctionPressure', unit: 'psig' }],
    },
    { id: 'l', name: 'x.csv', startedAt: '2026-05-04T09:00:00Z', source: 'file', channels: [] },
    'channels',
  ],
  attachment: [
    { id: 'p', name: 'plate.jpg', type: 'image/jpeg', size: 12 },
    { id: 'p', name: 'plate.jpg', type: 'text/html', size: 12 },
    'type',
  ],
}

describe('kinds of records', () => {
  test.each(KIND_NAMES)('%s: good data reads as the same object, bad data names its place', (name) => {
    const kind = RECORD_KINDS[name] as RecordKind<string, unknown>
    const [good, bad, place] = SAMPLES[name]
    const reading = readData(kind, kind.version, good)
    expect(reading).toEqual({ ok: true, data: good })
    if (reading.ok) expect(reading.data).toBe(good)
    const refused = readData(kind, kind.version, bad)
    expect(refused).toMatchObject({ ok: false, code: 'invalid' })
    if (!refused.ok) expect(refused.problems[0]!.path).toBe(place)
  })
  test.each(KIND_NAMES)('%s: what a newer Orzo wrote is told, not guessed at', (name) => {
    const kind = RECORD_KINDS[name] as RecordKind<string, unknown>
    expect(readData(kind, kind.version + 1, SAMPLES[name][0])).toMatchObject({ code: 'newer-version' })
  })
  test.each(KIND_NAMES)('%s: migrations are numbered without a gap up to its version', (name) => {
    const { version, migrations } = RECORD_KINDS[name]
    expect(migrations.map(({ to }) => to)).toEqual(Array.from({ length: version - 1 }, (_v, i) => i + 2))
  })
  test('a gap in the numbers is a mistake of the programmer', () => {
    const broken = {
      ...RECORD_KINDS.tick,
      version: 3,
      migrations: [{ to: 3, change: (data: object) => data }],
    }
    expect(() => defineKind(broken as never)).toThrow(/migrations 3, wanted 2,3/)
  })
  test('old data is changed step by step before it is validated', () => {
    const grown = defineKind({
      ...RECORD_KINDS.tick,
      version: 3,
      migrations: [
        { to: 2, change: ({ name }) => ({ key: name }) },
        { to: 3, change: ({ key }) => ({ key: `task:${String(key)}` }) },
      ],
    })
    expect(readData(grown, 1, { name: 'setUp' })).toEqual({ ok: true, data: { key: 'task:setUp' } })
    expect(readData(grown, 2, { key: 'setUp' })).toEqual({ ok: true, data: { key: 'task:setUp' } })
  })
})

describe('changes place by place', () => {
  const reading = (value: number) => ({ value, unit: 'psig', at: `t${value}` })
  const before = { mode: 'cooling', readings: { a: reading(1), b: reading(2) } }
  test('only what differs, a quantity and a list as one place each', () => {
    const after = { mode: 'cooling', readings: { a: reading(1), b: reading(3) }, list: [1] }
    expect(diffData(before, after)).toEqual([
      { path: ['readings', 'b'], old: reading(2), new: reading(3) },
      { path: ['list'], old: undefined, new: [1] },
    ])
    expect(diffData(before, structuredClone(before))).toEqual([])
  })
  test('there and back; a container that the change made goes with the last thing in it', () => {
    const after = { ...before, arrival: { site: { name: 'dome' } } }
    const patches = diffData(before, after)
    expect(patches).toEqual([{ path: ['arrival', 'site', 'name'], old: undefined, new: 'dome', madeFrom: 1 }])
    const back = applyPatches(after, patches, 'back')
    expect(back.data).toEqual(before)
    expect(applyPatches(back.data, patches, 'forth').data).toEqual(after)
    const kept = applyPatches(
      { ...after, arrival: { site: { name: 'dome' }, since: 'May' } },
      patches,
      'back',
    )
    expect(kept.data).toEqual({ ...before, arrival: { since: 'May' } })
  })
  test('a place that holds something else by now is kept and named', () => {
    const patches = diffData({ title: 'a' }, { title: 'b' })
    const result = applyPatches({ title: 'c' }, patches, 'back')
    expect(result).toEqual({ data: { title: 'c' }, done: [], kept: patches })
  })
  test('sameness looks into every field and forgives a missing undefined', () => {
    expect(isSame({ a: [1, { b: 2 }], c: undefined }, { a: [1, { b: 2 }] })).toBe(true)
    expect(isSame([1], { 0: 1 })).toBe(false)
    expect(isSame({ a: 1 }, { a: 2 })).toBe(false)
    expect(isSame(NaN, NaN)).toBe(true)
  })
  test('undefined leaves no key; untouched parts stay the same object', () => {
    const part = { x: 1 }
    const clean = withoutUndefined({ a: undefined, part, inner: { b: undefined } })
    expect(clean).toEqual({ part: { x: 1 }, inner: {} })
    expect(clean.part).toBe(part)
    expect(withoutUndefined(part)).toBe(part)
  })
  test.each([
    ['set', ['readings', 'suctionPressure'], 'suction pressure'],
    ['head', ['arrival', 'doneBefore'], 'done before'],
    ['set', [], 'reading set'],
  ] as const)('%s %j reads "%s"', (kind, path, text) => expect(placeText(kind, path)).toBe(text))
})

describe('ticks go by what they tick', () => {
  test.each([
    ['setUp', 'task:setUp'],
    ['part-2', 'position:part-2'],
    ['leave-stub sizes and feet', 'leave:stub-sizes-and-feet'],
  ])('of version 1: %s is %s', (old, key) => {
    expect(keyOfOldTick(old)).toBe(key)
    expect(isByPosition({ key })).toBe(old.startsWith('part-'))
  })
  test('keys are plain', () => {
    expect(partKey('run capacitor, 45/5 µF')).toBe('part:run-capacitor-45-5-f')
    expect(leaveKey('Stub sizes')).toBe('leave:stub-sizes')
  })
})
