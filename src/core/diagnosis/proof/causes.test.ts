import type { Job } from '../../record/job/job'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Observations, Readings } from '../../record/readings/schema'
import { planRepair } from '../../repair/plan/plan'
import { CAUSE_IDS, type CauseId, causeRow, causesOf, killsCompressor } from './causes'
import { mergedSet, setsBefore, standingOf } from './decision'

const f = (value: number) => ({ value, unit: 'F' as const })
const psig = (value: number) => ({ value, unit: 'psig' as const })
const UNIT: UnitPlate = {
  kind: 'split-ac',
  refrigerant: 'R-410A',
  metering: 'txv',
  power: { phase: 3, volts: 208, rla: 14, lra: 90 },
  crankcaseHeater: { watts: 70, volts: 230 },
}
const job = (readings: Readings, observations: Observations = {}, more: Partial<Job> = {}): Job => ({
  format: 'orzo.job',
  version: 1,
  unit: UNIT,
  readingSets: [{ mode: 'cooling', readings, observations }],
  ...more,
})
const found = (of: Job, id: CauseId) => causesOf(of).find((cause) => cause.id === id)!.found

describe('what speaks for each cause of death (handbook 04)', () => {
  type Row = readonly [CauseId, Readings, Observations, RegExp]
  test.each<Row>([
    ['flooded-start', { crankcaseHeaterAmps: { value: 0, unit: 'A' } }, {}, /heater|circuit is open/],
    [
      'floodback',
      { suctionPressure: psig(125), suctionLineTemp: f(44) },
      { frostPattern: 'suction-to-compressor' },
      /Superheat/,
    ],
    ['overheating', { dischargeLineTemp: f(240) }, { condenserCoil: 'dirty' }, /240 F, above 225 F/],
    ['ran-out-of-charge', {}, { weighedCharge: 'below-plate', oilStain: 'joint' }, /below the plate/],
    ['moisture', {}, { copperPlating: 'yes' }, /Copper plating/],
    ['debris', {}, { oilAppearance: 'metal-flakes' }, /Metal flakes/],
    [
      'supply',
      {
        voltageL1L2: { value: 208, unit: 'V' },
        voltageL2L3: { value: 196, unit: 'V' },
        voltageL3L1: { value: 199, unit: 'V' },
      },
      {},
      /Unbalance/,
    ],
    [
      'contactor',
      { contactorVoltageDrop: { value: 4, unit: 'V' } },
      { contactorPoints: 'pitted' },
      /4 V|Pitted/,
    ],
    ['start-gear', {}, { startGear: 'failed' }, /gear failed/],
    ['short-cycling', {}, { shortCycling: 'yes' }, /many times/],
    ['wrong-wiring', {}, { wiring: 'wrong' }, /diagram/],
    ['rubbed', {}, { leadState: 'rubbed' }, /rubbed/],
  ])('%s', (id, readings, observations, sentence) => {
    const causes = causesOf(job(readings, observations))
    expect(found(job(readings, observations), id).join(' ')).toMatch(sentence)
    expect(causes[0]!.found.length).toBeGreaterThan(0)
    // Nothing is made up: a clean record speaks for none.
    expect(found(job({}), id)).toEqual([])
  })
  test('acid from an earlier burnout is found in the history', () => {
    const old = job({}, { acidTest: 'strong' }, { arrival: { previousBurnout: true } })
    expect(found(old, 'acid-from-earlier-burnout')).toHaveLength(2)
  })
  test('every cause says where to look and what removes it', () => {
    for (const id of CAUSE_IDS) {
      expect(causeRow(id).look.length).toBeGreaterThan(15)
      expect(causeRow(id).action.length).toBeGreaterThan(10)
    }
  })
})

describe('causes go into the plan', () => {
  const tasks = (causes: string[], fault: Parameters<typeof planRepair>[1] = 'compressor-grounded') =>
    planRepair(job({}, {}, { decision: { fault, causes } }), fault).tasks.map(({ id }) => id)
  test('chosen causes add their work to a compressor change, once', () => {
    expect(tasks([])).not.toContain('swapContactor')
    expect(tasks(['contactor', 'flooded-start', 'contactor'])).toEqual(
      expect.arrayContaining(['swapContactor', 'swapHeater', 'swapCompressor']),
    )
    const all = tasks(['ran-out-of-charge', 'moisture'])
    expect(new Set(all).size).toBe(all.length)
    expect(all).toEqual(expect.arrayContaining(['leakSearch', 'fitLowPressureSwitch']))
  })
  test('not to another repair, and "unknown" adds nothing', () => {
    expect(tasks(['contactor'], 'condenser-fouled')).not.toContain('swapContactor')
    expect(tasks(['unknown'])).toEqual(tasks([]))
  })
  test('only a compressor that would be condemned needs a cause', () => {
    expect(killsCompressor('compressor-grounded')).toBe(true)
    expect(killsCompressor('compressor-not-pumping')).toBe(true)
    expect(killsCompressor('compressor-overload-open')).toBe(false)
    expect(killsCompressor('healthy')).toBe(false)
  })
})

describe('how a decision stands', () => {
  const drop = { dryerInTemp: f(90), dryerOutTemp: f(70) }
  const decided = (readings: Readings, decision: Job['decision']) =>
    standingOf(job(readings, {}, { decision }))
  test('proven, overridden, not proven, without a gate, undecided', () => {
    expect(decided(drop, { fault: 'plugged-liquid-dryer' })?.state).toBe('proven')
    expect(decided({}, { fault: 'plugged-liquid-dryer' })?.state).toBe('not-proven')
    expect(decided({}, { fault: 'plugged-liquid-dryer', override: 'seen last year' })?.state).toBe(
      'overridden',
    )
    expect(decided({}, { fault: 'condenser-fouled' })?.state).toBe('no-gate')
    expect(decided({}, undefined)).toBeUndefined()
    expect(decided({}, { fault: 'no-such-fault' })).toBeUndefined()
  })
  test('sets put their record together; a later reading replaces an earlier one, another mode does not', () => {
    const merged = mergedSet([
      { mode: 'cooling', readings: { dryerInTemp: f(90), liquidLineTemp: f(95) } },
      { mode: 'heating', readings: { liquidLineTemp: f(60) } },
      {
        mode: 'cooling',
        readings: { dryerOutTemp: f(70), liquidLineTemp: f(96) },
        observations: { oilStain: 'joint' },
      },
    ])
    expect(merged.readings).toEqual({ dryerInTemp: f(90), dryerOutTemp: f(70), liquidLineTemp: f(96) })
    expect(merged.observations).toEqual({ oilStain: 'joint' })
  })
  test('what was read after the decision proves nothing backwards', () => {
    const at = (iso: string, readings: Readings) => ({ mode: 'cooling' as const, at: iso, readings })
    const later: Job = {
      ...job({}),
      readingSets: [at('2026-05-04T09:00:00Z', {}), at('2026-05-06T09:00:00Z', drop)],
      decision: { fault: 'plugged-liquid-dryer', at: '2026-05-04T12:00:00Z' },
    }
    expect(setsBefore(later)).toHaveLength(1)
    expect(standingOf(later)?.state).toBe('not-proven')
  })
})
