import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import type { Quantity } from '../../base/units/units'
import { whyImpossible } from '../readings/quantityRange'
import { rangeProblems } from './ranges'
import { readJobText } from './readJob'

const EXAMPLES = path.resolve(__dirname, '../../../../examples')
const TEXT = readFileSync(path.join(EXAMPLES, 'plugged-dryer.orzo.json'), 'utf8')

/** A job of the examples, changed. */
function changed(
  change: (job: {
    unit: Record<string, unknown>
    readingSets: { readings: Record<string, unknown> }[]
  }) => void,
) {
  const job = JSON.parse(TEXT) as Parameters<typeof change>[0]
  change(job)
  return readJobText(JSON.stringify(job))
}
const withReading = (key: string, reading: object) =>
  changed((job) => void (job.readingSets[0]!.readings[key] = reading))

test.each<[string, Quantity, Quantity]>([
  ['pressure', { value: 5000, unit: 'psia' }, { value: 5001, unit: 'psia' }],
  ['temperature', { value: 1000, unit: 'F' }, { value: 1001, unit: 'F' }],
  ['temperature, low', { value: -150, unit: 'F' }, { value: -151, unit: 'F' }],
  ['temperature in K', { value: 172.04, unit: 'K' }, { value: 172.03, unit: 'K' }],
  ['voltage', { value: 1000, unit: 'V' }, { value: 1000.1, unit: 'V' }],
  ['resistance', { value: 1e6, unit: 'Mohm' }, { value: 1.001e6, unit: 'Mohm' }],
  ['humidity', { value: 100, unit: '%' }, { value: 100.1, unit: '%' }],
  ['the smallest', { value: 1e-9, unit: 'V' }, { value: 0.9e-9, unit: 'V' }],
  ['below zero', { value: -1e-9, unit: 'C' }, { value: -5e-324, unit: 'C' }],
])('%s: at its limit it can be, just beyond it cannot', (_name, at, beyond) => {
  expect(whyImpossible(at)).toBeUndefined()
  expect(whyImpossible({ value: 0, unit: at.unit === 'K' ? 'C' : at.unit })).toBeUndefined()
  expect(whyImpossible(beyond)).toMatch(/cannot be|less than any instrument shows/)
})

test.each([
  ['suctionLineTemp', { value: 1e15, unit: 'F' }],
  ['voltageL1L2', { value: 5e-324, unit: 'V' }],
  ['suctionPressure', { value: 1501, unit: 'psia' }],
  ['suctionPressure', { value: 40, unit: 'psig', before: [{ value: 1e9, unit: 'psig' }] }],
  ['suctionPressure', { value: 40, unit: 'psig', before: [{ value: 1501, unit: 'psia' }] }],
])('a file whose %s is %j is refused with its place', (key, reading) => {
  const { ok, ...rest } = withReading(key, reading)
  expect(ok).toBe(false)
  expect(rest).toMatchObject({ code: 'invalid' })
  const { problems } = rest as unknown as { problems: { path: string; message: string }[] }
  expect(problems).toHaveLength(1)
  expect(problems[0]!.path).toMatch(
    new RegExp(`^readingSets\\[0\\]\\.readings\\.${key}(\\.before\\[0\\])?\\.value$`),
  )
  expect(problems[0]!.message).toMatch(/cannot be|less than any instrument shows/)
})

test('what a tap takes at its limit a file takes too', () => {
  expect(withReading('suctionPressure', { value: 1500, unit: 'psia' }).ok).toBe(true)
  expect(withReading('suctionLineTemp', { value: 1000, unit: 'F' }).ok).toBe(true)
})

test('figures of the plate have a range too', () => {
  expect(changed((job) => void (job.unit.factoryCharge = { value: 1e9, unit: 'lb' }))).toMatchObject({
    ok: false,
    problems: [{ path: 'unit.factoryCharge.value' }],
  })
})

test('typed looks of a log have the range of their channel', () => {
  const log = {
    channels: [{ key: 'systemVacuum', unit: 'micron' }],
    looks: [
      { id: 'a', seconds: 0, values: [500] },
      { id: 'b', seconds: 9, values: [1] },
      { id: 'c', seconds: 10, values: [null] },
    ],
  }
  expect(rangeProblems({ logs: [log] }).map((each) => each.path)).toEqual(['logs[0].looks[1].values[0]'])
})

test('every example stays in its ranges', () => {
  const files = readdirSync(EXAMPLES, { recursive: true, encoding: 'utf8' }).filter((name) =>
    name.endsWith('.json'),
  )
  expect(files.length).toBeGreaterThan(20)
  for (const name of files)
    expect([name, rangeProblems(JSON.parse(readFileSync(path.join(EXAMPLES, name), 'utf8')))]).toEqual([
      name,
      [],
    ])
})
