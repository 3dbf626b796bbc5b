import { isThreePhase } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import { windingPairs } from '../../record/readings/lasting'
import type { Snapshot } from '../../record/readings/snapshot'
import type { ReadingKey } from '../../record/readings/vocabulary'
import { groundAtTerminals, groundFromContactor } from './groundTests'
import { heater } from './heaterTest'
import { coilVolts, contactor, runCapacitor, valveCoil } from './partTests'
import { legAmps, startAttempt, supply } from './supplyTests'
import type { Judge, TestResult } from './testResult'
import { windings } from './windingTest'
import { windingsAtTerminals } from './windingPlaces'

export type { TestResult } from './testResult'

export type ElectricalTestRow = {
  readonly label: string
  readonly words: readonly string[]
  /** readings it is made of; the first missing one is asked for */
  readonly needs: (unit: UnitPlate) => readonly ReadingKey[]
  readonly judge: Judge
}

/** Electrical tests, in the order of the bench. */
const ELECTRICAL_TESTS = {
  supply: {
    label: 'Supply volts',
    words: ['good', 'no-volts', 'phase-lost', 'unbalanced', 'near-limit', 'off-plate'],
    needs: (unit) => (isThreePhase(unit) ? ['voltageL1L2', 'voltageL2L3', 'voltageL3L1'] : ['voltageL1L2']),
    judge: supply,
  },
  windings: {
    label: 'Windings',
    words: ['good', 'common-leg-open', 'one-leg-open', 'all-open', 'unbalanced'],
    needs: (unit) => windingPairs(isThreePhase(unit)),
    judge: windings,
  },
  windingsAtTerminals: {
    label: 'Windings at the compressor’s own terminals against the contactor',
    words: ['sound', 'sound-there', 'bad-there'],
    needs: (unit) => windingPairs(isThreePhase(unit)),
    judge: windingsAtTerminals,
  },
  ground: {
    label: 'Ground, from the contactor',
    words: ['none', 'weak', 'at-contactor'],
    needs: () => ['ohmsToGround'],
    judge: groundFromContactor,
  },
  groundAtTerminals: {
    label: 'Ground at the compressor’s own terminals',
    words: ['none', 'weak', 'grounded'],
    needs: () => ['ohmsToGround'],
    judge: groundAtTerminals,
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
    words: ['good', 'off-rating', 'no-current', 'open'],
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
