import { Ajv2020 } from 'ajv/dist/2020'
import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { readJobText, writeJobText } from '../record/job/readJob'
import { jobJsonSchema } from './schemaJson'

const EXAMPLES = path.resolve(__dirname, '../../../examples')
const FILES = readdirSync(EXAMPLES, { recursive: true, encoding: 'utf8' }).filter((name) =>
  name.endsWith('.json'),
)

// the reference validator of JSON Schema 2020-12; formats are a hint to it, patterns count
const schema = jobJsonSchema()
const validate = new Ajv2020({ strict: false, validateFormats: false }).compile(schema)

/** What Orzo writes of an example today: the schema is that of this version. */
const written = FILES.flatMap((name) => {
  const reading = readJobText(readFileSync(path.join(EXAMPLES, name), 'utf8'))
  if (!reading.ok) return []
  return [[name, JSON.parse(writeJobText(reading.job)) as Record<string, unknown>] as const]
})

test('every example as Orzo writes it is valid by the schema', () => {
  expect(written.length).toBeGreaterThan(15)
  for (const [name, job] of written)
    expect([name, validate(job), validate.errors]).toEqual([name, true, null])
})

type Hurt = (
  job: { version: unknown; unit: Record<string, unknown>; readingSets: Record<string, unknown>[] } & Record<
    string,
    unknown
  >,
) => void
test.each<[string, Hurt]>([
  ['another version', (job) => void (job.version = 9)],
  ['an unknown field', (job) => void (job.extra = 1)],
  ['an unknown refrigerant', (job) => void (job.unit.refrigerant = 'R-9999')],
  ['an unknown mode', (job) => void (job.readingSets[0]!.mode = 'resting')],
  [
    'a reading without a unit',
    (job) => void (job.readingSets[0]!.readings = { suctionPressure: { value: 1 } }),
  ],
  [
    'too many sets',
    (job) =>
      void (job.readingSets = Array.from({ length: 201 }, (_set, i) => ({
        ...job.readingSets[0],
        id: `s${i}`,
      }))),
  ],
])('%s is invalid by the schema, and refused by the reader', (_name, hurt) => {
  const found = written.find(([name]) => name.startsWith('plugged-dryer'))
  const job = structuredClone(found![1])
  expect(validate(job)).toBe(true)
  hurt(job as Parameters<Hurt>[0])
  expect(validate(job)).toBe(false)
  expect(readJobText(JSON.stringify(job)).ok).toBe(false)
})

test('channels of logs are named', () => {
  expect(JSON.stringify(schema)).toContain('"systemVacuum"')
})
