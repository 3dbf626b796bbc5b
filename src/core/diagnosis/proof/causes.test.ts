import { recorded } from '../../../../tools/run/recorded'
import { emptyJob, type KnownJob } from '../../record/job/job'
import type { Decision } from '../../record/records/decision'
import type { SuspectId } from '../faults/faults'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Observations, Readings } from '../../record/readings/schema'
import { planOf } from '../../repair/plan/basis'
import { CAUSE_IDS, type CauseId, causeRow, causesOf, killsCompressor } from './causes'
import { judgeGate } from './gates'
import { mergedSet, modeOfProof, recordOf, setsBefore } from './record'
import { keptGate, decisionStatesOf } from './decisionState'

const f = (value: number) => ({ value, unit: 'F' as const })
const psig = (value: number) => ({ value, unit: 'psig' as const })
const UNIT: UnitPlate = {
  kind: 'split-ac',
  refrigerant: 'R-410A',
  metering: 'txv',
  power: { phase: 3, volts: 208, rla: 14, lra: 90 },
  crankcaseHeater: { watts: 70, volts: 230 },
}
const job = (
  readings: Readings,
  observations: Observations = {},
  more: Partial<KnownJob> = {},
): KnownJob => ({
  ...emptyJob(UNIT),
  readingSets: [{ id: 'a', mode: 'cooling', readings, observations }],
  ...more,
})
const found = (of: KnownJob, id: CauseId) => causesOf(of).find((cause) => cause.id === id)!.found

type Row = readonly [CauseId, Readings, Observations, RegExp]
const ROWS: readonly Row[] = [
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
]

describe('what speaks for each cause of death (handbook 04)', () => {
  test.each(ROWS)('%s', (id, readings, observations, sentence) => {
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
  test('every sentence as on record, and the rows of the table', () => {
    const warm: Readings = {
      suctionPressure: psig(118),
      suctionLineTemp: f(41.2),
      dischargeLineTemp: f(231.6),
    }
    const all = [...ROWS, ['floodback', warm, {}, /./] as const]
    const told = all.map(([id, readings, observations]) => [id, causesOf(job(readings, observations))])
    const now = `${JSON.stringify({ told, rows: CAUSE_IDS.map((id) => [id, causeRow(id)]) }, null, 1)}\n`
    expect(now.split('\n')).toEqual(recorded(__dirname, 'causes.json', now).split('\n'))
  })
  test('every cause says where to look and what removes it', () => {
    for (const id of CAUSE_IDS) {
      expect(causeRow(id).look.length).toBeGreaterThan(15)
      expect(causeRow(id).action.length).toBeGreaterThan(10)
    }
  })
})

describe('causes go into the plan', () => {
  const tasks = (causes: string[], fault: SuspectId = 'compressor-grounded') =>
    planOf(job({}, {}, { decisions: [{ id: fault, fault, state: 'decided', causes }] }), [fault]).tasks.map(
      ({ id }) => id,
    )
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
  const decision = (fault: string, more: Partial<Decision> = {}): Decision => ({
    id: fault,
    fault,
    state: 'decided',
    ...more,
  })
  const standing = (readings: Readings, ...decisions: Decision[]) =>
    decisionStatesOf(job(readings, {}, { decisions })).map(({ state }) => state)
  test('proven, overridden, not proven, without a gate, undecided', () => {
    expect(standing(drop, decision('plugged-liquid-dryer'))).toEqual(['proven'])
    expect(standing({}, decision('plugged-liquid-dryer'))).toEqual(['not-proven'])
    expect(standing({}, decision('plugged-liquid-dryer', { override: 'seen cut open' }))).toEqual([
      'overridden',
    ])
    expect(standing({}, decision('plugged-liquid-dryer', { override: ' ' }))).toEqual(['not-proven'])
    expect(standing({}, decision('condenser-fouled'))).toEqual(['no-gate'])
    expect(standing({})).toEqual([])
    expect(standing({}, decision('no-such-fault'))).toEqual([])
    expect(standing(drop, decision('plugged-liquid-dryer', { state: 'draft' }))).toEqual([])
  })
  test('several stand beside each other, each on its own proof', () => {
    expect(standing(drop, decision('plugged-liquid-dryer'), decision('compressor-grounded'))).toEqual([
      'proven',
      'not-proven',
    ])
  })
  test('the gate as it was judged then stays, whatever is read later', () => {
    const met = judgeGate('liquid-dryer', recordOf(UNIT, job(drop).readingSets))
    const kept = keptGate(met, 'orzo 0.1.0')
    expect(kept).toMatchObject({ met: true, build: 'orzo 0.1.0', onRecord: [{ id: 'dryer-drop' }] })
    expect(standing({}, decision('plugged-liquid-dryer', { gate: kept }))).toEqual(['proven'])
    const open = keptGate(judgeGate('liquid-dryer', recordOf(UNIT, job({}).readingSets)), 'orzo 0.1.0')
    expect(standing(drop, decision('plugged-liquid-dryer', { gate: open }))).toEqual(['not-proven'])
  })
  test('sets put their record together; a later reading replaces an earlier one, another mode does not', () => {
    const merged = mergedSet(
      [
        { mode: 'cooling', readings: { dryerInTemp: f(90), liquidLineTemp: f(95) } },
        { mode: 'heating', readings: { liquidLineTemp: f(60) } },
        {
          mode: 'cooling',
          readings: { dryerOutTemp: f(70), liquidLineTemp: f(96) },
          observations: { oilStain: 'joint' },
        },
      ],
      'cooling',
    )
    expect(merged.readings).toEqual({ dryerInTemp: f(90), dryerOutTemp: f(70), liquidLineTemp: f(96) })
    expect(merged.observations).toEqual({ oilStain: 'joint' })
  })
  test('ohms taken with the unit off stand beside what was read running; running values of another mode do not', () => {
    const ohms = { ohmsCR: { value: 1, unit: 'ohm' as const } }
    const sets = [
      { mode: 'off' as const, readings: { ...ohms, dischargeLineTemp: f(80) } },
      { mode: 'cooling' as const, readings: drop, observations: { leadState: 'sound' as const } },
      { mode: 'off' as const, readings: {}, observations: { groundMeasuredAt: 'terminals' as const } },
    ]
    expect(modeOfProof(sets)).toBe('cooling')
    expect(modeOfProof(sets, { mode: 'heating', readings: {} })).toBe('heating')
    expect(modeOfProof([sets[0]!])).toBe('off')
    const merged = mergedSet(sets, 'cooling')
    expect(merged.readings).toEqual({ ...ohms, ...drop })
    expect(merged.observations).toEqual({ leadState: 'sound', groundMeasuredAt: 'terminals' })
    expect(mergedSet(sets, 'heating').readings).toEqual(ohms)
  })
  const at = (id: string, iso: string, readings: Readings) => ({
    id,
    mode: 'cooling' as const,
    at: iso,
    readings,
  })
  test('what was read after the decision proves nothing backwards', () => {
    const later: KnownJob = {
      ...job({}),
      readingSets: [at('a', '2026-05-04T09:00:00Z', {}), at('b', '2026-05-06T09:00:00Z', drop)],
      decisions: [decision('plugged-liquid-dryer', { at: '2026-05-04T12:00:00Z' })],
    }
    expect(setsBefore(later.readingSets, '2026-05-04T12:00:00Z')).toHaveLength(1)
    expect(decisionStatesOf(later)[0]?.state).toBe('not-proven')
  })
  test('moments are compared as moments, not as text: 11:00-04:00 is 15:00Z', () => {
    const sets = [at('a', '2026-05-04T09:00:00Z', {}), at('b', '2026-05-04T11:00:00-04:00', drop)]
    expect(setsBefore(sets, '2026-05-04T14:00:00Z').map(({ id }) => id)).toEqual(['a'])
    expect(setsBefore(sets, '2026-05-04T15:00:00Z').map(({ id }) => id)).toEqual(['a', 'b'])
    expect(setsBefore(sets, '2026-05-04T10:30:00-05:00').map(({ id }) => id)).toEqual(['a', 'b'])
  })
})

describe('tests for acid speak for acid that was left from an earlier burnout', () => {
  const test_ = (kind: 'strip' | 'oil-kit', result: 'negative' | 'weak' | 'strong', minute: number) => ({
    id: `${kind}-${minute}`,
    at: `2026-11-27T08:${String(minute).padStart(2, '0')}:00.000Z`,
    kind,
    result,
  })
  const said = (tests: readonly ReturnType<typeof test_>[], at?: string) =>
    causesOf(job({}, {}, { repair: { acidTests: [...tests] } }), at).find(
      ({ id }) => id === 'acid-from-earlier-burnout',
    )!.found
  test('the graver word of gas and oil, of each the latest', () => {
    expect(said([test_('strip', 'negative', 1), test_('oil-kit', 'strong', 2)])).toEqual([
      'Acid test strong.',
    ])
    expect(said([test_('strip', 'weak', 1), test_('oil-kit', 'negative', 2)])).toEqual(['Acid test weak.'])
    expect(said([test_('oil-kit', 'strong', 1), test_('oil-kit', 'weak', 2)])).toEqual(['Acid test weak.'])
    expect(said([test_('strip', 'negative', 1)])).toEqual([])
  })
  test.each([
    ['2026-11-27T08:04:59.000Z', 0],
    ['2026-11-27T08:05:00.000Z', 1],
    ['2026-11-27T08:05:01.000Z', 1],
  ])('what was read after the decision at %s says nothing of the death', (at, count) => {
    expect(said([test_('oil-kit', 'strong', 5)], at)).toHaveLength(count)
  })
})
