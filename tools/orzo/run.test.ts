import { mkdtempSync, readdirSync, writeFileSync } from 'node:fs'
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
