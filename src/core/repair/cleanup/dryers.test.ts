import { runs, seedOf } from '../../../../tools/run/propertyRuns'
import fc from 'fast-check'
import { REFRIGERANT_NAMES } from '../../physics/refrigerants/catalogue'
import { METERINGS, UNIT_KINDS, type UnitPlate } from '../../record/equipment/unit'
import { hasReversingValve } from '../../record/equipment/kinds'
import { DEFAULT_POLICY, type Policy } from '../../record/policy/policy'
import type { Observations } from '../../record/readings/schema'
import { type Dryer, dryerSchema } from '../../record/records/dryer'
import { SAMPLE_DRYER } from '../../record/records/sampleDryer'
import { planCleanup } from './cleanup'
import { blockLadder, DRYER_CATALOGUE } from './dryerCatalogue'
import { pressureDropVerdict, temperatureDropVerdict } from './dryerDrop'
import { type DryerModel, modelOf } from './dryerModel'
import { blockHolds, type DryerNeed, tonsOn, usableWater } from './dryerNeed'
import { coreChanges, placingOf } from './dryerPlacing'
import { chooseDryers } from './dryers'
import type { CleanupRecord } from './record'
import { SAMPLE_UNIT, sampleRecord } from './sampleRecord'

const plate = (part: Partial<UnitPlate> = {}): UnitPlate => ({ ...SAMPLE_UNIT, ...part })
const record = (observations: Observations, unit: UnitPlate, part: Partial<CleanupRecord> = {}) =>
  sampleRecord(observations, { unit, ...part })
const CLEAN: Observations = { acidTest: 'negative', acidTestKind: 'oil-kit' }
const plan = (
  observations: Observations,
  part: Partial<UnitPlate> = {},
  own: readonly DryerModel[] = [],
  policy: Policy = DEFAULT_POLICY,
) => {
  const unit = plate(part)
  return planCleanup({ record: record(observations, unit), policy, refrigerant: unit.refrigerant, own })
}
const liquid = (...args: Parameters<typeof plan>) =>
  plan(...args).dryers.find(({ place }) => place === 'liquid')!
const suction = (...args: Parameters<typeof plan>) =>
  plan(...args).dryers.find(({ place }) => place === 'suction')
const block = (...args: Parameters<typeof plan>) => liquid(...args).chosen!.dryer.block

describe('choice, handbook 06', () => {
  test('clean: the smallest sieve core that carries the tons; others are offered', () => {
    const choice = liquid(CLEAN)
    expect(choice.chosen!.dryer).toMatchObject({ block: 8, core: 'sieve', flow: 'one-way' })
    expect(choice.others.length).toBeGreaterThan(0)
    expect(suction(CLEAN)).toBeUndefined()
  })
  test('burnout: two sizes up, acid-rich, and a suction dryer', () => {
    expect(liquid({ acidTest: 'strong' }).chosen!.dryer).toMatchObject({ block: 30, core: 'high-acid' })
    expect(suction({ acidTest: 'strong' })!.chosen!.dryer.core).toBe('high-acid')
  })
  test('mild acid one size up with a blend; wet two with sieve', () => {
    expect(liquid({ acidTest: 'weak' }).chosen!.dryer).toMatchObject({ block: 16, core: 'blend' })
    expect(liquid({ ...CLEAN, moistureIndicator: 'wet' }).chosen!.dryer).toMatchObject({
      block: 30,
      core: 'sieve',
    })
  })
  test('never smaller than what was there', () => {
    expect(block(CLEAN, { oldDryer: { cubicInches: 30 } })).toBe(30)
    expect(block(CLEAN, { oldDryer: { cubicInches: 3 } })).toBe(8)
    const small = liquid(CLEAN, { oldDryer: { cubicInches: 16 } }).refused.find(
      ({ dryer }) => dryer.block === 8,
    )!
    expect(small.judged.find(({ rule }) => rule === 'old')).toMatchObject({
      holds: false,
      sentence: 'block 8 in³, the old one had 16',
    })
  })
  test('what does not fit into its room is refused with both lengths', () => {
    const choice = liquid(
      { ...CLEAN, moistureIndicator: 'wet' },
      { oldDryer: { room: { value: 8, unit: 'in' } } },
    )
    expect(choice.chosen!.dryer.block).toBe(8)
    const long = choice.refused.find(({ dryer }) => dryer.block === 30)!
    expect(long.judged.find(({ rule }) => rule === 'room')!.sentence).toBe('11.2 in long, room for 8.0')
  })
  test('a reducer where the line has another size, none where it fits', () => {
    expect(
      liquid(CLEAN, { lineSet: { liquid: { value: 0.375, unit: 'in' } } }).chosen!.reducer,
    ).toBeUndefined()
    expect(
      liquid(CLEAN, { lineSet: { liquid: { value: 9.525, unit: 'mm' } } }).chosen!.reducer,
    ).toBeUndefined()
    expect(liquid(CLEAN, { lineSet: { liquid: { value: 0.5, unit: 'in' } } }).chosen!.reducer).toEqual({
      from: 0.5,
      to: 0.375,
    })
  })
  test.each([
    ['split-heat-pump', 'txv', {}, 'bi-flow'],
    ['split-heat-pump', 'fixed-orifice', {}, 'bi-flow'],
    ['water-source-heat-pump', 'capillary', {}, 'bi-flow'],
    ['split-heat-pump', 'txv', { checkValves: true }, 'one-way'],
    ['split-ac', 'capillary', {}, 'one-way'],
  ] as const)('%s with %s %o gets %s', (kind, metering, oldDryer, flow) => {
    const choice = liquid({ acidTest: 'weak' }, { kind, metering, oldDryer })
    expect(choice.chosen!.dryer.flow).toBe(flow)
    for (const { dryer, judged } of choice.refused.filter((each) => each.dryer.flow !== flow))
      expect([dryer.id, judged.find(({ rule }) => rule === 'flow')!.holds]).toEqual([dryer.id, false])
  })
  test.each(['R-410A', 'R-32', 'R-454B'] as const)('%s wants the higher pressure class', (refrigerant) => {
    const choice = liquid({ acidTest: 'strong' }, { refrigerant })
    expect(choice.chosen!.dryer.pressure).toBeGreaterThanOrEqual(600)
    const low = choice.refused.filter(({ dryer }) => dryer.pressure < 600)
    expect(low.every(({ judged }) => judged.some(({ rule, holds }) => rule === 'pressure' && !holds))).toBe(
      true,
    )
  })
  test('the design pressure of the plate leads', () => {
    const low = { refrigerant: 'R-22' } as const
    expect(liquid({ acidTest: 'strong' }, low).chosen!.dryer.pressure).toBe(500)
    const high = { ...low, designPressures: { high: { value: 510, unit: 'psig' } } } as const
    expect(liquid({ acidTest: 'strong' }, high).chosen!.dryer.pressure).toBe(650)
  })
  test.each([
    [{ acidTest: 'weak' }, true],
    [{ oilAppearance: 'metal-flakes' }, true],
    [{ moistureIndicator: 'wet' }, false],
    [CLEAN, false],
  ] as const)('suction dryer for %o: %s', (observations, wanted) =>
    expect(suction(observations) !== undefined).toBe(wanted),
  )
  test('a few ounces keep the small block and bear no suction dryer', () => {
    const fridge = {
      kind: 'reach-in',
      refrigerant: 'R-134a',
      metering: 'capillary',
      nominalTons: 0.1,
      factoryCharge: { value: 12, unit: 'oz' },
    } as const
    for (const observations of [CLEAN, { acidTest: 'weak' }, { oilAppearance: 'metal-flakes' }] as const) {
      // a filter is larger for dirt, not only for tons
      expect(block(observations, fridge)).toBe(
        'oilAppearance' in observations && observations.oilAppearance === 'metal-flakes' ? 5 : 3,
      )
      expect(suction(observations, fridge)).toBeUndefined()
    }
  })
  test('every dryer is judged by every rule: chosen, other or refused with a reason', () => {
    for (const observations of [CLEAN, { acidTest: 'strong' }, { moistureIndicator: 'wet' }] as const)
      for (const choice of plan(observations).dryers) {
        const refused = new Set(choice.refused.map(({ dryer }) => dryer.id))
        expect(refused.has(choice.chosen!.dryer.id)).toBe(false)
        expect(choice.refused.every(({ judged }) => judged.some(({ holds }) => !holds))).toBe(true)
        expect(choice.chosen!.judged.every(({ holds }) => holds)).toBe(true)
      }
  })
  test('forty tons take a shell; two hundred are told as several in parallel, and the best is on the list', () => {
    const forty = { refrigerant: 'R-22', nominalTons: 38 } as const
    expect(liquid(CLEAN, forty).chosen!.dryer.form).toBe('shell')
    expect(liquid(CLEAN, forty).ways).toBeUndefined()
    const huge = liquid(CLEAN, { refrigerant: 'R-22', nominalTons: 200 })
    expect(huge.ways).toMatchObject({ parallel: 3 })
    expect(huge.ways!.sentences.join()).toMatch(/3 in parallel/)
    expect(huge.chosen!.dryer.block).toBe(192)
  })
})

describe('water margin: half of the rating for twice the rest', () => {
  const need = (water: number): DryerNeed => ({
    ...plan({ ...CLEAN, moistureIndicator: 'wet' }).need,
    water: { low: water, likely: water, high: water },
  })
  test('8 in³ holds 4 g in R-410A: 2 g usable, so up to 1 g left, and no more', () => {
    const judge = (water: number) =>
      chooseDryers(need(water))[0]!.refused.find(({ dryer }) => dryer.id === 'liquid-8-sieve-one-way-650')
    expect(
      usableWater(
        DRYER_CATALOGUE.find(({ id }) => id === 'liquid-8-sieve-one-way-650')!,
        'R-410A',
      ),
    ).toBeCloseTo(0.002, 12)
    expect(judge(0.00099)).toBeUndefined()
    expect(judge(0.00101)!.judged.find(({ rule }) => rule === 'water')).toMatchObject({ holds: false })
  })
  test('past the largest: after one another, the best that fits stays on the list', () => {
    const choice = chooseDryers(need(0.1))[0]!
    expect(choice.chosen).toBeDefined()
    expect(choice.ways!.visits).toBeGreaterThan(1)
    expect(choice.ways!.sentences.join()).toMatch(/return visit/)
    // one carries the tons: it is not told as one in parallel
    expect(choice.ways!.parallel).toBe(1)
    expect(choice.ways!.sentences[0]).toMatch(/^\d+ after one another hold the water/)
  })
})

describe('charge in a dryer [physics: volume x fill x liquid density]', () => {
  test('30 in³ of R-410A at 100 F hold 243 g (reference library: 989.2 kg/m3)', () =>
    expect(blockHolds(30, 'R-410A') * 1000).toBeCloseTo(30 * 16.387064 * 0.5 * 0.98924, 0))
  test('only the difference to the old one counts', () => {
    const same = liquid(CLEAN, { oldDryer: { cubicInches: 8 } })
    expect(same.holds - same.oldHeld!.value).toBe(0)
    const larger = liquid(CLEAN, { oldDryer: { cubicInches: 5 } })
    expect((larger.holds - larger.oldHeld!.value) * 1000).toBeCloseTo(3 * 16.387064 * 0.5 * 0.98924, 1)
  })
})

const OWN: Dryer = {
  ...SAMPLE_DRYER,
  block: 8,
  connections: [{ value: 9.5, unit: 'mm' }],
  pressure: { value: 46, unit: 'barg' },
  tons: 5,
  waterR22: { value: 6, unit: 'g' },
  onVan: 2,
}

describe("the user's own dryers", () => {
  test('chosen when it is best: on the van, right size', () => {
    const choice = liquid(CLEAN, {}, [modelOf(OWN)])
    expect(choice.chosen!.dryer).toMatchObject({ id: 'own-9', own: true })
  })
  test.each([
    [{ pressure: { value: 400, unit: 'psig' } }, 'pressure', /stands 400 psig, 600 psig wanted/],
    [{ tons: 2 }, 'tons', /carries 1\.9 tons on R-410A/],
    [{ flow: 'bi-flow' }, 'flow', /one way/],
    [{ core: 'high-acid' }, 'core', /gives away water/],
  ] as const)('refused with reason: %o', (change, rule, sentence) => {
    const choice = liquid(CLEAN, {}, [modelOf(dryerSchema.parse({ ...OWN, ...change }))])
    expect(choice.chosen!.dryer.own).toBe(false)
    const own = choice.refused.find(({ dryer }) => dryer.own)!
    expect(own.judged.find((each) => each.rule === rule)).toMatchObject({ holds: false })
    expect(own.judged.find((each) => each.rule === rule)!.sentence).toMatch(sentence)
  })
  test('what its sheet does not tell is calculated', () => {
    const { waterR22: _water, onVan: _van, ...bare } = OWN
    const model = modelOf(bare)
    expect(model.waterR22).toBeCloseTo(4.8, 9)
    expect(model.waterOther).toBeCloseTo(3.84, 9)
    expect(model.connections[0]).toBeCloseTo(0.374, 3)
    expect(model.pressure).toBeCloseTo(46 * 14.5038, 0)
    expect(modelOf({ ...bare, waterOther: { value: 4, unit: 'g' } }).waterR22).toBeCloseTo(5, 9)
  })
  test('tons told for another refrigerant are carried over', () => {
    const told = modelOf({ ...OWN, tonsFor: 'R-410A', tons: 3 })
    expect(tonsOn(told, { unit: plate(), refrigerant: 'R-410A' })).toBeCloseTo(3, 9)
  })
})

describe('over the whole range', () => {
  const hours = fc.integer({ min: 0, max: 40_000 })
  const weather = fc.constantFrom('dry', 'humid', 'coastal', 'rain' as const)
  test('longer open never means a smaller dryer or fewer sweeps, and in the end more of one', () => {
    const at = (hoursOpenToAir: number, openConditions: 'dry' | 'humid' | 'coastal' | 'rain') =>
      plan({ ...CLEAN, hoursOpenToAir, openConditions })
    fc.assert(
      fc.property(hours, hours, weather, (a, b, when) => {
        const [less, more] = [at(Math.min(a, b), when), at(Math.max(a, b), when)]
        expect(more.water.total.likely).toBeGreaterThanOrEqual(less.water.total.likely - 1e-9)
        expect(more.water.work.sweeps).toBeGreaterThanOrEqual(less.water.work.sweeps)
        expect(more.dryers[0]!.chosen!.dryer.block).toBeGreaterThanOrEqual(
          less.dryers[0]!.chosen!.dryer.block,
        )
      }),
      { numRuns: runs(40, 400), seed: seedOf(6) },
    )
    const [none, years] = [at(0, 'coastal'), at(17_520, 'coastal')]
    expect(years.water.work.sweeps).toBeGreaterThan(none.water.work.sweeps)
    expect(years.dryers[0]!.chosen!.dryer.block).toBeGreaterThan(none.dryers[0]!.chosen!.dryer.block)
  })
  test('water told by a laboratory: never less work for more water', () => {
    const at = (oilWater: number) => {
      return planCleanup({
        record: record(CLEAN, plate(), { repair: { oilWater } }),
        policy: DEFAULT_POLICY,
        refrigerant: 'R-410A',
      })
    }
    let last = at(0)
    for (const ppm of [10, 50, 99, 100, 101, 300, 800, 1500, 2500, 20_000]) {
      const next = at(ppm)
      for (const key of ['sweeps', 'oilChanges', 'hours'] as const)
        expect(next.water.work[key]).toBeGreaterThanOrEqual(last.water.work[key])
      expect(next.dryers[0]!.chosen!.dryer.block).toBeGreaterThanOrEqual(last.dryers[0]!.chosen!.dryer.block)
      last = next
    }
  })
  const unit = fc.record({
    kind: fc.constantFrom(...UNIT_KINDS),
    metering: fc.constantFrom(...METERINGS),
    refrigerant: fc.constantFrom(...REFRIGERANT_NAMES),
    nominalTons: fc.double({ min: 0.1, max: 20, noNaN: true }),
    factoryCharge: fc
      .double({ min: 0.2, max: 40, noNaN: true })
      .map((value) => ({ value, unit: 'lb' as const })),
  })
  const inside = fc.record(
    {
      acidTest: fc.constantFrom('negative', 'weak', 'strong' as const),
      oilAppearance: fc.constantFrom('clear', 'dark', 'burnt-smell', 'metal-flakes', 'milky' as const),
      moistureIndicator: fc.constantFrom('dry', 'wet', 'unreadable' as const),
      hoursOpenToAir: hours,
    },
    { requiredKeys: [] },
  )
  test('a reversing line never one-way, a clean circuit never oversized, capacity never short unsaid', () => {
    fc.assert(
      fc.property(unit, inside, (which, observations) => {
        const result = plan(observations as Observations, which)
        const choice = result.dryers[0]!
        const dryer = choice.chosen?.dryer
        if (!dryer) return
        expect(dryer.flow).toBe(hasReversingValve(which) ? 'bi-flow' : 'one-way')
        const short = choice.chosen!.judged.some(({ holds }) => !holds)
        expect(short).toBe(choice.ways !== undefined)
        if (result.contamination.class === 'clean' && !short) {
          const smaller = DRYER_CATALOGUE.filter(
            (each) => each.place === 'liquid' && each.block < dryer.block && each.flow === dryer.flow,
          )
          for (const each of smaller) {
            const judged = choice.refused.find(({ dryer: other }) => other.id === each.id)
            expect(judged === undefined).toBe(false)
          }
        }
      }),
      { numRuns: runs(50, 500), seed: seedOf(20) },
    )
  })
})

describe('placing, core changes, drops', () => {
  const choices = (observations: Observations, part: Partial<UnitPlate> = {}) => {
    const { need, dryers } = plan(observations, part)
    return dryers.map((choice) => ({
      place: choice.place,
      placing: placingOf(need, choice).join(' '),
      hours: coreChanges(need, choice).map((change) => change.hours),
    }))
  }
  test('between reversing valve and compressor; ports; flame', () => {
    const [line, vapour] = choices({ acidTest: 'weak' }, { kind: 'split-heat-pump' })
    expect(vapour!.placing).toMatch(/Between reversing valve and compressor/)
    expect(vapour!.placing).toMatch(/Access valves on both sides/)
    expect(line!.placing).toMatch(/ports on both sides/)
    expect(line!.placing).toMatch(/muffler/)
    expect(choices(CLEAN, { refrigerant: 'R-454B' })[0]!.placing).toMatch(/cut, never unsweat/)
    expect(choices(CLEAN, { oldDryer: { arrow: 'against-flow' } })[0]!.placing).toMatch(/against its arrow/)
  })
  test('cores are looked at after 24 h, after a burnout again after 72', () => {
    expect(choices({ acidTest: 'weak' }).find(({ place }) => place === 'suction')!.hours).toEqual([24])
    expect(choices({ acidTest: 'strong' }).find(({ place }) => place === 'suction')!.hours).toEqual([24, 72])
    expect(choices({ ...CLEAN, moistureIndicator: 'wet' })[0]!.hours).toEqual([48])
  })
  test.each([
    ['split-ac', 2, 'leave'],
    ['split-ac', 2.1, 'at-next-visit'],
    ['split-ac', 4, 'at-next-visit'],
    ['split-ac', 4.1, 'change-now'],
    ['walk-in-cooler', 1.5, 'leave'],
    ['walk-in-cooler', 3.1, 'change-now'],
    ['walk-in-freezer', 0.75, 'leave'],
    ['walk-in-freezer', 0.8, 'at-next-visit'],
    ['walk-in-freezer', 1.6, 'change-now'],
  ] as const)('suction dryer of a %s at %f psi: %s', (kind, drop, verdict) =>
    expect(pressureDropVerdict('suction', drop, plate({ kind })).verdict).toBe(verdict),
  )
  test('a fall in temperature is told with what hides it', () => {
    expect(temperatureDropVerdict(0.5)).toMatchObject({ verdict: 'leave' })
    expect(temperatureDropVerdict(0.5).sentence).toMatch(/without cooling/)
    expect(temperatureDropVerdict(3)).toMatchObject({ verdict: 'change-now' })
  })
})

test('catalogue: ids are unique, sizes as handbook 06 [memory]', () => {
  expect(new Set(DRYER_CATALOGUE.map(({ id }) => id)).size).toBe(DRYER_CATALOGUE.length)
  expect(blockLadder('liquid').slice(0, 6)).toEqual([3, 5, 8, 16, 30, 41])
  const sieves = DRYER_CATALOGUE.filter(
    ({ place, core, form }) => place === 'liquid' && core === 'sieve' && form === 'sealed',
  )
  expect(sieves.map(({ waterR22 }) => waterR22)).toEqual([1.5, 2.8, 5, 10, 19, 27])
  expect(sieves.map(({ waterOther }) => waterOther)).toEqual([1.2, 2.2, 4, 8, 15, 21])
  const acid = DRYER_CATALOGUE.find(({ id }) => id === 'liquid-16-high-acid-one-way-650')!
  expect(acid.waterR22).toBeCloseTo(6, 9)
})
