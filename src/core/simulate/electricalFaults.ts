import { isThreePhase } from '../record/equipment/kinds'
import { OPEN_OHMS } from '../record/readings/openOhms'
import type { ElectricalFaultId } from '../diagnosis/faults/faults'
import type { UnitPlate } from '../record/equipment/unit'
import type { RandomSource } from '../base/numeric/random'
import type { ObservationKey } from '../record/readings/observations'
import type { ReadingKey } from '../record/readings/vocabulary'

type Values = { readonly [K in ReadingKey]?: number }
type Words = { readonly [K in ObservationKey]?: string }

/** What an electrical fault shows: changed readings, words, and whether the unit still runs, and in which mode. */
export type ElectricalShow = {
  readonly runs: boolean
  /** the reversing valve stands in the other mode */
  readonly otherMode?: true
  readonly values: Values
  readonly words: Words
}

type Show = (sound: Values, unit: UnitPlate, random: RandomSource) => ElectricalShow

const stands = (values: Values, words: Words): ElectricalShow => ({
  runs: false,
  values: { compressorAmps: 0, ampsL1: 0, ampsL2: 0, ampsL3: 0, inrushAmps: 0, ...values },
  words: { compressorState: 'off', hardStart: 'none', ...words },
})
const between = (random: RandomSource, low: number, high: number) => low + (high - low) * random()

/** Ohms of windings that one open leg or winding leaves. */
function openWinding(sound: Values, unit: UnitPlate, random: RandomSource): Values {
  if (!isThreePhase(unit)) {
    return random() < 0.5
      ? { ohmsCR: OPEN_OHMS, ohmsRS: OPEN_OHMS }
      : { ohmsCS: OPEN_OHMS, ohmsRS: OPEN_OHMS }
  }
  const pairs = ['ohmsT1T2', 'ohmsT2T3', 'ohmsT3T1'] as const
  const left = Math.floor(random() * pairs.length)
  return Object.fromEntries(pairs.map((key, i) => [key, i === left ? sound[key] : OPEN_OHMS]))
}

const openOverload = (unit: UnitPlate): Values =>
  isThreePhase(unit)
    ? { ohmsT1T2: OPEN_OHMS, ohmsT2T3: OPEN_OHMS, ohmsT3T1: OPEN_OHMS }
    : { ohmsCR: OPEN_OHMS, ohmsCS: OPEN_OHMS }

/** Shorted turns: a three-phase leg reads low; of a single-phase run winding both of its pairs do, and still add up. */
function shortedTurns(sound: Values, unit: UnitPlate, random: RandomSource): Values {
  const left = between(random, 0.4, 0.8)
  if (isThreePhase(unit))
    return { ohmsT1T2: (sound.ohmsT1T2 ?? 1) * left, ohmsT3T1: ((sound.ohmsT3T1 ?? 1) * (1 + left)) / 2 }
  const run = (sound.ohmsCR ?? 1) * left
  return { ohmsCR: run, ohmsRS: run + (sound.ohmsCS ?? 2) }
}

function supplyFault(sound: Values, unit: UnitPlate, random: RandomSource): ElectricalShow {
  const volts = sound.voltageL1L2 ?? 230
  const draw = random()
  if (isThreePhase(unit) && draw < 0.4) {
    const lost = {
      voltageL2L3: volts * between(random, 0.05, 0.5),
      voltageL3L1: volts * between(random, 0.05, 0.5),
    }
    return stands({ ...lost, inrushAmps: sound.inrushAmps ?? 0 }, { compressorState: 'hums-and-trips' })
  }
  if (isThreePhase(unit) && draw < 0.6) {
    const off = volts * between(random, 0.9, 0.95)
    return { runs: true, values: { voltageL2L3: off, voltageL3L1: off * 1.02 }, words: {} }
  }
  if (draw < 0.8)
    return stands(
      { voltageL1L2: 0, voltageL2L3: 0, voltageL3L1: 0, voltageRunning: 0, crankcaseHeaterAmps: 0 },
      { loadVolts: 'dead', controlVolts: 'dead' },
    )
  const low = volts * between(random, 0.7, 0.85)
  return stands(
    {
      voltageL1L2: low,
      voltageL2L3: low,
      voltageL3L1: low,
      voltageRunning: low * 0.9,
      crankcaseHeaterAmps: ((sound.crankcaseHeaterAmps ?? 0) * low) / volts,
      inrushAmps: sound.inrushAmps ?? 0,
    },
    { compressorState: 'hums-and-trips' },
  )
}

const grounded = (random: RandomSource) => 10 ** between(random, 1, 4.5)
const groundAt = (random: RandomSource): Words => ({
  groundMeasuredAt: random() < 0.6 ? 'contactor' : 'terminals',
})
const FROM_CONTACTOR: Words = { groundMeasuredAt: 'contactor' }

/** What each electrical fault of handbook 05 shows. Its row in diagnose/electricalFaults.ts shares no figures with this. */
export const ELECTRICAL_SHOWS: Readonly<Record<ElectricalFaultId, Show>> = {
  'compressor-grounded': (_sound, _unit, random) =>
    stands(
      { ohmsToGround: grounded(random) },
      {
        compressorState: 'trips-breaker',
        breaker: 'trips',
        groundPath: 'compressor-side',
        ...groundAt(random),
      },
    ),
  'wire-rubbed-to-ground': (sound, _unit, random) => {
    const at = groundAt(random)
    const ohms = at.groundMeasuredAt === 'contactor' ? grounded(random) : (sound.ohmsToGround ?? 5e7)
    return stands(
      { ohmsToGround: ohms },
      {
        compressorState: 'trips-breaker',
        breaker: 'trips',
        leadState: random() < 0.8 ? 'rubbed-through' : 'rubbed',
        groundPath: 'compressor-side',
        ...at,
      },
    )
  },
  'fan-motor-grounded': (_sound, _unit, random) =>
    stands(
      { ohmsToGround: grounded(random) },
      { compressorState: 'trips-breaker', breaker: 'trips', groundPath: 'fan-motor', ...FROM_CONTACTOR },
    ),
  'crankcase-heater-grounded': (_sound, _unit, random) =>
    stands(
      { ohmsToGround: grounded(random) },
      {
        compressorState: 'trips-breaker',
        breaker: 'trips',
        groundPath: 'crankcase-heater',
        ...FROM_CONTACTOR,
      },
    ),
  'terminal-plug-burnt': (sound, unit, random) =>
    stands(openWinding(sound, unit, random), {
      terminalLook: 'burnt',
      compressorState: random() < 0.3 ? 'hums-and-trips' : 'off',
      windingsMeasuredAt: 'contactor',
    }),
  'compressor-open-winding': (sound, unit, random) =>
    stands(openWinding(sound, unit, random), {
      compressorState: random() < 0.3 ? 'hums-and-trips' : 'off',
    }),
  'compressor-overload-open': (_sound, unit) => stands(openOverload(unit), { compressorShell: 'hot' }),
  'compressor-shorted-turns': (sound, unit, random) =>
    stands(shortedTurns(sound, unit, random), {
      compressorState: 'trips-breaker',
      breaker: 'trips',
    }),
  'compressor-locked-rotor': (sound) =>
    stands({ inrushAmps: sound.inrushAmps ?? 0 }, { compressorState: 'hums-and-trips' }),
  'compressor-broken-inside': (sound) =>
    stands(
      { inrushAmps: sound.inrushAmps ?? 0 },
      { compressorState: 'hums-and-trips', oilAppearance: 'metal-flakes' },
    ),
  'start-gear-failed': (sound, _unit, random) =>
    stands(
      {
        inrushAmps: sound.inrushAmps ?? 0,
        runCapacitance: (sound.runCapacitance ?? 4e-5) * between(random, 0.05, 0.7),
      },
      { compressorState: 'hums-and-trips', startGear: 'failed', hardStart: 'starts' },
    ),
  'contactor-failed': (_sound, _unit, random) =>
    random() < 0.25
      ? {
          runs: true,
          values: { contactorVoltageDrop: between(random, 0.8, 6) },
          words: { contactorPoints: 'pitted' },
        }
      : stands(
          {},
          {
            loadVolts: 'dead',
            contactorPoints: random() < 0.5 ? 'not-pulled-in' : 'pitted',
          },
        ),
  'supply-fault': supplyFault,
  'control-open': (_sound, _unit, random) => {
    const draw = random()
    return stands(
      {},
      {
        contactorPoints: 'not-pulled-in',
        loadVolts: 'dead',
        controlVolts: 'dead',
        ...(draw < 0.4 ? { lowPressureSwitch: 'open' } : draw < 0.7 ? { callForOperation: 'no' } : {}),
      },
    )
  },
  'crankcase-heater-open': () => ({
    runs: true,
    values: { crankcaseHeaterAmps: 0, crankcaseHeaterOhms: OPEN_OHMS },
    words: {},
  }),
  'rv-coil-failed': (_sound, _unit, random) => ({
    runs: true,
    otherMode: true,
    values: { solenoidOhms: random() < 0.7 ? OPEN_OHMS : between(random, 0.2, 3) },
    words: { magnetPull: 'none', jumpAtUnit: 'does-not-hold', jumpAtThermostat: 'does-not-hold' },
  }),
  'rv-control-voltage-fault': (_sound, _unit, random) => ({
    runs: true,
    otherMode: true,
    values: {
      solenoidVolts: random() < 0.4 ? 0 : between(random, 2, 15),
      solenoidVoltsNoLoad: between(random, 2, 25),
    },
    words: { magnetPull: 'none', reversingValveNoise: random() < 0.4 ? 'chatter' : 'none' },
  }),
  'intermittent-start': (_sound, _unit, random) => ({
    runs: true,
    values: {},
    words: { comesAndGoes: 'yes', contactorPoints: random() < 0.4 ? 'pitted' : 'clean' },
  }),
}
