import { assumed, known } from '../../base/known/known'
import { toKelvin, toSI } from '../../base/units/convert'
import { emptyJob, type KnownJob } from '../../record/job/job'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Closing } from '../../record/records/closing'
import type { Repair } from '../../record/records/repair'
import type { Observations, Readings } from '../../record/readings/schema'
import type { Policy } from '../../record/policy/policy'
import type { SuspectId } from '../../diagnosis/faults/faults'
import { planOf } from '../plan/basis'
import { trimOf } from './charge'
import { cylinderFill, fillLimit, fullTemperature } from './cylinderFill'
import { changesForShare, oilFor } from './conversionOil'
import { strokesFor } from './oilBalance'
import { recoveryDepth } from './recoveryDepth'
import { weightOut } from './recovery'

const UNIT: UnitPlate = {
  kind: 'split-ac',
  refrigerant: 'R-410A',
  metering: 'txv',
  nominalTons: 3,
  factoryCharge: { value: 7, unit: 'lb' },
  oilCharge: { value: 40, unit: 'floz' },
  oldDryer: { cubicInches: 8 },
  lineSet: {
    liquid: { value: 0.375, unit: 'in' },
    vapour: { value: 0.75, unit: 'in' },
    length: { value: 15, unit: 'ft' },
    included: { value: 15, unit: 'ft' },
  },
}
const CLEAN: Observations = { acidTest: 'negative', acidTestKind: 'oil-kit', oilAppearance: 'clear' }
type Part = {
  unit?: Partial<UnitPlate>
  observations?: Observations
  readings?: Readings
  repair?: Repair
  closing?: Closing
  policy?: Partial<Policy>
}
const job = ({
  unit,
  observations = CLEAN,
  readings = {},
  repair,
  closing,
  policy,
}: Part = {}): KnownJob => ({
  ...emptyJob({ ...UNIT, ...unit }),
  readingSets: [{ id: 'a', mode: 'off', readings, observations }],
  ...(repair ? { repair } : {}),
  ...(closing ? { closing } : {}),
  ...(policy ? { policy } : {}),
})
const plan = (part: Part = {}, fault: SuspectId = 'txv-underfeeding') => planOf(job(part), [fault])
const OUNCE = toSI({ value: 1, unit: 'oz' })
const LB = toSI({ value: 1, unit: 'lb' })
const FLOZ = toSI({ value: 1, unit: 'floz' })
const lines = (part: Part) =>
  Object.fromEntries(plan(part).charge!.lines.map(({ id, kg = 0 }) => [id, kg / OUNCE]))

describe('charge: plate + both lines + dryer difference + flooding', () => {
  const set = (liquid: number, vapour: number, length: number, included = 15) => ({
    unit: {
      lineSet: {
        liquid: { value: liquid, unit: 'in' },
        vapour: { value: vapour, unit: 'in' },
        length: { value: length, unit: 'ft' },
        included: { value: included, unit: 'ft' },
      },
    } as Partial<UnitPlate>,
  })
  // handbook 09 [physics]: liquid at 100 F and the vapour line's little, oz/ft
  test.each([
    [0.375, 0.75, 0.6],
    [0.25, 0.75, 0.195 + 0.08],
    [0.5, 0.75, 1.02 + 0.08],
  ])('%f in liquid, %f in vapour line: %f oz a foot', (liquid, vapour, ounces) =>
    expect(lines(set(liquid, vapour, 25)).lines! / 10).toBeCloseTo(ounces, 1),
  )
  test('0.52 oz/ft of liquid in 3/8 in by two decimals', () =>
    expect(lines(set(0.375, 0.75, 115)).lines! / 100 - 0.0834).toBeCloseTo(0.52, 2))
  test('longer lines always take more, shorter ones give back', () => {
    const totals = [5, 15, 25, 40, 80, 150].map((feet) => plan(set(0.375, 0.75, feet)).charge!.total!.value)
    totals.slice(1).forEach((total, i) => expect(total).toBeGreaterThan(totals[i]!))
    expect(lines(set(0.375, 0.75, 5)).lines).toBeLessThan(0)
    expect(plan(set(0.375, 0.75, 15)).charge!.total!.value).toBeCloseTo(7 * LB, 9)
  })
  test('millimetres and metres say the same as inches and feet', () => {
    const metric = plan({
      unit: {
        lineSet: {
          liquid: { value: 9.525, unit: 'mm' },
          vapour: { value: 19.05, unit: 'mm' },
          length: { value: 12.192, unit: 'm' },
          included: { value: 4.572, unit: 'm' },
        },
      },
    })
    expect(metric.charge!.total!.value).toBeCloseTo(plan(set(0.375, 0.75, 40)).charge!.total!.value, 9)
  })
  test('a line whose size is not written is asked for', () => {
    const { charge } = plan({ unit: { lineSet: { length: { value: 50, unit: 'ft' } } } })
    expect(charge!.missing.join()).toMatch(/size of the liquid line/)
    expect(charge!.total!.value).toBeCloseTo(7 * LB, 9)
    expect(charge!.total).toMatchObject({
      source: 'assumed',
      asks: ['lineLiquid', 'lineVapour', 'lineIncluded'],
    })
  })
  test('a larger dryer counts by its difference, a gas-filled suction dryer by little', () => {
    const wet = lines({ observations: { ...CLEAN, moistureIndicator: 'wet' } })
    expect(wet.dryer! * OUNCE * 1000).toBeCloseTo(22 * 16.387 * 0.5 * 0.9892, 0)
    const acid = lines({ observations: { acidTest: 'weak' } })
    expect(acid.suctionDryer).toBeGreaterThan(0)
    expect(acid.suctionDryer).toBeLessThan(1)
  })
  test('flooding is an allowance beside the total, more the colder', () => {
    const at = (coldest: number) =>
      plan({
        unit: {
          kind: 'walk-in-cooler',
          refrigerant: 'R-404A',
          receiver: true,
          headPressureControl: true,
          headControl: 'flooding',
          control: { coldestOutdoor: { value: coldest, unit: 'F' } },
        },
      }).charge!
    const flooding = (coldest: number) => at(coldest).lines.find(({ id }) => id === 'flooding')!
    expect(flooding(0)).toMatchObject({ isAllowance: true })
    expect(flooding(-20).kg).toBeGreaterThan(flooding(40).kg!)
    expect(at(0).total!.value).toBeCloseTo(
      at(0)
        .lines.filter(({ id }) => id !== 'flooding')
        .reduce((sum, { kg = 0 }) => sum + kg, 0),
      12,
    )
  })
  test.each([
    ['capillary', {}, /tenth of an ounce/],
    ['fixed-orifice', {}, /superheat target/],
    ['txv', {}, /subcooling/],
    ['txv', { receiver: true }, /clear glass at 90 to 95 F/],
  ] as const)('%s %o finishes by its own sign', (metering, part, sentence) =>
    expect(plan({ unit: { metering, ...part } }).charge!.finish.join(' ')).toMatch(sentence),
  )
  test('policy decides the last word and where it enters', () => {
    const by = (policy: Partial<Policy>) => plan({ policy }).charge!.finish.join(' ')
    expect(by({})).toMatch(/By weight; subcooling/)
    expect(by({ lastWord: 'readings' })).toMatch(/By subcooling/)
    expect(by({ chargeEntry: 'discharge' })).toMatch(/discharge side/)
  })
  test.each([
    [0.05, 'as-calculated'],
    [0.051, 'trimmed'],
    [0.249, 'trimmed'],
    [0.25, 'questioned'],
    [-0.3, 'questioned'],
  ] as const)('a trim of %f of the plate is %s', (share, verdict) => {
    expect(trimOf(4 + share * 4, 4, 4).verdict).toBe(verdict)
  })
  test('what was charged is held against it', () => {
    const { trim } = plan({ closing: { charged: { value: 9, unit: 'lb' } } }).charge!
    expect(trim).toMatchObject({ verdict: 'questioned' })
    expect(trim!.sentence).toMatch(/What else is wrong/)
  })
  test('an old dryer that nobody wrote down holds up the verdict, also where the guess makes no difference', () => {
    const { oldDryer: _old, ...unit } = UNIT
    const said = planOf({ ...job({ closing: { charged: { value: 9, unit: 'lb' } } }), unit }, [
      'txv-underfeeding',
    ]).charge!
    expect(said.lines.find(({ id }) => id === 'dryer')!.kg).toBeUndefined()
    expect(said.trim).toBeUndefined()
    expect(said.unjudged).toBe('What went in is not judged: enter the cubic inches of the old dryer.')
  })
  test('a cold cylinder is warmed, a warm one is not', () => {
    const at = (value: number) => plan({ repair: { cylinderAir: { value, unit: 'F' } } }).charge!.cylinder
    expect(at(75)).toBeUndefined()
    expect(at(20)).toMatch(/warm its base to .* never a flame/)
  })
})

describe('cylinder, by liquid density at 77 F', () => {
  // reference library: R-410A 1,058.9 and R-22 1,190.7 kg/m3 at 77 F; water at 60 F 999.0: 0.8 x 47.7 x 1.0589 / 0.999
  test.each([
    ['R-410A', 40.45],
    ['R-22', 45.48],
  ] as const)('47.7 lb of water take %s: %f lb', (name, pounds) =>
    expect(fillLimit(name, 47.7 * LB) / LB).toBeCloseTo(pounds, 1),
  )
  test('R-410A filled to 80 % is liquid-full near 134 F, handbook 07', () => {
    const water = 20
    expect((fullTemperature('R-410A', water, fillLimit('R-410A', water))! * 9) / 5 - 459.67).toBeCloseTo(
      134.5,
      0,
    )
  })
  test('a hot van lowers the limit, a mild one does not', () => {
    const hot = toKelvin({ value: 150, unit: 'F' })
    expect(fillLimit('R-410A', 20, hot)).toBeLessThan(fillLimit('R-410A', 20))
    expect(fillLimit('R-410A', 20, toKelvin({ value: 100, unit: 'F' }))).toBe(fillLimit('R-410A', 20))
    expect(cylinderFill('R-410A', 3, { hottest: { value: 150, unit: 'F' } }).isLimitedByHeat).toBe(true)
  })
  test('a place hotter than the table of the refrigerant never brings the usual limit back', () => {
    const at = (value: number) => fillLimit('R-410A', 20, toKelvin({ value, unit: 'F' }))
    expect(at(150)).toBeGreaterThan(at(155))
    for (const hot of [200, 400, 1000]) expect(at(hot)).toBeLessThanOrEqual(at(155))
  })
  test('what is in it counts; several cylinders; warned at 70 %, stopped over the limit', () => {
    const part = {
      capacity: { value: 47.7, unit: 'lb' },
      tare: { value: 27, unit: 'lb' },
    } as const
    const at = (gross: number, charge: number) =>
      cylinderFill('R-22', charge * LB, { ...part, gross: { value: gross, unit: 'lb' } })
    expect(at(37, 20)).toMatchObject({ count: 1, state: 'room' })
    expect(at(37, 20).room / LB).toBeCloseTo(45.48 - 10, 1)
    expect(at(37, 36)).toMatchObject({ count: 2 })
    expect(at(37, 90).count).toBe(3)
    expect(at(27 + 45.48 * 0.71, 5).state).toBe('nearly-full')
    expect(at(27 + 46, 5).state).toBe('over')
    expect(at(37, 20).grossLimit! / LB).toBeCloseTo(72.48, 1)
  })
})

describe('depth before opening [std: 40 CFR 82.156 Table 1, from memory]', () => {
  const SEA = 101_325
  const weight = (kg: number) => known(kg, 'plate', 'plate charge')
  test.each([
    ['R-134a', 3, 'medium', '10.0 inHg'],
    ['R-134a', 100, 'medium', '15.0 inHg'],
    ['R-22', 3, 'high', '0 psig'],
    ['R-404A', 3, 'high', '0 psig'],
    ['R-410A', 100, 'high', '10.0 inHg'],
    ['R-32', 100, 'very-high', '0 psig'],
  ] as const)('%s, %d kg: %s, %s', (name, charge, pressureClass, shown) => {
    const depth = recoveryDepth(name, weight(charge), SEA, false)
    expect(depth.pressureClass).toBe(pressureClass)
    expect(depth.shown.startsWith(shown)).toBe(true)
  })
  test('at 1,750 m ten inches are 4.3 on a local gauge, handbook 07', () =>
    expect(recoveryDepth('R-134a', weight(3), 81_994, false).shown).toMatch(/^4\.3 inHg/))
  test('a small appliance may go by its share', () => {
    expect(recoveryDepth('R-134a', weight(0.3), SEA, true).appliance).toMatch(/90 %/)
    expect(recoveryDepth('R-134a', weight(3), SEA, true).appliance).toBeUndefined()
  })
  test.each([
    [4.99, true],
    [5, true],
    [5.01, false],
  ])('%f lb is a small appliance: %s', (pounds, isSmall) =>
    expect(recoveryDepth('R-134a', weight(pounds * LB), SEA, true).appliance !== undefined).toBe(isSmall),
  )
  test.each([
    [199.9, '10.0'],
    [200, '15.0'],
    [200.1, '15.0'],
  ])('%f lb of R-134a: %s inHg', (pounds, shown) =>
    expect(recoveryDepth('R-134a', weight(pounds * LB), SEA, false).shown).toMatch(shown),
  )
  test.each([
    [0.5, 'computed'], // 2 kg at most: under five pounds
    [1, 'assumed'], // 4 kg at most: over them
    [15, 'computed'], // 3.75 to 60 kg: over five and under 200 lb
    [30, 'assumed'], // 120 kg at most
    [400, 'computed'],
  ] as const)('a guess of %f kg at the charge: the depth is %s', (kg, source) =>
    expect(recoveryDepth('R-134a', assumed(kg, 'by tons', 'factoryCharge'), SEA, false).basis.source).toBe(
      source,
    ),
  )
})

describe('recovery', () => {
  test.each([
    [0.89, 'short', /leak to find/],
    [0.91, 'as-plate', /did not leak/],
    [1.09, 'as-plate', /did not leak/],
    [1.11, 'over', /overcharged/],
  ] as const)('%f of the charge came out: %s', (share, verdict, sentence) => {
    const whole = known(4, 'plate', 'plate and lines')
    expect(weightOut(share * 4, whole)).toMatchObject({ verdict })
    expect(weightOut(share * 4, whole)!.sentence).toMatch(sentence)
  })
  test('a third missing is told from the weight that was written', () => {
    const { weight } = plan({ closing: { recovered: { value: 4.7, unit: 'lb' } } }).recovery
    expect(weight).toMatchObject({ verdict: 'short' })
    expect(weight!.sentence).toMatch(/^33 %/)
  })
  test('frost, a burnout, an empty circuit', () => {
    expect(plan({ observations: { frostLeft: 'frosted' } }).recovery.sentences.join()).toMatch(
      /never a flame/,
    )
    expect(plan({ observations: { acidTest: 'strong' } }).recovery).toMatchObject({ isDedicated: true })
    const empty = plan(
      {
        readings: { standingPressure: { value: 0, unit: 'psig' }, outdoorAirTemp: { value: 75, unit: 'F' } },
      },
      'charge-lost',
    )
    expect(empty.recovery.sentences.join()).toMatch(/prove it/)
    expect(empty.refrigerantPath.recovered).toBe('nothing')
    expect(empty.contamination.exposure!.sentence).toMatch(/fallen to nothing/)
  })
})

describe('three ways to get at the part (handbook 07)', () => {
  const BOX: Partial<UnitPlate> = { kind: 'walk-in-cooler', refrigerant: 'R-448A', receiver: true }
  const way = (part: Part, fault?: SuspectId) => plan(part, fault).access
  const against = (part: Part, which: 'pump-down' | 'isolate', fault?: SuspectId) =>
    way(part, fault)
      .ways.find((each) => each.way === which)!
      .against.join()
  test('all is recovered unless asked otherwise; a valve behind a receiver may be pumped down', () => {
    expect(way({ unit: BOX }).chosen).toBe('recover-all')
    expect(way({ unit: BOX, repair: { way: 'pump-down' } }).chosen).toBe('pump-down')
    expect(way({ unit: BOX, repair: { valvesTight: true }, policy: { access: 'isolate' } }).chosen).toBe(
      'pump-down',
    )
  })
  test.each([
    [{ unit: { kind: 'package-ac' } }, 'txv-underfeeding', 'pump-down', /no liquid valve/],
    [{ unit: BOX }, 'compressor-not-pumping', 'pump-down', /compressor does not do it/],
    [{ unit: BOX }, 'condenser-fouled', 'pump-down', /behind the liquid valve/],
    [
      { unit: BOX, observations: { lowSide: 'leak-suspected' } },
      'txv-underfeeding',
      'pump-down',
      /low side leaks/,
    ],
    [{ unit: { ...BOX, refrigerant: 'R-290' } }, 'txv-underfeeding', 'pump-down', /flammable/],
    [{ unit: BOX, repair: { valvesTight: false } }, 'txv-underfeeding', 'pump-down', /leak through/],
    [{ unit: BOX, observations: { acidTest: 'weak' } }, 'txv-underfeeding', 'pump-down', /acid/],
    [{ unit: BOX }, 'txv-underfeeding', 'isolate', /only for the compressor/],
    [{ observations: { acidTest: 'weak' } }, 'compressor-not-pumping', 'isolate', /acid/],
    [{ unit: { compressor: { type: 'scroll' } } }, 'compressor-not-pumping', 'isolate', /hermetic/],
  ] as const)('%o with %s: not %s', (part, fault, which, sentence) => {
    expect(against(part as Part, which, fault)).toMatch(sentence)
    const asked = way({ ...(part as Part), repair: { ...(part as Part).repair, way: which } }, fault)
    expect(asked).toMatchObject({ chosen: 'recover-all', refused: which })
  })
})

describe('oil', () => {
  const oil = (part: Part, fault?: SuspectId) => plan(part, fault).oil
  test('read as a volume or weighed, against the plate; what left with parts goes in again too', () => {
    const read = oil({ repair: { oilOut: { value: 24, unit: 'floz' }, oilLost: { value: 2, unit: 'floz' } } })
    expect([read.out! / FLOZ, read.refill.value / FLOZ, read.left.value / FLOZ]).toEqual([
      expect.closeTo(24, 9),
      expect.closeTo(26, 9),
      expect.closeTo(14, 9),
    ])
    const weighed = oil({ repair: { oilOutWeighed: { value: 28, unit: 'oz' } } })
    expect(weighed.out! / FLOZ).toBeCloseTo(27.4, 1)
    expect(oil({}).isMeasured).toBe(false)
    expect(oil({}).refill.value).toBe(0) // a valve is changed with the oil where it is
    expect(oil({}, 'compressor-not-pumping').refill.value).toBe(0) // a new compressor ships full
  })
  test('more than the plate is questioned', () => {
    const most = 40 * 1.15
    expect(oil({ repair: { oilOut: { value: most - 0.1, unit: 'floz' } } }).reasons.join()).not.toMatch(
      /overfilled/,
    )
    expect(oil({ repair: { oilOut: { value: most + 0.1, unit: 'floz' } } }).reasons.join()).toMatch(
      /overfilled/,
    )
  })
  test('share of new oil and strokes: added / (added + left)', () => {
    const { newShare, strokes } = oil({
      repair: { oilOut: { value: 30, unit: 'floz' }, oilStroke: { value: 0.7, unit: 'floz' } },
    })
    expect(newShare).toBeCloseTo(0.75, 9)
    expect(strokes).toBe(43) // 30 / 0.7 = 42.9
    expect(strokesFor(0.001, 0)).toBeUndefined()
    expect(strokesFor(0.001, 0.0001)).toBe(10)
  })
  test.each([
    [0.95, 0.25, 3],
    [0.9375, 0.25, 2],
    [0.75, 0.25, 1],
    [0, 0.25, 0],
    [0.99, 0.9, 6],
  ])('%f of new oil where each change leaves %f: %i', (share, left, changes) =>
    expect(changesForShare(share, left)).toBe(changes),
  )
  test.each([
    ['R-407C', 'mineral', 'POE'],
    ['R-438A', 'mineral', 'mineral'],
    ['R-22', 'mineral', 'mineral'],
    ['R-410A', 'PVE', 'PVE'],
    ['R-427A', 'mineral', 'POE'],
  ] as const)('%s with %s: %s', (refrigerant, old, goesIn) => expect(oilFor(refrigerant, old)).toBe(goesIn))
  test('an open can of POE does not go in; a fresh compressor brings its own oil', () => {
    expect(oil({ repair: { oilCanOpen: 5 } }).reasons.join()).toMatch(/does not go in/)
    expect(oil({ repair: { oilCanOpen: 1 } }).reasons.join()).not.toMatch(/does not go in/)
    expect(oil({}, 'compressor-not-pumping').reasons.join()).toMatch(/ships full/)
  })
  test('cans of a quart for every change', () => {
    const wet = oil({
      observations: { ...CLEAN, moistureIndicator: 'wet' },
      repair: { oilOut: { value: 33, unit: 'floz' } },
    })
    expect(wet.changes).toBe(1)
    expect(wet.cans).toBe(2) // 33 fl oz are more than a quart
  })
})
