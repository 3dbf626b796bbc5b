import { isThreePhase } from '../../record/equipment/kinds'
import { OPEN_OHMS_LEAST } from '../../record/readings/openOhms'
import type { Finding } from './finding'
import { judgeGround } from './ground'
import { judgeStart } from './lockedRotor'
import { heaterAmps, capacitanceAtWork, judgeCapacitor, judgeContactor, judgeHeater } from './parts'
import { nameTerminals } from './singlePhase'
import { judgeSupply, unbalance } from './supply'
import { judgeThreePhase } from './threePhase'
import { COIL_OHMS, HEALTHY_COIL_VOLTS, judgeCoil } from './valveCoil'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Snapshot } from '../../record/readings/snapshot'
import type { ReadingKey } from '../../record/readings/vocabulary'
import { toSI } from '../../base/units/convert'

/** What one electrical test says: a word for the ranking, and the finding for the screen and the report. */
export type TestResult = { readonly word: string; readonly finding: Finding }

export type ElectricalTestRow = {
  readonly label: string
  readonly words: readonly string[]
  /** readings it is made of; the first missing one is asked for */
  readonly needs: (unit: UnitPlate) => readonly ReadingKey[]
  readonly judge: (unit: UnitPlate, at: Snapshot) => TestResult | undefined
}

const ohms = (at: Snapshot, key: ReadingKey): number | undefined => {
  const value = at.values[key]?.value
  return value === undefined ? undefined : value >= OPEN_OHMS_LEAST ? Infinity : value
}
const isHot = ({ observations: { compressorShell } }: Snapshot): boolean | undefined =>
  compressorShell === undefined ? undefined : compressorShell === 'hot'
/** Marked pins, in the order of the unmarked ones: the pairs AB, BC, CA are C-R, R-S, S-C. */
const MARKED = { A: 'C', B: 'R', C: 'S' } as const
const all = <T>(values: readonly (T | undefined)[]): T[] | undefined =>
  values.every((value) => value !== undefined) ? (values as T[]) : undefined

/** Which pattern of opens and sums three resistances make. */
function windingWord(values: readonly number[], finding: Finding, common: boolean): string {
  const open = values.filter((value) => !Number.isFinite(value)).length
  if (open === values.length) return 'all-open'
  if (open > 1) return common ? 'common-leg-open' : 'one-leg-open'
  return finding.verdict === 'good' || finding.verdict === 'unclear' ? 'good' : 'unbalanced'
}

function windings(unit: UnitPlate, at: Snapshot): TestResult | undefined {
  const three = all([ohms(at, 'ohmsT1T2'), ohms(at, 'ohmsT2T3'), ohms(at, 'ohmsT3T1')])
  if (three) {
    const [t1t2, t2t3, t3t1] = three as [number, number, number]
    const finding = judgeThreePhase({ t1t2, t2t3, t3t1 }, isHot(at))
    return { word: windingWord(three, finding, false), finding }
  }
  const one = all([ohms(at, 'ohmsCR'), ohms(at, 'ohmsCS'), ohms(at, 'ohmsRS')])
  if (!one || isThreePhase(unit)) return undefined
  const [cr, cs, rs] = one as [number, number, number]
  const { finding } = nameTerminals({ AB: cr, CA: cs, BC: rs }, isHot(at), MARKED)
  const isCommon = !Number.isFinite(cr) && !Number.isFinite(cs)
  return { word: windingWord(one, finding, isCommon), finding }
}

const GROUND_WORD = { good: 'none', suspect: 'weak', unclear: 'weak', failed: 'at-terminals' } as const

function ground(_unit: UnitPlate, at: Snapshot): TestResult | undefined {
  const value = at.values.ohmsToGround?.value
  if (value === undefined) return undefined
  const { groundMeasuredAt = 'contactor', groundInstrument = 'ohmmeter' } = at.observations
  const finding = judgeGround({ instrument: groundInstrument, ohms: value, at: groundMeasuredAt })
  const atContactor = finding.faults.includes('wire-rubbed-to-ground')
  return { word: atContactor ? 'at-contactor' : GROUND_WORD[finding.verdict], finding }
}

/** [practice] unbalance that is looked into; a pair so far below the others has lost its phase. */
const UNBALANCED = 0.02
const LOST = 0.7
const NO_VOLTS = 0.2

function supplyWord(volts: readonly number[], plate: number, finding: Finding): string {
  if (finding.verdict === 'good') return 'good'
  const most = Math.max(...volts)
  if (most < NO_VOLTS * plate) return 'no-volts'
  if (Math.min(...volts) < LOST * most) return 'phase-lost'
  return volts.length === 3 && unbalance(volts) > UNBALANCED ? 'unbalanced' : 'off-plate'
}

function supply(unit: UnitPlate, at: Snapshot): TestResult | undefined {
  const plate = unit.power?.volts
  if (!plate) return undefined
  const keys: readonly ReadingKey[] = isThreePhase(unit)
    ? ['voltageL1L2', 'voltageL2L3', 'voltageL3L1']
    : ['voltageL1L2']
  const volts = all(keys.map((key) => at.values[key]?.value))
  if (!volts) return undefined
  const finding = judgeSupply(volts, plate)
  return finding.verdict === 'unclear' ? undefined : { word: supplyWord(volts, plate, finding), finding }
}

/** [practice] a leg below this share of the strongest carries nothing; amps may differ ten times as much as volts. */
const LEG_MISSING = 0.1
const AMPS_UNBALANCED = 0.1
const NO_AMPS = 0.03
const shown = (amps: readonly number[]) => amps.map((value) => value.toFixed(1)).join(', ')

function legAmps(unit: UnitPlate, at: Snapshot): TestResult | undefined {
  const rated = unit.power?.rla
  if (!rated) return undefined
  const legs = isThreePhase(unit)
    ? all([at.values.ampsL1?.value, at.values.ampsL2?.value, at.values.ampsL3?.value])
    : all([at.values.compressorAmps?.value ?? at.values.ampsL1?.value])
  if (!legs) return undefined
  const most = Math.max(...legs)
  const result = (word: string, verdict: Finding['verdict'], sentence: string): TestResult => ({
    word,
    finding: { verdict, faults: [], sentence },
  })
  if (most < NO_AMPS * rated)
    return result(
      'none',
      'suspect',
      'No current: an open overload, an open winding, or no volts at the terminals.',
    )
  if (legs.length === 3 && Math.min(...legs) < LEG_MISSING * most)
    return result('leg-missing', 'failed', `One leg carries nothing (${shown(legs)} A): single-phasing.`)
  if (legs.length === 3 && unbalance(legs) > AMPS_UNBALANCED)
    return result(
      'unbalanced',
      'suspect',
      `Leg amps differ by ${(100 * unbalance(legs)).toFixed(0)} % (${shown(legs)} A).`,
    )
  return result('good', 'good', `Current on every leg (${shown(legs)} A).`)
}

const START_WORD: Readonly<Record<Finding['verdict'], string>> = {
  good: 'starts',
  suspect: 'stays-locked',
  failed: 'stays-locked',
  unclear: 'starts',
}

function startAttempt(unit: UnitPlate, at: Snapshot): TestResult | undefined {
  const { lra, volts: plateVolts, phase = 1 } = unit.power ?? {}
  const inrush = at.values.inrushAmps?.value
  const { compressorState, startGear, hardStart, phaseSequence } = at.observations
  if (!lra || inrush === undefined || compressorState === undefined) return undefined
  const startingVolts = at.values.voltageRunning?.value ?? plateVolts ?? 0
  const finding = judgeStart({
    inrushAmps: inrush,
    lra,
    trips: compressorState === 'hums-and-trips' || compressorState === 'trips-breaker',
    startingVolts,
    plateVolts: plateVolts ?? startingVolts,
    gearProven: startGear === 'proven',
    phase,
    phasesProven: phaseSequence === 'correct',
    hardStartTried: hardStart !== undefined,
  })
  if (inrush < NO_AMPS * lra) return { word: 'no-current', finding }
  const sags = finding.faults.includes('supply-fault') && startingVolts < 0.9 * (plateVolts ?? startingVolts)
  return { word: sags ? 'locked-volts-sag' : START_WORD[finding.verdict], finding }
}

function runCapacitor(unit: UnitPlate, at: Snapshot): TestResult | undefined {
  const label = unit.power?.runCapacitor
  const { runCapacitance, capacitorAmps, capacitorVolts } = at.values
  if (!label) return undefined
  const hertz = unit.power?.hertz ?? 60
  const atWork =
    capacitorAmps && capacitorVolts && capacitorVolts.value > 0
      ? capacitanceAtWork(capacitorAmps.value, capacitorVolts.value, hertz)
      : undefined
  const measured = runCapacitance?.value ?? atWork
  if (measured === undefined) return undefined
  const finding = judgeCapacitor(measured, toSI(label))
  return { word: finding.verdict === 'good' ? 'good' : 'off-label', finding }
}

function contactor(_unit: UnitPlate, at: Snapshot): TestResult | undefined {
  const drop = at.values.contactorVoltageDrop?.value
  if (drop === undefined) return undefined
  const finding = judgeContactor(drop)
  return {
    word: { good: 'good', suspect: 'worn', failed: 'burnt', unclear: 'good' }[finding.verdict],
    finding,
  }
}

/** [memory] rating where the plate names none, W. */
const HEATER_WATTS = 70

function heater(unit: UnitPlate, at: Snapshot): TestResult | undefined {
  const { crankcaseHeaterAmps: amps, crankcaseHeaterOhms } = at.values
  const rated = unit.crankcaseHeater?.volts ?? unit.power?.volts
  if (!rated) return undefined
  const watts = unit.crankcaseHeater?.watts ?? HEATER_WATTS
  const byOhms = crankcaseHeaterOhms && rated / Math.max(crankcaseHeaterOhms.value, 1e-6)
  const value = amps?.value ?? byOhms
  if (value === undefined) return undefined
  const finding = judgeHeater(value, heaterAmps(watts, rated, rated))
  return {
    word: { good: 'good', suspect: 'off-rating', failed: 'open', unclear: 'good' }[finding.verdict],
    finding,
  }
}

function valveCoil(_unit: UnitPlate, at: Snapshot): TestResult | undefined {
  const value = ohms(at, 'solenoidOhms')
  if (value === undefined) return undefined
  const word = value > COIL_OHMS[1] ? 'open' : value < COIL_OHMS[0] ? 'shorted' : 'good'
  const finding: Finding =
    word === 'good'
      ? { verdict: 'good', faults: [], sentence: `The coil reads ${value.toFixed(0)} ohm: sound.` }
      : judgeCoil({ ohms: value })
  return { word, finding }
}

const CHATTERS = 1

function coilVolts(_unit: UnitPlate, at: Snapshot): TestResult | undefined {
  const loaded = at.values.solenoidVolts?.value
  if (loaded === undefined) return undefined
  const unloaded = at.values.solenoidVoltsNoLoad?.value
  const { jumpAtUnit, jumpAtThermostat } = at.observations
  const finding = judgeCoil({
    loaded,
    ...(unloaded === undefined ? {} : { unloaded }),
    ...(jumpAtUnit ? { jumpedAtUnit: { holds: jumpAtUnit === 'holds' } } : {}),
    ...(jumpAtThermostat ? { jumpedAtThermostat: { holds: jumpAtThermostat === 'holds' } } : {}),
  })
  const word =
    loaded >= HEALTHY_COIL_VOLTS[0] && loaded <= HEALTHY_COIL_VOLTS[1]
      ? 'healthy'
      : loaded < CHATTERS
        ? 'none'
        : 'low'
  return { word, finding }
}

/** Electrical tests, in the order of the bench. */
const ELECTRICAL_TESTS = {
  supply: {
    label: 'Supply volts',
    words: ['good', 'no-volts', 'phase-lost', 'unbalanced', 'off-plate'],
    needs: (unit) => (isThreePhase(unit) ? ['voltageL1L2', 'voltageL2L3', 'voltageL3L1'] : ['voltageL1L2']),
    judge: supply,
  },
  windings: {
    label: 'Windings',
    words: ['good', 'common-leg-open', 'one-leg-open', 'all-open', 'unbalanced'],
    needs: (unit) =>
      isThreePhase(unit) ? ['ohmsT1T2', 'ohmsT2T3', 'ohmsT3T1'] : ['ohmsCR', 'ohmsCS', 'ohmsRS'],
    judge: windings,
  },
  ground: {
    label: 'Ground',
    words: ['none', 'weak', 'at-contactor', 'at-terminals'],
    needs: () => ['ohmsToGround'],
    judge: ground,
  },
  legAmps: {
    label: 'Amps on the legs',
    words: ['good', 'none', 'leg-missing', 'unbalanced'],
    needs: (unit) => (isThreePhase(unit) ? ['ampsL1', 'ampsL2', 'ampsL3'] : ['compressorAmps']),
    judge: legAmps,
  },
  startAttempt: {
    label: 'Start attempt',
    words: ['starts', 'no-current', 'stays-locked', 'locked-volts-sag'],
    needs: () => ['inrushAmps', 'voltageRunning'],
    judge: startAttempt,
  },
  runCapacitor: {
    label: 'Run capacitor',
    words: ['good', 'off-label'],
    needs: () => ['runCapacitance'],
    judge: runCapacitor,
  },
  contactor: {
    label: 'Contactor drop',
    words: ['good', 'worn', 'burnt'],
    needs: () => ['contactorVoltageDrop'],
    judge: contactor,
  },
  heater: {
    label: 'Crankcase heater',
    words: ['good', 'off-rating', 'open'],
    needs: () => ['crankcaseHeaterAmps'],
    judge: heater,
  },
  valveCoil: {
    label: 'Reversing valve coil ohms',
    words: ['good', 'open', 'shorted'],
    needs: () => ['solenoidOhms'],
    judge: valveCoil,
  },
  coilVolts: {
    label: 'Reversing valve coil volts, connected',
    words: ['healthy', 'low', 'none'],
    needs: () => ['solenoidVolts'],
    judge: coilVolts,
  },
} as const satisfies Record<string, ElectricalTestRow>

export type ElectricalTestKey = keyof typeof ELECTRICAL_TESTS
export const ELECTRICAL_TEST_KEYS = Object.keys(ELECTRICAL_TESTS) as ElectricalTestKey[]

/** The row seen without its literal types. */
export const electricalTestRow = (key: ElectricalTestKey): ElectricalTestRow => ELECTRICAL_TESTS[key]

export const isElectricalTest = (key: string): key is ElectricalTestKey =>
  Object.hasOwn(ELECTRICAL_TESTS, key)

/** Every electrical test that the readings of a set allow. */
export function electricalFindings(
  unit: UnitPlate,
  at: Snapshot,
): { readonly [K in ElectricalTestKey]?: TestResult } {
  return Object.fromEntries(
    ELECTRICAL_TEST_KEYS.flatMap((key) => {
      const result = electricalTestRow(key).judge(unit, at)
      return result ? [[key, result]] : []
    }),
  )
}
