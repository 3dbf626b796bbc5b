import { applied } from '../../../../tools/run/applied'
import { decisionStatesOf } from '../../diagnosis/proof/decisionState'
import { everyFaultOf } from '../../diagnosis/faults/applies'
import { loadRefrigerants } from '../../physics/refrigerants/tables'
import { decide, setShown, takeBack, toggleAlso } from '../../record/edits/decisionEdits'
import type { Edit } from '../../record/edits/edit'
import { decided, isDecided, toCheck } from '../../record/job/decisions'
import { emptyJob, type KnownJob } from '../../record/job/job'
import type { Shown } from '../../record/records/decision'
import { alsoFor } from './alsoReplaced'
import { planOf } from './basis'
import { proofsOf } from './proofs'

beforeAll(() => loadRefrigerants(['R-410A', 'R-404A']))

const AT = Date.parse('2026-11-27T08:00:00Z')
const UNIT = { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv', nominalTons: 3 } as const
const SHOWN: Shown = { how: 'another-firm', who: 'night shift', on: '2026-11-12' }
const apply = (job: KnownJob, ...all: readonly Edit[]) => applied(job, AT, all)
const job = (...edits: readonly Edit[]) => apply(emptyJob(UNIT), ...edits)
const withWords = (known: KnownJob, observations: object): KnownJob => ({
  ...known,
  readingSets: [{ id: 's', mode: 'off', readings: {}, observations, at: '2026-11-27T09:00:00Z' }],
})
const stateOf = (known: KnownJob) => decisionStatesOf(known)[0]!
const tasksOf = (known: KnownJob, ...faults: Parameters<typeof planOf>[1]) =>
  planOf(known, faults).tasks.map(({ id }) => id as string)

describe('a verdict that was brought along (handbook 13)', () => {
  test('it is decided without its gate, told with who and when, and is not called proven', () => {
    const brought = job(setShown('compressor-grounded', SHOWN), decide('compressor-grounded', undefined))
    expect(stateOf(brought)).toMatchObject({ state: 'shown', decision: { shown: SHOWN } })
    expect(stateOf(job(decide('compressor-grounded', undefined)))).toMatchObject({ state: 'not-proven' })
  })
  test('what can be checked again has its step: over the terminals with the pressure off', () => {
    const brought = job(setShown('compressor-grounded', SHOWN), decide('compressor-grounded', undefined))
    const [proof] = proofsOf(brought, ['compressor-grounded'])
    expect(proof).toMatchObject({ isFirst: true, why: 'shown' })
    expect(proof!.atTerminals).toEqual(proof!.missing)
    expect(tasksOf(brought, 'compressor-grounded')).toContain('proveAtTerminals')
    expect(tasksOf(brought, 'compressor-grounded')).not.toContain('proveFirst')
  })
  test('what shows itself only later stops no purchase; what could be checked before does', () => {
    const holds = (fault: 'compressor-grounded' | 'txv-underfeeding', part: string) => {
      const known = job(setShown(fault, SHOWN), decide(fault, undefined))
      return planOf(known, [fault]).parts.find(({ id }) => id === `part:${part}`)?.hold
    }
    expect(holds('compressor-grounded', 'compressor')).toBe('not before the owner agrees')
    expect(holds('txv-underfeeding', 'expansion-valve')).toMatch(/^check first: seen or brought along/)
  })
  test('readings that came after the decision count: then its gate is open', () => {
    const brought = job(
      setShown('liquid-solenoid-leaking', SHOWN),
      decide('liquid-solenoid-leaking', undefined),
    )
    const words = { pumpDownTest: 'cannot-pull-down', handValveTest: 'pulls-down' }
    expect(stateOf(brought).asked).toHaveLength(2)
    expect(stateOf(withWords(brought, { pumpDownTest: 'cannot-pull-down' })).asked).toHaveLength(1)
    expect(stateOf(withWords(brought, words))).toMatchObject({ state: 'proven', asked: [] })
    // what was proven by readings of this job stays as it was judged when it was decided
    const shut = {
      gate: 'liquid-solenoid-leaking',
      part: 'liquid-solenoid',
      met: false,
      missing: [],
      onRecord: [],
      build: 'test',
    }
    const measured = job(decide('liquid-solenoid-leaking', shut))
    expect(stateOf(withWords(measured, words)).state).not.toBe('proven')
  })
  test('what a state refuses today is not asked for again', () => {
    const brought = job(
      setShown('compressor-locked-rotor', SHOWN),
      decide('compressor-locked-rotor', undefined),
    )
    const ids = (known: KnownJob) => stateOf(known).asked.map(({ id }) => id)
    expect(ids(brought)).toEqual(expect.arrayContaining(['inrush', 'leads']))
    expect(ids(withWords(brought, { terminalCover: 'off' }))).not.toContain('inrush')
    expect(ids(withWords(brought, { terminalCover: 'off' }))).toContain('leads')
  })
  test('to be checked only: named, not decided; what does not hold leaves nothing behind', () => {
    const named = job(setShown('compressor-grounded', SHOWN))
    expect(toCheck(named).map(({ fault }) => fault)).toEqual(['compressor-grounded'])
    expect([isDecided(named), decided(named)]).toEqual([false, []])
    expect(apply(named, setShown('compressor-grounded', undefined)).decisions).toEqual([])
    const decidedThen = apply(named, decide('compressor-grounded', undefined))
    expect(toCheck(decidedThen)).toEqual([])
    expect(toCheck(apply(decidedThen, takeBack('compressor-grounded')))).toHaveLength(1)
  })
})

describe('what only the opened circuit shows', () => {
  test('the inlet screen is asked at the opening, before the valve is cut out, and not before', () => {
    const known = job(decide('txv-underfeeding', undefined))
    const plan = planOf(known, ['txv-underfeeding'])
    const notes = (id: string) => plan.tasks.find((task) => task.id === id)!.notes.join(' ')
    expect(notes('proveAtOpening')).toMatch(/^Inlet screen clean/)
    expect(notes('proveFirst')).not.toMatch(/Inlet screen/)
    const ids = plan.tasks.map(({ id }) => id as string)
    expect(ids.indexOf('proveAtOpening')).toBeGreaterThan(ids.indexOf('recover'))
    expect(ids.indexOf('proveAtOpening')).toBeLessThan(ids.indexOf('swapValve'))
  })
})

const OPEN = { faults: ['txv-inlet-screen-plugged'], opens: true } as const
const CLOSED = { ...OPEN, opens: false }
describe('also replaced, without a fault of its own', () => {
  const grounded = () => job(setShown('compressor-grounded', SHOWN), decide('compressor-grounded', undefined))
  test('its work and its parts join the plan once; once more takes it back', () => {
    const also = apply(grounded(), toggleAlso('expansion-valve'), toggleAlso('contactor'))
    const plan = planOf(also, ['compressor-grounded'])
    expect(plan.tasks.map(({ id }) => id as string)).toEqual(
      expect.arrayContaining(['swapValve', 'swapContactor']),
    )
    expect(plan.parts.map(({ id }) => id)).toEqual(expect.arrayContaining(['part:expansion-valve']))
    const back = apply(also, toggleAlso('expansion-valve'), toggleAlso('contactor'))
    expect(tasksOf(back, 'compressor-grounded')).toEqual(tasksOf(grounded(), 'compressor-grounded'))
  })
  test('a part alone decides nothing', () => {
    expect(isDecided(job(toggleAlso('contactor')))).toBe(false)
  })
  test('offered is what the unit has; what opens the circuit only where it is opened', () => {
    expect(alsoFor(UNIT, OPEN)).toEqual(
      expect.arrayContaining(['expansion-valve', 'contactor', 'start-gear']),
    )
    for (const id of ['orifice', 'capillary', 'reversing-valve'] as const)
      expect(alsoFor(UNIT, OPEN)).not.toContain(id)
    expect(alsoFor(UNIT, CLOSED)).toContain('contactor')
    expect(alsoFor(UNIT, CLOSED)).not.toContain('expansion-valve')
    expect(alsoFor(UNIT, { ...OPEN, faults: ['compressor-grounded'] })).not.toContain('compressor')
    expect(alsoFor(UNIT, OPEN)).toContain('compressor')
    const three = { ...UNIT, power: { phase: 3 } } as const
    expect(alsoFor(three, OPEN)).not.toContain('start-gear')
  })
})

test('any fault that the unit can have is in the list, of both modes where it turns', () => {
  const pump = everyFaultOf({ ...UNIT, kind: 'split-heat-pump' })
  expect(pump).toEqual(
    expect.arrayContaining(['reversing-valve-stuck-mid', 'defrost-failure', 'relief-plug-melted']),
  )
  expect(new Set(pump).size).toBe(pump.length)
  expect(everyFaultOf(UNIT)).not.toContain('defrost-failure')
  // while nobody named the metering device the list holds those of every kind
  expect(everyFaultOf(UNIT)).not.toContain('capillary-plugged')
  expect(everyFaultOf(UNIT, false)).toEqual(
    expect.arrayContaining(['capillary-plugged', 'txv-underfeeding', 'fixed-orifice-plugged']),
  )
  expect(everyFaultOf({ ...UNIT, kind: 'pool-heat-pump' })).toContain('defrost-failure')
})
