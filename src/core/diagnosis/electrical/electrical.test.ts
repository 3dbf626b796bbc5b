import type { UnitPlate } from '../../record/equipment/unit'
import type { Readings } from '../../record/readings/schema'
import { takeSnapshot } from '../../record/readings/snapshot'
import { electricalFindings } from './electricalTests'
import { judgeGround } from './ground'
import { judgeStart, type StartAttempt } from './lockedRotor'
import { capacitanceAtWork, heaterAmps, judgeCapacitor, judgeContactor, judgeHeater } from './parts'
import { nameTerminals } from './singlePhase'
import { derate, judgeSupply, unbalance } from './supply'
import { COMPRESSOR_PATH, nextPoint, type Tested } from './supplyPath'
import { judgeThreePhase } from './threePhase'
import { judgeCoil } from './valveCoil'

const OPEN = Infinity

describe('single-phase terminals from three unlabelled readings, handbook 05 [physics]', () => {
  test.each([
    [
      { AB: 0.7, BC: 1.6, CA: 2.3 },
      { B: 'common', A: 'run', C: 'start' },
    ],
    [
      { AB: 2.3, BC: 0.7, CA: 1.6 },
      { C: 'common', B: 'run', A: 'start' },
    ],
    [
      { AB: 1.6, BC: 2.3, CA: 0.7 },
      { A: 'common', C: 'run', B: 'start' },
    ],
  ] as const)('%o', (ohms, terminals) => {
    const result = nameTerminals(ohms, false)
    expect(result.terminals).toEqual(terminals)
    expect(result.finding.verdict).toBe('good')
    expect(result.ohms).toEqual({ commonRun: 0.7, commonStart: 1.6, runStart: 2.3 })
  })
  test('a sum that is off: by the meter it is unclear, by more it is suspect', () => {
    expect(nameTerminals({ AB: 0.7, BC: 1.6, CA: 2.45 }, false).finding.verdict).toBe('unclear')
    const off = nameTerminals({ AB: 2, BC: 6, CA: 12 }, false).finding
    expect(off).toMatchObject({ verdict: 'suspect', faults: ['compressor-shorted-turns'] })
  })
  test('hot shell, only run to start reads: the overload, not an open winding', () => {
    const { finding } = nameTerminals({ AB: OPEN, BC: OPEN, CA: 2.3 }, true)
    expect(finding).toMatchObject({ verdict: 'suspect', faults: ['compressor-overload-open'] })
    expect(finding.next).toMatch(/Cool/)
  })
  test('the same on a cold shell is an open leg', () => {
    const { finding } = nameTerminals({ AB: OPEN, BC: OPEN, CA: 2.3 }, false)
    expect(finding).toMatchObject({ verdict: 'failed', faults: ['compressor-open-winding'] })
    expect(finding.sentence).toMatch(/leg of B/)
  })
  test('on marked pins an open run winding is no overload, hot or not', () => {
    const marked = { A: 'C', B: 'R', C: 'S' }
    const run = nameTerminals({ AB: OPEN, BC: OPEN, CA: 2.1 }, true, marked).finding
    expect(run).toMatchObject({ verdict: 'failed', faults: ['compressor-open-winding'] })
    expect(run.sentence).toMatch(/Only S-C reads \(2.1 ohm\): the leg of R is open/)
    const common = nameTerminals({ AB: OPEN, BC: 4.2, CA: OPEN }, true, marked).finding
    expect(common).toMatchObject({ verdict: 'suspect', faults: ['compressor-overload-open'] })
  })
  test.each([
    ['all open, hot', { AB: OPEN, BC: OPEN, CA: OPEN }, true, /Cool/],
    ['one open cannot be', { AB: OPEN, BC: 1, CA: 2 }, false, /A-B again/],
    ['nobody felt the shell', { AB: OPEN, BC: OPEN, CA: 2 }, undefined, /Feel the shell/],
    ['a missing value', { AB: Number.NaN, BC: 1, CA: 2 }, false, /Measure/],
  ] as const)('%s', (_name, ohms, hot, next) => {
    const { finding, terminals } = nameTerminals(ohms, hot)
    expect(finding.next).toMatch(next)
    expect(terminals).toBeUndefined()
  })
})

describe('three-phase windings', () => {
  test('T1-T2 open, T1-T3 open, T2-T3 30 ohm: leg T1 is open', () => {
    const finding = judgeThreePhase({ t1t2: OPEN, t2t3: 30, t3t1: OPEN }, false)
    expect(finding).toMatchObject({ verdict: 'failed', faults: ['compressor-open-winding'] })
    expect(finding.sentence).toMatch(/leg T1 is open/)
  })
  test.each([
    ['equal', { t1t2: 30, t2t3: 30.5, t3t1: 29.8 }, 'good', undefined],
    ['a delta with one winding open, 2:1:1', { t1t2: 30, t2t3: 15, t3t1: 15 }, 'failed', /delta/],
    ['below what the meter resolves', { t1t2: 0.5, t2t3: 0.6, t3t1: 0.5 }, 'unclear', /meter and leads/],
    ['shorted turns', { t1t2: 30, t2t3: 24, t3t1: 30 }, 'suspect', /differ/],
  ] as const)('%s', (_name, ohms, verdict, sentence) => {
    const finding = judgeThreePhase(ohms, false)
    expect(finding.verdict).toBe(verdict)
    if (sentence) expect(finding.sentence).toMatch(sentence)
  })
  test('all open on a hot shell is the overload first', () => {
    expect(judgeThreePhase({ t1t2: OPEN, t2t3: OPEN, t3t1: OPEN }, true).faults[0]).toBe(
      'compressor-overload-open',
    )
  })
})

describe('ground', () => {
  test('from the contactor it is the compressor first, a lead or a neighbour; at the terminals it is the compressor', () => {
    const from = judgeGround({ instrument: 'ohmmeter', ohms: 12, at: 'contactor' })
    expect(from.faults).toEqual(['compressor-grounded', 'wire-rubbed-to-ground', 'fan-motor-grounded'])
    expect(from.verdict).toBe('suspect')
    expect(judgeGround({ instrument: 'ohmmeter', ohms: OPEN, at: 'terminals' }).verdict).toBe('good')
    expect(judgeGround({ instrument: 'ohmmeter', ohms: 12, at: 'terminals' })).toMatchObject({
      verdict: 'failed',
      faults: ['compressor-grounded'],
    })
  })
  test.each([
    [0.3e6, 'failed'],
    [5e6, 'suspect'],
    [50e6, 'good'],
  ])('insulation tester %f ohm: %s', (ohms, verdict) => {
    expect(judgeGround({ instrument: 'insulation-tester', ohms, at: 'terminals' }).verdict).toBe(verdict)
  })
  test('never under vacuum', () => {
    const finding = judgeGround({
      instrument: 'insulation-tester',
      ohms: 1,
      at: 'terminals',
      underVacuum: true,
    })
    expect(finding).toMatchObject({ verdict: 'unclear', faults: [] })
  })
})

describe('supply', () => {
  test('unbalance of 460, 467, 450 V is 1.96 % of the mean [std: NEMA MG 1 example form]', () => {
    expect(unbalance([460, 467, 450])).toBeCloseTo(9 / 459, 6)
  })
  test('derating falls with unbalance and ends at 5 %', () => {
    expect(derate(0)).toBe(1)
    expect(derate(0.025)!).toBeLessThan(derate(0.02)!)
    expect(derate(0.06)).toBeUndefined()
  })
  test.each([
    [[230], 'good', /within 10 %/],
    [[200], 'failed', /below the plate/],
    [[231, 229, 232], 'good', /unbalance/],
    [[230, 120, 118], 'failed', /phase is lost/],
    [[230, 230, 215], 'failed', /Unbalance/],
    [[0, 0, 0], 'failed', /No volts/],
    [[230, 230], 'unclear', /missing/],
  ])('%o V on a 230 V plate', (volts, verdict, sentence) => {
    const finding = judgeSupply(volts, 230)
    expect(finding.verdict).toBe(verdict)
    expect(finding.sentence).toMatch(sentence)
  })
})

describe('parts', () => {
  test('2652 x I / V at 60 Hz [physics]', () => {
    expect(capacitanceAtWork(5, 370, 60) * 1e6).toBeCloseTo((2652 * 5) / 370, 1)
  })
  test.each([
    [34.2, 35, 'good'],
    [32, 35, 'failed'],
    [37.5, 35, 'failed'],
  ])('%f uF on a %f uF label: %s', (measured, label, verdict) => {
    expect(judgeCapacitor(measured * 1e-6, label * 1e-6).verdict).toBe(verdict)
  })
  test.each([
    [0.05, 'good'],
    [0.6, 'suspect'],
    [3, 'failed'],
  ])('%f V across closed contacts: %s', (drop, verdict) => expect(judgeContactor(drop).verdict).toBe(verdict))
  test('a 35 W, 240 V heater at 210 V draws 0.13 A', () => {
    const expected = heaterAmps(35, 240, 210)
    expect(expected).toBeCloseTo(0.13, 2)
    expect(judgeHeater(0.13, expected).verdict).toBe('good')
    expect(judgeHeater(0, expected)).toMatchObject({ verdict: 'failed', faults: ['crankcase-heater-open'] })
    expect(judgeHeater(0.05, expected).verdict).toBe('suspect')
    expect(judgeHeater(0.05, expected, true).verdict).toBe('good')
  })
})

describe('reversing valve coil', () => {
  test('3 V from the thermostat, 23 V when the call is jumped at the unit: the thermostat or its wire', () => {
    const first = judgeCoil({ loaded: 3 })
    expect(first).toMatchObject({ verdict: 'suspect', faults: ['rv-control-voltage-fault'] })
    expect(first.next).toMatch(/at the unit/)
    const jumped = judgeCoil({ loaded: 3, jumpedAtUnit: { holds: true, volts: 23 } })
    expect(jumped.faults).toEqual(['rv-control-voltage-fault'])
    expect(jumped.sentence).toMatch(/coil and transformer are good/)
    const both = judgeCoil({
      loaded: 3,
      jumpedAtUnit: { holds: true, volts: 23 },
      jumpedAtThermostat: { holds: true },
    })
    expect(both.sentence).toMatch(/thermostat is the fault/)
    const wire = judgeCoil({ loaded: 3, jumpedAtUnit: { holds: true }, jumpedAtThermostat: { holds: false } })
    expect(wire.sentence).toMatch(/wire between/)
  })
  test.each([
    [{ loaded: 24.4 }, 'good', /healthy/],
    [{ loaded: 8, unloaded: 25 }, 'failed', /collapse/],
    [{ ohms: OPEN, loaded: 24 }, 'failed', /open/],
    [{ ohms: 1 }, 'failed', /shorted/],
    [{}, 'unclear', /missing/],
    [{ loaded: 15 }, 'suspect', /chatter/],
    [{ loaded: 3, jumpedAtUnit: { holds: false } }, 'suspect', /coil or transformer/],
  ] as const)('%o', (test_, verdict, sentence) => {
    const finding = judgeCoil(test_)
    expect(finding.verdict).toBe(verdict)
    expect(finding.sentence).toMatch(sentence)
  })
})

describe('locked rotor: everything else is proven first', () => {
  const base: StartAttempt = {
    inrushAmps: 80,
    lra: 83,
    trips: true,
    startingVolts: 224,
    plateVolts: 230,
    gearProven: true,
    phase: 1,
    hardStartTried: true,
  }
  test.each([
    ['all proven', {}, 'failed', 'compressor-locked-rotor'],
    ['gear not proven', { gearProven: false }, 'suspect', 'start-gear-failed'],
    ['no hard-start attempt', { hardStartTried: false }, 'suspect', 'compressor-locked-rotor'],
    ['volts collapse', { startingVolts: 180 }, 'suspect', 'supply-fault'],
    ['no current', { inrushAmps: 0 }, 'suspect', 'compressor-overload-open'],
    ['three-phase, sequence unknown', { phase: 3 }, 'suspect', 'supply-fault'],
    ['three-phase, proven', { phase: 3, phasesProven: true }, 'failed', 'compressor-locked-rotor'],
  ] as const)('%s', (_name, part, verdict, fault) => {
    const finding = judgeStart({ ...base, ...part })
    expect(finding.verdict).toBe(verdict)
    expect(finding.faults[0]).toBe(fault)
  })
  test('it starts', () => expect(judgeStart({ ...base, trips: false }).verdict).toBe('good'))
})

describe('from the load backwards', () => {
  const walk = (broken: number) => {
    const tested: Record<string, 'live' | 'dead'> = {}
    let steps = 0
    for (;;) {
      const result = nextPoint(COMPRESSOR_PATH, tested)
      if (!result.next) return { steps, result }
      tested[result.next.id] = COMPRESSOR_PATH.indexOf(result.next) < broken ? 'live' : 'dead'
      steps += 1
    }
  }
  test('volts at the load prove everything upstream with one test', () => {
    const { steps, result } = walk(COMPRESSOR_PATH.length)
    expect(steps).toBe(1)
    expect(result).toMatchObject({ done: true, between: undefined })
    expect(result.proven).toHaveLength(COMPRESSOR_PATH.length - 1)
  })
  test.each([0, 1, 2, 3, 4])(
    'a fault before point %i is found between two neighbours in at most four tests',
    (broken) => {
      const { steps, result } = walk(broken)
      expect(result.between!.dead).toBe(COMPRESSOR_PATH[broken])
      expect(result.between!.live).toBe(broken === 0 ? undefined : COMPRESSOR_PATH[broken - 1])
      expect(steps).toBeLessThanOrEqual(4)
    },
  )
  test('a dead load asks for the contactor before its neighbours: it fails most', () => {
    const tested: Tested = { 'compressor-leads': 'dead' }
    expect(['contactor-line', 'contactor-load']).toContain(nextPoint(COMPRESSOR_PATH, tested).next!.id)
  })
})

describe('a heater without current', () => {
  const UNIT: UnitPlate = {
    kind: 'split-ac',
    refrigerant: 'R-410A',
    metering: 'txv',
    power: { phase: 1, volts: 230 },
    crankcaseHeater: { watts: 70, volts: 230 },
  }
  const word = (readings: Readings) =>
    electricalFindings(UNIT, takeSnapshot({ mode: 'off', readings }, 'R-410A', 101_325)).heater?.word
  const amps = (value: number) => ({ crankcaseHeaterAmps: { value, unit: 'A' as const } })
  const volts = (value: number) => ({ voltageL1L2: { value, unit: 'V' as const } })
  test.each([
    ['at its volts is open', { ...amps(0), ...volts(230) }, 'open'],
    ['at half of them is open', { ...amps(0), ...volts(115) }, 'open'],
    ['at less than half tells of the supply', { ...amps(0), ...volts(114) }, undefined],
    ['with nobody having measured volts is doubtful', amps(0), 'no-current'],
    [
      'just above what a meter shows for nothing is no longer open',
      { ...amps(0.03), ...volts(230) },
      'off-rating',
    ],
    [
      'that reads open by ohms is open whatever the volts',
      { crankcaseHeaterOhms: { value: 1e9, unit: 'ohm' as const } },
      'open',
    ],
  ] as const)('%s', (_name, readings, expected) => {
    expect(word(readings)).toBe(expected)
  })
})
