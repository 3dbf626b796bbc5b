import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { BadInput, runDoor, UsageError } from './run'

const EXAMPLES = path.resolve(__dirname, '../../examples')
const example = (name: string) => path.join(EXAMPLES, `${name}.orzo.json`)
const folder = mkdtempSync(path.join(tmpdir(), 'orzo-door-'))
const file = (name: string, text: string) => {
  const where = path.join(folder, name)
  writeFileSync(where, text)
  return where
}
const simulationWith = (part: object) =>
  JSON.stringify({
    format: 'orzo.simulation',
    version: 1,
    unit: { kind: 'split-ac', refrigerant: 'R-22', metering: 'txv' },
    mode: 'cooling',
    ...part,
  })
type Diagnosis = { suspects: { fault: string; probability: number }[] }

test.each([
  ['plugged-orifices', 'fixed-orifice-plugged'],
  ['underfeeding-expansion-valve', 'txv-underfeeding'],
  ['plugged-dryer', 'plugged-liquid-dryer'],
  ['after-repair', 'healthy'],
])('diagnose %s names %s first', (name, fault) => {
  expect((runDoor(['diagnose', example(name)]) as Diagnosis).suspects[0]!.fault).toBe(fault)
})

test('every example validates and can be planned', () => {
  for (const name of readdirSync(EXAMPLES).filter((file) => file.endsWith('.orzo.json'))) {
    const where = path.join(EXAMPLES, name)
    expect(runDoor(['validate', where])).toMatchObject({ valid: true, format: 'orzo.job', version: 3 })
    expect(runDoor(['plan', where])).toHaveProperty('contamination.class')
  }
})

describe('simulate', () => {
  const example = path.join(EXAMPLES, 'simulated-leaking-valve.orzo-simulation.json')
  type Simulation = { readings: Record<string, { value: number }>; derived: Record<string, number> }
  test('prints all readings of a unit with its fault', () => {
    const { readings, derived } = runDoor(['simulate', example]) as Simulation
    expect(Object.keys(readings).length).toBeGreaterThan(40)
    expect(derived.reversingValveRise).toBeGreaterThan(3)
    expect(readings.rvSuctionOutTemp!.value - readings.rvSuctionInTemp!.value).toBeCloseTo(
      derived.reversingValveRise!,
      1,
    )
  })
  test.each([
    ['no JSON', '{', /not JSON/],
    ['another format', '{"format":"orzo.job"}', /format is not "orzo.simulation"/],
    [
      'an unknown fault',
      simulationWith({ faults: [{ fault: 'bad-luck', severity: 1 }] }),
      /faults.0.fault is not one of/,
    ],
    ['a severity above one', simulationWith({ faults: [{ fault: 'undercharge', severity: 2 }] }), /above 1/],
    [
      'a kind without a model',
      simulationWith({ unit: { kind: 'other', refrigerant: 'R-22', metering: 'txv' } }),
      /no model/,
    ],
  ])('%s: says what is wrong', (name, text, message) => {
    expect(() => runDoor(['simulate', file(`${name}.json`, text)])).toThrow(message)
  })
})

describe('judge', () => {
  type Judged = {
    file: string
    limit: string
    cause: string | null
    opens: boolean
    missing: string[]
    sentence: string
    figures: { label: string; value: string }[]
    forecast: { minutes: number; range: [number, number]; isVolumeAssumed: boolean } | null
  }
  const judge = (...args: string[]) => runDoor(['judge', ...args]) as Judged[]
  const VACUUM = path.join(EXAMPLES, 'work/at-the-vacuum.json')
  const decay = (name: string, rise: (minute: number) => number, head = 'seconds,system microns,mark') =>
    file(
      name,
      [
        head,
        ...Array.from(
          { length: 21 },
          (_l, i) => `${i * 30},${rise(i / 2).toFixed(0)},${i ? '' : 'valve-shut'}`,
        ),
      ].join('\n'),
    )
  test('files in their order, each with limit, cause, sentence and figures', () => {
    const straight = decay('straight.csv', (minute) => 300 + 60 * minute)
    const flat = decay('flat.csv', () => 320)
    const wet = decay('wet.csv', (minute) => 400 + 2600 * (1 - Math.exp(-minute / 2)))
    const found = judge('decay', straight, flat, wet)
    expect(found.map(({ file: from }) => from)).toEqual([straight, flat, wet])
    expect(found).toMatchObject([
      { limit: 'passed', cause: 'leak', opens: false },
      { limit: 'passed', cause: 'dry-enough', opens: true, missing: [] },
      { limit: 'failed', cause: 'moisture', opens: false },
    ])
    expect(found[1]!.sentence).toMatch(/320 microns to 320 microns in 10 min.*field limit/)
    expect(found[1]!.figures.map(({ label }) => label)).toContain('Watched')
  })
  test('a clock in the first column, another unit in a heading, marks of a hold; the job tells its limits', () => {
    const rows = ['08:00,16.27,23.9,hold', '08:08,16.27,23.9,', '08:16,16.27,23.9,']
    const test = file('hold.csv', ['time,pressure barg,clamp C,mark', ...rows].join('\n'))
    const [alone] = judge('pressure-test', test)
    expect(alone).toMatchObject({ limit: 'passed', opens: false })
    expect(alone!.missing.join()).toMatch(/its job/)
    const [of] = judge('pressure-test', test, '--job', VACUUM)
    expect(of).toMatchObject({ limit: 'passed', opens: true, missing: [] })
    expect(of!.figures.find(({ label }) => label === 'Nitrogen')!.value).toBe('236.0 psig')
  })
  /** The at-the-vacuum job with another policy and limits on its plate. */
  const job = (name: string, policy: object, low = 150) => {
    const whole = JSON.parse(readFileSync(VACUUM, 'utf8')) as { unit: object }
    const designPressures = { low: { value: low, unit: 'psig' }, high: { value: 360, unit: 'psig' } }
    const changed = {
      ...whole,
      unit: { ...whole.unit, designPressures },
      policy,
    }
    return file(name, JSON.stringify(changed))
  }
  const decayLooks = (name: string, ...looks: readonly (readonly [minute: number, microns: number])[]) =>
    file(
      name,
      [
        'seconds,system microns,mark',
        // the look just before the valve was shut
        `0,${looks[0]![1]},`,
        '20,,valve-shut',
        ...looks.slice(1).map(([minute, microns]) => `${20 + minute * 60},${microns},`),
      ].join('\n'),
    )
  test.each([
    [
      '321 to 491 in 15',
      [
        [0, 321],
        [15, 491],
      ],
      'passed',
      'passed',
    ],
    [
      '337 to 503 in 10',
      [
        [0, 337],
        [10, 503],
      ],
      'passed',
      'failed',
    ],
    [
      '173 to 402 in 10',
      [
        [0, 173],
        [10, 402],
      ],
      'passed',
      'passed',
    ],
    [
      '466 to 793 in 10',
      [
        [0, 466],
        [10, 793],
      ],
      'passed',
      'failed',
    ],
    [
      '600 to 1,030 in 11',
      [
        [0, 600],
        [11, 1030],
      ],
      'borderline',
      'failed',
    ],
    [
      '337 to 510, and 1,010 at 45',
      [
        [0, 337],
        [10, 510],
        [45, 1010],
      ],
      'passed',
      'failed',
    ],
  ] as const)('two looks of practice, field and strict: %s', (name, looks, field, strict) => {
    const log = decayLooks(`${name.replace(/\W/g, '')}.csv`, ...looks)
    // the usual policy is the field limit at ten minutes
    const [own] = judge('decay', log)
    expect(own).toMatchObject({ limit: field, cause: 'open', opens: field === 'passed' })
    expect(own!.sentence).not.toMatch(/tight/)
    const [hard] = judge('decay', log, '--job', job('strict.json', { decayLimit: 'strict-500' }))
    expect(hard!.sentence).toMatch(/strict limit 500 microns in 10 min/)
    expect(hard!.limit).toBe(strict)
  })
  test('152 at the pump against 321 at the system is one vacuum', () => {
    const rows = [0, 60, 120].map((seconds) => `${seconds},321,152`)
    const pull = file('two.csv', ['seconds,system microns,pump microns', ...rows].join('\n'))
    const [found] = judge('evacuation', pull)
    expect(found).toMatchObject({ limit: 'passed' })
    expect(found!.sentence).toBe('At the target: shut the valve and watch.')
  })
  test('nitrogen: over the limit fails and stops; cooling is no leak; start and end are a hold', () => {
    const hold = (name: string, ...rows: readonly string[]) =>
      file(name, ['seconds,pressure psig,clamp F,mark', ...rows].join('\n'))
    const [over] = judge(
      'pressure-test',
      hold('over.csv', '0,50,75,step', '60,258,75,', '120,258,75,hold', '1020,258,75,'),
      '--job',
      job('limit.json', {}),
    )
    expect(over).toMatchObject({ limit: 'failed', opens: false })
    expect(over!.sentence).toMatch(/258 psig is over the limit of 150 psig.*bleed off/)
    // 300 psig at 75 F is 297 at 70 F [physics], handbook 07
    const [cooled] = judge(
      'pressure-test',
      hold('cooled.csv', '0,300,75,', '20,,,hold', '920,297.06,70,'),
      '--job',
      job('high.json', {}, 320),
    )
    expect(cooled).toMatchObject({ limit: 'passed', opens: true, missing: [] })
    expect(cooled!.sentence).toMatch(/No leak seen.*corrected for temperature/)
  })
  test('a pull is foretold, with a usual volume where no job tells it', () => {
    const rows = Array.from(
      { length: 11 },
      (_l, i) => `${i * 30},${(60_000 * Math.exp(-i / 3) + 40).toFixed(0)}`,
    )
    const pull = file('pull.csv', ['seconds,system microns', ...rows].join('\n'))
    const [alone] = judge('evacuation', pull)
    expect(alone).toMatchObject({ limit: 'waiting', forecast: { isVolumeAssumed: true } })
    const { minutes, range } = alone!.forecast!
    expect(minutes).toBeGreaterThan(5)
    expect(range[0]).toBeLessThanOrEqual(minutes)
  })
  test('what cannot be read is told with its file and row', () => {
    const wrong = file('wrong.csv', 'seconds,system microns,mark\n0,300,valve-closed\n')
    expect(() => judge('decay', wrong)).toThrow(/wrong\.csv: row 2: "valve-closed" is no mark/)
    expect(() => judge('decay', file('none.csv', 'seconds,colour\n0,red\n'))).toThrow(BadInput)
    expect(() => judge('decay', file('words.csv', 'seconds,system microns\nnever,300\n'))).toThrow(
      /No row has a time/,
    )
    expect(() => judge('brewing', wrong)).toThrow(UsageError)
    expect(() => judge('decay')).toThrow(UsageError)
  })
})

describe('properties', () => {
  const dewF = (args: string[]) =>
    (runDoor(['properties', ...args]) as { dew: { temperature: { F: number } } }).dew.temperature.F
  test.each([
    ['R-410A', '118psig'],
    ['R-22', '68.5psig'],
    ['R-134a', '35 psig'],
  ])('%s at %s reads 40 F +-0.5', (name, pressure) => {
    expect(Math.abs(dewF([name, '--pressure', pressure]) - 40)).toBeLessThan(0.5)
  })
  test('over 1 F colder at 1,750 m', () => {
    const low = dewF(['R-410A', '--pressure', '118psig'])
    expect(low - dewF(['R-410A', '--pressure', '118psig', '--elevation', '1750m'])).toBeGreaterThan(1)
  })
  test('a negative temperature needs no trick', () => {
    expect(dewF(['R-410A', '--temperature', '-20F'])).toBeCloseTo(-20, 1)
  })
})

describe('bad input (exit code 1) says what is wrong and where', () => {
  test.each([
    ['a missing file', ['diagnose', '/nowhere/at/all.json'], /cannot be read: ENOENT/],
    ['no JSON', ['validate', file('cut.json', '{"format": ')], /is not JSON/],
    ['no job', ['validate', file('other.json', '{"format": "x"}')], /orzo\.job/],
    [
      'no set',
      [
        'diagnose',
        file(
          'empty.json',
          '{"format":"orzo.job","version":1,"unit":{"kind":"other","refrigerant":"R-22","metering":"txv"},"readingSets":[]}',
        ),
      ],
      /take readings first/,
    ],
    ['an unknown refrigerant', ['properties', 'R-999', '--temperature', '40F'], /R-22, R-410A/],
    ['a unit of another quantity', ['properties', 'R-22', '--temperature', '40psig'], /not temperature/],
    ['outside the table', ['properties', 'R-22', '--temperature', '400F'], /has saturation data from/],
    [
      'an elevation in space',
      ['properties', 'R-22', '--temperature', '40F', '--elevation', '90000m'],
      /11,000 m/,
    ],
  ])('%s', (_name, args, message) => {
    expect(() => runDoor(args)).toThrow(BadInput)
    expect(() => runDoor(args)).toThrow(message)
  })
})

describe('a wrong call (exit code 2) prints the usage', () => {
  test.each([
    [[]],
    [['constructor']],
    [['diagnose']],
    [['diagnose', 'a', 'b']],
    [['properties', 'R-22']],
    [['properties', 'R-22', '--temperature', '40F', '--pressure', '1psig']],
    [['properties', 'R-22', '--colour', 'blue']],
  ])('%j', (args) => {
    expect(() => runDoor(args)).toThrow(UsageError)
    expect(() => runDoor(args)).toThrow(/usage:/)
  })
})
