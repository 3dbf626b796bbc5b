import { type TimedValue, trendOf } from '@/core/record/readings/trend'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { fitsTap } from '@/core/simulate/liveProbes'
import type { Unit } from '@/core/base/units/units'
import type { InstrumentSource, ProbeInfo, Sample, SourceEvent } from './source'

export type ProbeState = {
  readonly info: ProbeInfo
  readonly tap: ReadingKey | undefined
  /** the last value; kept when the connection is lost */
  readonly latest: Sample | undefined
  /** silent until the first sample */
  readonly state: 'silent' | 'moving' | 'settled' | 'lost'
  /** "rising 1.2 a min" */
  readonly trend: string | undefined
  readonly battery: number | undefined
}

/** The live value at a tap. */
export type LiveTap = {
  readonly probe: string
  readonly name: string
  readonly value: number
  readonly unit: Unit
  readonly at: number
  readonly state: 'moving' | 'settled' | 'lost'
  readonly trend: string | undefined
}

export type SessionState = {
  readonly status: 'idle' | 'connecting' | 'connected' | 'failed'
  readonly message: string | undefined
  readonly probes: readonly ProbeState[]
  /** how long a value must stand still to count as settled, s */
  readonly settleSeconds: number
}

export const SETTLE_CHOICES = [10, 20, 60] as const

/** How far a display may drift over the chosen time and still count as still: twice its repeatability (handbook 02) and its last digit. */
const STILL: { readonly [U in Unit]?: number } = { psig: 0.4, F: 0.7, A: 0.12, lb: 0.02 }
const STILL_SHARE = 0.02

/** Samples of a probe that are kept: two minutes at 2 Hz. */
const KEPT = 240
/** Before anything is connected. */
export const IDLE: SessionState = { status: 'idle', message: undefined, probes: [], settleSeconds: 20 }

const trendWords = (perMinute: number, still: number) => {
  if (Math.abs(perMinute) < still) return 'steady'
  return `${perMinute > 0 ? 'rising' : 'falling'} ${Number(Math.abs(perMinute).toPrecision(2))} a min`
}

/** One visit's instruments: who is there, where each is put, what it shows. A store that a screen can watch. */
export class LiveSession {
  readonly source: InstrumentSource
  #state: SessionState = IDLE
  #history = new Map<string, TimedValue[]>()
  #watchers = new Set<() => void>()
  #stop: (() => void) | undefined

  constructor(source: InstrumentSource) {
    this.source = source
  }

  readonly get = (): SessionState => this.#state

  readonly watch = (watcher: () => void): (() => void) => {
    this.#watchers.add(watcher)
    return () => this.#watchers.delete(watcher)
  }

  /** Looks for instruments and begins their streams. Never throws: a failure is told in the state. */
  async connect(): Promise<void> {
    this.#set({ status: 'connecting', message: undefined })
    try {
      this.#stop ??= this.source.listen((event) => this.#take(event))
      const found = await this.source.discover()
      const known = new Map(this.#state.probes.map((probe) => [probe.info.id, probe]))
      this.#set({ probes: found.map((info) => known.get(info.id) ?? newProbe(info)) })
      await this.source.connect(found.map(({ id }) => id))
      for (const { info, tap } of this.#state.probes) if (tap) await this.source.place(info.id, tap)
      this.#set({ status: 'connected' })
    } catch (error) {
      this.#set({ status: 'failed', message: error instanceof Error ? error.message : String(error) })
    }
  }

  async disconnect(): Promise<void> {
    await this.source.disconnect()
    this.#stop?.()
    this.#stop = undefined
    this.#history.clear()
    this.#set({
      status: 'idle',
      probes: this.#state.probes.map((probe) => ({ ...newProbe(probe.info), tap: probe.tap })),
    })
  }

  /** Puts a probe to a tap, taking it off any other and any other off it; undefined takes it off. */
  async assign(id: string, key: ReadingKey | undefined): Promise<void> {
    const before = this.#state.probes
    const evicted = before.filter(({ info, tap }) => info.id !== id && key !== undefined && tap === key)
    this.#history.delete(id)
    this.#set({
      probes: before.map((probe) => {
        if (probe.info.id === id)
          return { ...probe, tap: key, state: probe.state === 'lost' ? 'lost' : 'moving' }
        return key !== undefined && probe.tap === key ? { ...probe, tap: undefined } : probe
      }),
    })
    await this.#tell(async () => {
      for (const { info } of evicted) await this.source.place(info.id, undefined)
      await this.source.place(id, key)
    })
  }

  /** Puts each free probe to the first free tap that it fits; one change of the state, so that a screen is drawn once. */
  async assignAll(keys: readonly ReadingKey[]): Promise<void> {
    const taps = new Map(this.#state.probes.map(({ info, tap }) => [info.id, tap]))
    const given: (readonly [string, ReadingKey])[] = []
    for (const key of keys) {
      if ([...taps.values()].includes(key)) continue
      const free = this.#state.probes.find(({ info }) => !taps.get(info.id) && fitsTap(info, key))
      if (!free) continue
      taps.set(free.info.id, key)
      given.push([free.info.id, key])
    }
    const added = new Map(given)
    for (const id of added.keys()) this.#history.delete(id)
    this.#set({
      probes: this.#state.probes.map((probe) => {
        const tap = added.get(probe.info.id)
        return tap ? { ...probe, tap, state: probe.state === 'lost' ? 'lost' : 'moving' } : probe
      }),
    })
    await this.#tell(() => Promise.all(given.map(([id, key]) => this.source.place(id, key))))
  }

  setSettleSeconds(settleSeconds: number): void {
    this.#set({ settleSeconds })
  }

  /** Live values by tap. */
  readonly taps = (): ReadonlyMap<ReadingKey, LiveTap> => tapsOfSession(this.#state)

  /** Gets a lost probe back; a failure is told in the state. */
  async resume(id: string): Promise<void> {
    await this.#tell(() => this.source.resume(id))
  }

  /** Does what the source may fail at, and tells the failure in the state. */
  async #tell(work: () => Promise<unknown>): Promise<void> {
    try {
      await work()
      if (this.#state.message !== undefined) this.#set({ message: undefined })
    } catch (error) {
      this.#set({ message: error instanceof Error ? error.message : String(error) })
    }
  }

  #set(change: Partial<SessionState>): void {
    this.#state = { ...this.#state, ...change }
    this.#watchers.forEach((watcher) => watcher())
  }

  #change(id: string, change: (probe: ProbeState) => ProbeState): void {
    this.#set({ probes: this.#state.probes.map((probe) => (probe.info.id === id ? change(probe) : probe)) })
  }

  #take(event: SourceEvent): void {
    if (event.type === 'samples') this.#takeSamples(event.samples)
    else if (event.type === 'battery')
      this.#change(event.probe, (probe) => ({ ...probe, battery: event.share }))
    else if (event.type === 'lost')
      this.#change(event.probe, (probe) => ({ ...probe, state: 'lost', trend: undefined }))
    else this.#change(event.probe, (probe) => ({ ...probe, state: probe.latest ? 'moving' : 'silent' }))
  }

  #takeSamples(samples: readonly Sample[]): void {
    const byProbe = new Map(samples.map((sample) => [sample.probe, sample]))
    this.#set({
      probes: this.#state.probes.map((probe) => {
        const sample = byProbe.get(probe.info.id)
        return sample ? this.#fresh(probe, sample) : probe
      }),
    })
  }

  #fresh(probe: ProbeState, sample: Sample): ProbeState {
    const values = [...(this.#history.get(sample.probe) ?? []), { at: sample.at, value: sample.value }].slice(
      -KEPT,
    )
    this.#history.set(sample.probe, values)
    const still = STILL[sample.unit] ?? STILL_SHARE * Math.abs(sample.value)
    const trend = trendOf(values, this.#state.settleSeconds * 1000, still)
    return {
      ...probe,
      latest: sample,
      state: trend?.settled ? 'settled' : 'moving',
      trend: trend && trendWords(trend.perMinute, still),
    }
  }
}

const newProbe = (info: ProbeInfo): ProbeState => ({
  info,
  tap: undefined,
  latest: undefined,
  state: 'silent',
  trend: undefined,
  battery: undefined,
})

/** Live values by tap. */
export function tapsOfSession({ probes }: SessionState): ReadonlyMap<ReadingKey, LiveTap> {
  return new Map(
    probes.flatMap(({ info, tap, latest, state, trend }) =>
      tap && latest && state !== 'silent'
        ? [
            [
              tap,
              {
                probe: info.id,
                name: info.name,
                value: latest.value,
                unit: latest.unit,
                at: latest.at,
                state,
                trend,
              },
            ],
          ]
        : [],
    ),
  )
}
