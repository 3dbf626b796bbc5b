import { readJobValue } from '../../record/job/readJob'
import { withKnownIds } from './knownIds'

const read = (decisions: readonly object[]) =>
  withKnownIds(
    readJobValue({
      format: 'orzo.job',
      version: 3,
      unit: { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' },
      readingSets: [],
      decisions,
    }),
  )
const decision = (fields: object) => ({ id: 'a', state: 'decided', ...fields })

describe('faults and causes that no table holds are refused with their place', () => {
  test('known ones, notes that name none, and "unknown" as a cause are read', () => {
    const good = [
      decision({ fault: 'compressor-grounded', causes: ['flooded-start', 'age'] }),
      decision({ id: 'b', fault: 'healthy' }),
      { id: 'unnamed', state: 'draft', causes: ['unknown'], causesChecked: 'oil, heater' },
    ]
    expect(read(good).ok).toBe(true)
  })
  test('each unknown one is named with where it stands and what to do', () => {
    const reading = read([
      decision({ fault: 'undercharge' }),
      decision({ id: 'b', fault: 'compressor-tired', causes: ['age', 'moon', 'constructor'] }),
    ])
    expect(reading).toMatchObject({ ok: false, code: 'invalid' })
    expect(reading.ok ? [] : reading.problems).toEqual([
      {
        path: 'decisions[1].fault',
        message: expect.stringMatching(/^"compressor-tired" is no fault .*update Orzo/),
      },
      { path: 'decisions[1].causes[1]', message: expect.stringMatching(/^"moon" is no cause/) },
      { path: 'decisions[1].causes[2]', message: expect.stringMatching(/^"constructor" is no cause/) },
    ])
  })
  test('a file that was refused before stays refused for its own reason', () => {
    expect(withKnownIds(readJobValue({ format: 'other' }))).toMatchObject({ code: 'not-a-job' })
  })
})
