import { differenceToKelvin, toKelvin } from '../../base/units/convert'
import { band } from '../../diagnosis/targets/target'
import { emptyJob } from '../../record/job/job'
import type { Edit } from '../../record/edits/edit'
import { beginStep, powerHeater } from '../../record/edits/workEdits'
import type { UnitPlate } from '../../record/equipment/unit'
import { beginTask } from './beginning'
import { type RunningNow, finishBy } from './finishBy'
import { isThrough } from './firstStart'
import { heaterHours, isWarmed } from './heater'
import { otherMode, otherModeLacks } from './otherMode'
import { workTimes } from './workTimes'

const START = Date.parse('2026-11-27T08:00:00Z')
const at = (minutes: number) => new Date(START + minutes * 60_000).toISOString()
const UNIT: UnitPlate = { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }

describe('hours of the crankcase heater (handbook 09)', () => {
  test.each([
    [719, false],
    [720, true],
    [721, true],
  ])('%s minutes of power: warmed %s', (minutes, warmed) => {
    expect(isWarmed([{ from: at(0), to: at(minutes) }])).toBe(warmed)
    expect(isWarmed([{ from: at(0) }], START + minutes * 60_000)).toBe(warmed)
  })
  test('only with power on: stretches add up, an open one without a clock counts for nothing', () => {
    const spans = [{ from: at(0), to: at(60) }, { from: at(600) }]
    expect(heaterHours(spans)).toBeCloseTo(1, 9)
    expect(heaterHours(spans, START + 660 * 60_000)).toBeCloseTo(2, 9)
  })
  test('locking the power out ends a stretch; switching on twice is one', () => {
    let job = emptyJob(UNIT)
    const made = (minute: number, edit: Edit) => {
      job = edit(job, { now: at(minute), newId: () => 'id' }) as typeof job
    }
    made(0, powerHeater(true))
    made(5, powerHeater(true))
    made(60, beginTask({ id: 'lockOut', handsOn: [1, 2, 3] }, undefined))
    expect(job.run?.heater).toEqual([{ from: at(0), to: at(60) }])
    made(90, powerHeater(true))
    made(100, beginStep('sweep', 3))
    made(120, powerHeater(false))
    expect(job.run?.heater).toEqual([
      { from: at(0), to: at(60) },
      { from: at(90), to: at(120) },
    ])
  })
})

describe('the point of the list that the heater tells', () => {
  const line = { id: 'warm', label: 'Crankcase heater on', part: undefined }
  const other = { id: 'gauges', label: 'Gauges on', part: undefined }
  const hours = (count: number) => ({ heater: [{ from: at(0), to: at(count * 60) }] })
  const through = (which: typeof line, run: Parameters<typeof isThrough>[1]['run']) =>
    isThrough(which, { run, state: { off: {} } })
  test('it is through by the hours or by a hand on the shell, and no other point is', () => {
    expect(through(line, undefined)).toBe(false)
    expect(through(line, hours(11.9))).toBe(false)
    expect(through(line, hours(12))).toBe(true)
    expect(through(line, { startList: { warm: at(5) } })).toBe(true)
    expect(through(other, hours(30))).toBe(false)
    expect(through(other, { startList: { gauges: at(5) } })).toBe(true)
  })
  test('one that is about a part follows that part alone', () => {
    const cores = { id: 'cores', label: 'Valve cores back in', part: 'valve-cores' as const }
    const state = (now: 'off' | 'back') => ({ off: { 'valve-cores': { state: now, at: 0 } } })
    const run = { startList: { cores: at(5) } }
    expect(isThrough(cores, { run, state: state('off') })).toBe(false)
    expect(isThrough(cores, { run: undefined, state: state('back') })).toBe(true)
  })
})

describe('both modes of a heat pump (handbook 09)', () => {
  const set = (mode: 'cooling' | 'heating' | 'off', minute: number) => ({
    id: `${mode}-${minute}`,
    at: at(minute),
    label: mode,
    mode,
    readings: { suctionPressure: { value: 120, unit: 'psig' as const } },
  })
  const job = (kind: UnitPlate['kind'], sets: ReturnType<typeof set>[], bookedFor?: string) => ({
    unit: { ...UNIT, kind },
    readingSets: sets,
    repair: { startedAt: at(60) },
    run: bookedFor ? { otherModeOn: bookedFor } : {},
  })
  test('what no set after the start shows is left', () => {
    expect(otherMode(job('split-heat-pump', [set('heating', 30), set('cooling', 60)]))?.left).toEqual([
      'heating',
    ])
    expect(otherMode(job('split-heat-pump', [set('cooling', 59)]))?.left).toEqual(['cooling', 'heating'])
    expect(otherMode(job('split-heat-pump', [set('cooling', 70), set('heating', 90)]))?.left).toEqual([])
  })
  test('measured or booked: nothing lacks; no unit that runs one way is asked', () => {
    expect(otherModeLacks(job('split-heat-pump', [set('cooling', 70)]))).toEqual([
      'a set in heating, or the day for which it is booked',
    ])
    expect(otherModeLacks(job('split-heat-pump', [set('cooling', 70)], '2027-01-12'))).toEqual([])
    expect(otherModeLacks(job('split-heat-pump', [set('cooling', 70), set('heating', 90)]))).toEqual([])
    for (const kind of ['split-ac', 'walk-in-freezer', 'pool-heat-pump'] as const)
      expect(otherMode(job(kind, []))).toBeUndefined()
    expect(otherMode({ ...job('split-heat-pump', [set('cooling', 70)]), repair: {} })?.left).toEqual([
      'cooling',
      'heating',
    ])
  })
})

describe('what finishes a charge that nobody knows (handbook 09)', () => {
  const F = (degrees: number) => differenceToKelvin(degrees, 'F')
  const targets: RunningNow['targets'] = {
    subcooling: band(10, 3, 'nameplate', 'plate'),
    superheat: band(12, 5, 'practice', 'table'),
  }
  const said = (unit: Partial<UnitPlate>, now: Partial<RunningNow>) =>
    finishBy({ ...UNIT, ...unit }, { targets, ...now })
  test.each([
    [6.9, false, 'add'],
    [7.1, true, 'enough'],
    [12.9, true, 'enough'],
    [13.1, false, 'take out'],
  ])('a valve by subcooling: %s F of 10', (degrees, isThere, word) => {
    const told = said({}, { subcooling: F(degrees) })
    expect(told).toMatchObject({ by: 'subcooling', isThere })
    expect(told.sentence).toContain(word)
  })
  test.each([
    [6.9, false, 'take out'],
    [17.1, false, 'add'],
    [12, true, 'enough'],
  ])('an orifice by its superheat, which falls as charge goes in: %s F of 12', (degrees, isThere, word) => {
    const told = said({ metering: 'fixed-orifice' }, { superheat: F(degrees) })
    expect(told).toMatchObject({ by: 'superheat', isThere })
    expect(told.sentence).toContain(word)
  })
  test.each([
    [89.9, 'clear', undefined],
    [90, 'clear', true],
    [100, 'bubbles', false],
    [100, undefined, undefined],
  ])('a receiver by its glass: at %s F of condensing, %s', (degrees, glass, isThere) => {
    const condensing = toKelvin({ value: degrees, unit: 'F' })
    expect(said({ receiver: true }, { condensing, glass })).toMatchObject({ by: 'glass', isThere })
  })
  test('a capillary by weight alone: the plate is looked for; nothing is judged before it is read', () => {
    expect(said({ metering: 'capillary' }, { subcooling: F(10) })).toMatchObject({
      by: 'weight',
      isThere: undefined,
    })
    expect(said({}, {})).toMatchObject({ by: 'subcooling', isThere: undefined })
  })
})

test('worked from the first hand to the last moment; what is open counts up to now', () => {
  expect(workTimes([], START)).toBeUndefined()
  expect(
    workTimes(
      [{ spans: [{ from: at(10), to: at(30) }], doneAt: at(45) }, { spans: [{ from: at(50) }] }],
      START + 60 * 60_000,
    ),
  ).toEqual({ from: START + 10 * 60_000, to: START + 60 * 60_000, hands: 30 })
})
