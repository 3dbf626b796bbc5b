import { gaussian, type RandomSource } from '../base/numeric/random'
import { type InstrumentKind, type ReadingKey, readingRow } from '../record/readings/vocabulary'
import { fromSI, toSI } from '../base/units/convert'
import type { QuantityKind, Unit } from '../base/units/units'
import { display, type Instrument, INSTRUMENT_ROWS, lagged, measure } from './instruments'
import { LIVE_PROBES, type LiveProbe } from './liveProbes'
import { anotherSpecimen } from './scatter'
import { advanceRun, beginRun, type Run, usualSpace } from './settling'
import { simulatorOf, type SteadyQuestion } from './steady'
import { trueReadings, type Truth } from './trueReadings'

/** A running unit with probes on it; a value: each step gives a new one. */
export type LiveBench = {
  readonly run: Run
  readonly instruments: Readonly<Record<string, Instrument>>
  readonly placed: Readonly<Record<string, ReadingKey | undefined>>
  /** what each probe's sensor is at, SI */
  readonly shown: Readonly<Record<string, number>>
  readonly atmosphere: number
}

export type LiveReading = { readonly probe: string; readonly value: number; readonly unit: Unit }

const isTapProbe = (each: LiveProbe): each is LiveProbe & { kind: InstrumentKind } =>
  each.kind !== 'scale' && each.kind !== 'micron-gauge'

/** A cylinder that stands on the scale. */
const CYLINDER = toSI({ value: 24.6, unit: 'lb' })
const SCALE_STEP = toSI({ value: 0.1, unit: 'oz' })

/** What a probe is at when it hangs in the open: local air, no current. */
function inTheOpen(
  { kind, quantity }: LiveProbe,
  { run, atmosphere }: Pick<LiveBench, 'run' | 'atmosphere'>,
) {
  if (kind === 'scale') return CYLINDER
  if (quantity === 'pressure') return atmosphere
  return quantity === 'temperature' ? run.steady.conditions.outdoorAirTemp : 0
}

/** Where the unit stood before it was switched on: pipes at outdoor air, pressures equalised. */
function beforeStart(truth: Truth, outdoor: number): Truth {
  const from: { [K in ReadingKey]?: number } = {}
  for (const key of Object.keys(truth) as ReadingKey[]) {
    const { kind, place } = readingRow(key)
    if (kind === 'pressure' && truth.standingPressure !== undefined) from[key] = truth.standingPressure
    if (kind === 'temperature' && (place === 'refrigerant' || place === 'valve')) from[key] = outdoor
  }
  return from
}

/**
 * Switches a specimen of the unit on, with all probes still in the bag.
 * @throws OrzoError not-simulated where the unit would not run
 */
export function beginLive(question: SteadyQuestion, random: RandomSource): LiveBench {
  const simulator = anotherSpecimen(simulatorOf(question.unit), random)
  const first = beginRun(simulator, question)
  const { steady } = first
  const from = beforeStart(trueReadings(steady), steady.conditions.outdoorAirTemp)
  const run = beginRun(simulator, question, { space: usualSpace(simulator), from })
  const atmosphere = steady.atmosphere
  const instruments = Object.fromEntries(
    LIVE_PROBES.filter(isTapProbe).map(({ id, name, kind }) => [
      id,
      { name, kind, offset: gaussian(random) },
    ]),
  )
  const shown = Object.fromEntries(LIVE_PROBES.map((each) => [each.id, inTheOpen(each, { run, atmosphere })]))
  return { run, instruments, placed: {}, shown, atmosphere }
}

/** Puts a probe to a tap, or back into the open air. */
export const placeProbe = (bench: LiveBench, id: string, key: ReadingKey | undefined): LiveBench => ({
  ...bench,
  placed: { ...bench.placed, [id]: key },
})

/** Lets time pass: the unit settles, each probe follows its tap with its own lag. */
export function stepLive(bench: LiveBench, seconds: number): LiveBench {
  const run = advanceRun(bench.run, seconds)
  const next = { ...bench, run }
  const shown = Object.fromEntries(
    LIVE_PROBES.map((each) => {
      const key = bench.placed[each.id]
      const target = (key && run.now[key]) ?? inTheOpen(each, next)
      const lag = isTapProbe(each) ? INSTRUMENT_ROWS[each.kind].lag : 1
      return [each.id, lagged(bench.shown[each.id] ?? target, target, seconds, lag)]
    }),
  )
  return { ...next, shown }
}

/** A tap that stands for a probe's kind while it is in the open. */
const STAND_IN: Readonly<Partial<Record<QuantityKind, ReadingKey>>> = {
  pressure: 'suctionPressure',
  temperature: 'outdoorAirTemp',
  current: 'compressorAmps',
}

function readProbe(bench: LiveBench, each: LiveProbe, random: RandomSource): LiveReading {
  const si = bench.shown[each.id] as number
  if (each.kind === 'scale') {
    const steps = Math.round((si + SCALE_STEP * gaussian(random)) / SCALE_STEP)
    return { probe: each.id, value: Number(fromSI(steps * SCALE_STEP, 'lb').toFixed(2)), unit: 'lb' }
  }
  if (each.kind === 'micron-gauge')
    return { probe: each.id, value: Math.round(fromSI(si, 'micron') / 1000) * 1000, unit: 'micron' }
  const key = bench.placed[each.id] ?? (STAND_IN[each.quantity] as ReadingKey)
  const instrument = bench.instruments[each.id] as Instrument
  const { value, unit } = display(
    key,
    measure(instrument, key, si, bench.atmosphere, random),
    bench.atmosphere,
  )
  return { probe: each.id, value, unit }
}

/** What the displays of some probes show now. */
export const readLive = (bench: LiveBench, ids: readonly string[], random: RandomSource): LiveReading[] =>
  LIVE_PROBES.filter(({ id }) => ids.includes(id)).map((each) => readProbe(bench, each, random))
