import type { InstrumentSource, SourceEvent } from './source'

/** How the contract makes things happen that a source cannot be asked for. */
export type ContractHelp = {
  readonly make: () => InstrumentSource
  /** lets time pass until the source has had its chance to send */
  readonly wait: () => Promise<void>
  /** makes one connected probe go out of reach */
  readonly lose: (source: InstrumentSource, probe: string) => Promise<void>
}

const samplesOf = (events: readonly SourceEvent[], probe: string) =>
  events
    .flatMap((event) => (event.type === 'samples' ? event.samples : []))
    .filter((sample) => sample.probe === probe)

/** What every source of live readings keeps to; a driver of real instruments runs the same tests. */
export function describeInstrumentSource(name: string, { make, wait, lose }: ContractHelp): void {
  describe(`${name} keeps the contract of a source`, () => {
    let source: InstrumentSource
    let events: SourceEvent[]
    let first: string
    beforeEach(async () => {
      source = make()
      events = []
      source.listen((event) => events.push(event))
      first = (await source.discover())[0]!.id
    })
    afterEach(() => source.disconnect())

    test('discovers instruments with ids of their own', async () => {
      const found = await source.discover()
      expect(found.length).toBeGreaterThan(0)
      expect(new Set(found.map(({ id }) => id)).size).toBe(found.length)
    })
    test('is silent until connected, then streams what was asked for, in the order of time', async () => {
      await wait()
      expect(events).toEqual([])
      await source.connect([first])
      await wait()
      await wait()
      const samples = samplesOf(events, first)
      expect(samples.length).toBeGreaterThan(1)
      expect(samples.every(({ value }) => Number.isFinite(value))).toBe(true)
      expect(samples.map(({ at }) => at)).toEqual([...samples.map(({ at }) => at)].sort((a, b) => a - b))
      const others = events.flatMap((event) => (event.type === 'samples' ? event.samples : []))
      expect(others.every(({ probe }) => probe === first)).toBe(true)
    })
    test('an unknown instrument is refused with a sentence', async () => {
      await expect(source.connect(['no-such-thing'])).rejects.toThrow(/no-such-thing.*\./)
    })
    test('a lost probe is told, says nothing, and streams again once resumed', async () => {
      await source.connect([first])
      await wait()
      await lose(source, first)
      expect(events.at(-1)).toEqual({ type: 'lost', probe: first })
      const before = samplesOf(events, first).length
      await wait()
      expect(samplesOf(events, first)).toHaveLength(before)
      await source.resume(first)
      expect(events).toContainEqual({ type: 'resumed', probe: first })
      await wait()
      expect(samplesOf(events, first).length).toBeGreaterThan(before)
    })
    test('stops when disconnected, and can be connected again', async () => {
      await source.connect([first])
      await wait()
      await source.disconnect()
      const before = events.length
      await wait()
      expect(events).toHaveLength(before)
      await source.connect([first])
      await wait()
      expect(events.length).toBeGreaterThan(before)
    })
    test('a listener that stopped hears nothing more', async () => {
      const heard: SourceEvent[] = []
      const stop = source.listen((event) => heard.push(event))
      stop()
      await source.connect([first])
      await wait()
      expect(heard).toEqual([])
    })
  })
}
