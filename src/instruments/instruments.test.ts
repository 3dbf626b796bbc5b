import { toKelvin } from '@/core/base/units/convert'
import { describeInstrumentSource } from './contract'
import { LiveSession } from './session'
import { SimulatedSource } from './simulatedSource'
import { WorkSource } from './workSource'
import type { InstrumentSource, ProbeInfo, SourceEvent } from './source'

const f = (value: number) => toKelvin({ value, unit: 'F' })
const LIVE = {
  question: {
    unit: { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv', nominalTons: 3 },
    mode: 'cooling',
    conditions: { outdoorAirTemp: f(85), returnAirTemp: f(76), returnAirWetBulb: f(63) },
    faults: [],
  },
  seed: 410,
  speed: 10,
} as const

jest.useFakeTimers()
afterAll(() => jest.useRealTimers())

describeInstrumentSource('the simulated source', {
  make: () => new SimulatedSource(LIVE),
  wait: () => jest.advanceTimersByTimeAsync(1000),
  lose: (source, probe) => (source as SimulatedSource).drop(probe),
})

test('a unit that cannot be simulated is told at every try, and leaving it does no harm', async () => {
  const frozen = { ...LIVE.question.conditions, outdoorAirTemp: f(85), returnAirTemp: f(-200) }
  const source = new SimulatedSource({ ...LIVE, question: { ...LIVE.question, conditions: frozen } })
  await expect(source.connect(['gauge-low'])).rejects.toThrow()
  await source.disconnect()
  await expect(source.connect(['gauge-low'])).rejects.toThrow()
  await source.disconnect()
})

/** A source that a test drives by hand. */
class HandSource implements InstrumentSource {
  readonly name = 'By hand'
  send: (event: SourceEvent) => void = () => undefined
  failure: string | undefined
  refusal: string | undefined
  readonly placed: [string, string | undefined][] = []
  readonly #found: readonly ProbeInfo[] = [
    { id: 'g1', name: 'Low gauge', kind: 'gauge', quantity: 'pressure' },
    { id: 'g2', name: 'High gauge', kind: 'gauge', quantity: 'pressure' },
    { id: 'c1', name: 'Clamp', kind: 'clamp', quantity: 'temperature' },
  ]
  discover = async () => this.#found
  connect = async () => {
    if (this.failure) throw new Error(this.failure)
  }
  place = async (probe: string, key: string | undefined) => {
    if (this.refusal) throw new Error(this.refusal)
    this.placed.push([probe, key])
  }
  resume = async () => {
    if (this.refusal) throw new Error(this.refusal)
  }
  disconnect = async () => undefined
  listen = (listener: (event: SourceEvent) => void) => {
    this.send = listener
    return () => (this.send = () => undefined)
  }
}

const stream = (source: HandSource, probe: string, values: readonly number[], from = 0) =>
  values.forEach((value, i) =>
    source.send({ type: 'samples', samples: [{ probe, at: from + i * 500, value, unit: 'psig' }] }),
  )
const flat = (count: number, value = 118) => Array.from({ length: count }, () => value)

describe('a live session', () => {
  const connected = async () => {
    const source = new HandSource()
    const session = new LiveSession(source)
    session.setSettleSeconds(10)
    await session.connect()
    return {
      source,
      session,
      state: (id: string) => session.get().probes.find(({ info }) => info.id === id)!,
    }
  }

  test('a probe that stands still for the chosen time has settled; one that moves has not', async () => {
    const { source, session, state } = await connected()
    await session.assign('g1', 'suctionPressure')
    stream(source, 'g1', flat(10))
    expect(state('g1').state).toBe('moving')
    stream(source, 'g1', flat(14), 5000)
    expect(state('g1').state).toBe('settled')
    stream(
      source,
      'g1',
      Array.from({ length: 24 }, (_v, i) => 118 + i),
      12_000,
    )
    expect(state('g1')).toMatchObject({ state: 'moving', trend: 'rising 120 a min' })
    expect(session.taps().get('suctionPressure')).toMatchObject({
      value: 141,
      unit: 'psig',
      name: 'Low gauge',
    })
  })
  test('a lost probe keeps its last value, marked; it moves again once it is back', async () => {
    const { source, session, state } = await connected()
    await session.assign('g1', 'suctionPressure')
    stream(source, 'g1', flat(4))
    source.send({ type: 'lost', probe: 'g1' })
    expect(session.taps().get('suctionPressure')).toMatchObject({ value: 118, state: 'lost' })
    source.send({ type: 'resumed', probe: 'g1' })
    expect(state('g1').state).toBe('moving')
  })
  test('one tap has one probe: putting another there takes the first one off', async () => {
    const { source, session, state } = await connected()
    await session.assign('g1', 'suctionPressure')
    await session.assign('g2', 'suctionPressure')
    expect([state('g1').tap, state('g2').tap]).toEqual([undefined, 'suctionPressure'])
    expect(source.placed).toContainEqual(['g1', undefined])
  })
  test('all free probes go to the free taps that they fit', async () => {
    const { session, state } = await connected()
    await session.assignAll(['liquidLineTemp', 'suctionPressure', 'liquidPressure', 'outdoorAirTemp'])
    expect([state('g1').tap, state('g2').tap, state('c1').tap]).toEqual([
      'suctionPressure',
      'liquidPressure',
      'liquidLineTemp',
    ])
  })
  test('a connection that fails is told, and may be tried again', async () => {
    const source = new HandSource()
    const session = new LiveSession(source)
    source.failure = 'No radio here: switch it on.'
    await session.connect()
    expect(session.get()).toMatchObject({ status: 'failed', message: 'No radio here: switch it on.' })
    source.failure = undefined
    await session.connect()
    expect(session.get()).toMatchObject({ status: 'connected', message: undefined })
  })
  test('a probe that cannot be put on or got back is told', async () => {
    const { source, session } = await connected()
    source.refusal = 'The clamp does not answer: hold it nearer.'
    await session.assign('c1', 'liquidLineTemp')
    expect(session.get()).toMatchObject({ status: 'connected', message: source.refusal })
    source.refusal = 'Still out of reach.'
    await session.resume('c1')
    expect(session.get().message).toBe('Still out of reach.')
  })
  test('battery and places outlive a pause', async () => {
    const { source, session, state } = await connected()
    await session.assign('g1', 'suctionPressure')
    source.send({ type: 'battery', probe: 'g1', share: 0.2 })
    expect(state('g1').battery).toBe(0.2)
    await session.disconnect()
    await session.connect()
    expect(state('g1')).toMatchObject({ tap: 'suctionPressure', latest: undefined, state: 'silent' })
  })
})

describeInstrumentSource('the source of a circuit under work', {
  make: () =>
    new WorkSource({
      plant: {
        refrigerant: 'R-410A',
        fills: 'R-410A',
        charge: 3,
        volume: 0.01,
        atmosphere: 101_325,
        air: 297,
        trouble: { leak: 0, water: 0 },
        hose: 'open',
        pump: { speed: 0.0024, ultimate: 3 },
        ways: [[{ bore: 0.008, length: 1.5 }]],
        begins: 'open',
      },
      seed: 7,
      clock: undefined,
    }),
  wait: () => jest.advanceTimersByTimeAsync(1000),
  lose: (source, probe) => (source as WorkSource).drop(probe),
})
