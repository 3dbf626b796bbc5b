import { readLooks } from './readLooks'

const CHANNELS = [
  ['testPressure', 'psig'],
  ['gasTemp', 'F'],
] as const
const first = { atmosphere: 82_000, purpose: 'pressure-test', isSure: false } as const
const again = { ...first, isSure: true } as const

test.each([
  ['in the unit of the log', { testPressure: '140', gasTemp: '75' }, [140, 75]],
  ['in any unit, as it is written', { testPressure: '1000 kPa', gasTemp: '20 C' }, [145.04, 68]],
  ['one of them', { testPressure: ' ', gasTemp: '75' }, [null, 75]],
])('a look %s', (_name, texts, values) => {
  const read = readLooks(texts, CHANNELS, first)
  if (!('values' in read)) throw new Error('refused')
  read.values.forEach((value, i) =>
    values[i] === null ? expect(value).toBeNull() : expect(value).toBeCloseTo(values[i]!, 1),
  )
})
test.each([
  ['no number', { testPressure: 'ten' }, /is no number/],
  ['no such unit', { gasTemp: '75 psig' }, /is no unit here/],
  ['what cannot be, asked again too', { testPressure: '-5000' }, /cannot be/],
  ['nothing', {}, /Type what the instrument shows/],
])('%s is refused', (_name, texts, problem) => {
  for (const how of [first, again])
    expect(readLooks(texts, CHANNELS, how)).toMatchObject({
      problem: expect.stringMatching(problem),
      isAsked: false,
    })
})
test('what is unlikely is asked once, and kept when it is written down again', () => {
  const texts = { testPressure: '900' }
  expect(readLooks(texts, CHANNELS, first)).toMatchObject({
    problem: expect.stringMatching(/is unlikely/),
    key: 'testPressure',
    isAsked: true,
  })
  expect(readLooks(texts, CHANNELS, again)).toEqual({ values: [900, null] })
})
