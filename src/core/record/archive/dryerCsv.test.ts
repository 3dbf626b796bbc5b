import fc from 'fast-check'
import { type Dryer, DRYER_CORES, DRYER_PLACES, dryerSchema } from '../records/dryer'
import { readDryerCsv, writeDryerCsv } from './dryerCsv'

let made = 0
const newId = () => `new-${++made}`
const OWN: Dryer = dryerSchema.parse({
  id: 'own-9',
  label: 'van block 9, "wide"; old',
  place: 'liquid',
  flow: 'bi-flow',
  core: 'blend',
  form: 'sealed',
  block: 9,
  connections: [
    { value: 0.375, unit: 'in' },
    { value: 12.7, unit: 'mm' },
  ],
  joint: 'sweat',
  pressure: { value: 46, unit: 'barg' },
  tons: 4.5,
  tonsFor: 'R-410A',
  waterR22: { value: 6.2, unit: 'g' },
  waterOther: { value: 0.17, unit: 'oz' },
  length: { value: 152, unit: 'mm' },
  onVan: 2,
})
const HEAD = 'name,place,flow,core,block in3,connections,pressure,tons'

test('what is written reads back the same, in either system', () => {
  expect(readDryerCsv(writeDryerCsv([OWN]), newId)).toEqual({ dryers: [OWN], problems: [] })
})
test('round trip over many dryers', () => {
  const number = fc.double({ min: 0.1, max: 500, noNaN: true }).map((value) => Number(value.toPrecision(6)))
  const dryer = fc.record({
    id: fc.uuid(),
    label: fc
      .string({ minLength: 1, maxLength: 30 })
      .map((text) => `d${text.replace(/[\r\n\0]/g, '')}`.trim()),
    place: fc.constantFrom(...DRYER_PLACES),
    flow: fc.constantFrom('one-way', 'bi-flow' as const),
    core: fc.constantFrom(...DRYER_CORES),
    block: number,
    connections: fc.array(fc.record({ value: number, unit: fc.constantFrom('in', 'mm' as const) }), {
      minLength: 1,
      maxLength: 4,
    }),
    pressure: fc.record({ value: number, unit: fc.constantFrom('psig', 'barg', 'kPa' as const) }),
    tons: number,
  })
  fc.assert(
    fc.property(fc.array(dryer, { maxLength: 5 }), (all) => {
      expect(readDryerCsv(writeDryerCsv(all as Dryer[]), newId)).toEqual({ dryers: all, problems: [] })
    }),
    { numRuns: 100, seed: 9 },
  )
})
test('a table of another program: own order of columns, no ids, a mark of order, empty lines', () => {
  const text = `\uFEFFtons,Name,place,flow,CORE,block in3,connections,pressure,price\r\n3,"block 8",liquid,one-way,sieve,8,3/8 in,650,9.99\r\n\r\n`
  const { dryers, problems } = readDryerCsv(text.replace('3/8 in', '0.375'), newId)
  expect(problems).toEqual([])
  expect(dryers[0]).toMatchObject({
    label: 'block 8',
    connections: [{ value: 0.375, unit: 'in' }],
    pressure: { value: 650, unit: 'psig' },
  })
  expect(dryers[0]!.id).toMatch(/^new-/)
})
test.each([
  ['name,place\nx,liquid', /lacks "flow", "core"/, 1],
  [`${HEAD}\nx,roof,one-way,sieve,8,0.375 in,650 psig,3`, /place is not one of liquid, suction/, 2],
  [`${HEAD}\nx,liquid,one-way,sieve,eight,0.375 in,650 psig,3`, /block in3 "eight"/, 2],
  [`${HEAD}\nx,liquid,one-way,sieve,8,0.375 in,650 in,3`, /pressure/, 2],
  [`${HEAD}\nx,liquid,one-way,sieve,8,,650 psig,3`, /connections is missing/, 2],
  [`${HEAD}\nx,liquid,one-way,sieve,-8,0.375 in,650 psig,3`, /block is not above zero/, 2],
] as const)('%j says what to do', (text, message, line) => {
  const { problems } = readDryerCsv(text, newId)
  expect(problems[0]).toMatchObject({ line })
  expect(problems[0]!.message).toMatch(message)
})
test('a bad row leaves the good ones', () => {
  const text = `${HEAD}\na,liquid,one-way,sieve,8,0.375 in,650 psig,3\nb,liquid,sideways,sieve,8,0.375 in,650 psig,3\nc,suction,one-way,blend,16,0.75 in,500 psig,2.5`
  const { dryers, problems } = readDryerCsv(text, newId)
  expect(dryers.map(({ label }) => label)).toEqual(['a', 'c'])
  expect(problems.map(({ line }) => line)).toEqual([3])
})
