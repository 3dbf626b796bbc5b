import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { gaussian, seededRandom } from '../../base/numeric/random'
import { DEFAULT_POLICY } from '../policy/policy'
import { JOB_VERSION, type JobDocument } from './job'
import { STAGES } from './stages'
import { pathText, type RawData } from '../records/kind'
import { JOB_MIGRATIONS, migrate } from './migrations'
import { problemSentence, readJobText, readJobValue, writeJobText } from './readJob'
import { siteAtmosphere } from '../equipment/circumstances'
import { tapsOf } from '../equipment/taps'
import { METERINGS, UNIT_KINDS, type UnitPlate, unitSchema } from '../equipment/unit'

const FULL: JobDocument = {
  format: 'orzo.job',
  version: 3,
  dryers: [],
  id: 'job-1',
  title: 'Observatory dome split',
  demo: true,
  policy: DEFAULT_POLICY,
  createdAt: '2026-05-04T09:30:00.000Z',
  updatedAt: '2026-05-04T11:30:00+02:00',
  unit: {
    name: 'dome split',
    kind: 'split-heat-pump',
    refrigerant: 'R-410A',
    metering: 'txv',
    heatRejection: 'air',
    power: { phase: 3, volts: 208, hertz: 60, rla: 12.5, lra: 80 },
    compressor: { type: 'scroll', oil: 'POE' },
    designPressures: { high: { value: 450, unit: 'psig' }, low: { value: 240, unit: 'psig' } },
    listedFor: ['R-410A'],
    lineSet: {
      liquid: { value: 3, unit: 'mm' },
      vapour: { value: 0.75, unit: 'in' },
      length: { value: 30, unit: 'ft' },
      included: { value: 15, unit: 'ft' },
    },
    nominalTons: 3,
    seer: 14,
    factoryCharge: { value: 7.2, unit: 'lb' },
    oilCharge: { value: 38, unit: 'floz' },
    targetSubcooling: { value: 10, unit: 'F' },
    receiver: false,
    headPressureControl: false,
    crankcaseHeater: { watts: 40, volts: 240 },
    accumulator: true,
    site: { name: 'dome', elevation: { value: 1750, unit: 'm' } },
  },
  arrival: { complaint: 'warm', since: 'Monday', previousBurnout: false },
  readingSets: [
    {
      id: 'set-1',
      at: '2026-05-04T09:40:00Z',
      label: 'as found',
      mode: 'cooling',
      readings: { suctionPressure: { value: 118, unit: 'psig', source: 'probe', instrument: 'gauge A' } },
      observations: { frostPattern: 'none', hoursOpenToAir: 2 },
    },
  ],
  decisions: [
    { id: 'txv-underfeeding', fault: 'txv-underfeeding', state: 'decided', override: 'customer insists' },
    {
      id: 'compressor-grounded',
      fault: 'compressor-grounded',
      state: 'decided',
      at: '2026-05-04T10:00:00Z',
      causes: ['moisture'],
      gate: {
        gate: 'compressor-electrical',
        part: 'compressor',
        met: false,
        missing: [{ id: 'ground', label: 'Ohms to ground measured' }],
        onRecord: [],
        build: 'orzo 0.1.0',
      },
    },
  ],
  ticks: [{ key: 'task:setUp', at: '2026-05-04T10:00:00Z' }],
  logs: [
    {
      id: 'log-1',
      name: 'gauge.csv',
      startedAt: '2026-05-04T09:40:00Z',
      source: 'file',
      channels: [{ key: 'suctionPressure', unit: 'psig' }],
      samples: 100,
    },
  ],
  attachments: [{ id: 'photo-1', name: 'plate.jpg', type: 'image/jpeg', size: 1000 }],
  rounds: [
    { id: 'only', why: 'first', refrigerant: 'R-410A', closedAt: '2026-05-04T12:00:00Z' },
    { id: 'two', why: 'return', at: '2026-06-04T10:00:00Z' },
  ],
  closings: [
    { recovered: { value: 6, unit: 'lb' }, proven: 'proven' },
    { round: 'two', note: 'leaks again' },
  ],
  repairs: [{ startedAt: '2026-05-04T11:40:00Z' }, { round: 'two', valvesTight: true }],
  days: [{ crew: 2 }],
  runs: [{ bubbledAt: '2026-05-04T10:40:00Z', pump: { hose: '3/8', coresOut: true } }],
  steps: [
    { id: 'recover', task: 'recover', spans: [{ from: '2026-05-04T10:00:00Z' }], note: 'cylinder cooled' },
  ],
  takenOff: [{ id: 'bulb', what: 'bulb', label: 'Bulb', offAt: '2026-05-04T10:05:00Z' }],
}

describe('round trip', () => {
  test('a full document comes back equal in every field', () => {
    const reading = readJobText(writeJobText(FULL))
    expect(reading).toEqual({ ok: true, job: FULL })
  })
  test('the smallest document is a job', () => {
    const small = {
      format: 'orzo.job',
      version: 1,
      unit: { kind: 'other', refrigerant: 'R-22', metering: 'capillary' },
      readingSets: [],
    }
    expect(readJobText(JSON.stringify(small)).ok).toBe(true)
  })
  test('a byte order mark in front does no harm', () => {
    expect(readJobText(`\uFEFF${writeJobText(FULL)}`).ok).toBe(true)
  })
  const folder = path.resolve('examples')
  test.each(readdirSync(folder).filter((file) => file.endsWith('.orzo.json')))(
    'example %s, written by version 1, reads, and what is written comes back equal',
    (file) => {
      const text = readFileSync(path.join(folder, file), 'utf8')
      const reading = readJobText(text)
      expect(reading.ok).toBe(true)
      if (reading.ok) expect(readJobText(writeJobText(reading.job))).toEqual(reading)
    },
  )
})

const broken = (change: (job: Record<string, unknown>) => unknown): unknown => {
  const copy = structuredClone(FULL) as unknown as Record<string, unknown>
  return change(copy) ?? copy
}
const set = (job: Record<string, unknown>) => (job.readingSets as Record<string, unknown>[])[0]!
const unit = (job: Record<string, unknown>) => job.unit as Record<string, unknown>

describe('what is refused names the place', () => {
  const CASES: readonly (readonly [string, (job: Record<string, unknown>) => unknown, string, RegExp])[] = [
    ['a list', () => [], 'the document', /not an object/],
    ['another format', (job) => void (job.format = 'something'), 'format', /orzo\.job/],
    ['no version', (job) => void delete job.version, 'version', /whole number/],
    ['a newer version', (job) => void (job.version = JOB_VERSION + 1), 'version', /update Orzo/],
    ['a missing unit', (job) => void delete job.unit, 'unit', /missing/],
    [
      'an unknown refrigerant',
      (job) => void (unit(job).refrigerant = 'R-999'),
      'unit.refrigerant',
      /R-22, R-410A/,
    ],
    ['zero tons', (job) => void (unit(job).nominalTons = 0), 'unit.nominalTons', /above zero/],
    ['text for tons', (job) => void (unit(job).nominalTons = '3'), 'unit.nominalTons', /not a number/],
    [
      'a two-phase supply',
      (job) => void (unit(job).power = { phase: 2 }),
      'unit.power.phase',
      /neither 1 nor 3/,
    ],
    [
      'a wrong mode',
      (job) => void (set(job).mode = 'defrost'),
      'readingSets[0].mode',
      /cooling, heating, off/,
    ],
    [
      'a unit slip',
      (job) => void (set(job).readings = { suctionPressure: { value: 1, unit: 'F' } }),
      'readingSets[0].readings.suctionPressure.unit',
      /psig/,
    ],
    [
      'a key that Orzo does not know',
      (job) => void (set(job).readings = { suctionPresure: { value: 1, unit: 'psig' } }),
      'readingSets[0].readings',
      /"suctionPresure"/,
    ],
    [
      'an elevation in space',
      (job) => void (unit(job).site = { elevation: { value: 90_000, unit: 'm' } }),
      'unit.site.elevation.value',
      /11,000 m/,
    ],
    [
      'a bad fault id',
      (job) => void (job.decisions = [{ id: 'x', state: 'decided', fault: 'No Such!' }]),
      'decisions[0].fault',
      /no fault id/,
    ],
    [
      'a set that stands there twice',
      (job) => void (job.readingSets as unknown[]).push(set(job)),
      'readingSets[1].id',
      /twice/,
    ],
  ]
  test.each(CASES)('%s', (_name, change, where, message) => {
    const reading = readJobValue(broken(change))
    expect(reading.ok).toBe(false)
    if (reading.ok) return
    expect(reading.problems[0]?.path).toBe(where)
    expect(reading.problems[0]?.message).toMatch(message)
    expect(problemSentence(reading.problems[0]!)).toContain(where)
  })
  test('a cut-off file tells the line', () => {
    const text = writeJobText(FULL)
    const reading = readJobText(text.slice(0, text.length / 2))
    expect(reading).toMatchObject({ ok: false, code: 'not-json' })
    if (!reading.ok)
      expect(problemSentence(reading.problems[0]!)).toMatch(/^line \d+, column \d+ is not JSON/)
  })
  test('an overlong text is refused before it is parsed', () => {
    expect(readJobText('x'.repeat(10_000_001))).toMatchObject({ ok: false, code: 'too-large' })
  })
  test('a prototype key does not get in', () => {
    const text = writeJobText(FULL).replace('"demo": true', '"__proto__": {"x": 1}')
    const reading = readJobText(text)
    expect(reading.ok).toBe(false)
    expect(({} as Record<string, unknown>).x).toBeUndefined()
  })
  test('paths read as in code', () => {
    expect(pathText(['readingSets', 0, 'readings', 'a'])).toBe('readingSets[0].readings.a')
    expect(pathText([])).toBe('the document')
  })
})

describe('500 random mutations of an exported file (seed 1750)', () => {
  const random = seededRandom(1750)
  const text = writeJobText(FULL)
  const pick = (limit: number) => Math.floor(random() * limit)
  const mutate = (): string => {
    const at = pick(text.length)
    const kind = pick(4)
    if (kind === 0) return text.slice(0, at) + String.fromCharCode(32 + pick(95)) + text.slice(at + 1)
    if (kind === 1) return text.slice(0, at) + text.slice(at + 1 + pick(20))
    if (kind === 2) return text.slice(0, at) + String(Math.round(gaussian(random) * 1e4)) + text.slice(at)
    return text.slice(0, at) + text.slice(pick(text.length))
  }
  const outcomes = Array.from({ length: 500 }, () => readJobText(mutate()))

  test('each is either a valid job or refused with a message', () => {
    for (const outcome of outcomes) {
      if (outcome.ok) expect(readJobValue(JSON.parse(writeJobText(outcome.job)))).toEqual(outcome)
      else expect(problemSentence(outcome.problems[0]!).length).toBeGreaterThan(10)
    }
  })
  test('both outcomes happen', () => {
    const good = outcomes.filter((outcome) => outcome.ok).length
    expect(good).toBeGreaterThan(5)
    expect(good).toBeLessThan(495)
  })
})

describe('migrations', () => {
  test('are numbered from 2 without a gap, up to the present version', () => {
    expect(JOB_MIGRATIONS.map(({ to }) => to)).toEqual(
      Array.from({ length: JOB_VERSION - 1 }, (_v, i) => i + 2),
    )
  })
  test('apply in order and only those after the document', () => {
    const steps = [
      { to: 2, change: (document: RawData) => ({ ...document, trace: `${String(document.trace)}2` }) },
      { to: 3, change: (document: RawData) => ({ ...document, trace: `${String(document.trace)}3` }) },
    ]
    expect(migrate({ version: 1, trace: '1' }, 1, steps)).toEqual({ version: 3, trace: '123' })
    expect(migrate({ version: 2, trace: '2' }, 2, steps)).toEqual({ version: 3, trace: '23' })
    expect(migrate({ version: 3, trace: '3' }, 3, steps)).toEqual({ version: 3, trace: '3' })
  })
})

describe('circumstances and taps', () => {
  const plate = (part: Partial<UnitPlate>): UnitPlate => ({
    kind: 'split-ac',
    refrigerant: 'R-410A',
    metering: 'txv',
    ...part,
  })
  test('sea level unless the elevation is known', () => {
    expect(siteAtmosphere(plate({}))).toBe(101_325)
    expect(siteAtmosphere(plate({ site: { elevation: { value: 5741.5, unit: 'ft' } } }))).toBeCloseTo(
      siteAtmosphere(plate({ site: { elevation: { value: 1750, unit: 'm' } } })),
      0,
    )
  })
  test('below the sea the air is heavier; a mine deeper than the standard atmosphere is refused', () => {
    const at = (value: number) => plate({ site: { elevation: { value, unit: 'm' } } })
    // a dry lake 90 m below the sea: 102,411 Pa [std: ISO 2533]
    expect(siteAtmosphere(at(-90))).toBeCloseTo(102_411, -1)
    expect(unitSchema.safeParse(at(-90)).success).toBe(true)
    expect(unitSchema.safeParse(at(-3000)).success).toBe(false)
  })
  test('every kind and metering device starts with the four readings that tell most, none twice', () => {
    for (const kind of UNIT_KINDS) {
      for (const metering of METERINGS) {
        const taps = tapsOf(plate({ kind, metering }))
        expect(taps.slice(0, 4)).toEqual([
          'suctionPressure',
          'liquidPressure',
          'suctionLineTemp',
          'liquidLineTemp',
        ])
        expect(new Set(taps).size).toBe(taps.length)
      }
    }
  })
  test.each([
    ['a heat pump shows its valve ports', plate({ kind: 'split-heat-pump' }), 'rvSuctionInTemp', true],
    ['an air conditioner has none', plate({}), 'rvSuctionInTemp', false],
    ['a box shows its box', plate({ kind: 'walk-in-cooler' }), 'boxTemp', true],
    ['a water-source unit shows water', plate({ kind: 'water-source-heat-pump' }), 'waterOutTemp', true],
    ['and no outdoor air', plate({ kind: 'water-source-heat-pump' }), 'outdoorAirTemp', false],
    ['a capillary has no bulb', plate({ metering: 'capillary' }), 'evaporatorOutletTemp', false],
  ] as const)('%s', (_name, which, key, shown) => expect(tapsOf(which).includes(key)).toBe(shown))
  test('the stages stand in the order of work', () => {
    expect(STAGES).toEqual(['arrive', 'measure', 'diagnose', 'plan', 'work', 'close'])
  })
})

test.each(['constructor', '__proto__', 'toString', 'hasOwnProperty'])(
  'an id that the language keeps for itself is refused with its place: %s',
  (word) => {
    const job = { ...FULL, id: word }
    expect(readJobValue(job)).toMatchObject({
      ok: false,
      problems: [{ path: 'id', message: expect.stringMatching(/keeps for itself/) as string }],
    })
    const ticked = { ...job, id: 'job-1', ticks: [{ key: word }] }
    expect(readJobValue(ticked)).toMatchObject({ ok: false })
  },
)

test('a field that would change what every object is, is refused; the same word in a note is text', () => {
  const job = FULL
  const text = JSON.stringify(job)
  expect(readJobText(text).ok).toBe(true)
  expect(readJobText(text.replace('{', '{"__proto__":{"ok":1},'))).toMatchObject({
    ok: false,
    problems: [{ path: '__proto__' }],
  })
  expect(readJobText(JSON.stringify({ ...job, title: 'note "__proto__": x' })).ok).toBe(true)
})
